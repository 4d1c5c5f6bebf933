<script lang="ts">
  import type { Assessment } from '../api/client';
  import Reach from '../reach/Reach.svelte';
  import Segments from '../ui/Segments.svelte';
  import { openSheet } from '../sheet/context';
  import ReductionDrawing from './ReductionDrawing.svelte';
  import Ruler from './Ruler.svelte';
  import Tray from './Tray.svelte';
  import ConeOrBelt from './ConeOrBelt.svelte';
  import WideBand from './WideBand.svelte';

  /** The middle of the sheet at the reduction: the drawing, and below it what it comes to. */
  let { a }: { a: Assessment } = $props();

  const sheet = openSheet();
  let wheel = $state('');
  let below = $state<'ruler' | 'reach' | 'wide'>('ruler');
  const drawn = $derived(a.drawing.stages.some((s) => s.steps.length > 0));
  // Its curves come with the search.
  $effect(() => {
    if (below === 'wide' && !sheet.search.result) sheet.search.soon();
  });
</script>

{#if drawn}
  <div class="upper"><ReductionDrawing {a} bind:wheel /></div>
{/if}
<div class="flex flex-wrap items-center justify-between gap-2 px-3 pb-1">
  <p class="text-sm text-soft">
    {#if drawn}{wheel ? 'Press a size for the chosen wheel.' : 'Drag a size onto a wheel, or choose a wheel.'}{/if}
  </p>
  <Segments
    label="Below the drawing"
    value={below}
    options={[
      ['ruler', 'speeds'],
      ['reach', 'reach'],
      ['wide', 'gears or electronics']
    ]}
    onchange={(v) => (below = v)}
  />
</div>
{#if drawn}<Tray {wheel} />{/if}
<div class="lower" class:tall={below !== 'ruler'}>
  {#if below === 'ruler'}
    <Ruler {a} looked={sheet.finding ? sheet.search.looked : undefined} />
  {:else if below === 'reach'}
    <Reach {a} />
  {:else}
    <WideBand {a} wide={sheet.search.result?.wide} />
    {#if sheet.search.result?.cone.ways.length}<ConeOrBelt {a} cone={sheet.search.result.cone} />{/if}
  {/if}
</div>

<style>
  .upper {
    flex: 1;
    min-height: 14rem;
  }
  .lower {
    min-height: 0;
    overflow-y: auto;
  }
  .lower.tall {
    flex: 1.5;
    min-height: 18rem;
  }
  @media (max-width: 65.99rem) {
    .upper {
      min-height: 22rem;
    }
    .lower.tall {
      min-height: 24rem;
    }
  }
</style>
