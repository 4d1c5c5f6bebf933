<script lang="ts">
  import type { Schemas } from '../api/client';

  /** The windings as sorted, each drawn as its coils with the leads named where they come out. */
  let { windings }: { windings: Schemas['IdentifyWinding'][] } = $props();

  const coil = (x: number, y: number) => `M${x} ${y}` + 'a7 7 0 0 1 14 0'.repeat(4);
  const single = (w: Schemas['IdentifyWinding']) => w.roles[0] === 'common';
  const star = (w: Schemas['IdentifyWinding']) => w.roles[0] === 'phase';
  const plain = $derived(windings.filter((w) => w.leads.length === 2));
  const joined = $derived(windings.filter((w) => single(w) || star(w)));
  const height = $derived(joined.length * 130 + plain.length * 40 + 10);
</script>

{#if joined.length + plain.length > 0}
  <svg viewBox="0 0 300 {height}" class="mt-2 w-full max-w-sm" role="img" aria-label="The windings, drawn">
    {#each joined as w, i (i)}
      <g transform="translate(0 {i * 130})">
        {#if single(w)}
          <path
            d="{coil(118, 34)}M62 34h56M174 34h62M62 34v60h56{coil(118, 94).replace('M118 94', '')}M174 94h62"
            class="wire"
          />
          <circle cx="62" cy="64" r="4" class="dot" /><path d="M62 64h-14" class="wire" />
          <text x="42" y="69" text-anchor="end">{w.leads[0]}</text>
          <text x="242" y="39">{w.leads[1]}</text><text x="146" y="22" text-anchor="middle" class="soft">run</text>
          <text x="242" y="99">{w.leads[2]}</text><text x="146" y="82" text-anchor="middle" class="soft">start</text>
        {:else}
          {#each [-90, 30, 150] as a, k (a)}
            <g transform="rotate({a} 150 70)"
              ><path d="M150 70h6{coil(156, 70).replace('M156 70', '')}h8" class="wire" /></g
            >
            <text
              x={150 + 88 * Math.cos((a * Math.PI) / 180)}
              y={74 + 66 * Math.sin((a * Math.PI) / 180)}
              text-anchor={k === 0 ? 'start' : k === 1 ? 'start' : 'end'}>{w.leads[k]}</text
            >
          {/each}
          <circle cx="150" cy="70" r="4" class="dot" />
        {/if}
      </g>
    {/each}
    {#each plain as w, i (i)}
      <g transform="translate(0 {joined.length * 130 + i * 40})">
        <text x="58" y="25" text-anchor="end">{w.leads[0]}</text>
        {#if w.is.startsWith('thermal')}
          <path d="M66 20h62M172 20h62M128 20l43 -5" class="wire" /><circle cx="128" cy="20" r="3" class="dot" /><circle
            cx="172"
            cy="20"
            r="3"
            class="dot"
          />
        {:else}
          <path d="M66 20h52{coil(118, 20).replace('M118 20', '')}h60" class="wire" />
        {/if}
        <text x="240" y="25">{w.leads[1]}</text>
      </g>
    {/each}
  </svg>
{/if}

<style>
  .wire {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2.2;
  }
  .dot {
    fill: var(--iron);
  }
  text {
    font-size: 14px;
    fill: var(--ink);
    font-weight: 600;
  }
  .soft {
    fill: var(--soft);
    font-weight: 400;
  }
</style>
