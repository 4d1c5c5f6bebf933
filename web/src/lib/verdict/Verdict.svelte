<script lang="ts">
  import type { Finding } from '../api/client';
  import Mark from '../ui/Mark.svelte';
  import Worked from '../ui/Worked.svelte';
  import { openSheet } from '../sheet/context';
  import Remedies from './Remedies.svelte';

  const sheet = openSheet();
  const a = $derived(sheet.assessment);
  const known = (id: string) => id !== '' && sheet.workings.some((w) => w.id === id);
  const remediesOf = (f: Finding) => a?.jobs.find((j) => j.id === f.job)?.remedies ?? a?.fixes[f.id] ?? [];
  const noHelpOf = (f: Finding) => (f.level === 'stop' ? (a?.jobs.find((j) => j.id === f.job)?.noHelp ?? '') : '');
</script>

<section aria-label="Verdict" class="flex flex-col gap-0 p-4">
  <p class="caption">Verdict</p>
  {#if sheet.unanswered}
    <p role="status" class="my-2 border-l-4 border-brass pl-3">
      {sheet.unanswered} The figures are from before; they follow when it does.
    </p>
  {/if}
  {#if sheet.errorCount > 0}
    <p role="alert" class="my-2 border-l-4 border-stop pl-3">
      {sheet.errorCount === 1 ? 'One entry' : `${sheet.errorCount} entries`} cannot be used.
      {sheet.before ? 'The figures are from before it was typed.' : 'The rest is worked out without.'}
      <button class="link" onclick={() => sheet.goTo(Object.keys(sheet.errors)[0] ?? '')}>Show it</button>
    </p>
  {/if}
  {#if a}
    <h2 class="mt-0.5 text-[1.45rem] leading-tight" aria-live="polite">{a.headline}</h2>
    <ol class="mt-2">
      {#each a.findings as f (f.id)}
        <li class="flex gap-3 border-b border-rule py-2.5">
          <Mark level={f.level} size={22} />
          <div class="min-w-0 flex-1">
            {#if f.field}
              <button class="text-left font-semibold hover:underline" onclick={() => sheet.goTo(f.field)}
                >{f.title}</button
              >
            {:else}
              <p class="font-semibold">{f.title}</p>
            {/if}
            <p class="text-[0.94rem] text-soft">
              {f.detail}{#if known(f.working)}&nbsp;<Worked id={f.working} text="Working" class="text-ink" />{/if}
            </p>
            {#if noHelpOf(f)}<p class="mt-1 text-sm text-soft">{noHelpOf(f)}</p>{/if}
            {#if remediesOf(f).length > 0}<Remedies remedies={remediesOf(f)} total={a.jobs.length} />{/if}
          </div>
        </li>
      {/each}
    </ol>
    <p class="caption mt-4">Next, working back from the work</p>
    <p class="mt-1">
      {#if a.next.field}
        <button class="link" onclick={() => sheet.goTo(a.next.field)}>{a.next.text}</button>
      {:else}
        {a.next.text}
      {/if}
    </p>
  {/if}
</section>
