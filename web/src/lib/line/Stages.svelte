<script lang="ts">
  import type { Drawing } from '../api/client';
  import Pair from './Pair.svelte';
  import { shaftDistance, stagesExtent } from './stages';

  interface Props {
    stages: Drawing['stages'];
    x: number;
    y: number;
    scale: number;
  }
  let { stages, x, y, scale }: Props = $props();

  const first = $derived(x + stagesExtent(stages).first * scale);
  const shafts = $derived(
    stages.reduce<number[]>((at, s) => [...at, (at.at(-1) ?? 0) + shaftDistance(s) * scale], [first])
  );
</script>

{#each stages as s, i (i)}
  <Pair stage={s} x1={shafts[i] ?? 0} y1={y} x2={shafts[i + 1] ?? 0} y2={y} {scale} />
{/each}
