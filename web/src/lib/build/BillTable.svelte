<script lang="ts">
  import type { Schemas } from '../api/client';
  import { prefs } from '../prefs.svelte';
  import Quantity from '../form/Quantity.svelte';
  import { inMoney } from '../form/units';
  import { openSheet } from '../sheet/context';

  /** Parts with what they are good for and what they cost; a price is typed where none is known. */
  let { title, bill, ticked = false }: { title: string; bill: Schemas['BuildBill']; ticked?: boolean } = $props();

  const sheet = openSheet();
  const bought = (id: string) => id.startsWith('buy.');
</script>

<div>
  <h2 class="caption">{title}</h2>
  <table class="mt-1 w-full">
    <tbody>
      {#each bill.parts as p (p.id)}
        {@const error = sheet.errors[sheet.priceField(p.id)]}
        <tr class="border-b border-dotted border-rule align-top">
          {#if ticked}
            <td class="w-8 py-1.5"
              ><input
                type="checkbox"
                class="mt-0.5 size-5 accent-(--iron)"
                aria-label="{p.name} is here"
                checked={sheet.checkOf(p.id) !== undefined}
                onchange={(e) => sheet.check(p.id, e.currentTarget.checked)}
              /></td
            >
          {/if}
          <td class="py-1.5 pr-2">
            {p.name}{p.place ? `, ${p.place}` : ''}
            <span class="block text-sm text-soft">{[p.rating, p.why].filter(Boolean).join('; ')}</span>
          </td>
          <td class="w-24 py-1 text-right">
            {#if bought(p.id)}
              <Quantity
                label="Price of {p.name}"
                hint="price"
                value={sheet.priceOf(p.id)}
                {...inMoney(prefs.money)}
                invalid={!!error}
                onchange={(text) => sheet.price(p.id, text)}
              />
              {#if error}<span class="block text-sm text-stop">{error}</span>{/if}
            {:else}
              {p.cost || '—'}
            {/if}
          </td>
        </tr>
      {:else}
        <tr><td class="py-1.5 text-soft">Nothing.</td></tr>
      {/each}
    </tbody>
    {#if bill.parts.length > 0}
      <tfoot>
        <tr class="font-semibold"
          >{#if ticked}<td></td>{/if}<td class="py-1.5">Together, {bill.priced} of {bill.parts.length} priced</td><td
            class="text-right">{bill.cost || '—'}</td
          ></tr
        >
      </tfoot>
    {/if}
  </table>
</div>
