<script lang="ts">
  import { untrack } from 'svelte';
  import { Ask } from '../api/ask.svelte';
  import { api, call, filledOnly, sayProblem, type Schemas } from '../api/client';
  import SideBySide from '../rank/SideBySide.svelte';
  import Mark from '../ui/Mark.svelte';
  import { openSheet } from '../sheet/context';
  import { figure } from '../reach/scale';

  /** Every control that works with the plan's motor, on one reach. */
  const sheet = openSheet();
  const most = 4;

  /** By their places in the list: two may have one name. */
  let picked = $state.raw<number[]>([]);

  const asked = new Ask<Schemas['RankControlsTried']>(
    (signal) => call(() => api.POST('/api/controls', { body: sheet.question, bodySerializer: filledOnly, signal })),
    ({ data }) => {
      if (data) picked = [...data.tried.slice(0, most).keys()];
    }
  );
  const answer = $derived(asked.answer);
  const problem = $derived(asked.problem ? sayProblem(asked.problem) : '');
  $effect(() => {
    void sheet.question;
    untrack(() => asked.again());
  });
  $effect(() => () => asked.stop());

  const judged = (c: Schemas['RankControlTried']) => c.jobs.filter((j) => j.outcome !== 'cannot-tell');
  const pick = (k: number) =>
    (picked = picked.includes(k) ? picked.filter((p) => p !== k) : [...picked, k].slice(-most));
  const use = (c: Schemas['RankControlTried']) => {
    sheet.change(({ plan }) => (plan.control = structuredClone($state.snapshot(c.uses))));
    sheet.show('');
    sheet.station = 'control';
  };
  const shown = $derived((answer?.tried ?? []).filter((_, i) => picked.includes(i)));
</script>

<section aria-label="Controls compared" class="grid gap-x-8 gap-y-4 p-4 lg:grid-cols-2">
  <div class="min-w-0">
    <div class="flex flex-wrap items-baseline justify-between gap-3">
      <h1 class="text-[1.45rem]">Controls for {sheet.doc.plan.motor.name || 'this motor'}</h1>
      <button class="link" onclick={() => sheet.show('')}>back to the plan</button>
    </div>
    <p class="text-[0.94rem] text-soft">Each on the plan's own reduction, with the jobs as they are.</p>
    {#if problem}<p role="alert" class="mt-2 text-stop">{problem}</p>{/if}
    <ol class="mt-2">
      {#each answer?.tried ?? [] as c, i (i)}
        <li class="border-b border-rule py-3" data-control={c.kind}>
          <div class="flex items-start gap-3">
            <Mark level={c.jobsDone < judged(c).length ? 'stop' : c.also ? 'caution' : 'good'} size={22} />
            <div class="min-w-0 flex-1">
              <p class="flex flex-wrap items-baseline justify-between gap-x-3">
                <span class="font-semibold">{c.name}, {c.from}</span>
                <span class="font-semibold">{c.jobsDone} of {judged(c).length} jobs</span>
              </p>
              <p class="text-[0.94rem] text-soft">{c.why}</p>
              <p class="text-[0.94rem]">
                {c.speeds} at the spindle. Under load the speed {c.holds}.
                {#if c.worst}Tightest: {c.worst}, ×{figure(c.margin)}, held by {c.limitedBy}.{/if}
                {#if c.form > 1.02}Its current heats as ×{figure(c.form)}.{/if}
                {#if c.cost}Costs {c.cost}.{/if}
              </p>
              <p class="mt-1 flex flex-wrap gap-x-4">
                <label class="flex min-h-8 items-center gap-2">
                  <input
                    type="checkbox"
                    class="size-5 accent-(--iron)"
                    checked={picked.includes(i)}
                    onchange={() => pick(i)}
                  />
                  on the reach
                </label>
                {#if c.from !== "the plan's own"}<button class="link" onclick={() => use(c)}>use it in this plan</button
                  >{/if}
              </p>
            </div>
          </div>
        </li>
      {:else}
        {#if answer}<li class="py-3 text-soft">Fill in the motor and the reduction first.</li>{/if}
      {/each}
    </ol>
    {#if answer && answer.refused.length > 0}
      <h2 class="caption mt-4">Why not the others</h2>
      <dl class="mt-1">
        {#each answer.refused as r (r.kind)}
          <dt class="mt-2 font-semibold">{r.name}</dt>
          <dd class="text-[0.94rem] text-soft">{r.why}</dd>
        {/each}
      </dl>
    {/if}
  </div>
  {#if answer && shown.length > 0}
    <div class="min-w-0 self-start lg:sticky lg:top-4">
      <h2 class="caption text-ink!">All-day torque, each control on the same motor</h2>
      <SideBySide
        units={answer.units}
        jobs={sheet.assessment?.jobs ?? []}
        curves={shown.map((c) => ({ name: c.name, spread: 0, points: c.curve }))}
      />
    </div>
  {/if}
</section>
