<script lang="ts">
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import { openSheet } from '../sheet/context';

  /** How the trial was set up: what its readings cannot be worked out without. */
  const sheet = openSheet();
  const trials = sheet.trials;
  const profile = $derived(trials.profile);
  const positions = $derived(sheet.assessment?.reach.positions.map((p) => p.label) ?? []);
</script>

{#if profile}
  <section aria-label="How it was set up" class="mt-4 px-4">
    <h2 class="caption">How it was set up</h2>
    <div class="mt-1 grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-x-4 gap-y-2">
      {#each profile.setUp as c (c.field)}
        {@const path = `${trials.path}.${c.field}`}
        {#if c.field === 'position'}
          {#if positions.length > 1}
            <Choice
              {path}
              label={c.label}
              options={positions.map((p) => [p, p] as const)}
              fallback={positions[0] ?? ''}
            />
          {/if}
        {:else if c.options.length > 0}
          <Choice
            {path}
            label={c.label}
            options={c.options.map((o) => [o.value, o.name] as const)}
            fallback={c.options[0]?.value ?? ''}
          />
        {:else}
          <Field {path} label={c.label} hint={c.hint} words={c.words} />
        {/if}
      {/each}
      <Field path="{trials.path}.instrument" label="Read with" hint="cheap tachometer" words />
      <Field path="{trials.path}.resolution" label="It steps by" hint="1" />
      <Field path="{trials.path}.on" label="On" hint="2026-11-20" words />
    </div>
    <div class="mt-2"><Field path="{trials.path}.note" label="Note" words long /></div>
    <p class="mt-2">
      <button class="link min-h-8 text-sm" onclick={() => trials.remove(trials.open)}>take this trial out</button>
    </p>
  </section>
{/if}
