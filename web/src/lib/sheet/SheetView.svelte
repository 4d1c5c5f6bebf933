<script lang="ts">
  import { push } from 'svelte-spa-router';
  import type { StationName } from '../api/client';
  import Line from '../line/Line.svelte';
  import { prefs } from '../prefs.svelte';
  import Reach from '../reach/Reach.svelte';
  import ControlBench from '../stations/ControlBench.svelte';
  import MotorBench from '../stations/MotorBench.svelte';
  import ReductionBench from '../stations/ReductionBench.svelte';
  import SupplyBench from '../stations/SupplyBench.svelte';
  import WorkBench from '../stations/WorkBench.svelte';
  import BuildPanel from '../build/BuildPanel.svelte';
  import ControlsPanel from '../control/ControlsPanel.svelte';
  import FoundPanel from '../reduction/FoundPanel.svelte';
  import ReductionSheet from '../reduction/ReductionSheet.svelte';
  import RankBench from '../rank/RankBench.svelte';
  import Finder, { type Deed } from '../ui/Finder.svelte';
  import TopBar from '../ui/TopBar.svelte';
  import ClashPanel from '../form/ClashPanel.svelte';
  import SaveLine from '../form/SaveLine.svelte';
  import { provideSheet } from '../form/context';
  import { fieldId } from '../form/fieldId';
  import Verdict from '../verdict/Verdict.svelte';
  import type { SheetState } from './sheet.svelte';

  let { sheet }: { sheet: SheetState } = $props();
  provideSheet(() => sheet);

  const benches = {
    supply: SupplyBench,
    control: ControlBench,
    motor: MotorBench,
    reduction: ReductionBench,
    work: WorkBench
  };
  const Bench = $derived(benches[sheet.station]);
  const panels = { '': undefined, rank: RankBench, controls: ControlsPanel, build: BuildPanel };
  const Panel = $derived(panels[sheet.panel]);
  const a = $derived(sheet.assessment);
  const planName = $derived(
    sheet.doc.plan.name ? `plan ${sheet.head.letter}, ${sheet.doc.plan.name}` : `plan ${sheet.head.letter}`
  );

  // Figures are written by the core, so another system of units is another answer.
  let units = prefs.units;
  $effect(() => {
    if (prefs.units !== units) {
      units = prefs.units;
      sheet.assess();
    }
  });

  // A finding or the finder asked for a field: once its bench is there, bring it into view.
  $effect(() => {
    const wanted = sheet.wanted;
    if (!wanted) return;
    const timer = setTimeout(() => {
      let el: HTMLElement | null = null;
      for (
        let path = wanted;
        path && !el;
        path = path.replace(/[.[][^.[]*$/, path.includes('.') || path.includes('[') ? '' : path)
      ) {
        const id = fieldId(path);
        el = document.getElementById(id) ?? document.querySelector<HTMLElement>(`[id^="${id}-"]`);
        if (!/[.[]/.test(path)) break;
      }
      el?.closest('details')?.setAttribute('open', '');
      el?.focus();
      el?.scrollIntoView({ block: 'center' });
      sheet.wanted = '';
    });
    return () => clearTimeout(timer);
  });

  const key = (e: KeyboardEvent) => {
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
    e.preventDefault();
    if (e.shiftKey) sheet.redo();
    else sheet.undo();
  };

  const goBench = (station: StationName) => {
    sheet.panel = '';
    sheet.station = station;
    document.getElementById(`station-${station}`)?.focus();
  };
  const deeds = $derived<Deed[]>([
    ...(['supply', 'control', 'motor', 'reduction', 'work'] as const).map((s) => ({
      name: `${s} bench`,
      group: 'Go to',
      run: () => goBench(s)
    })),
    { name: 'The shed', group: 'Go to', run: () => void push('/') },
    { name: 'The shelf', group: 'Go to', run: () => void push('/shelf') },
    {
      name: 'What is it? Name a motor by what can be seen',
      group: 'Go to',
      run: () => void push(`/what-is-it/${sheet.planId}`)
    },
    { name: 'Rank the shelf for these jobs', group: 'Do', run: () => (sheet.panel = 'rank') },
    {
      name: 'Find the best reduction',
      group: 'Do',
      run: () => {
        goBench('reduction');
        sheet.finding = true;
      }
    },
    ...sheet.head.siblings
      .filter((p) => p.id !== sheet.planId)
      .map((p) => ({
        name: `Plan ${p.letter}, ${p.name || 'no name'}`,
        group: 'Go to',
        run: () => void push(`/plan/${p.id}`)
      })),
    { name: 'Undo', group: 'Do', keys: 'Ctrl Z', run: () => sheet.undo() },
    { name: 'Redo', group: 'Do', keys: 'Ctrl Shift Z', run: () => sheet.redo() },
    { name: 'Show metric', group: 'Do', run: () => prefs.setUnits('metric') },
    { name: 'Show inch', group: 'Do', run: () => prefs.setUnits('inch') },
    { name: 'Day theme', group: 'Do', run: () => prefs.setTheme('day') },
    { name: 'Night theme', group: 'Do', run: () => prefs.setTheme('night') },
    { name: 'Compare controls for this motor', group: 'Do', run: () => (sheet.panel = 'controls') },
    { name: 'Wiring, first power-up, parts', group: 'Do', run: () => (sheet.panel = 'build') },
    { name: 'Settings sheet, to print', group: 'Do', run: () => void push(`/plan/${sheet.planId}/settings`) },
    { name: 'Build sheet and wiring, to print', group: 'Do', run: () => void push(`/plan/${sheet.planId}/build`) },
    { name: 'Speed plate, to print', group: 'Do', run: () => void push(`/plan/${sheet.planId}/speed-plate`) },
    {
      name: 'Export this plan as a file',
      group: 'Do',
      run: () => location.assign(`/api/plans/${sheet.planId}/export`)
    },
    ...(a?.jobs.flatMap((j) =>
      j.remedies.map((r) => ({
        name: `${r.label} (${j.name} ${r.margin})`,
        group: 'Try',
        run: () => sheet.applyRemedy(r)
      }))
    ) ?? []),
    ...(a?.findings
      .filter((f) => f.field)
      .map((f) => ({ name: f.title, group: 'Findings', run: () => sheet.goTo(f.field) })) ?? [])
  ]);
</script>

<svelte:window onkeydown={key} />
<svelte:head><title>{sheet.doc.machine.name}, plan {sheet.head.letter} | Jiriki</title></svelte:head>

<div class="sheet flex flex-col">
  <TopBar>
    <p class="min-w-0 truncate">
      {#if sheet.head.workshop}<span class="text-soft">{sheet.head.workshop}</span>
        <span class="text-soft">/</span>{/if}
      <span class="font-semibold">{sheet.doc.machine.name}</span> <span class="text-soft">/</span>
      {planName}
    </p>
    <SaveLine saved={sheet.saved} />
    {#snippet tools()}
      <div class="flex" role="group" aria-label="Undo and redo">
        <button
          class="button min-h-8! px-2.5! py-0!"
          disabled={!sheet.canUndo}
          onclick={() => sheet.undo()}
          aria-label="Undo"
          title="Undo, Ctrl Z">↶</button
        >
        <button
          class="button min-h-8! px-2.5! py-0!"
          disabled={!sheet.canRedo}
          onclick={() => sheet.redo()}
          aria-label="Redo"
          title="Redo, Ctrl Shift Z">↷</button
        >
      </div>
      <Finder {deeds} />
      <button
        class="caption min-h-8 hover:underline"
        aria-pressed={sheet.panel === 'build'}
        onclick={() => (sheet.panel = sheet.panel === 'build' ? '' : 'build')}>wire and build</button
      >
      <a class="caption hover:underline" href="#/plan/{sheet.planId}/speed-plate">speed plate</a>
      <a class="caption hover:underline" href="/api/plans/{sheet.planId}/export" download>export</a>
    {/snippet}
  </TopBar>
  <ClashPanel saved={sheet.saved} what="plan" />
  {#if a}
    <Line
      stations={a.stations}
      drawing={a.drawing}
      selected={sheet.station}
      onselect={(s) => {
        sheet.station = s;
        sheet.panel = '';
      }}
    />
  {/if}
  {#if Panel}
    <main class="min-h-0 flex-1 overflow-y-auto"><Panel /></main>
  {:else}
    <main class="columns min-h-0 flex-1" class:found={sheet.station === 'reduction' && sheet.finding}>
      <h1 class="sr-only">{sheet.doc.machine.name}, {planName}</h1>
      <div class="bench" role="tabpanel" aria-labelledby="station-{sheet.station}"><Bench /></div>
      <div class="middle">
        {#if a}
          {#if sheet.station === 'reduction'}
            <ReductionSheet {a} />
          {:else}
            <Reach {a} />
          {/if}
        {/if}
      </div>
      <div class="verdict">
        {#if sheet.station === 'reduction' && sheet.finding}
          <p class="px-4 pt-3">
            <button class="link" onclick={() => (sheet.finding = false)}>back to the verdict</button>
          </p>
          <FoundPanel />
        {:else}
          <Verdict />
        {/if}
      </div>
    </main>
  {/if}
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(20rem, 23.5rem) minmax(0, 1fr) minmax(16rem, 19.5rem);
  }
  .columns.found {
    grid-template-columns: minmax(18rem, 20rem) minmax(0, 1fr) minmax(17rem, 22rem);
  }
  .bench,
  .middle,
  .verdict {
    min-width: 0;
  }
  .bench {
    padding: 1rem 1.1rem 2rem;
    border-right: 1px solid var(--rule);
  }
  .middle {
    display: flex;
    flex-direction: column;
    padding: 0.8rem 0 0.4rem;
    background: var(--paper);
  }
  .verdict {
    border-left: 1px solid var(--rule);
    background: var(--card);
  }
  @media (min-width: 66rem) {
    .sheet {
      height: 100vh;
      min-height: 44rem;
    }
    .bench,
    .verdict {
      overflow-y: auto;
    }
  }
  /* A tablet on the bench: the reach and the verdict side by side, the bench below. */
  @media (max-width: 65.99rem) {
    .columns,
    .columns.found {
      grid-template-columns: minmax(0, 1fr) minmax(15rem, 38%);
      grid-template-areas: 'middle verdict' 'bench verdict';
      grid-template-rows: auto 1fr;
    }
    .middle {
      grid-area: middle;
      min-height: 27rem;
    }
    .bench {
      grid-area: bench;
      border-top: 1px solid var(--rule);
    }
    .verdict {
      grid-area: verdict;
    }
  }
  @media (max-width: 40rem) {
    .columns,
    .columns.found {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: 'middle' 'verdict' 'bench';
    }
    .verdict {
      border: 0;
    }
  }
</style>
