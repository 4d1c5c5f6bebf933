<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import { prefs } from '../prefs.svelte';

  /** What usually holds what, here: what to expect, what else to take, what can hurt. */
  let search = $state('');
  const kindName = (kind: string) => catalogue.motor(kind)?.name ?? kind;
  const kinds = (d: Donor) =>
    holds(d)
      .map(kindName)
      .map((name, i) => (i ? name.charAt(0).toLowerCase() + name.slice(1) : name))
      .join('; else ');
  type Donor = (typeof catalogue.donors)[number];
  const holds = (d: Donor) => d.in.find((r) => r.region === prefs.region)?.holds ?? d.holds;
  const found = $derived(
    catalogue.donors.filter((d) =>
      `${d.name} ${holds(d).map(kindName).join(' ')} ${d.take.join(' ')}`
        .toLowerCase()
        .includes(search.trim().toLowerCase())
    )
  );
</script>

<div class="flex flex-wrap items-end gap-4">
  <h2 class="w-full text-[1.45rem]">What holds what</h2>
  <div>
    <label for="donor-region" class="block text-sm text-soft">Where you are</label>
    <select
      id="donor-region"
      class="blank"
      value={prefs.region}
      onchange={(e) => prefs.setRegion(e.currentTarget.value)}
    >
      {#each catalogue.regions as r (r.id)}<option value={r.id}>{r.name}</option>{/each}
    </select>
  </div>
  <div>
    <label for="donor-search" class="block text-sm text-soft">Machine, motor or part</label>
    <input id="donor-search" class="blank" type="search" bind:value={search} placeholder="universal" />
  </div>
</div>
<ul class="mt-3 grid gap-x-10 lg:grid-cols-2">
  {#each found as d (d.id)}
    <li class="border-b border-rule py-3">
      <h3 class="text-lg">{d.name}</h3>
      <p class="font-semibold">{kinds(d)}</p>
      <p>{d.expect}</p>
      <p class="mt-1 text-[0.94rem]"><span class="caption">Take too</span> {d.take.join(', ')}.</p>
      <p class="mt-1 text-[0.94rem] text-stop"><span class="caption text-stop!">Can hurt</span> {d.hurts.join(' ')}</p>
    </li>
  {:else}
    <li class="py-3 text-soft">Nothing by that name. Any machine may be opened with the plug cut off first.</li>
  {/each}
</ul>
