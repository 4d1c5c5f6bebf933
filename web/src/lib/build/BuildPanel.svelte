<script lang="ts">
  import Segments from '../ui/Segments.svelte';
  import { followBuild } from './build.svelte';
  import { openSheet } from '../sheet/context';
  import BillTable from './BillTable.svelte';
  import Drawing from './Drawing.svelte';
  import Approaches from './Approaches.svelte';
  import WireList from './WireList.svelte';

  /** What it takes to build the plan: wiring, parts, and other ways. */
  const sheet = openSheet();

  let tab = $state<'wiring' | 'parts' | 'ways'>('wiring');

  const build = $derived(sheet.build.answer);
  const problem = $derived(sheet.build.problem);
  followBuild(sheet);
</script>

<section aria-label="Wiring and building" class="p-4">
  <div class="flex flex-wrap items-center justify-between gap-3">
    <h1 class="text-[1.45rem]">Wire it and build it</h1>
    <Segments
      label="What to show"
      value={tab}
      options={[
        ['wiring', 'wiring'],
        ['parts', 'parts'],
        ['ways', 'other ways']
      ]}
      onchange={(v) => (tab = v)}
    />
    <p class="flex gap-5">
      <a class="link" href="#/plan/{sheet.planId}/build">print it</a>
    </p>
  </div>
  {#if problem}<p role="alert" class="mt-2 text-stop">{problem}</p>{/if}
  {#if build}
    {#if build.blocked}
      <p class="mt-2 border-l-4 border-stop pl-3" role="status">
        <span class="font-semibold">Do not power it yet.</span>
        {build.blocked}
      </p>
    {/if}
    {#if tab === 'wiring'}
      {#if build.wiring.known}
        <div class="mt-3 grid gap-6 xl:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
          <div class="min-w-0 max-sm:order-last"><Drawing wiring={build.wiring} /></div>
          <WireList wiring={build.wiring} />
        </div>
      {:else}
        <p class="mt-4 text-soft">
          Supply, control and motor must be filled in and belong together before there is anything to wire.
        </p>
      {/if}
    {:else if tab === 'parts'}
      <div class="mt-3 grid gap-x-8 gap-y-5 lg:grid-cols-2">
        <BillTable title="Take from the shelf" bill={build.take} ticked />
        <BillTable title="Buy" bill={build.buy} ticked />
        <div>
          <h2 class="caption">Make</h2>
          <ul class="mt-1">
            {#each build.make as m (m.id)}
              <li class="border-b border-dotted border-rule py-1.5">
                <label class="flex gap-2.5"
                  ><input
                    type="checkbox"
                    class="mt-0.5 size-5 flex-none accent-(--iron)"
                    checked={sheet.checkOf(m.id) !== undefined}
                    onchange={(e) => sheet.check(m.id, e.currentTarget.checked)}
                  /><span>{m.what}<span class="block text-sm text-soft">{m.why}</span></span></label
                >
              </li>
            {:else}
              <li class="py-1.5 text-soft">
                Nothing, as far as the plan tells: put in shafts and bores on the reduction's bench.
              </li>
            {/each}
          </ul>
        </div>
      </div>
    {:else}
      <Approaches {build} />
    {/if}
  {/if}
</section>
