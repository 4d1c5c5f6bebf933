<script lang="ts">
  import type { Schemas } from '../api/client';
  import { catalogue } from '../catalogue.svelte';
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import Rows from '../form/Rows.svelte';
  import { openForm } from '../form/context';

  /** What was measured, and what all of it together comes to. */
  let { at, bench }: { at: string; bench: Schemas['MotorBenchView'] | undefined } = $props();

  const form = openForm();
  type Sort = Schemas['MotorReading']['sort'];
  const sorts: Record<
    Exclude<Sort, ''>,
    { words: string; families: string[]; blanks: [field: string, label: string, hint: string][] }
  > = {
    open: {
      words: 'volts at open leads, spun',
      families: ['dc'],
      blanks: [
        ['volts', 'Volts', '74.4 V'],
        ['speed', 'spun at', '820 rpm']
      ]
    },
    resistance: {
      words: 'ohms at a rotor position',
      families: ['dc', 'series'],
      blanks: [['ohms', 'Ohms, leads off', '7.6 Ω']]
    },
    free: {
      words: 'running free',
      families: ['dc', 'series', 'induction'],
      blanks: [
        ['volts', 'Volts', '24 V'],
        ['amps', 'Amps', '0.4 A'],
        ['speed', 'Speed', '240 rpm']
      ]
    },
    loaded: {
      words: 'running loaded',
      families: ['dc', 'series', 'induction'],
      blanks: [
        ['volts', 'Volts', '24 V'],
        ['amps', 'Amps', '2.1 A'],
        ['speed', 'Speed', '90 rpm'],
        ['torque', 'Torque', '5 lb at 80 mm']
      ]
    },
    locked: {
      words: 'rotor held, low volts',
      families: ['dc', 'series'],
      blanks: [
        ['volts', 'Volts', '6 V'],
        ['amps', 'Amps', '0.8 A']
      ]
    },
    'spin-down': {
      words: 'coasting down',
      families: ['dc'],
      blanks: [
        ['speed', 'from', '1000 rpm'],
        ['toSpeed', 'to', '500 rpm'],
        ['time', 'in', '1.8 s']
      ]
    },
    capacitor: {
      words: 'fan on a capacitor',
      families: ['induction'],
      blanks: [
        ['capacitor', 'Capacitor', '16 µF'],
        ['speed', 'Speed', '1065 rpm'],
        ['starts', 'Starts', '10 of 10']
      ]
    },
    'pull-out': {
      words: 'stepper pulled out of step',
      families: ['stepper'],
      blanks: [
        ['speed', 'Speed', '300 rpm'],
        ['torque', 'Torque', '110 N·cm']
      ]
    }
  };
  const family = $derived(catalogue.motor(form.text(`${at}.kind`))?.family ?? 'dc');
  const offered = $derived(
    (Object.entries(sorts) as [Exclude<Sort, ''>, (typeof sorts)['open']][])
      .filter(([, s]) => s.families.includes(family))
      .map(([id, s]) => [id, s.words] as const)
  );
  const blanksOf = (sort: string) => sorts[sort as Exclude<Sort, ''>]?.blanks ?? [];
  const blank = $derived(catalogue.blankReading);
  const takeNext = () => {
    if (!blank || !bench?.nextSort) return;
    const list = (form.value(`${at}.readings`) as Schemas['MotorReading'][] | undefined) ?? [];
    form.edit(`${at}.readings`, [
      ...$state.snapshot(list),
      { ...$state.snapshot(blank), sort: bench.nextSort as Sort }
    ]);
  };
</script>

<h3 class="caption mt-5">Bench readings, which outrank the plate</h3>
<p class="text-sm text-soft">
  Unplug first, wait, and measure that it is dead. A turning motor is clamped, its shaft guarded.
</p>
{#if blank}
  <div class="mt-2 grid gap-3">
    <Rows path="{at}.readings" noun="reading" {blank} most={40}>
      {#snippet row(reading)}
        <Choice path="{reading}.sort" label="Reading" options={offered} />
        <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1">
          {#each blanksOf(form.text(`${reading}.sort`)) as [field, label, hint] (field)}
            <Field path="{reading}.{field}" {label} {hint} />
          {/each}
        </div>
      {/snippet}
    </Rows>
  </div>
{/if}
{#if bench && bench.constants.length > 0}
  <h3 class="caption mt-4">All {bench.readings} together</h3>
  <ul class="mt-1 border-l-[3px] border-iron pl-3" aria-label="Constants from the readings">
    {#each bench.constants as c (c.name)}
      <li class="border-b border-dotted border-rule py-1.5 last:border-0">
        <p class="flex justify-between gap-3">
          <span>{c.name}</span><span class="font-semibold">{c.value || '—'}</span>
        </p>
        <!-- How wide the spread is, on a bar half of whose length is a third. -->
        <p class="flex items-center gap-2 text-sm text-soft">
          <svg viewBox="0 0 100 8" class="h-2 w-24" aria-hidden="true">
            <path d="M0 4H100M50 0V8" stroke="var(--rule)" stroke-width="1.5" />
            {#if c.value}<rect
                x={50 - Math.min(c.share * 150, 50)}
                y="1.5"
                width={Math.max(Math.min(c.share * 300, 100), 2)}
                height="5"
                fill="var(--iron)"
              />{/if}
          </svg>
          {c.spread}
        </p>
      </li>
    {/each}
  </ul>
{/if}
{#if bench?.next}
  <p class="mt-2 text-[0.94rem]">
    <span class="caption">Next reading</span>
    {bench.next}
    <button class="link" onclick={takeNext}>Put it in</button>
  </p>
{/if}
