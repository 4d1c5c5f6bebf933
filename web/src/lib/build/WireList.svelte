<script lang="ts">
  import Mark from '../ui/Mark.svelte';
  import type { Wiring } from './layout';

  /** The list from terminal to terminal, and what was looked at in it. */
  let { wiring }: { wiring: Wiring } = $props();

  const groups = $derived(
    [...new Set(wiring.wires.map((w) => w.loop))].map((name) => ({
      name,
      wires: wiring.wires.filter((w) => w.loop === name)
    }))
  );
</script>

<div class="min-w-0">
  <h2 class="caption">Looked over</h2>
  <ul class="mt-1">
    {#each wiring.checks as c (c.id)}
      <li class="flex gap-2.5 border-b border-dotted border-rule py-1.5">
        <Mark level={c.ok ? 'good' : 'stop'} size={18} /><span
          >{c.title}<span class="block text-sm text-soft">{c.detail}</span></span
        >
      </li>
    {/each}
  </ul>
  <h2 class="caption mt-4">Terminal to terminal</h2>
  <table class="mt-1 w-full text-[0.94rem]">
    {#each groups as g, n (n)}
      <tbody>
        <tr><th colspan="4" class="pt-2 text-left font-semibold">{g.name}</th></tr>
        {#each g.wires as w (w.n)}
          <tr class="border-b border-dotted border-rule align-top">
            <td class="pr-2 text-soft">{w.n}</td>
            <td class="pr-2 whitespace-nowrap">{w.from}</td>
            <td class="pr-2 whitespace-nowrap">{w.to}</td>
            <td class="text-sm text-soft">{[w.screened ? 'screened' : '', w.note].filter(Boolean).join('; ')}</td>
          </tr>
        {/each}
      </tbody>
    {/each}
  </table>
  <h2 class="caption mt-4">What is what</h2>
  <dl class="mt-1 grid grid-cols-[3rem_1fr] text-[0.94rem]">
    {#each wiring.devices as d (d.id)}<dt class="font-semibold">{d.id}</dt>
      <dd>{d.name}</dd>{/each}
  </dl>
  <p class="mt-2 text-sm text-soft">
    Terminal names are general; the drive's own sheet has its maker's. Unplug, wait and measure before touching. Local
    code and a licensed electrician decide.
  </p>
</div>
