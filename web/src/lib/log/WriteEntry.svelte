<script lang="ts">
  import { openSheet } from '../sheet/context';
  import Quantity from '../form/Quantity.svelte';
  import { newId } from '../newId';
  import { onMount, untrack } from 'svelte';
  import { blankDraft, type Sort } from './draft';
  import type { LogState } from './log.svelte';
  import { keepWriting, keptPictures, keptWords } from './writing';

  /** An entry by hand: what happened, how long it ran, what was replaced, with pictures. */
  let { state: log }: { state: LogState } = $props();

  const sheet = openSheet();
  const machineId = untrack(() => log.machineId);
  let draft = $state(keptWords(machineId));
  let problem = $state('');
  /** The pictures kept are here: until then those there are not all. */
  let whole = $state(false);
  let keeps = $state(true);

  onMount(async () => {
    draft.pictures = [...(await keptPictures(machineId)), ...draft.pictures];
    whole = true;
  });
  $effect(() => {
    const now = $state.snapshot(draft);
    if (whole) void keepWriting(machineId, now).then((kept) => (keeps = kept));
  });

  const kinds: readonly (readonly [Sort, string])[] = [
    ['note', 'Note'],
    ['hours', 'Hours run'],
    ['part', 'Part replaced'],
    ['mended', 'Mended']
  ];
  const shoot = (list: FileList | null) => {
    for (const blob of list ?? []) draft.pictures.push({ id: newId(), blob });
  };
  const write = async () => {
    problem = '';
    if (draft.sort === 'hours' && !draft.hours.trim()) {
      problem = 'Write how long it ran, such as 2.5 h.';
      return;
    }
    if (draft.sort !== 'hours' && !draft.title.trim() && !draft.detail.trim() && draft.pictures.length === 0) {
      problem = 'Write what happened, or take a picture.';
      return;
    }
    try {
      await log.write($state.snapshot(draft), sheet.head.letter);
      draft = { ...blankDraft(), sort: draft.sort };
    } catch {
      problem = 'This browser could not keep it. It still stands here.';
    }
  };
</script>

<form
  aria-label="Write in the log"
  class="mt-3"
  onsubmit={(e) => {
    e.preventDefault();
    void write();
  }}
>
  <div class="kinds" role="radiogroup" aria-label="What it is">
    {#each kinds as [sort, name] (sort)}
      <button
        type="button"
        role="radio"
        class="button"
        aria-checked={draft.sort === sort}
        class:on={draft.sort === sort}
        onclick={() => (draft.sort = sort)}>{name}</button
      >
    {/each}
  </div>
  {#if draft.sort === 'part'}
    <label class="mt-2 block text-sm text-soft" for="log-item">Which part</label>
    <input id="log-item" class="blank" maxlength="40" placeholder="front bearing" bind:value={draft.item} />
  {/if}
  <label class="mt-2 block text-sm text-soft" for="log-title">What happened</label>
  <textarea id="log-title" class="blank" rows="2" maxlength="200" bind:value={draft.title}></textarea>
  <div class="mt-2 grid grid-cols-2 gap-3">
    <div>
      <label class="block text-sm text-soft" for="log-hours">Hours it ran</label>
      <Quantity
        id="log-hours"
        value={draft.hours}
        beside={{ shown: 'h', kept: 'h' }}
        hint="2.5 h"
        onchange={(text) => (draft.hours = text)}
      />
    </div>
    <div>
      <label class="block text-sm text-soft" for="log-when">When, if not now</label>
      <input id="log-when" class="blank" type="datetime-local" bind:value={draft.when} />
    </div>
  </div>
  {#if problem}<p role="alert" class="mt-2 text-stop">{problem}</p>{/if}
  {#if !keeps}
    <p role="status" class="mt-2 border-l-4 border-brass pl-3 text-sm">
      This browser keeps nothing: what is not in the log yet is lost when the page is closed.
    </p>
  {/if}
  <div class="mt-3 flex flex-wrap gap-3">
    <button class="button primary big">Log it</button>
    <label class="button big flex cursor-pointer items-center focus-within:outline-2">
      <input
        type="file"
        class="sr-only"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        multiple
        aria-label="Picture"
        onchange={(e) => shoot(e.currentTarget.files)}
      />
      {draft.pictures.length > 1
        ? `${draft.pictures.length} pictures`
        : draft.pictures.length
          ? '1 picture'
          : 'Picture'}
    </label>
  </div>
</form>

<style>
  .kinds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .kinds .button {
    padding-inline: 0.6rem;
  }
  .on {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 1px var(--ink);
  }
  @media (width < 40rem) {
    .big {
      flex: 1;
      min-height: 3.6rem;
      justify-content: center;
      font-size: 1.15rem;
    }
  }
</style>
