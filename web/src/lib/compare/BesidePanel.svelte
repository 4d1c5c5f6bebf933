<script lang="ts">
  import { untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { api, call, sayProblem } from '../api/client';
  import { curveOf } from '../rank/curve';
  import SideBySide from '../rank/SideBySide.svelte';
  import { stock } from '../shelf/stock.svelte';
  import { openSheet } from '../sheet/context';
  import { BesideState, lent, nameOf, type Lent } from './compare.svelte';

  /** Two or three plans of one machine beside each other. */
  const sheet = openSheet();
  const beside = new BesideState(sheet);
  const b = $derived(beside.answer);
  $effect(() => {
    void sheet.question;
    untrack(() => void beside.ask());
  });
  $effect(() => () => beside.stop());

  $effect(() => untrack(() => stock.load()));
  const vary = (e: Event & { currentTarget: HTMLSelectElement }) => {
    const [from, id = '', station] = e.currentTarget.value.split(' ');
    const other = beside.others.find((p) => p.id === id);
    if (from === 'shelf') void beside.withPart(id, stock.parts.find((p) => p.id === id)?.name ?? '');
    else if (other) void beside.withOf(other, station as Lent);
    e.currentTarget.value = '';
  };

  const curves = $derived(
    (b?.sides ?? []).map((side) => ({
      name: side.name.length === 1 ? `plan ${side.name}` : side.name,
      spread: 0,
      points: curveOf(side.reach.positions)
    }))
  );
  const copy = async () => {
    const { data, problem } = await call(() =>
      api.POST('/api/plans/{id}/copy', { params: { path: { id: sheet.planId } }, body: { name: sheet.doc.plan.name } })
    );
    if (data) await push(`/plan/${data.id}`);
    else beside.problem = sayProblem(problem);
  };
</script>

<section aria-label="Plans beside each other">
  <div class="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2 border-b border-rule bg-card px-4 py-3">
    <h1 class="text-[1.6rem]" aria-live="polite">{b?.headline ?? 'Plans beside each other'}</h1>
    <div class="flex flex-wrap items-center gap-x-4" role="group" aria-label="Beside it" data-screen>
      {#each beside.others as p (p.id)}
        {@const on = beside.chosen.includes(p.id)}
        <label class="flex min-h-8 items-center gap-2"
          ><input
            type="checkbox"
            class="size-5 accent-(--iron)"
            checked={on}
            disabled={!on && beside.full}
            onchange={(e) => beside.choose(p.id, e.currentTarget.checked)}
          />{nameOf(p)}</label
        >
      {/each}
      {#each beside.variations as v (v.id)}
        <label class="flex min-h-8 items-center gap-2"
          ><input type="checkbox" class="size-5 accent-(--iron)" checked onchange={() => beside.without(v.id)} />with {v.name}</label
        >
      {/each}
      <select class="blank w-auto! min-w-56" aria-label="This plan with another part" value="" onchange={vary}>
        <option value="">this plan with another part</option>
        {#each [['motor', 'Motors on the shelf'], ['control', 'Controls on the shelf']] as const as [sort, title] (sort)}
          {#if stock.of(sort).length > 0}
            <optgroup label={title}>
              {#each stock.of(sort) as p (p.id)}<option value="shelf {p.id}">{p.name}</option>{/each}
            </optgroup>
          {/if}
        {/each}
        {#each beside.others as p (p.id)}
          <optgroup label="From {nameOf(p)}">
            {#each lent as station (station)}<option value="plan {p.id} {station}">{p.letter}’s {station}</option
              >{/each}
          </optgroup>
        {/each}
      </select>
    </div>
  </div>
  {#if beside.unanswered}<p role="alert" class="px-4 pt-2 text-stop">{beside.unanswered}</p>{/if}
  {#if beside.sides.length === 1}
    <p class="p-4">
      {beside.others.length === 0 ? 'This machine has one plan.' : 'It stands alone.'}
      <button class="link" onclick={copy}>Copy it</button>, change the copy, and see the two beside each other, or see
      it with another motor or control off the shelf.
    </p>
  {:else if b}
    <div class="grid grid-cols-[minmax(0,1fr)] gap-6 p-4 xl:grid-cols-2">
      <div class="min-w-0">
        <h2 class="caption mb-2">All-day torque at the spindle</h2>
        <SideBySide units={b.units} jobs={b.jobs} {curves} />
      </div>
      <div class="min-w-0 overflow-x-auto">
        <h2 class="caption">Where they differ</h2>
        <table class="w-full text-left">
          <thead>
            <tr class="border-b border-ink">
              <td></td>
              {#each beside.sides as p (p.id)}<th scope="col" class="p-2 font-head text-[1.1rem]">{p.name}</th>{/each}
            </tr>
          </thead>
          <tbody>
            {#each b.rows as r, i (r.label)}
              {#if !r.differs && (i === 0 || b.rows[i - 1]?.differs)}
                <tr><th scope="colgroup" colspan={b.sides.length + 1} class="caption pt-4 pl-2">Alike</th></tr>
              {/if}
              <tr class="border-b border-dotted border-rule align-top">
                <th scope="row" class="p-2 font-normal text-soft">{r.label}</th>
                {#each r.cells as c, k (k)}
                  <td class="p-2" class:font-semibold={c.better}
                    >{c.text}{#if c.better}<span class="ml-1.5 text-sm text-good">better</span>{/if}</td
                  >
                {/each}
              </tr>
            {/each}
            <tr>
              <td></td>
              {#each beside.sides as p (p.id)}
                <td class="p-2">
                  {#if p.variation}
                    {@const v = p.variation}
                    <button class="link" onclick={() => beside.take(v)}>take it into plan {p.letter}</button>
                  {:else if p.id === sheet.planId}
                    <button class="link" onclick={() => sheet.show('')}>carry on with this one</button>
                  {:else}<a class="link" href="#/plan/{p.id}">carry on with {p.letter}</a>{/if}
                </td>
              {/each}
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  {/if}
</section>
