<script lang="ts">
  import type { Schemas } from '../api/client';
  import BillTable from './BillTable.svelte';

  /** Other ways to the same end: a drive built at home, and the usual schools side by side. */
  let { build }: { build: Schemas['Build'] } = $props();
</script>

<h2 class="caption mt-4">Three schools</h2>
<div class="mt-1 grid gap-x-8 gap-y-4 lg:grid-cols-3">
  {#each build.approaches as s (s.id)}
    <div data-approach={s.id}>
      <h3 class="text-[1.15rem]">{s.name}</h3>
      <p class="text-[0.94rem] text-soft">{s.says}</p>
      <p class="mt-1">
        {s.tried
          ? `${s.motor}: ${s.jobsDone} of ${s.jobs} jobs at its best ratio.`
          : 'No motor of that sort here or on the shelf.'}
      </p>
      <BillTable title="What it takes" bill={s.bill} />
    </div>
  {/each}
</div>
<h2 class="caption mt-6">Build the drive, or buy it</h2>
{#if build.homemade}
  <p class="max-w-4xl">{build.homemade.says}</p>
  <div class="mt-2 grid gap-x-8 gap-y-4 lg:grid-cols-2">
    <BillTable title="Built at home" bill={build.homemade.parts} />
    <BillTable title="Bought" bill={build.homemade.bought} />
  </div>
  <p class="mt-2 text-sm text-soft">
    Rectified mains is lethal, and everything in such a box is at line volts. Earth it, fuse it, close it. Local code
    and a licensed electrician decide.
  </p>
{:else}
  <p class="text-soft">
    Only a phase-angle drive for a brushed motor on the mains is sensibly built at home; this plan has another.
  </p>
{/if}
