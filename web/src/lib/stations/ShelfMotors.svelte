<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { untrack } from 'svelte';
  import { api, call, sayProblem, type ShelfItem, type ShelfLabel } from '../api/client';
  import { catalogue } from '../catalogue.svelte';
  import { setOnShelf, stock } from '../shelf/stock.svelte';
  import { openSheet } from '../sheet/context';

  const sheet = openSheet();
  let open = $state(false);
  let said = $state('');
  let removed = $state.raw<ShelfLabel>();

  const motors = $derived(stock.of('motor'));
  const kindWords = (kind: string) => catalogue.motor(kind)?.name ?? 'kind not known';
  $effect(() => untrack(() => stock.load()));

  const use = async (m: ShelfLabel) => {
    const { data, problem } = await call(() => api.GET('/api/shelf/{id}', { params: { path: { id: m.id } } }));
    if (!data) return void (said = sayProblem(problem));
    sheet.useMotor(data.item.motor);
    open = false;
  };
  const keep = async () => {
    const blank = $state.snapshot(catalogue.blankItem);
    if (!blank) return;
    const item: ShelfItem = { ...blank, motor: $state.snapshot(sheet.doc.plan.motor) };
    const { data, problem } = await call(() => api.POST('/api/shelf', { body: item }));
    said = data ? 'Put on the shelf.' : sayProblem(problem);
    changed();
  };
  const remove = async (m: ShelfLabel) => {
    said = await setOnShelf(m.id, false);
    if (!said) removed = m;
    changed();
  };
  const putBack = async () => {
    if (!removed) return;
    said = await setOnShelf(removed.id, true);
    if (!said) removed = undefined;
    changed();
  };
  /** What is on the shelf is tried on every plan. */
  const changed = () => {
    stock.load();
    sheet.assess();
  };
</script>

<Dialog.Root bind:open>
  <Dialog.Trigger class="link">swap from shelf ({motors.length})</Dialog.Trigger>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-30 bg-black/40" />
    <Dialog.Content
      class="fixed top-[8vh] left-1/2 z-30 max-h-[80vh] w-[min(40rem,94vw)] -translate-x-1/2 overflow-y-auto border border-ink bg-card p-5"
    >
      <Dialog.Title class="text-2xl">Motors on the shelf</Dialog.Title>
      <Dialog.Description class="text-soft"
        >Taking one puts its plate and readings on this plan. It can be undone.</Dialog.Description
      >
      <ul class="mt-3">
        {#each motors as m (m.id)}
          <li class="flex items-center gap-3 border-b border-rule py-2.5">
            <div class="min-w-0 flex-1">
              <p class="font-semibold">{m.name}</p>
              <p class="text-sm text-soft">
                {kindWords(m.kind ?? '')}: {m.says || 'nothing on its plate'}
              </p>
              {#if m.origin}<p class="text-sm text-soft">{m.origin}</p>{/if}
            </div>
            <button class="button" onclick={() => use(m)}>Use it</button>
            <button class="link" aria-label="Remove {m.name} from the shelf" onclick={() => remove(m)}>remove</button>
          </li>
        {:else}
          <li class="py-3 text-soft">Nothing on the shelf yet.</li>
        {/each}
      </ul>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button class="button" onclick={keep}>Put this plan's motor on the shelf</button>
        {#if removed}<button class="link" onclick={putBack}>Put back {removed.name}</button>{/if}
        <span aria-live="polite" class="text-soft">{said}</span>
        <Dialog.Close class="button ml-auto">Close</Dialog.Close>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
