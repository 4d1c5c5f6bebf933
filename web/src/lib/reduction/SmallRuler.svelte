<script lang="ts">
  import { scaleLog } from 'd3-scale';
  import type { Assessment } from '../api/client';
  import type { Found } from './search.svelte';

  /** An answer's speeds over the jobs', small: all answers on one scale. */
  let { found, jobs, domain }: { found: Found; jobs: Assessment['jobs']; domain: [number, number] } = $props();

  let width = $state(300);
  const x = $derived(scaleLog().domain(domain).range([0, width]).clamp(true));
  const ends = (rpm: number[]): [number, number] => [Math.min(...rpm), Math.max(...rpm)];
  const done = (name: string) => ['does', 'just'].includes(found.jobs.find((j) => j.name === name)?.outcome ?? '');
  const height = $derived(8 + found.bands.length * 5);
</script>

<div bind:clientWidth={width} class="my-1">
  <svg
    {width}
    {height}
    role="img"
    aria-label="Speeds: {found.bands.map((b) => `${Math.round(b.lowRpm)} to ${Math.round(b.highRpm)}`).join(', ')} rpm"
  >
    {#each jobs.filter((j) => j.rpm.length > 0) as j (j.id)}
      {@const [low, high] = ends(j.rpm)}
      <rect x={x(low)} y="0" width={Math.max(x(high) - x(low), 3)} {height} class="job" class:short={!done(j.name)} />
    {/each}
    {#each found.bands as b, i (i)}
      <path d="M{x(b.lowRpm)} {5 + i * 5}H{Math.max(x(b.highRpm), x(b.lowRpm) + 3)}" class="band" />
    {/each}
  </svg>
</div>

<style>
  .job {
    fill: color-mix(in srgb, var(--good) 25%, transparent);
  }
  .job.short {
    fill: color-mix(in srgb, var(--stop) 22%, transparent);
  }
  .band {
    stroke: var(--ink);
    stroke-width: 2.4;
  }
</style>
