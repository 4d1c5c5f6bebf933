<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import Figures from '../ui/Figures.svelte';
  import { openForm } from '../form/context';
  import OneLine from './OneLine.svelte';
  import Plate from './Plate.svelte';

  /** A motor as its plate reads, what its kind is like, and what all that is known makes it. */
  let { at }: { at: string } = $props();

  const form = openForm();
  const workings = $derived(form.workings.filter((w) => w.station === 'motor'));
  const profile = $derived(catalogue.motor(form.text(`${at}.kind`)));
</script>

<Plate {at} />
{#if profile}
  <details class="mt-2 border-b border-rule pb-1">
    <summary class="link cursor-pointer text-[0.94rem]">What such a motor is like</summary>
    <dl class="mt-1 grid grid-cols-[6.2rem_1fr] gap-x-3 gap-y-1 text-[0.94rem]">
      <dt class="text-soft">Speed</dt>
      <dd>{profile.supply}</dd>
      <dt class="text-soft">Starts</dt>
      <dd>{profile.starts}</dd>
      <dt class="text-soft">Loaded</dt>
      <dd>{profile.loaded}</dd>
      <dt class="text-soft">Controlled by</dt>
      <dd>{profile.suits}</dd>
      <dt class="text-soft">Reversed</dt>
      <dd>{profile.reverses}</dd>
      <dt class="text-soft">Wears</dt>
      <dd>{profile.wears}</dd>
      <dt class="text-soft">Found in</dt>
      <dd>{profile.donors}</dd>
    </dl>
  </details>
{/if}
<OneLine {at} />
<Figures title="What that makes it" {workings} />
