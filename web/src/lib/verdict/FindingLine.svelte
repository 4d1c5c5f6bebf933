<script lang="ts">
  import type { Assessment, Finding } from '../api/client';
  import Mark from '../ui/Mark.svelte';
  import Terms from '../ui/Terms.svelte';
  import type { Piece } from '../words';
  import Worked from '../ui/Worked.svelte';
  import { openSheet } from '../sheet/context';
  import Remedies from './Remedies.svelte';

  /** One finding, with the changes that were tried for it. */
  let { f, a, detail }: { f: Finding; a: Assessment; detail: readonly Piece[] } = $props();

  const sheet = openSheet();
  const worked = $derived(f.working !== '' && sheet.workings.some((w) => w.id === f.working));
  const job = $derived(a.jobs.find((j) => j.id === f.job));
  const remedies = $derived(job?.remedies ?? a.fixes[f.id] ?? []);
  const noHelp = $derived(f.level === 'stop' ? (job?.noHelp ?? '') : '');
</script>

<li class="flex gap-3 border-b border-rule py-2.5">
  <Mark level={f.level} size={22} />
  <div class="min-w-0 flex-1">
    {#if f.field}
      <button class="text-left font-semibold hover:underline" onclick={() => sheet.goTo(f.field)}>{f.title}</button>
    {:else}
      <p class="font-semibold">{f.title}</p>
    {/if}
    <p class="text-[0.94rem] text-soft">
      <Terms text={detail} />{#if worked}&nbsp;<Worked id={f.working} text="Working" class="text-ink" />{/if}
    </p>
    {#if f.offer}
      {@const offer = f.offer}
      <button class="link mt-1 text-sm" onclick={() => sheet.take(offer)}>{offer.label}</button>
    {/if}
    {#if noHelp}<p class="mt-1 text-sm text-soft">{noHelp}</p>{/if}
    {#if remedies.length > 0}<Remedies {remedies} total={a.jobs.length} />{/if}
  </div>
</li>
