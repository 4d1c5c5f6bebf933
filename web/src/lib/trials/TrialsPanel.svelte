<script lang="ts">
  import { untrack } from 'svelte';
  import { provideForm } from '../form/context';
  import { openSheet } from '../sheet/context';
  import ComesTo from './ComesTo.svelte';
  import CsvPanel from './CsvPanel.svelte';
  import InstrumentsPanel from './InstrumentsPanel.svelte';
  import ListenPanel from './ListenPanel.svelte';
  import ReadingTable from './ReadingTable.svelte';
  import ReadNow from './ReadNow.svelte';
  import SetUp from './SetUp.svelte';
  import TrialChart from './TrialChart.svelte';
  import TrialList from './TrialList.svelte';

  /** What is measured on the bench, laid over what was reckoned. */
  const sheet = openSheet();
  const trials = sheet.trials;
  provideForm(() => trials);

  $effect(() => {
    void sheet.question;
    untrack(() => trials.again());
  });
  $effect(() => {
    trials.live.start();
    return () => trials.stop();
  });

  const answer = $derived(trials.answer);
  const profile = $derived(trials.profile);
  /** What stands open under the chart. */
  let extra = $state<'' | 'csv' | 'instruments'>('');
  const toggle = (what: typeof extra) => (extra = extra === what ? '' : what);

  /** Space takes a reading, wherever nothing else wants it. */
  const key = (e: KeyboardEvent) => {
    const target = e.target as HTMLElement;
    if (e.key !== ' ' || e.defaultPrevented || !profile || target.closest('input, textarea, select, button, a, [role]'))
      return;
    e.preventDefault();
    trials.take();
  };
</script>

<svelte:window onkeydown={key} />

<section aria-label="Trials" class="trials">
  <h1 class="sr-only">Trials of {sheet.doc.machine.name}</h1>
  <div class="left" class:chosen={trials.trial}><TrialList /></div>
  <div class="middle">
    {#if trials.problem}<p role="alert" class="mx-4 mb-2 border-l-4 border-stop pl-3">{trials.problem}</p>{/if}
    {#if trials.trial && profile}
      <div class="px-4">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <button class="link sm:hidden" onclick={() => (trials.open = '')}>all trials</button>
          <span class="font-head text-[1.45rem] font-semibold">{profile.name}</span>
          <span class="text-sm text-soft"
            >{trials.trial.on}{trials.trial.used ? `, in the plan since ${trials.trial.used}` : ''}</span
          >
        </p>
        <p class="mt-0.5">{profile.how}</p>
        {#if profile.caution}
          <p class="mt-1 border-l-4 border-(--brass) pl-3 text-[0.94rem]">{profile.caution}</p>
        {/if}
      </div>
      {#if trials.trial.kind === 'ear'}<ListenPanel />{/if}
      <ReadNow />
      {#if answer && answer.curve.y.name !== ''}<TrialChart {answer} given={profile.given !== ''} />{/if}
      <ReadingTable />
      <p class="flex flex-wrap gap-x-4 px-4">
        <button class="link min-h-8" aria-expanded={extra === 'csv'} onclick={() => toggle('csv')}
          >from a CSV file</button
        >
        <button class="link min-h-8" aria-expanded={extra === 'instruments'} onclick={() => toggle('instruments')}
          >instruments</button
        >
      </p>
      {#if extra === 'csv'}<CsvPanel ondone={() => (extra = '')} />{/if}
      {#if extra === 'instruments'}<InstrumentsPanel />{/if}
      <SetUp />
    {:else}
      <div class="max-w-2xl px-4">
        <p class="font-head text-[1.45rem] font-semibold">Measure it, and lay it over what was reckoned.</p>
        <p class="mt-1">
          Choose what to measure. Each trial says how it is done, what can hurt meanwhile, what it comes to and how far
          it may be out; one click lets it into the plan, and one takes it back.
        </p>
      </div>
    {/if}
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="right" role="group" aria-label="What it comes to" tabindex="0">
    {#if answer}<ComesTo {answer} />{/if}
  </div>
</section>

<style>
  .trials {
    display: grid;
    min-height: 100%;
    grid-template-columns: minmax(15rem, 18.7rem) minmax(0, 1fr) minmax(16rem, 19.5rem);
  }
  .left {
    padding: 0.9rem 1.1rem 2rem;
    border-right: 1px solid var(--rule);
  }
  /* What is there for readers alone stays within its column. */
  .left,
  .middle,
  .right {
    position: relative;
  }
  .middle {
    min-width: 0;
    padding: 0.8rem 0 2rem;
  }
  .right {
    padding: 0.9rem 1rem 2rem;
    border-left: 1px solid var(--rule);
    background: var(--card);
  }
  @media (min-width: 66rem) {
    .trials {
      height: 100%;
    }
    .left,
    .middle,
    .right {
      overflow-y: auto;
    }
  }
  @media (max-width: 65.99rem) {
    .trials {
      grid-template-columns: minmax(0, 1fr) minmax(15rem, 36%);
      grid-template-areas: 'middle right' 'left right';
      grid-template-rows: auto 1fr;
    }
    .left {
      grid-area: left;
      border-right: 0;
      border-top: 1px solid var(--rule);
    }
    .middle {
      grid-area: middle;
    }
    .right {
      grid-area: right;
    }
  }
  @media (max-width: 40rem) {
    .trials {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: 'middle' 'right' 'left';
      grid-template-rows: auto;
    }
    .right {
      border: 0;
    }
    .left.chosen {
      display: none;
    }
  }
</style>
