<script lang="ts">
  import type { Schemas } from '../api/client';

  /** The kinds it may be, likeliest first, with what speaks for and against each. */
  let { opinion }: { opinion: Schemas['IdentifyOpinion'] } = $props();

  const shown = $derived(opinion.ranking.filter((c, i) => i < 4 || c.share >= 0.05));
  const percent = (share: number) =>
    share >= 0.995 ? '> 99 %' : share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
  const sentence = (list: string[]) => {
    const text = list.join('; ');
    return text.charAt(0).toUpperCase() + text.slice(1) + '.';
  };
</script>

<h2 class="caption">What it may be</h2>
<ol class="mt-1" aria-label="Kinds it may be" aria-live="polite">
  {#each shown as c, i (c.kind)}
    <li class="border-b border-dotted border-rule py-2">
      <p class="flex justify-between gap-3" class:font-semibold={i === 0}>
        <span>{c.name}</span><span>{percent(c.share)}</span>
      </p>
      <div class="mt-0.5 h-1.5 bg-[color-mix(in_srgb,var(--rule)_60%,transparent)]" aria-hidden="true">
        <div class="h-full bg-iron" style:width="{c.share * 100}%"></div>
      </div>
      {#if i < 3 && c.for.length > 0}<p class="mt-1 text-[0.94rem] text-soft">{sentence(c.for)}</p>{/if}
      {#if i < 3 && c.against.length > 0}<p class="text-[0.94rem] text-soft">Against: {c.against.join('; ')}.</p>{/if}
    </li>
  {/each}
</ol>
