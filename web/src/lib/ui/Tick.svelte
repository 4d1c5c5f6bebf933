<script lang="ts">
  import { openSheet } from './context';
  import { fieldId } from './fieldId';

  let { path, label, note = '' }: { path: string; label: string; note?: string } = $props();

  const sheet = openSheet();
  const id = $derived(fieldId(path));
</script>

<label for={id} class="flex min-h-10 items-start gap-2.5 py-1.5">
  <input
    {id}
    type="checkbox"
    class="mt-0.5 size-5 flex-none accent-(--iron)"
    checked={sheet.value(path) === true}
    onchange={(e) => sheet.set(path, e.currentTarget.checked)}
  />
  <span
    >{label}{#if note}<span class="block text-sm text-soft">{note}</span>{/if}</span
  >
</label>
