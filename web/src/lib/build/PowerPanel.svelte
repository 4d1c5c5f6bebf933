<script lang="ts">
  import { followBuild } from './build.svelte';
  import { openSheet } from '../sheet/context';
  import { narrow } from '../ui/narrow.svelte';
  import OneStep from './OneStep.svelte';
  import PowerUp from './PowerUp.svelte';

  /** The first power-up, step by step. */
  const sheet = openSheet();
  const build = $derived(sheet.build.answer);
  followBuild(sheet);
</script>

<section aria-label="First power-up" class="p-4">
  <h1 class="text-[1.45rem]">First power-up</h1>
  {#if sheet.build.problem}<p role="alert" class="mt-2 text-stop">{sheet.build.problem}</p>{/if}
  {#if build}
    {#if build.blocked}
      <p class="mt-2 border-l-4 border-stop pl-3" role="status">
        <span class="font-semibold">Do not power it yet.</span>
        {build.blocked}
      </p>
    {/if}
    {#if narrow.is}<OneStep {build} />{:else}<PowerUp {build} />{/if}
    <p class="mt-3 text-sm text-soft">
      One hand, the other in a pocket. No gloves, nothing loose. Stand aside of the plane it turns in. Fixed wiring is a
      licensed electrician's; local code decides.
    </p>
  {/if}
</section>
