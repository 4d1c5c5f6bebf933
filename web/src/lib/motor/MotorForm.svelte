<script lang="ts">
  import type { Schemas } from '../api/client';
  import { catalogue } from '../catalogue.svelte';
  import Choice from '../ui/Choice.svelte';
  import Field from '../ui/Field.svelte';
  import Figures from '../ui/Figures.svelte';
  import { openForm } from '../ui/context';
  import BuiltOn from './BuiltOn.svelte';
  import Plate from './Plate.svelte';
  import Readings from './Readings.svelte';

  /** Everything known of a motor: its plate, what that makes it, readings, what is built on, body. */
  let { at, bench }: { at: string; bench: Schemas['MotorBenchView'] | undefined } = $props();

  const form = openForm();
  const workings = $derived(form.workings.filter((w) => w.station === 'motor'));
  const profile = $derived(catalogue.motors.find((m) => m.kind === form.text(`${at}.kind`)));
</script>

<Plate {at} />
{#if profile}
  <details class="mt-2 border-b border-rule pb-1">
    <summary class="link cursor-pointer text-[0.94rem]">What such a motor is like</summary>
    <dl class="mt-1 grid grid-cols-[6.2rem_1fr] gap-x-3 gap-y-1 text-[0.94rem]">
      <dt class="text-soft">Speed</dt>
      <dd>{profile.supply}</dd>
      <dt class="text-soft">Starts</dt>
      <dd>{profile.starts}</dd>
      <dt class="text-soft">Loaded</dt>
      <dd>{profile.loaded}</dd>
      <dt class="text-soft">Controlled by</dt>
      <dd>{profile.suits}</dd>
      <dt class="text-soft">Reversed</dt>
      <dd>{profile.reverses}</dd>
      <dt class="text-soft">Wears</dt>
      <dd>{profile.wears}</dd>
      <dt class="text-soft">Found in</dt>
      <dd>{profile.donors}</dd>
    </dl>
  </details>
{/if}
<Figures title="What that makes it" {workings} />
<Readings {at} {bench} />
<BuiltOn {at} />
<h3 class="caption mt-4">Body, as measured</h3>
<div class="mt-1 grid grid-cols-3 gap-3">
  <Field path="{at}.body.diameter" label="Diameter" hint="102 mm" />
  <Field path="{at}.body.length" label="Length" hint="215 mm" />
  <Field path="{at}.body.shaft" label="Shaft" hint="5/8 in" />
</div>
<div class="mt-4 grid grid-cols-2 gap-3">
  <div class="col-span-2"><Field path="{at}.name" label="Name" hint="½ hp, ex floor scrubber" words /></div>
  <div class="col-span-2"><Field path="{at}.origin" label="Where it came from" words /></div>
  <div class="col-span-2">
    <Choice
      path="{at}.thermalSwitch"
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
