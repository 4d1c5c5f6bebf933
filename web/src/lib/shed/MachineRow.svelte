<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, call, sayProblem, type Problem, type Workshop } from '../api/client';
  import LineDrawing from '../line/LineDrawing.svelte';
  import { Seen } from '../ui/seen.svelte';
  import TwoAnswers from '../verdict/TwoAnswers.svelte';
  import RowMenu from './RowMenu.svelte';

  type ShedMachine = Workshop['machines'][number];
  type ShedPlan = ShedMachine['plans'][number];

  interface Props {
    m: ShedMachine;
    onchanged: () => void;
    ondeleted: (words: string, undo: () => Promise<string | undefined>) => void;
    onsaid: (text: string) => void;
  }
  let { m, onchanged, ondeleted, onsaid }: Props = $props();

  const seen = new Seen();
  const done = (problem: Problem | undefined) => {
    if (problem) onsaid(sayProblem(problem));
    else onchanged();
  };
  const path = (id: string) => ({ params: { path: { id } } });
  const said = async (run: Promise<{ problem?: Problem }>) => {
    const { problem } = await run;
    return problem && sayProblem(problem);
  };

  const machineDeeds = {
    rename: async (name: string) =>
      done((await call(() => api.PUT('/api/machines/{id}/name', { ...path(m.id), body: { name } }))).problem),
    copy: async () =>
      done(
        (
          await call(() =>
            api.POST('/api/machines/{id}/copy', { ...path(m.id), body: { name: `${m.name}, copy`.slice(0, 120) } })
          )
        ).problem
      ),
    remove: async () => {
      const { problem } = await call(() => api.DELETE('/api/machines/{id}', path(m.id)));
      if (problem) onsaid(sayProblem(problem));
      else
        ondeleted(`${m.name} is deleted.`, () => said(call(() => api.POST('/api/machines/{id}/restore', path(m.id)))));
    }
  };
  const planDeeds = (p: ShedPlan) => ({
    rename: async (name: string) =>
      done((await call(() => api.PUT('/api/plans/{id}/name', { ...path(p.id), body: { name } }))).problem),
    copy: async () =>
      done((await call(() => api.POST('/api/plans/{id}/copy', { ...path(p.id), body: { name: p.name } }))).problem),
    remove: async () => {
      const { problem } = await call(() => api.DELETE('/api/plans/{id}', path(p.id)));
      if (problem) onsaid(sayProblem(problem));
      else
        ondeleted(`Plan ${p.letter} of ${m.name} is deleted.`, () =>
          said(call(() => api.POST('/api/plans/{id}/restore', path(p.id))))
        );
    }
  });
  const addPlan = async () => {
    const { data, problem } = await call(() => api.POST('/api/machines/{id}/plans', path(m.id)));
    if (data) await push(`/plan/${data.id}`);
    else onsaid(sayProblem(problem));
  };
</script>

<section {@attach seen.watch} class="machine border-b border-rule pt-4 pb-3" aria-label={m.name}>
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h2 class="text-2xl">{m.name}</h2>
    <button class="link" onclick={addPlan}>add a plan</button>
    {#if m.plans[0]}
      <a class="link" href="#/plan/{m.plans[0].id}/log" aria-label="log of {m.name}">log</a>
      <a class="link" href="#/plan/{m.plans[0].id}/what-is-wrong" aria-label="what is wrong with {m.name}?"
        >what is wrong?</a
      >
    {/if}
    <RowMenu what={m.name} name={m.name} {...machineDeeds} />
  </div>
  {#each m.plans as p (p.id)}
    <div class="plan">
      <a class="line" href="#/plan/{p.id}" aria-label="Open plan {p.letter} of {m.name}">
        <span class="drawing"
          >{#if seen.yet}<LineDrawing drawing={p.drawing} />{/if}</span
        >
      </a>
      <div class="min-w-0">
        <a href="#/plan/{p.id}">
          <span class="block font-head text-lg leading-tight font-semibold"
            >Plan {p.letter}{p.name ? `, ${p.name}` : ''}</span
          >
        </a>
        <div><TwoAnswers power={p.power} does={p.does} /></div>
        <p class="mt-1 text-sm text-soft">
          {p.stations
            .map((s) => s.title)
            .slice(1, 4)
            .join(' → ')}{p.starts ? `; simulated, it ${p.starts}` : ''}
        </p>
        <div><RowMenu what="plan {p.letter} of {m.name}" name={p.name} {...planDeeds(p)} /></div>
      </div>
    </div>
  {:else}
    <p class="mt-2 text-soft">No plan yet.</p>
  {/each}
</section>

<style>
  /* Three hundred machines are laid out only where they are looked at. */
  .machine {
    content-visibility: auto;
    contain-intrinsic-size: auto 12rem;
  }
  .plan {
    display: grid;
    grid-template-columns: minmax(0, 1.7fr) minmax(16rem, 1fr);
    gap: 1.5rem;
    align-items: center;
    padding-block: 0.6rem;
  }
  .line {
    display: block;
    overflow: hidden;
    border-radius: 3px;
    background: var(--card);
  }
  .line:hover {
    outline: 1px solid var(--iron);
  }
  .drawing {
    display: block;
    /* As tall as the drawing that comes when it is looked at. */
    min-height: 104px;
  }
  @media (max-width: 60rem) {
    .plan {
      grid-template-columns: minmax(0, 1fr);
      gap: 0.5rem;
    }
  }
  /* The drawing shrinks with the page. */
  @media (width < 44rem) {
    .drawing {
      min-height: calc(100vw * 0.15);
    }
  }
</style>
