<script lang="ts">
  import TopBar from '../lib/ui/TopBar.svelte';
</script>

<TopBar />
<main class="p-8">
  <h1 class="text-2xl">There is no such page</h1>
  <p class="mt-2"><a class="link" href="#/">Back to the shed</a></p>
</main>
