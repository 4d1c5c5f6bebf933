<script lang="ts">
  import { Ask } from '../api/ask.svelte';
  import { api, call, fieldsOf, type Schemas } from '../api/client';
  import Findings from './Findings.svelte';
  import WindingFigure from './WindingFigure.svelte';

  /** Ohms between leads, two at a time, sorted into windings; a thin pair is looked at as a thermal switch. */
  let { onthermal }: { onthermal: (found: boolean) => void } = $props();

  interface Row {
    a: string;
    b: string;
    ohms: string;
  }
  let rows = $state<Row[]>([
    { a: 'red', b: 'black', ohms: '' },
    { a: 'black', b: 'white', ohms: '' },
    { a: 'red', b: 'white', ohms: '' }
  ]);
  let thin = $state('');

  const asked = new Ask<Schemas['IdentifySorted']>(
    (signal) => {
      const body = { readings: $state.snapshot(rows), thin: thin.split(/[ ,;]+/).filter(Boolean) };
      return call(() => api.POST('/api/leads', { body, signal }));
    },
    ({ data }) => data && onthermal(data.thermal !== '')
  );
  const sorted = $derived(asked.answer);
  const errors = $derived(fieldsOf(asked.problem));
  const sort = () => asked.again();
  $effect(() => () => asked.stop());
</script>

<p class="max-w-prose text-[0.94rem] text-soft">
  Unplugged, capacitor taken off and discharged, leads off everything. Read each pair; write <em>open</em> where there is
  no continuity.
</p>
<div class="mt-3 grid gap-6 md:grid-cols-2">
  <form
    onsubmit={(e) => {
      e.preventDefault();
      sort();
    }}
  >
    {#each rows as row, i (i)}
      <fieldset class="mb-1.5 grid grid-cols-[1fr_1fr_1.2fr_auto] items-end gap-2">
        <legend class="sr-only">Reading {i + 1}</legend>
        {#each [['a', 'Lead'], ['b', 'to lead'], ['ohms', 'Ohms']] as const as [field, label] (field)}
          <div>
            <label for="lead-{i}-{field}" class="text-sm text-soft" class:sr-only={i > 0}
              >{label}<span class="sr-only">, reading {i + 1}</span></label
            >
            <input
              id="lead-{i}-{field}"
              class="blank"
              autocomplete="off"
              bind:value={row[field]}
              placeholder={field === 'ohms' ? (i === 0 ? '3.8' : '') : ''}
              aria-invalid={errors[`readings[${i}].${field}`] ? 'true' : undefined}
            />
          </div>
        {/each}
        <button type="button" class="link pb-2" aria-label="Remove reading {i + 1}" onclick={() => rows.splice(i, 1)}
          >remove</button
        >
        {#each ['a', 'ohms'] as field (field)}
          {#if errors[`readings[${i}].${field}`]}<p class="col-span-4 text-sm text-stop">
              {errors[`readings[${i}].${field}`]}
            </p>{/if}
        {/each}
      </fieldset>
    {/each}
    {#if rows.length < 40}<button type="button" class="link" onclick={() => rows.push({ a: '', b: '', ohms: '' })}
        >add a reading</button
      >{/if}
    <div class="mt-2">
      <label for="thin-leads" class="block text-sm text-soft">Leads thinner than the rest</label>
      <input id="thin-leads" class="blank" bind:value={thin} placeholder="white, yellow" autocomplete="off" />
    </div>
    <button class="button primary mt-3">Sort the leads</button>
  </form>
  <div aria-live="polite">
    {#if sorted}
      <p class="text-lg font-semibold">{sorted.verdict}</p>
      <WindingFigure windings={sorted.windings} />
      <ul class="mt-2">
        {#each sorted.windings as w, i (i)}
          <li class="border-b border-dotted border-rule py-1.5">
            <span class="font-semibold">{w.leads.join(', ')}</span>: {w.is}
            {#if w.roles.length > 0}
              <span class="block text-[0.94rem] text-soft"
                >{w.leads.map((l, i) => `${l} ${w.roles[i] ?? ''}`).join('; ')}</span
              >
            {/if}
          </li>
        {/each}
      </ul>
      <Findings findings={sorted.findings} />
    {/if}
  </div>
</div>
