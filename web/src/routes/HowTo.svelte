<script lang="ts">
  import Finder from '../lib/ui/Finder.svelte';
  import TopBar from '../lib/ui/TopBar.svelte';
  import { glossary, steps, wordId } from '../lib/words';
</script>

<svelte:head><title>How to go about it | Jiriki</title></svelte:head>
<TopBar>
  <h1 class="text-xl">How to go about it</h1>
  {#snippet tools()}<Finder deeds={[]} />{/snippet}
</TopBar>
<main class="mx-auto grid max-w-[80rem] gap-x-12 gap-y-8 px-4 py-6 lg:grid-cols-2">
  <section aria-labelledby="steps">
    <h2 id="steps" class="text-2xl">In the order the work is done</h2>
    <ol class="mt-2">
      {#each steps as [what, how], i (what)}
        <li class="grid grid-cols-[2rem_1fr] border-b border-rule py-2.5">
          <span class="font-head text-xl font-semibold" aria-hidden="true">{i + 1}</span>
          <div>
            <p class="font-semibold">{what}</p>
            <p class="text-soft">{how}</p>
          </div>
        </li>
      {/each}
    </ol>
    <p class="mt-4 border-l-4 border-brass pl-3">
      It reckons; it does not see your bench. Mains kills, wheels burst, belts take fingers. Unplug before you touch,
      and leave fixed wiring to local codes and licensed practice.
    </p>
    <p class="mt-4">
      <kbd class="key">/</kbd> finds anything and answers the slate, <kbd class="key">Ctrl Z</kbd> undoes everything,
      <kbd class="key">Ctrl P</kbd> prints what is looked at, <kbd class="key">Esc</kbd> goes back one step.
    </p>
    <p class="mt-4"><a class="link" href="#/">To the shed</a></p>
  </section>
  <section aria-labelledby="words">
    <h2 id="words" class="text-2xl">Words used here</h2>
    <dl class="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
      {#each glossary as [word, means] (word)}
        <dt class="font-semibold" id={wordId(word)} tabindex="-1">{word}</dt>
        <dd class="text-soft">{means}</dd>
      {/each}
    </dl>
  </section>
</main>

<style>
  .key {
    border: 1px solid var(--rule);
    background: var(--card);
    padding: 0 0.4rem;
    font-family: inherit;
  }
</style>
