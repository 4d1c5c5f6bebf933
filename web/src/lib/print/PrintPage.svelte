<script module lang="ts">
  import type { Assessment as A, Schemas as S, Sheet as Plan } from '../api/client';

  /** What a sheet is printed from. */
  export interface Printed {
    sheet: Plan;
    a: A;
    /** Only where the whole was asked for. */
    build: S['LineBuild'] | undefined;
  }
</script>

<script lang="ts">
  import type { Snippet } from 'svelte';
  import { api, call, filledOnly, sayProblem, type Assessment, type Schemas, type Sheet } from '../api/client';
  import { prefs } from '../prefs.svelte';

  /** A sheet for the wall: the paper, the plan it is of, and what is worked out for it. */
  interface Props {
    id: string;
    title: string;
    /** Parts, wiring and power-up are wanted too. */
    whole?: boolean;
    page: Snippet<[Printed]>;
  }
  let { id, title, whole = false, page }: Props = $props();

  let sheet = $state.raw<Sheet>();
  let a = $state.raw<Assessment>();
  let build = $state.raw<Schemas['LineBuild']>();
  let said = $state('');
  let paper = $state<'A4' | 'Letter'>('A4');

  const load = async (id: string) => {
    const got = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } } }));
    if (!got.data) return void (said = sayProblem(got.problem));
    const { machine, plan, shelf } = got.data;
    const request = { body: { units: prefs.units, machine, plan, shelf }, bodySerializer: filledOnly };
    const answer = await call(() => api.POST('/api/assess', request));
    const more = whole ? await call(() => api.POST('/api/build', request)) : undefined;
    said = answer.data ? '' : sayProblem(answer.problem);
    sheet = got.data;
    build = more?.data;
    a = answer.data;
  };
  $effect(() => void load(id));
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
  {#if said}<p role="alert">{said}</p>{/if}
  {#if sheet && a}
    <h1 class="text-5xl">{sheet.machine.name}</h1>
    <p class="mt-1 text-lg">{title}. Plan {sheet.letter}{sheet.plan.name ? `, ${sheet.plan.name}` : ''}. {sheet.workshop}</p>
    {@render page({ sheet, a, build })}
  {/if}
</main>

<style>
  .page {
    padding: 14mm;
    background: #fff;
    color: #111;
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
    margin: 0;
  }
  @page letter {
    size: Letter portrait;
    margin: 0;
  }
</style>
