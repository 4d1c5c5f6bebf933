<script lang="ts">
  import { scaleLog } from 'd3-scale';
  import type { Assessment } from '../api/client';
  import { figure, speedTicks } from '../reach/scale';
  import { apart } from '../reach/labels';
  import type { Found } from './search.svelte';

  /** Every position's speeds on a log ruler, with the jobs' bands behind, what overlaps and what is
   *  left out. */
  let { a, looked }: { a: Assessment; looked?: Found | undefined } = $props();

  let width = $state(600);
  const side = 16;
  const row = 24;

  const jobs = $derived(
    a.jobs.filter((j) => j.rpm.length > 0).map((j) => ({ ...j, low: Math.min(...j.rpm), high: Math.max(...j.rpm) }))
  );
  const positions = $derived(a.reach.positions);
  const bands = $derived([
    ...positions.map((p) => ({
      low: p.lowRpm,
      high: p.highRpm,
      says: positions.length > 1 ? p.label : 'this drive',
      ratio: p.ratio,
      here: true
    })),
    ...(looked?.bands ?? []).map((b, i) => ({
      low: b.lowRpm,
      high: b.highRpm,
      says: looked?.ratios[i] ?? '',
      ratio: 0,
      here: false
    }))
  ]);
  const speeds = $derived([
    ...jobs.flatMap((j) => [j.low, j.high]),
    ...bands.flatMap((b) => [b.low, b.high]),
    ...(a.reach.topRpm > 0 ? [a.reach.topRpm] : [])
  ]);
  const domain = $derived<[number, number]>(
    speeds.length > 0 ? [Math.min(...speeds) * 0.8, Math.max(...speeds) * 1.3] : [10, 1000]
  );
  const x = $derived(
    scaleLog()
      .domain(domain)
      .range([side, width - side])
  );
  // A job's name stands in its band, or moves down where names would meet.
  const letters = 7.2;
  const labels = $derived(
    jobs.map((j) => ({
      x: Math.max(Math.min(x(j.low) + 4, width - j.name.length * letters), 0),
      y: 17,
      width: j.name.length * letters
    }))
  );
  const names = $derived(apart(labels, [], 15, 2, 80));
  const jobsDeep = $derived(Math.max(...names, 17) + 9);
  const at = (i: number) => jobsDeep + 20 + i * row;
  const foot = $derived(at(Math.max(bands.length, 1)) + 6);
  const height = $derived(foot + 26);
  // Where nothing is reached at all, how much of it is no news.
  const holes = $derived(
    a.coverage.holes.map((h) => ({
      ...h,
      middle: (x(h.fromRpm) + x(h.toRpm)) / 2,
      says: bands.length > 0 ? `not reached: ${figure(h.fromRpm)} to ${figure(h.toRpm)}` : 'not reached'
    }))
  );
  const limit = $derived.by(() => {
    const says = `${a.reach.topLabel} ${figure(a.reach.topRpm)}`;
    const line = x(Math.max(a.reach.topRpm, 1));
    const late = line > width - 150;
    const [from, to] = late ? [line - says.length * letters, line] : [line, line + says.length * letters];
    const crowded = holes.some(
      (h) => h.middle + (h.says.length * letters) / 2 > from && h.middle - (h.says.length * letters) / 2 < to
    );
    return { says, line, late, y: foot - (crowded ? 24 : 8) };
  });
  const percent = (share: number) => `${figure(share * 100)} %`;
</script>

<section aria-label="Speeds at the spindle, rpm" class="px-3">
  <h2 class="caption text-ink!">Speeds at the spindle, rpm</h2>
  <div bind:clientWidth={width}>
    <svg {width} {height} role="img" aria-label="Speed ruler: {bands.length} bands over {jobs.length} jobs">
      {#each jobs as j, i (j.id)}
        <rect
          x={x(j.low)}
          y="4"
          width={Math.max(x(j.high) - x(j.low), 4)}
          height={foot - 4}
          class="job"
          class:short={j.outcome !== 'does' && j.outcome !== 'just'}
        />
        <text x={labels[i]?.x} y={names[i]} class="name" class:bad={j.outcome !== 'does' && j.outcome !== 'just'}
          >{j.name}</text
        >
      {/each}
      {#each holes as h, i (i)}
        <rect
          x={x(h.fromRpm)}
          y={jobsDeep}
          width={Math.max(x(h.toRpm) - x(h.fromRpm), 2)}
          height={foot - jobsDeep}
          class="hole"
        />
        <text x={h.middle} y={foot - 5} text-anchor="middle" class="name bad halo">{h.says}</text>
      {/each}
      {#if a.reach.topRpm > 0}
        <path d="M{limit.line} 2V{foot}" class="limit" />
        <text
          x={limit.line + (limit.late ? -5 : 5)}
          y={limit.y}
          text-anchor={limit.late ? 'end' : 'start'}
          class="name bad halo">{limit.says}</text
        >
      {/if}
      {#each bands as b, i (i)}
        {@const y = at(i)}
        <path d="M{x(b.low)} {y + 9}V{y}H{x(b.high)}V{y + 9}" class="band" class:here={b.here} />
        <text x={x(b.low)} y={y - 4} class="says halo">{b.says}{b.ratio ? `, ${figure(b.ratio)} : 1` : ''}</text>
      {/each}
      <path d="M{side} {foot}H{width - side}" class="axis" />
      {#each speedTicks(domain, width * 0.65) as t (t)}
        <path d="M{x(t)} {foot}v-6" class="axis" />
        <text x={x(t)} y={foot + 16} text-anchor="middle" class="tick">{figure(t)}</text>
      {/each}
    </svg>
  </div>
  <p class="text-sm text-soft">
    {#if a.coverage.covered > 0}{percent(Math.floor(a.coverage.covered * 1000) / 1000)} of the jobs' speeds are reached.{/if}
    {#each a.coverage.overlaps as o, i (i)}
      Overlap {figure(o.fromRpm)}–{figure(o.toRpm)} rpm, {o.share > 1 ? `×${figure(o.share + 1)}` : percent(o.share)}.
    {/each}
  </p>
</section>

<style>
  .job {
    fill: color-mix(in srgb, var(--good) 18%, transparent);
  }
  .job.short {
    fill: color-mix(in srgb, var(--stop) 15%, transparent);
  }
  .hole {
    fill: none;
    stroke: var(--stop);
    stroke-dasharray: 3 3;
  }
  .limit {
    stroke: var(--stop);
    stroke-dasharray: 3 3;
  }
  .band {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.6;
    stroke-dasharray: 5 3;
  }
  .band.here {
    stroke: var(--ink);
    stroke-width: 2.4;
    stroke-dasharray: none;
  }
  .axis {
    fill: none;
    stroke: var(--soft);
  }
  text {
    font-size: 13px;
    fill: var(--ink);
  }
  .name {
    fill: var(--good);
  }
  .name.bad {
    fill: var(--stop);
  }
  .tick {
    fill: var(--soft);
  }
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
</style>
