<script lang="ts">
  import { untrack } from 'svelte';
  import { api, call, sayProblem } from '../lib/api/client';
  import { takeOver } from '../lib/sheet/handover';
  import SheetView from '../lib/sheet/SheetView.svelte';
  import { SheetState } from '../lib/sheet/sheet.svelte';

  let { params }: { params: { id: string } } = $props();

  let sheet = $state.raw<SheetState>();
  let said = $state('');

  const load = async (id: string) => {
    said = '';
    const { data, problem, status } = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } } }));
    if (params.id !== id) return;
    if (data) {
      sheet = new SheetState(data);
      const motor = takeOver(id);
      if (motor) sheet.useMotor(motor);
    } else said = status === 404 || status === 422 ? 'This plan is not here; it may have been deleted.' : sayProblem(problem);
  };

  $effect(() => {
    const id = params.id;
    untrack(() => void load(id));
    return () => {
      sheet?.close();
      sheet = undefined;
    };
  });
</script>

{#if sheet}
  {#key sheet}<SheetView {sheet} />{/key}
{:else if said}
  <main class="p-8">
    <h1 class="text-2xl">{said}</h1>
    <p class="mt-3 flex gap-4">
      <a class="link" href="#/">Back to the shed</a>
      <button class="link" onclick={() => load(params.id)}>Try again</button>
    </p>
  </main>
{:else}
  <main class="p-8" aria-busy="true"><h1 class="sr-only">Plan sheet</h1></main>
{/if}
