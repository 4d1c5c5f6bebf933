<script lang="ts">
  import type { Assessment } from '../lib/api/client';
  import PrintPage, { type Printed } from '../lib/print/PrintPage.svelte';
  import { figure } from '../lib/reach/scale';

  let { params }: { params: { id: string } } = $props();

  /** A speed as it is engraved: whole ones, but a feed's few turns as finely as they are known. */
  const turns = (rpm: number) => (rpm <= 0 ? '·' : rpm < 100 ? figure(rpm) : Math.round(rpm));
  const inJob = (plate: Assessment['speedPlate'], rpm: number) =>
    rpm > 0 && plate.jobs.some((j) => rpm >= j.lowRpm * 0.99 && rpm <= j.highRpm * 1.01);
</script>

<PrintPage id={params.id} title="Speed plate">
  {#snippet page({ a }: Printed)}
    {@const plate = a.speedPlate}
    {@const fixed = plate.knob.length <= 1}
    {@const measured = plate.positions.some((p) => p.measured.length > 0)}
    {#if plate.positions.length === 0}
      <p class="mt-8 text-xl">The line is not complete, so there are no speeds to print. {a.next.text}</p>
    {:else if a.noPlate}
      <p class="mt-8 font-head text-2xl">No speed plate yet.</p>
      <p class="mt-2 text-xl">{a.noPlate}</p>
      <p class="mt-2">A plate by the machine is followed: it is printed once nothing that bears on speed is open.</p>
    {:else}
      <div class="max mt-5">
        <p class="font-head text-2xl">{plate.limited ? 'Never over' : 'Tops out at'}</p>
        <p class="figure">{figure(plate.maxRpm)}<span class="text-3xl"> rpm</span></p>
      </div>
      <h2 class="mt-6 text-2xl">Spindle rpm{fixed ? ' under load' : ', knob from 1 to 10'}</h2>
      <div class="wide">
        <table class="mt-2 w-full">
          <thead>
            <tr
              ><th scope="col">position</th>{#each plate.knob as k (k)}<th scope="col"
                  >{fixed ? 'on' : Math.round(k * 10)}</th
                >{/each}</tr
            >
          </thead>
          <tbody>
            {#each plate.positions as p, row (row)}
              <tr>
                <th scope="row"
                  >{plate.positions.length > 1 ? p.label : 'spindle rpm'}<span class="block text-base font-normal"
                    >{p.ratio}</span
                  ></th
                >
                {#each p.rpm as rpm, i (i)}{@const shown = p.measured.length > 0 ? (p.measured[i] ?? 0) : rpm}<td
                    class:job={inJob(plate, shown)}>{turns(shown)}</td
                  >{/each}
              </tr>
              {#if p.measured.length > 0}
                <tr class="reckoned">
                  <th scope="row">reckoned</th>
                  {#each p.rpm as rpm, i (i)}<td>{turns(rpm)}</td>{/each}
                </tr>
              {/if}
            {/each}
          </tbody>
        </table>
      </div>
      <p class="mt-1">
        {fixed ? '' : 'A dot is under the slowest steady speed, or over what the machine allows. '}Ruled-under speeds
        lie in a job's band.
      </p>
      <h2 class="mt-6 text-2xl">Jobs</h2>
      <table class="mt-2 w-full jobs">
        <tbody>
          {#each plate.jobs as j, row (row)}
            <tr>
              <th scope="row">{j.name}</th>
              <td class="text-left!">{figure(j.lowRpm)}{j.highRpm > j.lowRpm ? `–${figure(j.highRpm)}` : ''} rpm</td>
              <td class="text-left!">{plate.positions.length > 1 ? j.position : ''}</td>
              <td class="text-left!"
                >{j.done ? '' : a.entries.length > 0 ? 'not called done' : 'not done by this plan'}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="mt-6 text-lg font-semibold">
        Never pass the speed marked on a wheel, chuck or disc. Guards on. Never reverse while it turns.
      </p>
      <p class="mt-1">
        {measured
          ? 'Measured at the marks, on straight lines between them; reckoned for a light load.'
          : `Computed${fixed ? '' : ' for a light load'}; measure with a tachometer before trusting it.`}
        {a.mayPower ? '' : `May it be powered? ${a.power.text} Do not power it yet.`}
      </p>
    {/if}
  {/snippet}
</PrintPage>

<style>
  .max {
    border: 3px solid #111;
    padding: 3mm 6mm;
    display: inline-block;
  }
  /* Ten marks of a knob are wider than a phone. */
  @media screen {
    .wide {
      overflow-x: auto;
    }
  }
  .figure {
    font-family: var(--font-head);
    font-weight: 600;
    font-size: 30mm;
    line-height: 1;
  }
  th,
  td {
    border-bottom: 1px solid #999;
    padding: 2.2mm 1mm;
    font-size: 1.35rem;
    text-align: right;
  }
  th:first-child {
    text-align: left;
    max-width: 38mm;
  }
  .reckoned th,
  .reckoned td {
    font-size: 1rem;
    font-weight: 400;
    color: #555;
  }
  td.job {
    font-weight: 700;
    text-decoration: underline;
    text-decoration-thickness: 2px;
    text-underline-offset: 4px;
  }
  .jobs th,
  .jobs td {
    font-size: 1.15rem;
  }
</style>
