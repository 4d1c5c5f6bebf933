<script lang="ts">
  import type { Schemas } from '../api/client';
  import { dangers } from './dangers';

  /** One test: what is done first, how, what it should be, and how it came out. */
  interface Props {
    test: Schemas['FaultTest'];
    left: Schemas['FaultTest'][];
    /** The person chose it in place of the one that was asked for. */
    chosen: boolean;
    answer: (outcome: string) => void;
    choose: (test: string) => void;
  }
  const { test, left, chosen, answer, choose }: Props = $props();
  /** The second half of a double click is no second look, though the same test may be asked once more by then. */
  const told = (e: MouseEvent, outcome: string) => {
    if (e.detail < 2) answer(outcome);
  };
</script>

<p class="caption">{chosen ? 'You chose' : test.again ? 'Once more' : 'Try this next'}</p>
<h2 id="next-test" class="text-[1.45rem]">{test.name}</h2>
<p class="text-sm text-soft">{dangers[test.danger]}, about {test.minutes} min</p>
{#if test.again}<p class="mt-2 border-l-4 border-(--brass) pl-3">{test.again}</p>{/if}
{#if test.danger !== 'asked'}
  <p class="mt-2 border-l-4 pl-3 {test.danger === 'live' ? 'border-stop' : 'border-(--brass)'}">{test.first}</p>
{/if}
<p class="mt-2">{test.how}</p>
{#if test.expect}
  <p class="mt-2"><span class="text-soft">Should be</span> <span class="font-semibold">{test.expect}</span></p>
{/if}
<div class="mt-3 flex flex-col gap-2" role="group" aria-label="How it came out">
  {#each test.outcomes as o (o.id)}
    <button class="button outcome" onclick={(e) => told(e, o.id)}
      >{o.words}{#if o.means}<span class="block text-sm text-soft">{o.means}</span>{/if}</button
    >
  {/each}
  <button class="link min-h-9 self-start" onclick={(e) => told(e, '')}>I could not tell</button>
</div>
{#if left.length > 0}
  <details class="mt-4">
    <summary class="link min-h-8">another test first</summary>
    <ul>
      {#each left as t (t.id)}
        <li class="border-b border-dotted border-rule py-1">
          <button class="link min-h-9" onclick={() => choose(t.id)}>{t.name}</button>
          <span class="text-sm text-soft">{dangers[t.danger]}, {t.minutes} min</span>
        </li>
      {/each}
    </ul>
  </details>
{/if}

<style>
  .outcome {
    text-align: left;
    min-height: 2.9rem;
  }
</style>
