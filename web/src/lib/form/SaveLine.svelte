<script lang="ts" generics="T extends object, V">
  import { wordsOf } from './path';
  import type { SavedDoc } from './saved.svelte';

  /** Whether what was typed is saved, and what a closed window left. */
  let { saved }: { saved: SavedDoc<T, V> } = $props();

  const words = $derived(
    {
      saved: 'saved',
      unsaved: 'not saved yet',
      saving: 'saving',
      away: saved.kept ? 'not saved, kept here' : 'not saved, and this browser cannot keep it: leave the page open',
      conflict: 'changed elsewhere'
    }[saved.state]
  );
</script>

<p class="text-sm text-soft" role="status" data-save={saved.state}>
  {words}{#if saved.state === 'away' && saved.note}: <span class="text-stop">{saved.note}</span>{/if}
</p>
{#if saved.passed.length > 0}
  <p class="text-sm text-brass-ink" role="status">
    Left as another window has it: {saved.passed.slice(0, 3).map(wordsOf).join('; ')}{saved.passed.length > 3
      ? `; and ${saved.passed.length - 3} more`
      : ''}
  </p>
{/if}
{#if saved.left > 0}
  <p class="text-sm">
    A window that was closed left something unsaved:
    <button class="link" onclick={() => saved.takeLeft()}>bring it in</button> or
    <button class="link" onclick={() => saved.dropLeft()}>throw it away</button>
  </p>
{/if}
