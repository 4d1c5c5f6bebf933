<script module lang="ts">
  import type { Assessment as A, Schemas as S, Sheet as Plan } from '../api/client';

  /** What a sheet is printed from. */
  export interface Printed {
    sheet: Plan;
    a: A;
    /** Only where the whole was asked for. */
    build: S['Build'] | undefined;
    /** Its dry run, where that was asked for. */
    dry: S['DryrunAnswer'] | undefined;
  }
</script>

<script lang="ts">
  import { tick, untrack, type Snippet } from 'svelte';
  import { router } from 'svelte-spa-router';
  import { Ask } from '../api/ask.svelte';
  import { api, call, filledOnly, sayProblem } from '../api/client';
  import { wordsOf } from '../form/path';
  import { prefs } from '../prefs.svelte';

  /** A sheet for the wall: the paper, the plan it is of, and what is worked out for it. */
  interface Props {
    id: string;
    title: string;
    /** Parts, wiring and power-up are wanted too. */
    whole?: boolean;
    /** The dry run is wanted too. */
    run?: boolean;
    page: Snippet<[Printed]>;
  }
  let { id, title, whole = false, run = false, page }: Props = $props();

  const asked = new Ask<Printed>(async (signal) => {
    const got = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } }, signal }));
    if (!got.data) return { problem: got.problem, status: got.status };
    const { machine, plan } = got.data;
    const request = { body: { units: prefs.units, machine, plan }, bodySerializer: filledOnly, signal };
    const answer = await call(() => api.POST('/api/assess', request));
    const more = whole && answer.data ? await call(() => api.POST('/api/build', request)) : undefined;
    const dry = run && answer.data ? await call(() => api.POST('/api/dryrun', request)) : undefined;
    const failed = !answer.data ? answer : more && !more.data ? more : undefined;
    if (!answer.data || failed) return { problem: failed?.problem, status: failed?.status ?? 0 };
    return { data: { sheet: got.data, a: answer.data, build: more?.data, dry: dry?.data }, status: 200 };
  });
  const printed = $derived(asked.answer);
  /** What can hurt stands at the head of whatever is hung on a wall. */
  const stops = $derived(printed?.a.findings.filter((f) => f.level === 'stop' && !f.short && !f.entry) ?? []);
  // Asked for from a view, it prints as soon as it is there.
  $effect(() => {
    if (printed && router.querystring === 'print') void tick().then(() => window.print());
  });
  let paper = $state<'A4' | 'Letter'>('A4');

  $effect(() => {
    void [id, prefs.answers];
    untrack(() => asked.instead());
    return () => asked.stop();
  });
</script>

<svelte:head>
  <title>{title} | Jiriki</title>
</svelte:head>

<header class="tools flex flex-wrap items-center gap-4 border-b border-rule bg-card px-4 py-2 print:hidden">
  <a class="link" href="#/plan/{id}">back to the plan</a>
  <label class="flex items-center gap-2"
    >paper <select class="blank w-24!" bind:value={paper}><option>A4</option><option>Letter</option></select></label
  >
  <button class="button primary" onclick={() => window.print()}>Print</button>
</header>
<main class="page mx-auto {paper}">
  {#if asked.problem}
    <p role="alert">
      {sayProblem(asked.problem)} <button class="link print:hidden" onclick={() => asked.instead()}>Try again</button>
    </p>
  {/if}
  {#if printed}
    {@const { sheet, a } = printed}
    <h1 class="text-5xl">{sheet.machine.name}</h1>
    <p class="mt-1 text-lg">
      {title}. Plan {sheet.letter}{sheet.plan.name ? `, ${sheet.plan.name}` : ''}. {sheet.workshop}
    </p>
    {#if a.entries.length > 0}
      <div class="mt-3 border-2 border-black p-2">
        <p class="font-semibold">
          Worked out without these entries, which cannot be used. Do not power it by this sheet.
        </p>
        {#each a.entries as e, i (i)}<p>{wordsOf(e.field)}, “{e.given}”: {e.message}.</p>{/each}
      </div>
    {/if}
    {#if stops.length > 0}
      <div class="mt-3 border-2 border-black p-2" role="status">
        <p class="font-semibold">Do not power it by this sheet. Open: {stops.map((f) => f.title).join('; ')}.</p>
      </div>
    {/if}
    {@render page(printed)}
  {/if}
</main>

<style>
  /* Ink on white, whatever the light is set to. */
  .page {
    padding: 14mm;
    background: #fff;
    color: #111;
    --ink: #111;
    --paper: #fff;
    --card: #fff;
    --soft: #444;
    --rule: #999;
    --grid: #ddd;
    --iron: #2c4a52;
    --iron-wash: #eef2f2;
    --brass: #a9741a;
    --brass-ink: #6b4706;
    --stop: #8f2412;
    --good: #2f5a2b;
    /* What classes take was worked out from the theme above. */
    --color-ink: #111;
    --color-soft: #444;
    --color-card: #fff;
    --color-paper: #fff;
    --color-rule: #999;
    --color-stop: #8f2412;
    --color-good: #2f5a2b;
    --wiring-ink: #111;
    --wiring-card: #fff;
    --wiring-stop: #111;
    min-height: 100vh;
  }
  .A4 {
    max-width: 210mm;
    page: a4;
  }
  .Letter {
    max-width: 8.5in;
    page: letter;
  }
  @page a4 {
    size: A4 portrait;
    margin: 13mm 13mm 15mm;
    @bottom-right {
      content: counter(page) ' of ' counter(pages);
      font-size: 9pt;
    }
  }
  @page letter {
    size: Letter portrait;
    margin: 13mm 13mm 15mm;
    @bottom-right {
      content: counter(page) ' of ' counter(pages);
      font-size: 9pt;
    }
  }
  @media print {
    .page {
      max-width: none;
      min-height: 0;
      padding: 0;
    }
    .page :global(h2) {
      break-after: avoid;
    }
    .page :global(:is(tr, li, figure, svg)) {
      break-inside: avoid;
    }
  }
</style>
