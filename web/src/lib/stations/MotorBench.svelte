<script lang="ts">
  import Choice from '../ui/Choice.svelte';
  import Field from '../ui/Field.svelte';
  import { openSheet } from '../ui/context';
  import Figures from './Figures.svelte';
  import ShelfMotors from './ShelfMotors.svelte';
  import { motorKinds } from './options';

  const sheet = openSheet();
  const kind = $derived(sheet.text('motor.kind'));
  const induction = $derived(kind === 'induction-3' || kind === 'capacitor-start');
  const workings = $derived(sheet.workings.filter((w) => w.station === 'motor'));
</script>

<div class="flex items-baseline justify-between">
  <h2 class="caption">Motor, as its plate reads</h2>
  <ShelfMotors />
</div>
<div class="plate mt-2.5">
  <span class="rivet left-2"></span><span class="rivet right-2"></span>
  <div class="px-5 text-center"><Choice path="motor.kind" label="Kind of motor" options={motorKinds} plate /></div>
  <div class="mt-2 grid grid-cols-3 gap-x-3 gap-y-2">
    <Field path="motor.plate.power" label="Power" hint="½ hp" plate />
    <Field path="motor.plate.speed" label="Speed" hint="1750 rpm" plate />
    <Field path="motor.plate.volts" label="Volts" hint="180 V" plate />
    <Field path="motor.plate.amps" label="Amps" hint="2.8 A" plate />
    {#if induction}
      <Field path="motor.plate.hertz" label="Hertz" hint="50 Hz" plate />
      <Field path="motor.plate.powerFactor" label="Power factor" hint="0.78" plate />
      <Field path="motor.plate.poles" label="Poles" hint="4" plate />
    {/if}
    <Choice
      path="motor.plate.powerMeans"
      label="Rating"
      fallback="continuous"
      options={[
        ['continuous', 'all day'],
        ['peak', 'peak, duty']
      ]}
      plate
    />
    <Field path="motor.plate.duty" label="Duty" hint="S1" words plate />
    <Choice
      path="motor.plate.insulation"
      label="Insulation"
      options={[
        ['A', 'A'],
        ['E', 'E'],
        ['B', 'B'],
        ['F', 'F'],
        ['H', 'H']
      ]}
      plate
    />
    <Choice
      path="motor.plate.cooling"
      label="Cooling"
      fallback="own-fan"
      options={[
        ['own-fan', 'own fan'],
        ['blown', 'blown'],
        ['closed', 'closed']
      ]}
      plate
    />
  </div>
</div>
<Figures title="What that makes it" {workings} />
<h3 class="caption mt-5">Bench readings, which outrank the plate</h3>
<p class="text-sm text-soft">Unplug first, and wait. Leads taken off for the ohms.</p>
<div class="mt-1 grid grid-cols-2 gap-3">
  {#if !induction}
    <Field path="motor.bench.openVolts" label="Volts at open leads" hint="74.4 V" />
    <Field path="motor.bench.spunSpeed" label="while spun at" hint="820 rpm" />
    <Field path="motor.bench.resistance" label="Armature ohms" hint="7.6 Ω" />
    <Field path="motor.bench.noLoadAmps" label="No-load amps" hint="0.4 A" />
  {/if}
  <Field path="motor.bench.noLoadSpeed" label="No-load speed" hint="1490 rpm" />
  {#if !induction}<Field path="motor.bench.noLoadVolts" label="at volts" hint="180 V" />{/if}
</div>
<div class="mt-4 grid grid-cols-2 gap-3">
  <div class="col-span-2"><Field path="motor.name" label="Name" hint="½ hp, ex floor scrubber" words /></div>
  <div class="col-span-2"><Field path="motor.origin" label="Where it came from" words /></div>
  <div class="col-span-2">
    <Choice
      path="motor.thermalSwitch"
      label="Thermal switch (a thin extra pair with continuity)"
      fallback="unknown"
      options={[
        ['unknown', 'not looked for'],
        ['none', 'there is none'],
        ['wired', 'wired into the enable'],
        ['left-out', 'left out']
      ]}
    />
  </div>
</div>
<h3 class="caption mt-4">Body, as measured</h3>
<div class="mt-1 grid grid-cols-3 gap-3">
  <Field path="motor.body.diameter" label="Diameter" hint="102 mm" />
  <Field path="motor.body.length" label="Length" hint="215 mm" />
  <Field path="motor.body.shaft" label="Shaft" hint="5/8 in" />
</div>

<style>
  .plate {
    position: relative;
    border: 1px solid color-mix(in srgb, var(--ink) 35%, transparent);
    border-radius: 6px;
    background: linear-gradient(165deg, var(--plate-a), var(--plate-b));
    padding: 0.7rem 1rem 1rem;
  }
  .rivet {
    position: absolute;
    top: 0.55rem;
    width: 0.6rem;
    height: 0.6rem;
    border-radius: 50%;
    border: 1px solid color-mix(in srgb, var(--ink) 45%, transparent);
    background: color-mix(in srgb, var(--ink) 30%, transparent);
  }
</style>
