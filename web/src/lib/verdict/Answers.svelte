<script lang="ts">
  import type { Assessment, Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import { capital } from '../ui/capital';
  import Mark from '../ui/Mark.svelte';
  import { narrow } from '../ui/narrow.svelte';
  import { bestRemedy } from './remedies';

  /** The two answers at the head of a plan, the largest letters on the page: may it be powered, does it do the jobs;
   *  each with its first cure, or with what it still wants. Folded they are one row. */
  interface Props {
    a: Assessment;
    folded: boolean;
    lineShown: boolean;
    showLine: () => void;
  }
  const { a, folded, lineShown, showLine }: Props = $props();

  const sheet = openSheet();
  /** As many entries are named as stand in a line; the rest are in the verdict. */
  const named = 3;
  const stop = $derived(a.findings.find((f) => f.level === 'stop' && !f.short && !f.always));
  const stopFix = $derived(stop && a.fixes[stop.id]?.[0]);
  const remedy = $derived(bestRemedy(a));
  /** Why the answers are those of before, in a few words; empty where they are of what stands there now. */
  const before = $derived(
    sheet.unanswered ? 'as before: the server is away' : sheet.before ? 'as before the entry that cannot be used' : ''
  );
  // What both hang on is named once, with the first.
  const besides = $derived(
    a.power.answer === 'unknown'
      ? a.does.hangs.filter((h) => !a.power.hangs.some((p) => p.field === h.field))
      : a.does.hangs
  );
</script>

{#snippet wants(hangs: Schemas['AssessNext'][])}
  {#each hangs.slice(0, named) as h, i (h.field + h.text)}{i > 0 ? ', ' : ''}<button
      class="link"
      aria-label="Still to be entered: {h.text}"
      onclick={() => sheet.goTo(h.field)}>{h.text.replace(/[?.]$/, '')}</button
    >{/each}{#if hangs.length > named}, and {hangs.length - named} more{/if}
{/snippet}

<section aria-label="Answers" class="answers" class:folded class:before={before !== ''}>
  <div class="one">
    <Mark level={a.power.mark} size={folded ? 22 : 34} />
    <div class="min-w-0">
      <p class="asked">
        May it be powered?{#if before}<span class="when">&nbsp;{before}</span>{/if}
      </p>
      <h2 class="said" aria-live="polite" title={a.power.text}>
        {#if folded || narrow.is}<span class="font-normal text-soft">Power:&nbsp;</span>{/if}{a.power
          .brief}{#if before && (folded || narrow.is)}<span class="when">, {before}</span>{/if}
      </h2>
      {#if !folded}
        <p class="cure">
          {#if a.power.answer === 'unknown'}
            {@render wants(a.power.hangs)}
          {:else if a.power.answer === 'no' && stop}
            {#if stop.field}<button class="link" aria-label="First: {stop.title}" onclick={() => sheet.goTo(stop.field)}
                >{stop.title}</button
              >
            {:else}{stop.title}{/if}{#if stopFix}:
              <button class="link" title={stopFix.detail} onclick={() => sheet.applyRemedy(stopFix)}
                >{stopFix.label}</button
              >{/if}
          {:else}
            By the steps of the <a class="link" href={sheet.address('power')}>first power-up</a>.
          {/if}
        </p>
      {/if}
    </div>
  </div>
  <div class="one">
    <Mark level={a.does.mark} size={folded ? 22 : 34} />
    <div class="min-w-0">
      <p class="asked">
        Does it do the jobs?{#if before}<span class="when">&nbsp;{before}</span>{/if}
      </p>
      <h2 class="said" aria-live="polite" title={a.does.text}>
        {#if folded || narrow.is}<span class="font-normal text-soft">Jobs:&nbsp;</span>{/if}{a.does
          .brief}{#if before && (folded || narrow.is)}<span class="when">, {before}</span>{/if}
      </h2>
      {#if !folded}
        <p class="cure">
          {#if remedy}
            <button class="link" title={remedy.detail} onclick={() => sheet.applyRemedy(remedy)}>{remedy.label}</button
            >:
            {remedy.jobsDone} of {remedy.jobs?.length ?? a.jobs.length}{#if remedy.margin}, {remedy.margin}{/if}
          {:else if a.does.answer === 'unknown'}
            {a.does.by ? `${capital(a.does.by)}. ` : ''}{#if besides.length > 0}{@render wants(besides)}
            {:else if a.does.hangs.length > 0}It hangs on the same.{/if}
          {:else if a.does.answer === 'no'}
            No single change does it:
            <button class="link" onclick={() => sheet.findReduction()}>look for a better reduction</button>, or
            <button class="link" onclick={() => sheet.show('rank')}>rank the shelf</button>
          {/if}
        </p>
      {/if}
    </div>
  </div>
  {#if folded}
    <button class="link show" aria-expanded={lineShown} onclick={showLine}
      >{lineShown ? 'fold the line' : 'show the line'}</button
    >
  {/if}
</section>

<style>
  .answers {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border-bottom: 1px solid var(--rule);
    background: var(--card);
  }
  .one {
    display: flex;
    min-width: 0;
    align-items: center;
    gap: 0.75rem;
    padding: 0.2rem 1rem 0.25rem;
  }
  .one + .one {
    border-left: 1px solid var(--rule);
  }
  .asked {
    color: var(--soft);
    font-size: 0.88rem;
    line-height: 1.2;
  }
  .said {
    overflow: hidden;
    /* Room for what hangs below the line, which is cut off otherwise. */
    margin-bottom: -0.08em;
    padding-bottom: 0.08em;
    font-size: 2rem;
    line-height: 1.15;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .cure {
    overflow: hidden;
    min-height: 1.3rem;
    font-size: 0.94rem;
    line-height: 1.3rem;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .when {
    color: var(--stop);
    font-weight: 600;
  }
  /* What is of before is paler than what is of now. */
  .before .said {
    color: var(--soft);
  }
  .folded {
    grid-template-columns: auto 1fr auto;
  }
  .folded .one {
    padding-block: 0.25rem;
  }
  .folded .asked {
    position: absolute;
    overflow: hidden;
    width: 1px;
    height: 1px;
    clip-path: inset(50%);
  }
  .folded .said {
    font-size: 1.15rem;
  }
  .show {
    padding-inline: 1rem;
  }
  @media (width < 66rem) {
    .said {
      font-size: 1.75rem;
    }
  }
  @media (width < 40rem) {
    .answers,
    .folded {
      grid-template-columns: minmax(0, 1fr);
    }
    .one + .one {
      border-left: 0;
      border-top: 1px solid var(--rule);
    }
    .said {
      display: -webkit-box;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
      line-clamp: 2;
      font-size: 1.45rem;
      white-space: normal;
    }
    .cure {
      white-space: normal;
    }
    .asked {
      position: absolute;
      overflow: hidden;
      width: 1px;
      height: 1px;
      clip-path: inset(50%);
    }
    .folded .said {
      font-size: 1.05rem;
    }
    .show {
      display: none;
    }
  }
</style>
