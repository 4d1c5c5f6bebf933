<script lang="ts">
  import Choice from '../../form/Choice.svelte';
  import Field from '../../form/Field.svelte';
  import { openForm } from '../../form/context';

  /** What of a job may be left as it usually is: how its speed is known, its load's shape, its start and its margin. */
  interface Props {
    job: string;
    /** The margin that is wanted where none is put in. */
    wanted: string;
  }
  let { job, wanted }: Props = $props();

  const form = openForm();
  const by = $derived(form.text(`${job}.load.by`) || 'torque');
  const shaped = ['torque', 'power', 'scale', 'comparable', 'pull', 'screw'];
</script>

<Choice
  path="{job}.speed.by"
  label="Speed from"
  fallback="rpm"
  options={[
    ['rpm', 'turns per minute'],
    ['surface', 'surface speed'],
    ['timed', 'turns counted by hand'],
    ['travel', 'travel and lead']
  ]}
/>
<Choice
  path="{job}.speed.cover"
  label="Wanted of its speeds"
  fallback="all"
  options={[
    ['all', 'every speed'],
    ['any', 'one speed will do']
  ]}
/>
{#if shaped.includes(by)}
  <Choice
    path="{job}.load.shape"
    label="As it turns faster it takes"
    fallback="torque"
    options={[
      ['torque', 'same torque'],
      ['power', 'same power'],
      ['square', 'with speed squared'],
      ...(by === 'torque' ? ([['points', 'points joined']] as const) : [])
    ]}
  />
{/if}
{#if by === 'torque' || by === 'power'}
  <Choice
    path="{job}.load.from"
    label="The figure is"
    fallback="stated"
    options={[
      ['stated', 'stated, worked out'],
      ['measured', 'measured'],
      ['comparable', "a like machine's"]
    ]}
  />
{/if}
<Choice
  path="{job}.start.how"
  label="It starts"
  fallback="load"
  options={[
    ['load', 'with its load on'],
    ['idle', 'idle, then the load comes']
  ]}
/>
<Field
  path="{job}.start.torque"
  label="Torque that just starts it"
  hint={form.text(`${job}.start.how`) === 'idle' ? '0.6 N·m' : 'its load'}
/>
<Field path="{job}.fall" label="Its speed may fall by" hint="any" />
<Field path="{job}.margin" label="Margin wanted" hint={wanted} />
{#if form.text(`${job}.margin`)}
  <div class="col-span-2"><Field path="{job}.reason" label="Why that margin" words /></div>
{/if}
