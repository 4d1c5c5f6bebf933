<script lang="ts">
  import type { Schemas } from '../api/client';
  import { figure } from '../reach/scale';
  import { pathThrough, scalesOf } from './chart';

  /** The readings as dots with how far out they may be, what was laid through them, and what the plan reckons. */
  let { answer, given }: { answer: Schemas['TrialAnswer']; given: boolean } = $props();

  let width = $state(640);
  const HEIGHT = 330;
  const LEFT = 56;
  const TOP = 26;
  const BOTTOM = 34;
  const plot = $derived(Math.max(width - LEFT - 18, 120));
  const curve = $derived(answer.curve);
  const scales = $derived(scalesOf(curve, plot, HEIGHT - TOP - BOTTOM));
  const x = $derived((v: number) => LEFT + scales.x(v));
  const y = $derived((v: number) => TOP + scales.y(v));
  const reckoned = $derived(curve.reckoned.at(Math.floor(curve.reckoned.length * 0.7)));
  const through = $derived(curve.fitted.flatMap((l) => l.points));
  const measured = $derived(through.at(Math.floor(through.length * 0.45)) ?? curve.measured.at(-1));
  /** With nothing to draw there are no axes either: theirs would be figures of nothing. */
  const empty = $derived(curve.measured.length + curve.reckoned.length + through.length + curve.marks.length === 0);
  const says = $derived(
    `${curve.measured.length} readings of ${curve.y.name}${curve.reckoned.length > 0 ? ', with what is reckoned' : ''}`
  );
</script>

<div bind:clientWidth={width} class="mt-2 min-w-0">
  {#if empty}
    <p class="empty text-soft" style:height="{HEIGHT}px">
      {curve.y.name} over {curve.x.name.toLowerCase()}: each reading stands here as a dot, with how far out it may be,
      once there is one.
    </p>
  {:else}
    <svg {width} height={HEIGHT} role="img" aria-label={says}>
      <text x={LEFT} y={14} class="caption-text">{curve.y.name}{curve.y.unit ? `, ${curve.y.unit}` : ''}</text>
      {#each scales.y.ticks(6) as t (t)}
        <line x1={LEFT} x2={LEFT + plot} y1={y(t)} y2={y(t)} class="grid" />
        <text x={LEFT - 8} y={y(t) + 4} class="tick" text-anchor="end">{figure(t)}</text>
      {/each}
      {#each scales.x.ticks(plot > 400 ? 10 : 5) as t (t)}
        <text x={x(t)} y={HEIGHT - BOTTOM + 18} class="tick" text-anchor="middle">{figure(t)}</text>
      {/each}
      <text x={LEFT + plot} y={HEIGHT - 3} class="tick" text-anchor="end"
        >{curve.x.name}{curve.x.unit ? `, ${curve.x.unit}` : ''}</text
      >
      {#if curve.reckoned.length > 0}
        <path d={pathThrough(curve.reckoned, x, y)} class="reckoned" />
        {#if reckoned}
          <text x={x(reckoned.x) - 6} y={y(reckoned.y) - 8} class="name iron" text-anchor="end">as reckoned</text>
        {/if}
      {/if}
      {#each curve.fitted as line, i (i)}<path d={pathThrough(line.points, x, y)} class="fitted" />{/each}
      {#if measured && curve.measured.length > 1}
        <text x={x(measured.x) + 10} y={y(measured.y) + 18} class="name brass">as measured</text>
      {/if}
      {#each curve.marks as m, i (i)}
        <line x1={x(m.x)} x2={x(m.x)} y1={y(m.y)} y2={y(m.y) - 14} class="mark" class:bad={m.bad} />
        <text
          x={x(m.x) + (scales.x(m.x) > plot * 0.7 ? -8 : 8)}
          y={y(m.y) - 10}
          class="name"
          class:bad={m.bad}
          text-anchor={scales.x(m.x) > plot * 0.7 ? 'end' : 'start'}>{m.words}</text
        >
      {/each}
      <!-- What was read stands over all else. -->
      {#each curve.measured as p, i (i)}
        {#if p.spread > 0}
          <line x1={x(p.x)} x2={x(p.x)} y1={y(p.y - p.spread)} y2={y(p.y + p.spread)} class="spread" />
        {/if}
        <circle cx={x(p.x)} cy={y(p.y)} r={curve.measured.length > 40 ? 3 : 5.5} class="dot" class:given />
      {/each}
    </svg>
  {/if}
</div>

<style>
  .empty {
    display: grid;
    place-content: center;
    margin-inline: 1rem;
    border: 1px dashed var(--rule);
    padding: 1rem;
    text-align: center;
  }
  .grid {
    stroke: var(--grid);
  }
  .tick {
    fill: var(--soft);
    font-size: 0.86rem;
  }
  .caption-text {
    fill: var(--soft);
    font-family: var(--font-head);
    font-size: 0.86rem;
    font-weight: 600;
    letter-spacing: 0.09em;
    text-transform: uppercase;
  }
  .reckoned {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2;
    stroke-dasharray: 7 5;
  }
  .fitted {
    fill: none;
    stroke: var(--brass);
    stroke-width: 2.2;
  }
  .spread {
    stroke: var(--brass);
    stroke-width: 1.4;
  }
  .dot {
    fill: var(--paper);
    stroke: var(--brass);
    stroke-width: 2.4;
  }
  .name {
    font-size: 0.9rem;
    fill: var(--soft);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
  .name.iron {
    fill: var(--iron);
  }
  .name.brass {
    fill: var(--brass-ink);
  }
  .name.bad {
    fill: var(--stop);
  }
  .mark {
    stroke: var(--soft);
    stroke-width: 1.6;
  }
  .mark.bad {
    stroke: var(--stop);
  }
</style>
