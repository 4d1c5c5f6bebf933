<script lang="ts">
  import { untrack } from 'svelte';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import Segments from '../ui/Segments.svelte';
  import ThreeColumns from '../ui/ThreeColumns.svelte';
  import { csvOf } from './csv';
  import DayPanel from './DayPanel.svelte';
  import DrawsLine from './DrawsLine.svelte';
  import HowItWent from './HowItWent.svelte';
  import ScriptForm from './ScriptForm.svelte';
  import StripChart from './StripChart.svelte';

  /** A script of the day, run through time: what happens, how it goes, and what it came to. */
  const sheet = openSheet();
  const dry = sheet.dry;
  const answer = $derived(dry.answer);
  const play = dry.play;

  $effect(() => {
    void sheet.question;
    untrack(() => dry.again());
  });
  $effect(() => () => play.pause());

  const moment = $derived(play.moment);
  let span = $state<'seconds' | 'day'>('seconds');

  /** The trace as a file for a spreadsheet. */
  const save = () => {
    if (!answer) return;
    const a = document.createElement('a');
    a.href = URL.createObjectURL(new Blob([csvOf(answer.trace)], { type: 'text/csv' }));
    a.download = `${sheet.doc.machine.name || 'machine'}, dry run.csv`;
    a.click();
    URL.revokeObjectURL(a.href);
  };
</script>

<ThreeColumns
  label="Dry run"
  rightLabel="What it came to"
  tablet="'middle middle' 'left right'"
  phone="'middle' 'right' 'left'"
>
  {#snippet left()}
    <h1 class="sr-only">Dry run of {sheet.doc.machine.name}</h1>
    <ScriptForm {answer} />
  {/snippet}
  {#snippet middle()}
    {#if dry.problem}<p role="alert" class="mx-4 mb-2 border-l-4 border-stop pl-3">{dry.problem}</p>{/if}
    {#if answer?.runs}
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2 px-4">
        {#if span === 'seconds'}
          <button class="button primary min-w-24" onclick={() => play.toggle()}
            >{play.playing ? 'Pause' : 'Run it'}</button
          >
        {/if}
        <p class="min-w-0 flex-1 max-sm:order-last max-sm:basis-full">
          {#if moment && span === 'seconds'}
            <span class="text-soft">{figure(moment.seconds)} s</span>
            <span class="px-2 font-semibold">{figure(moment.spindleRpm)} rpm, {figure(moment.amps)} A</span>
            <span class="text-soft">{play.doing}</span>
          {/if}
        </p>
        <Segments
          label="How long"
          value={span}
          options={[
            ['seconds', 'seconds'],
            ['day', 'a working day']
          ]}
          onchange={(v) => (span = v)}
        />
      </div>
      {#if span === 'day'}
        <DayPanel />
      {:else}
        <StripChart {answer} ghost={dry.ghost} ghostName={dry.beside?.name} band={dry.draws?.band} {play} />
        <p class="px-4 text-right text-sm"><button class="link min-h-8" onclick={save}>save it as CSV</button></p>
        <DrawsLine />
      {/if}
    {:else if answer?.long}
      <div class="px-4">
        <p class="text-[1.2rem] font-semibold">This script takes a while to run.</p>
        {#if dry.running !== undefined}
          <p class="mt-1 flex flex-wrap items-center gap-x-4">
            <progress max="1" value={dry.running} aria-label="Run so far"></progress>
            <button class="link min-h-8" onclick={() => dry.stopRunning()}>stop running it</button>
          </p>
        {:else if dry.stopped}
          <p class="mt-1">
            It was not run to its end. <button class="link min-h-8" onclick={() => void dry.runWhole()}>run it</button>
          </p>
        {/if}
      </div>
    {:else if answer}
      <div class="px-4">
        <p class="text-[1.2rem] font-semibold">It cannot be run yet.</p>
        <p class="mt-1">
          {#if answer.wants.field}
            <button class="link" onclick={() => sheet.goTo(answer.wants.field)}>{answer.wants.text}</button>
          {:else}
            {answer.wants.text}
          {/if}
        </p>
      </div>
    {/if}
  {/snippet}
  {#snippet right()}
    {#if answer?.runs}<HowItWent {answer} />{/if}
  {/snippet}
</ThreeColumns>
