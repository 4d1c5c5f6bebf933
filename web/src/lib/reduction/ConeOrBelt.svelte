<script lang="ts">
  import type { Assessment, Schemas } from '../api/client';
  import SideBySide from '../rank/SideBySide.svelte';

  /** The cone there is, or one belt: the same motor through both. */
  let { a, cone }: { a: Assessment; cone: Schemas['SearchCone'] } = $props();

  const curves = $derived(
    cone.ways.flatMap((way, i) =>
      way.curves.map((points, k) => ({
        name: i === 0 ? `position ${k + 1}` : way.name,
        spread: 0,
        points: points ?? []
      }))
    )
  );
  const rows = [
    ['Speeds', (w: Schemas['SearchWay']) => w.speeds],
    ['Slow end, all day', (w: Schemas['SearchWay']) => w.slow],
    ['Jobs done', (w: Schemas['SearchWay']) => `${w.jobs} of ${a.jobs.length}`],
    ['Belt changes', (w: Schemas['SearchWay']) => (w.changes === 0 ? 'none' : String(w.changes))],
    ['To buy', (w: Schemas['SearchWay']) => w.buy]
  ] as const;
</script>

<section aria-label="Keep the cone, or one belt" class="mt-4 px-3">
  <h2 class="caption text-ink!">Keep the cone, or one belt</h2>
  <SideBySide units={a.units} jobs={a.jobs} {curves} height={250} />
  <table class="mt-1 w-full text-[0.94rem]">
    <thead>
      <tr class="text-left">
        <th scope="col"><span class="sr-only">What</span></th>
        {#each cone.ways as way (way.name)}<th scope="col" class="py-1 font-semibold">{way.name}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each rows as [what, of] (what)}
        <tr class="border-t border-rule">
          <th scope="row" class="py-1 pr-3 text-left font-normal text-soft">{what}</th>
          {#each cone.ways as way (way.name)}<td class="py-1 pr-3 tabular-nums">{of(way)}</td>{/each}
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="mt-1 text-sm text-soft">
    Practice disagrees. Kept, the cone gives torque at the slow end that no drive makes up for, and costs a hand at the
    belt; one ratio leaves it all to the knob. Default: keep it where it does more jobs.
  </p>
</section>
