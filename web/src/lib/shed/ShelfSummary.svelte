<script lang="ts">
  import type { ShelfMotor } from '../api/client';

  let { shelf }: { shelf: ShelfMotor[] } = $props();
</script>

<section>
  <h2 class="caption">On the shelf</h2>
  <ul class="mt-2">
    {#each shelf as m (m.id)}
      <li class="flex justify-between gap-3 border-b border-dotted border-rule py-1.5">
        <span>{m.motor.name || 'Motor without a name'}</span>
        <span class="text-right text-soft">{[m.motor.plate.power, m.motor.plate.speed].filter(Boolean).join(', ')}</span>
      </li>
    {:else}
      <li class="text-soft">Nothing yet. A plan's motor bench can put its motor here.</li>
    {/each}
  </ul>
</section>
