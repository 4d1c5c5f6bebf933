<script lang="ts">
  import SaveLine from '../form/SaveLine.svelte';
  import { fillIn } from '../slate/fill';
  import Finder from '../ui/Finder.svelte';
  import TopBar from '../ui/TopBar.svelte';
  import { deedsOf } from './deeds';
  import type { SheetState } from './sheet.svelte';

  /** Which plan this is, whether it is saved, and what can be done with it. */
  let { sheet, planName }: { sheet: SheetState; planName: string } = $props();

  const deeds = $derived(deedsOf(sheet));
</script>

<TopBar>
  <p class="min-w-0 truncate">
    {#if sheet.head.workshop}<span class="text-soft">{sheet.head.workshop}</span>
      <span class="text-soft">/</span>{/if}
    <span class="font-semibold">{sheet.doc.machine.name}</span> <span class="text-soft">/</span>
    {planName}
  </p>
  <SaveLine saved={sheet.saved} />
  {#snippet tools()}
    <div class="flex" role="group" aria-label="Undo and redo">
      <button
        class="button min-h-8! px-2.5! py-0!"
        disabled={!sheet.canUndo}
        onclick={() => sheet.undo()}
        aria-label="Undo"
        title="Undo, Ctrl Z">↶</button
      >
      <button
        class="button min-h-8! px-2.5! py-0!"
        disabled={!sheet.canRedo}
        onclick={() => sheet.redo()}
        aria-label="Redo"
        title="Redo, Ctrl Shift Z">↷</button
      >
    </div>
    <Finder {deeds} take={(answer) => sheet.change((doc) => fillIn(doc, answer.fills))} />
    <button
      class="caption min-h-8 hover:underline"
      aria-pressed={sheet.panel === 'build'}
      onclick={() => (sheet.panel = sheet.panel === 'build' ? '' : 'build')}>wire and build</button
    >
    <a class="caption hover:underline" href="#/plan/{sheet.planId}/speed-plate">speed plate</a>
    <a class="caption hover:underline" href="/api/plans/{sheet.planId}/export" download>export</a>
  {/snippet}
</TopBar>
