<script lang="ts">
  import { band, caption, doubt, fill, points, runUp, stroke, type Chart, type Position } from './curves';
  import { apart, clear, type Label } from './labels';
  import { figure } from './scale';

  /** What the spindle reaches in every position: its limits, what binds, and the band of a guess. */
  interface Props {
    chart: Chart;
    positions: Position[];
    width: number;
    from: number;
    /** Where names stand that must not be covered. */
    taken: Label[];
  }
  let { chart, positions, width, from, taken }: Props = $props();

  const h = $derived(chart.height);
  const several = $derived(positions.length > 1);
  const first = $derived(positions[0]);
  const letters = 6.4;
  const free = (x: number, y: number, text: string, end = false) => {
    const wide = text.length * letters;
    return clear({ x: end ? x - wide : x, y, width: wide }, taken, 16);
  };
  const burst = 'five minutes in fifteen';
  /** Where along its line the caption of the intermittent limit stands clear of every name. */
  const burstAt = $derived(
    first &&
      [0.7, 0.5, 0.9, 0.35, 0.2]
        .map((share) => caption(chart, first, 'intermittent', share))
        .map((b) => ({ x: Math.min(b.x, width) - 4, y: Math.max(b.y - 7, 10) }))
        .find((b) => b.x > burst.length * letters && free(b.x, b.y, burst, true))
  );
  /** The positions' names at the foot, clear of the jobs' and of each other. */
  const names = $derived.by(() => {
    const labels = positions
      .filter((p) => several || p.fixed)
      .map((p) => {
        const wide = p.label.length * letters;
        const x = chart.x(p.highRpm) + (p.fixed ? 5 : -5 - wide);
        return { text: p.label, x: Math.max(Math.min(x, width - wide), 0), y: h - 8, width: wide };
      });
    const y = apart([...taken, ...labels], [], 16, 0, h).slice(taken.length);
    return labels.map((l, i) => ({ ...l, y: y[i] ?? l.y }));
  });
  const allDay = $derived(
    first && first.spread > 0 ? `all day, give or take ${figure(first.spread * 100)} %` : 'all day'
  );
  /** Both ends of the speeds a motor on the line keeps to. */
  const thin = (p: Position) => {
    const top = points(chart, p, 'continuous')[0]?.y;
    return `M${chart.x(p.lowRpm)} ${h}V${top}M${chart.x(p.highRpm)} ${h}V${top}`;
  };
</script>

<g clip-path="url(#plot)">
  {#each positions as p, i (i)}
    <path d={fill(chart, p, 'continuous')} class="all-day" />
    <path d={band(chart, p)} fill="url(#hatch)" />
    <path d={stroke(points(chart, p, 'peak'))} class="peak" />
    <path d={stroke(points(chart, p, 'intermittent'))} class="burst" />
    {#if p.spread > 0}<path d={doubt(chart, p)} class="doubt" />{/if}
    <path d={stroke(points(chart, p, 'continuous'))} class="day-line" class:guessed={p.spread > 0} />
    {#if p.fixed}
      <path d={runUp(chart, p, from)} class="peak" />
      <path d={thin(p)} class="day-line" />
    {/if}
  {/each}
</g>
{#if first && !first.fixed && h > 220}
  {@const c = caption(chart, first, 'continuous', 0.04)}
  {@const b = caption(chart, first, 'intermittent', 0.7)}
  {@const k = caption(chart, first, 'peak', 0.04)}
  {@const day = Math.min(c.y + 34, h - 22)}
  {@const held = `held by ${first.limits[0]?.continuous ?? ''}`}
  {#if k.y > 12 && b.y - k.y > 22 && free(k.x + 6, k.y - 6, 'some seconds')}
    <text x={k.x + 6} y={k.y - 6} class="says">some seconds</text>
  {/if}
  {#if free(c.x + 6, day, allDay)}<text x={c.x + 6} y={day} class="says">{allDay}</text>{/if}
  {#if first.limits[0]?.continuous && width > 500 && free(c.x + 6, Math.min(c.y + 50, h - 6), held)}
    <text x={c.x + 6} y={Math.min(c.y + 50, h - 6)} class="says soft">{held}</text>
  {/if}
  {#if burstAt}<text x={burstAt.x} y={burstAt.y} class="says" text-anchor="end">{burst}</text>{/if}
{/if}
{#each names as n, i (i)}<text x={n.x} y={n.y} class="says">{n.text}</text>{/each}

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
  .says {
    font-size: 13px;
    fill: var(--iron);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  .soft {
    fill: var(--soft);
  }
</style>
