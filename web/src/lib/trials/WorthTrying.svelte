<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import { openSheet } from '../sheet/context';
  import type { Kind } from './trials.svelte';

  /** What is worth measuring first on this plan, and what comes of it. */
  const sheet = openSheet();
  const trials = sheet.trials;
  const tried = $derived(new Set(trials.list.filter((t) => t.readings.length > 0).map((t) => String(t.kind))));
  const worth = $derived((sheet.assessment?.measures ?? []).filter((m) => !tried.has(m.kind)));
  const first = $derived(worth[0]);
  const profile = $derived(catalogue.trials.find((p) => p.kind === first?.kind));
  /** A sketch of readings beside what was reckoned: its figures stand for none. */
  const dots = [
    [64, 118],
    [112, 98],
    [160, 84],
    [208, 62],
    [256, 50]
  ] as const;
  const across = $derived(profile?.columns[0]?.label ?? '');
  const up = $derived(profile?.columns[1]?.label ?? 'what it comes to');
</script>

<div class="max-w-2xl px-4">
  <p class="font-head text-[1.45rem] font-semibold">Measure it, and lay it over what was reckoned.</p>
  {#if first && profile}
    <p class="caption mt-3">Worth most here</p>
    <p class="mt-0.5 text-lg">
      <button class="link font-semibold" onclick={() => trials.choose(first.kind as Kind)}>{profile.name}</button>
    </p>
    <p>{first.why}</p>
    <svg viewBox="0 0 320 172" class="mt-3 w-full max-w-sm" role="img" aria-label="What it gives, as a sketch">
      <path d="M40 12V140H304" class="axis" />
      <path d="M48 112Q160 74 296 52" class="reckoned" />
      <text x="240" y="38" text-anchor="end" class="soft">as reckoned</text>
      {#each dots as [x, y] (x)}
        <path d="M{x} {y - 9}v18" class="spread" />
        <circle cx={x} cy={y} r="4" />
      {/each}
      <text x="66" y="138" class="soft" dx="4" dy="-6">as measured, with its spread</text>
      <text x="304" y="160" text-anchor="end" class="soft">{across}</text>
      <text x="44" y="16" class="soft">{up}</text>
    </svg>
    {#if worth.length > 1}
      <p class="mt-2 text-soft">
        Then:
        {#each worth.slice(1) as m, i (m.kind)}{i > 0 ? ', ' : ' '}<button
            class="link"
            title={m.why}
            onclick={() => trials.choose(m.kind as Kind)}
            >{catalogue.trials.find((p) => p.kind === m.kind)?.name ?? m.kind}</button
          >{/each}
      </p>
    {/if}
  {/if}
  <p class="mt-3 text-soft">
    Each trial says how it is done, what can hurt meanwhile, what it comes to and how far it may be out; one click takes
    it into the plan, and one takes it back out.
  </p>
</div>

<style>
  .axis,
  .reckoned,
  .spread {
    fill: none;
    stroke: var(--ink);
  }
  .reckoned {
    stroke: var(--iron);
    stroke-dasharray: 5 4;
    stroke-width: 1.6;
  }
  .spread {
    stroke: var(--brass);
    stroke-width: 2;
  }
  circle {
    fill: var(--brass);
  }
  text {
    fill: var(--soft);
    font-size: 12px;
  }
</style>
