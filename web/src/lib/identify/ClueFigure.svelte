<script lang="ts">
  /** What to look at, drawn. */
  let { name }: { name: string } = $props();
</script>

<svg viewBox="0 0 220 120" class="figure" aria-hidden="true">
  {#if name === 'plate'}
    <rect x="30" y="22" width="160" height="76" rx="5" class="metal" />
    <circle cx="40" cy="32" r="3" class="ink" /><circle cx="180" cy="32" r="3" class="ink" />
    <path d="M46 50h40M46 64h56M46 78h34" class="soft" />
    <path d="M120 56q7 -14 14 0t14 0" class="mark" />
    <path d="M120 76h28M120 82h9m5 0h9m5 0h3" class="mark" />
  {:else if name === 'brushes'}
    <rect x="40" y="30" width="120" height="60" rx="8" class="body" />
    <circle cx="64" cy="60" r="17" class="part" />
    {#each [0, 45, 90, 135] as a (a)}<path d="M47 60h34" class="soft" transform="rotate({a} 64 60)" />{/each}
    <rect x="57" y="16" width="14" height="27" class="hot" /><rect x="57" y="77" width="14" height="27" class="hot" />
    <path d="M64 16v-6m-4 -3l8 -3m-8 8l8 -3M64 104v6" class="ink" />
    <path d="M160 56h34v8h-34" class="part" />
  {:else if name === 'stator'}
    <circle cx="66" cy="60" r="46" class="body" />
    <path
      d="M26 38a46 46 0 0 1 80 0l-13 8a31 31 0 0 0 -54 0zM26 82a46 46 0 0 0 80 0l-13 -8a31 31 0 0 1 -54 0z"
      class="hot"
    />
    <circle cx="66" cy="60" r="24" class="part" />
    <rect x="140" y="20" width="58" height="80" rx="3" class="body" />
    <path d="M150 30v26h16v-26M172 30v26h16v-26" class="soft" />
    <path d="M148 62h8v24h-8z" class="brass" /><path d="M140 74h58" class="soft" />
  {:else if name === 'capacitors'}
    <rect x="30" y="46" width="100" height="54" rx="8" class="body" />
    <rect x="48" y="24" width="62" height="24" rx="11" class="hot" />
    <path d="M56 36h30" class="ink" />
    <rect x="152" y="30" width="34" height="62" rx="4" class="metal" />
    <path d="M162 30v-12M176 30v-12M158 52h22M158 62h22" class="ink" />
  {:else if name === 'click'}
    <circle cx="84" cy="60" r="44" class="body" />
    <circle cx="84" cy="60" r="8" class="part" />
    <path d="M62 40a30 30 0 0 1 44 0M62 80a30 30 0 0 0 44 0" class="mark" />
    <circle cx="58" cy="44" r="6" class="hot" /><circle cx="110" cy="76" r="6" class="hot" />
    <path d="M150 46q10 14 0 28M164 38q16 22 0 44M178 30q22 30 0 60" class="ink" />
  {:else if name === 'shorted'}
    <rect x="26" y="32" width="90" height="56" rx="8" class="body" />
    <path d="M116 56h24v8h-24" class="part" />
    <path d="M140 44a18 18 0 1 1 0 32M144 82l-6 -6 8 -4" class="mark" />
    <path d="M40 88v10q0 10 12 10h18M60 88v6q0 6 8 6h10" class="ink" />
    <path d="M70 104q6 -6 12 0t12 0" class="hotline" />
  {:else if name === 'detents'}
    <circle cx="70" cy="60" r="42" class="body" />
    {#each Array.from({ length: 24 }, (_, i) => i * 15) as a (a)}<path
        d="M70 22v7"
        class="soft"
        transform="rotate({a} 70 60)"
      />{/each}
    <circle cx="70" cy="60" r="7" class="part" />
    <path d="M128 78q6 -22 12 0t12 0 12 0 12 0 12 0" class="mark" />
    <path d="M128 40q15 -22 30 0t30 0" class="mark" />
  {:else if name === 'leads'}
    <rect x="26" y="34" width="80" height="54" rx="8" class="body" />
    <path d="M106 48h50q14 0 14 -16M106 60h80M106 72h50q14 0 14 16" class="thick" />
    <path d="M106 82h34q8 0 8 16" class="ink" />
  {:else if name === 'thin'}
    <rect x="26" y="30" width="80" height="54" rx="8" class="body" />
    <path d="M106 44h86M106 58h86" class="thick" />
    <path d="M106 72q30 0 46 22h20M106 78q26 2 40 24h26" class="hotline" />
    <rect x="172" y="88" width="18" height="20" class="part" />
  {:else if name === 'ohms'}
    <rect x="20" y="20" width="64" height="80" rx="5" class="body" />
    <rect x="30" y="30" width="44" height="20" class="part" />
    <path d="M36 44h8m4 0h8m4 0h8" class="ink" />
    <circle cx="52" cy="74" r="11" class="part" /><path d="M52 74l6 -7" class="ink" />
    <path d="M84 88q30 18 44 -16M84 80q40 0 52 -30" class="hotline" />
    <path d="M128 72l8 -14M136 50l8 -14" class="thick" />
    <path d="M150 40q6 -10 12 0t12 0 12 0M150 40v34h42v-34" class="mark" />
  {:else if name === 'speed'}
    <path d="M40 92a62 62 0 0 1 124 0" class="body" />
    {#each [0, 30, 60, 90, 120, 150, 180] as a (a)}<path
        d="M40 92h10"
        class="ink"
        transform="rotate({a} 102 92)"
      />{/each}
    <path d="M102 92l34 -40" class="mark" />
    <circle cx="102" cy="92" r="5" class="part" />
  {:else if name === 'rotor'}
    <path d="M16 56h40v8h-40M170 56h34v8h-34" class="part" />
    <rect x="56" y="30" width="86" height="60" class="body" />
    {#each [0, 1, 2, 3, 4, 5] as i (i)}<path d="M{64 + i * 14} 30l-10 60" class="soft" />{/each}
    <rect x="146" y="42" width="24" height="36" class="brass" />
    {#each [0, 1, 2, 3] as i (i)}<path d="M146 {49 + i * 8}h24" class="ink" />{/each}
  {/if}
</svg>

<style>
  .figure {
    width: 100%;
    max-width: 15rem;
  }
  .body,
  .part,
  .metal,
  .hot,
  .brass {
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-linejoin: round;
  }
  .body {
    fill: var(--iron-wash);
  }
  .part {
    fill: var(--card);
  }
  .metal {
    fill: var(--plate-b);
  }
  .hot {
    fill: color-mix(in srgb, var(--iron) 55%, var(--card));
  }
  .brass {
    fill: color-mix(in srgb, var(--brass) 45%, var(--card));
  }
  .ink,
  .soft,
  .mark,
  .hotline,
  .thick {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-linecap: round;
  }
  circle.ink {
    fill: var(--ink);
  }
  .soft {
    stroke: var(--soft);
  }
  .mark {
    stroke: var(--iron);
    stroke-width: 2.6;
  }
  .hotline {
    stroke: var(--brass);
    stroke-width: 2.6;
  }
  .thick {
    stroke-width: 4.5;
  }
</style>
