<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { inWords } from '../region';
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';
  import type { Wiring } from './layout';

  /** The list from terminal to terminal, and what was looked at in it. */
  let { wiring }: { wiring: Wiring } = $props();

  const sheet = openSheet();
  const nameOf = (end: string) => {
    const id = end.split(':')[0];
    return wiring.devices.find((d) => d.id === id)?.name ?? id;
  };
  const groups = $derived(
    [...new Set(wiring.wires.map((w) => w.loop))].map((name) => ({
      name,
      wires: wiring.wires.filter((w) => w.loop === name)
    }))
  );
</script>

<div class="min-w-0">
  <div class="flex flex-col">
    <div class="max-sm:order-last max-sm:mt-4">
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
    </div>
    <div>
      <h2 class="caption mt-4">Terminal to terminal</h2>
      {#each groups as g, n (n)}
        <h3 class="pt-2 font-semibold">{inWords(g.name, prefs.region)}</h3>
        <ul>
          {#each g.wires as w (w.n)}
            {@const id = `wire.${w.from}-${w.to}`}
            <li class="border-b border-dotted border-rule">
              <label class="flex min-h-11 items-start gap-2.5 py-1.5">
                <input
                  type="checkbox"
                  class="mt-0.5 size-5 flex-none accent-(--iron)"
                  aria-label="Wire {w.n}, {w.from} to {w.to}, is on"
                  checked={sheet.checkOf(id) !== undefined}
                  onchange={(e) => sheet.check(id, e.currentTarget.checked)}
                />
                <span class="min-w-0 flex-1">
                  <span class="text-soft">{w.n}</span>
                  {w.from} <span aria-label="to">→</span>
                  {w.to}
                  <span class="block text-sm text-soft">{[w.size, w.colour, w.note].filter(Boolean).join('; ')}</span>
                  <span class="text-sm text-soft sm:hidden">{nameOf(w.from)} to {nameOf(w.to)}</span>
                </span>
              </label>
            </li>
          {/each}
        </ul>
      {/each}
    </div>
  </div>
  <h2 class="caption mt-4">What is what</h2>
  <dl class="mt-1 grid grid-cols-[3rem_1fr] text-[0.94rem]">
    {#each wiring.devices as d (d.id)}<dt class="font-semibold">{d.id}</dt>
      <dd>{d.name}</dd>{/each}
  </dl>
  <p class="mt-2 text-sm text-soft">
    Sizes and colours are starting values by the supply's family of rules. Terminal names are general; the drive's own
    sheet has its maker's. Unplug, wait and measure before touching. Local code and a licensed electrician decide.
  </p>
</div>
