<script lang="ts">
  import { untrack } from 'svelte';
  import { openSheet } from '../sheet/context';
  import ThreeColumns from '../ui/ThreeColumns.svelte';
  import { outbox } from '../log/send.svelte';
  import { newId } from '../newId';
  import { narrow } from '../ui/narrow.svelte';
  import type { Schemas } from '../api/client';
  import Found from './Found.svelte';
  import LikelyCauses from './LikelyCauses.svelte';
  import NextTest from './NextTest.svelte';
  import { entryOfFault, outcomeOf } from './entry';

  /** What is wrong? A symptom, then the test that tells most for the least risk, until one cause was found. */
  const sheet = openSheet();
  const fault = sheet.fault;
  const opinion = $derived(fault.opinion);
  const test = $derived(fault.test);
  const offered = $derived(opinion?.matched.length ? opinion.matched : (opinion?.symptoms ?? []));

  $effect(() => {
    void sheet.question;
    untrack(() => fault.again());
  });
  $effect(() => () => fault.stop());

  /** What was found and put right goes into the log, with how it was found. */
  const log = async (cause: Schemas['FaultCause'], how: 'mended' | 'replaced') => {
    if (fault.mended || !opinion) return;
    fault.log(cause.words);
    const entry = entryOfFault(opinion, fault.done, cause, how, sheet.head.letter, Date.now(), newId());
    await outbox.add({ machineId: sheet.head.machineId, entry, pictures: [] });
  };
</script>

<ThreeColumns
  label="What is wrong?"
  rightLabel="What is likely"
  tablet="'left right' 'middle right'"
  phone="'left' 'middle' 'right'"
>
  {#snippet left()}
    <h1 class="text-[1.45rem]">What is wrong?</h1>
    {#if fault.problem}<p role="alert" class="mt-2 border-l-4 border-stop pl-3">{fault.problem}</p>{/if}
    {#if opinion?.chosen}
      <p class="mt-2 text-lg font-semibold">{opinion.chosen.words}</p>
      {#if opinion.chosen.stop}<p class="mt-1 border-l-4 border-stop pl-3">{opinion.chosen.stop}</p>{/if}
      {#if opinion.off && opinion.off !== opinion.chosen.stop}
        <p class="mt-1 border-l-4 border-stop pl-3" role="status">{opinion.off}</p>
      {/if}
      <p class="mt-1"><button class="link min-h-8" onclick={() => fault.startOver()}>it does something else</button></p>
      {#if opinion.made.length > 0}
        <details class="mt-4" open={!narrow.is}>
          <summary class="caption min-h-8">Tried so far: {opinion.made.length}</summary>
          <ol>
            {#each opinion.made as t, i (i)}
              <li class="border-b border-dotted border-rule py-1.5">
                <span class="font-semibold">{t.name}</span>
                <span class="block text-soft">{outcomeOf(t, fault.done[i])}</span>
                <button
                  class="link min-h-8 text-sm"
                  aria-label="take it back: {t.name}"
                  onclick={() => fault.takeBack(i)}>take it back</button
                >
              </li>
            {/each}
          </ol>
        </details>
      {/if}
    {:else}
      <label class="mt-2 block text-sm text-soft" for="fault-words">What does it do? In your own words</label>
      <input
        id="fault-words"
        class="blank"
        maxlength="200"
        autocomplete="off"
        placeholder="hums and will not start"
        value={fault.words}
        oninput={(e) => {
          fault.words = e.currentTarget.value;
          fault.again();
        }}
      />
      {#if fault.words && opinion && opinion.matched.length === 0}
        <p class="mt-1 text-soft">Nothing known here sounds like that. Choose the nearest below.</p>
      {/if}
      <ul class="mt-2" aria-label="Symptoms">
        {#each offered as s (s.id)}
          <li class="border-b border-dotted border-rule">
            <button class="symptom" onclick={() => fault.choose(s.id)}>{s.words}</button>
          </li>
        {/each}
      </ul>
    {/if}
  {/snippet}
  {#snippet middle()}
    <div class="max-w-[46rem] px-4">
      {#if opinion?.chosen && test}
        <NextTest
          {test}
          left={opinion.left}
          chosen={fault.chosen !== ''}
          answer={(outcome) => fault.answer(outcome)}
          choose={(id) => (fault.chosen = id)}
        />
      {:else if opinion?.chosen}
        <Found {opinion} mended={fault.mended} choose={(id) => (fault.chosen = id)} {log} />
      {:else}
        <p class="max-w-2xl text-soft">
          Say what it does. Then one test at a time: dead and with no power first, each with what to expect of this very
          line and what each answer means. Fixed wiring is a licensed electrician's; local code decides.
        </p>
      {/if}
    </div>
  {/snippet}
  {#snippet right()}
    {#if opinion?.chosen}
      <LikelyCauses {opinion} mended={fault.mended} seeLog={() => sheet.show('log')} {log} />
    {/if}
  {/snippet}
</ThreeColumns>

<style>
  .symptom {
    display: block;
    width: 100%;
    min-height: 2.5rem;
    padding: 0.2rem 0.3rem;
    text-align: left;
  }
  .symptom:hover {
    background: var(--card);
  }
</style>
