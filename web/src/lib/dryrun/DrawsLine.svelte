<script lang="ts">
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';

  /** The same run over what is not known: how often what happens. */
  const dry = openSheet().dry;
  const d = $derived(dry.draws);
  type Spread = { low: number; high: number; past: boolean };
  /** From one end to the other; what lies past the end of the run took longer than that. */
  const between = (s: Spread, unit: string) => {
    const high = `${s.past ? 'over ' : ''}${figure(s.high)} ${unit}`;
    return s.high > s.low * 1.03 ? `${figure(s.low)} to ${high}` : high;
  };
</script>

<section aria-label="What is not known" class="mx-4 mt-2 border-t border-rule pt-2">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 class="caption">What is not known</h2>
    <button class="link min-h-8" onclick={() => void dry.draw()}
      >{dry.drawing !== undefined ? 'stop' : d ? 'draw it again' : 'run it 200 times over it'}</button
    >
    {#if dry.drawing !== undefined}
      <progress max="1" value={dry.drawing} aria-label="Runs made"></progress>
    {/if}
  </div>
  {#if d}
    <p class="text-sm text-soft">
      Drawn: {d.unknown.length > 0 ? d.unknown.join('; ') : 'nothing, all of it was measured'}. In nine of ten runs it
      is up to speed in {between(d.toSpeed, 's')}, draws {between(d.mostAmps, 'A')} at the most{d.stop.high > 0
        ? ` and stands after ${between(d.stop, 's')}`
        : ''}.{d.stood > 0 ? ` In ${d.stood} of ${d.of} it does not start.` : ''}
    </p>
    <ul>
      {#each d.tallies as t (t.id)}
        <li class="flex items-baseline gap-2 py-1">
          <span class="self-center"><Mark level={t.level} size={18} /></span>
          <span class="min-w-0 flex-1">{t.title}</span>
          <span class="font-semibold whitespace-nowrap">in {t.count} of {d.of}</span>
        </li>
      {:else}
        <li class="py-1">Nothing to watch in any of {d.of} runs.</li>
      {/each}
    </ul>
  {/if}
</section>
