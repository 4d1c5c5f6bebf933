<script lang="ts">
  import { untrack } from 'svelte';
  import { scaleLinear } from 'd3-scale';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';
  import { prefs } from '../prefs.svelte';
  import { pathOf } from './chart';
  import { warmth, warmthUnit } from './trace';

  /** A working day: winding and case by the hour against what the class allows. */
  const sheet = openSheet();
  const day = $derived(sheet.dry.day);
  $effect(() => {
    void sheet.question;
    untrack(() => sheet.dry.askDay());
  });

  /** A temperature in words, and a curve of them, as they are shown. */
  const shown = (c: number) => `${figure(warmth(c, prefs.units))} ${warmthUnit(prefs.units)}`;
  const curve = (list: readonly number[]) => list.map((c) => warmth(c, prefs.units));

  let width = $state(640);
  const LEFT = 48;
  const HEIGHT = 300;
  const plot = $derived(Math.max(width - LEFT - 60, 120));
  const x = $derived(
    scaleLinear()
      .domain([0, day?.hours.at(-1) ?? 8])
      .range([0, plot])
  );
  // A burnt winding says no more by its degrees.
  const top = $derived(
    warmth(Math.min(Math.max((day?.most ?? 0) * 1.05, (day?.class ?? 0) * 1.12), (day?.class ?? 0) * 1.6), prefs.units)
  );
  const y = $derived(
    scaleLinear()
      .domain([0, top || 100])
      .range([HEIGHT - 34, 14])
  );
</script>

<section aria-label="A working day">
  {#if day?.runs}
    <h2 class="px-4 text-[1.45rem] leading-tight" aria-live="polite">{day.headline}</h2>
    <p class="px-4 text-sm text-soft">
      Eight hours of its jobs in turn, each with its own minutes on and off, in a shop at {shown(day.air)}. Simulated.
    </p>
    <div bind:clientWidth={width} class="mt-2 min-w-0">
      <svg
        {width}
        height={HEIGHT}
        role="img"
        aria-label="Winding and case through the day, at the most {shown(day.most)} of {shown(day.class)}"
      >
        <g transform="translate({LEFT} 0)">
          {#each y.ticks(5) as t (t)}
            <path d="M0 {y(t)}H{plot}" class="grid" />
            <text x="-7" y={y(t)} text-anchor="end" dominant-baseline="middle" class="tick">{figure(t)}</text>
          {/each}
          {#each x.ticks(8) as t (t)}
            <text x={x(t)} y={HEIGHT - 14} text-anchor="middle" class="tick">{figure(t)}</text>
          {/each}
          <text x={plot + 16} y={HEIGHT - 14} class="tick">hours</text>
          <path d="M0 {y(warmth(day.class, prefs.units))}H{plot}" class="class" />
          <text x="4" y={y(warmth(day.class, prefs.units)) - 5} class="class-says"
            >the class allows {shown(day.class)}</text
          >
          <path d={pathOf(day.hours, curve(day.caseC), x, y)} class="case" />
          <path d={pathOf(day.hours, curve(day.windingC), x, y)} class="winding" />
          <text
            x={plot + 5}
            y={y(Math.min(curve(day.windingC).at(-1) ?? 0, top))}
            class="tick"
            dominant-baseline="middle">winding</text
          >
          <text
            x={plot + 5}
            y={y(Math.min(curve(day.caseC).at(-1) ?? 0, top)) + 12}
            class="tick"
            dominant-baseline="middle">case</text
          >
        </g>
      </svg>
    </div>
    <div class="mx-4 grid gap-x-8 gap-y-2 md:grid-cols-2">
      <table class="w-full self-start text-left">
        <thead>
          <tr class="text-sm text-soft">
            <th class="py-1 font-normal">job, in turn</th>
            <th class="py-1 text-right font-normal">at work</th>
            <th class="py-1 text-right font-normal">all day alone</th>
          </tr>
        </thead>
        <tbody>
          {#each day.jobs as j (j.id)}
            <tr class="border-t border-dotted border-rule align-baseline">
              <td class="py-1"
                ><span class="font-semibold">{j.name}</span>
                <span class="block text-sm text-soft">{j.skipped || j.duty}</span></td
              >
              <td class="py-1 text-right whitespace-nowrap">{j.skipped ? '' : `${figure(j.amps)} A`}</td>
              <td class="py-1 text-right whitespace-nowrap {j.alone > day.class ? 'text-stop' : ''}"
                >{j.skipped ? '' : j.alone > day.class + 40 ? 'burns' : shown(j.alone)}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
      <ol class="self-start">
        {#each day.findings as f (f.id)}
          <li class="flex gap-3 border-b border-rule py-2">
            <Mark level={f.level} size={22} />
            <div class="min-w-0 flex-1">
              <p class="font-semibold">{f.title}</p>
              <p class="text-[0.94rem] text-soft">{f.detail}</p>
            </div>
          </li>
        {/each}
      </ol>
    </div>
  {:else if day}
    <p class="px-4 text-soft">There is no job yet that can be done all day.</p>
  {/if}
</section>

<style>
  .grid {
    stroke: var(--grid);
  }
  .tick {
    fill: var(--soft);
    font-size: 13px;
  }
  .class {
    stroke: var(--stop);
    stroke-dasharray: 4 3;
  }
  .class-says {
    fill: var(--stop);
    font-size: 13px;
  }
  .winding,
  .case {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2;
  }
  .case {
    stroke: var(--brass);
    stroke-dasharray: 6 3;
  }
</style>
