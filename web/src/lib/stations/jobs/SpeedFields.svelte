<script lang="ts">
  import Field from '../../form/Field.svelte';
  import { openForm } from '../../form/context';

  /** How fast the spindle must turn, by whichever way the person knows it. */
  let { at }: { at: string } = $props();

  const form = openForm();
  const by = $derived(form.text(`${at}.by`) || 'rpm');
  // A feed is given for each turn of another spindle, as 0.1 mm/rev.
  const aTurn = $derived(/\/rev/.test(form.text(`${at}.travelFrom`) + form.text(`${at}.travelTo`)));
</script>

{#if by === 'surface'}
  <Field path="{at}.diameterFrom" label="Smallest diameter" hint="10 mm" />
  <Field path="{at}.diameterTo" label="Largest diameter" hint="60 mm" />
  <div class="col-span-2"><Field path="{at}.surface" label="Surface speed" hint="30 m/min, or the usual one" /></div>
{:else if by === 'timed'}
  <Field path="{at}.turns" label="Turns counted" hint="30" />
  <Field path="{at}.time" label="in" hint="40 s" />
  <Field path="{at}.factorFrom" label="Slowest wished, × that" hint="0.5" />
  <Field path="{at}.factorTo" label="Fastest wished, × that" hint="2" />
{:else if by === 'travel'}
  <Field path="{at}.travelFrom" label="Slowest travel" hint="20 mm/min" />
  <Field path="{at}.travelTo" label="Fastest travel" hint="200 mm/min" />
  {#if aTurn}<Field path="{at}.main" label="a turn of a spindle at" hint="150 rpm" />{/if}
  <div class="col-span-2">
    <Field path="{at}.lead" label="Travel in one turn: a screw's lead, a drum's girth" hint="3 mm, or 9 TPI" />
  </div>
{:else}
  <Field path="{at}.from" label="Slowest" hint="20 rpm" />
  <Field path="{at}.to" label="Fastest" hint="60 rpm" />
{/if}
