<script lang="ts">
  import { untrack } from 'svelte';
  import { openSheet } from '../sheet/context';
  import ThreeColumns from '../ui/ThreeColumns.svelte';
  import { outbox } from '../log/send.svelte';
  import { blankDraft, entryOf } from '../log/draft';
  import { newId } from '../newId';
  import type { Schemas } from '../api/client';

  /** What is wrong? A symptom, then the test that tells most for the least risk, until one cause stands clear. */
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

  const dangers = {
    dead: 'Dead: unplugged',
    watched: 'Plugged in, nothing opened',
    live: 'Live: with a meter'
  } as const;
  const percent = (share: number) =>
    share >= 0.995 ? '> 99 %' : share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
  const outcomeOf = (t: Schemas['FaultTest']) => {
    const id = fault.done.find((d) => d.test === t.id)?.outcome;
    return t.outcomes.find((o) => o.id === id)?.words ?? 'could not be told';
  };
  /** What was found and put right goes into the log, with how it was found. */
  const log = async (cause: Schemas['FaultSuspect']) => {
    if (fault.mended) return;
    fault.mended = cause.words;
    const tried = opinion?.made.map((t) => `${t.name}: ${outcomeOf(t)}`).join('. ') ?? '';
    const draft = {
      ...blankDraft(),
      sort: 'mended' as const,
      item: cause.part.slice(0, 40),
      title: `${cause.words}`.slice(0, 200),
      detail: `${opinion?.chosen?.words ?? ''}. ${tried}. ${cause.mend}`.slice(0, 4000)
    };
    const entry = entryOf(draft, sheet.head.letter, Date.now(), newId());
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
      <p class="mt-1"><button class="link min-h-8" onclick={() => fault.startOver()}>it does something else</button></p>
      {#if opinion.made.length > 0}
        <h2 class="caption mt-4">Tried so far</h2>
        <ol>
          {#each opinion.made as t (t.id)}
            <li class="border-b border-dotted border-rule py-1.5">
              <span class="font-semibold">{t.name}</span>
              <span class="block text-soft">{outcomeOf(t)}</span>
              <button
                class="link min-h-8 text-sm"
                aria-label="take it back: {t.name}"
                onclick={() => fault.takeBack(t.id)}>take it back</button
              >
            </li>
          {/each}
        </ol>
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
        <p class="caption">{fault.chosen ? 'You chose' : 'Try this next'}</p>
        <h2 class="text-[1.45rem]">{test.name}</h2>
        <p class="text-sm text-soft">{dangers[test.danger]}, about {test.minutes} min</p>
        <p class="mt-2 border-l-4 pl-3 {test.danger === 'live' ? 'border-stop' : 'border-(--brass)'}">{test.first}</p>
        <p class="mt-2">{test.how}</p>
        <p class="mt-2"><span class="text-soft">Should be</span> <span class="font-semibold">{test.expect}</span></p>
        <div class="mt-3 flex flex-col gap-2" role="group" aria-label="How it came out">
          {#each test.outcomes as o (o.id)}
            <button class="button outcome" onclick={() => fault.answer(o.id)}
              >{o.words}{#if o.means}<span class="block text-sm text-soft">{o.means}</span>{/if}</button
            >
          {/each}
          <button class="link min-h-9 self-start" onclick={() => fault.answer('')}>I could not tell</button>
        </div>
        {#if opinion.left.length > 0}
          <details class="mt-4">
            <summary class="link min-h-8">another test first</summary>
            <ul>
              {#each opinion.left as t (t.id)}
                <li class="border-b border-dotted border-rule py-1">
                  <button class="link min-h-9" onclick={() => (fault.chosen = t.id)}>{t.name}</button>
                  <span class="text-sm text-soft">{dangers[t.danger]}, {t.minutes} min</span>
                </li>
              {/each}
            </ul>
          </details>
        {/if}
      {:else if opinion?.chosen}
        <p class="text-lg">{opinion.settled ? 'That is enough to go by.' : 'No test here tells more.'}</p>
        {#if opinion.left.length > 0}
          <p class="mt-2 text-soft">To make sure:</p>
          <ul>
            {#each opinion.left.slice(0, 5) as t (t.id)}
              <li><button class="link min-h-9" onclick={() => (fault.chosen = t.id)}>{t.name}</button></li>
            {/each}
          </ul>
        {/if}
      {:else}
        <p class="max-w-2xl text-soft">
          Say what it does. Then one test at a time: dead and unplugged first, each with what to expect of this very
          line and what each answer means. Fixed wiring is a licensed electrician's; local code decides.
        </p>
      {/if}
    </div>
  {/snippet}
  {#snippet right()}
    {#if opinion?.chosen}
      <p class="caption">What is likely</p>
      <h2 class="text-[1.25rem] leading-tight" aria-live="polite">{opinion.headline}</h2>
      {#if fault.mended}
        <p class="mt-2 border-l-4 border-good pl-3" role="status">
          “{fault.mended}” is in the log. <button class="link" onclick={() => sheet.show('log')}>See it</button>
        </p>
      {/if}
      <ol class="mt-2">
        {#each opinion.suspects as s, i (s.id)}
          <li class="border-b border-rule py-2">
            <p class="flex justify-between gap-3" class:font-semibold={i === 0}>
              <span>{s.words}</span><span class="whitespace-nowrap">{percent(s.share)}</span>
            </p>
            <div class="mt-0.5 h-1.5 bg-[color-mix(in_srgb,var(--rule)_60%,transparent)]" aria-hidden="true">
              <div class="h-full bg-iron" style:width="{s.share * 100}%"></div>
            </div>
            {#if s.for}<p class="mt-1 text-sm text-soft">{s.for}</p>{/if}
            {#if i === 0 && (opinion.settled || !opinion.next)}
              <p class="mt-1">{s.mend}</p>
              {#if !fault.mended}<button class="button primary mt-2 w-full" onclick={() => log(s)}
                  >It was that, and it is mended: log it</button
                >{/if}
            {:else if i < 3 && !fault.mended}
              <button class="link min-h-8 text-sm" aria-label="it was that: log it, {s.words}" onclick={() => log(s)}
                >it was that: log it</button
              >
            {/if}
          </li>
        {/each}
      </ol>
      {#if opinion.others > 0}<p class="mt-2 text-sm text-soft">and {opinion.others} less likely</p>{/if}
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
  .outcome {
    text-align: left;
    min-height: 2.9rem;
  }
</style>
