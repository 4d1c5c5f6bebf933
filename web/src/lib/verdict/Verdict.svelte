<script lang="ts">
  import { openSheet } from '../sheet/context';
  import FindingLine from './FindingLine.svelte';
  import Taken from './Taken.svelte';
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
    const read = [...parts.missing, ...parts.first, ...parts.folds.flatMap((fold) => fold.findings), ...parts.good];
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
    {#if parts.missing.length > 0}
      <div class="mt-2 flex gap-3 border-b border-rule py-2.5">
        <Mark level="missing" size={22} />
        <div class="min-w-0 flex-1">
          <p class="font-semibold">Still to be entered:</p>
          <ul>
            {#each parts.missing as f (f.id)}
              <li>
                <button
                  class="link text-left"
                  aria-label="Still to be entered: {f.title}"
                  onclick={() => sheet.goTo(f.field)}>{f.title.replace(/[?.]$/, '')}</button
                >
              </li>
            {/each}
          </ul>
          {#each parts.missing as f (f.id)}
            {#if f.offer}
              {@const offer = f.offer}
              <button class="link mt-1 block text-sm" onclick={() => sheet.take(offer)}>{offer.label}</button>
            {/if}
          {/each}
          <details>
            <summary class="link text-sm">what each is for</summary>
            <ol>
              {#each parts.missing as f (f.id)}<FindingLine {f} {a} detail={details.get(f.id) ?? []} />{/each}
            </ol>
          </details>
        </div>
      </div>
    {/if}
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
    {#if parts.good.length > 0}
      <details class="border-b border-rule py-2">
        <summary class="cursor-pointer font-semibold">{parts.good.length} checked and sound</summary>
        <ol>
          {#each parts.good as f (f.id)}<FindingLine {f} {a} detail={details.get(f.id) ?? []} />{/each}
        </ol>
      </details>
    {/if}
    <div class="mt-2"><Taken taken={a.power.taken} goTo={(field) => sheet.goTo(field)} /></div>
  {/if}
</section>
