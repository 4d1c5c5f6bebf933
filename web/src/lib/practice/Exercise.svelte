<script lang="ts">
  import Mark from '../ui/Mark.svelte';
  import { anySeed, type PracticeState } from './practice.svelte';

  /** An exercise: what is known, what can be done and what came of it, the answer, and how it went. */
  let { state }: { state: PracticeState } = $props();
  const bench = $derived(state.bench);
  const mark = $derived(bench?.mark);
</script>

{#if state.problem}<p role="alert" class="mb-2 border-l-4 border-stop pl-3">{state.problem}</p>{/if}
{#if bench}
  <div class="work">
    <div class="min-w-0">
      <h1 class="text-[1.6rem]">{bench.exercise.name}</h1>
      <p class="mt-1 max-w-2xl text-[1.05rem]">{bench.task}</p>
      <h2 class="caption mt-4">On the bench</h2>
      <ul class="mt-1">
        {#each bench.acts as a (a.id)}
          <li class="act">
            <div class="min-w-0 flex-1">
              <p>{a.name}</p>
              <p class="text-sm text-soft">{a.minutes} min</p>
              {#if a.danger}<p class="text-sm text-(--brass-ink)">{a.danger}</p>{/if}
            </div>
            {#if a.ask}
              <label class="flex items-center gap-1.5 text-sm text-soft">
                {a.ask}
                <input
                  class="blank w-20!"
                  inputmode="decimal"
                  aria-label="{a.name}, {a.ask}"
                  bind:value={state.figures[a.id]}
                  onkeydown={(e) => e.key === 'Enter' && state.act(a.id)}
                />
                {a.unit}
              </label>
            {/if}
            <button
              class="button"
              disabled={state.handedIn}
              aria-label="do it: {a.name}"
              onclick={() => state.act(a.id)}>do it</button
            >
          </li>
        {/each}
      </ul>
    </div>
    <div class="min-w-0">
      <h2 class="caption">What came of it</h2>
      <p class="text-sm text-soft">{bench.came.length} done, {bench.minutes} minutes gone</p>
      <ol class="mt-1" aria-live="polite">
        {#each bench.came as c, i (i)}
          {@const error = state.errors[`deeds[${i}].figure`]}
          <li class="border-b border-dotted border-rule py-1.5">
            <span class="text-soft">{c.name}</span>
            <span class="block text-[1.1rem] font-semibold">{error ?? c.shows}</span>
            {#if c.hurt}<span class="block text-stop">{c.hurt}</span>{/if}
          </li>
        {:else}
          <li class="py-1.5 text-soft">Nothing yet.</li>
        {/each}
      </ol>
    </div>
    <div class="min-w-0">
      <h2 class="caption">Your answer</h2>
      <form
        onsubmit={(e) => {
          e.preventDefault();
          state.handIn();
        }}
      >
        {#each bench.blanks as b (b.id)}
          <div class="mt-2">
            <label class="block text-sm text-soft" for="answer-{b.id}">{b.label}{b.unit ? `, ${b.unit}` : ''}</label>
            {#if b.unit}
              <input
                id="answer-{b.id}"
                class="blank"
                inputmode="decimal"
                disabled={state.handedIn}
                bind:value={state.answers[b.id]}
              />
            {:else}
              <select id="answer-{b.id}" class="blank" disabled={state.handedIn} bind:value={state.answers[b.id]}>
                <option value="">choose</option>
                {#each b.choices as c (c.id)}<option value={c.id}>{c.name}</option>{/each}
              </select>
            {/if}
          </div>
        {/each}
        {#if !state.handedIn}
          <button class="button primary mt-3" disabled={bench.blanks.some((b) => !state.answers[b.id])}
            >That is my answer</button
          >
        {/if}
      </form>
      {#if mark}
        <section aria-label="How it went" class="mt-4" aria-live="polite">
          <p class="flex items-center gap-2 text-[1.25rem] font-semibold">
            <Mark level={mark.level} size={24} />{mark.title}
          </p>
          <table class="mt-2 w-full">
            <thead
              ><tr class="text-left text-sm text-soft"
                ><th class="font-normal"><span class="sr-only">Answer</span></th><th class="font-normal">yours</th><th
                  class="font-normal">truly</th
                ></tr
              ></thead
            >
            <tbody>
              {#each mark.parts as p (p.name)}
                <tr class="border-b border-dotted border-rule align-top">
                  <th class="py-1 pr-2 text-left font-semibold">{p.name}</th>
                  <td class="py-1 pr-2 {p.right ? '' : 'text-stop'}">{p.given || '—'}</td>
                  <td class="py-1">{p.truth}</td>
                </tr>
              {/each}
            </tbody>
          </table>
          <p class="mt-2 text-soft">It cost {mark.cost}.</p>
          {#each mark.hurts as h (h)}<p class="mt-1 border-l-4 border-stop pl-3">{h}</p>{/each}
          {#if mark.better}<p class="mt-2"><span class="font-semibold">Better:</span> {mark.better}</p>{/if}
          <p class="mt-3 flex flex-wrap gap-3">
            <button class="button primary" onclick={() => state.again(anySeed())}>Another machine</button>
            <button class="button" onclick={() => state.again(state.seed)}>The same again</button>
          </p>
        </section>
      {/if}
      <p class="mt-4 text-sm text-soft">Machine number {state.seed}: the same number is the same machine.</p>
    </div>
  </div>
{/if}

<style>
  .work {
    display: grid;
    grid-template-columns: minmax(0, 1.5fr) minmax(15rem, 1fr) minmax(15rem, 1fr);
    gap: 1.5rem;
  }
  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.6rem 1rem;
    border-bottom: 1px dotted var(--rule);
    padding: 0.4rem 0;
  }
  @media (max-width: 66rem) {
    .work {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    }
  }
  @media (max-width: 46rem) {
    .work {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
