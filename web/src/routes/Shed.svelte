<script lang="ts">
  import { untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { Ask } from '../lib/api/ask.svelte';
  import { api, call, sayProblem, type Workshop } from '../lib/api/client';
  import { prefs } from '../lib/prefs.svelte';
  import FilesBar from '../lib/shed/FilesBar.svelte';
  import LastEntries from '../lib/shed/LastEntries.svelte';
  import MachineRow from '../lib/shed/MachineRow.svelte';
  import Questions from '../lib/first/Questions.svelte';
  import Toy from '../lib/first/Toy.svelte';
  import ShelfSummary from '../lib/shed/ShelfSummary.svelte';
  import Slate from '../lib/slate/Slate.svelte';
  import Habits from '../lib/ui/Habits.svelte';
  import Finder from '../lib/ui/Finder.svelte';
  import type { Deed } from '../lib/ui/find';
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
      <div class="mt-6 grid gap-x-12 gap-y-8 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)]">
        <section aria-labelledby="begin">
          <h2 id="begin" class="text-3xl">Will this motor do what the machine must?</h2>
          <p class="mt-1 text-soft">Four questions make a plan. The first is enough; the rest can wait.</p>
          <div class="mt-3"><Questions large /></div>
        </section>
        <section aria-labelledby="play">
          <h2 id="play" class="text-3xl">Or play with one first</h2>
          <p class="mt-1 text-soft">
            A potter’s wheel on a salvaged motor. A larger pulley pulls harder and turns slower; the jobs say how much
            of each is enough.
          </p>
          <div class="mt-3"><Toy /></div>
          <p class="mt-4 border-t border-rule pt-3">
            <button class="link" onclick={demo}>Load Quarry Lane shed</button>, a made-up workshop with four retrofits,
            or read <a class="link" href="#/how-to">how to go about it</a>.
          </p>
        </section>
      </div>
    {:else}
      {#each shed.machines as m (m.id)}<MachineRow {m} onchanged={load} {ondeleted} onsaid={(t) => (said = t)} />{/each}
      <div class="mt-6 grid gap-8 md:grid-cols-2">
        <section>
          <h2 class="caption">Another machine</h2>
          <div class="mt-2"><Questions /></div>
        </section>
        <div class="flex flex-col gap-8">
          <ShelfSummary shelf={shed.shelf} />
          <LastEntries />
        </div>
      </div>
    {/if}
    <FilesBar onimported={load} />
  {/if}
</main>
