<script lang="ts">
  import type { Schemas } from '../api/client';
  import Cures from './Cures.svelte';
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
      {#if !mended && !(i === 0 && over)}
        <details>
          <summary class="link min-h-8 text-sm" aria-label="it was that: {s.words}">it was that</summary>
          <Cures cause={s} {mended} {log} />
        </details>
      {/if}
    </li>
  {/each}
</ol>
{#if !mended}<OtherCause others={opinion.others} {log} />
{:else if opinion.others.length > 0}<p class="mt-2 text-sm text-soft">and {opinion.others.length} less likely</p>{/if}
