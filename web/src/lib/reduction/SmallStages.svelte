<script lang="ts">
  import Stages from '../line/Stages.svelte';
  import { stagesExtent } from '../line/stages';
  import type { Stage } from './layout';

  /** A reduction drawn small beside its name. */
  let { stages }: { stages: Stage[] } = $props();

  const width = 96;
  const height = 52;
  const size = $derived(stagesExtent(stages));
  const scale = $derived(Math.min((width - 4) / Math.max(size.width, 1), (height - 4) / Math.max(size.tallest, 1)));
</script>

<svg {width} {height} aria-hidden="true" class="flex-none">
  {#if stages.length > 0}
    <Stages {stages} x={(width - size.width * scale) / 2} y={height / 2} {scale} />
  {:else}
    <path d="M12 {height / 2}H{width - 12}" stroke="var(--ink)" stroke-width="3" />
  {/if}
</svg>
