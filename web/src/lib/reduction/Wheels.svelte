<script lang="ts">
  import type { Point, Stage } from './layout';
  import { on } from './view';
  import { wheelPath } from './wheel';

  interface Props {
    stages: Stage[];
    step: number;
    /** The shafts on the screen. */
    at: Point[];
    scale: number;
    length: (mm: number) => string;
    /** Path of the wheel that is chosen, for the tray to fill; empty for none. */
    chosen: string;
    /** Path of the wheel a size is held over. */
    over: string;
    ondrop: (e: DragEvent, path: string) => void;
  }
  let { stages, step, at, scale, length, chosen = $bindable(), over = $bindable(), ondrop }: Props = $props();

  /** The wheels that can be changed, large ones first so that small ones lie on top. */
  const wheels = $derived(
    stages
      .flatMap((s, i) => {
        const w = on(s, step);
        if (!w || s.kind === 'direct') return [];
        const k = Math.min(step, s.steps.length - 1);
        return [
          { path: wheelPath(i, k, 'driver'), at: at[i], mm: w.driver, says: `driving wheel of stage ${i + 1}` },
          { path: wheelPath(i, k, 'driven'), at: at[i + 1], mm: w.driven, says: `driven wheel of stage ${i + 1}` }
        ];
      })
      .sort((p, q) => q.mm - p.mm)
  );
  const choose = (path: string) => (chosen = chosen === path ? '' : path);
</script>

{#each wheels as w (w.path)}
  <!-- A drop target and a choice: the tray below fills whichever wheel is chosen. -->
  <circle
    cx={w.at?.x}
    cy={w.at?.y}
    r={Math.max((w.mm / 2) * scale, 12)}
    class="catch"
    class:chosen={chosen === w.path}
    class:over={over === w.path}
    role="button"
    tabindex="0"
    aria-pressed={chosen === w.path}
    aria-label="Choose the {w.says}, {length(w.mm)}"
    data-wheel={w.path}
    onclick={() => choose(w.path)}
    onkeydown={(e) => {
      if (e.key !== 'Enter' && e.key !== ' ') return;
      e.preventDefault();
      choose(w.path);
    }}
    ondragover={(e) => {
      e.preventDefault();
      over = w.path;
    }}
    ondragleave={() => (over = '')}
    ondrop={(e) => ondrop(e, w.path)}
  />
{/each}

<style>
  .catch {
    fill: transparent;
    stroke: transparent;
    stroke-width: 3;
    cursor: pointer;
  }
  .catch:hover,
  .catch.over {
    stroke: var(--brass);
  }
  .catch.chosen {
    stroke: var(--iron);
    stroke-dasharray: 5 3;
  }
</style>
