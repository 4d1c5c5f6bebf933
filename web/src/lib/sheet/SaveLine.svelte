<script lang="ts">
  import type { SheetState } from './sheet.svelte';

  let { sheet }: { sheet: SheetState } = $props();

  const words = { saved: 'saved', unsaved: 'not saved yet', saving: 'saving', away: 'not saved, kept here', conflict: 'changed elsewhere' };
</script>

<p class="text-sm text-soft" role="status" data-save={sheet.save}>
  {words[sheet.save]}{#if sheet.save === 'away' && sheet.saveNote}: <span class="text-stop">{sheet.saveNote}</span>{/if}
</p>
{#if sheet.save === 'conflict'}
  <div role="alert" class="flex w-full flex-wrap items-center gap-3 border border-stop bg-paper px-3 py-2">
    <p class="flex-1">This plan was changed in another window since you opened it. Nothing you typed here is lost.</p>
    <button class="button primary" onclick={() => sheet.keepMine()}>Keep mine</button>
    <button class="button" onclick={() => sheet.takeTheirs()}>Take the other (mine can be undone to)</button>
  </div>
{/if}
