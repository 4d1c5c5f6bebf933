<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { fieldId } from '../form/fieldId';
  import Quantity from '../form/Quantity.svelte';
  import { besideOf } from '../form/units';
  import { hintFor } from '../form/hints';
  import { openSheet } from '../sheet/context';

  /** The readings of a trial, one a row, as they were taken; each can be put right. */
  const trials = openSheet().trials;
  const columns = $derived(trials.profile?.columns ?? []);
  const readings = $derived(trials.trial?.readings ?? []);
</script>

{#if readings.length > 0}
  <div class="mt-2 overflow-x-auto px-4">
    <table class="w-full border-collapse">
      <caption class="sr-only">Readings</caption>
      <thead>
        <tr class="border-b border-rule text-left">
          <th class="w-14 py-1 font-normal"><span class="sr-only">Taken at</span></th>
          {#each columns as c (c.field)}<th class="px-1 py-1 text-sm font-normal text-soft">{c.label}</th>{/each}
          <th class="w-10"><span class="sr-only">Take it out</span></th>
        </tr>
      </thead>
      <tbody>
        {#each readings as r, i (r.id ?? i)}
          <tr class="border-b border-dotted border-rule align-top">
            <td class="py-2.5 pr-2 text-sm text-soft">{r.at ?? ''}</td>
            {#each columns as c (c.field)}
              {@const path = `${trials.path}.readings[${i}].${c.field}`}
              {@const error = trials.errors[path]}
              {@const id = fieldId(path)}
              <td class="min-w-20 px-1 py-1">
                {#if c.options.length > 0}
                  <select
                    {id}
                    class="blank"
                    aria-label="{c.label}, reading {i + 1}"
                    value={trials.text(path)}
                    onchange={(e) => trials.set(path, e.currentTarget.value)}
                  >
                    <option value="">—</option>
                    {#each c.options as o (o.value)}<option value={o.value}>{o.name}</option>{/each}
                  </select>
                {:else if c.words}
                  <input
                    {id}
                    class="blank"
                    aria-label="{c.label}, reading {i + 1}"
                    placeholder={c.hint}
                    value={trials.text(path)}
                    oninput={(e) => trials.set(path, e.currentTarget.value)}
                    aria-invalid={error ? 'true' : undefined}
                    aria-describedby={error ? `${id}-error` : undefined}
                  />
                {:else}
                  <Quantity
                    {id}
                    label="{c.label}, reading {i + 1}"
                    value={trials.text(path)}
                    beside={besideOf(path, prefs.units)}
                    hint={i === 0 ? hintFor(c.hint, prefs.units, prefs.region) : ''}
                    invalid={!!error}
                    describedby={error ? `${id}-error` : undefined}
                    onchange={(text) => trials.set(path, text)}
                  />
                {/if}
                {#if error}<p id="{id}-error" class="text-sm text-stop">{error}</p>{/if}
              </td>
            {/each}
            <td class="py-1">
              <button
                class="link min-h-9 px-1 text-sm"
                aria-label="take out reading {i + 1}"
                onclick={() => trials.drop(i)}>out</button
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
{/if}
