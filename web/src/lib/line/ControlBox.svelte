<script lang="ts">
  import { output } from './waves';

  interface Props {
    kind: string;
    x: number;
    y: number;
    width: number;
    wireTo: number;
    /** How far the wave that leaves it has come, rad, where a run is played. */
    phase?: number;
  }
  let { kind, x, y, width, wireTo, phase = 0 }: Props = $props();

  const half = 33;
</script>

{#each output(kind, x + width, wireTo, y, phase) as d, i (i)}<path {d} class="wire" />{/each}
{#if kind === 'contactor'}
  <rect {x} y={y - half} {width} height={half * 2} rx="3" class="body" />
  <path d="M{x} {y}H{x + 22}M{x + width - 22} {y}H{x + width}" class="wire" />
  <path d="M{x + 22} {y}L{x + width - 26} {y - 17}" class="ink" />
  <circle cx={x + 22} cy={y} r="3.500" class="ink" /><circle cx={x + width - 22} cy={y} r="3.500" class="ink" />
  <path d="M{x + width / 2 - 3} {y - 9}V{y + 16}M{x + width / 2 - 12} {y + 16}h18" class="ink thin" />
{:else if kind}
  <rect {x} y={y - half} {width} height={half * 2} rx="3" class="body" />
  {#each [0, 1, 2, 3, 4, 5, 6] as i (i)}<path
      d="M{x + 10 + i * ((width - 20) / 6)} {y - half}v-9"
      class="ink thin"
    />{/each}
  {#if kind === 'inverter' || kind === 'inverter-1'}
    <rect x={x + 14} y={y - 22} width={width - 28} height="18" class="ink thin" />
    <path d="M{x + 20} {y - 9}h8m4 0h8m4 0h8" class="ink thin" />
    {#each kind === 'inverter' ? [0, 1, 2] : [1] as i (i)}<circle
        cx={x + 24 + i * 18}
        cy={y + 14}
        r="4.500"
        class="ink thin"
      />{/each}
  {:else if kind === 'resistor'}
    <path d="M{x} {y}h16l4-9 8 18 8-18 8 18 8-18 8 18 4-9H{x + width}" class="ink" />
  {:else}
    <circle cx={x + width / 2} cy={y} r="19" class="dial" />
    <path d="M{x + width / 2} {y}l8 -13" class="brass" />
    {#if kind === 'pwm'}<path d="M{x + 8} {y + 26}h6v-5h6v5h6" class="ink thin" />{/if}
  {/if}
{:else}
  <rect {x} y={y - half} {width} height={half * 2} rx="3" class="body dashed" />
{/if}

<style>
  .wire {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2;
  }
  .body {
    fill: color-mix(in srgb, var(--ink) 7%, var(--card));
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .dashed {
    stroke-dasharray: 5 4;
  }
  .ink {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .thin {
    stroke-width: 1.3;
  }
  .dial {
    fill: var(--card);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .brass {
    stroke: var(--brass);
    stroke-width: 3;
    stroke-linecap: round;
  }
</style>
