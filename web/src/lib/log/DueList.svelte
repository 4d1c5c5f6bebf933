<script lang="ts">
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';
  import { blankDraft } from './draft';
  import type { Due, LogState } from './log.svelte';

  /** What the machine asks for by hours or months; doing it is an entry. */
  let { due, state }: { due: Due[]; state: LogState } = $props();

  const sheet = openSheet();
  const level = { due: 'caution', soon: 'caution', unknown: 'missing', fine: 'good' } as const;
  const words = { due: 'due', soon: 'soon', unknown: 'not known', fine: 'fine' } as const;
  const done = (d: Due) =>
    state.write({ ...blankDraft(), sort: 'upkeep', item: d.item, title: `${d.what}: done` }, sheet.head.letter);
</script>

<section aria-label="Upkeep" class="mt-6 print:hidden">
  <h2 class="caption">Upkeep</h2>
  <ul class="mt-1">
    {#each due as d (d.item)}
      <li class="grid grid-cols-[auto_minmax(0,1fr)_auto] gap-x-3 border-b border-dotted border-rule py-2">
        <Mark level={level[d.state]} size={20} />
        <div class="min-w-0">
          <p class="font-semibold">{d.what} <span class="text-sm font-normal text-soft">{words[d.state]}</span></p>
          <p class="text-sm text-soft">{d.says}</p>
          {#if d.state === 'due' || d.state === 'soon'}<p class="text-[0.94rem]">{d.how}</p>{/if}
        </div>
        <button class="link min-h-9 self-start" aria-label="{d.what}: done today" onclick={() => done(d)}>done</button>
      </li>
    {/each}
  </ul>
  <p class="mt-1 text-sm text-soft">Hours and months are common practice: start with them, and go by what you find.</p>
</section>
