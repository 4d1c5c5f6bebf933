<script lang="ts">
  import type { Schemas } from '../api/client';

  interface Props {
    taken: Schemas['AssessSaid']['taken'];
    /** Goes to a field, where there is a form to go to. */
    goTo?: (field: string) => void;
  }

  /** What was taken of entries that nobody made: the first two in a line, all when it is opened. */
  let { taken, goTo }: Props = $props();
</script>

{#if taken.length > 0}
  <details class="text-sm text-soft">
    <summary class="cursor-pointer">
      Taken as {taken
        .slice(0, 2)
        .map((t) => t.words)
        .join(', ')}{taken.length > 2 ? `, and ${taken.length - 2} more` : ''}
    </summary>
    <ul class="flex flex-wrap gap-x-3.5">
      {#each taken as one (one.field)}
        <li>
          {#if goTo}<button class="link text-left" aria-label="Taken as {one.words}" onclick={() => goTo(one.field)}
              >{one.words}</button
            >{:else}{one.words}{/if}
        </li>
      {/each}
    </ul>
  </details>
{/if}
