<script lang="ts">
  import { untrack } from 'svelte';
  import { Ask } from '../lib/api/ask.svelte';
  import { api, call, sayProblem, type Sheet } from '../lib/api/client';
  import { takeOver } from '../lib/sheet/handover';
  import SheetView from '../lib/sheet/SheetView.svelte';
  import { panelOf, SheetState } from '../lib/sheet/sheet.svelte';

  let { params }: { params: { id: string; view?: string | null } } = $props();
  const id = $derived(params.id);

  let sheet = $state.raw<SheetState>();
  const asked = new Ask<Sheet>(
    (signal) => call(() => api.GET('/api/plans/{id}', { params: { path: { id } }, signal })),
    async ({ data }) => {
      if (!data) return;
      const opened = await SheetState.open(data);
      if (id !== data.planId) return opened.close();
      sheet = opened;
      sheet.panel = panelOf(params.view);
      takeOver(sheet);
    }
  );
  const gone = $derived(asked.problem?.status === 404 || asked.problem?.status === 422);
  const said = $derived(
    gone ? 'This plan is not here; it may have been deleted.' : asked.problem ? sayProblem(asked.problem) : ''
  );

  $effect(() => {
    void id;
    untrack(() => asked.instead());
    return () => {
      asked.stop();
      sheet?.close();
      sheet = undefined;
    };
  });
  // The address says what stands in place of the benches: also when a person goes back.
  $effect(() => {
    const panel = panelOf(params.view);
    if (sheet && id === sheet.planId) sheet.panel = panel;
  });
</script>

{#if sheet}
  {#key sheet}<SheetView {sheet} />{/key}
{:else if said}
  <main class="p-8">
    <h1 class="text-2xl">{said}</h1>
    <p class="mt-3 flex gap-4">
      <a class="link" href="#/">Back to the shed</a>
      <button class="link" onclick={() => asked.instead()}>Try again</button>
    </p>
  </main>
{:else}
  <main class="p-8" aria-busy="true"><h1 class="sr-only">Plan sheet</h1></main>
{/if}
