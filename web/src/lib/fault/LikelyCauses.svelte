<script lang="ts">
  import type { Schemas } from '../api/client';
  import OtherCause from './OtherCause.svelte';

  /** What is likely so far, the likeliest first; any cause can be logged as the one it was. */
  interface Props {
    opinion: Schemas['FaultOpinion'];
    mended: string;
    seeLog: () => void;
    log: (cause: Schemas['FaultCause'], how: 'mended' | 'replaced') => void;
  }
  const { opinion, mended, seeLog, log }: Props = $props();

  const percent = (share: number) =>
    share >= 0.995 ? '> 99 %' : share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
  const over = $derived(opinion.settled || !opinion.next);
</script>

{#snippet cures(c: Schemas['FaultCause'], primary: boolean)}
  {#if c.mend}<p class="mt-1">
      {#if c.replace}<span class="text-soft">Repair</span>
      {/if}{c.mend}
    </p>{/if}
  {#if c.replace}<p class="mt-1"><span class="text-soft">Replace</span> {c.replace}</p>{/if}
  {#if !mended}
    <div class="mt-2 flex flex-wrap gap-2">
      {#if c.mend}
        <button class="button flex-1" class:primary onclick={() => log(c, 'mended')}>Mended: log it</button>
      {/if}
      {#if c.replace}
        <button class="button flex-1" class:primary={primary && !c.mend} onclick={() => log(c, 'replaced')}
          >Replaced: log it</button
        >
      {/if}
    </div>
  {/if}
{/snippet}

<p class="caption">What is likely</p>
<h2 class="text-[1.25rem] leading-tight" aria-live="polite">{opinion.headline}</h2>
{#if mended}
  <p class="mt-2 border-l-4 border-good pl-3" role="status">
    “{mended}” is in the log. <button class="link" onclick={seeLog}>See it</button>
  </p>
{/if}
<ol class="mt-2">
  {#each opinion.suspects as s, i (s.id)}
    <li class="border-b border-rule py-2">
      <p class="flex justify-between gap-3" class:font-semibold={i === 0}>
        <span>{s.words}</span><span class="whitespace-nowrap">{percent(s.share)}</span>
      </p>
      <div class="mt-0.5 h-1.5 bg-[color-mix(in_srgb,var(--rule)_60%,transparent)]" aria-hidden="true">
        <div class="h-full bg-iron" style:width="{s.share * 100}%"></div>
      </div>
      {#if s.for}<p class="mt-1 text-sm text-soft">{s.for}</p>{/if}
      {#if i === 0 && over}
        {@render cures(s, opinion.settled)}
      {:else if !mended}
        <details>
          <summary class="link min-h-8 text-sm" aria-label="it was that: {s.words}">it was that</summary>
          {@render cures(s, false)}
        </details>
      {/if}
    </li>
  {/each}
</ol>
{#if !mended}<OtherCause others={opinion.others} {cures} {log} />
{:else if opinion.others.length > 0}<p class="mt-2 text-sm text-soft">and {opinion.others.length} less likely</p>{/if}
