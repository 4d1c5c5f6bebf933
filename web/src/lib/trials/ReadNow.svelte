<script lang="ts">
  import { tick } from 'svelte';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import { intoView } from '../sheet/intoView';
  import { MOST_READINGS } from './trials.svelte';

  /** What the instrument reads now, large, and one key to take it. */
  const trials = openSheet().trials;
  const profile = $derived(trials.profile);
  const main = $derived(trials.main);
  const now = $derived(main ? trials.live.of(main.live) : undefined);
  const stopped = $derived(now ? trials.live.stopped(now) : false);
  const steady = $derived(now ? Math.floor((trials.live.now - now.steadySince) / 1000) : 0);
  const given = $derived(profile?.columns.find((c) => c.field === profile.given));
  const at = $derived(trials.at || trials.answer?.next.at || '');
  const full = $derived((trials.trial?.readings.length ?? 0) >= MOST_READINGS);
  const live = $derived(now !== undefined && !stopped);
  const words = $derived(
    live ? `Take it${given && at ? ` at ${given.label.toLowerCase()} ${at}` : ''}` : 'Type a reading'
  );

  const take = async () => {
    const i = trials.take();
    if (live || i < 0) return;
    await tick();
    const first = profile?.columns.find((c) => c.field !== profile.given || !at)?.field ?? '';
    intoView(`${trials.path}.readings[${i}].${first}`);
  };
</script>

<div class="mt-3 flex flex-wrap items-end justify-between gap-x-5 gap-y-2 px-4">
  {#if now && main}
    <div class="min-w-0">
      <p class="text-sm text-soft">{stopped ? 'Last read' : 'Read now'}, {main.label.toLowerCase()}</p>
      <p class="live" class:text-soft={stopped}>
        {figure(now.value)}<span class="unit">{now.unit}</span>
      </p>
    </div>
    <p class="min-w-40 flex-1 text-sm text-soft" role={stopped ? 'alert' : undefined}>
      {now.name || 'an instrument'}{stopped && trials.live.waits
        ? ': the server does not answer, so nothing comes till it does'
        : stopped
          ? `: nothing has come for ${Math.round((trials.live.now - now.came) / 1000)} s`
          : steady > 1
            ? `, steady ${steady} s`
            : ', not steady yet'}
    </p>
  {:else}
    <p class="min-w-40 flex-1 text-soft">
      {#if !main}
        Type what you read.
      {:else if trials.live.waits}
        The server does not answer, so nothing comes from instruments till it does. Type what you read.
      {:else}
        No instrument is sending. Type what you read, or let one in below.
      {/if}
    </p>
  {/if}
  <div class="flex items-end gap-3">
    {#if given && live}
      <div class="w-20">
        <label class="block text-sm text-soft" for="trial-at">{given.label}</label>
        <input
          id="trial-at"
          class="blank"
          autocomplete="off"
          value={at}
          oninput={(e) => (trials.at = e.currentTarget.value)}
        />
      </div>
    {/if}
    {#if live && profile?.columns.some((c) => c.field === 'time')}
      <button class="button" aria-pressed={trials.recording} onclick={() => (trials.recording = !trials.recording)}
        >{trials.recording ? 'Stop taking' : 'Take all that come'}</button
      >
    {/if}
    <button class="button primary" disabled={full} onclick={take}
      >{words} <span class="text-sm opacity-75 max-sm:hidden">Space</span></button
    >
  </div>
</div>
{#if full}<p class="px-4 text-sm text-soft">A trial holds {MOST_READINGS} readings. Begin another.</p>{/if}

<style>
  .live {
    font-family: var(--font-head);
    font-weight: 600;
    font-size: 3.5rem;
    line-height: 1;
    white-space: nowrap;
  }
  .unit {
    padding-left: 0.5rem;
    font-size: 1.6rem;
  }
  @media (width < 40rem) {
    .live {
      font-size: 5rem;
    }
    .primary {
      min-height: 3.6rem;
      padding-inline: 1.6rem;
      font-size: 1.15rem;
    }
  }
</style>
