<script lang="ts">
  import type { Drawing } from '../api/client';
  import Pair from './Pair.svelte';
  import { shaftDistance, stagesExtent } from './stages';

  interface Props {
    stages: Drawing['stages'];
    x: number;
    y: number;
    scale: number;
    shaftFrom: number;
  }
  let { stages, x, y, scale, shaftFrom }: Props = $props();

  const first = $derived(x + stagesExtent(stages).first * scale);
  const shafts = $derived(
    stages.reduce<number[]>((at, s) => [...at, (at.at(-1) ?? 0) + shaftDistance(s) * scale], [first])
  );
</script>

{#if stages.length > 0}<path d="M{shaftFrom} {y}H{first}" class="link" />{/if}
{#each stages as s, i (i)}
  <Pair stage={s} x1={shafts[i] ?? 0} y1={y} x2={shafts[i + 1] ?? 0} y2={y} {scale} />
{/each}

<style>
  .link {
    stroke: var(--ink);
    stroke-width: 1.2;
    stroke-dasharray: 2 3;
  }
</style>
