<script lang="ts">
  import type { Assessment } from '../api/client';
  import Segments from '../ui/Segments.svelte';
  import Axes from './Axes.svelte';
  import JobMarks from './JobMarks.svelte';
  import Positions from './Positions.svelte';
  import ReadOutCard from './ReadOutCard.svelte';
  import type { Chart } from './curves';
  import { jobMarks, mostNamed, taken } from './marks';
  import { readOut } from './readOut';
  import { figure, scales, shown, speedDomain, type View } from './scale';

  /** What the spindle reaches, with the jobs over it. */
  let { a }: { a: Assessment } = $props();

  let view = $state<View>('torque');
  let width = $state(640);
  let height = $state(480);
  /** Speed under the pointer or moved to by the arrow keys; 0 for none. */
  let at = $state(0);

  const margin = { left: 46, right: 26, top: 34, bottom: 46 };
  const w = $derived(Math.max(width - margin.left - margin.right, 120));
  const h = $derived(Math.max(height - margin.top - margin.bottom, 120));
  const chart = $derived<Chart>({ view, units: a.units, ...scales(a, view, w, h), height: h });
  const domain = $derived(speedDomain(a));
  const unit = $derived(view === 'torque' ? a.units.torque : a.units.power);
  const several = $derived(a.reach.positions.length > 1);
  const marks = $derived(jobMarks(chart, a.jobs, w));
  const read = $derived(at > 0 ? readOut(a.reach.positions, at) : undefined);
  /** What is drawn, in a line. */
  const legend = $derived(
    [
      ...(a.reach.positions.some((p) => p.fixed) ? ['Between the uprights: where it runs.'] : []),
      ...(a.reach.positions.some((p) => !p.fixed) ? ['Grey: all day. Hatched: a part of the time.'] : []),
      ...(marks.some((m) => m.least.length > 0) ? ['Dashed: the least of a usual load.'] : []),
      ...(marks.some((m) => m.ceiling.length > 0) ? ['Thin line: a job’s own minutes.'] : []),
      ...(marks.some((m) => m.breakaway) ? ['Stem: to start it.'] : [])
    ].join(' ')
  );
  const top = $derived(chart.x(a.reach.topRpm));

  const point = (e: PointerEvent) => {
    const box = (e.currentTarget as SVGElement).getBoundingClientRect();
    const x = e.clientX - box.left - margin.left;
    at = x >= 0 && x <= w ? chart.x.invert(x) : 0;
  };
  const step = (e: KeyboardEvent) => {
    const factor = { ArrowRight: 1.05, ArrowLeft: 1 / 1.05, PageUp: 1.5, PageDown: 1 / 1.5 }[e.key];
    if (e.key === 'Escape') at = 0;
    if (!factor) return;
    e.preventDefault();
    const from = at > 0 ? at : Math.sqrt(domain[0] * domain[1]);
    at = Math.min(Math.max(from * factor, domain[0]), domain[1]);
  };
  const says = (nm: number, rpm: number) =>
    `${figure(shown('torque', a.units, nm, rpm))} ${a.units.torque}, ${figure(shown('power', a.units, nm, rpm))} ${a.units.power}`;
  const spoken = $derived(
    read?.of
      ? `${figure(read.rpm)} rpm: all day ${says(read.of.continuous, read.rpm)}, held by ${read.of.limit?.continuous}`
      : ''
  );
</script>

<section aria-label="Reach" class="flex h-full min-h-64 flex-col">
  <div class="flex items-center justify-between gap-4 pr-4 pl-3">
    <h2 class="caption text-ink!" data-word="reach">{view} at the spindle, <span class="normal-case">{unit}</span></h2>
    <Segments
      label="What the chart shows"
      value={view}
      options={[
        ['torque', 'torque'],
        ['power', 'power']
      ]}
      onchange={(v) => (view = v)}
    />
  </div>
  <p class="px-3 text-sm text-soft" data-word="reach">{legend}</p>
  {#if a.reach.positions.length === 0}
    <p class="mx-4 mt-2 border-l-4 border-rule bg-card px-3 py-2">The reach is drawn once the line is complete.</p>
  {/if}
  <div class="relative min-h-0 flex-1" bind:clientWidth={width} bind:clientHeight={height}>
    {#if a.reach.positions.length > 0 || marks.length > 0}
      <svg
        class="absolute inset-0 touch-pan-y"
        {width}
        {height}
        role="slider"
        tabindex="0"
        aria-label="Reach of the spindle; arrow keys move the read-out"
        aria-valuemin={Math.round(domain[0])}
        aria-valuemax={Math.round(domain[1])}
        aria-valuenow={Math.round(at || domain[0])}
        aria-valuetext={spoken || 'no speed chosen'}
        onpointermove={point}
        onpointerdown={point}
        onpointerleave={() => (at = 0)}
        onkeydown={step}
      >
        <defs>
          <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V7" stroke="var(--iron)" stroke-width="1" opacity="0.3" />
          </pattern>
          <clipPath id="plot"><rect x="0" y="0" width={w} height={h} /></clipPath>
        </defs>
        <g transform="translate({margin.left},{margin.top})">
          <Axes x={chart.x} y={chart.y} {w} {h} says="spindle speed, rpm" />
          <Positions {chart} positions={a.reach.positions} width={w} from={domain[0]} taken={taken(marks)} />
          {#if a.reach.topRpm > 0}
            {@const anchor = top > w - 70 ? 'end' : 'middle'}
            <path d="M{top} 0V{h}" class="cap" />
            <text x={top} y="-20" class="says" text-anchor={anchor}>{a.reach.topLabel}</text>
            <text x={top} y="-6" class="says" text-anchor={anchor}>{figure(a.reach.topRpm)} rpm</text>
          {/if}
          <JobMarks {chart} {marks} />
          {#if read}
            <path d="M{chart.x(read.rpm)} 0V{h}" class="pointer" />
          {/if}
        </g>
      </svg>
    {/if}
    {#if read?.of}<ReadOutCard of={read.of} rpm={read.rpm} {says} {several} left={chart.x(read.rpm) > w / 2} />{/if}
  </div>
  {#if marks.length > mostNamed}
    <ol class="flex flex-wrap gap-x-4 px-4 pb-2 text-sm" aria-label="Jobs on the chart">
      {#each marks as m, i (m.job.id)}
        <li class={m.state === 'good' ? 'text-good' : m.state === 'stop' ? 'text-stop' : ''}>
          <span class="font-semibold">{i + 1}</span>
          {m.job.name}
          {m.job.short}
        </li>
      {/each}
    </ol>
  {/if}
</section>

<style>
  .cap {
    stroke: var(--stop);
    stroke-width: 1.6;
    stroke-dasharray: 3 3;
  }
  .says {
    font-size: 13px;
    fill: var(--stop);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  .pointer {
    stroke: var(--ink);
    stroke-width: 1;
  }
</style>
