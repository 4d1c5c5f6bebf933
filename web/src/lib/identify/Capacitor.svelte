<script lang="ts">
  import { Ask } from '../api/ask.svelte';
  import { api, call, fieldsOf, type Finding, type Schemas } from '../api/client';
  import { hintFor } from '../form/hints';
  import Quantity from '../form/Quantity.svelte';
  import { readTag } from '../form/units';
  import { prefs } from '../prefs.svelte';
  import Findings from './Findings.svelte';

  /** A capacitor as marked and metered, and what its start switch did. */
  let c = $state<Schemas['IdentifyCapacitorCheck']>({
    use: 'start',
    marked: '',
    measured: '',
    volts: '',
    line: '',
    made: '',
    bulged: false,
    atRest: '',
    clicks: ''
  });
  const asked = new Ask<Finding[]>((signal) =>
    call(() => api.POST('/api/capacitor', { body: $state.snapshot(c), signal }))
  );
  const findings = $derived(asked.answer ?? []);
  const errors = $derived(fieldsOf(asked.problem));
  const check = () => asked.again();
  $effect(() => () => asked.stop());
  const blanks = [
    ['marked', 'Marked', '24 µF', 'µF'],
    ['measured', 'Metered', '18 µF', 'µF'],
    ['volts', 'AC volts marked', '500 V', 'V'],
    ['line', 'Supply', '230 V', 'V']
  ] as const;
  const choices = [
    [
      'use',
      'It is for',
      [
        ['start', 'starting'],
        ['run', 'running']
      ]
    ],
    [
      'made',
      'Made as',
      [
        ['electrolytic', 'black round can'],
        ['film', 'silver or plastic']
      ]
    ],
    [
      'atRest',
      'Start switch at rest',
      [
        ['closed', 'closed'],
        ['open', 'open']
      ]
    ],
    [
      'clicks',
      'Clicks as it slows',
      [
        ['yes', 'yes'],
        ['no', 'no']
      ]
    ]
  ] as const;
</script>

<div class="grid gap-6 md:grid-cols-2">
  <form
    class="grid grid-cols-2 content-start gap-3"
    onsubmit={(e) => {
      e.preventDefault();
      check();
    }}
  >
    {#each blanks as [field, label, hint, unit] (field)}
      <div>
        <label for="cap-{field}" class="block text-sm text-soft">{label}</label>
        <Quantity
          id="cap-{field}"
          value={c[field]}
          beside={readTag(unit, prefs.units)}
          hint={hintFor(hint, prefs.units, prefs.region)}
          invalid={!!errors[field]}
          onchange={(text) => (c[field] = text)}
        />
        {#if errors[field]}<p class="text-sm text-stop">{errors[field]}</p>{/if}
      </div>
    {/each}
    {#each choices as [field, label, options] (field)}
      <div>
        <label for="cap-{field}" class="block text-sm text-soft">{label}</label>
        <select id="cap-{field}" class="blank" bind:value={c[field]}>
          <option value="">not looked at</option>
          {#each options as [v, words] (v)}<option value={v}>{words}</option>{/each}
        </select>
      </div>
    {/each}
    <label class="col-span-2 flex min-h-10 items-center gap-2">
      <input type="checkbox" class="size-5 accent-(--iron)" bind:checked={c.bulged} /> bulged, cracked or leaking
    </label>
    <button class="button primary justify-self-start">Judge it</button>
  </form>
  <div aria-live="polite"><Findings {findings} /></div>
</div>
