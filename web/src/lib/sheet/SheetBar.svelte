<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import { push } from 'svelte-spa-router';
  import SaveLine from '../form/SaveLine.svelte';
  import { fillIn } from '../slate/fill';
  import Finder from '../ui/Finder.svelte';
  import { narrow } from '../ui/narrow.svelte';
  import TopBar from '../ui/TopBar.svelte';
  import { deedsOf } from './deeds';
  import MachineSwitch from './MachineSwitch.svelte';
  import { views, type SheetState } from './sheet.svelte';

  /** Which plan this is, whether it is saved, and what can be done with it. */
  let { sheet, planName }: { sheet: SheetState; planName: string } = $props();

  let finding = $state(false);
  const others = $derived(sheet.head.siblings.filter((p) => p.id !== sheet.planId));
  const deeds = $derived(deedsOf(sheet));
</script>

<TopBar row print={() => sheet.print()}>
  <nav
    aria-label="Machine and plan"
    class="flex min-w-0 flex-wrap items-center gap-x-2 max-sm:flex-nowrap lg:flex-nowrap lg:whitespace-nowrap"
  >
    {#if sheet.head.workshop}<a class="truncate text-soft hover:underline max-xl:hidden" href="#/"
        >{sheet.head.workshop}</a
      >
      <span class="text-soft max-xl:hidden" aria-hidden="true">/</span>{/if}
    <MachineSwitch name={sheet.doc.machine.name} />
    <span class="text-soft" aria-hidden="true">/</span>
    {#if others.length > 0}
      <ul class="flex" aria-label="Plans">
        {#each sheet.head.siblings as p (p.id)}
          <li>
            <a
              class="letter"
              href="#/plan/{p.id}{views[sheet.panel]}"
              aria-current={p.id === sheet.planId ? 'page' : undefined}
              title={p.name}
              aria-label="plan {p.letter}{p.name ? `, ${p.name}` : ''}">{p.letter}</a
            >
          </li>
        {/each}
      </ul>
      <span class="truncate max-sm:hidden">{sheet.doc.plan.name || planName}</span>
    {:else}
      <span class="truncate">{planName}</span>
    {/if}
    <a class="link text-sm max-sm:hidden" href={sheet.address('beside')}>beside</a>
  </nav>
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
    <Finder {deeds} bind:open={finding} take={(answer) => sheet.change((doc) => fillIn(doc, answer.fills))} />
  {/snippet}
  {#snippet menu()}
    {#if narrow.is}
      <DropdownMenu.Item class="menu-item" disabled={!sheet.canUndo} onSelect={() => sheet.undo()}
        >Undo</DropdownMenu.Item
      >
      <DropdownMenu.Item class="menu-item" disabled={!sheet.canRedo} onSelect={() => sheet.redo()}
        >Redo</DropdownMenu.Item
      >
      <DropdownMenu.Item class="menu-item" onSelect={() => setTimeout(() => (finding = true))}
        >Find, or ask the slate</DropdownMenu.Item
      >
      <DropdownMenu.Item class="menu-item" onSelect={() => sheet.show('beside')}
        >Plans beside each other</DropdownMenu.Item
      >
      <DropdownMenu.Item class="menu-item" onSelect={() => void push('/')}>The shed</DropdownMenu.Item>
      <DropdownMenu.Item class="menu-item" onSelect={() => void push('/shelf')}>The shelf</DropdownMenu.Item>
    {/if}
    <DropdownMenu.Item class="menu-item" onSelect={() => location.assign(`/api/plans/${sheet.planId}/export`)}
      >Export this plan as a file</DropdownMenu.Item
    >
  {/snippet}
</TopBar>

<style>
  .letter {
    display: block;
    min-width: 2rem;
    padding: 0.2rem 0.6rem;
    border: 1px solid var(--rule);
    background: var(--card);
    text-align: center;
  }
  li:not(:first-child) .letter {
    border-left: 0;
  }
  .letter[aria-current] {
    background: var(--ink);
    color: var(--card);
  }
</style>
