<script lang="ts">
  import PrintPage, { type Printed } from '../lib/print/PrintPage.svelte';

  let { params }: { params: { id: string } } = $props();
</script>

<PrintPage id={params.id} title="Settings sheet">
  {#snippet page({ sheet, a }: Printed)}
    <p class="mt-1 text-lg">{sheet.plan.control.name} on {sheet.plan.motor.name}. In the order they are set.</p>
    {#if a.settings.length === 0}
      <p class="mt-8 text-xl">The line is not complete, so there is nothing to set yet. {a.next.text}</p>
    {:else}
      <table class="mt-4 w-full">
        <thead
          ><tr><th scope="col">set</th><th scope="col">what</th><th scope="col">to</th><th scope="col">set on</th></tr
          ></thead
        >
        <tbody>
          {#each a.settings as s, i (s.working)}
            {@const done = sheet.plan.checks.find((c) => c.id === s.working)}
            {@const put = a.workings.find((w) => w.id === s.working)?.substituted}
            <tr>
              <td class="box">{done ? '☒' : '☐'} {i + 1}</td>
              <th scope="row">
                {s.name}
                {#if put}<span class="note">{put}</span>{/if}
                {#if s.watch}<span class="note">{s.watch}</span>{/if}
                {#if s.other}<span class="note"><em>Other school:</em> {s.other}</span>{/if}
              </th>
              <td class="value">{s.value}</td>
              <td class="date">{done?.on ?? ''}{done?.measured ? `, ${done.measured}` : ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="mt-4 font-semibold">
        Unplug, wait and measure before touching. Starting values: local code and a licensed electrician decide.
      </p>
    {/if}
  {/snippet}
</PrintPage>

<style>
  th,
  td {
    border-bottom: 1px solid #999;
    padding: 1.4mm 1mm;
    text-align: left;
    vertical-align: top;
  }
  tr {
    break-inside: avoid;
  }
  .note {
    display: block;
    font-weight: 400;
    font-size: 0.86rem;
    color: #444;
  }
  .value {
    font-weight: 700;
    min-width: 34mm;
  }
  .box {
    white-space: nowrap;
  }
  .date {
    min-width: 24mm;
    white-space: nowrap;
  }
</style>
