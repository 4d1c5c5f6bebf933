<script lang="ts">
  import { untrack } from 'svelte';
  import type { Assessment } from '../api/client';
  import Pair from '../line/Pair.svelte';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import Dimensions from './Dimensions.svelte';
  import Wheels from './Wheels.svelte';
  import { Belts } from './belts.svelte';
  import { ShaftDrag } from './drag.svelte';
  import { extent, shafts } from './layout';
  import { fitted, motorWheel, onScreen, ruleLength, wheelNames } from './view';
  import { wheelPath } from './wheel';

  /** The reduction end on, to scale. Shafts are dragged or moved by the arrow keys; a wheel takes the
   *  size dropped on it. */
  let { a, wheel = $bindable('') }: { a: Assessment; wheel?: string } = $props();

  const sheet = openSheet();
  let width = $state(600);
  let height = $state(300);
  let step = $state(0);
  let over = $state('');

  const stages = $derived(a.drawing.stages);
  const steps = $derived(Math.max(...stages.map((s) => s.steps.length), 1));
  const placed = $derived(shafts(stages));
  const whole = $derived(fitted(stages, width, height));

  const belts = new Belts(sheet);
  $effect(() => {
    void [a, step];
    belts.step = step;
    untrack(() => belts.again());
  });
  $effect(() => () => belts.stop());

  const drag = new ShaftDrag(
    sheet,
    {
      get stages() {
        return stages;
      },
      get placed() {
        return placed;
      },
      get view() {
        return whole;
      }
    },
    belts
  );
  $effect(() => {
    void a;
    drag.answered();
  });

  // The view stays still under the hand.
  const view = $derived(drag.held?.view ?? whole);
  const at = $derived(placed.map((p, i) => onScreen(view, drag.held?.shaft === i ? drag.held.at : p)));
  const length = (mm: number) => `${figure(mm / a.units.lengthMm)} ${a.units.length}`;
  const drawn = $derived({ stages, step, view, at, height, length });
  const names = $derived([motorWheel(drawn), ...wheelNames(drawn)].filter((n) => n !== undefined));
  // Dimensions stand below the wheels and their names.
  const lowest = $derived(
    Math.min(
      Math.max(view.top + extent(stages, placed).bottom * view.scale + 20, ...names.map((n) => n.y + 26)),
      height - 52
    )
  );
  const rule = $derived(ruleLength(view, width, a.units.lengthMm));

  /** The driven wheel whose middle a shaft's handle covers. */
  const drivenPath = (shaft: number) =>
    wheelPath(shaft - 1, Math.min(step, (stages[shaft - 1]?.steps.length ?? 1) - 1), 'driven');
  const drop = (e: DragEvent, path: string) => {
    e.preventDefault();
    over = '';
    const size = e.dataTransfer?.getData('text/plain');
    if (size) sheet.set(path, size);
  };
</script>

<section aria-label="Reduction, end on, to scale" class="flex h-full min-h-56 flex-col">
  <div class="flex flex-wrap items-center justify-between gap-x-3 pr-4 pl-3">
    <h2 class="caption text-ink!">Reduction, end on, to scale</h2>
    {#if steps > 1}
      <div class="flex items-center gap-1 text-sm" role="group" aria-label="Step drawn">
        belt on step
        {#each Array.from({ length: steps }, (_, i) => i) as i (i)}
          <button class="button min-h-8! px-2.5! py-0!" aria-pressed={step === i} onclick={() => (step = i)}
            >{i + 1}</button
          >
        {/each}
      </div>
    {/if}
  </div>
  <div class="relative min-h-0 flex-1" bind:clientWidth={width} bind:clientHeight={height}>
    <svg class="absolute inset-0" {width} {height} role="group" aria-label="{stages.length} stages drawn end on">
      {#each stages as s, i (i)}
        <Pair
          stage={s}
          x1={at[i]?.x ?? 0}
          y1={at[i]?.y ?? 0}
          x2={at[i + 1]?.x ?? 0}
          y2={at[i + 1]?.y ?? 0}
          scale={view.scale}
          detailed
          {step}
        />
      {/each}
      <Wheels {stages} {step} {at} scale={view.scale} {length} bind:chosen={wheel} bind:over ondrop={drop} />
      {#each at as p, i (i)}<path d="M{p.x} {p.y - 14}V{lowest + 8}M{p.x - 14} {p.y}h28" class="centre" />{/each}
      <Dimensions {stages} {step} {at} y={lowest} {length} />
      {#each names as n, i (i)}
        {@const size = n.anchor === 'middle' ? (n.rpm ? n.y - 15 : n.y) : n.y - 2}
        <text x={n.x} y={size} text-anchor={n.anchor} class="says halo">{n.size}</text>
        {#if n.rpm}
          <text x={n.x} y={n.anchor === 'middle' ? n.y : n.y + 14} text-anchor={n.anchor} class="says soft halo"
            >{n.rpm}</text
          >
        {/if}
      {/each}
      {#each at as p, i (i)}
        {#if drag.movable(i)}
          <circle
            cx={p.x}
            cy={p.y}
            r="11"
            class="handle"
            role="button"
            tabindex="0"
            aria-label="Shaft {i + 1}: drag it, or move it with the arrow keys"
            data-shaft={i}
            onpointerdown={(e) => drag.take(e, i)}
            ondragover={(e) => {
              e.preventDefault();
              over = drivenPath(i);
            }}
            ondragleave={() => (over = '')}
            ondrop={(e) => drop(e, drivenPath(i))}
            onkeydown={(e) => drag.nudge(e, i)}
          />
        {/if}
      {/each}
      {#if stages.length > 0}
        <path d="M16 {height - 12}v-5m0 5h{rule * view.scale}m0 0v-5" class="rule" />
        <text x={20 + rule * view.scale} y={height - 10} class="says soft">{length(rule)}</text>
      {/if}
    </svg>
    <p class="absolute inset-x-3 top-0 text-sm" aria-live="polite">
      {#if drag.held?.belt}
        <span class="font-semibold text-brass-ink">{drag.held.belt.name}</span>
        {drag.held.belt.owned ? 'from the shelf fits here.' : 'fits here; it is to be bought.'}
      {:else if drag.held && belts.has(drag.held.shaft - 1)}
        No belt is made for just here.
      {/if}
      {#if drag.left}
        That leaves {drag.left}, which you have.
        {#if !drag.held}<button class="link" onclick={() => (sheet.undo(), (drag.left = ''))}>Put it back</button>{/if}
      {/if}
    </p>
  </div>
</section>

<style>
  .centre {
    fill: none;
    stroke: var(--soft);
    stroke-dasharray: 8 3 2 3;
    pointer-events: none;
  }
  .rule {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.2;
  }
  .handle {
    fill: var(--iron-wash);
    stroke: var(--brass);
    stroke-width: 3;
    cursor: grab;
    touch-action: none;
  }
  .handle:active {
    cursor: grabbing;
  }
  .says {
    font-size: 14px;
    fill: var(--ink);
    pointer-events: none;
  }
  .soft {
    fill: var(--soft);
    font-size: 13px;
  }
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
    font-weight: 600;
  }
</style>
