<script lang="ts">
  import { untrack } from 'svelte';
  import Pair from '../line/Pair.svelte';
  import { prefs } from '../prefs.svelte';
  import Reach from '../reach/Reach.svelte';
  import { figure } from '../reach/scale';
  import Mark from '../ui/Mark.svelte';
  import { Toy } from './toy.svelte';

  const toy = new Toy();
  void toy.load();
  $effect(() => {
    void prefs.answers;
    untrack(() => toy.again());
  });
  $effect(() => () => toy.stop());

  const a = $derived(toy.answer);
  const stage = $derived(a?.drawing.stages[0]);
  const scale = 0.62;
  const [x1, y, wide, high] = [44, 132, 340, 264];
  const x2 = $derived(x1 + (stage?.centre ?? 220) * scale);
  const radius = $derived((toy.size / 2) * scale);
  const drawn = $derived(stage && { ...stage, steps: stage.steps.map((s) => ({ ...s, driven: toy.size })) });
  const length = $derived(prefs.units === 'inch' ? `${figure(toy.size / 25.4)} in` : `${figure(toy.size)} mm`);

  let svg = $state<SVGSVGElement>();
  let held = $state(false);
  const follow = (e: PointerEvent) => {
    const box = svg?.getBoundingClientRect();
    if (!held || !box) return;
    const px = wide / box.width;
    toy.set((2 * Math.hypot((e.clientX - box.left) * px - x2, (e.clientY - box.top) * px - y)) / scale);
  };
  const grab = (e: PointerEvent) => {
    held = true;
    (e.currentTarget as Element).setPointerCapture(e.pointerId);
    follow(e);
  };
  const steps: Record<string, number> = {
    ArrowRight: 5,
    ArrowUp: 5,
    ArrowLeft: -5,
    ArrowDown: -5,
    PageUp: 40,
    PageDown: -40
  };
  const key = (e: KeyboardEvent) => {
    const by = steps[e.key];
    if (!by) return;
    e.preventDefault();
    toy.set(toy.size + by);
  };
</script>

{#if a && drawn}
  <div class="grid items-start gap-x-6 gap-y-3 md:grid-cols-[340px_1fr]">
    <div>
      <svg
        bind:this={svg}
        viewBox="0 0 {wide} {high}"
        class="w-full max-w-[340px] touch-none"
        role="slider"
        tabindex="0"
        aria-label="Pulley on the spindle"
        aria-valuemin={toy.bounds.least}
        aria-valuemax={toy.bounds.most}
        aria-valuenow={toy.size}
        aria-valuetext={length}
        onpointerdown={grab}
        onpointermove={follow}
        onpointerup={() => (held = false)}
        onpointercancel={() => (held = false)}
        onkeydown={key}
      >
        <Pair stage={drawn} {x1} y1={y} {x2} y2={y} {scale} detailed />
        <circle cx={x2 + radius} cy={y} r="9" class="rim" class:held />
        <text x={x1} y={y + 40} text-anchor="middle">motor</text>
        <text x={x2} y={y + 28} text-anchor="middle" class="size">⌀ {length}</text>
      </svg>
      <p class="text-sm text-soft">Drag the big pulley’s rim, or press the arrow keys.</p>
    </div>
    <div class="min-w-0">
      <div class="h-96"><Reach {a} /></div>
    </div>
  </div>
  <div class="mt-2 flex flex-wrap items-baseline gap-x-6 gap-y-1" aria-live="polite">
    <p class="font-head text-2xl font-semibold">{a.headline}</p>
    {#each a.jobs as job (job.id)}
      <p class="flex items-center gap-1.5">
        <Mark level={job.outcome === 'does' ? 'good' : job.outcome === 'just' ? 'caution' : 'stop'} size={18} />
        {job.name}: {job.short}
      </p>
    {/each}
  </div>
{/if}

<style>
  text {
    fill: var(--soft);
    font-size: 13px;
  }
  .size {
    fill: var(--ink);
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }
  .rim {
    fill: var(--card);
    stroke: var(--iron);
    stroke-width: 3;
    cursor: grab;
  }
  .rim.held {
    fill: var(--iron);
  }
</style>
