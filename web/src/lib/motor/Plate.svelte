<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import { openForm } from '../form/context';

  /** The plate as engraved: the blanks such a motor's plate has. */
  let { at }: { at: string } = $props();

  const form = openForm();
  const kind = $derived(form.text(`${at}.kind`));
  const profile = $derived(catalogue.motor(kind));
  const family = $derived(profile?.family ?? '');
  const alternating = $derived(family === 'induction' || family === 'series');
  const capacitor = $derived(profile?.capacitor ?? false);
  const paired = $derived(
    [form.text(`${at}.plate.volts`), form.text(`${at}.plate.hertz`)].map((t) => /\d\s*\/\s*\d/.test(t))
  );
  const running = $derived(profile?.runCapacitor ?? false);
  let more = $state(false);
  // A finding may ask for what stands in the rest of the plate.
  const rest = ['serviceFactor', 'insulation', 'enclosure', 'frame', 'rotation', 'protector'];
  $effect(() => {
    if (rest.some((name) => form.wanted === `${at}.plate.${name}`)) more = true;
  });
</script>

<div class="plate">
  <span class="rivet left-2"></span><span class="rivet right-2"></span>
  <div class="px-2 text-center">
    <Choice
      path="{at}.kind"
      label="Kind of motor"
      options={catalogue.motors.map((m) => [m.kind, m.name] as const)}
      plate
    />
  </div>
  <div class="mt-2 grid grid-cols-3 gap-x-3 gap-y-2">
    {#if family === 'stepper'}
      <Field path="{at}.plate.holdingTorque" label="Holding torque" hint="1.9 N·m" plate />
      <Field path="{at}.plate.amps" label="Amps a phase" hint="2.8 A" plate />
      <Field path="{at}.plate.inductance" label="Inductance" hint="3.2 mH" plate />
      <Field path="{at}.plate.steps" label="Steps a turn" hint="200" plate />
      <Field path="{at}.plate.volts" label="Driver volts" hint="36 V" plate />
    {:else}
      <Field path="{at}.plate.power" label="Power" hint="½ hp" plate />
      <Field path="{at}.plate.speed" label="Speed" hint="1750 rpm" plate />
      <Field path="{at}.plate.volts" label="Volts" hint={family === 'induction' ? '230/400 V' : '180 V'} plate />
      <Field path="{at}.plate.amps" label="Amps" hint="2.8 A" plate />
    {/if}
    {#if alternating}
      <Field path="{at}.plate.hertz" label="Hertz" hint="50 Hz" plate />
      <Field path="{at}.plate.powerFactor" label="Power factor" hint="0.78" plate />
    {/if}
    {#if family === 'dc'}<Field path="{at}.plate.inductance" label="Armature mH" hint="20 mH" plate />{/if}
    {#if family === 'induction'}<Field path="{at}.plate.poles" label="Poles" hint="4" plate />{/if}
    {#if paired[0]}
      <Choice
        path="{at}.plate.links"
        label="Links set for"
        fallback="low"
        options={[
          ['low', 'lower volts'],
          ['high', 'higher volts']
        ]}
        plate
      />
    {/if}
    {#if paired[1]}
      <Choice
        path="{at}.plate.column"
        label="Runs on"
        fallback="first"
        options={[
          ['first', 'first hertz'],
          ['second', 'second hertz']
        ]}
        plate
      />
    {/if}
    {#if kind === 'two-speed'}
      <Field path="{at}.plate.secondSpeed" label="Slower speed" hint="475 rpm" plate />
      <Choice
        path="{at}.plate.runsOn"
        label="Runs on"
        fallback="fast"
        options={[
          ['fast', 'fast winding'],
          ['slow', 'slow winding']
        ]}
        plate
      />
    {/if}
    {#if capacitor}
      <Field
        path="{at}.plate.capacitor"
        label={running ? 'Run capacitor' : 'Capacitor'}
        hint={running ? '24 µF' : '130 µF'}
        plate
      />
      {#if running}
        <Field path="{at}.plate.capacitorVolts" label="Marked" hint="500 V" plate />
        <Choice
          path="{at}.plate.capacitorSort"
          label="Its sort"
          options={[
            ['film', 'film or oil'],
            ['electrolytic', 'electrolytic']
          ]}
          plate
        />
      {/if}
    {/if}
    {#if family !== 'stepper'}
      <Choice
        path="{at}.plate.powerMeans"
        label="Rating"
        fallback="continuous"
        options={[
          ['continuous', 'all day'],
          ['intermittent', 'part of the time'],
          ['peak', 'peak, duty']
        ]}
        plate
      />
      <Field path="{at}.plate.duty" label="Duty" hint="S1" words plate />
    {/if}
    <Choice
      path="{at}.plate.cooling"
      label="Cooling"
      fallback="own-fan"
      options={[
        ['own-fan', 'own fan'],
        ['blown', 'blown'],
        ['closed', 'closed']
      ]}
      plate
    />
    {#if more}
      <Field path="{at}.plate.serviceFactor" label="Service factor" hint="1.15" plate />
      <Choice
        path="{at}.plate.insulation"
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
      <Field path="{at}.plate.enclosure" label="Enclosure" hint="IP 55" words plate />
      <Field path="{at}.plate.frame" label="Frame" hint="80" words plate />
      <Choice
        path="{at}.plate.rotation"
        label="Turns"
        options={[
          ['either', 'either way'],
          ['clockwise', 'clockwise'],
          ['anticlockwise', 'anticlockwise']
        ]}
        plate
      />
      <Choice
        path="{at}.plate.protector"
        label="Protector"
        options={[
          ['none', 'none'],
          ['self-reset', 'resets itself'],
          ['by-hand', 'reset by hand, or led into the release']
        ]}
        plate
      />
    {/if}
  </div>
  <button class="link mt-2 text-sm" aria-expanded={more} onclick={() => (more = !more)}
    >{more ? 'less of the plate' : 'more of the plate'}</button
  >
</div>

<style>
  .plate {
    position: relative;
    border: 1px solid color-mix(in srgb, var(--ink) 35%, transparent);
    border-radius: 6px;
    background: linear-gradient(165deg, var(--plate-a), var(--plate-b));
    padding: 0.7rem 1rem 0.8rem;
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
