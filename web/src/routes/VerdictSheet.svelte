<script lang="ts">
  import LineDrawing from '../lib/line/LineDrawing.svelte';
  import PrintPage, { type Printed } from '../lib/print/PrintPage.svelte';
  import StripChart from '../lib/dryrun/StripChart.svelte';
  import SideBySide from '../lib/rank/SideBySide.svelte';
  import { curveOf } from '../lib/rank/curve';
  import { figure } from '../lib/reach/scale';
  import TwoAnswers from '../lib/verdict/TwoAnswers.svelte';

  let { params }: { params: { id: string } } = $props();
</script>

<PrintPage id={params.id} title="Verdict sheet" run>
  {#snippet page({ a, dry }: Printed)}
    {@const open = a.findings.filter((f) => f.level !== 'good' && !(f.level === 'caution' && f.always))}
    {@const always = a.findings.filter((f) => f.level === 'caution' && f.always)}
    <TwoAnswers power={a.power} does={a.does} />
    <div class="mt-4"><LineDrawing drawing={a.drawing} /></div>
    <ol class="line">
      {#each a.stations as s (s.station)}
        <li>
          <span class="block font-semibold">{s.title}</span>
          {s.figures.map((f) => f.text).join(', ')}
        </li>
      {/each}
    </ol>
    {#if a.reach.positions.length > 0}
      <h2 class="mt-5 text-2xl">All-day torque at the spindle</h2>
      <SideBySide
        units={a.units}
        jobs={a.jobs}
        curves={[{ name: 'this plan, all day', spread: 0, points: curveOf(a.reach.positions) }]}
        height={280}
      />
    {/if}
    {#if a.jobs.length > 0}
      <h2 class="mt-5 text-2xl">Jobs</h2>
      <table class="w-full">
        <tbody>
          {#each a.jobs as j (j.id)}
            <tr>
              <th scope="row">{j.name}</th>
              <td>{j.rpm.length > 0 ? `${figure(Math.min(...j.rpm))}–${figure(Math.max(...j.rpm))} rpm` : ''}</td>
              <td>{j.position}</td>
              <td>{j.short}{j.limitedBy ? `, held by ${j.limitedBy}` : ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    {#if open.length > 0}
      <h2 class="mt-5 text-2xl">What is open</h2>
      <ul>
        {#each open as f (f.id)}
          <li class="finding">
            <span class="font-semibold">{f.level === 'stop' ? 'Stop. ' : ''}{f.title}</span>
            <span class="block">{f.detail}</span>
          </li>
        {/each}
      </ul>
    {/if}
    {#if dry?.long}
      <p class="mt-5">Its dry run takes a while, and is not printed here: run it on its own screen.</p>
    {:else if dry?.runs}
      <section class="run">
        <h2 class="mt-5 text-2xl">In the dry run</h2>
        <p>{dry.headline} Simulated, nothing of it was measured.</p>
        <div class="mt-2"><StripChart answer={dry} /></div>
        <ul>
          {#each dry.findings.filter((f) => f.level !== 'good') as f (f.id)}
            <li class="finding">
              <span class="font-semibold">{f.level === 'stop' ? 'Stop. ' : ''}{f.title}</span>
              <span class="block">{f.detail}</span>
            </li>
          {/each}
        </ul>
        <table class="w-full">
          <tbody>
            {#each dry.figures as f (f.name)}
              <tr><th scope="row">{f.name}</th><td>{f.value}</td><td>{f.detail}</td></tr>
            {/each}
          </tbody>
        </table>
      </section>
    {/if}
    {#if always.length > 0}
      <p class="mt-4">
        <span class="font-semibold">Before you power it:</span>
        {always.map((f) => f.title).join('; ')}.
      </p>
    {/if}
    {#if a.settings.length > 0}
      <h2 class="mt-5 text-2xl">What to set</h2>
      <table class="w-full">
        <tbody>
          {#each a.settings as s (s.working)}
            <tr><th scope="row">{s.name}</th><td>{s.value}</td></tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <p class="mt-4">
      Computed from what was typed; measure before trusting it. Local codes and licensed practice decide all fixed
      wiring.
    </p>
  {/snippet}
</PrintPage>

<style>
  th,
  td,
  .finding {
    border-bottom: 1px solid #999;
    padding: 1mm;
    text-align: left;
    vertical-align: top;
  }
  .run {
    break-before: page;
  }
  .line {
    display: grid;
    grid-template-columns: repeat(5, 1fr);
    gap: 2mm;
    font-size: 0.9rem;
  }
</style>
