<script lang="ts">
  /** The machine's own tool at the end of the line. */
  interface Props {
    kind: string;
    shaftFrom: number;
    x: number;
    y: number;
    /** Room to the right of x. */
    room: number;
    size: number;
    /** How often it has turned, where a run is played. */
    turns?: number;
  }
  let { kind, shaftFrom, x, y, room, size, turns }: Props = $props();

  const half = $derived(size / 2);
  const face = $derived(x + Math.min(100, room * 0.25));
  /** Long tools shrink where there is little room. */
  const k = $derived(Math.min(1, (x + room - face - 12) / 190));

  const angle = $derived(2 * Math.PI * (turns ?? 0));
  /** Wheels that are drawn end on: where, and how large. */
  const wheels: Record<string, [x: number, r: number] | undefined> = $derived({
    hacksaw: [26, 26],
    shaper: [24, 24],
    bandsaw: [half, half],
    'belt-sander': [half, half]
  });
  const wheel = $derived(wheels[kind]);
</script>

<rect x={shaftFrom} y={y - 5} width={face - shaftFrom} height="10" class="part" />
<g transform="translate({face} {y}) scale({k})">
  {#if kind === 'potters-wheel'}
    <rect x="0" y={-half} width="13" height={size} rx="1.500" class="part wash" />
    <path
      d="M13 {-half * 0.62}q{size * 0.34} 2 {size * 0.46} {half * 0.42}q6 {half * 0.2} 0 {half * 0.4}q-{size *
        0.12} {half * 0.42} -{size * 0.46} {half * 0.42}z"
      class="part clay"
    />
  {:else if kind === 'hacksaw'}
    <circle cx="26" cy="0" r="26" class="part" />
    <path d="M44 12L96 26" class="rod" />
    <path d="M92 22h90v8l-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5-6 5-6-5h-6z" class="part wash" />
  {:else if kind === 'crusher'}
    <rect x="0" y={-half} width={size * 1.3} height={size} rx="3" class="part wash" />
    {#each [0.18, 0.46, 0.74, 1.02] as k (k)}
      {#each [-0.3, 0, 0.3] as v (v)}<path d="M{size * k} {size * v}l6 -5v10z" class="tooth" />{/each}
    {/each}
  {:else if kind === 'extractor'}
    <rect x="0" y={-half} width={size * 1.1} height={size} rx="4" class="part" />
    {#each [0.2, 0.4, 0.6, 0.8] as k (k)}<path d="M{size * 1.1 * k} {-half + 6}V{half - 6}" class="mesh" />{/each}
    {#each [0.25, 0.5, 0.75] as k (k)}<path d="M5 {-half + size * k}h{size * 1.1 - 10}" class="mesh" />{/each}
  {:else if kind === 'bandsaw' || kind === 'belt-sander'}
    <circle cx={half} cy="0" r={half} class="part" />
    <circle cx={half} cy="0" r="4" class="part" />
    <circle cx="165" cy={-half * 0.35} r={half * 0.5} class="part" />
    <path
      d="M{half} {-half}L165 {-half * 0.85}M{half} {half}L165 {half * 0.15}"
      class={kind === 'bandsaw' ? 'mesh' : 'rod'}
      stroke-dasharray={kind === 'bandsaw' ? '6 2' : undefined}
    />
  {:else if kind === 'disc-sander'}
    <rect x="0" y={-half} width="6" height={size} class="part clay" />
    <rect x="6" y="8" width="60" height="7" class="part" />
  {:else if kind === 'shaper'}
    <circle cx="24" cy="0" r="24" class="part" />
    <path d="M40 -14L78 -22" class="rod" />
    <rect x="72" y="-34" width="104" height="20" class="part wash" />
    <path d="M172 -14h10v22l-8 -8z" class="part" />
  {:else if kind === 'mixer'}
    <path d="M0 -5h78M78 -5v10M26 -5v-26h34v26M26 5v26h34v-26" class="rod" />
    <path d="M12 {-half}v{size}h84v-{size}" class="mesh" />
  {:else if kind === 'conveyor'}
    <rect x="0" y="-7" width="176" height="14" class="part" />
    {#each Array.from({ length: 16 }, (_, i) => i) as i (i)}<path d="M{8 + i * 10} 7l6 -14" class="mesh" />{/each}
    <rect x="70" y="-24" width="34" height="48" class="part wash" />
  {:else if kind === 'fan'}
    <rect x="0" y="-9" width="14" height="18" class="part" />
    {#each [-1, 1] as s (s)}<path
        d="M4 {s * 9}C-6 {s * half * 0.5} 4 {s * half} 14 {s * half}C22 {s * half * 0.6} 16 {s * 20} 12 {s * 9}z"
        class="part wash"
      />{/each}
  {:else if kind === 'indexer'}
    <rect x="0" y={-half * 0.7} width="16" height={size * 0.7} class="part wash" />
    {#each [-0.6, -0.4, -0.2, 0, 0.2, 0.4, 0.6] as v (v)}<path d="M16 {half * v}h7" class="mesh" />{/each}
  {:else if kind === 'grinder'}
    <rect x="0" y={-half} width="22" height={size} rx="2" class="part clay" />
    <rect x="22" y="-11" width="8" height="22" class="part" />
  {:else if kind === 'lathe'}
    <rect x="0" y={-half * 0.8} width="34" height={size * 0.8} rx="2" class="part wash" />
    <path d="M34 {-half * 0.6}h10v{half * 0.34}h-10M34 {half * 0.6}h10v-{half * 0.34}h-10" class="part" />
    <rect x="40" y={-half * 0.24} width="90" height={half * 0.48} class="part" />
  {:else if kind === 'drill' || kind === 'mill'}
    <path d="M0 -20h26l14 10v20l-14 10h-26z" class="part wash" />
    <path d="M40 -7h62l{kind === 'drill' ? 10 : 0} 7l{kind === 'drill' ? -10 : 0} 7h-62z" class="part" />
    <path d="M48 7l16 -14M66 7l16 -14M84 7l16 -14" class="mesh" />
  {:else}
    <rect x="0" y={-half * 0.8} width="12" height={size * 0.8} class="part wash" />
    <rect x="12" y={-half * 0.3} width="18" height={size * 0.3} class="part" />
  {/if}
  {#if turns !== undefined && wheel}
    <circle
      cx={wheel[0] + 0.75 * wheel[1] * Math.cos(angle)}
      cy={0.75 * wheel[1] * Math.sin(angle)}
      r="3.500"
      class="tooth"
    />
  {:else if turns !== undefined && Math.cos(angle) > 0}
    <!-- A mark on its face, seen while it is on this side. -->
    <path d="M2 {half * 0.72 * Math.sin(angle)}h{Math.max(size * 0.1, 9)}" class="turning" />
  {/if}
</g>
{#if turns !== undefined && Math.cos(angle) > 0}
  <path d="M{shaftFrom + 2} {y + 4 * Math.sin(angle)}H{face - 2}" class="turning" />
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
  .turning {
    stroke: var(--brass);
    stroke-width: 2.4;
  }
  .mesh {
    stroke: var(--soft);
    stroke-width: 1.2;
  }
</style>
