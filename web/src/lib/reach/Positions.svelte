<script lang="ts">
  import { band, caption, doubt, fill, points, runUp, stroke, type Chart, type Position } from './curves';
  import { figure } from './scale';

  /** What the spindle reaches in every position: its limits, what binds, and the band of a guess. */
  let { chart, positions, width, from }: { chart: Chart; positions: Position[]; width: number; from: number } =
    $props();

  const h = $derived(chart.height);
  const several = $derived(positions.length > 1);
  const first = $derived(positions[0]);
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
  {#if k.y > 12 && b.y - k.y > 22}<text x={k.x + 6} y={k.y - 6} class="says">some seconds</text>{/if}
  <text x={c.x + 6} y={Math.min(c.y + 34, h - 22)} class="says"
    >all day{first.spread > 0 ? `, give or take ${figure(first.spread * 100)} %` : ''}</text
  >
  {#if first.limits[0]?.continuous && width > 500}<text x={c.x + 6} y={Math.min(c.y + 50, h - 6)} class="says soft"
      >held by {first.limits[0].continuous}</text
    >{/if}
  <text x={Math.min(b.x, width) - 4} y={Math.max(b.y - 7, 10)} class="says" text-anchor="end"
    >five minutes in fifteen</text
  >
{/if}
{#each positions as p, i (i)}
  {#if several || p.fixed}
    <text x={chart.x(p.highRpm) + (p.fixed ? 5 : -5)} y={h - 8} class="says" text-anchor={p.fixed ? 'start' : 'end'}
      >{p.label}</text
    >
  {/if}
{/each}

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
