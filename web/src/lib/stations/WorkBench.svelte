<script lang="ts">
  import { newId } from '../newId';
  import { catalogue } from '../catalogue.svelte';
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import Tick from '../form/Tick.svelte';
  import { openSheet } from '../sheet/context';
  import { capital } from '../ui/capital';
  import Figures from '../ui/Figures.svelte';
  import JobForm from './jobs/JobForm.svelte';

  const sheet = openSheet();
  const jobs = $derived(sheet.doc.machine.jobs);
  // A job's own figures stand with the job.
  const workings = $derived(sheet.workings.filter((w) => w.station === 'work' && !w.id.startsWith('job.')));
  const kind = $derived(catalogue.machines.find((k) => k.id === sheet.text('machine.kind')));
  const yesNo = [
    ['yes', 'yes'],
    ['no', 'no']
  ] as const;

  const usual = () => {
    const list = $state.snapshot(kind?.jobs ?? []);
    sheet.change(({ machine }) => (machine.jobs = list.map((j) => ({ ...j, id: newId() }))));
  };
  /** What is known of the machine, in a few words. */
  const limits = $derived(
    [
      kind?.name ?? 'kind not said',
      sheet.text('machine.limits.spindle') && `at most ${sheet.text('machine.limits.spindle')}`,
      sheet.text('machine.limits.marked') && `marked ${sheet.text('machine.limits.marked')}`
    ]
      .filter(Boolean)
      .join(', ')
  );
  const add = () => {
    const blank = $state.snapshot(catalogue.blankJob);
    if (!blank) return;
    sheet.change(({ machine }) => machine.jobs.push({ ...blank, id: newId() }));
    sheet.goTo(`machine.jobs[${jobs.length - 1}].name`);
  };
</script>

<div class="flex items-baseline justify-between">
  <h2 class="caption">Jobs: what it must do</h2>
  <button class="link" onclick={add}>add a job</button>
</div>
{#each jobs.keys() as i (i)}
  <JobForm {i} result={sheet.assessment?.jobs[i]} />
{:else}
  <p class="mt-2 text-soft">Start with the work: a speed, the torque or power it takes, and how long at a time.</p>
  {#if kind && kind.jobs.length > 0}
    <button class="link mt-1" onclick={usual}>start from a {kind.name.toLowerCase()}'s usual jobs</button>
  {/if}
{/each}
<details class="mt-4">
  <summary class="flex min-h-11 cursor-pointer items-center gap-2">
    <span class="caption">The machine and its limits</span>
    <span class="ml-auto text-right text-[0.94rem] text-soft">{limits}</span>
  </summary>
  <div class="mt-1 grid grid-cols-2 gap-3">
    <div class="col-span-2"><Field path="machine.name" label="Name" words /></div>
    <div class="col-span-2">
      <Choice path="machine.kind" label="Kind" options={catalogue.machines.map((k) => [k.id, k.name] as const)} />
    </div>
    {#if kind?.asks === 'marked'}<Field
        path="machine.limits.marked"
        label="Marked on wheel, chuck or disc"
        hint="2850 rpm"
      />{/if}
    <Field
      path="machine.limits.spindle"
      label="{capital(kind?.spindle ?? 'spindle')} may turn at most"
      hint={kind?.usualMax ? `${kind.usualMax} rpm` : '300 rpm'}
    />
    {#if kind?.asks !== 'marked'}<Field
        path="machine.limits.marked"
        label="Marked on wheel or chuck"
        hint="2850 rpm"
      />{/if}
    <Field path="machine.limits.diameter" label="Largest that turns" hint="340 mm" />
    {#if sheet.text('machine.limits.diameter')}
      <Choice
        path="machine.limits.rim"
        label="Made of"
        options={[
          ['cast', 'cast iron'],
          ['turned', 'turned from solid']
        ]}
      />
    {/if}
    <Field path="machine.limits.flywheel" label="Flywheel on the spindle" hint="0.4 kg·m²" />
    <Field path="machine.limits.bearing" label="Bearings, mean diameter" hint="35 mm" />
    {#if kind?.asks === 'marked'}
      <Choice
        path="machine.limits.heldBy"
        label="Holds chuck or wheel"
        options={[
          ['thread', 'a thread'],
          ['fast', 'cam, taper, key or flange']
        ]}
      />
    {/if}
    <Field path="machine.limits.frame" label="Bracket drilled for frame" hint="80" words />
  </div>
  <div class="mt-1">
    {#if kind?.asks !== 'marked' || sheet.value('machine.limits.screwedOn')}
      <Tick path="machine.limits.screwedOn" label="Chuck or wheel is screwed on" />
    {/if}
    <Tick path="machine.limits.needsReversed" label="Must run both ways" />
    {#if kind?.covers}<Tick path="machine.limits.covered" label="Its {kind.covers} guarded" />{/if}
    <Tick path="machine.limits.hangs" label="Its load hangs" />
    {#if sheet.value('machine.limits.hangs')}
      <Tick path="machine.limits.held" label="A brake grips it when the power is off" />
    {/if}
  </div>
  <div class="mt-2 grid grid-cols-3 gap-3">
    <Choice path="machine.place.wet" label="Gets wet?" options={yesNo} />
    <Choice path="machine.place.dust" label="Dusty?" options={yesNo} />
    <Choice path="machine.place.hot" label="Over 40 °C?" options={yesNo} />
    {#if sheet.text('machine.place.hot') === 'yes'}<Field
        path="machine.place.hottest"
        label="Hottest"
        hint="50 °C"
      />{/if}
    <Field path="machine.place.altitude" label="Above the sea" hint="under 1000 m" />
  </div>
  <div class="mt-2"><Field path="machine.notes" label="Notes" long words /></div>
</details>
<Figures title="At the spindle" {workings} />
