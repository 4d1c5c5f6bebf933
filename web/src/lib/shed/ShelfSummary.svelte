<script lang="ts">
  import type { Workshop } from '../api/client';

  /** The first parts of the shelf, and how many there are. */
  let { shelf }: { shelf: Workshop['shelf'] } = $props();
  const most = 12;
</script>

<section>
  <h2 class="caption flex justify-between">On the shelf <a class="tap hover:underline" href="#/shelf">open</a></h2>
  <ul class="mt-2">
    {#each shelf.slice(0, most) as m (m.id)}
      <li class="flex justify-between gap-3 border-b border-dotted border-rule py-1.5">
        <a class="tap hover:underline" href="#/shelf/{m.id}">{m.name}</a>
        <span class="text-right text-soft">{m.says}</span>
      </li>
    {:else}
      <li class="text-soft">Nothing yet. <a class="link" href="#/shelf">Put something on it</a>.</li>
    {/each}
    {#if shelf.length > most}
      <li class="py-1.5"><a class="link" href="#/shelf">and {shelf.length - most} more</a></li>
    {/if}
  </ul>
</section>
