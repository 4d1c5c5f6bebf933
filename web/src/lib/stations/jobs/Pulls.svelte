<script lang="ts">
  import { openForm } from '../../form/context';
  import { fieldId } from '../../form/fieldId';
  import { hintFor } from '../../form/hints';
  import Quantity from '../../form/Quantity.svelte';
  import { besideOf } from '../../form/units';
  import { prefs } from '../../prefs.svelte';

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
      <Quantity
        id={fieldId(`${path}[${i}]`)}
        label="{label}, reading {i + 1}"
        value={pull}
        beside={besideOf(`${path}[${i}]`, prefs.units)}
        hint={i === 0 ? hintFor(hint, prefs.units, prefs.region) : ''}
        invalid={!!form.errors[`${path}[${i}]`]}
        onchange={(text) => set(i, text)}
      />
    {/each}
  </div>
  {#each errors as error, i (i)}<p class="text-sm text-stop">{error}</p>{/each}
</fieldset>
