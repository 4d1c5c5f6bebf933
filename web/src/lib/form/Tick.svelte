<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { wordIn } from '../words';
  import { inWords } from '../region';
  import { openForm } from './context';
  import { fieldId } from './fieldId';

  let { path, label, note = '' }: { path: string; label: string; note?: string } = $props();

  const form = openForm();
  const id = $derived(fieldId(path));
</script>

<label for={id} data-word={wordIn(label)} class="flex min-h-10 items-start gap-2.5 py-1.5">
  <input
    {id}
    type="checkbox"
    class="mt-0.5 size-5 flex-none accent-(--iron)"
    checked={form.value(path) === true}
    onchange={(e) => form.set(path, e.currentTarget.checked)}
  />
  <span
    >{inWords(label, prefs.region)}{#if note}<span class="block text-sm text-soft">{note}</span>{/if}</span
  >
</label>
