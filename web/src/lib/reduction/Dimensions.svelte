<script lang="ts">
  import { figure } from '../reach/scale';
  import type { Point, Stage } from './layout';
  import { on } from './view';

  interface Props {
    stages: Stage[];
    step: number;
    /** The shafts on the screen. */
    at: Point[];
    /** Where the dimensions stand, below everything drawn. */
    y: number;
    length: (mm: number) => string;
  }
  let { stages, step, at, y, length }: Props = $props();

  const TIGHT = 96; // px under which a belt's length stands without the word
  const NARROW = 200; // px under which belt and wrap stand on two lines
  const dimensions = $derived(
    stages.flatMap((s, i) => {
      if (s.kind === 'direct') return [];
      const [x1, x2] = [at[i]?.x ?? 0, at[i + 1]?.x ?? 0];
      const w = on(s, step);
      const wrap = s.centreKnown && w && !s.meshed && s.kind !== 'chain' ? `wrap ${figure(w.wrapDeg)}°` : '';
      const apart = Math.abs(x2 - x1);
      const named = apart < TIGHT ? '' : s.kind === 'chain' ? 'chain ' : 'belt ';
      const belt = s.belt > 0 ? named + length(w?.length || s.belt) : '';
      const centre = s.centreKnown ? length(s.centre) : 'distance?';
      return [{ i, x1, x2, centre, belt, wrap, narrow: apart < NARROW, drawn: apart > 20 }];
    })
  );
  /** A line between two shafts with an arrow at each end. */
  const arrows = (x1: number, x2: number) => {
    const inward = x2 > x1 ? 6 : -6;
    const head = (x: number, by: number) => `M${x + by} ${y - 3}L${x} ${y}l${by} 3`;
    return `M${x1} ${y}H${x2}${head(x1, inward)}${head(x2, -inward)}`;
  };
</script>

{#each dimensions as d (d.i)}
  {@const x = (d.x1 + d.x2) / 2}
  {#if d.drawn}<path d={arrows(d.x1, d.x2)} class="dim" />{/if}
  <text {x} y={y - 5} class="says halo">{d.centre}</text>
  <text {x} y={y + 16} class="says soft">{d.narrow ? d.belt : [d.belt, d.wrap].filter(Boolean).join(', ')}</text>
  {#if d.narrow}<text {x} y={y + 31} class="says soft">{d.wrap}</text>{/if}
{/each}

<style>
  .dim {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.2;
  }
  .says {
    font-size: 14px;
    fill: var(--ink);
    text-anchor: middle;
    pointer-events: none;
  }
  .soft {
    fill: var(--soft);
    font-size: 13px;
  }
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
    font-weight: 600;
  }
</style>
