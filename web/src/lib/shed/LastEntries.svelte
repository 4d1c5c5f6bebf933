<script lang="ts">
  import { Ask } from '../api/ask.svelte';
  import { api, call, type Schemas } from '../api/client';

  /** What happened last, over all machines. */
  const asked = new Ask<Schemas['LastEntry'][]>((signal) => call(() => api.GET('/api/log', { signal })));
  const entries = $derived(asked.answer ?? []);
  $effect(() => {
    asked.again();
    return () => asked.stop();
  });
  const day = (at: string) => new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
</script>

{#if entries.length > 0}
  <section>
    <h2 class="caption">Last in the log</h2>
    <ul class="mt-1">
      {#each entries as e, i (i)}
        <li class="grid grid-cols-[4rem_minmax(0,1fr)] gap-x-2 border-b border-dotted border-rule py-1.5">
          <span class="text-sm text-soft">{day(e.happened)}</span>
          <span
            ><span class="font-semibold">{e.title}</span> <span class="text-sm text-soft">{e.machineName}</span></span
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
