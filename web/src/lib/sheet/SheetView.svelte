<script lang="ts">
  import { untrack } from 'svelte';
  import { Tabs } from 'bits-ui';
  import type { StationName } from '../api/client';
  import Line from '../line/Line.svelte';
  import { prefs } from '../prefs.svelte';
  import Reach from '../reach/Reach.svelte';
  import ControlBench from '../stations/ControlBench.svelte';
  import MotorBench from '../stations/MotorBench.svelte';
  import ReductionBench from '../stations/ReductionBench.svelte';
  import SupplyBench from '../stations/SupplyBench.svelte';
  import WorkBench from '../stations/WorkBench.svelte';
  import Rail from '../rail/Rail.svelte';
  import Answers from '../verdict/Answers.svelte';
  import FoundPanel from '../reduction/FoundPanel.svelte';
  import ReductionSheet from '../reduction/ReductionSheet.svelte';
  import ClashPanel from '../form/ClashPanel.svelte';
  import { capital } from '../ui/capital';
  import { narrow } from '../ui/narrow.svelte';
  import { provideSheet } from './context';
  import Verdict from '../verdict/Verdict.svelte';
  import SheetBar from './SheetBar.svelte';
  import { intoView } from './intoView';
  import { fetchPanels, panelFor } from './panels';
  import type { SheetState } from './sheet.svelte';

  let { sheet }: { sheet: SheetState } = $props();
  provideSheet(() => sheet);
  fetchPanels();

  const benches = {
    supply: SupplyBench,
    control: ControlBench,
    motor: MotorBench,
    reduction: ReductionBench,
    work: WorkBench
  };
  const Bench = $derived(benches[sheet.station]);
  const a = $derived(sheet.assessment);
  const planName = $derived(
    sheet.doc.plan.name ? `plan ${sheet.head.letter}, ${sheet.doc.plan.name}` : `plan ${sheet.head.letter}`
  );

  // Figures are written by the core, so another system of units is another answer.
  let answers = prefs.answers;
  $effect(() => {
    if (prefs.answers !== answers) {
      answers = prefs.answers;
      sheet.assess();
    }
  });

  // A finding or the finder asked for a field: once its bench is there, bring it into view.
  $effect(() => {
    const wanted = sheet.wanted;
    if (!wanted) return;
    const timer = setTimeout(() => {
      intoView(wanted);
      sheet.wanted = '';
    });
    return () => clearTimeout(timer);
  });

  // How far the building is follows from what is saved, which changes less often than what is typed.
  $effect(() => {
    if (sheet.saved.state === 'saved')
      untrack(() => {
        sheet.build.again();
        sheet.dry.again();
      });
  });

  /** Whatever floats above the sheet closes first. */
  const floats = () => document.querySelector('[role="dialog"], [role="menu"], [role="listbox"]') !== null;
  const back = () => {
    if (!sheet.onPlan || page) sheet.show('');
    else sheet.finding = false;
  };
  const key = (e: KeyboardEvent) => {
    if (e.key === 'Escape' && !e.defaultPrevented && !floats()) return back();
    if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'p') {
      e.preventDefault();
      return sheet.print();
    }
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
    e.preventDefault();
    if (e.shiftKey) sheet.redo();
    else sheet.undo();
  };

  const focus = (what: string) => document.querySelector<HTMLElement>(what)?.focus();

  /** The start of the dry run, watched on the line without leaving the sheet. */
  let starting = $state(false);
  const start = () => {
    starting = !starting;
    if (starting) sheet.dry.play.again();
    else sheet.dry.play.pause();
  };

  /** The line is worked on in Plan and watched in Dry run; elsewhere it makes room, unless it is asked for. */
  const onLine = $derived(sheet.onPlan || sheet.panel === 'dry');
  /** On a phone a station's bench is a page of its own. */
  const page = $derived(narrow.is && sheet.panel === 'bench');
  let lineShown = $state(false);

  const choose = (station: string) => {
    sheet.station = station as StationName;
    sheet.showBench();
  };
</script>

<svelte:window onkeydown={key} />
<svelte:head><title>{sheet.doc.machine.name}, plan {sheet.head.letter} | Jiriki</title></svelte:head>

<Tabs.Root value={sheet.station} onValueChange={choose}>
  {#snippet child({ props })}
    <div {...props} class="sheet flex flex-col">
      {#if sheet.onPlan && !page}
        <!-- What is wanted most, for who goes by keys. -->
        <p class="skip">
          <button onclick={() => focus('#verdict')}>to the verdict</button>
          <button onclick={() => focus('[role=tabpanel]')}>to the bench</button>
        </p>
      {/if}
      <SheetBar {sheet} {planName} />
      <ClashPanel saved={sheet.saved} what="plan" />
      {#if a}
        <div class="head">
          <Rail />
          <Answers {a} folded={!onLine} {lineShown} showLine={() => (lineShown = !lineShown)} />
        </div>
        {#if onLine || lineShown}
          <Line
            stations={a.stations}
            drawing={a.drawing}
            selected={sheet.station}
            onselect={choose}
            play={sheet.panel === 'dry' || (starting && sheet.onPlan) ? sheet.dry.play : undefined}
            onstart={sheet.onPlan && sheet.dry.answer?.runs ? start : undefined}
            starting={starting && sheet.onPlan}
          />
        {/if}
      {/if}
      {#if sheet.panel !== '' && sheet.panel !== 'bench'}
        <main class="min-h-0 flex-1 overflow-y-auto">
          {#await panelFor(sheet.panel) then Panel}
            <Panel />
          {:catch}
            <p role="alert" class="p-4">This view could not be fetched: the server is not answering.</p>
          {/await}
        </main>
      {:else if page}
        <main class="bench">
          <p><button class="link min-h-11" onclick={() => sheet.show('')}>‹ back to the plan</button></p>
          <h1 class="font-head text-2xl font-semibold" tabindex="-1">{capital(sheet.station)}</h1>
          <Tabs.Content value={sheet.station}>
            {#snippet child({ props })}<div {...props} class="mt-3"><Bench /></div>{/snippet}
          </Tabs.Content>
        </main>
      {:else}
        <main class="columns min-h-0 flex-1" class:found={sheet.station === 'reduction' && sheet.finding}>
          <h1 class="sr-only">{sheet.doc.machine.name}, {planName}</h1>
          {#if !narrow.is}
            <Tabs.Content value={sheet.station}>
              {#snippet child({ props })}<div {...props} class="bench"><Bench /></div>{/snippet}
            </Tabs.Content>
          {/if}
          <div class="middle">
            {#if a}
              {#if sheet.station === 'reduction'}
                <ReductionSheet {a} />
              {:else}
                <Reach {a} />
              {/if}
            {/if}
          </div>
          <div class="verdict" id="verdict" tabindex="-1">
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
  {/snippet}
</Tabs.Root>

<style>
  .skip {
    position: absolute;
    z-index: 20;
    left: 1rem;
    display: flex;
    gap: 0.5rem;
  }
  .skip button {
    position: absolute;
    overflow: hidden;
    width: 1px;
    height: 1px;
    white-space: nowrap;
    clip-path: inset(50%);
  }
  .skip button:focus {
    position: static;
    width: auto;
    height: auto;
    padding: 0.5rem 1rem;
    clip-path: none;
    background: var(--ink);
    color: var(--card);
  }
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
    /* On a phone the answers stand first. */
    .head {
      display: flex;
      flex-direction: column-reverse;
    }
    .columns,
    .columns.found {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: 'middle' 'verdict';
    }
    .verdict {
      border: 0;
    }
    .bench {
      border: 0;
    }
    /* The rail stands over the foot of the page. */
    .sheet {
      padding-bottom: 4rem;
    }
  }
</style>
