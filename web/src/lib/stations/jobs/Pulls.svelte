<script lang="ts">
  import { openForm } from '../../form/context';
  import { fieldId } from '../../form/fieldId';

  /** A row of readings of one sort; a fresh blank follows the last one filled. */
  let { path, label, hint = '7.6 kg' }: { path: string; label: string; hint?: string } = $props();

  const form = openForm();
  const pulls = $derived((form.value(path) as string[] | undefined) ?? []);
  const shown = $derived(pulls.at(-1) === '' ? pulls : [...pulls, '']);
  const set = (i: number, text: string) => form.set(`${path}[${i}]`, text);
  const errors = $derived(shown.map((_, i) => form.errors[`${path}[${i}]`]).filter(Boolean));
</script>

<fieldset>
  <legend class="text-sm text-soft">{label}</legend>
  <div class="grid grid-cols-4 gap-2">
    {#each shown as pull, i (i)}
      <input
        id={fieldId(`${path}[${i}]`)}
        class="blank"
        type="text"
        autocomplete="off"
        aria-label="{label}, reading {i + 1}"
        aria-invalid={form.errors[`${path}[${i}]`] ? 'true' : undefined}
        placeholder={i === 0 ? hint : ''}
        value={pull}
        oninput={(e) => set(i, e.currentTarget.value)}
      />
    {/each}
  </div>
  {#each errors as error, i (i)}<p class="text-sm text-stop">{error}</p>{/each}
</fieldset>
