<script lang="ts">
  import { untrack } from 'svelte';
  import type { Assessment } from '../api/client';
  import Choice from '../ui/Choice.svelte';
  import Field from '../ui/Field.svelte';
  import Worked from '../ui/Worked.svelte';
  import { openSheet } from '../ui/context';
  import Pulls from './Pulls.svelte';

  let { i, result }: { i: number; result?: Assessment['jobs'][number] } = $props();

  const sheet = openSheet();
  const at = $derived(`machine.jobs[${i}]`);
  const job = $derived(sheet.doc.machine.jobs[i]);
  const remove = () => sheet.change(({ machine }) => machine.jobs.splice(i, 1));
  // A new job opens for filling in; after that it stays as the person left it.
  let open = $state(untrack(() => !job?.name && !job?.speed.from && !job?.speed.surface));
  $effect(() => {
    if (sheet.wanted.startsWith(at)) open = true;
  });
  const tone = $derived(
    result?.outcome === 'does' ? 'text-good' : result?.outcome === 'just' || result?.outcome === 'cannot-tell' ? 'text-soft' : 'text-stop'
  );
</script>

{#if job}
  <details class="border-b border-rule py-1" id="job-{job.id}" bind:open>
    <summary class="flex min-h-11 cursor-pointer items-center gap-2">
      <span class="font-semibold">{job.name || 'New job'}</span>
      <span class="ml-auto text-right text-[0.94rem] {tone}">{result?.short ?? ''}</span>
    </summary>
    <div class="grid grid-cols-2 gap-3 pb-3">
      <div class="col-span-2"><Field path="{at}.name" label="Job" hint="Big pots" words /></div>
      <Choice
        path="{at}.speed.by"
        label="Speed from"
        fallback="rpm"
        options={[
          ['rpm', 'turns per minute'],
          ['surface', 'surface speed']
        ]}
      />
      <Choice
        path="{at}.speed.cover"
        label="Of the band"
        fallback="all"
        options={[
          ['all', 'every speed'],
          ['any', 'one speed will do']
        ]}
      />
      {#if job.speed.by === 'surface'}
        <div class="col-span-2"><Field path="{at}.speed.surface" label="Surface speed" hint="30 m/min" /></div>
        <Field path="{at}.speed.diameterFrom" label="Smallest diameter" hint="10 mm" />
        <Field path="{at}.speed.diameterTo" label="Largest diameter" hint="60 mm" />
      {:else}
        <Field path="{at}.speed.from" label="Slowest" hint="20 rpm" />
        <Field path="{at}.speed.to" label="Fastest" hint="60 rpm" />
      {/if}
      <Choice
        path="{at}.load.by"
        label="Load found by"
        fallback="torque"
        options={[
          ['torque', 'torque, stated'],
          ['power', 'power, stated'],
          ['scale', 'spring scale']
        ]}
      />
      <Choice
        path="{at}.load.shape"
        label="Over the band"
        fallback="torque"
        options={[
          ['torque', 'same torque'],
          ['power', 'same power'],
          ['square', 'with speed squared']
        ]}
      />
      {#if job.load.by === 'scale'}
        <Field path="{at}.load.scale.radius" label="Hooked at radius" hint="160 mm" />
        <Field path="{at}.load.scale.angle" label="Pull to radius" hint="90°" />
        <div class="col-span-2"><Pulls path="{at}.load.scale.running" label="Pulls that keep it moving" /></div>
        <div class="col-span-2"><Pulls path="{at}.load.scale.breakaway" label="Pulls that just start it" /></div>
        <div class="col-span-2"><Field path="{at}.load.scale.own" label="Scale's own weight, if it hangs in the pull" hint="0.3 kg" /></div>
      {:else}
        {#if job.load.by === 'power'}
          <Field path="{at}.load.power" label="Power at the spindle" hint="0.3 kW" />
        {:else}
          <Field path="{at}.load.torque" label="Torque at the spindle" hint="4.2 lb at 45 mm" />
        {/if}
        <Choice
          path="{at}.load.from"
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
        path="{at}.duty.kind"
        label="How long"
        fallback="continuous"
        options={[
          ['continuous', 'all day'],
          ['cycle', 'on and off'],
          ['seconds', 'some seconds']
        ]}
      />
      <Field path="{at}.margin" label="Margin wanted" hint={result ? String(result.wanted) : '1.5'} />
      {#if job.duty.kind === 'cycle'}
        <Field path="{at}.duty.on" label="On for" hint="5 min" />
        <Field path="{at}.duty.off" label="then off for" hint="10 min" />
      {/if}
      {#if job.margin}<div class="col-span-2"><Field path="{at}.reason" label="Why that margin" words /></div>{/if}
      {#if result}<p class="col-span-2 text-sm text-soft">
          Margin wanted ×{result.wanted}: {result.wantedBy}. Margin now <Worked id="job.margin.{result.id}" class="text-ink" />.
        </p>{/if}
      <button class="link col-span-2" onclick={remove}>remove this job</button>
    </div>
  </details>
{/if}
