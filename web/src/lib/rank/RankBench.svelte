<script lang="ts">
  import { untrack } from 'svelte';
  import { Ask } from '../api/ask.svelte';
  import { api, call, filledOnly, sayProblem, type Schemas } from '../api/client';
  import Mark from '../ui/Mark.svelte';
  import Segments from '../ui/Segments.svelte';
  import { openSheet } from '../sheet/context';
  import SideBySide from './SideBySide.svelte';

  /** The shelf's motors for this machine's jobs, best first, up to four of them side by side. */
  const sheet = openSheet();
  const most = 4;

  let picked = $state.raw<string[]>([]);
  let geared = $state<'top' | 'same'>('top');

  const asked = new Ask<Schemas['Ranking']>(
    (signal) => call(() => api.POST('/api/rank', { body: sheet.question, bodySerializer: filledOnly, signal })),
    ({ data }) => {
      if (!data) return;
      const tried = data.candidates.filter((c) => c.tried);
      picked = tried.slice(0, 3).map((c) => c.id);
    }
  );
  const ranking = $derived(asked.answer);
  const problem = $derived(asked.problem ? sayProblem(asked.problem) : '');
  $effect(() => {
    void sheet.question;
    untrack(() => asked.again());
  });
  $effect(() => () => asked.stop());

  const shown = $derived((ranking?.candidates ?? []).filter((c) => c.tried && picked.includes(c.id)));
  const pick = (id: string) => {
    picked = picked.includes(id) ? picked.filter((p) => p !== id) : [...picked, id].slice(-most);
  };
  const use = (c: Schemas['RankCandidate']) => {
    sheet.change(({ plan }) => {
      plan.motor = structuredClone($state.snapshot(c.motor));
      // Another control comes with nothing said yet of its fuse and box: the verdict asks.
      if (c.uses) plan.control = structuredClone($state.snapshot(c.uses));
    });
    sheet.show('');
    sheet.station = 'motor';
  };
  const level = (c: Schemas['RankCandidate']) => {
    if (!c.tried) return 'missing';
    if (c.jobsDone < c.jobs.length) return 'stop';
    return c.jobs.every((j) => j.outcome === 'does') ? 'good' : 'caution';
  };
</script>

<section aria-label="The shelf ranked" class="grid gap-x-8 gap-y-4 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
  <div class="min-w-0">
    <div class="flex flex-wrap items-baseline justify-between gap-3">
      <h1 class="text-[1.45rem]">Motors for {sheet.doc.machine.name}</h1>
      <button class="link" onclick={() => sheet.show('')}>back to the plan</button>
    </div>
    <p class="text-[0.94rem] text-soft">
      Each is tried on the control that suits it, at the best single ratio, for every job. Torque is at the spindle.
    </p>
    {#if problem}<p role="alert" class="mt-2 text-stop">{problem}</p>{/if}
    {#if ranking}
      {#if ranking.why.length > 0}
        <div class="mt-3 border-l-[3px] border-iron pl-3" aria-label="Why the top one">
          {#each ranking.why as line, i (i)}<p>{line}</p>{/each}
        </div>
      {/if}
      <ol class="mt-3">
        {#each ranking.candidates as c, i (c.id)}
          <li class="border-b border-rule py-3" data-candidate={c.name}>
            <div class="flex items-start gap-3">
              <Mark level={level(c)} size={22} />
              <div class="min-w-0 flex-1">
                <p class="flex flex-wrap items-baseline justify-between gap-x-3">
                  <span class="font-semibold">{i + 1}. {c.name}{c.id === '' ? ', on this plan' : ''}</span>
                  {#if c.tried}<span class="font-semibold">{c.jobsDone} of {c.jobs.length} jobs</span>{/if}
                </p>
                <p class="text-[0.94rem] text-soft">
                  {c.kindName}{c.spread > 0 ? `, torque ± ${Math.round(c.spread * 100)} %` : ''}
                </p>
                {#if c.tried}
                  <p class="text-[0.94rem]">
                    Best at {c.ratio}. {c.controlBy}.
                    {#if c.worst}Tightest: {c.worst}, ×{c.margin.toPrecision(3)}, held by {c.limitedBy}.{/if}
                    {#if c.heat > 0}Worked without a stop it makes {Math.max(Math.round(c.heat * 100), 1)} % of the heat it
                      can shed.{/if}
                    {#if c.cost}Costs {c.cost}.{/if}
                  </p>
                  <ul class="mt-1 flex flex-wrap gap-x-3 text-[0.94rem]" aria-label="Jobs">
                    {#each c.jobs as j, k (k)}
                      <li
                        class={j.outcome === 'does'
                          ? 'text-good'
                          : j.outcome === 'just'
                            ? 'text-(--brass-ink)'
                            : 'text-stop'}
                      >
                        {j.name}
                        {j.margin}
                      </li>
                    {/each}
                  </ul>
                  {#if c.against.length > 0}<p class="mt-1 text-[0.94rem]">
                      Against it: {c.against.join('; ')}.
                    </p>{/if}
                  {#if c.effort.length > 0}<p class="mt-1 text-[0.94rem] text-soft">
                      To do: {c.effort.join('; ')}.
                    </p>{/if}
                {:else}
                  <p class="text-[0.94rem]">Not tried: {c.missing.join('; ')}.</p>
                {/if}
                <p class="mt-1 flex flex-wrap gap-x-4">
                  {#if c.tried}
                    <label class="flex min-h-8 items-center gap-2">
                      <input
                        type="checkbox"
                        class="size-5 accent-(--iron)"
                        checked={picked.includes(c.id)}
                        onchange={() => pick(c.id)}
                      />
                      side by side
                    </label>
                    {#if c.id}<button class="link" onclick={() => use(c)}>use it in this plan</button>{/if}
                  {/if}
                  {#if c.id}<a class="link self-center" href="#/shelf/{c.id}">open it</a>{/if}
                </p>
              </div>
            </div>
          </li>
        {:else}
          <li class="py-3 text-soft">No motor on the shelf yet.</li>
        {/each}
      </ol>
    {/if}
  </div>
  {#if ranking && shown.length > 0}
    <div class="min-w-0 self-start lg:sticky lg:top-4">
      <div class="flex flex-wrap items-center justify-between gap-3">
        <h2 class="caption text-ink!">All-day torque side by side</h2>
        <Segments
          label="Geared how"
          value={geared}
          options={[
            ['top', 'same top speed'],
            ['same', 'same ratio']
          ]}
          onchange={(v) => (geared = v)}
        />
      </div>
      <p class="text-sm text-soft">
        {geared === 'top'
          ? `Each geared to reach ${Math.round(ranking.topRpm)} rpm, the fastest any job asks for, and no more.`
          : `Each through the plan's own ${ranking.planRatio || 'reduction'}.`}
        Up to four.
      </p>
      <SideBySide
        units={ranking.units}
        jobs={sheet.assessment?.jobs ?? []}
        curves={shown.map((c) => ({
          name: c.name,
          spread: c.spread,
          points: geared === 'top' ? c.sameTop : c.sameRatio
        }))}
      />
      <p class="mt-2 text-[0.94rem] text-soft">
        Of two motors alike in power and geared to the same top speed the torque is alike on paper. The small fast one
        suits minutes, as in drilling; the large slow one suits hours: heat, brushes and bearings decide.
      </p>
    </div>
  {/if}
</section>
