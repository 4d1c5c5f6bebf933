<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import { openSheet } from '../sheet/context';
  import { stateOf } from './state';
  import type { Kind } from './trials.svelte';

  /** The trials there can be, each with how far it is; or all that were made, the newest first. */
  const trials = openSheet().trials;
  let all = $state(false);
  const made = $derived([...trials.list].reverse());
  const nameOf = (kind: Kind) => catalogue.trials.find((p) => p.kind === kind)?.name ?? 'not chosen';
</script>

<div class="flex items-baseline justify-between gap-3">
  <h2 class="caption">{all ? 'All trials' : 'Try it'}</h2>
  <button class="link min-h-8 text-sm" onclick={() => (all = !all)}
    >{all ? 'what can be tried' : `all trials${made.length ? ` (${made.length})` : ''}`}</button
  >
</div>
<ul class="mt-1">
  {#if all}
    {#each made as t (t.id)}
      <li class="border-b border-dotted border-rule" class:here={t.id === trials.open}>
        <button class="one" aria-current={t.id === trials.open ? 'true' : undefined} onclick={() => trials.show(t.id)}>
          <span class="block font-semibold">{nameOf(t.kind)}</span>
          <span class="block text-sm text-soft"
            >{[t.part, t.on, stateOf(t), t.used && 'in the plan'].filter(Boolean).join(', ')}</span
          >
        </button>
      </li>
    {:else}
      <li class="py-2 text-soft">Nothing was measured yet.</li>
    {/each}
  {:else}
    {#each catalogue.trials as p (p.kind)}
      {@const latest = trials.list.findLast((t) => t.kind === p.kind)}
      {@const here = trials.trial?.kind === p.kind}
      <li class="border-b border-dotted border-rule" class:here>
        <button class="one" aria-current={here ? 'true' : undefined} onclick={() => trials.choose(p.kind as Kind)}>
          <span class="block font-semibold">{p.name}</span>
          <span class="block text-sm text-soft">{latest ? `${stateOf(latest)}, ${latest.on}` : p.about}</span>
        </button>
        {#if here && latest && latest.readings.length > 0}
          <button class="link min-h-8 px-2 text-sm" onclick={() => trials.begin(p.kind as Kind)}>once more, anew</button
          >
        {/if}
      </li>
    {/each}
  {/if}
</ul>

<style>
  .one {
    display: block;
    width: 100%;
    min-height: 2.75rem;
    padding: 0.4rem 0.5rem;
    text-align: left;
  }
  .one:hover {
    background: var(--card);
  }
  .here,
  .here .one {
    background: var(--iron-wash);
  }
</style>
