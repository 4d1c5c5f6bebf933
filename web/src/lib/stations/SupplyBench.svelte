<script lang="ts">
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import Tick from '../form/Tick.svelte';
  import { openSheet } from '../sheet/context';
  import Figures from '../ui/Figures.svelte';

  const sheet = openSheet();
  const battery = $derived(sheet.text('supply.phases') === 'dc');
  // As the core takes it: on 60 Hz, typed or to be expected of the volts, the other family.
  const code = $derived.by(() => {
    const hertz = parseFloat(sheet.text('supply.hertz'));
    const volts = parseFloat(sheet.text('supply.volts'));
    return hertz >= 55 || (Number.isNaN(hertz) && volts > 0 && volts < 200) ? 'nec' : 'iec';
  });
  const taken = $derived(
    sheet.text('supply.wire') !== '' && sheet.text('supply.wire') === sheet.text('supply.offered')
  );
  const workings = $derived(sheet.workings.filter((w) => w.station === 'supply'));
</script>

<h2 class="caption">Supply, as it comes out of the wall</h2>
<div class="mt-3 grid grid-cols-2 gap-3">
  <div class="col-span-2"><Field path="supply.name" label="Name" hint="Ring main, 10 A" words /></div>
  <Choice
    path="supply.phases"
    label="Kind"
    fallback="1"
    options={[
      ['1', 'Single-phase'],
      ['3', 'Three-phase'],
      ['dc', 'Battery']
    ]}
  />
  <Field path="supply.volts" label={battery ? 'Volts' : 'Volts at the socket'} hint="230 V" />
  {#if !battery}<Field path="supply.hertz" label="Hertz" hint="50 Hz" />{/if}
  <Field
    path="supply.inside"
    label={battery ? 'Ohms inside, with leads' : 'Falls for each amp, as measured'}
    hint={battery ? '40 mΩ' : '0.5 Ω'}
  />
  {#if battery}
    <Field path="supply.holds" label="Holds when full" hint="400 Wh" />
    <Choice
      path="supply.cells"
      label="Made of"
      options={[
        ['lead', 'lead and acid'],
        ['lithium', 'lithium']
      ]}
    />
  {/if}
  <Field path="supply.breaker" label="Breaker or fuse" hint="10 A" />
  <Field path="supply.cable" label="Cable, one way" hint="12 m" />
  <Field
    path="supply.wire"
    label="Its conductor"
    hint={code === 'nec' ? '14 AWG' : '2.5 mm²'}
    unit={code === 'nec' ? 'AWG' : 'mm²'}
  />
  {#if !battery}
    <Choice
      path="supply.code"
      label="Starting values by"
      fallback={code}
      options={[
        ['iec', 'IEC'],
        ['nec', 'NEC']
      ]}
    />
    <Choice
      path="supply.residual"
      label="Residual-current device"
      options={[
        ['none', 'none'],
        ['ac', 'type AC'],
        ['a', 'type A or F'],
        ['b', 'type B'],
        ['unknown', 'one is there, type not read']
      ]}
    />
  {/if}
</div>
<div class="mt-3">
  <Tick path="supply.earthed" label="The machine's frame, motor and drive box are earthed" />
  {#if taken}
    <p class="text-sm text-soft">
      The conductor was taken on offer.
      <button class="link" onclick={() => sheet.set('supply.offered', '')}>I have read it off the cable</button>
    </p>
  {/if}
  {#if !battery}<Tick path="supply.extension" label="Fed through an extension lead" />{/if}
</div>
<Figures title="What the plan draws" {workings} />
<p class="mt-4 text-sm text-soft">
  Starting values. Local code and a licensed electrician decide, above all for fixed wiring.
</p>
