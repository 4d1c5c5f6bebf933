<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { openSheet } from '../sheet/context';
  import { narrow } from '../ui/narrow.svelte';
  import { clock } from '../today';
  import { byDay } from './days';
  import DueList from './DueList.svelte';
  import type { Sort } from './draft';
  import { LogState } from './log.svelte';
  import { keptHere, outbox } from './send.svelte';
  import WriteEntry from './WriteEntry.svelte';

  /** What happened to the machine: by itself and by hand, what waits to be sent, and what is due. */
  const sheet = openSheet();
  const state = new LogState(sheet.head.machineId, sheet.planId);
  const log = $derived(state.log);
  const days = $derived(byDay(log?.entries ?? []));
  const names = $derived(new Map((log?.sorts ?? []).map((s) => [s.sort, s.name])));

  onMount(() => {
    outbox.ontaken = () => state.load();
    void outbox.go();
    return () => {
      outbox.ontaken = () => undefined;
      state.stop();
    };
  });
  // What is asked for follows the search and the filter, and a plan that was saved.
  $effect(() => {
    void state.search;
    void state.sorts;
    untrack(() => state.first());
  });
  $effect(() => {
    if (sheet.saved.state === 'saved') untrack(() => state.load());
  });
  /** Turns the page, and goes to where it begins. */
  const turn = (e: Event, to: () => void) => {
    to();
    const list = (e.currentTarget as HTMLElement).closest<HTMLElement>('.right');
    list?.focus({ preventScroll: true });
    list?.scrollTo({ top: 0 });
    list?.scrollIntoView({ block: 'nearest' });
  };
  const filter = (sort: Sort) =>
    (state.sorts = state.sorts.includes(sort) ? state.sorts.filter((s) => s !== sort) : [...state.sorts, sort]);
</script>

<section aria-label="Log" class="log">
  <div class="left">
    <h1 class="text-[1.45rem]">Log of {sheet.doc.machine.name}</h1>
    {#if log}
      <p class="text-soft">
        {log.hours > 0 ? `${log.hours} h on it` : 'No hours written down yet'}
      </p>
    {/if}
    <WriteEntry {state} />
  </div>
  <div class="due">
    {#if log && log.due.length > 0}<DueList due={log.due} {state} />{/if}
  </div>
  <div class="right" tabindex="-1">
    {#if state.problem}<p role="alert" class="mb-2 border-l-4 border-stop pl-3">{state.problem}</p>{/if}
    {#if state.waiting.length > 0}
      <section aria-label="Waiting" class="mb-3 border-l-4 border-(--brass) pl-3">
        <p class="font-semibold" role="status">
          {state.waiting.length === 1 ? 'One entry waits' : `${state.waiting.length} entries wait`} here until the server
          {keptHere.keeps ? 'is there.' : 'is there. This browser keeps nothing: leave the page open till then.'}
        </p>
        <ul>
          {#each state.waiting as w (w.entry.id)}
            <li class="text-soft">
              {w.entry.title}{#if w.pictures.length > 0}, {w.pictures.length} pictures{/if}
              {#if w.refused}
                <span class="text-stop">was not taken: {w.refused}</span>
                {#if !w.stays}It goes by itself once that is back.{/if}
                <button class="link" onclick={() => outbox.drop(w.entry.id)}>give it up</button>
              {/if}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if state.struck}
      <p class="mb-2 border-l-4 border-brass pl-3" role="status">
        “{state.struck.title}” is struck out. <button class="link" onclick={() => state.bringBack()}>Undo</button>
      </p>
    {/if}
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      <div class="w-56">
        <label class="block text-sm text-soft" for="log-search">Search the log</label>
        <input id="log-search" class="blank" type="search" maxlength="100" bind:value={state.search} />
      </div>
      <p class="flex flex-wrap gap-x-3 text-sm">
        <a class="link min-h-8 content-center" href="/api/machines/{sheet.head.machineId}/log.csv" download>as CSV</a>
        <button class="link min-h-8" onclick={() => window.print()}>print</button>
      </p>
    </div>
    {#if narrow.is}
      <details class="mt-1">
        <summary class="link min-h-11 content-center">only some of it</summary>
        {@render only()}
      </details>
    {:else}
      {@render only()}
    {/if}
    {#each days as d (d.day)}
      <h2 class="caption mt-4">{d.day}</h2>
      <ol>
        {#each d.entries as e (e.id)}
          <li class="entry">
            <span class="text-sm text-soft">{clock(new Date(e.happened))}</span>
            <div class="min-w-0">
              <p>
                <span class="font-semibold">{e.title}</span>
                <span class="text-sm text-soft"
                  >{[names.get(e.sort), e.plan && `plan ${e.plan}`].filter(Boolean).join(', ')}</span
                >
              </p>
              {#if e.detail}<p class="text-[0.94rem] whitespace-pre-line">{e.detail}</p>{/if}
              {#if e.hours && e.title !== `Ran ${e.hours}`}<p class="text-[0.94rem]">Ran {e.hours}</p>{/if}
              {#if e.before}<p class="text-sm text-soft">was: {e.before}</p>{/if}
              {#if e.pictures.length > 0}
                <p class="mt-1 flex flex-wrap gap-2">
                  {#each e.pictures as p, i (p)}
                    <a href="/api/log-pictures/{p}" target="_blank" rel="noreferrer"
                      ><img
                        src="/api/log-pictures/{p}?thumbnail=true"
                        alt="Picture {i + 1} of {e.title}"
                        class="h-20 rounded-[2px]"
                      /></a
                    >
                  {/each}
                </p>
              {/if}
            </div>
            <button
              class="link min-h-8 text-sm print:hidden"
              aria-label="strike out {e.title}"
              onclick={() => state.strike(e)}>strike out</button
            >
          </li>
        {/each}
      </ol>
    {:else}
      {#if log}
        <p class="mt-4 text-soft">
          {state.search || state.sorts.length > 0
            ? 'Nothing of that.'
            : 'Nothing yet. Trials, settings, parts, power-up steps and changes of the plan write themselves down here.'}
        </p>
      {/if}
    {/each}
    {#if log && (log.more || state.offset > 0)}
      <nav aria-label="Pages of the log" class="mt-3 flex flex-wrap items-center gap-x-4 print:hidden">
        <span class="text-sm text-soft"
          >Entries {state.offset + 1} to {state.offset + log.entries.length}, the newest first</span
        >
        {#if state.offset > 0}<button class="button" onclick={(e) => turn(e, () => state.newer())}>Newer</button>{/if}
        {#if log.more}<button class="button" onclick={(e) => turn(e, () => state.older())}>Older</button>{/if}
      </nav>
    {/if}
  </div>
</section>

{#snippet only()}
  <p class="mt-2 flex flex-wrap gap-x-2 gap-y-1" role="group" aria-label="Only these">
    {#each log?.sorts ?? [] as s (s.sort)}
      <button class="chip" aria-pressed={state.sorts.includes(s.sort as Sort)} onclick={() => filter(s.sort as Sort)}
        >{s.name}</button
      >
    {/each}
  </p>
{/snippet}

<style>
  .log {
    display: grid;
    min-height: 100%;
    grid-template-columns: minmax(17rem, 24rem) minmax(0, 1fr);
    grid-template-areas: 'write list' 'due list';
    grid-template-rows: auto 1fr;
  }
  .left,
  .due {
    position: relative;
    grid-area: write;
    padding: 0.9rem 1.1rem 0.5rem;
    border-right: 1px solid var(--rule);
  }
  .due {
    grid-area: due;
    padding-block: 0 2rem;
  }
  .right {
    position: relative;
    grid-area: list;
    min-width: 0;
    padding: 0.9rem 1.1rem 2rem;
    background: var(--card);
  }
  .entry {
    display: grid;
    grid-template-columns: 3rem minmax(0, 1fr) auto;
    gap: 0.6rem;
    align-items: baseline;
    border-bottom: 1px dotted var(--rule);
    padding: 0.5rem 0;
  }
  .chip {
    min-height: 2rem;
    padding: 0 0.6rem;
    border: 1px solid var(--rule);
    border-radius: 3px;
    font-size: 0.9rem;
  }
  @media (width < 40rem) {
    .chip {
      min-height: 2.9rem;
    }
  }
  .chip[aria-pressed='true'] {
    background: var(--ink);
    color: var(--card);
  }
  @media (min-width: 66rem) {
    .log {
      height: 100%;
    }
    .due,
    .right {
      overflow-y: auto;
    }
  }
  @media (max-width: 46rem) {
    .log {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: 'write' 'list' 'due';
      grid-template-rows: auto;
    }
    .left,
    .due {
      border: 0;
    }
  }
  @media print {
    .log {
      display: block;
    }
    .right {
      overflow: visible;
    }
  }
</style>
