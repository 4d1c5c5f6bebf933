<script lang="ts">
  import { untrack } from 'svelte';
  import { provideForm } from '../form/context';
  import { openSheet } from '../sheet/context';
  import ThreeColumns from '../ui/ThreeColumns.svelte';
  import ComesTo from './ComesTo.svelte';
  import CsvPanel from './CsvPanel.svelte';
  import InstrumentsPanel from './InstrumentsPanel.svelte';
  import ListenPanel from './ListenPanel.svelte';
  import ReadingTable from './ReadingTable.svelte';
  import ReadNow from './ReadNow.svelte';
  import SetUp from './SetUp.svelte';
  import TrialChart from './TrialChart.svelte';
  import TrialList from './TrialList.svelte';
  import WorthTrying from './WorthTrying.svelte';

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

<ThreeColumns
  label="Trials"
  rightLabel="What it comes to"
  widths="minmax(15rem, 18.7rem) minmax(0, 1fr) minmax(16rem, 19.5rem)"
  tablet="'middle right' 'left right'"
  phone="'middle' 'right' 'left'"
>
  {#snippet left()}
    <div class:max-sm:hidden={trials.trial}><TrialList /></div>
  {/snippet}
  {#snippet middle()}
    <h1 class="sr-only">Trials of {sheet.doc.machine.name}</h1>
    {#if trials.problem}<p role="alert" class="mx-4 mb-2 border-l-4 border-stop pl-3">{trials.problem}</p>{/if}
    {#if trials.trial && profile}
      <div class="px-4">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <button class="link sm:hidden" onclick={() => (trials.open = '')}>all trials</button>
          <h2 class="text-[1.45rem]">{profile.name}</h2>
          <span class="text-sm text-soft"
            >{trials.trial.on}{trials.trial.used ? `, in the plan since ${trials.trial.used}` : ''}</span
          >
        </div>
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
      <WorthTrying />
    {/if}
  {/snippet}
  {#snippet right()}
    {#if answer}<ComesTo {answer} />{/if}
  {/snippet}
</ThreeColumns>
