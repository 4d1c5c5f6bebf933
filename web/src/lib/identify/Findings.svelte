<script lang="ts">
  import type { Finding } from '../api/client';
  import Mark from '../ui/Mark.svelte';

  let { findings }: { findings: Finding[] } = $props();
</script>

<ul class="mt-2">
  {#each findings as f (f.id)}
    <li class="flex gap-3 border-b border-rule py-2">
      <Mark level={f.level} />
      <p class="min-w-0 text-[0.94rem]">
        <span class="font-semibold">{f.title}</span><br /><span class="text-soft">{f.detail}</span>
      </p>
    </li>
  {/each}
</ul>
