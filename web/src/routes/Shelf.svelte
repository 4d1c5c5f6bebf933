<script lang="ts">
  import { untrack } from 'svelte';
  import { push, replace } from 'svelte-spa-router';
  import { Ask } from '../lib/api/ask.svelte';
  import { api, call, sayProblem, type ShelfEntry, type ShelfLabel } from '../lib/api/client';
  import { prefs } from '../lib/prefs.svelte';
  import AddPart from '../lib/shelf/AddPart.svelte';
  import Donors from '../lib/shelf/Donors.svelte';
  import ItemEditor from '../lib/shelf/ItemEditor.svelte';
  import { ItemState } from '../lib/shelf/item.svelte';
  import { setOnShelf, stock } from '../lib/shelf/stock.svelte';
  import { sorts, states } from '../lib/shelf/words';
  import Finder from '../lib/ui/Finder.svelte';
  import type { Deed } from '../lib/ui/find';
  import TopBar from '../lib/ui/TopBar.svelte';

  let { params }: { params?: { id?: string } } = $props();

  let said = $state('');
  let open = $state.raw<ItemState>();
  let removed = $state.raw<ShelfLabel>();
  const donors = $derived(params?.id === 'donors');
  $effect(() => untrack(() => stock.load()));

  const asked = new Ask<ShelfEntry>(
    (signal) => call(() => api.GET('/api/shelf/{id}', { params: { path: { id: params?.id ?? '' } }, signal })),
    async ({ data, problem }) => {
      const id = params?.id ?? '';
      const opened = data ? await ItemState.open(data) : ItemState.unsaved(id);
      if (params?.id !== id) return opened?.close();
      open = opened;
      const gone = problem?.status === 404 || problem?.status === 422;
      said = opened ? '' : gone ? 'That part is not here; it may have been taken off the shelf.' : sayProblem(problem);
    }
  );
  $effect(() => {
    if (params?.id && !donors) untrack(() => asked.instead());
    return () => {
      asked.stop();
      open?.close();
      open = undefined;
    };
  });
  $effect(() => {
    void prefs.answers;
    untrack(() => open)?.check();
  });

  const load = () => {
    said = '';
    stock.load();
    if (params?.id && !donors) asked.instead();
  };
  /** The sort a part is being named of. */
  let adding = $state<ShelfLabel['sort']>();
  let put = $state('');
  const added = async (ids: string[]) => {
    adding = undefined;
    stock.load();
    put = ids.length > 1 ? `${ids.length} parts are on the shelf.` : '';
    if (ids.length === 1) await push(`/shelf/${ids[0]}`);
  };
  const remove = async (item: ItemState) => {
    const label = stock.parts.find((p) => p.id === item.id);
    item.close();
    said = await setOnShelf(item.id, false);
    if (said) return;
    removed = label;
    await replace('/shelf');
  };
  const putBack = async () => {
    if (!removed) return;
    said = await setOnShelf(removed.id, true);
    if (!said) removed = undefined;
  };
  const stateWords = (s: string) => states.find(([id]) => id === s)?.[1] ?? states[0][1];
  const deeds = $derived<Deed[]>([
    ...stock.parts.map((p) => ({ name: p.name, group: 'On the shelf', run: () => void push(`/shelf/${p.id}`) })),
    { name: 'Add a motor', group: 'Do', run: () => void (adding = 'motor') },
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
<main class="shelf grid md:grid-cols-[minmax(15rem,19rem)_minmax(0,1fr)]">
  <nav
    aria-label="Parts on the shelf"
    class="pane px-4 pt-4 pb-6 md:block md:border-r md:border-rule {params?.id ? 'hidden' : ''}"
  >
    {#if said}<p role="alert" class="mb-3 border-l-4 border-stop pl-3">
        {said} <button class="link" onclick={load}>Try again</button>
      </p>{/if}
    <div aria-live="polite">
      {#if removed}
        <p class="mb-3 border-l-4 border-brass pl-3">
          {removed.name} is off the shelf. <button class="link" onclick={putBack}>Put it back</button>
        </p>
      {/if}
      {#if put}<p class="mb-3 border-l-4 border-good pl-3">{put}</p>{/if}
    </div>
    <p class="flex flex-wrap gap-x-4 gap-y-1">
      <button class="button primary" onclick={() => (adding = 'motor')}>Add a motor</button>
      <a class="link self-center" href="#/what-is-it">what is it?</a>
      <a class="link self-center" href="#/shelf/donors" aria-current={donors ? 'page' : undefined}>what holds what</a>
    </p>
    {#each sorts as [sort, plural] (sort)}
      {@const here = stock.of(sort)}
      <section class="mt-4">
        <h2 class="caption flex items-baseline justify-between">
          {plural}
          {#if sort !== 'motor'}<button
              class="link font-body text-sm tracking-normal normal-case"
              onclick={() => (adding = sort)}>add{sort === 'pulley' || sort === 'belt' ? ' some' : ' one'}</button
            >{/if}
        </h2>
        {#if adding === sort}<AddPart {sort} {added} cancel={() => (adding = undefined)} />{/if}
        <ul>
          {#each here as p (p.id)}
            <li class="part border-b border-dotted border-rule">
              <a
                href="#/shelf/{p.id}"
                class="flex min-h-12 items-center gap-3 py-1.5 hover:underline"
                aria-current={p.id === params?.id ? 'page' : undefined}
              >
                {#if p.picture}<img
                    src="/api/pictures/{p.picture}?thumbnail=true"
                    alt=""
                    class="size-11 flex-none object-cover"
                  />{/if}
                <span class="min-w-0 flex-1">
                  <span class:font-semibold={p.id === params?.id}>{p.name}</span>
                  <span class="block text-sm text-soft">{[p.says, stateWords(p.state)].filter(Boolean).join(', ')}</span
                  >
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
  <div class="pane min-w-0 p-4 pb-10 md:px-6">
    {#if params?.id}<a class="link mb-2 inline-block md:hidden" href="#/shelf">all parts</a>{/if}
    {#if donors}
      <Donors />
    {:else if open}
      {#key open}<ItemEditor state={open} onremove={() => open && void remove(open)} />{/key}
    {:else}
      <p class="max-w-prose text-lg text-soft">
        What is on hand: motors with their plates and readings, controls, pulleys, belts. Choose one to open it, or add
        a motor. One with no plate at all? <a class="link" href="#/what-is-it">Find out what it is</a>.
      </p>
      <section class="mt-8 max-md:hidden"><Donors /></section>
    {/if}
  </div>
</main>

<style>
  /* However long the list, what is open stands beside it. */
  @media (width >= 48rem) {
    .shelf {
      height: calc(100vh - 3.2rem);
    }
    .pane {
      overflow-y: auto;
    }
  }
  /* A shelf of a thousand parts is laid out only where it is looked at. */
  .part {
    content-visibility: auto;
    contain-intrinsic-size: auto 3.6rem;
  }
</style>
