<script lang="ts">
  import { untrack } from 'svelte';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import Segments from '../ui/Segments.svelte';
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

<section aria-label="Dry run" class="dry">
  <h1 class="sr-only">Dry run of {sheet.doc.machine.name}</h1>
  <div class="left"><ScriptForm {answer} /></div>
  <div class="middle">
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
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="right" role="group" aria-label="What it came to" tabindex="0">
    {#if answer?.runs}<HowItWent {answer} />{/if}
  </div>
</section>

<style>
  .dry {
    display: grid;
    min-height: 100%;
    grid-template-columns: minmax(17rem, 20rem) minmax(0, 1fr) minmax(16rem, 19.5rem);
  }
  .left {
    padding: 0.9rem 1.1rem 2rem;
    border-right: 1px solid var(--rule);
  }
  .middle {
    min-width: 0;
    padding: 0.8rem 0;
  }
  .right {
    padding: 0.9rem 1rem 2rem;
    border-left: 1px solid var(--rule);
    background: var(--card);
  }
  @media (min-width: 66rem) {
    .dry {
      height: 100%;
    }
    .left,
    .middle,
    .right {
      overflow-y: auto;
    }
  }
  @media (max-width: 65.99rem) {
    .dry {
      grid-template-columns: minmax(0, 1fr) minmax(15rem, 38%);
      grid-template-areas: 'middle middle' 'left right';
      grid-template-rows: auto 1fr;
    }
    .left {
      grid-area: left;
    }
    .middle {
      grid-area: middle;
      border-bottom: 1px solid var(--rule);
    }
    .right {
      grid-area: right;
    }
  }
  @media (max-width: 40rem) {
    .dry {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: 'middle' 'right' 'left';
    }
    .left,
    .right {
      border: 0;
    }
  }
</style>
