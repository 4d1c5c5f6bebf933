<script lang="ts">
  import { place, stroke, type Chart } from './curves';
  import type { JobMark } from './marks';

  /** The jobs laid over the reach, each with its name and how it comes out. */
  let { chart, marks }: { chart: Chart; marks: JobMark[] } = $props();
  const allows = (m: JobMark) => `${m.job.name}: what ${m.job.ceilingIs} allows`;
</script>

<!-- Under every name and band. -->
{#each marks.filter((m) => m.least.length > 0) as m (m.job.id)}
  <path d="{stroke([...m.path, ...m.least.toReversed()])}Z" class="usual {m.state}">
    <title>{m.job.name}: what such work usually takes, from the least to the most</title>
  </path>
  <path d={stroke(m.least)} class="least {m.state}" />
{/each}
{#each marks as m (m.job.id)}
  <g class="job {m.state}">
    <g clip-path="url(#plot)">
      {#if m.ceiling.length > 1}<path d={stroke(m.ceiling)} class="ceiling"><title>{allows(m)}</title></path>{/if}
      {#each m.ceiling.length === 1 ? m.ceiling : [] as c, k (k)}
        <path d="M{c.x - 14} {c.y}h28" class="ceiling"><title>{allows(m)}</title></path>
      {/each}
      {#if m.breakaway}
        {@const [from, to] = m.breakaway}
        <path d="M{from.x} {from.y}V{to.y}" class="stem" />
        <path d="M{to.x - 5} {to.y}h10" class="starts"><title>{m.job.name}: to start it</title></path>
      {/if}
    </g>
    <path d={stroke(m.path)} />
    {#each m.ends as end, k (k)}<path d="M{end.x} {end.y - 6}V{end.y + 6}" />{/each}
    <!-- What the old motor gave in each of its positions. -->
    {#each m.job.baseline as b, k (k)}
      {@const at = place(chart, b.torque, b.rpm)}
      <circle cx={at.x} cy={at.y} r="5" />
    {/each}
    <text x={m.x} y={m.y} class="halo" aria-hidden="true">{m.text}</text>
    <text x={m.x} y={m.y}>{m.text}</text>
  </g>
{/each}

<style>
  .usual {
    fill: color-mix(in srgb, currentColor 9%, transparent);
  }
  .least {
    fill: none;
    stroke: currentColor;
    stroke-dasharray: 3 3;
  }
  .job path {
    fill: none;
    stroke: currentColor;
    stroke-width: 3.5;
  }
  .job .ceiling {
    stroke-width: 1.3;
  }
  .job .stem {
    stroke-width: 1.3;
    stroke-dasharray: 2 3;
  }
  .job .starts {
    stroke-width: 2;
  }
  .job circle {
    fill: var(--paper);
    stroke: currentColor;
    stroke-width: 2.5;
  }
  .job text {
    fill: currentColor;
    font-size: 14px;
    font-weight: 650;
  }
  .job .halo {
    stroke: var(--paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
  .good {
    color: var(--good);
  }
  .just {
    color: var(--brass-ink);
  }
  .stop {
    color: var(--stop);
  }
  .unknown {
    color: var(--soft);
  }
</style>
