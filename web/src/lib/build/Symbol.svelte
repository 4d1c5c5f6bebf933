<script lang="ts">
  /** A part as it is drawn in the wiring: a box with a hint of what it is. */
  let { kind, x, y, w, h }: { kind: string; x: number; y: number; w: number; h: number } = $props();

  const cx = $derived(x + w / 2);
  const cy = $derived(y + h / 2);
</script>

{#if kind === 'motor' || kind === 'dc-motor' || kind === 'fan' || kind === 'tacho' || kind === 'lamp'}
  <circle {cx} {cy} r={h / 2} class="body" />
  {#if kind === 'lamp'}<path d="M{cx - 7} {cy - 7}l14 14M{cx + 7} {cy - 7}l-14 14" class="ink" />{/if}
  {#if kind === 'fan'}<path d="M{cx} {cy}q-3-9 2-11q5 3-2 11q9-1 10 5q-5 4-10-5q-5 7-10 4q-1-6 10-4" class="ink" />{/if}
  {#if kind === 'motor'}<path d="M{cx - 9} {cy}q4.500-12 9 0t9 0" class="ink" />{/if}
  {#if kind === 'dc-motor'}<path d="M{cx - 8} {cy - 3}h16M{cx - 8} {cy + 3}h4m2 0h4m2 0h4" class="ink" />{/if}
  {#if kind === 'tacho'}<path d="M{cx} {cy}l7-7M{cx - 9} {cy + 3}a9 9 0 0 1 18 0" class="ink" />{/if}
{:else}
  <rect {x} {y} width={w} height={h} rx="2" class="body" />
  {#if kind === 'fuse'}<path d="M{x + 6} {cy}H{x + w - 6}" class="ink" />{/if}
  {#if kind === 'isolator' || kind === 'switch' || kind === 'start' || kind === 'stop' || kind === 'reverse'}
    <path
      d="M{x + 4} {cy}h8M{x + w - 12} {cy}h8M{x + 12} {cy}L{x + w - 12} {cy - (kind === 'stop' ? 0 : 8)}"
      class="ink"
      class:red={kind === 'stop'}
    />
    {#if kind === 'stop' || kind === 'start'}<path
        d="M{cx} {cy - 3}V{y + 3}M{cx - 5} {y + 3}h10"
        class="ink"
        class:red={kind === 'stop'}
      />{/if}
  {/if}
  {#if kind === 'contactor'}<path d="M{x + 6} {cy - 4}h{w - 12}v8h-{w - 12}z" class="ink" />{/if}
  {#if kind === 'drive'}<path
      d="M{x + 5} {y + h - 5}L{x + w - 5} {y + 5}M{x + 6} {y + 10}q4-7 8 0M{x + w - 15} {y + h - 8}h9"
      class="ink"
    />{/if}
  {#if kind === 'overload'}<path d="M{x + 6} {cy}h9v-8h16v8H{x + w - 6}" class="ink" />{/if}
  {#if kind === 'choke'}<path d="M{x + 6} {cy}q4-11 8 0q4-11 8 0q4-11 8 0" class="ink" />{/if}
  {#if kind === 'capacitor'}<path d="M{cx - 3} {y + 6}V{y + h - 6}M{cx + 3} {y + 6}V{y + h - 6}" class="ink" />{/if}
  {#if kind === 'resistor' || kind === 'knob'}<path d="M{x + 6} {cy}l3-5 5 10 5-10 5 10 3-5" class="ink" />{/if}
  {#if kind === 'knob'}<path d="M{cx} {y + 2}v7l-3-3m3 3l3-3" class="ink" />{/if}
  {#if kind === 'bridge'}<path d="M{cx} {y + 4}l9 {h / 2 - 4}l-9 {h / 2 - 4}l-9 -{h / 2 - 4}z" class="ink" />{/if}
  {#if kind === 'transformer'}<path
      d="M{cx - 5} {y + 5}q-8 4 0 8q-8 4 0 8M{cx + 5} {y + 5}q8 4 0 8q8 4 0 8"
      class="ink"
    />{/if}
  {#if kind === 'unit'}<path
      d="M{x + 5} {y + h - 5}L{x + w - 5} {y + 5}M{x + 6} {y + 10}q4-7 8 0M{x + w - 16} {y + h - 11}h10M{x +
        w -
        16} {y + h - 7}h4m2 0h4"
      class="ink"
    />{/if}
  {#if kind === 'supply'}<path d="M{x + 6} {cy}q5-11 {w / 2 - 6} 0t{w / 2 - 6} 0" class="ink" />{/if}
  {#if kind === 'battery'}<path d="M{cx - 4} {y + 5}V{y + h - 5}M{cx + 4} {y + 9}V{y + h - 9}" class="ink" />{/if}
  {#if kind === 'earth'}<path d="M{cx - 9} {cy - 3}h18M{cx - 6} {cy + 2}h12M{cx - 3} {cy + 7}h6" class="ink" />{/if}
  {#if kind === 'frame' || kind === 'terminals'}<path d="M{x + 6} {y + h - 7}H{x + w - 6}" class="ink" />{/if}
{/if}

<style>
  .body {
    fill: var(--wiring-card, var(--card));
    stroke: var(--wiring-ink, var(--ink));
    stroke-width: 1.5;
  }
  .ink {
    fill: none;
    stroke: var(--wiring-ink, var(--ink));
    stroke-width: 1.4;
  }
  .red {
    stroke: var(--wiring-stop, var(--stop));
  }
</style>
