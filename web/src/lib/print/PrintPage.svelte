<script module lang="ts">
  import type { Assessment as A, Schemas as S, Sheet as Plan } from '../api/client';

  /** What a sheet is printed from. */
  export interface Printed {
    sheet: Plan;
    a: A;
    /** Only where the whole was asked for. */
    build: S['Build'] | undefined;
  }
</script>

<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
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
    page: Snippet<[Printed]>;
  }
  let { id, title, whole = false, page }: Props = $props();

  const asked = new Ask<Printed>(async (signal) => {
    const got = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } }, signal }));
    if (!got.data) return { problem: got.problem, status: got.status };
    const { machine, plan } = got.data;
    const request = { body: { units: prefs.units, machine, plan }, bodySerializer: filledOnly, signal };
    const answer = await call(() => api.POST('/api/assess', request));
    const more = whole && answer.data ? await call(() => api.POST('/api/build', request)) : undefined;
    const failed = !answer.data ? answer : more && !more.data ? more : undefined;
    if (!answer.data || failed) return { problem: failed?.problem, status: failed?.status ?? 0 };
    return { data: { sheet: got.data, a: answer.data, build: more?.data }, status: 200 };
  });
  const printed = $derived(asked.answer);
  let paper = $state<'A4' | 'Letter'>('A4');

  $effect(() => {
    void [id, prefs.units];
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
    {@render page(printed)}
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
