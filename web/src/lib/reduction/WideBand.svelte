<script lang="ts">
  import type { Assessment, Schemas } from '../api/client';
  import SideBySide from '../rank/SideBySide.svelte';

  /** Electronics alone over one ratio, against two ratios with electronics between. */
  let { a, wide }: { a: Assessment; wide: Schemas['SearchWide'] | undefined } = $props();

  const curves = $derived(
    wide && wide.alone.length > 0
      ? [
          { name: `electronics alone, ${wide.ratios[0]}`, spread: 0, points: wide.alone },
          { name: `geared down, ${wide.ratios[1]}`, spread: 0, points: wide.geared[1] ?? [] }
        ]
      : []
  );
</script>

<section aria-label="Electronics alone against gears" class="px-3">
  <h2 class="caption text-ink!">Electronics alone, or gears and electronics</h2>
  {#if curves.length > 0}
    <SideBySide units={a.units} jobs={a.jobs} {curves} height={250} />
    <p class="text-sm text-soft">
      Slowed by electronics alone a motor's power falls with its speed; a gear gives the torque back{wide &&
      wide.gain > 0
        ? `: ×${wide.gain.toPrecision(3)} at the slowest job here`
        : ''}. Default: a back gear or second pulley, with electronics between. Others take electronics alone, and a
      larger motor.
    </p>
  {:else}
    <p class="py-6 text-soft">
      Of use for a motor on an adjustable drive, with jobs whose speeds lie more than twice apart.
    </p>
  {/if}
</section>
