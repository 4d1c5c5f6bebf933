<script lang="ts">
  import { openSheet } from '../sheet/context';
  import FindingLine from './FindingLine.svelte';
  import TwoAnswers from './TwoAnswers.svelte';
  import { pieces } from '../words';
  import Mark from '../ui/Mark.svelte';
  import { partsOf } from './parts';

  const sheet = openSheet();
  const a = $derived(sheet.assessment);
  const parts = $derived(partsOf(a?.findings ?? [], sheet.station));
  const simulated = $derived(
    sheet.dry.answer?.findings.filter((f) => f.level === 'stop' || f.level === 'caution') ?? []
  );
  /** What is said, special words told where they stand first, in the order it is read. */
  const details = $derived.by(() => {
    const read = [...parts.first, ...parts.folds.flatMap((fold) => fold.findings), ...parts.good];
    const told = pieces(read.map((f) => f.detail));
    return new Map(read.map((f, i) => [f.id, told[i] ?? []]));
  });
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
    <TwoAnswers power={a.power} does={a.does} goTo={(field) => sheet.goTo(field)} />
    <ol class="mt-2">
      {#each parts.first as f (f.id)}<FindingLine {f} {a} detail={details.get(f.id) ?? []} />{/each}
    </ol>
    {#each parts.folds as fold (fold.says)}
      <details class="border-b border-rule py-2">
        <summary class="cursor-pointer font-semibold">{fold.says}</summary>
        <ol>
          {#each fold.findings as f (f.id)}<FindingLine {f} {a} detail={details.get(f.id) ?? []} />{/each}
        </ol>
      </details>
    {/each}
    {#if simulated.length > 0}
      <p class="caption mt-3">In the dry run, simulated</p>
      <ol>
        {#each simulated as f (f.id)}
          <li class="flex gap-3 border-b border-rule py-2.5">
            <Mark level={f.level} size={22} />
            <div class="min-w-0 flex-1">
              <a class="font-semibold hover:underline" href={sheet.address('dry')}>{f.title}</a>
              <p class="text-[0.94rem] text-soft">{f.detail}</p>
            </div>
          </li>
        {/each}
      </ol>
    {/if}
    <ol>
      {#each parts.good as f (f.id)}<FindingLine {f} {a} detail={details.get(f.id) ?? []} />{/each}
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
