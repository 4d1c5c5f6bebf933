<script lang="ts">
  import type { Drawing } from '../api/client';

  interface Props {
    motor: Drawing['motor'];
    x: number;
    y: number;
    scale: number;
    shaftEnd: number;
  }
  let { motor, x, y, scale, shaftEnd }: Props = $props();

  const d = $derived(Math.max(motor.diameter * scale, 14));
  const l = $derived(Math.max(motor.length * scale, 20));
  const shaft = $derived(Math.max(motor.shaft * scale, 3));
  const ribs = $derived(Array.from({ length: Math.max(Math.floor(l / 13) - 1, 2) }, (_, i) => i));
</script>

<rect x={x + l} y={y - shaft / 2} width={Math.max(shaftEnd - x - l, 4)} height={shaft} class="shaft" />
{#if motor.kind === 'pm-dc'}
  <!-- The brush end, with its two caps. -->
  <rect {x} y={y - d * 0.36} width={l * 0.1} height={d * 0.72} rx="2" class="end" />
  <rect x={x + l * 0.1} y={y - d / 2} width={l * 0.9} height={d} rx={d * 0.1} class="body" />
  <path d="M{x + l * 0.2} {y - d / 2}v-4h7v4M{x + l * 0.2} {y + d / 2}v4h7v-4" class="line" />
  {#each ribs as i (i)}<path d="M{x + l * 0.32 + (i * l * 0.6) / ribs.length} {y - d * 0.38}V{y + d * 0.38}" class="rib" />{/each}
{:else if motor.kind}
  <rect x={x + l * 0.06} y={y - d / 2} width={l * 0.88} height={d} rx="3" class="body" />
  <rect {x} y={y - d * 0.42} width={l * 0.08} height={d * 0.84} rx="2" class="end" />
  <rect x={x + l * 0.92} y={y - d * 0.42} width={l * 0.08} height={d * 0.84} rx="2" class="end" />
  {#if motor.kind === 'induction-3'}
    {#each [0.16, 0.28, 0.4, 0.6, 0.72, 0.84] as s (s)}<path d="M{x + l * 0.14} {y - d / 2 + d * s}H{x + l * 0.86}" class="rib" />{/each}
    <rect x={x + l * 0.34} y={y - d / 2 - d * 0.14} width={l * 0.32} height={d * 0.2} class="end" />
  {:else}
    <rect x={x + l * 0.2} y={y - d / 2 - d * 0.16} width={l * 0.5} height={d * 0.2} rx={d * 0.09} class="end" />
    {#each ribs as i (i)}<path d="M{x + l * 0.2 + (i * l * 0.6) / ribs.length} {y - d * 0.3}V{y + d * 0.3}" class="rib" />{/each}
  {/if}
{:else}
  <rect {x} y={y - d / 2} width={l} height={d} rx="4" class="body unknown" />
{/if}

<style>
  .body {
    fill: var(--iron-wash);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .unknown {
    stroke-dasharray: 5 4;
  }
  .end {
    fill: var(--card);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .shaft {
    fill: var(--card);
    stroke: var(--ink);
    stroke-width: 1.3;
  }
  .rib {
    stroke: color-mix(in srgb, var(--iron) 45%, transparent);
    stroke-width: 1.5;
  }
  .line {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4;
  }
</style>
