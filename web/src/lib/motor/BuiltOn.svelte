<script lang="ts">
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import Tick from '../form/Tick.svelte';
  import { openForm } from '../form/context';

  /** A gearbox or clutch that comes with the motor. */
  let { at }: { at: string } = $props();

  const form = openForm();
  const geared = $derived(!['', 'none'].includes(form.text(`${at}.gearbox.sort`)));
</script>

<h3 class="caption mt-5">Built onto it</h3>
<div class="mt-1 grid grid-cols-2 gap-3">
  <Choice
    path="{at}.gearbox.sort"
    label="Gearbox"
    fallback="none"
    options={[
      ['none', 'none'],
      ['spur', 'spur gears'],
      ['planetary', 'planetary'],
      ['worm', 'worm']
    ]}
  />
  {#if geared}
    <Field path="{at}.gearbox.ratio" label="Motor turns to one" hint="30" />
    <Field path="{at}.gearbox.limit" label="Output may carry" hint="25 N·m" />
    <Field path="{at}.gearbox.keeps" label="Keeps" hint="by its sort" />
    <div class="col-span-2">
      <Choice
        path="{at}.gearbox.plateOf"
        label="Speed on the plate is"
        fallback="motor"
        options={[
          ['motor', "the motor's"],
          ['output', "the output's"]
        ]}
      />
    </div>
  {/if}
</div>
<Tick path="{at}.clutch.fitted" label="Centrifugal clutch after it" />
{#if form.value(`${at}.clutch.fitted`) === true}
  <div class="grid grid-cols-2 gap-3">
    <Field path="{at}.clutch.engages" label="Takes hold at" hint="1100 rpm" />
    <Field path="{at}.clutch.holds" label="Carries at full speed" hint="3 N·m" />
    <Field path="{at}.clutch.motor" label="Loaded: motor at" hint="2800 rpm" />
    <Field path="{at}.clutch.output" label="output at" hint="2500 rpm" />
    <div class="col-span-2"><Field path="{at}.clutch.torque" label="with a torque of" hint="2 N·m" /></div>
  </div>
{/if}
