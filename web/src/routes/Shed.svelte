<script lang="ts">
  import { untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { Ask } from '../lib/api/ask.svelte';
  import { api, call, sayProblem, type Workshop } from '../lib/api/client';
  import { prefs } from '../lib/prefs.svelte';
  import FilesBar from '../lib/shed/FilesBar.svelte';
  import MachineRow from '../lib/shed/MachineRow.svelte';
  import NewMachine from '../lib/shed/NewMachine.svelte';
  import ShelfSummary from '../lib/shed/ShelfSummary.svelte';
  import Slate from '../lib/slate/Slate.svelte';
  import Habits from '../lib/ui/Habits.svelte';
  import Finder, { type Deed } from '../lib/ui/Finder.svelte';
  import TopBar from '../lib/ui/TopBar.svelte';

  let said = $state('');
  /** The last deletion, while it can be undone. */
  let deleted = $state<{ words: string; undo: () => Promise<string | undefined> }>();

  const asked = new Ask<Workshop>(
    (signal) => call(() => api.GET('/api/workshop', { params: { query: { units: prefs.units } }, signal })),
    ({ data, problem }) => (said = data ? '' : sayProblem(problem))
  );
  const shed = $derived(asked.answer);
  const load = () => asked.again();
  $effect(() => {
    void prefs.answers;
    untrack(load);
  });
  $effect(() => () => asked.stop());

  const undo = async () => {
    const problem = await deleted?.undo();
    if (problem) said = problem;
    else deleted = undefined;
    load();
  };
  const ondeleted = (words: string, undo: () => Promise<string | undefined>) => {
    deleted = { words, undo };
    load();
  };
  const demo = async () => {
    const { problem } = await call(() => api.POST('/api/demo'));
    if (problem) said = sayProblem(problem);
    load();
  };
  const key = (e: KeyboardEvent) => {
    if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && deleted && !(e.target instanceof HTMLInputElement)) {
      e.preventDefault();
      void undo();
    }
  };
  const deeds = $derived<Deed[]>([
    ...(shed?.machines.flatMap((m) =>
      m.plans.map((p) => ({
        name: `${m.name}, plan ${p.letter}${p.name ? `, ${p.name}` : ''}`,
        group: 'Plans',
        run: () => void push(`/plan/${p.id}`)
      }))
    ) ?? []),
    { name: 'New machine', group: 'Do', run: () => document.getElementById('new-machine')?.focus() },
    {
      name: 'Export the workshop as a file',
      group: 'Do',
      run: () => document.getElementById('export-workshop')?.click()
    },
    { name: 'How to go about it, and the words used here', group: 'Go to', run: () => void push('/how-to') },
    { name: 'Day theme', group: 'Do', run: () => prefs.setTheme('day') },
    { name: 'Night theme', group: 'Do', run: () => prefs.setTheme('night') }
  ]);
</script>

<svelte:window onkeydown={key} />
<svelte:head><title>The shed | Jiriki</title></svelte:head>
<TopBar>
  <h1 class="text-xl">{shed?.name || 'The shed'}</h1>
  {#snippet tools()}<Finder {deeds} />{/snippet}
</TopBar>
<Habits />
<Slate />
<main class="mx-auto max-w-[88rem] px-4 pb-10">
  {#if said}<p role="alert" class="my-3 border-l-4 border-stop bg-card p-3">
      {said} <button class="link" onclick={load}>Try again</button>
    </p>{/if}
  <div aria-live="polite">
    {#if deleted}
      <p class="my-3 border-l-4 border-brass bg-card p-3">
        {deleted.words} <button class="link" onclick={undo}>Undo</button>
      </p>
    {/if}
  </div>
  {#if shed}
    {#if shed.machines.length === 0}
      <section class="mx-auto mt-12 max-w-2xl">
        <h2 class="text-4xl">What machine, and what must it do?</h2>
        <p class="mt-3 text-lg text-soft">
          A motor out of something else, a control, a few pulleys: will it do the jobs, and what must be set, bought,
          wired and watched? Start with the machine.
        </p>
        <div class="mt-6"><NewMachine large /></div>
        <p class="mt-8">
          <a class="link" href="#/how-to">How to go about it</a> is told on one page. Or look round first:
          <button class="link" onclick={demo}>load Quarry Lane shed</button>, a made-up workshop with four retrofits.
        </p>
      </section>
    {:else}
      {#each shed.machines as m (m.id)}<MachineRow {m} onchanged={load} {ondeleted} onsaid={(t) => (said = t)} />{/each}
      <div class="mt-6 grid gap-8 md:grid-cols-2">
        <section>
          <h2 class="caption">Another machine</h2>
          <div class="mt-2"><NewMachine /></div>
        </section>
        <ShelfSummary shelf={shed.shelf} />
      </div>
    {/if}
    <FilesBar onimported={load} />
  {/if}
</main>
