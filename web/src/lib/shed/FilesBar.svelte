<script lang="ts">
  import { sayProblem, type Schemas } from '../api/client';
  import { fetchFile, sendFile } from '../api/files';

  let { onimported }: { onimported: () => void } = $props();

  let said = $state('');
  let failed = $state(false);
  /** What is under way, and how far it is: a share, or unknown. */
  let busy = $state<{ words: string; share?: number }>();

  const megabytes = (bytes: number) => (bytes / 1e6).toFixed(1);

  const chosen = async (e: Event) => {
    const input = e.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    if (file) await bring(file);
    input.value = '';
  };
  /** A file may be dropped anywhere on the page. */
  let over = $state(false);
  const holdsFile = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false;
  const drag = (e: DragEvent) => {
    if (!holdsFile(e)) return;
    e.preventDefault();
    over = true;
  };
  const drop = (e: DragEvent) => {
    over = false;
    const file = e.dataTransfer?.files[0];
    if (!file) return;
    e.preventDefault();
    if (!busy) void bring(file);
  };
  const bring = async (file: File) => {
    busy = { words: `Reading ${file.name}`, share: 0 };
    // The file goes as it is: the server reads it strictly and says where it is wrong.
    const { data, problem } = await sendFile<Schemas['Imported']>('/api/import', file, 'application/json', (share) => {
      busy = { words: share < 1 ? `Reading ${file.name}` : 'Putting it away', share };
    });
    busy = undefined;
    failed = !data;
    said = data
      ? `Added ${data.machines} machines, ${data.plans} plans and ${data.parts} parts.`
      : `Nothing was changed. ${sayProblem(problem)}`;
    if (data) onimported();
  };
  const take = async (path: string, name: string) => {
    busy = { words: 'Writing the file' };
    const { data, problem } = await fetchFile(
      path,
      (bytes) => (busy = { words: `Writing the file: ${megabytes(bytes)} MB so far` })
    );
    busy = undefined;
    failed = !data;
    said = data
      ? `Written: ${megabytes(data.size)} MB, among your downloads.`
      : `No file was written. ${sayProblem(problem)}`;
    if (!data) return;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(data);
    link.download = name;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
  };
</script>

<svelte:window ondragover={drag} ondragleave={() => (over = false)} ondrop={drop} />
<section
  class:over
  class="mt-10 flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-rule pt-3 text-soft"
  aria-label="Files"
>
  <button
    id="export-workshop"
    class="link"
    disabled={busy !== undefined}
    onclick={() => take('/api/export', 'jiriki-workshop.json')}>export the workshop</button
  >
  <button class="link" disabled={busy !== undefined} onclick={() => take('/api/export.zip', 'jiriki-workshop.zip')}
    >the same with its pictures</button
  >
  <label class="link cursor-pointer focus-within:outline-2 focus-within:outline-iron">
    import a file, or drop one on the page<input
      class="sr-only"
      type="file"
      accept=".json,.zip,application/json,application/zip"
      disabled={busy !== undefined}
      onchange={chosen}
    />
  </label>
  <a class="link" href="/api/open-file.schema.json">the open file's schema</a>
  {#if busy}
    <p class="flex items-center gap-3" role="status">
      <progress class="h-2 w-40 accent-(--iron)" value={busy.share} max="1" aria-label={busy.words}></progress>
      {busy.words}{busy.share ? `, ${Math.round(busy.share * 100)} %` : ''}
    </p>
  {:else}
    <p role={failed ? 'alert' : 'status'} class={failed ? 'text-stop' : ''}>{said}</p>
  {/if}
</section>

<style>
  .over {
    outline: 2px dashed var(--iron);
    outline-offset: 0.5rem;
  }
</style>
