<script lang="ts">
  import type { Drawing } from '../api/client';

  interface Props {
    motor: Drawing['motor'];
    x: number;
    y: number;
    scale: number;
    shaftEnd: number;
    /** How often its shaft has turned, where a run is played. */
    turns?: number;
  }
  let { motor, x, y, scale, shaftEnd, turns }: Props = $props();

  const angle = $derived(2 * Math.PI * (turns ?? 0));

  const d = $derived(Math.max(motor.diameter * scale, 14));
  const l = $derived(Math.max(motor.length * scale, 20));
  const shaft = $derived(Math.max(motor.shaft * scale, 3));
  const ribs = $derived(Array.from({ length: Math.max(Math.floor(l / 13) - 1, 2) }, (_, i) => i));
</script>

<rect x={x + l} y={y - shaft / 2} width={Math.max(shaftEnd - x - l, 4)} height={shaft} class="shaft" />
{#if turns !== undefined && Math.cos(angle) > 0}
  <!-- A line along the shaft, seen while it is on this side. -->
  <path d="M{x + l + 3} {y + (shaft / 2) * Math.sin(angle)}H{shaftEnd - 3}" class="turning" />
{/if}
{#if motor.gearbox !== 'none'}
  <!-- Built on, between motor and shaft; a worm's output stands off to one side. -->
  <rect
    x={x + l}
    y={y - d * 0.34}
    width={d * 0.5}
    height={d * (motor.gearbox === 'worm' ? 0.86 : 0.68)}
    rx="3"
    class="end"
  />
  {#if motor.gearbox === 'worm'}
    <circle cx={x + l + d * 0.25} cy={y + d * 0.22} r={d * 0.16} class="body" />
  {:else}
    <path d="M{x + l + d * 0.25} {y - d * 0.34}v{d * 0.68}" class="rib" />
  {/if}
{/if}
{#if motor.clutch}
  <path d="M{x + l + 8} {y - d * 0.26}h7v{d * 0.52}h-7zM{x + l + 17} {y - d * 0.3}h6v{d * 0.6}h-6z" class="end" />
{/if}
{#if motor.kind === 'stepper'}
  <rect {x} y={y - d / 2} width={l} height={d} rx="1.5" class="body" />
  <path d="M{x + l * 0.22} {y - d / 2}V{y + d / 2}M{x + l * 0.78} {y - d / 2}V{y + d / 2}" class="line" />
  {#each [-0.36, 0.36] as s (s)}<circle cx={x + l * 0.9} cy={y + d * s} r="2" class="end" />{/each}
{:else if motor.kind === 'brushless'}
  <rect {x} y={y - d * 0.3} width={l * 0.3} height={d * 0.6} rx="2" class="end" />
  <rect x={x + l * 0.3} y={y - d / 2} width={l * 0.7} height={d} rx={d * 0.06} class="body" />
  {#each [0.36, 0.48, 0.6, 0.72, 0.84] as s (s)}<rect
      x={x + l * s}
      y={y - d / 2 + 3}
      width={l * 0.06}
      height={d * 0.14}
      class="end"
    />{/each}
{:else if motor.kind === 'servo'}
  <rect x={x + l * 0.26} y={y - d / 2} width={l * 0.74} height={d} rx="2" class="body" />
  <rect {x} y={y - d * 0.4} width={l * 0.26} height={d * 0.8} rx="2" class="end" />
  <path d="M{x + l * 0.06} {y - d * 0.4}v-{d * 0.14}h{l * 0.14}v{d * 0.14}" class="line" />
{:else if motor.kind === 'universal'}
  <rect x={x + l * 0.14} y={y - d * 0.36} width={l * 0.74} height={d * 0.72} class="shaft" />
  <rect x={x + l * 0.32} y={y - d / 2} width={l * 0.46} height={d} rx="2" class="body" />
  {#each [0.38, 0.48, 0.58, 0.68] as s (s)}<path d="M{x + l * s} {y - d / 2}V{y + d / 2}" class="rib" />{/each}
  <rect x={x + l * 0.14} y={y - d * 0.16} width={l * 0.13} height={d * 0.32} class="end" />
  <path
    d="M{x + l * 0.17} {y - d * 0.36}h{l * 0.07}v{d * 0.2}h-{l * 0.07}zM{x + l * 0.17} {y + d * 0.16}h{l * 0.07}v{d *
      0.2}h-{l * 0.07}z"
    class="line"
  />
{:else if motor.family === 'dc'}
  <!-- The brush end, with its two caps. -->
  <rect {x} y={y - d * 0.36} width={l * 0.1} height={d * 0.72} rx="2" class="end" />
  <rect x={x + l * 0.1} y={y - d / 2} width={l * 0.9} height={d} rx={d * 0.1} class="body" />
  <path d="M{x + l * 0.2} {y - d / 2}v-4h7v4M{x + l * 0.2} {y + d / 2}v4h7v-4" class="line" />
  {#each ribs as i (i)}<path
      d="M{x + l * 0.32 + (i * l * 0.6) / ribs.length} {y - d * 0.38}V{y + d * 0.38}"
      class="rib"
    />{/each}
{:else if motor.kind}
  <rect x={x + l * 0.06} y={y - d / 2} width={l * 0.88} height={d} rx="3" class="body" />
  <rect {x} y={y - d * 0.42} width={l * 0.08} height={d * 0.84} rx="2" class="end" />
  <rect x={x + l * 0.92} y={y - d * 0.42} width={l * 0.08} height={d * 0.84} rx="2" class="end" />
  {#if motor.kind === 'induction-3'}
    {#each [0.16, 0.28, 0.4, 0.6, 0.72, 0.84] as s (s)}<path
        d="M{x + l * 0.14} {y - d / 2 + d * s}H{x + l * 0.86}"
        class="rib"
      />{/each}
    <rect x={x + l * 0.34} y={y - d / 2 - d * 0.14} width={l * 0.32} height={d * 0.2} class="end" />
  {:else if motor.kind === 'shaded-pole' || motor.kind === 'split-phase' || motor.kind === 'two-speed'}
    {#each ribs as i (i)}<path
        d="M{x + l * 0.2 + (i * l * 0.6) / ribs.length} {y - d * 0.3}V{y + d * 0.3}"
        class="rib"
      />{/each}
  {:else}
    <rect x={x + l * 0.2} y={y - d / 2 - d * 0.16} width={l * 0.5} height={d * 0.2} rx={d * 0.09} class="end" />
    {#each ribs as i (i)}<path
        d="M{x + l * 0.2 + (i * l * 0.6) / ribs.length} {y - d * 0.3}V{y + d * 0.3}"
        class="rib"
      />{/each}
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
  .turning {
    stroke: var(--brass);
    stroke-width: 2;
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
