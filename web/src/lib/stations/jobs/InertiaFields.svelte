<script lang="ts">
  import Choice from '../../form/Choice.svelte';
  import Field from '../../form/Field.svelte';
  import Rows from '../../form/Rows.svelte';
  import { openForm } from '../../form/context';

  let { at }: { at: string } = $props();

  const form = openForm();
  const blank = {
    name: '',
    shape: 'disc',
    diameter: '',
    inside: '',
    length: '',
    mass: '',
    material: '',
    count: '',
    turns: ''
  };
</script>

<div class="col-span-2 grid gap-2">
  <Rows path="{at}.parts" noun="part" {blank}>
    {#snippet row(part)}
      {@const shape = form.text(`${part}.shape`) || 'disc'}
      <div class="grid grid-cols-2 gap-2">
        <Field path="{part}.name" label="Part" hint="Drum" words />
        <Choice
          path="{part}.shape"
          label="Shape"
          fallback="disc"
          options={[
            ['disc', 'disc or cylinder'],
            ['ring', 'ring or drum'],
            ['bar', 'bar about its middle'],
            ['load', 'load carried at a radius']
          ]}
        />
        <Field
          path="{part}.diameter"
          label={shape === 'bar' ? 'Length across' : shape === 'load' ? 'Circle it goes round' : 'Diameter'}
          hint="520 mm"
        />
        {#if shape === 'ring'}<Field path="{part}.inside" label="Inside" hint="500 mm" />{/if}
        <Field path="{part}.mass" label="Weight" hint="14 kg" />
        {#if shape === 'disc' || shape === 'ring'}
          <Field path="{part}.length" label="or width" hint="40 mm" />
          <Choice
            path="{part}.material"
            label="of"
            fallback="steel"
            options={[
              ['steel', 'steel'],
              ['iron', 'cast iron'],
              ['aluminium', 'aluminium'],
              ['brass', 'brass'],
              ['wood', 'wood'],
              ['water', 'water'],
              ['concrete', 'concrete']
            ]}
          />
        {/if}
        <Field path="{part}.count" label="How many" hint="1" />
        <Field path="{part}.turns" label="Turns to one of the spindle" hint="1" />
      </div>
    {/snippet}
  </Rows>
</div>
<Field path="{at}.within" label="Up to speed within" hint="20 s" />
<Field path="{at}.friction" label="Torque that keeps it turning" hint="0.4 N·m" />
