<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { api, call, sayProblem, type ShelfItem } from '../api/client';
  import { catalogue } from '../catalogue.svelte';
  import { nameOf, summaryOf } from '../shelf/words';
  import { openSheet } from '../ui/context';

  const sheet = openSheet();
  let open = $state(false);
  let said = $state('');
  let removed = $state<ShelfItem>();

  const motors = $derived(sheet.head.shelf.filter((m) => m.sort === 'motor'));
  const kindWords = (kind: string) => catalogue.motors.find((m) => m.kind === kind)?.name ?? 'kind not known';

  const use = (m: ShelfItem) => {
    sheet.useMotor(m.motor);
    open = false;
  };
  const keep = async () => {
    const blank = $state.snapshot(catalogue.blankItem);
    if (!blank) return;
    const item: ShelfItem = { ...blank, motor: $state.snapshot(sheet.doc.plan.motor) };
    const { data, problem } = await call(() => api.POST('/api/shelf', { body: item }));
    if (data) sheet.head.shelf.push({ ...item, id: data.id });
    said = data ? 'Put on the shelf.' : sayProblem(problem);
    sheet.assess();
  };
  const remove = async (m: ShelfItem) => {
    const { problem } = await call(() => api.DELETE('/api/shelf/{id}', { params: { path: { id: m.id } } }));
    if (problem) return void (said = sayProblem(problem));
    sheet.head.shelf = sheet.head.shelf.filter((o) => o.id !== m.id);
    removed = m;
    sheet.assess();
  };
  const putBack = async () => {
    const m = removed;
    if (!m) return;
    const { problem } = await call(() => api.POST('/api/shelf/{id}/restore', { params: { path: { id: m.id } } }));
    if (problem) return void (said = sayProblem(problem));
    sheet.head.shelf.push(m);
    removed = undefined;
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
      <Dialog.Description class="text-soft">Taking one puts its plate and readings on this plan. It can be undone.</Dialog.Description>
      <ul class="mt-3">
        {#each motors as m (m.id)}
          <li class="flex items-center gap-3 border-b border-rule py-2.5">
            <div class="min-w-0 flex-1">
              <p class="font-semibold">{nameOf(m)}</p>
              <p class="text-sm text-soft">
                {kindWords(m.motor.kind)}: {summaryOf(m) || 'nothing on its plate'}
              </p>
              {#if m.motor.origin}<p class="text-sm text-soft">{m.motor.origin}</p>{/if}
            </div>
            <button class="button" onclick={() => use(m)}>Use it</button>
            <button class="link" aria-label="Remove {nameOf(m)} from the shelf" onclick={() => remove(m)}>remove</button>
          </li>
        {:else}
          <li class="py-3 text-soft">Nothing on the shelf yet.</li>
        {/each}
      </ul>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button class="button" onclick={keep}>Put this plan's motor on the shelf</button>
        {#if removed}<button class="link" onclick={putBack}>Put back {nameOf(removed)}</button>{/if}
        <span aria-live="polite" class="text-soft">{said}</span>
        <Dialog.Close class="button ml-auto">Close</Dialog.Close>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
