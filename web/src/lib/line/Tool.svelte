<script lang="ts">
  /** The machine's own tool at the end of the line. */
  let { kind, shaftFrom, x, y, size }: { kind: string; shaftFrom: number; x: number; y: number; size: number } = $props();

  const half = $derived(size / 2);
  const face = $derived(x + 100);
</script>

<rect x={shaftFrom} y={y - 5} width={face - shaftFrom} height="10" class="part" />
{#if kind === 'potters-wheel'}
  <rect x={face} y={y - half} width="13" height={size} rx="1.500" class="part wash" />
  <path
    d="M{face + 13} {y - half * 0.62}q{size * 0.34} 2 {size * 0.46} {half * 0.42}q6 {half * 0.2} 0 {half * 0.4}q-{size * 0.12} {half *
      0.42} -{size * 0.46} {half * 0.42}z"
    class="part clay"
  />
{:else if kind === 'saw'}
  <circle cx={face + 26} cy={y} r="26" class="part" />
  <path d="M{face + 44} {y + 12}L{face + 96} {y + 26}" class="rod" />
  <path d="M{face + 92} {y + 22}h90v8l-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5h-6z" class="part wash" />
{:else if kind === 'crusher'}
  <rect x={face} y={y - half} width={size * 1.3} height={size} rx="3" class="part wash" />
  {#each [0.18, 0.46, 0.74, 1.02] as k (k)}
    {#each [-0.3, 0, 0.3] as v (v)}<path d="M{face + size * k} {y + size * v}l6 -5v10z" class="tooth" />{/each}
  {/each}
{:else if kind === 'extractor'}
  <rect x={face} y={y - half} width={size * 1.1} height={size} rx="4" class="part" />
  {#each [0.2, 0.4, 0.6, 0.8] as k (k)}<path d="M{face + size * 1.1 * k} {y - half + 6}V{y + half - 6}" class="mesh" />{/each}
  {#each [0.25, 0.5, 0.75] as k (k)}<path d="M{face + 5} {y - half + size * k}h{size * 1.1 - 10}" class="mesh" />{/each}
{:else if kind === 'grinder'}
  <rect x={face} y={y - half} width="22" height={size} rx="2" class="part clay" />
  <rect x={face + 22} y={y - 11} width="8" height="22" class="part" />
{:else if kind === 'lathe'}
  <rect x={face} y={y - half * 0.8} width="34" height={size * 0.8} rx="2" class="part wash" />
  <path d="M{face + 34} {y - half * 0.6}h10v{half * 0.34}h-10M{face + 34} {y + half * 0.6}h10v-{half * 0.34}h-10" class="part" />
  <rect x={face + 40} y={y - half * 0.24} width="90" height={half * 0.48} class="part" />
{:else if kind === 'drill' || kind === 'mill'}
  <path d="M{face} {y - 20}h26l14 10v20l-14 10h-26z" class="part wash" />
  <path d="M{face + 40} {y - 7}h62l{kind === 'drill' ? 10 : 0} 7l{kind === 'drill' ? -10 : 0} 7h-62z" class="part" />
  <path d="M{face + 48} {y + 7}l16 -14M{face + 66} {y + 7}l16 -14M{face + 84} {y + 7}l16 -14" class="mesh" />
{:else}
  <rect x={face} y={y - half * 0.8} width="12" height={size * 0.8} class="part wash" />
  <rect x={face + 12} y={y - half * 0.3} width="18" height={size * 0.3} class="part" />
{/if}

<style>
  .part {
    fill: var(--card);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .wash {
    fill: var(--iron-wash);
  }
  .clay {
    fill: color-mix(in srgb, var(--brass) 28%, var(--card));
  }
  .rod {
    stroke: var(--ink);
    stroke-width: 4;
  }
  .tooth {
    fill: var(--ink);
  }
  .mesh {
    stroke: var(--soft);
    stroke-width: 1.2;
  }
</style>
