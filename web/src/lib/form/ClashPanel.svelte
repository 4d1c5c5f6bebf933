<script lang="ts" generics="T extends object, V">
  import { SvelteSet } from 'svelte/reactivity';
  import type { Clash } from './merge';
  import { wordsOf } from './path';
  import type { SavedDoc } from './saved.svelte';

  /** What was changed both here and in another window, field by field. */
  let { saved, what }: { saved: SavedDoc<T, V>; what: string } = $props();

  const taken = new SvelteSet<string>();
  const shown = (v: unknown): string => {
    if (Array.isArray(v)) return v.length === 1 ? 'a list of one' : `a list of ${v.length}`;
    if (typeof v === 'boolean') return v ? 'ticked' : 'not ticked';
    if (v === undefined || v === null || v === '') return 'empty';
    return typeof v === 'object' ? 'filled in otherwise' : String(v);
  };
  const settle = (theirs: (path: string) => boolean) => {
    saved.settle(theirs);
    taken.clear();
  };
  const sides = (c: Clash) =>
    [
      ['mine', c.mine, false],
      ['theirs', c.theirs, true]
    ] as const;
</script>

{#if saved.state === 'conflict'}
  <section role="alert" class="w-full border border-stop bg-paper px-4 py-3" aria-label="Changed elsewhere">
    <p class="font-semibold">
      This {what} was changed in another window too. {saved.clashes.length === 1
        ? 'One field differs.'
        : `${saved.clashes.length} fields differ.`}
    </p>
    <p class="text-sm text-soft">
      Everything else is put together already. Nothing you typed here is lost; the choice can be undone.
    </p>
    <ul class="mt-2 max-h-[40vh] overflow-y-auto">
      {#each saved.clashes as c, i (c.path)}
        <li class="border-t border-dotted border-rule py-2">
          <fieldset
            class="grid items-center gap-x-4 gap-y-1 md:grid-cols-[minmax(8rem,15rem)_minmax(0,22rem)_minmax(0,22rem)]"
          >
            <legend class="float-left font-semibold md:contents"
              ><span>{wordsOf(c.path) || `the whole ${what}`}</span></legend
            >
            {#each sides(c) as [side, value, theirs] (side)}
              <label class="flex min-h-10 items-center gap-2.5">
                <input
                  type="radio"
                  class="size-5 flex-none accent-(--iron)"
                  name="clash-{i}"
                  checked={taken.has(c.path) === theirs}
                  onchange={() => (theirs ? taken.add(c.path) : taken.delete(c.path))}
                />
                <span class="min-w-0 wrap-anywhere"
                  ><span class="text-soft">{theirs ? 'there' : 'here'}</span> {shown(value)}</span
                >
              </label>
            {/each}
          </fieldset>
        </li>
      {/each}
    </ul>
    <p class="mt-2 flex flex-wrap gap-3">
      <button class="button primary" onclick={() => settle((path) => taken.has(path))}>Save it so</button>
      <button class="button" onclick={() => settle(() => false)}>Keep all of mine</button>
      <button class="button" onclick={() => settle(() => true)}>Take all of the other</button>
    </p>
  </section>
{/if}
