<script lang="ts">
  import Symbol from './Symbol.svelte';
  import { loops, mainLine, strands, type Device, type Wiring } from './layout';

  /** The line from wall to motor across the top, and below it each loop run by run; numbers are those
   *  of the list. */
  let { wiring }: { wiring: Wiring } = $props();

  const box = { w: 46, h: 34 };
  const top = 64;
  const main = $derived(mainLine(wiring));
  const lines = $derived(strands(wiring));
  const place = (i: number) => 40 + i * step;
  const step = $derived(Math.min(Math.max(880 / Math.max(main.length, 1), 84), 150));
  const rest = $derived(loops(wiring).filter((l) => l.name !== 'Supply to motor' && l.name !== 'Field'));
  const device = (id: string) => wiring.devices.find((d) => d.id === id);
  const longest = $derived(Math.max(...rest.flatMap((l) => l.runs.map((r) => r.stops.length)), 2));
  const width = $derived(Math.max(main.length * step + 40, longest * 150 + 60, 640));
  const rowHeight = 66;

  /** Where each run of each loop stands. */
  const rows = $derived.by(() => {
    let y = top + box.h + 92;
    return rest.map((l) => {
      const from = y;
      y += 26 + l.runs.length * rowHeight;
      return { ...l, y: from };
    });
  });
  const height = $derived((rows.at(-1)?.y ?? 160) + 26 + (rows.at(-1)?.runs.length ?? 0) * rowHeight + 6);
  /** A name in lines of so many letters. */
  const wrapped = (text: string, most: number) =>
    text.split(' ').reduce<string[]>((out, word) => {
      const last = out.at(-1);
      if (last !== undefined && `${last} ${word}`.length <= most) out[out.length - 1] = `${last} ${word}`;
      else out.push(word);
      return out;
    }, []);
  const kind = (d: Device | undefined) => d?.kind ?? '';
</script>

<div class="overflow-x-auto">
  <svg
    viewBox="0 0 {width} {height}"
    style="width: 100%; min-width: {Math.min(width, 700)}px; max-width: {width * 1.1}px"
    role="img"
    aria-label="Wiring: {main.map((d) => d.name).join(', ')}; then {rest.map((l) => l.name).join(', ')}"
  >
    <text x="10" y="18" class="caption">Supply to motor</text>
    {#each lines as s (s.wire.n)}
      {@const x1 = place(s.from) + box.w}
      {@const x2 = place(s.to)}
      {#if s.to - s.from === 1}
        {@const y = top + box.h / 2 + (s.lane - (s.of - 1) / 2) * 10}
        <path d="M{x1} {y}H{x2}" class="wire {s.wire.role}" />
        <text x={(x1 + x2) / 2 + (s.lane - (s.of - 1) / 2) * 16} y={top - 3} text-anchor="middle" class="n"
          >{s.wire.n}</text
        >
      {:else}
        {@const y = top - 18 - s.lane * 15}
        <path d="M{x1 - 8} {top}V{y}H{x2 + 8}V{top}" class="wire {s.wire.role}" />
        <text x={(x1 + x2) / 2} y={y - 3} text-anchor="middle" class="n">{s.wire.n}</text>
      {/if}
    {/each}
    {#each main as d, i (d.id)}
      {@const x = place(i)}
      <Symbol kind={kind(d)} {x} y={top} w={box.w} h={box.h} />
      <text x={x + box.w / 2} y={top + box.h + 15} text-anchor="middle" class="id">{d.id}</text>
      {#each wrapped(d.name, Math.floor(step / 7)).slice(0, 4) as words, k (k)}
        <text x={x + box.w / 2} y={top + box.h + 29 + k * 13} text-anchor="middle" class="name">{words}</text>
      {/each}
    {/each}
    {#each rows as l, n (n)}
      <text x="10" y={l.y + 12} class="caption">{l.name}</text>
      {#each l.runs as r, i (i)}
        {@const y = l.y + 24 + i * rowHeight}
        {#each r.stops as s, k (k)}
          {@const d = device(s.device)}
          {@const x = 30 + k * 150}
          {#if k > 0}
            {@const w = r.wires[k - 1]}
            <path d="M{x - 150 + box.w} {y + box.h / 2}H{x}" class="wire {w?.role}" class:screened={w?.screened} />
            {#if w}
              <text x={x - (150 - box.w) / 2} y={y + box.h / 2 - 14} text-anchor="middle" class="n">{w.n}</text>
              <text x={x - 150 + box.w + 4} y={y + box.h / 2 - 3} class="end">{r.stops[k - 1]?.out}</text>
              <text x={x - 4} y={y + box.h / 2 - 3} text-anchor="end" class="end">{s.in}</text>
            {/if}
          {/if}
          <Symbol kind={kind(d)} {x} {y} w={box.w} h={box.h} />
          <text x={x + box.w / 2} y={y + box.h + 14} text-anchor="middle" class="id">{s.device}</text>
        {/each}
      {/each}
    {/each}
  </svg>
</div>

<style>
  .wire {
    fill: none;
    stroke: var(--wiring-ink, var(--ink));
    stroke-width: 1.8;
  }
  .output {
    stroke: var(--wiring-ink, var(--iron));
  }
  .earth {
    stroke-dasharray: 8 3;
    stroke: var(--wiring-ink, var(--good));
  }
  .loop {
    stroke: var(--wiring-ink, var(--brass-ink));
    stroke-width: 1.5;
  }
  .signal {
    stroke-dasharray: 2 2;
    stroke: var(--wiring-ink, var(--iron));
  }
  .screened {
    stroke-width: 2.6;
  }
  text {
    fill: var(--wiring-ink, var(--ink));
    font-size: 12px;
  }
  .id {
    font-weight: 650;
  }
  .name,
  .end {
    fill: var(--wiring-ink, var(--soft));
    font-size: 11.5px;
  }
  .n {
    fill: var(--wiring-ink, var(--iron));
    font-size: 11px;
  }
  .caption {
    font-family: var(--font-head);
    font-weight: 600;
    font-size: 13px;
    letter-spacing: 0.08em;
  }
</style>
