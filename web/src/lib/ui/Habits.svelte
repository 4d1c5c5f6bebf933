<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import { prefs, type Units } from '../prefs.svelte';
  import { currencies } from '../region';
</script>

<!-- Said once, until somebody agrees: what was guessed from the browser. -->
{#if prefs.guessed}
  <section aria-label="Units, region and money" class="habits">
    <span>Taken from your browser:</span>
    <label
      ><span class="sr-only">Units</span><select
        value={prefs.units}
        onchange={(e) => prefs.setUnits(e.currentTarget.value as Units)}
        ><option value="metric">millimetres</option><option value="inch">inches</option></select
      ></label
    >
    <label
      >in<select aria-label="Region" value={prefs.region} onchange={(e) => prefs.setRegion(e.currentTarget.value)}
        >{#each catalogue.regions as r (r.id)}<option value={r.id}>{r.name}</option>{/each}</select
      ></label
    >
    <label
      >costs in<select aria-label="Money" value={prefs.money} onchange={(e) => prefs.setMoney(e.currentTarget.value)}
        >{#each currencies as c (c)}<option value={c}>{c || 'no money named'}</option>{/each}</select
      ></label
    >
    <button class="link" onclick={() => prefs.settle()}>That is right</button>
    <span class="text-soft">It stands under “more” from then on.</span>
  </section>
{/if}

<style>
  .habits {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.15rem 0.75rem;
    border-bottom: 1px solid var(--rule);
    padding: 0.25rem 1rem;
    font-size: 0.94rem;
  }
  label {
    display: flex;
    align-items: center;
    gap: 0.35rem;
  }
  select {
    min-height: 2rem;
    border-bottom: 1px solid var(--rule);
    background: transparent;
    font-weight: 600;
  }
  option {
    background: var(--card);
  }
</style>
