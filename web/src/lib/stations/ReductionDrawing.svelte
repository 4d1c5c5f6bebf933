<script lang="ts">
  import type { Assessment } from '../api/client';
  import Pair from '../line/Pair.svelte';
  import { shaftDistance, trainExtent } from '../line/train';
  import { figure } from '../reach/scale';

  /** The reduction end on, to scale, with its centres measured underneath. */
  let { a }: { a: Assessment } = $props();

  let width = $state(600);
  let height = $state(300);
  let step = $state(0);
  const stages = $derived(a.drawing.stages);
  const extent = $derived(trainExtent(stages));
  const steps = $derived(Math.max(...stages.map((s) => s.steps.length), 1));
  const scale = $derived(Math.min((width - 70) / Math.max(extent.width, 1), (height - 116) / Math.max(extent.tallest, 1)));
  const left = $derived((width - extent.width * scale) / 2);
  const y = $derived(30 + (extent.tallest * scale) / 2);
  const shafts = $derived(
    stages.reduce<number[]>((at, s) => [...at, (at.at(-1) ?? 0) + shaftDistance(s) * scale], [left + extent.first * scale])
  );
  const floor = $derived(y + (extent.tallest * scale) / 2 + 18);
  const length = (mm: number) => `${figure(mm / a.units.lengthMm)} ${a.units.length}`;
  const wheel = (s: (typeof stages)[number]) => s.steps[Math.min(step, s.steps.length - 1)];

  // A round length of about a third of the width, for the rule under the drawing.
  const rule = $derived.by(() => {
    const mm = width / 3 / scale;
    const unit = a.units.lengthMm;
    const power = 10 ** Math.floor(Math.log10(mm / unit));
    const nice = [5, 2, 1].map((n) => n * power).find((n) => n * unit <= mm) ?? power;
    return { mm: nice * unit, text: length(nice * unit) };
  });
</script>

<section aria-label="Reduction, end on, to scale" class="flex h-full min-h-56 flex-col">
  <div class="flex items-center justify-between pr-4 pl-3">
    <h2 class="caption text-ink!">Reduction, end on, to scale</h2>
    {#if steps > 1}
      <div class="flex items-center gap-1 text-sm" role="group" aria-label="Step drawn">
        belt on step
        {#each Array.from({ length: steps }, (_, i) => i) as i (i)}
          <button class="button min-h-8! px-2.5! py-0!" aria-pressed={step === i} onclick={() => (step = i)}>{i + 1}</button>
        {/each}
      </div>
    {/if}
  </div>
  <div class="relative min-h-0 flex-1" bind:clientWidth={width} bind:clientHeight={height}>
    <svg class="absolute inset-0" {width} {height} role="img" aria-label="{stages.length} stages drawn end on">
      {#each stages as s, i (i)}
        <Pair stage={s} x1={shafts[i] ?? 0} y1={y} x2={shafts[i + 1] ?? 0} y2={y} {scale} detailed {step} />
      {/each}
      {#each shafts as x, i (i)}<path d="M{x} {y - 12}V{floor + 8}M{x - 14} {y}h28" class="centre" />{/each}
      {#each stages as s, i (i)}
        {@const x1 = shafts[i] ?? 0}
        {@const x2 = shafts[i + 1] ?? 0}
        {@const w = wheel(s)}
        {#if s.kind !== 'direct'}
          <path d="M{x1} {floor}H{x2}M{x1 + 6} {floor - 3}L{x1} {floor}l6 3M{x2 - 6} {floor - 3}L{x2} {floor}l-6 3" class="dim" />
          <text x={(x1 + x2) / 2} y={floor - 5} text-anchor="middle" class="says">{s.centreKnown ? length(s.centre) : 'distance?'}</text>
          <text x={(x1 + x2) / 2} y={floor + 16} text-anchor="middle" class="says soft">
            {s.belt > 0 ? `${s.kind === 'chain' ? 'chain' : 'belt'} ${length(w?.length || s.belt)}` : ''}{s.centreKnown &&
            w &&
            s.kind !== 'spur' &&
            s.kind !== 'chain'
              ? `, wrap ${figure(w.wrapDeg)}°`
              : ''}
          </text>
        {/if}
      {/each}
      {#each stages as s, i (i)}
        {@const w = wheel(s)}
        {#if w && s.kind !== 'direct'}
          <text x={shafts[i]} y={y + (w.driver / 2) * scale + 17} text-anchor="middle" class="says halo">⌀ {length(w.driver)}</text>
          <text x={shafts[i + 1]} y={y - ((w.driven / 2) * scale + 8)} text-anchor="middle" class="says halo">⌀ {length(w.driven)}</text>
        {/if}
      {/each}
      {#if stages.length > 0}
        <path d="M16 {height - 12}v-5m0 5h{rule.mm * scale}m0 0v-5" class="dim" />
        <text x={20 + rule.mm * scale} y={height - 10} class="says soft">{rule.text}</text>
      {/if}
    </svg>
  </div>
</section>

<style>
  .centre {
    fill: none;
    stroke: var(--soft);
    stroke-dasharray: 8 3 2 3;
  }
  .dim {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.2;
  }
  .says {
    font-size: 14px;
    fill: var(--ink);
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
