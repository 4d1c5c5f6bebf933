<script lang="ts">
  import { hintFor } from '../form/hints';
  import Quantity from '../form/Quantity.svelte';
  import { readTag } from '../form/units';
  import { prefs } from '../prefs.svelte';
  import { openSheet } from '../sheet/context';
  import { families, type SearchState } from './search.svelte';

  /** What a search may use and how much room there is. */
  let { search }: { search: SearchState } = $props();

  const sheet = openSheet();
  const stages = $derived(sheet.doc.plan.reduction.stages.length);
  const flip = (kind: string, on: boolean) => {
    const kinds = on ? [...search.kinds, kind] : search.kinds.filter((k) => k !== kind);
    if (kinds.length > 0 && kinds.length <= 3) search.ask.kinds = kinds as typeof search.ask.kinds;
  };
  const lengths = [
    ['centreMax', 'Most between shafts', '700 mm'],
    ['centreMin', 'Least between shafts', 'none'],
    ['largest', 'Largest wheel', '400 mm']
  ] as const;
</script>

<details class="mt-1">
  <summary class="link min-h-8 cursor-pointer py-1">Bounds: belts, room, what stays</summary>
  <fieldset class="mt-1">
    <legend class="text-sm text-soft">Belts and chains, up to three</legend>
    <div class="grid grid-cols-2">
      {#each families as [kind, words] (kind)}
        <label class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            class="size-5 accent-(--iron)"
            checked={search.kinds.includes(kind)}
            disabled={!search.kinds.includes(kind) && search.kinds.length >= 3}
            onchange={(e) => flip(kind, e.currentTarget.checked)}
          />
          {words}
        </label>
      {/each}
    </div>
  </fieldset>
  <div class="mt-2 grid grid-cols-2 gap-2">
    {#each lengths as [key, words, hint] (key)}
      {@const error = search.errors[`ask.${key}`]}
      <div class="text-sm text-soft">
        <label for="bounds-{key}">{words}</label>
        <Quantity
          id="bounds-{key}"
          value={search.ask[key]}
          beside={readTag('mm|in', prefs.units)}
          hint={hintFor(hint, prefs.units, prefs.region)}
          invalid={!!error}
          onchange={(text) => (search.ask[key] = text)}
        />
        {#if error}<span class="block text-stop">{error}</span>{/if}
      </div>
    {/each}
    <label class="block text-sm text-soft"
      >Stages to put in
      <select class="blank" bind:value={search.ask.stages}
        ><option value={1}>one</option><option value={2}>one or two</option></select
      ></label
    >
    {#if stages > 0}
      <label class="col-span-2 block text-sm text-soft"
        >Keep as they are, at the spindle's end
        <select class="blank" bind:value={search.ask.keep}>
          {#each Array.from({ length: stages + 1 }, (_, n) => n) as n (n)}
            <option value={n}>{n === 0 ? 'no stage' : n === 1 ? 'the last stage' : `the last ${n} stages`}</option>
          {/each}
        </select></label
      >
    {/if}
  </div>
  <label class="mt-1 flex min-h-10 items-center gap-2"
    ><input type="checkbox" class="size-5 accent-(--iron)" bind:checked={search.ask.cones} /> Cones of two and three steps
    too</label
  >
  {#if search.errors['ask.cones']}<p class="text-sm text-stop">{search.errors['ask.cones']}</p>{/if}
  <p class="mb-1 text-sm text-soft">
    Practice disagrees: with an adjustable motor some keep the machine's cone, for torque at the slow end; others take
    one ratio and never move a belt. Both are looked at.
  </p>
  <label class="flex min-h-10 items-center gap-2"
    ><input type="checkbox" class="size-5 accent-(--iron)" bind:checked={search.ask.fromShelf} /> Only wheels from the shelf</label
  >
</details>
