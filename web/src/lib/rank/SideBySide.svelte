<script lang="ts">
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import type { Assessment } from '../api/client';
  import Axes from '../reach/Axes.svelte';
  import { apart } from '../reach/labels';

  interface Point {
    rpm: number;
    torque: number;
  }
  interface Props {
    units: Assessment['units'];
    jobs: Assessment['jobs'];
    /** A torque that is not a number is a gap in a line. */
    curves: { name: string; spread: number; points: Point[] }[];
    height?: number;
  }
  let { units, jobs, curves, height = 380 }: Props = $props();

  let width = $state(480);
  const margin = { left: 44, right: 14, top: 14, bottom: 44 };
  const w = $derived(Math.max(width - margin.left - margin.right, 120));
  const h = $derived(height - margin.top - margin.bottom);

  const drawn = $derived(curves.filter((c) => c.points.length > 0));
  const known = (points: Point[]) => points.filter((p) => !Number.isNaN(p.torque));
  const bands = $derived(jobs.filter((j) => j.rpm.length > 0));
  const rpms = $derived([...drawn.flatMap((c) => c.points.map((p) => p.rpm)), ...bands.flatMap((j) => j.rpm)]);
  const domain = $derived<[number, number]>([Math.max(Math.min(...rpms) * 0.9, 0.1), Math.max(...rpms) * 1.1]);
  const most = $derived(
    Math.max(
      ...drawn.flatMap((c) => known(c.points).map((p) => p.torque * (1 + c.spread))),
      ...bands.flatMap((j) => j.needed)
    ) / units.torqueSi
  );
  const x = $derived(scaleLog().domain(domain).range([0, w]));
  const y = $derived(
    scaleLinear()
      .domain([0, most * 1.08])
      .range([h, 0])
      .nice()
  );
  // Lines are told apart by their dashes and a number at the end, not by colour alone.
  const dashes = ['', '9 4', '2 4', '12 3 2 3'];
  const tones = ['var(--iron)', 'var(--brass-ink)', 'var(--good)', 'var(--ink)'];
  const path = $derived(
    line<Point>(
      (p) => x(p.rpm),
      (p) => y(p.torque / units.torqueSi)
    ).defined((p) => !Number.isNaN(p.torque))
  );
  // Names of the jobs over their middles, none over another.
  const names = $derived.by(() => {
    const labels = bands.map((j) => {
      const wide = j.name.length * 6.8;
      const middle = (x(j.rpm[0] ?? 1) + x(j.rpm.at(-1) ?? 1)) / 2;
      return {
        text: j.name,
        x: Math.max(0, Math.min(middle - wide / 2, w - wide)),
        y: y(Math.max(...j.needed) / units.torqueSi) - 7,
        width: wide
      };
    });
    const clear = apart(labels, [], 15, 0, h);
    return labels.map((l, i) => ({ ...l, y: clear[i] ?? l.y }));
  });
  const cloud = (spread: number) =>
    area<Point>(
      (p) => x(p.rpm),
      (p) => y((p.torque * (1 - spread)) / units.torqueSi),
      (p) => y((p.torque * (1 + spread)) / units.torqueSi)
    );
</script>

<div bind:clientWidth={width}>
  {#if drawn.length > 0}
    <svg
      {width}
      {height}
      role="img"
      aria-label="All-day torque at the spindle of {drawn.map((c) => c.name).join(', ')}"
    >
      <g transform="translate({margin.left},{margin.top})">
        <Axes {x} {y} {w} {h} says="spindle speed, rpm; torque in {units.torque}" />
        {#each bands as j (j.id)}
          <path
            d={line<number>(
              (i) => x(j.rpm[i] ?? 1),
              (i) => y((j.needed[i] ?? 0) / units.torqueSi)
            )(j.rpm.map((_, i) => i))}
            class="job"
          />
        {/each}
        {#each names as n, i (i)}<text x={n.x} y={n.y} class="name">{n.text}</text>{/each}
        {#each drawn as c, i (i)}
          {@const last = known(c.points).at(-1 - 3 * i)}
          {#if c.spread > 0}<path d={cloud(c.spread)(c.points)} fill={tones[i]} opacity="0.14" />{/if}
          <path d={path(c.points)} fill="none" stroke={tones[i]} stroke-width="2.4" stroke-dasharray={dashes[i]} />
          {#if last}
            <circle
              cx={x(last.rpm)}
              cy={y(last.torque / units.torqueSi)}
              r="9"
              fill="var(--card)"
              stroke={tones[i]}
              stroke-width="1.5"
            />
            <text
              x={x(last.rpm)}
              y={y(last.torque / units.torqueSi)}
              class="number"
              text-anchor="middle"
              dominant-baseline="central">{i + 1}</text
            >
          {/if}
        {/each}
      </g>
    </svg>
    <ol class="flex flex-wrap gap-x-5 gap-y-1 text-[0.94rem]">
      {#each drawn as c, i (i)}
        <li class="flex items-center gap-2">
          <svg width="34" height="10" aria-hidden="true"
            ><path d="M0 5H34" stroke={tones[i]} stroke-width="2.4" stroke-dasharray={dashes[i]} /></svg
          >
          {i + 1}. {c.name}
        </li>
      {/each}
      <li class="flex items-center gap-2 text-soft">
        <svg width="34" height="10" aria-hidden="true"><path d="M0 5H34" class="job" /></svg> what the jobs take
      </li>
    </ol>
  {:else}
    <p class="py-8 text-center text-soft">Nothing to draw at this gearing: the plan has no reduction yet.</p>
  {/if}
</div>

<style>
  .job {
    fill: none;
    stroke: var(--soft);
    stroke-width: 3;
  }
  .name {
    font-size: 13px;
    fill: var(--soft);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }
  .number {
    font-size: 12px;
    font-weight: 650;
    fill: var(--ink);
  }
</style>
