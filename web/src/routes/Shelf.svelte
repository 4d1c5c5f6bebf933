<script lang="ts">
  import { untrack } from 'svelte';
  import { push, replace } from 'svelte-spa-router';
  import { api, call, sayProblem, type ShelfEntry, type ShelfItem } from '../lib/api/client';
  import { catalogue } from '../lib/catalogue.svelte';
  import { prefs } from '../lib/prefs.svelte';
  import Donors from '../lib/shelf/Donors.svelte';
  import ItemEditor from '../lib/shelf/ItemEditor.svelte';
  import { ItemState } from '../lib/shelf/item.svelte';
  import { nameOf, sorts, states, summaryOf } from '../lib/shelf/words';
  import Finder, { type Deed } from '../lib/ui/Finder.svelte';
  import TopBar from '../lib/ui/TopBar.svelte';

  let { params }: { params?: { id?: string } } = $props();

  let entries = $state<ShelfEntry[]>();
  let said = $state('');
  let open = $state.raw<ItemState>();
  let removed = $state<ShelfEntry>();
  const donors = $derived(params?.id === 'donors');

  const load = async () => {
    const { data, problem } = await call(() => api.GET('/api/shelf'));
    if (data) entries = data;
    said = data ? '' : sayProblem(problem);
  };
  $effect(() => untrack(() => void load()));

  $effect(() => {
    const id = params?.id;
    const loaded = entries !== undefined;
    untrack(() => {
      open?.close();
      const entry = loaded ? entries?.find((e) => e.item.id === id) : undefined;
      open = entry && new ItemState($state.snapshot(entry), (item) => (entry.item = item));
      if (loaded && id && !entry && !donors) said = 'That part is not here; it may have been taken off the shelf.';
    });
    return () => untrack(() => open?.close());
  });
  $effect(() => {
    void prefs.units;
    void untrack(() => open)?.check();
  });

  const add = async (sort: ShelfItem['sort']) => {
    const blank = $state.snapshot(catalogue.blankItem);
    if (!blank) return;
    const item = { ...blank, sort };
    const { data, problem } = await call(() => api.POST('/api/shelf', { body: item }));
    if (!data) return void (said = sayProblem(problem));
    entries?.push({ item: { ...item, id: data.id }, version: 1, pictures: [] });
    await push(`/shelf/${data.id}`);
  };
  const remove = async (item: ShelfItem) => {
    open?.close();
    const { problem } = await call(() => api.DELETE('/api/shelf/{id}', { params: { path: { id: item.id } } }));
    if (problem) return void (said = sayProblem(problem));
    removed = entries?.find((e) => e.item.id === item.id);
    entries = entries?.filter((e) => e.item.id !== item.id);
    await replace('/shelf');
  };
  const putBack = async () => {
    if (!removed) return;
    const { problem } = await call(() => api.POST('/api/shelf/{id}/restore', { params: { path: { id: removed?.item.id ?? '' } } }));
    if (problem) return void (said = sayProblem(problem));
    removed = undefined;
    await load();
  };
  const stateWords = (s: string) => states.find(([id]) => id === s)?.[1] ?? states[0][1];
  const deeds = $derived<Deed[]>([
    ...(entries ?? []).map((e) => ({ name: nameOf(e.item), group: 'On the shelf', run: () => void push(`/shelf/${e.item.id}`) })),
    { name: 'Add a motor', group: 'Do', run: () => void add('motor') },
    { name: 'What is it? Name a motor by what can be seen', group: 'Go to', run: () => void push('/what-is-it') },
    { name: 'What holds what', group: 'Go to', run: () => void push('/shelf/donors') },
    { name: 'The shed', group: 'Go to', run: () => void push('/') }
  ]);
</script>

<svelte:head><title>The shelf | Jiriki</title></svelte:head>
<TopBar>
  <h1 class="text-xl">The shelf</h1>
  {#snippet tools()}<Finder {deeds} />{/snippet}
</TopBar>
<main class="grid md:grid-cols-[minmax(15rem,19rem)_minmax(0,1fr)]">
  <nav
    aria-label="Parts on the shelf"
    class="px-4 pt-4 pb-6 md:block md:min-h-[calc(100vh-3.2rem)] md:border-r md:border-rule {params?.id ? 'hidden' : ''}"
  >
    {#if said}<p role="alert" class="mb-3 border-l-4 border-stop pl-3">
        {said} <button class="link" onclick={load}>Try again</button>
      </p>{/if}
    <div aria-live="polite">
      {#if removed}
        <p class="mb-3 border-l-4 border-brass pl-3">
          {nameOf(removed.item)} is off the shelf. <button class="link" onclick={putBack}>Put it back</button>
        </p>
      {/if}
    </div>
    <p class="flex flex-wrap gap-x-4 gap-y-1">
      <button class="button primary" onclick={() => add('motor')}>Add a motor</button>
      <a class="link self-center" href="#/what-is-it">what is it?</a>
      <a class="link self-center" href="#/shelf/donors" aria-current={donors ? 'page' : undefined}>what holds what</a>
    </p>
    {#each sorts as [sort, plural] (sort)}
      {@const here = (entries ?? []).filter((e) => e.item.sort === sort)}
      <section class="mt-4">
        <h2 class="caption flex items-baseline justify-between">
          {plural}
          {#if sort !== 'motor'}<button class="link font-body text-sm tracking-normal normal-case" onclick={() => add(sort)}>add one</button
            >{/if}
        </h2>
        <ul>
          {#each here as e (e.item.id)}
            <li class="border-b border-dotted border-rule">
              <a
                href="#/shelf/{e.item.id}"
                class="flex min-h-12 items-center gap-3 py-1.5 hover:underline"
                aria-current={e.item.id === params?.id ? 'page' : undefined}
              >
                {#if e.pictures[0]}<img
                    src="/api/pictures/{e.pictures[0]}?thumbnail=true"
                    alt=""
                    class="size-11 flex-none object-cover"
                  />{/if}
                <span class="min-w-0 flex-1">
                  <span class:font-semibold={e.item.id === params?.id}>{nameOf(e.item)}</span>
                  <span class="block text-sm text-soft">{[summaryOf(e.item), stateWords(e.item.state)].filter(Boolean).join(', ')}</span>
                </span>
              </a>
            </li>
          {:else}
            <li class="py-1 text-sm text-soft">none</li>
          {/each}
        </ul>
      </section>
    {/each}
  </nav>
  <div class="min-w-0 p-4 pb-10 md:px-6">
    {#if params?.id}<a class="link mb-2 inline-block md:hidden" href="#/shelf">all parts</a>{/if}
    {#if donors}
      <Donors />
    {:else if open}
      {#key open}<ItemEditor state={open} onremove={() => open && void remove(open.item)} />{/key}
    {:else}
      <p class="max-w-prose text-lg text-soft">
        What is on hand: motors with their plates and readings, controls, pulleys, belts. Choose one to open it, or add a motor. One with no
        plate at all? <a class="link" href="#/what-is-it">Find out what it is</a>.
      </p>
      <section class="mt-8 max-md:hidden"><Donors /></section>
    {/if}
  </div>
</main>
