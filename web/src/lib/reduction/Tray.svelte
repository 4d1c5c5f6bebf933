<script lang="ts">
  import { untrack } from 'svelte';
  import { catalogue } from '../catalogue.svelte';
  import { stock } from '../shelf/stock.svelte';
  import { openSheet } from '../sheet/context';

  /** Wheels to drop on the drawing: the shelf's first, then standard sizes. A chosen wheel takes the
   *  size that is pressed. */
  let { wheel }: { wheel: string } = $props();

  const sheet = openSheet();
  const stage = $derived(sheet.doc.plan.reduction.stages[Number(/\[(\d+)\]/.exec(wheel)?.[1] ?? 0)]);
  const counted = $derived(['toothed', 'chain', 'spur', 'worm'].includes(stage?.kind ?? ''));
  $effect(() => untrack(() => stock.load()));
  /** Each size on hand once, however many wheels there are of it. */
  const shelf = $derived([
    ...new Map(
      stock
        .of('pulley')
        .map(({ wheel, id }) => ({
          size: (counted ? wheel?.teeth : wheel?.diameter) ?? '',
          says: wheel?.section ?? '',
          id
        }))
        .filter((s) => s.size !== '')
        .map((s) => [`${s.size} ${s.says}`, s] as const)
    ).values()
  ]);
  const standard = $derived(
    counted ? ['12', '15', '18', '20', '24', '30', '36', '40', '48', '60', '72', '80'] : catalogue.pulleys.slice(0, -2)
  );
  const put = (size: string) => wheel && sheet.set(wheel, size);
  const lift = (e: DragEvent, size: string) => e.dataTransfer?.setData('text/plain', size);
</script>

<div class="tray px-3 pb-1" role="group" aria-label="Wheels to put on">
  <div class="flex gap-1 overflow-x-auto py-1">
    {#each shelf as s (s.id)}
      <button class="chip shelf" draggable="true" ondragstart={(e) => lift(e, s.size)} onclick={() => put(s.size)}
        >{s.size}<span class="text-soft">{s.says ? ` ${s.says}` : ''}, shelf</span></button
      >
    {/each}
    {#each standard as size (size)}
      <button class="chip" draggable="true" ondragstart={(e) => lift(e, size)} onclick={() => put(size)}>{size}</button>
    {/each}
  </div>
</div>

<style>
  .chip {
    flex: none;
    border: 1px solid var(--rule);
    border-radius: 3px;
    background: var(--card);
    padding: 0.2rem 0.5rem;
    min-height: 2rem;
    font-size: 0.9rem;
    cursor: grab;
  }
  .chip:hover {
    border-color: var(--iron);
  }
  .shelf {
    border-color: var(--brass);
  }
</style>
