<script lang="ts">
  import { untrack } from 'svelte';
  import { openSheet } from '../sheet/context';
  import PowerUp from './PowerUp.svelte';

  /** The first power-up, step by step. */
  const sheet = openSheet();
  const build = $derived(sheet.build.answer);
  $effect(() => {
    void sheet.question;
    untrack(() => sheet.build.again());
  });
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
    <PowerUp {build} />
  {/if}
</section>
