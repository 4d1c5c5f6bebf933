<script lang="ts">
  import type { Level } from '../api/client';

  let { level, size = 20 }: { level: Level; size?: number } = $props();

  const words: Record<Level, string> = { stop: 'Stop', missing: 'Missing', caution: 'Caution', good: 'Good' };
</script>

<!-- State is told by shape first: octagon, square, triangle, circle. -->
<svg width={size} height={size} viewBox="0 0 24 24" role="img" aria-label={words[level]} class="mark {level}">
  {#if level === 'stop'}
    <path d="M7.500 1.500h9l6 6v9l-6 6h-9l-6-6v-9z" />
    <path d="M12 6v7.500M12 16.500v1.800" />
  {:else if level === 'missing'}
    <rect x="2.500" y="2.500" width="19" height="19" rx="1" stroke-dasharray="3.500 2.500" />
    <path d="M9 9.200c.2-4 6.200-3.600 6 .2-.1 2.400-3 2.500-3 5M12 17.200v1.300" />
  {:else if level === 'caution'}
    <path d="M12 2.500 22.500 21.500h-21z" />
    <path d="M12 9v6M12 17.300v1.500" />
  {:else}
    <circle cx="12" cy="12" r="10" />
    <path d="m7 12.500 3.500 3.500L17 8.500" />
  {/if}
</svg>

<style>
  .mark {
    flex: none;
    fill: none;
    stroke: currentColor;
    stroke-width: 1.8;
    stroke-linejoin: round;
    stroke-linecap: round;
  }
  .mark > :first-child {
    fill: color-mix(in srgb, currentColor 14%, transparent);
  }
  .stop {
    color: var(--stop);
  }
  .caution,
  .missing {
    color: var(--brass-ink);
  }
  .good {
    color: var(--good);
  }
</style>
