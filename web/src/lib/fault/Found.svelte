<script lang="ts">
  import type { Schemas } from '../api/client';
  import Cures from './Cures.svelte';

  /** What was found, or what is likeliest once no test tells more. */
  interface Props {
    opinion: Schemas['FaultOpinion'];
    mended: string;
    choose: (test: string) => void;
    log: (cause: Schemas['FaultCause'], how: 'mended' | 'replaced') => void;
  }
  const { opinion, mended, choose, log }: Props = $props();
  const first = $derived(opinion.suspects[0]);
</script>

<p class="caption">{opinion.settled ? 'Found' : 'Not settled'}</p>
{#if first}
  <h2 class="text-[1.45rem]">{first.words}</h2>
  {#if first.for}<p class="text-sm text-soft">{first.for}</p>{/if}
  <p class="mt-2">
    {opinion.settled
      ? 'That is enough to go by.'
      : 'No test here tells more: it is only the likeliest. Before anything is bought, ask someone who can look at it.'}
  </p>
  <Cures cause={first} found={opinion.settled} {mended} {log} />
  <p class="mt-3 border-l-4 border-(--brass) pl-3">
    Then covers and guards on, and the first try with nothing in it. If it still does the same, it was not that, or not
    that alone: take back what misled and go on.
  </p>
{/if}
{#if opinion.left.length > 0}
  <p class="mt-3 text-soft">To make sure:</p>
  <ul>
    {#each opinion.left.slice(0, 5) as t (t.id)}
      <li><button class="link min-h-9" onclick={() => choose(t.id)}>{t.name}</button></li>
    {/each}
  </ul>
{/if}
