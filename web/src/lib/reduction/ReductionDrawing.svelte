<script lang="ts">
  import type { Assessment } from '../api/client';
  import Pair from '../line/Pair.svelte';
  import { apart } from '../reach/labels';
  import { figure } from '../reach/scale';
  import { openSheet } from '../form/context';
  import { between, extent, shafts, type Point, type Stage } from './layout';
  import { wheelPath } from './wheel';

  /** The reduction end on, to scale. Shafts are dragged or moved by the arrow keys; a wheel takes the
   *  size dropped on it. */
  let { a, wheel = $bindable('') }: { a: Assessment; wheel?: string } = $props();

  const sheet = openSheet();
  const MOST_SCALE = 2;
  const room = { x: 84, top: 40, bottom: 80 };

  let width = $state(600);
  let height = $state(300);
  let step = $state(0);
  /** Where the shaft being dragged is, before the answer to it has come. */
  let dragged = $state.raw<{ shaft: number; at: Point; view: View }>();

  let settling = false;
  $effect(() => {
    void a;
    if (!settling) return;
    settling = false;
    dragged = undefined;
  });

  interface View {
    scale: number;
    left: number;
    top: number;
  }

  const stages = $derived(a.drawing.stages);
  const steps = $derived(Math.max(...stages.map((s) => s.steps.length), 1));
  const placed = $derived(shafts(stages));
  const fitted = $derived.by<View>(() => {
    const box = extent(stages, placed);
    const wide = Math.max(box.right - box.left, 1);
    const tall = Math.max(box.bottom - box.top, 1);
    const scale = Math.max(
      Math.min((width - 2 * room.x) / wide, (height - room.top - room.bottom) / tall, MOST_SCALE),
      0.02
    );
    return {
      scale,
      left: (width - wide * scale) / 2 - box.left * scale,
      top: room.top + (height - room.top - room.bottom - tall * scale) / 2 - box.top * scale
    };
  });
  // The view stays still under the hand.
  const view = $derived(dragged?.view ?? fitted);
  const at = $derived(
    placed.map((p, i) => {
      const mm = dragged?.shaft === i ? dragged.at : p;
      return { x: view.left + mm.x * view.scale, y: view.top + mm.y * view.scale };
    })
  );
  const lowest = $derived(Math.min(view.top + extent(stages, placed).bottom * view.scale + 20, height - 52));
  const length = (mm: number) => `${figure(mm / a.units.lengthMm)} ${a.units.length}`;
  const on = (s: Stage) => s.steps[Math.min(step, s.steps.length - 1)];

  /** Which shafts can be moved: those at the end of a stage that has centres of its own. */
  const movable = (shaft: number) => shaft > 0 && stages[shaft - 1]?.kind !== 'direct';

  /** Writes the stages on either side of a shaft that stands at p, millimetres. */
  function move(shaft: number, p: Point, first: boolean) {
    sheet.drag(({ plan }) => {
      const put = (i: number, from: Point | undefined, to: Point | undefined) => {
        const stage = plan.reduction.stages[i];
        const drawn = stages[i];
        if (!stage || !drawn || !from || !to || drawn.kind === 'direct') return;
        const { centre, direction } = between(from, to);
        stage.direction = direction;
        if (!drawn.meshed) {
          stage.centre = centre;
          stage.belt = '';
        }
      };
      put(shaft - 1, placed[shaft - 1], p);
      put(shaft, p, placed[shaft + 1]);
    }, first);
  }

  function take(e: PointerEvent, shaft: number) {
    if (!movable(shaft) || e.button !== 0) return;
    e.preventDefault();
    const target = e.currentTarget as SVGElement;
    target.setPointerCapture(e.pointerId);
    const start = { x: e.clientX, y: e.clientY };
    const from = placed[shaft] ?? { x: 0, y: 0 };
    const held = view;
    settling = false;
    let first = true;
    let asked = false;
    // The drawing follows at once; the plan, its saving and its verdict after the frame is drawn, and
    // then only for where the shaft is by then.
    const write = () => {
      asked = false;
      if (!dragged) return;
      move(shaft, dragged.at, first);
      first = false;
    };
    const follow = (e: PointerEvent) => {
      dragged = {
        shaft,
        at: { x: from.x + (e.clientX - start.x) / held.scale, y: from.y + (e.clientY - start.y) / held.scale },
        view: held
      };
      if (asked) return;
      asked = true;
      requestAnimationFrame(() => setTimeout(write));
    };
    const release = () => {
      target.removeEventListener('pointermove', follow);
      if (asked) write();
      // Let go, it stays where it was put until the answer has come.
      if (first) dragged = undefined;
      else settling = true;
    };
    target.addEventListener('pointermove', follow);
    target.addEventListener('pointerup', release, { once: true });
    target.addEventListener('pointercancel', release, { once: true });
  }

  function nudge(e: KeyboardEvent, shaft: number) {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1]
    };
    const [dx, dy] = by[e.key] ?? [0, 0];
    const from = placed[shaft];
    if ((dx === 0 && dy === 0) || !from || !movable(shaft)) return;
    e.preventDefault();
    const far = e.shiftKey ? 10 : 1;
    move(shaft, { x: from.x + dx * far, y: from.y + dy * far }, true);
  }

  /** The wheels that can be changed, large ones first so that small ones lie on top. */
  const wheels = $derived(
    stages
      .flatMap((s, i) => {
        const w = on(s);
        if (!w || s.kind === 'direct') return [];
        const k = Math.min(step, s.steps.length - 1);
        return [
          { path: wheelPath(i, k, 'driver'), at: at[i], mm: w.driver, says: `driving wheel of stage ${i + 1}` },
          { path: wheelPath(i, k, 'driven'), at: at[i + 1], mm: w.driven, says: `driven wheel of stage ${i + 1}` }
        ];
      })
      .sort((p, q) => q.mm - p.mm)
  );
  let over = $state('');
  /** The driven wheel whose middle a shaft's handle covers. */
  const drivenPath = (shaft: number) =>
    wheelPath(shaft - 1, Math.min(step, (stages[shaft - 1]?.steps.length ?? 1) - 1), 'driven');
  const drop = (e: DragEvent, path: string) => {
    e.preventDefault();
    over = '';
    const size = e.dataTransfer?.getData('text/plain');
    if (size) sheet.set(path, size);
  };

  // A round length of about a third of the width, for the rule under the drawing.
  const rule = $derived.by(() => {
    const mm = width / 3 / view.scale;
    const unit = a.units.lengthMm;
    const power = 10 ** Math.floor(Math.log10(mm / unit));
    const nice = [5, 2, 1].map((n) => n * power).find((n) => n * unit <= mm) ?? power;
    return { mm: nice * unit, text: length(nice * unit) };
  });
  const rpm = (v: number) => (v > 0 ? `${figure(v)} rpm` : '');

  /** How fast each shaft turns at most, with the belts on the step drawn; 0 when not known. */
  const speeds = $derived(
    stages.reduce<number[]>(
      (all, s) => [...all, (all.at(-1) ?? 0) / (on(s)?.ratio || 1)],
      [stages[0]?.driverTopRpm ?? 0]
    )
  );

  /** Half of a wheel as drawn, with every step of a cone. */
  const half = (s: Stage, end: 'driver' | 'driven') => (Math.max(...s.steps.map((w) => w[end])) / 2) * view.scale;

  /** The motor's wheel is named on the side its belt does not leave by. */
  const motorWheel = $derived.by(() => {
    const s = stages[0];
    const w = s && on(s);
    const from = at[0];
    if (!s || !w || !from || s.kind === 'direct') return undefined;
    const side = (at[1]?.x ?? 0) >= from.x ? -1 : 1;
    // A worm lies along its shaft, half as long again as it is thick.
    const out = half(s, 'driver') * (s.kind === 'worm' ? 1.6 : 1);
    return {
      x: from.x + side * (out + 9),
      y: from.y,
      anchor: side < 0 ? 'end' : 'start',
      size: `⌀ ${length(w.driver)}`,
      rpm: rpm(speeds[0] ?? 0)
    };
  });

  /** A driven wheel is named above itself, a driving one below, or above where a large wheel lies round it;
   *  all are moved until no name covers another or a shaft. */
  const names = $derived.by(() => {
    const list = stages.flatMap((s, i) => {
      const w = on(s);
      const [from, to] = [at[i], at[i + 1]];
      if (!w || !from || !to || s.kind === 'direct') return [];
      const driven = {
        x: to.x,
        y: to.y - half(s, 'driven') - 7,
        size: `⌀ ${length(w.driven)}`,
        rpm: rpm(speeds[i + 1] ?? 0)
      };
      if (i === 0) return [driven];
      const before = on(stages[i - 1] ?? s);
      const inside = before !== undefined && (before.driven - w.driver) * view.scale > 60;
      const out = half(s, 'driver');
      return [
        driven,
        { x: from.x, y: from.y + (inside ? -out - 8 : out + 17), size: `⌀ ${length(w.driver)}`, rpm: '' }
      ];
    });
    const wide = list.map((n) => 8.2 * Math.max(n.size.length, n.rpm.length));
    const y = apart(
      list.map((n, i) => ({ x: n.x - (wide[i] ?? 0) / 2, y: n.y, width: wide[i] ?? 0 })),
      at.map((p) => [-12, 0, 12].map((dy) => ({ x: p.x, y: p.y + dy }))),
      31,
      28,
      height
    );
    return list.map((n, i) => ({ ...n, y: y[i] ?? n.y }));
  });
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
      {#each wheels as w (w.path)}
        <!-- A drop target and a choice: the tray below fills whichever wheel is chosen. -->
        <circle
          cx={w.at?.x}
          cy={w.at?.y}
          r={Math.max((w.mm / 2) * view.scale, 12)}
          class="catch"
          class:chosen={wheel === w.path}
          class:over={over === w.path}
          role="button"
          tabindex="0"
          aria-pressed={wheel === w.path}
          aria-label="Choose the {w.says}, {length(w.mm)}"
          data-wheel={w.path}
          onclick={() => (wheel = wheel === w.path ? '' : w.path)}
          onkeydown={(e) => {
            if (e.key !== 'Enter' && e.key !== ' ') return;
            e.preventDefault();
            wheel = wheel === w.path ? '' : w.path;
          }}
          ondragover={(e) => {
            e.preventDefault();
            over = w.path;
          }}
          ondragleave={() => (over = '')}
          ondrop={(e) => drop(e, w.path)}
        />
      {/each}
      {#each at as p, i (i)}<path d="M{p.x} {p.y - 14}V{lowest + 8}M{p.x - 14} {p.y}h28" class="centre" />{/each}
      {#each stages as s, i (i)}
        {@const x1 = at[i]?.x ?? 0}
        {@const x2 = at[i + 1]?.x ?? 0}
        {@const w = on(s)}
        {#if s.kind !== 'direct'}
          {#if Math.abs(x2 - x1) > 20}
            <path
              d="M{x1} {lowest}H{x2}M{x1 + (x2 > x1 ? 6 : -6)} {lowest - 3}L{x1} {lowest}l{x2 > x1 ? 6 : -6} 3M{x2 -
                (x2 > x1 ? 6 : -6)} {lowest - 3}L{x2} {lowest}l{x2 > x1 ? -6 : 6} 3"
              class="dim"
            />
          {/if}
          <text x={(x1 + x2) / 2} y={lowest - 5} text-anchor="middle" class="says halo"
            >{s.centreKnown ? length(s.centre) : 'distance?'}</text
          >
          {@const tight = Math.abs(x2 - x1) < 200}
          {@const wrap = s.centreKnown && w && !s.meshed && s.kind !== 'chain' ? `wrap ${figure(w.wrapDeg)}°` : ''}
          {@const belt = s.belt > 0 ? `${s.kind === 'chain' ? 'chain' : 'belt'} ${length(w?.length || s.belt)}` : ''}
          <text x={(x1 + x2) / 2} y={lowest + 16} text-anchor="middle" class="says soft"
            >{tight ? belt : [belt, wrap].filter(Boolean).join(', ')}</text
          >
          {#if tight}<text x={(x1 + x2) / 2} y={lowest + 31} text-anchor="middle" class="says soft">{wrap}</text>{/if}
        {/if}
      {/each}
      {#if motorWheel}
        <text x={motorWheel.x} y={motorWheel.y - 2} text-anchor={motorWheel.anchor} class="says halo"
          >{motorWheel.size}</text
        >
        <text x={motorWheel.x} y={motorWheel.y + 14} text-anchor={motorWheel.anchor} class="says soft halo"
          >{motorWheel.rpm}</text
        >
      {/if}
      {#each names as n, i (i)}
        <text x={n.x} y={n.rpm ? n.y - 15 : n.y} text-anchor="middle" class="says halo">{n.size}</text>
        {#if n.rpm}<text x={n.x} y={n.y} text-anchor="middle" class="says soft halo">{n.rpm}</text>{/if}
      {/each}
      {#each at as p, i (i)}
        {#if movable(i)}
          <circle
            cx={p.x}
            cy={p.y}
            r="11"
            class="handle"
            role="button"
            tabindex="0"
            aria-label="Shaft {i + 1}: drag it, or move it with the arrow keys"
            data-shaft={i}
            onpointerdown={(e) => take(e, i)}
            ondragover={(e) => {
              e.preventDefault();
              over = drivenPath(i);
            }}
            ondragleave={() => (over = '')}
            ondrop={(e) => drop(e, drivenPath(i))}
            onkeydown={(e) => nudge(e, i)}
          />
        {/if}
      {/each}
      {#if stages.length > 0}
        <path d="M16 {height - 12}v-5m0 5h{rule.mm * view.scale}m0 0v-5" class="dim" />
        <text x={20 + rule.mm * view.scale} y={height - 10} class="says soft">{rule.text}</text>
      {/if}
    </svg>
  </div>
</section>

<style>
  .centre {
    fill: none;
    stroke: var(--soft);
    stroke-dasharray: 8 3 2 3;
    pointer-events: none;
  }
  .dim {
    fill: none;
    stroke: var(--iron);
    stroke-width: 1.2;
  }
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
