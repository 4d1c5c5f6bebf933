<script lang="ts">
  import { untrack } from 'svelte';
  import type { Assessment } from '../../api/client';
  import Choice from '../../form/Choice.svelte';
  import Field from '../../form/Field.svelte';
  import Worked from '../../ui/Worked.svelte';
  import { openSheet } from '../../sheet/context';
  import Figures from '../../ui/Figures.svelte';
  import LoadFields from './LoadFields.svelte';
  import MoreFields from './MoreFields.svelte';
  import SpeedFields from './SpeedFields.svelte';

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
  const workings = $derived(
    sheet.workings
      .filter((w) => w.id.startsWith('job.') && w.id.endsWith(`.${job?.id}`) && !w.id.startsWith('job.margin.'))
      .map((w) => ({ ...w, label: w.label.replace(`${job?.name || 'Job without a name'}: `, '') }))
  );
  const watts = $derived(workings.find((w) => w.id.startsWith('job.watts.')));
  const tone = $derived(
    result?.outcome === 'does'
      ? 'text-good'
      : result?.outcome === 'just' || result?.outcome === 'cannot-tell'
        ? 'text-soft'
        : 'text-stop'
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
      <SpeedFields at="{at}.speed" />
      <LoadFields job={at} />
      <Choice
        path="{at}.duty.kind"
        label="How long at a time"
        fallback="continuous"
        options={[
          ['continuous', 'all day'],
          ['cycle', 'on and off'],
          ['seconds', 'some seconds']
        ]}
      />
      {#if job.duty.kind === 'cycle'}
        <Field path="{at}.duty.on" label="On for" hint="5 min" />
        <Field path="{at}.duty.off" label="then off for" hint="10 min" />
      {/if}
      {#if watts}<p class="col-span-2 text-sm">
          Power to buy: <Worked id={watts.id} class="font-semibold" />{watts.assumes?.[0]
            ? `. ${watts.assumes?.[0]}.`
            : ''}
        </p>{/if}
      <details class="more col-span-2">
        <summary class="link min-h-11">how its speed is known, its start, its margin</summary>
        <div class="grid grid-cols-2 gap-3">
          <MoreFields job={at} wanted={result ? String(result.wanted) : '1.5'} />
        </div>
      </details>
      {#if result}<p class="col-span-2 text-sm text-soft">
          Margin wanted ×{result.wanted}: {result.wantedBy}. {#if result.outcome !== 'cannot-tell'}Margin now <Worked
              id="job.margin.{result.id}"
              class="text-ink"
            />. At rest: {result.start}. Speed falls under it by <Worked
              id="job.fall.{result.id}"
              class="text-ink"
            />.{/if}
        </p>{/if}
      {#if workings.length > 0}<div class="col-span-2"><Figures title="What that makes it" {workings} /></div>{/if}
      <button class="link col-span-2" onclick={remove}>remove this job</button>
    </div>
  </details>
{/if}
