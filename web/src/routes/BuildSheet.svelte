<script lang="ts">
  import Drawing from '../lib/build/Drawing.svelte';
  import PrintPage, { type Printed } from '../lib/print/PrintPage.svelte';

  let { params }: { params: { id: string } } = $props();

  /** A list in two halves, to stand beside each other. */
  const halves = <T,>(list: T[]) => [list.slice(0, Math.ceil(list.length / 2)), list.slice(Math.ceil(list.length / 2))];
</script>

<PrintPage id={params.id} title="Build sheet and wiring" whole>
  {#snippet page({ sheet, build }: Printed)}
    {#if build}
      {@const done = (id: string) => sheet.plan.checks.find((c) => c.id === id)}
      {#each [['From the shelf', build.take], ['To buy', build.buy]] as const as [title, bill] (title)}
        {#if bill.parts.length > 0}
          <h2 class="mt-3 text-2xl">{title}</h2>
          <table class="w-full">
            <tbody>
              {#each bill.parts as p (p.id)}
                <tr>
                  <td class="box">{done(p.id) ? '☒' : '☐'}</td>
                  <th scope="row">{p.name}</th>
                  <td>{[p.rating, p.place].filter(Boolean).join('; ')}</td>
                  <td class="cost">{p.cost}</td>
                </tr>
              {/each}
              <tr
                ><td></td><th scope="row">Together</th><td>{bill.priced} of {bill.parts.length} priced</td><td
                  class="cost">{bill.cost}</td
                ></tr
              >
            </tbody>
          </table>
        {/if}
      {/each}
      {#if build.make.length > 0}
        <h2 class="mt-3 text-2xl">To make</h2>
        <table class="w-full">
          <tbody>
            {#each build.make as m (m.id)}
              <tr><td class="box">{done(m.id) ? '☒' : '☐'}</td><th scope="row">{m.what}</th><td>{m.why}</td></tr>
            {/each}
          </tbody>
        </table>
      {/if}
      {#if build.wiring.known}
        <h2 class="mt-3 text-2xl">Wiring, terminal to terminal</h2>
        <div class="wiring"><Drawing wiring={build.wiring} /></div>
        <div class="two">
          {#each halves(build.wiring.wires) as half, k (k)}
            <table class="w-full">
              <thead>
                <tr>
                  <th scope="col">no.</th><th scope="col">from</th><th scope="col">to</th><th scope="col">in</th>
                </tr>
              </thead>
              <tbody>
                {#each half as w (w.n)}
                  <tr>
                    <td>{w.n}</td><td>{w.from}</td><td>{w.to}</td>
                    <td>{[w.size, w.colour, w.note].filter(Boolean).join('; ')}</td>
                  </tr>
                {/each}
              </tbody>
            </table>
          {/each}
          {#each halves(build.wiring.devices) as half, k (k)}
            <table class="mt-3 w-full">
              <tbody>
                {#each half as d (d.id)}<tr><th scope="row">{d.id}</th><td>{d.name}</td></tr>{/each}
              </tbody>
            </table>
          {/each}
        </div>
        <p class="mt-2">
          Terminal names are general ones: the drive's own sheet has its maker's. Local code and a licensed electrician
          decide.
        </p>
      {/if}
      <h2 class="mt-3 text-2xl">First power-up</h2>
      <table class="w-full">
        <tbody>
          {#each build.powerUp as p, i (p.id)}
            <tr>
              <td class="box">{p.done ? '☒' : '☐'} {i + 1}</td>
              <th scope="row"
                >{p.what}{#if p.expect}<span class="note"
                    >{p.measure ? `Measure ${p.measure}` : 'What should happen'}: {p.expect}</span
                  >{/if}{#if p.outcome === 'fails'}<span class="note">Failed: {p.says}</span>{/if}</th
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
    padding: 0.35mm 1mm;
    text-align: left;
    vertical-align: top;
    font-weight: 400;
    font-size: 0.8rem;
    line-height: 1.2;
  }
  th[scope='row'] {
    font-weight: 600;
  }
  tr {
    break-inside: avoid;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    column-gap: 6mm;
    align-items: start;
  }
  @media print {
    .wiring {
      zoom: 0.58;
    }
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
