<script lang="ts">
  import type { Job } from '../api/client';
  import Choice from '../ui/Choice.svelte';
  import Field from '../ui/Field.svelte';
  import Tick from '../ui/Tick.svelte';
  import { openSheet } from '../ui/context';
  import Figures from './Figures.svelte';
  import JobForm from './JobForm.svelte';
  import { machineKinds } from './options';

  const sheet = openSheet();
  const jobs = $derived(sheet.doc.machine.jobs);
  const workings = $derived(sheet.workings.filter((w) => w.station === 'work'));

  const freshJob = (): Job => ({
    id: crypto.randomUUID(),
    name: '',
    speed: { by: 'rpm', from: '', to: '', surface: '', diameterFrom: '', diameterTo: '', cover: 'all' },
    load: {
      by: 'torque',
      torque: '',
      power: '',
      shape: 'torque',
      from: 'stated',
      scale: { radius: '', angle: '', running: [''], breakaway: [''], own: '' }
    },
    duty: { kind: 'continuous', on: '', off: '' },
    margin: '',
    reason: ''
  });
  const add = () => {
    sheet.change(({ machine }) => machine.jobs.push(freshJob()));
    sheet.goTo(`machine.jobs[${jobs.length - 1}].name`);
  };
</script>

<div class="flex items-baseline justify-between">
  <h2 class="caption">Jobs: what it must do</h2>
  <button class="link" onclick={add}>add a job</button>
</div>
{#each jobs as job, i (job.id)}
  <JobForm {i} result={sheet.assessment?.jobs.find((j) => j.id === job.id)} />
{:else}
  <p class="mt-2 text-soft">Start with the work: a speed, the torque or power it takes, and how long at a time.</p>
{/each}
<h3 class="caption mt-5">The machine and its limits</h3>
<div class="mt-1 grid grid-cols-2 gap-3">
  <Field path="machine.name" label="Name" words />
  <Choice path="machine.kind" label="Kind" options={machineKinds} />
  <Field path="machine.limits.spindle" label="Spindle may turn at most" hint="300 rpm" />
  <Field path="machine.limits.marked" label="Marked on wheel or chuck" hint="2850 rpm" />
  <Field path="machine.limits.diameter" label="Largest that turns" hint="340 mm" />
</div>
<div class="mt-1">
  <Tick path="machine.limits.screwedOn" label="Chuck or wheel is screwed on" />
  <Tick path="machine.limits.needsReversed" label="Must run both ways" />
</div>
<div class="mt-2"><Field path="machine.notes" label="Notes" long words /></div>
<Figures title="At the spindle" {workings} />
