<script lang="ts">
  import type { ScaleLinear, ScaleLogarithmic } from 'd3-scale';
  import { apartTicks, figure, speedTicks } from './scale';

  /** Grid, ticks and caption of a chart over spindle speed, in a plot w by h pixels. */
  interface Props {
    x: ScaleLogarithmic<number, number>;
    y: ScaleLinear<number, number>;
    w: number;
    h: number;
    says: string;
  }
  let { x, y, w, h, says }: Props = $props();
  const domain = $derived<[number, number]>([x.domain()[0] ?? 1, x.domain()[1] ?? 1]);
</script>

{#each y.ticks(6) as t (t)}
  <path d="M0 {y(t)}H{w}" class="grid" />
  <text x="-8" y={y(t)} text-anchor="end" dominant-baseline="middle">{figure(t)}</text>
{/each}
{#each apartTicks(speedTicks(domain, w), x) as t (t)}
  <path d="M{x(t)} 0V{h}" class="grid" />
  <text x={x(t)} y={h + 17} text-anchor="middle">{figure(t)}</text>
{/each}
<path d="M0 {h}H{w}" class="axis" />
<text x={w} y={h + 36} text-anchor="end">{says}</text>

<style>
  .grid {
    stroke: var(--grid);
  }
  .axis {
    stroke: var(--soft);
    stroke-width: 1.5;
  }
  text {
    fill: var(--soft);
    font-size: 13px;
  }
</style>
