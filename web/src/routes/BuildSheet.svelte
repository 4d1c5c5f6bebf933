<script lang="ts">
  import Drawing from '../lib/build/Drawing.svelte';
  import PrintPage, { type Printed } from '../lib/print/PrintPage.svelte';

  let { params }: { params: { id: string } } = $props();

  const cost = (n: number) => n.toFixed(2).replace(/\.00$/, '');
</script>

<PrintPage id={params.id} title="Build sheet and wiring" whole>
  {#snippet page({ sheet, build }: Printed)}
    {#if build}
      {@const done = (id: string) => sheet.plan.checks.find((c) => c.id === id)}
      {#if build.blocked}<p class="mt-3 border-2 border-black p-2 font-semibold">
          Do not power it yet: {build.blocked}
        </p>{/if}
      {#each [['From the shelf', build.take], ['To buy', build.buy]] as const as [title, bill] (title)}
        {#if bill.parts.length > 0}
          <h2 class="mt-5 text-2xl">{title}</h2>
          <table class="w-full">
            <tbody>
              {#each bill.parts as p (p.id)}
                <tr>
                  <td class="box">{done(p.id) ? '☒' : '☐'}</td>
                  <th scope="row">{p.name}</th>
                  <td>{[p.rating, p.place].filter(Boolean).join('; ')}</td>
                  <td class="cost">{p.costed ? cost(p.cost) : ''}</td>
                </tr>
              {/each}
              <tr
                ><td></td><th scope="row">Together</th><td>{bill.priced} of {bill.parts.length} priced</td><td
                  class="cost">{cost(bill.cost)}</td
                ></tr
              >
            </tbody>
          </table>
        {/if}
      {/each}
      {#if build.make.length > 0}
        <h2 class="mt-5 text-2xl">To make</h2>
        <table class="w-full">
          <tbody>
            {#each build.make as m (m.id)}
              <tr><td class="box">{done(m.id) ? '☒' : '☐'}</td><th scope="row">{m.what}</th><td>{m.why}</td></tr>
            {/each}
          </tbody>
        </table>
      {/if}
      {#if build.wiring.known}
        <h2 class="mt-5 text-2xl break-before-page">Wiring, terminal to terminal</h2>
        <Drawing wiring={build.wiring} />
        <table class="w-full">
          <thead
            ><tr
              ><th scope="col">no.</th><th scope="col">from</th><th scope="col">to</th><th scope="col">in</th><th
                scope="col">note</th
              ></tr
            ></thead
          >
          <tbody>
            {#each build.wiring.wires as w (w.n)}
              <tr
                ><td>{w.n}</td><td>{w.from}</td><td>{w.to}</td><td>{w.loop}{w.screened ? ', screened' : ''}</td><td
                  >{w.note}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
        <table class="mt-3 w-full">
          <tbody>
            {#each build.wiring.devices as d (d.id)}<tr><th scope="row">{d.id}</th><td>{d.name}</td></tr>{/each}
          </tbody>
        </table>
        <p class="mt-2">
          Terminal names are general ones: the drive's own sheet has its maker's. Local code and a licensed electrician
          decide.
        </p>
      {/if}
      <h2 class="mt-5 text-2xl break-before-page">First power-up</h2>
      <table class="w-full">
        <tbody>
          {#each build.powerUp as p, i (p.id)}
            <tr>
              <td class="box">{done(p.id) ? '☒' : '☐'} {i + 1}</td>
              <th scope="row"
                >{p.what}{#if p.expect}<span class="note"
                    >{p.measure ? `Measure ${p.measure}` : 'What should happen'}: {p.expect}</span
                  >{/if}</th
              >
              <td class="cost">{done(p.id)?.measured ?? ''} {done(p.id)?.on ?? ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  {/snippet}
</PrintPage>

<style>
  th,
  td {
    border-bottom: 1px solid #999;
    padding: 1mm;
    text-align: left;
    vertical-align: top;
    font-weight: 400;
    font-size: 0.95rem;
  }
  th[scope='row'] {
    font-weight: 600;
  }
  tr {
    break-inside: avoid;
  }
  .cost {
    text-align: right;
    white-space: nowrap;
  }
  .note {
    display: block;
    font-weight: 400;
    color: #444;
  }
  .box {
    white-space: nowrap;
    width: 12mm;
  }
</style>
