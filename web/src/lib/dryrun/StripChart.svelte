<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { Schemas } from '../api/client';
  import { figure } from '../reach/scale';
  import { bandOf, labelsOf, pathOf, spansOf } from './chart';
  import { prefs } from '../prefs.svelte';
  import type { Play } from './play.svelte';
  import { warmth, warmthUnit, type Trace } from './trace';

  /** Speed, current and warmth over time, and where the hand is. */
  interface Props {
    answer: Schemas['DryrunAnswer'];
    ghost?: Schemas['DryrunAnswer'];
    ghostName?: string;
    /** Where nine in ten of the runs over what is not known lie. */
    band?: Schemas['DryrunBand'];
    /** What plays it; on paper nothing does. */
    play?: Play;
  }
  let { answer, ghost, ghostName = '', band, play }: Props = $props();

  let width = $state(640);
  let shown = $state<[number, number]>();

  const LEFT = 48;
  const TOP = 58;
  const rows = [
    { name: 'Spindle, rpm', key: 'spindleRpm', h: 138 },
    { name: 'Motor, A', key: 'amps', h: 88 },
    { name: 'Winding', key: 'windingC', h: 56 }
  ] as const;
  const GAP = 30;
  const height = TOP + rows.reduce((sum, r) => sum + r.h + GAP, 0) + 14;
  const plot = $derived(Math.max(width - LEFT - 12, 120));

  const trace = $derived(answer.trace);
  const ends = $derived(Math.max(trace.seconds.at(-1) ?? 1, ghost?.trace.seconds.at(-1) ?? 0));
  const view = $derived<[number, number]>(shown ?? [0, ends]);
  const x = $derived(scaleLinear().domain(view).range([0, plot]));

  const least = (list: readonly number[]) => list.reduce((m, v) => Math.min(m, v), Infinity);
  const most = (list: readonly number[]) => list.reduce((m, v) => Math.max(m, v), -Infinity);
  /** The values of a strip, as they are shown. */
  const valuesOf = (t: Trace, key: (typeof rows)[number]['key']) =>
    key === 'windingC' ? t.windingC.map((c) => warmth(c, prefs.units)) : t[key];
  const strips = $derived.by(() => {
    let top = TOP;
    return rows.map((r) => {
      const values = valuesOf(trace, r.key);
      const all = [
        ...values,
        ...(ghost ? valuesOf(ghost.trace, r.key) : []),
        ...(r.key === 'spindleRpm' ? (band?.high ?? []) : [])
      ];
      let high = most(all);
      // What rounding leaves under nothing is no room to show.
      const under = least(all) < -0.02 * high ? least(all) : 0;
      const low = r.key === 'windingC' ? Math.min(least(all) - 5, 20) : under;
      if (r.key === 'amps' && answer.limit && answer.limit < high * 1.6) high = Math.max(high, answer.limit);
      if (r.key === 'windingC') high = Math.max(high + 5, low + 30);
      const y = scaleLinear()
        .domain([low, Math.max(high * 1.08, low + 1e-3)])
        .range([top + r.h, top])
        .nice(3);
      const strip = {
        ...r,
        top,
        y,
        ticks: y.ticks(r.h > 100 ? 4 : 2),
        d: pathOf(trace.seconds, values, x, y),
        band: band && r.key === 'spindleRpm' ? bandOf(band, x, y) : '',
        beside: ghost ? pathOf(ghost.trace.seconds, valuesOf(ghost.trace, r.key), x, y) : ''
      };
      top += r.h + GAP;
      return strip;
    });
  });
  const labels = $derived(labelsOf(answer.events, x, plot, 3));
  const spans = $derived(spansOf(answer.events));
  const bottom = $derived(height - GAP - 10);
  const moment = $derived(play?.moment);
  const playhead = $derived(x(play?.at ?? 0));

  /** Zooms about the hand. */
  const zoom = (factor: number) => {
    const span = (view[1] - view[0]) * factor;
    if (span >= ends) {
      shown = undefined;
      return;
    }
    const from = Math.min(Math.max((play?.at ?? 0) - span / 2, 0), ends - span);
    shown = [from, from + span];
  };
  /** Keeps the hand in view. */
  $effect(() => {
    if (!shown || !play) return;
    const [from, to] = shown;
    const span = to - from;
    if (play.at < from) shown = [Math.max(play.at - span * 0.1, 0), Math.max(play.at - span * 0.1, 0) + span];
    else if (play.at > to) shown = [Math.min(play.at - span * 0.1, ends - span), Math.min(play.at + span * 0.9, ends)];
  });

  let svg = $state<SVGSVGElement>();
  const seek = (e: PointerEvent) => {
    if (!svg || !play || (e.type === 'pointermove' && e.buttons !== 1)) return;
    const box = svg.getBoundingClientRect();
    play.pause();
    play.seek(x.invert(e.clientX - box.left - LEFT));
  };
  const key = (e: KeyboardEvent) => {
    if (!play) return;
    const span = view[1] - view[0];
    const step = e.shiftKey ? span / 10 : span / 200;
    const does: Record<string, () => void> = {
      ' ': () => play.toggle(),
      ArrowLeft: () => play.seek(play.at - step),
      ArrowRight: () => play.seek(play.at + step),
      PageDown: () => play.seek(play.at - span / 10),
      PageUp: () => play.seek(play.at + span / 10),
      Home: () => play.seek(0),
      End: () => play.seek(ends),
      '+': () => zoom(0.5),
      '=': () => zoom(0.5),
      '-': () => zoom(2)
    };
    const act = does[e.key];
    if (!act || e.ctrlKey || e.metaKey || e.altKey) return;
    e.preventDefault();
    if (e.key.startsWith('Arrow')) play.pause();
    act();
  };
  const says = $derived(
    moment
      ? `${figure(moment.seconds)} s, spindle ${figure(moment.spindleRpm)} rpm, motor ${figure(moment.amps)} A, winding ${figure(warmth(moment.windingC, prefs.units))} ${warmthUnit(prefs.units)}`
      : ''
  );
</script>

<div bind:clientWidth={width} class="min-w-0">
  <svg
    bind:this={svg}
    {width}
    {height}
    {...play
      ? {
          role: 'slider',
          tabindex: 0,
          'aria-label': 'Time in the run',
          'aria-valuemin': 0,
          'aria-valuemax': Math.round(ends * 100) / 100,
          'aria-valuenow': Math.round(play.at * 100) / 100,
          'aria-valuetext': says
        }
      : { role: 'img', 'aria-label': 'Speed, current and warmth over the run' }}
    onpointerdown={seek}
    onpointermove={seek}
    onkeydown={key}
    class="chart"
  >
    <defs><clipPath id="strip-view"><rect x="0" y="0" width={plot} {height} /></clipPath></defs>
    <g transform="translate({LEFT} 0)">
      <g clip-path="url(#strip-view)">
        {#each spans as s (s.from)}
          <rect
            x={x(s.from)}
            y={TOP}
            width={Math.max(x(s.to) - x(s.from), 0)}
            height={bottom - TOP}
            class="span {s.does}"
          />
        {/each}
        {#each answer.events.filter((e) => e.entry >= 0) as e, i (i)}
          <path d="M{x(e.seconds)} {TOP - 2}V{bottom}" class="event" />
        {/each}
      </g>
      {#each labels as l, i (i)}
        <text
          x={l.at + (l.before ? -4 : 4)}
          y={14 + l.row * 15}
          text-anchor={l.before ? 'end' : 'start'}
          class="label"
          class:bad={l.bad}>{l.words}</text
        >
        <path d="M{l.at} {18 + l.row * 15 - 14}V{TOP}" class="event" class:bad={l.bad} />
      {/each}
      {#each strips as s (s.key)}
        {#each s.ticks as t (t)}
          <path d="M0 {s.y(t)}H{plot}" class="grid" />
          <text x="-7" y={s.y(t)} text-anchor="end" dominant-baseline="middle" class="tick">{figure(t)}</text>
        {/each}
        <g clip-path="url(#strip-view)">
          {#if s.key === 'amps' && answer.limit && s.y(answer.limit) > s.top - 2}
            <path d="M0 {s.y(answer.limit)}H{plot}" class="limit" />
          {/if}
          {#if s.band}<path d={s.band} class="band" />{/if}
          {#if s.beside}<path d={s.beside} class="ghost" />{/if}
          <path d={s.d} class="line" />
        </g>
        {#if s.key === 'amps' && answer.limit && s.y(answer.limit) > s.top - 2}
          <text x={plot} y={s.y(answer.limit) - 4} text-anchor="end" class="limit-says"
            >limit {figure(answer.limit)} A</text
          >
        {/if}
        <text x="2" y={s.top - 6} class="name"
          >{s.key === 'windingC' ? `${s.name}, ${warmthUnit(prefs.units)}` : s.name}</text
        >
        {#if s.beside && s.key === 'spindleRpm'}
          <text x={plot} y={s.top - 6} text-anchor="end" class="ghost-says">- - {ghostName}</text>
        {/if}
      {/each}
      {#each x.ticks(Math.max(Math.floor(plot / 90), 3)) as t (t)}
        <text x={x(t)} y={height - 8} text-anchor="middle" class="tick">{figure(t)}</text>
      {/each}
      <text x={plot + 10} y={height - 8} text-anchor="end" class="tick">s</text>
      {#if play && playhead >= -1 && playhead <= plot + 1}
        <path d="M{playhead} {TOP - 4}V{bottom + 8}" class="hand" />
        <path d="M{playhead - 5} {bottom + 8}h10l-5 8z" class="hand-end" />
        {#each strips as s (s.key)}
          {#if moment}<circle
              cx={playhead}
              cy={s.y(s.key === 'windingC' ? warmth(moment.windingC, prefs.units) : moment[s.key])}
              r="4.500"
              class="at"
            />{/if}
        {/each}
      {/if}
    </g>
  </svg>
</div>
{#if play}
  <p class="flex items-center justify-end gap-3 px-4 text-sm text-soft" data-screen>
    <span class="keys">space plays, arrows scrub, + and − zoom</span>
    <button class="link min-h-8" onclick={() => zoom(0.5)} aria-label="closer, less time shown">closer</button>
    <button class="link min-h-8" onclick={() => zoom(2)} disabled={!shown} aria-label="wider, more time shown"
      >wider</button
    >
  </p>
{/if}

<style>
  @media (max-width: 40rem) {
    .keys {
      display: none;
    }
  }
  .chart {
    display: block;
    touch-action: pan-y;
    cursor: ew-resize;
    user-select: none;
  }
  .span {
    fill: color-mix(in srgb, var(--good) 13%, transparent);
  }
  .span.jam {
    fill: color-mix(in srgb, var(--stop) 12%, transparent);
  }
  .span.fails {
    fill: color-mix(in srgb, var(--soft) 16%, transparent);
  }
  .event {
    stroke: var(--soft);
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
  .event.bad {
    stroke: var(--stop);
  }
  .grid {
    stroke: var(--grid);
  }
  .tick {
    fill: var(--soft);
    font-size: 13px;
  }
  .name {
    fill: var(--soft);
    font-family: var(--font-head);
    font-size: 13px;
    font-weight: 600;
    letter-spacing: 0.08em;
    text-transform: uppercase;
  }
  .label {
    fill: var(--ink);
    font-size: 13px;
  }
  .label.bad {
    fill: var(--stop);
  }
  .line {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2.2;
    stroke-linejoin: round;
  }
  .band {
    fill: color-mix(in srgb, var(--iron) 24%, transparent);
  }
  .ghost {
    fill: none;
    stroke: var(--brass);
    stroke-width: 1.8;
    stroke-dasharray: 6 4;
  }
  .ghost-says {
    fill: var(--brass-ink);
    font-size: 13px;
  }
  .limit {
    stroke: var(--stop);
    stroke-dasharray: 4 3;
  }
  .limit-says,
  .ghost-says {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
  .limit-says {
    fill: var(--stop);
    font-size: 12.5px;
  }
  .hand {
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .hand-end {
    fill: var(--ink);
  }
  .at {
    fill: var(--card);
    stroke: var(--ink);
    stroke-width: 1.8;
  }
</style>
