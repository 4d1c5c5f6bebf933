<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import { fieldId } from '../form/fieldId';
  import Field from '../form/Field.svelte';
  import Figures from '../ui/Figures.svelte';
  import { openSheet } from '../sheet/context';
  import StageForm from './StageForm.svelte';

  const sheet = openSheet();
  const stages = $derived(sheet.doc.plan.reduction.stages);
  const positions = $derived(sheet.assessment?.reach.positions ?? []);
  const workings = $derived(sheet.workings.filter((w) => w.station === 'reduction'));

  const addStage = () => {
    const fresh = catalogue.blankStage;
    if (fresh) sheet.change(({ plan }) => plan.reduction.stages.push(structuredClone(fresh)));
  };
  const addStraight = () => {
    const fresh = catalogue.blankStage;
    if (fresh) sheet.change(({ plan }) => plan.reduction.stages.push({ ...structuredClone(fresh), kind: 'direct' }));
  };
  const dropStage = (i: number) => sheet.change(({ plan }) => plan.reduction.stages.splice(i, 1));
  const position = $derived(String(sheet.value('reduction.speeds.position') ?? 0));
</script>

<div class="flex items-baseline justify-between">
  <h2 class="caption">Reduction, motor end first</h2>
  {#if stages.length < 6}<button id={fieldId('reduction.stages')} class="link" onclick={addStage}>add a stage</button
    >{/if}
</div>
<button class="button primary mt-2 w-full" aria-pressed={sheet.finding} onclick={() => sheet.findReduction()}
  >Find the best reduction</button
>
{#if stages.length === 0}
  <p class="mt-3 text-soft">Nobody said yet what is between motor and spindle. Add a stage, or</p>
  <button class="link" onclick={addStraight}>say that it is coupled straight</button>
{/if}
{#each stages.keys() as i (i)}
  <StageForm {i} of={stages.length} onremove={() => dropStage(i)} />
{/each}
<Figures title="What that makes it" {workings} />
{#if stages.length > 0}
  <h3 class="caption mt-5">Two speeds measured together</h3>
  <p class="text-sm text-soft">They tell what the ratio really is, what slips, and which wheel to measure again.</p>
  <div class="mt-1.5 grid grid-cols-2 gap-3">
    <Field path="reduction.speeds.motor" label="At the motor" hint="1452 rpm" />
    <Field path="reduction.speeds.spindle" label="At the spindle" hint="203 rpm" />
    {#if positions.length > 1}
      <label class="col-span-2 block text-sm text-soft"
        >In position
        <select
          class="blank"
          value={position}
          onchange={(e) => sheet.set('reduction.speeds.position', Number(e.currentTarget.value))}
        >
          {#each positions as p, n (n)}<option value={String(n)}>{p.label}</option>{/each}
        </select></label
      >
    {/if}
  </div>
{/if}
