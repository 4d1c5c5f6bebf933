<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { api, call, sayProblem } from '../api/client';
  import { sendFile } from '../api/files';
  import { fitting } from './fitting';
  import type { ItemState } from './item.svelte';

  /** Photographs of a part: turned the right way up and stripped of place and time by the server. */
  let { state: item, pictures }: { state: ItemState; pictures: string[] } = $props();

  let said = $state('');
  let busy = $state(false);
  let gone = $state<{ id: string; at: number }>();
  let picker = $state<HTMLInputElement>();

  const add = async () => {
    const files = [...(picker?.files ?? [])];
    if (picker) picker.value = '';
    said = '';
    busy = true;
    for (const file of files) {
      const sent = await sendFile<{ id: string }>(
        `/api/shelf/${item.id}/pictures`,
        await fitting(file),
        'application/octet-stream',
        () => undefined
      );
      if (sent.data) pictures.push(sent.data.id);
      else said = `${file.name}: ${sayProblem(sent.problem)}`;
    }
    busy = false;
  };
  const remove = async (id: string) => {
    const { problem } = await call(() => api.DELETE('/api/pictures/{id}', { params: { path: { id } } }));
    if (problem) return void (said = sayProblem(problem));
    gone = { id, at: pictures.indexOf(id) };
    item.pictures = pictures.filter((p) => p !== id);
  };
  const bringBack = async () => {
    if (!gone) return;
    const { id, at } = gone;
    const { problem } = await call(() => api.POST('/api/pictures/{id}/restore', { params: { path: { id } } }));
    if (problem) return void (said = sayProblem(problem));
    pictures.splice(at, 0, id);
    gone = undefined;
  };
</script>

<h3 class="caption mt-5">Pictures</h3>
<ul class="mt-1.5 flex flex-wrap gap-3">
  {#each pictures as id, i (id)}
    <li class="w-36">
      <Dialog.Root>
        <Dialog.Trigger class="block w-full border border-rule bg-card p-1" aria-label="Picture {i + 1}, larger">
          <img src="/api/pictures/{id}?thumbnail=true" alt="Picture {i + 1}" class="h-24 w-full object-cover" />
        </Dialog.Trigger>
        <Dialog.Portal>
          <Dialog.Overlay class="fixed inset-0 z-30 bg-black/60" />
          <Dialog.Content
            class="fixed top-1/2 left-1/2 z-30 max-w-[94vw] -translate-x-1/2 -translate-y-1/2 border border-ink bg-card p-3"
          >
            <Dialog.Title class="sr-only">Picture {i + 1}</Dialog.Title>
            <img src="/api/pictures/{id}" alt="Picture {i + 1}" class="max-h-[80vh] max-w-full" />
            <Dialog.Close class="button mt-2">Close</Dialog.Close>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
      <button class="link text-sm" aria-label="Remove picture {i + 1}" onclick={() => remove(id)}>remove</button>
    </li>
  {/each}
</ul>
<p class="mt-1 flex flex-wrap items-center gap-3">
  <label class="button inline-flex cursor-pointer items-center focus-within:outline-2">
    {busy ? 'Taking it in' : 'Add pictures'}
    <input
      bind:this={picker}
      type="file"
      accept="image/jpeg,image/png,image/webp"
      multiple
      class="sr-only"
      onchange={add}
      disabled={busy}
    />
  </label>
  {#if gone}<button class="link" onclick={bringBack}>bring the last one back</button>{/if}
  <span class="text-sm text-soft">JPEG, PNG or WebP. They are made smaller; place and time are taken out.</span>
</p>
{#if said}<p role="alert" class="text-stop">{said}</p>{/if}
