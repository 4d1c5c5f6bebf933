<script lang="ts">
  import type { Schemas } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import BuiltOn from './BuiltOn.svelte';
  import Readings from './Readings.svelte';

  /** A motor as it was found on the bench: readings, what is built on, body, name and origin. */
  let { at, bench }: { at: string; bench: Schemas['MotorBenchView'] | undefined } = $props();
</script>

<Readings {at} {bench} />
<BuiltOn {at} />
<h3 class="caption mt-4">Body, as measured</h3>
<div class="mt-1 grid grid-cols-2 gap-3">
  <Field path="{at}.body.diameter" label="Diameter" hint="102 mm" />
  <Field path="{at}.body.length" label="Length" hint="215 mm" />
  <Field path="{at}.body.shaft" label="Shaft" hint="5/8 in" />
  <Field path="{at}.body.rotor" label="Rotor's inertia" hint="9 kg·cm²" />
  <Field path="{at}.body.caseTime" label="Case warms in" hint="28 min" />
  <Field path="{at}.body.caseRise" label="Case over air, at rated load" hint="38 K" />
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
