<script lang="ts">
  import { api, call, filledOnly, sayProblem, type Assessment, type Sheet } from '../lib/api/client';
  import { figure } from '../lib/reach/scale';
  import { prefs } from '../lib/prefs.svelte';

  let { params }: { params: { id: string } } = $props();

  let sheet = $state<Sheet>();
  let a = $state<Assessment>();
  let said = $state('');
  let paper = $state<'A4' | 'Letter'>('A4');

  const load = async (id: string) => {
    const got = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } } }));
    sheet = got.data;
    if (!got.data) return void (said = sayProblem(got.problem));
    const { machine, plan, shelf } = got.data;
    const answer = await call(() =>
      api.POST('/api/assess', { body: { units: prefs.units, machine, plan, shelf }, bodySerializer: filledOnly })
    );
    a = answer.data;
    said = answer.data ? '' : sayProblem(answer.problem);
  };
  $effect(() => void load(params.id));

  const plate = $derived(a?.speedPlate);
  const fixed = $derived((plate?.knob.length ?? 0) <= 1);
  const inJob = (rpm: number) => rpm > 0 && plate?.jobs.some((j) => rpm >= j.lowRpm * 0.99 && rpm <= j.highRpm * 1.01);
</script>

<svelte:head>
  <title>Speed plate | Jiriki</title>
</svelte:head>

<header class="tools flex flex-wrap items-center gap-4 border-b border-rule bg-card px-4 py-2 print:hidden">
  <a class="link" href="#/plan/{params.id}">back to the plan</a>
  <label class="flex items-center gap-2"
    >paper <select class="blank w-24!" bind:value={paper}><option>A4</option><option>Letter</option></select></label
  >
  <button class="button primary" onclick={() => window.print()}>Print</button>
</header>
<main class="page mx-auto {paper}">
  {#if said}<p role="alert">{said}</p>{/if}
  {#if plate && sheet && a}
    <h1 class="text-5xl">{sheet.machine.name}</h1>
    <p class="mt-1 text-lg">Plan {sheet.letter}{sheet.plan.name ? `, ${sheet.plan.name}` : ''}. {sheet.workshop}</p>
    {#if plate.positions.length === 0}
      <p class="mt-8 text-xl">The line is not complete, so there are no speeds to print. {a.next.text}</p>
    {:else}
      <div class="max mt-5">
        <p class="font-head text-2xl">{plate.limited ? 'Never over' : 'Tops out at'}</p>
        <p class="figure">{figure(plate.maxRpm)}<span class="text-3xl"> rpm</span></p>
      </div>
      <h2 class="mt-6 text-2xl">Spindle rpm{fixed ? ' under load' : ', knob from 1 to 10'}</h2>
      <table class="mt-2 w-full">
        <thead>
          <tr
            ><th scope="col">position</th>{#each plate.knob as k (k)}<th scope="col">{fixed ? 'on' : Math.round(k * 10)}</th>{/each}</tr
          >
        </thead>
        <tbody>
          {#each plate.positions as p (p.label)}
            <tr>
              <th scope="row"
                >{plate.positions.length > 1 ? p.label : 'spindle rpm'}<span class="block text-base font-normal">{p.ratio}</span></th
              >
              {#each p.rpm as rpm, i (i)}<td class:job={inJob(rpm)}>{rpm > 0 ? Math.round(rpm) : '·'}</td>{/each}
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="mt-1">
        {fixed ? '' : 'A dot is under the slowest steady speed, or over what the machine allows. '}Ruled-under speeds lie in a job's band.
      </p>
      <h2 class="mt-6 text-2xl">Jobs</h2>
      <table class="mt-2 w-full jobs">
        <tbody>
          {#each plate.jobs as j (j.name)}
            <tr>
              <th scope="row">{j.name}</th>
              <td class="text-left!">{figure(j.lowRpm)}{j.highRpm > j.lowRpm ? `–${figure(j.highRpm)}` : ''} rpm</td>
              <td class="text-left!">{plate.positions.length > 1 ? j.position : ''}</td>
              <td class="text-left!">{j.done ? '' : 'not done by this plan'}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="mt-6 text-lg font-semibold">
        Never pass the speed marked on a wheel, chuck or disc. Guards on. Never reverse while it turns.
      </p>
      <p class="mt-1">
        Computed{fixed ? '' : ' for a light load'}; measure with a tachometer before trusting it. {a.mayPower
          ? ''
          : 'This plan has an open stop: do not power it.'}
      </p>
    {/if}
  {/if}
</main>

<style>
  .page {
    padding: 14mm;
    background: #fff;
    color: #111;
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
  .max {
    border: 3px solid #111;
    padding: 3mm 6mm;
    display: inline-block;
  }
  .figure {
    font-family: var(--font-head);
    font-weight: 600;
    font-size: 30mm;
    line-height: 1;
  }
  th,
  td {
    border-bottom: 1px solid #999;
    padding: 2.2mm 1mm;
    font-size: 1.35rem;
    text-align: right;
  }
  th:first-child {
    text-align: left;
    max-width: 38mm;
  }
  td.job {
    font-weight: 700;
    text-decoration: underline;
    text-decoration-thickness: 2px;
    text-underline-offset: 4px;
  }
  .jobs th,
  .jobs td {
    font-size: 1.15rem;
  }
</style>
