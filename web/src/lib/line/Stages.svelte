<script lang="ts">
  import type { Drawing } from '../api/client';
  import Pair from './Pair.svelte';
  import { shaftDistance, stagesExtent } from './stages';

  interface Props {
    stages: Drawing['stages'];
    x: number;
    y: number;
    scale: number;
    /** How often the first shaft has turned, where a run is played. */
    turns?: number;
    /** The step of each stage that is in use. */
    steps?: readonly number[];
  }
  let { stages, x, y, scale, turns, steps = [] }: Props = $props();

  const step = (i: number) => Math.max(steps[i] ?? 0, 0);
  /** How often the driving shaft of each stage has turned. */
  const shaftTurns = $derived(
    turns === undefined
      ? []
      : stages.reduce<number[]>(
          (at, s, i) => {
            const on = s.steps[step(i)];
            const before = at.at(-1) ?? 0;
            return [...at, on && on.driven > 0 && steps[i] !== -1 ? (before * on.driver) / on.driven : before];
          },
          [turns]
        )
  );

  const first = $derived(x + stagesExtent(stages).first * scale);
  const shafts = $derived(
    stages.reduce<number[]>((at, s) => [...at, (at.at(-1) ?? 0) + shaftDistance(s) * scale], [first])
  );
</script>

{#each stages as s, i (i)}
  <Pair
    stage={s}
    x1={shafts[i] ?? 0}
    y1={y}
    x2={shafts[i + 1] ?? 0}
    y2={y}
    {scale}
    step={step(i)}
    turns={shaftTurns[i]}
  />
{/each}
