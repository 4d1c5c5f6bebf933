<script lang="ts">
  import type { ShelfItem } from '../api/client';

  import { nameOf, summaryOf } from '../shelf/words';

  let { shelf }: { shelf: ShelfItem[] } = $props();
</script>

<section>
  <h2 class="caption flex justify-between">On the shelf <a class="hover:underline" href="#/shelf">open</a></h2>
  <ul class="mt-2">
    {#each shelf as m (m.id)}
      <li class="flex justify-between gap-3 border-b border-dotted border-rule py-1.5">
        <a class="hover:underline" href="#/shelf/{m.id}">{nameOf(m)}</a>
        <span class="text-right text-soft">{summaryOf(m)}</span>
      </li>
    {:else}
      <li class="text-soft">Nothing yet. <a class="link" href="#/shelf">Put something on it</a>.</li>
    {/each}
  </ul>
</section>
