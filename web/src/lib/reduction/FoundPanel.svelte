<script lang="ts">
  import Mark from '../ui/Mark.svelte';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import Bounds from './Bounds.svelte';
  import SmallRuler from './SmallRuler.svelte';
  import SmallStages from './SmallStages.svelte';
  import type { Found } from './search.svelte';

  /** The best reductions there are within the bounds, each to look at and to take. */
  const sheet = openSheet();
  const search = sheet.search;

  $effect(() => {
    void search.basis;
    search.soon();
  });
  $effect(() => () => search.stop());

  const result = $derived(search.result);
  const jobs = $derived(sheet.assessment?.jobs ?? []);
  // One scale for all answers: the jobs' speeds with room beside.
  const domain = $derived.by<[number, number]>(() => {
    const speeds = jobs.flatMap((j) => j.rpm).filter((v) => v > 0);
    return speeds.length > 0 ? [Math.min(...speeds) * 0.5, Math.max(...speeds) * 1.6] : [10, 1000];
  });
  const thousands = (n: number) => n.toString().replace(/\B(?=(\d{3})+$)/g, '\u202f');
  const took = $derived(
    search.seconds < 1 ? `${figure(search.seconds * 1000)}\u202fms` : `${search.seconds.toFixed(1)}\u202fs`
  );
  const take = (f: Found) => {
    sheet.change(({ plan }) => {
      plan.reduction.stages = structuredClone($state.snapshot(f.plan.stages));
      // Read with the wheels that come off.
      plan.reduction.speeds = { ...plan.reduction.speeds, motor: '', spindle: '' };
    });
    search.looked = undefined;
  };
  // A job not filled in yet is nobody's fault.
  const judged = (f: Found) => f.jobs.filter((j) => j.outcome !== 'cannot-tell');
  const level = (f: Found) =>
    f.not || f.jobsDone < judged(f).length ? 'stop' : judged(f).every((j) => j.outcome === 'does') ? 'good' : 'caution';
</script>

{#snippet answer(f: Found, own: boolean)}
  {@const on = search.looked === f}
  <li class="answer" class:on>
    <div class="flex items-center gap-3">
      <SmallStages stages={f.stages} />
      <div class="min-w-0 flex-1">
        <p class="font-head text-[1.12rem] leading-tight font-semibold">{f.label}</p>
        <p class="flex items-center gap-1.5 text-[0.94rem]">
          <Mark level={level(f)} size={16} />{f.jobsDone} of {judged(f).length} jobs
        </p>
      </div>
    </div>
    <SmallRuler found={f} {jobs} {domain} />
    <p class="text-[0.92rem] text-soft">
      {#if f.worst}Tightest ×{figure(f.margin)}, {f.worst}.{/if}
      Tops out at {f.top}.
      {#if f.not}{f.not}.{/if}
      {#if f.givesUp}{f.givesUp}.{/if}
    </p>
    {#if f.buy.length > 0}<p class="text-[0.92rem]">To buy: {f.buy.join('; ')}.</p>{/if}
    {#if f.onHand.length > 0}<p class="text-[0.92rem]">On the shelf: {f.onHand.join('; ')}.</p>{/if}
    {#if !own}
      <p class="flex gap-5">
        <button class="link min-h-8" aria-pressed={on} onclick={() => (search.looked = on ? undefined : f)}
          >{on ? 'off the ruler' : 'on the ruler'}</button
        >
        <button class="link min-h-8" onclick={() => take(f)}>take this one</button>
      </p>
    {/if}
  </li>
{/snippet}

<section aria-label="Best reductions" class="p-4">
  <div class="flex items-baseline justify-between gap-2">
    <p class="caption">{result && result.tried > 0 ? `Best of ${thousands(result.tried)} tried` : 'Best reduction'}</p>
    {#if result && result.tried > 0}<span class="text-sm text-soft">{took}</span>{/if}
  </div>
  {#if result && result.leftOut > 0}
    <p class="text-sm text-soft">
      There are more sizes of wheel than can be tried: {result.leftOut} were left out, those closest to others. A smaller
      largest wheel, or no cones, tries more of them.
    </p>
  {/if}
  <Bounds {search} />
  {#if search.share !== undefined}
    <div class="mt-2 flex items-center gap-3">
      <progress class="flex-1" value={search.share} aria-label="Search"></progress>
      <button class="button" onclick={() => search.stop()}>Stop</button>
    </div>
  {/if}
  {#if search.problem}<p role="alert" class="mt-2 text-stop">{search.problem}</p>{/if}
  {#if result}
    <ol aria-label="Answers, best first">
      {#each result.found as f, n (n)}
        {@render answer(f, false)}
      {:else}
        <li class="py-3 text-soft">
          {#if result.untold}
            {result.untold}
            {#if sheet.assessment?.next.field}
              <button class="link" onclick={() => sheet.goTo(sheet.assessment?.next.field ?? '')}
                >{sheet.assessment.next.text}</button
              >
            {/if}
          {:else}
            Nothing within these bounds does any of the jobs.
            {result.widen.length > 0
              ? 'Widen one of them:'
              : 'No bound that was widened gives more: look for another motor, or ask less of it.'}
          {/if}
        </li>
      {/each}
    </ol>
    {#if result.widen.length > 0}
      <ul aria-label="Bounds to widen" class="py-1">
        {#each result.widen as w (w.label)}
          <li><button class="link min-h-8 text-left" onclick={() => (search.ask = w.ask)}>{w.label}</button></li>
        {/each}
      </ul>
    {/if}
    {#if result.nearest.length > 0}
      <h3 class="caption mt-4">What comes nearest</h3>
      <ol>
        {#each result.nearest as f, n (n)}{@render answer(f, false)}{/each}
      </ol>
    {/if}
    {#if result.simpler || result.why}
      <h3 class="caption mt-4">Why not simpler?</h3>
      <p class="text-[0.94rem]">{result.why}</p>
      {#if result.simpler}<ol>{@render answer(result.simpler, result.simpler.plan.stages.length === 0)}</ol>{/if}
    {/if}
    {#if result.now}
      <h3 class="caption mt-4">As the plan stands</h3>
      <ol>{@render answer(result.now, true)}</ol>
    {/if}
  {:else if search.running}
    <p class="py-3 text-soft" aria-busy="true">Looking.</p>
  {:else if !search.problem}
    <p class="py-3">Stopped. <button class="link" onclick={() => search.soon()}>Look again</button></p>
  {/if}
</section>

<style>
  .answer {
    border-bottom: 1px solid var(--rule);
    padding: 0.6rem 0;
  }
  .answer.on {
    background: var(--iron-wash);
    margin-inline: -1rem;
    padding-inline: 1rem;
  }
</style>
