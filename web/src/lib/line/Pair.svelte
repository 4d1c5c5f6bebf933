<script lang="ts">
  import type { Drawing } from '../api/client';
  import { tangents } from './stages';

  /** One stage end on: its wheels and what runs between them. */
  interface Props {
    stage: Drawing['stages'][number];
    x1: number;
    y1: number;
    x2: number;
    y2: number;
    scale: number;
    /** Spokes and rims, for the large drawing. */
    detailed?: boolean;
    step?: number;
    /** How often the driving shaft has turned, where a run is played. */
    turns?: number;
  }
  let { stage, x1, y1, x2, y2, scale, detailed = false, step = 0, turns }: Props = $props();

  const on = $derived(stage.steps[Math.min(step, stage.steps.length - 1)]);
  const belted = $derived(!stage.meshed && stage.kind !== 'direct');
  const runs = $derived(
    on && belted ? tangents(x1, y1, (on.driver / 2) * scale, x2, y2, (on.driven / 2) * scale) : ['', '']
  );
  /** Marks on the wheels, so that their turning is seen. */
  const marks = $derived.by(() => {
    if (turns === undefined || !on) return [];
    const driven = (turns * on.driver) / Math.max(on.driven, 1e-9);
    const way = stage.meshed ? -1 : 1;
    return [
      { x: x1, y: y1, r: (on.driver / 2) * scale, angle: 2 * Math.PI * turns },
      { x: x2, y: y2, r: (on.driven / 2) * scale, angle: way * 2 * Math.PI * driven }
    ].map((m) => {
      const [cos, sin] = [Math.cos(m.angle), Math.sin(m.angle)];
      return `M${m.x + 0.3 * m.r * cos} ${m.y + 0.3 * m.r * sin}L${m.x + 0.94 * m.r * cos} ${m.y + 0.94 * m.r * sin}`;
    });
  });
  /** How far the belt has run, in pixels: its runs go opposite ways. */
  const run = $derived(turns === undefined || !on ? 0 : (turns * Math.PI * on.driver * scale) % 130);
  const spokes = [0.3, 1.56, 2.8, 4.07, 5.33];
  const wheels = $derived(
    stage.steps
      .flatMap((p, i) => [
        { key: `a${i}`, x: x1, y: y1, r: (p.driver / 2) * scale },
        { key: `b${i}`, x: x2, y: y2, r: (p.driven / 2) * scale }
      ])
      .sort((a, b) => b.r - a.r)
  );
</script>

{#if stage.kind === 'direct'}
  <path d="M{x1} {y1}H{x2}" class="rim" />
  <rect x={(x1 + x2) / 2 - 7} y={y1 - 9} width="14" height="18" rx="2" class="wheel" />
{:else}
  {#each wheels as w (w.key)}
    {#if stage.kind === 'worm' && w.key === 'a0'}
      <rect x={w.x - w.r * 1.5} y={w.y - w.r} width={w.r * 3} height={w.r * 2} rx="2" class="wheel" />
      {#each [-1, -0.5, 0, 0.5, 1] as n (n)}<path
          d="M{w.x + n * w.r - 3} {w.y + w.r}l6 {-2 * w.r}"
          class="groove"
        />{/each}
    {:else}
      <circle cx={w.x} cy={w.y} r={w.r} class="wheel" class:gear={stage.meshed} />
      {#if w.r > 9}<circle cx={w.x} cy={w.y} r={w.r - Math.max(2, w.r * 0.06)} class="groove" />{/if}
      {#if detailed && w.r > 45}
        {#each spokes as angle (angle)}
          <path
            d="M{w.x + w.r * 0.28 * Math.cos(angle)} {w.y + w.r * 0.28 * Math.sin(angle)}L{w.x +
              w.r * 0.88 * Math.cos(angle)} {w.y + w.r * 0.88 * Math.sin(angle)}"
            class="spoke"
          />
        {/each}
      {/if}
    {/if}
  {/each}
  {#each runs as d, i (i)}<path
      {d}
      class="belt"
      class:runs={turns !== undefined}
      style:stroke-dashoffset={turns === undefined ? undefined : i === 0 ? -run : run}
      class:chain={stage.kind === 'chain' || stage.kind === 'link'}
      class:teeth={stage.kind === 'toothed'}
    />{/each}
{/if}
{#each marks as d, i (i)}<path {d} class="mark" />{/each}
{#each [[x1, y1], [x2, y2]] as [x, y], i (i)}<circle
    cx={x}
    cy={y}
    r={detailed ? 7 : 2.6}
    class="hub"
    class:detailed
  />{/each}

<style>
  .wheel {
    fill: var(--card);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .gear {
    stroke-dasharray: 3 2;
  }
  .groove {
    fill: none;
    stroke: color-mix(in srgb, var(--ink) 45%, transparent);
    stroke-width: 0.8;
  }
  .spoke {
    stroke: color-mix(in srgb, var(--soft) 45%, var(--card));
    stroke-width: 6;
  }
  .rim {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .belt {
    fill: none;
    stroke: var(--brass);
    stroke-width: 2.6;
  }
  .runs {
    stroke-dasharray: 9 4;
  }
  .mark {
    stroke: var(--ink);
    stroke-width: 2.2;
  }
  .chain {
    stroke-dasharray: 4 2;
  }
  .teeth {
    stroke-dasharray: 2 1.5;
  }
  .hub {
    fill: var(--ink);
  }
  .hub.detailed {
    fill: var(--iron-wash);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>
