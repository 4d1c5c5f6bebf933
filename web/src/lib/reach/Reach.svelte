<script lang="ts">
  import { area, line } from 'd3-shape';
  import type { Assessment } from '../api/client';
  import Segments from '../ui/Segments.svelte';
  import { openSheet } from '../form/context';
  import Axes from './Axes.svelte';
  import { apart } from './labels';
  import { figure, limitAt, nearest, scales, shown, speedDomain, type Curve, type View } from './scale';

  let { a }: { a: Assessment } = $props();

  const sheet = openSheet();
  let view = $state<View>('torque');
  let width = $state(640);
  let height = $state(480);
  /** Speed under the pointer or moved to by the arrow keys; 0 for none. */
  let at = $state(0);

  const margin = { left: 46, right: 26, top: 34, bottom: 46 };
  const w = $derived(Math.max(width - margin.left - margin.right, 120));
  const h = $derived(Math.max(height - margin.top - margin.bottom, 120));
  const s = $derived(scales(a, view, w, h));
  const domain = $derived(speedDomain(a));
  const unit = $derived(view === 'torque' ? a.units.torque : a.units.power);
  const several = $derived(a.reach.positions.length > 1);

  type Position = Assessment['reach']['positions'][number];
  const points = (p: Position, curve: Curve) =>
    p.rpm.map((rpm, i) => ({ x: s.x(rpm), y: s.y(shown(view, a.units, p[curve][i] ?? 0, rpm)) }));
  const stroke = line<{ x: number; y: number }>(
    (d) => d.x,
    (d) => d.y
  );
  const fill = (p: Position, curve: Curve) =>
    area<{ x: number; y: number }>(
      (d) => d.x,
      h,
      (d) => d.y
    )(points(p, curve)) ?? '';
  const band = (p: Position) => {
    const upper = points(p, 'intermittent');
    const lower = points(p, 'continuous');
    return (
      area<number>(
        (i) => upper[i]?.x ?? 0,
        (i) => lower[i]?.y ?? 0,
        (i) => upper[i]?.y ?? 0
      )(upper.map((_, i) => i)) ?? ''
    );
  };
  /** How far the all-day torque may be out, for a motor that is partly guessed. */
  const doubt = (p: Position) =>
    area<number>(
      (i) => s.x(p.rpm[i] ?? 1),
      (i) => s.y(shown(view, a.units, (p.continuous[i] ?? 0) * (1 - p.spread), p.rpm[i] ?? 0)),
      (i) => s.y(shown(view, a.units, (p.continuous[i] ?? 0) * (1 + p.spread), p.rpm[i] ?? 0))
    )(p.rpm.map((_, i) => i)) ?? '';
  const runUp = (p: Position) =>
    stroke(
      p.runUpRpm
        .map((rpm, i) => ({ rpm, nm: p.runUp[i] ?? 0 }))
        .filter((d) => d.rpm >= domain[0])
        .map((d) => ({ x: s.x(d.rpm), y: s.y(shown(view, a.units, d.nm, d.rpm)) }))
    );

  const jobs = $derived(
    a.jobs
      .filter((j) => j.rpm.length > 0)
      .map((j) => {
        const path = j.rpm.map((rpm, i) => ({ x: s.x(rpm), y: s.y(shown(view, a.units, j.needed[i] ?? 0, rpm)) }));
        const first = path[0] ?? { x: 0, y: 0 };
        const last = path.at(-1) ?? first;
        const text = `${j.name} ${j.short}`;
        const width = text.length * 7.1;
        const state =
          j.outcome === 'does'
            ? 'good'
            : j.outcome === 'just'
              ? 'just'
              : j.outcome === 'cannot-tell'
                ? 'unknown'
                : 'stop';
        return {
          j,
          path,
          first,
          last,
          text,
          state,
          width,
          x: Math.max(0, Math.min((first.x + last.x) / 2 - width / 2, w - width)),
          y: Math.min(first.y, last.y) - 11
        };
      })
  );
  const labelY = $derived(
    apart(
      jobs,
      jobs.map((job) => job.path),
      17,
      0,
      h
    )
  );

  const readout = $derived.by(() => {
    if (at <= 0) return undefined;
    const best = a.reach.positions
      .map((p) => ({ p, i: nearest(p, at) }))
      .filter((c): c is { p: Position; i: number } => c.i !== undefined)
      .sort((m, n) => (n.p.continuous[n.i] ?? 0) - (m.p.continuous[m.i] ?? 0))[0];
    if (!best) return { rpm: at };
    const { p, i } = best;
    return {
      rpm: p.rpm[i] ?? at,
      p,
      c: p.continuous[i] ?? 0,
      b: p.intermittent[i] ?? 0,
      k: p.peak[i] ?? 0,
      limit: limitAt(p, p.rpm[i] ?? at)
    };
  });

  const point = (e: PointerEvent) => {
    const box = (e.currentTarget as SVGElement).getBoundingClientRect();
    const x = e.clientX - box.left - margin.left;
    at = x >= 0 && x <= w ? s.x.invert(x) : 0;
  };
  const step = (e: KeyboardEvent) => {
    const factor = { ArrowRight: 1.05, ArrowLeft: 1 / 1.05, PageUp: 1.5, PageDown: 1 / 1.5 }[e.key];
    if (e.key === 'Escape') at = 0;
    if (!factor) return;
    e.preventDefault();
    const from = at > 0 ? at : Math.sqrt(domain[0] * domain[1]);
    at = Math.min(Math.max(from * factor, domain[0]), domain[1]);
  };
  const read = (nm: number, rpm: number) =>
    `${figure(shown('torque', a.units, nm, rpm))} ${a.units.torque}, ${figure(shown('power', a.units, nm, rpm))} ${a.units.power}`;
  const spoken = $derived(
    readout?.p
      ? `${figure(readout.rpm)} rpm: all day ${read(readout.c, readout.rpm)}, held by ${readout.limit?.continuous}`
      : ''
  );
  /** Where along a curve its caption sits clear of the jobs. */
  const caption = (p: Position, curve: Curve, share: number) =>
    points(p, curve)[Math.round((p.rpm.length - 1) * share)] ?? { x: 0, y: 0 };
</script>

<section aria-label="Reach" class="flex h-full min-h-64 flex-col">
  <div class="flex items-center justify-between gap-4 pr-4 pl-3">
    <h2 class="caption text-ink!">{view} at the spindle, <span class="normal-case">{unit}</span></h2>
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
  {#if a.reach.positions.length === 0}
    <p class="mx-4 mt-2 border-l-4 border-rule bg-card px-3 py-2">
      The reach is drawn once the line is complete.
      {#if a.next.field}<button class="link" onclick={() => sheet.goTo(a.next.field)}>{a.next.text}</button>{/if}
    </p>
  {/if}
  <div class="relative min-h-0 flex-1" bind:clientWidth={width} bind:clientHeight={height}>
    {#if a.reach.positions.length > 0 || jobs.length > 0}
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
          <Axes x={s.x} y={s.y} {w} {h} says="spindle speed, rpm" />

          <g clip-path="url(#plot)">
            {#each a.reach.positions as p, i (i)}
              <path d={fill(p, 'continuous')} class="all-day" />
              <path d={band(p)} fill="url(#hatch)" />
              <path d={stroke(points(p, 'peak'))} class="peak" />
              <path d={stroke(points(p, 'intermittent'))} class="burst" />
              {#if p.spread > 0}<path d={doubt(p)} class="doubt" />{/if}
              <path d={stroke(points(p, 'continuous'))} class="day-line" class:guessed={p.spread > 0} />
              {#if p.fixed}
                <path d={runUp(p)} class="peak" />
                <path
                  d="M{s.x(p.lowRpm)} {h}V{points(p, 'continuous')[0]?.y}M{s.x(p.highRpm)} {h}V{points(
                    p,
                    'continuous'
                  )[0]?.y}"
                  class="day-line"
                />
              {/if}
            {/each}
          </g>
          {#each a.reach.positions as p, i (i)}
            {#if !p.fixed && i === 0 && h > 220}
              {@const c = caption(p, 'continuous', 0.04)}
              {@const b = caption(p, 'intermittent', 0.7)}
              {@const k = caption(p, 'peak', 0.04)}
              {#if k.y > 12 && b.y - k.y > 22}<text x={k.x + 6} y={k.y - 6} class="says iron">some seconds</text>{/if}
              <text x={c.x + 6} y={Math.min(c.y + 34, h - 22)} class="says iron"
                >all day{p.spread > 0 ? `, give or take ${figure(p.spread * 100)} %` : ''}</text
              >
              {#if p.limits[0]?.continuous && w > 500}<text x={c.x + 6} y={Math.min(c.y + 50, h - 6)} class="says soft"
                  >held by {p.limits[0].continuous}</text
                >{/if}
              <text x={Math.min(b.x, w) - 4} y={Math.max(b.y - 7, 10)} class="says iron" text-anchor="end"
                >five minutes in fifteen</text
              >
            {/if}
            {#if several || p.fixed}
              <text
                x={s.x(p.highRpm) + (p.fixed ? 5 : -5)}
                y={h - 8}
                class="says iron"
                text-anchor={p.fixed ? 'start' : 'end'}>{p.label}</text
              >
            {/if}
          {/each}

          {#if a.reach.topRpm > 0}
            <path d="M{s.x(a.reach.topRpm)} 0V{h}" class="cap" />
            <text
              x={s.x(a.reach.topRpm)}
              y="-20"
              class="says stop"
              text-anchor={s.x(a.reach.topRpm) > w - 70 ? 'end' : 'middle'}>{a.reach.topLabel}</text
            >
            <text
              x={s.x(a.reach.topRpm)}
              y="-6"
              class="says stop"
              text-anchor={s.x(a.reach.topRpm) > w - 70 ? 'end' : 'middle'}>{figure(a.reach.topRpm)} rpm</text
            >
          {/if}

          {#each jobs as job, i (job.j.id)}
            <g class="job {job.state}">
              <path d={stroke(job.path)} />
              {#each [job.first, job.last] as end, k (k)}<path d="M{end.x} {end.y - 6}V{end.y + 6}" />{/each}
              <!-- What the old motor gave in each of its positions. -->
              {#each job.j.baseline as b, k (k)}<circle
                  cx={s.x(b.rpm)}
                  cy={s.y(shown(view, a.units, b.torque, b.rpm))}
                  r="5"
                />{/each}
              <text x={job.x} y={labelY[i]} class="halo" aria-hidden="true">{job.text}</text>
              <text x={job.x} y={labelY[i]}>{job.text}</text>
            </g>
          {/each}

          {#if readout}
            <path d="M{s.x(readout.rpm)} 0V{h}" class="pointer" />
          {/if}
        </g>
      </svg>
    {/if}
    {#if readout?.p}
      <div class="readout" class:left={s.x(readout.rpm) > w / 2} aria-hidden="true">
        <p class="font-semibold">{figure(readout.rpm)} rpm{several ? `, ${readout.p.label}` : ''}</p>
        <p>all day {read(readout.c, readout.rpm)}</p>
        <p class="text-soft">held by {readout.limit?.continuous}</p>
        <p>5 in 15 min {read(readout.b, readout.rpm)}</p>
        <p class="text-soft">held by {readout.limit?.intermittent}</p>
        <p>seconds {read(readout.k, readout.rpm)}</p>
        <p class="text-soft">held by {readout.limit?.peak}</p>
      </div>
    {/if}
  </div>
</section>

<style>
  .all-day {
    fill: color-mix(in srgb, var(--iron) 17%, transparent);
  }
  .day-line {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2.5;
  }
  .doubt {
    fill: var(--brass);
    opacity: 0.22;
  }
  .guessed {
    stroke-dasharray: 14 5;
  }
  .burst {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.6;
    stroke-dasharray: 7 4;
  }
  .peak {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.3;
    stroke-dasharray: 1.5 4;
  }
  .cap {
    stroke: var(--stop);
    stroke-width: 1.6;
    stroke-dasharray: 3 3;
  }
  .says {
    font-size: 13px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  .iron {
    fill: var(--iron);
  }
  .soft {
    fill: var(--soft);
  }
  .stop {
    fill: var(--stop);
  }
  .job path {
    fill: none;
    stroke: currentColor;
    stroke-width: 3.5;
  }
  .job circle {
    fill: var(--paper);
    stroke: currentColor;
    stroke-width: 2.5;
  }
  .job text {
    fill: currentColor;
    font-size: 14px;
    font-weight: 650;
  }
  .job .halo {
    stroke: var(--paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
  .job.good {
    color: var(--good);
  }
  .job.just {
    color: var(--brass-ink);
  }
  .job.stop {
    color: var(--stop);
  }
  .job.unknown {
    color: var(--soft);
  }
  .pointer {
    stroke: var(--ink);
    stroke-width: 1;
  }
  .readout {
    position: absolute;
    top: 2.5rem;
    right: 1.5rem;
    background: var(--card);
    border: 1px solid var(--rule);
    border-radius: 3px;
    padding: 0.4rem 0.7rem;
    font-size: 0.9rem;
    pointer-events: none;
  }
  .readout.left {
    right: auto;
    left: 3.6rem;
  }
</style>
