<script lang="ts">
  import type { Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import Derived from '../ui/Derived.svelte';
  import Mark from '../ui/Mark.svelte';

  /** What a trial comes to: measured and reckoned side by side, the difference by name, and one click to let it in. */
  let { answer }: { answer: Schemas['TrialAnswer'] } = $props();

  const sheet = openSheet();
  const trials = sheet.trials;
  const used = $derived(trials.trial?.used ?? '');
</script>

<section aria-label="What it comes to">
  <p class="caption">What it comes to</p>
  <h2 class="mt-0.5 text-[1.45rem] leading-tight" aria-live="polite">{answer.headline}</h2>
  {#if answer.enough && !answer.reckons}
    <p class="mt-1 text-sm text-soft">The plan does not run yet, so nothing is reckoned beside it.</p>
  {/if}
  {#if answer.said.length > 0}
    <ol class="mt-1">
      {#each answer.said as s, i (i)}
        <li class="flex gap-3 border-b border-rule py-2.5">
          <Mark level={s.level} size={22} />
          <div class="min-w-0 flex-1">
            <p class="font-semibold">{s.title}</p>
            <p class="text-[0.94rem] text-soft">{s.detail}</p>
          </div>
        </li>
      {/each}
    </ol>
  {/if}
  {#if answer.figures.length > 0}
    <table class="mt-2 w-full">
      <thead class="sr-only"><tr><th>Figure</th><th>Measured</th><th>Reckoned</th></tr></thead>
      <tbody>
        {#each answer.figures as f (f.name)}
          <tr class="border-b border-dotted border-rule align-top">
            <th class="py-1.5 pr-2 text-left font-semibold">{f.name}</th>
            <td class="py-1.5 text-right whitespace-nowrap">
              <Derived working={f.working} text={f.value} class="font-semibold" />
              {#if f.spread}<span class="block text-sm text-soft">{f.spread}</span>{/if}
            </td>
          </tr>
          {#if f.reckoned}
            <tr class="text-sm text-soft">
              <td class="pb-1.5">reckoned</td>
              <td class="pb-1.5 text-right whitespace-nowrap">{f.reckoned}{f.off ? `, ${f.off}` : ''}</td>
            </tr>
          {/if}
        {/each}
      </tbody>
    </table>
  {/if}
  {#if answer.correction}
    <button class="button primary mt-4 w-full" onclick={() => trials.use()}>{answer.correction.label}</button>
    <p class="mt-1 text-sm text-soft">
      {answer.correction.detail} Undo any time.{used ? ` Let in once already, ${used}.` : ''}
    </p>
  {:else if answer.whyNone && answer.enough}
    <p class="mt-3 text-sm text-soft">{answer.whyNone}</p>
  {/if}
  {#if answer.next.text}
    <p class="caption mt-4">Read next</p>
    <p class="mt-0.5"><span class="font-semibold">{answer.next.text}</span> {answer.next.why}</p>
  {/if}
</section>
