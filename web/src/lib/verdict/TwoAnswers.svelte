<script lang="ts">
  import type { Schemas } from '../api/client';
  import Mark from '../ui/Mark.svelte';

  /** The two answers to a plan, which are never mixed. */
  let { power, does }: { power: Schemas['AssessSaid']; does: Schemas['AssessSaid'] } = $props();
</script>

<dl class="mt-2 grid grid-cols-[auto_1fr] gap-x-2.5 gap-y-1.5">
  {#each [['May it be powered?', power], ['Does it do the jobs?', does]] as const as [asked, said] (asked)}
    <dt class="contents"><Mark level={said.mark} size={20} /><span class="sr-only">{asked}</span></dt>
    <dd class="min-w-0"><span class="text-soft" aria-hidden="true">{asked}</span> {said.text}</dd>
  {/each}
</dl>
