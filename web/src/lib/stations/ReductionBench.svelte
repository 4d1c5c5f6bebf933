<script lang="ts">
  import type { Schemas } from '../api/client';
  import Choice from '../ui/Choice.svelte';
  import Field from '../ui/Field.svelte';
  import Tick from '../ui/Tick.svelte';
  import { openSheet } from '../ui/context';
  import Figures from '../ui/Figures.svelte';
  import { stageKinds } from './options';

  type Stage = Schemas['ReductionDescribedStage'];

  const sheet = openSheet();
  const stages = $derived(sheet.doc.plan.reduction.stages);
  const workings = $derived(sheet.workings.filter((w) => w.station === 'reduction'));
  const toothed = (s: Stage) => s.kind === 'toothed' || s.kind === 'chain' || s.kind === 'spur';

  const fresh = (): Stage => ({
    kind: 'v',
    section: 'A',
    measured: 'pitch',
    steps: [{ driver: '', driven: '' }],
    centre: '',
    belt: '',
    pitch: '',
    screwOn: false,
    guarded: false
  });
  const addStage = () => sheet.change(({ plan }) => plan.reduction.stages.push(fresh()));
  const dropStage = (i: number) => sheet.change(({ plan }) => plan.reduction.stages.splice(i, 1));
  const addStep = (i: number) => sheet.change(({ plan }) => plan.reduction.stages[i]?.steps.push({ driver: '', driven: '' }));
  const dropStep = (i: number, k: number) => sheet.change(({ plan }) => plan.reduction.stages[i]?.steps.splice(k, 1));
</script>

<div class="flex items-baseline justify-between">
  <h2 class="caption">Reduction, motor end first</h2>
  {#if stages.length < 6}<button class="link" onclick={addStage}>add a stage</button>{/if}
</div>
{#if stages.length === 0}
  <p class="mt-3 text-soft">Coupled straight: the spindle turns with the motor.</p>
{/if}
{#each stages as s, i (i)}
  {@const at = `reduction.stages[${i}]`}
  <fieldset class="mt-3 border-t border-rule pt-2">
    <legend class="sr-only">Stage {i + 1}</legend>
    <div class="flex items-baseline justify-between">
      <p class="font-head text-lg font-semibold">Stage {i + 1}</p>
      <button class="link" onclick={() => dropStage(i)}>remove stage {i + 1}</button>
    </div>
    <div class="grid grid-cols-2 gap-3">
      <Choice path="{at}.kind" label="Kind" fallback="v" options={stageKinds} />
      {#if s.kind === 'v' || s.kind === ''}
        <Choice
          path="{at}.section"
          label="Belt section"
          fallback="A"
          options={[
            ['Z', 'Z, 10 mm wide'],
            ['A', 'A, 13 mm wide'],
            ['B', 'B, 17 mm wide']
          ]}
        />
      {/if}
      {#if s.kind !== 'direct'}
        {#if toothed(s)}
          <Field
            path="{at}.pitch"
            label={s.kind === 'spur' ? 'Module' : 'Pitch'}
            hint={s.kind === 'spur' ? '1.5 mm' : s.kind === 'chain' ? '12.7 mm' : '5 mm'}
          />
        {:else}
          <Choice
            path="{at}.measured"
            label="Diameters are"
            fallback="pitch"
            options={[
              ['pitch', 'pitch'],
              ['outside', 'outside, over the rim']
            ]}
          />
        {/if}
      {/if}
    </div>
    {#if s.kind !== 'direct'}
      {#each s.steps.keys() as k (k)}
        <div class="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-3">
          <Field
            path="{at}.steps[{k}].driver"
            label="{s.steps.length > 1 ? `Step ${k + 1}: ` : ''}on the driving shaft"
            hint={toothed(s) ? '17 teeth' : '80 mm'}
          />
          <Field path="{at}.steps[{k}].driven" label="on the driven" hint={toothed(s) ? '60 teeth' : '236 mm'} />
          {#if s.steps.length > 1}<button class="link pb-2" aria-label="Remove step {k + 1} of stage {i + 1}" onclick={() => dropStep(i, k)}
              >remove</button
            >{/if}
        </div>
      {/each}
      {#if s.steps.length < 6}<button class="link mt-1" onclick={() => addStep(i)}>add a step (cone)</button>{/if}
      {#if s.kind !== 'spur'}
        <div class="mt-2 grid grid-cols-2 gap-3">
          <Field path="{at}.centre" label="Between shafts" hint="280 mm" />
          <Field path="{at}.belt" label={s.kind === 'chain' ? 'or chain length' : 'or belt length'} hint="1080 mm" />
        </div>
      {/if}
      <div class="mt-1 grid grid-cols-2 gap-x-3">
        <Tick path="{at}.guarded" label="Guarded" />
        <Tick path="{at}.screwOn" label="Screwed on" />
      </div>
    {/if}
  </fieldset>
{/each}
<Figures title="What that makes it" {workings} />
