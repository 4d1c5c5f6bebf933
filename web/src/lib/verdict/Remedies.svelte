<script lang="ts">
  import type { Remedy } from '../api/client';
  import { openSheet } from '../sheet/context';
  import { inOrder } from './remedies';

  let { remedies, total }: { remedies: Remedy[]; total: number } = $props();

  const sheet = openSheet();
  const ordered = $derived(inOrder(remedies));
  const gives = (r: Remedy) => {
    const jobs = `${r.jobsDone} of ${r.jobs?.length ?? total} jobs`;
    if (!r.margin) return jobs;
    return `${r.margin}${r.does ? '' : ', better'}, ${jobs}`;
  };
</script>

<ul class="mt-1.5 flex flex-col gap-1.5" aria-label="Changes that were tried">
  {#each ordered as r, i (i)}
    <li>
      <button class="link font-medium" title={r.detail} onclick={() => sheet.applyRemedy(r)}>{r.label}</button>
      <span class={r.does ? 'text-good' : 'text-soft'}>{gives(r)}</span>
      <span class="block text-sm text-soft">{r.detail}</span>
    </li>
  {/each}
</ul>
