<script lang="ts">
  import { untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { Ask } from '../lib/api/ask.svelte';
  import { api, call, sayProblem, type Schemas, type Sheet } from '../lib/api/client';
  import { catalogue } from '../lib/catalogue.svelte';
  import Capacitor from '../lib/identify/Capacitor.svelte';
  import ClueFigure from '../lib/identify/ClueFigure.svelte';
  import Leads from '../lib/identify/Leads.svelte';
  import Ranking from '../lib/identify/Ranking.svelte';
  import { prefs } from '../lib/prefs.svelte';
  import { handOver } from '../lib/sheet/handover';
  import Segments from '../lib/ui/Segments.svelte';
  import TopBar from '../lib/ui/TopBar.svelte';

  let { params }: { params?: { plan?: string } } = $props();

  type Clue = Schemas['IdentifyClue'];
  /** What was answered, with the question as it was asked, so that it can be shown and changed. */
  let seen = $state<{ clue: Clue; answer: string }[]>([]);
  let donor = $state('');
  let chosen = $state<Clue>();
  let failed = $state('');
  let thermal = $state(false);
  let view = $state<'kind' | 'leads' | 'capacitor'>('kind');

  const asked = new Ask<Schemas['IdentifyOpinion']>((signal) => {
    const body = { donor, region: prefs.region, seen: seen.map((s) => ({ clue: s.clue.id, answer: s.answer })) };
    return call(() => api.POST('/api/identify', { body, signal }));
  });
  const opinion = $derived(asked.answer);
  const said = $derived(failed || (asked.problem ? sayProblem(asked.problem) : ''));
  $effect(() => {
    void [donor, prefs.region, seen.length];
    untrack(() => asked.again());
  });
  const plan = new Ask<Sheet>((signal) =>
    call(() => api.GET('/api/plans/{id}', { params: { path: { id: params?.plan ?? '' } }, signal }))
  );
  const sheet = $derived(params?.plan ? plan.answer : undefined);
  $effect(() => {
    if (params?.plan) untrack(() => plan.instead());
  });
  $effect(() => () => {
    asked.stop();
    plan.stop();
  });

  const clue = $derived(chosen ?? opinion?.next);
  const answer = (id: string) => {
    if (!clue) return;
    seen.push({ clue, answer: id });
    chosen = undefined;
  };
  const askAgain = (i: number) => {
    const [again] = seen.splice(i, 1);
    chosen = again?.clue;
  };
  const startOver = () => {
    seen = [];
    donor = '';
    chosen = undefined;
  };
  const top = $derived(opinion?.ranking[0]);
  const made = (): Schemas['MotorDescribed'] | undefined => {
    if (!opinion) return undefined;
    const m = structuredClone(opinion.motor);
    if (top)
      m.name = donor ? `${top.name}, ex ${catalogue.donors.find((d) => d.id === donor)?.name.toLowerCase()}` : top.name;
    // Its thin pair was found, but nobody has wired it yet.
    if (!thermal && seen.some((s) => s.clue.id === 'thin' && s.answer === 'none')) m.thermalSwitch = 'none';
    return m;
  };
  const toShelf = async () => {
    const motor = made();
    const blank = $state.snapshot(catalogue.blankItem);
    if (!motor || !blank) return;
    const notes = seen.map((s) => `${s.clue.ask} ${wordsOf(s.clue, s.answer)}`).join('\n');
    const { data, problem } = await call(() => api.POST('/api/shelf', { body: { ...blank, motor, notes } }));
    if (data) await push(`/shelf/${data.id}`);
    else failed = sayProblem(problem);
  };
  const toPlan = async () => {
    const motor = made();
    const id = params?.plan;
    if (!motor || !id) return;
    handOver(id, (sheet) => sheet.useMotor(motor));
    await push(`/plan/${id}`);
  };
  const wordsOf = (c: Clue, a: string) => c.answers.find((o) => o.id === a)?.words ?? "Can't tell";
  const key = (e: KeyboardEvent) => {
    const n = Number(e.key);
    const typing = e.target instanceof HTMLElement && e.target.matches('input, textarea, select');
    if (view !== 'kind' || typing || e.ctrlKey || e.metaKey || e.altKey || !clue) return;
    if (n >= 1 && n <= clue.answers.length) answer(clue.answers[n - 1]?.id ?? '');
    if (e.key === '0') answer('');
  };
</script>

<svelte:window onkeydown={key} />
<svelte:head><title>What is it? | Jiriki</title></svelte:head>
<TopBar>
  <h1 class="text-xl">What is it?</h1>
  {#if sheet}<a class="link" href="#/plan/{params?.plan}">back to {sheet.machine.name}, plan {sheet.letter}</a>{/if}
</TopBar>
<main class="mx-auto max-w-[76rem] px-4 pt-4 pb-10">
  <div class="flex flex-wrap items-end gap-4">
    <Segments
      label="What to find out"
      value={view}
      options={[
        ['kind', 'kind of motor'],
        ['leads', 'which lead is which'],
        ['capacitor', 'capacitor and switch']
      ]}
      onchange={(v) => (view = v)}
    />
    <p class="text-[0.94rem] text-soft">Unplugged; capacitors discharged through a resistor, and measured to be.</p>
  </div>
  {#if said}<p role="alert" class="mt-3 border-l-4 border-stop pl-3">{said}</p>{/if}

  {#if view === 'leads'}
    <div class="mt-5"><Leads onthermal={(found) => (thermal = found)} /></div>
  {:else if view === 'capacitor'}
    <div class="mt-5"><Capacitor /></div>
  {:else}
    <div class="mt-5 grid gap-8 md:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)]">
      <div class="min-w-0">
        <div class="grid gap-3 sm:grid-cols-2">
          <div>
            <label for="donor" class="block text-sm text-soft">It came out of</label>
            <select id="donor" class="blank" bind:value={donor}>
              <option value="">not known</option>
              {#each catalogue.donors as d (d.id)}<option value={d.id}>{d.name}</option>{/each}
            </select>
          </div>
          <div>
            <label for="region" class="block text-sm text-soft">in</label>
            <select
              id="region"
              class="blank"
              value={prefs.region}
              onchange={(e) => prefs.setRegion(e.currentTarget.value)}
            >
              {#each catalogue.regions as r (r.id)}<option value={r.id}>{r.name}</option>{/each}
            </select>
          </div>
        </div>
        {#if clue}
          <section aria-label="Next look" class="mt-5 border-y border-rule py-4">
            <div class="grid items-center gap-4 sm:grid-cols-[1fr_13rem]">
              <div>
                <h2 class="text-[1.7rem] leading-tight">{clue.ask}</h2>
                <p class="mt-1 text-soft">{clue.how}</p>
              </div>
              <ClueFigure name={clue.figure} />
            </div>
            <div class="mt-3 grid gap-2" role="group" aria-label="Answers">
              {#each clue.answers as a, i (a.id)}
                <button
                  class="button flex min-h-12 items-center gap-3 text-left text-[1.05rem]"
                  onclick={() => answer(a.id)}
                >
                  <kbd class="hidden text-sm text-soft md:inline">{i + 1}</kbd>{a.words}
                </button>
              {/each}
              <button class="button flex min-h-12 items-center gap-3 text-left text-soft" onclick={() => answer('')}>
                <kbd class="hidden text-sm md:inline">0</kbd>Can't tell
              </button>
            </div>
          </section>
        {/if}
        {#if opinion && top && (opinion.settled || !opinion.next)}
          <section aria-label="Answer" class="mt-5 border-l-4 border-good pl-4">
            <h2 class="text-[1.7rem] leading-tight">
              {opinion.settled ? 'It is' : 'It is most likely'}: {top.name.toLowerCase()}
            </h2>
            <p class="mt-1 text-soft">
              {opinion.settled
                ? 'Its plate and bench readings come next.'
                : 'Nothing more that can be seen would tell them apart. Treat it as the riskier of the two until it is metered.'}
            </p>
          </section>
        {/if}
        {#if opinion && top}
          <p class="mt-4 flex flex-wrap gap-3">
            <button class="button" class:primary={opinion.settled || !opinion.next} onclick={toShelf}
              >Put it on the shelf as that</button
            >
            {#if sheet}<button class="button" onclick={toPlan}
                >Use it in plan {sheet.letter} of {sheet.machine.name}</button
              >{/if}
          </p>
        {/if}
        {#if seen.length > 0}
          <h2 class="caption mt-6 flex justify-between">
            Seen so far <button class="link font-body text-sm tracking-normal normal-case" onclick={startOver}
              >start over</button
            >
          </h2>
          <ol>
            {#each seen as s, i (s.clue.id)}
              <li class="flex justify-between gap-3 border-b border-dotted border-rule py-1.5">
                <span class="min-w-0"><span class="text-soft">{s.clue.ask}</span> {wordsOf(s.clue, s.answer)}</span>
                <button class="link" aria-label="Change: {s.clue.ask}" onclick={() => askAgain(i)}>change</button>
              </li>
            {/each}
          </ol>
        {/if}
        {#if (opinion?.left ?? []).length > 0}
          <details class="mt-4">
            <summary class="link cursor-pointer">ask something else instead</summary>
            <ul class="mt-1">
              {#each opinion?.left ?? [] as c (c.id)}
                <li><button class="link py-1" onclick={() => (chosen = c)}>{c.ask}</button></li>
              {/each}
            </ul>
          </details>
        {/if}
      </div>
      <div class="min-w-0">
        {#if opinion}<Ranking {opinion} />{/if}
      </div>
    </div>
  {/if}
</main>
