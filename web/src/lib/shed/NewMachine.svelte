<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, call, sayProblem } from '../api/client';
  import { prefs } from '../prefs.svelte';
  import { catalogue } from '../catalogue.svelte';

  let { large = false }: { large?: boolean } = $props();

  let name = $state('');
  let kind = $state('lathe');
  let error = $state('');

  const add = async (e: SubmitEvent) => {
    e.preventDefault();
    if (!name.trim()) return void (error = 'What machine is it? A name is enough.');
    const { data, problem } = await call(() => api.POST('/api/machines', { body: { name, kind, units: prefs.units } }));
    if (data) await push(`/plan/${data.planId}`);
    else error = sayProblem(problem);
  };
</script>

<form onsubmit={add} class="grid items-end gap-3 sm:grid-cols-[2fr_1.3fr_auto]">
  <div>
    <label for="new-machine" class="block text-sm text-soft">Machine</label>
    <input
      id="new-machine"
      class="blank"
      class:text-xl={large}
      maxlength="120"
      placeholder="Bench lathe with a dead motor"
      bind:value={name}
      aria-invalid={error ? 'true' : undefined}
      aria-describedby={error ? 'new-machine-error' : undefined}
    />
  </div>
  <div>
    <label for="new-machine-kind" class="block text-sm text-soft">Kind</label>
    <select id="new-machine-kind" class="blank" bind:value={kind}>
      {#each catalogue.machines as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
    </select>
  </div>
  <button class="button primary">Add it</button>
  {#if error}<p id="new-machine-error" class="text-stop sm:col-span-3">{error}</p>{/if}
</form>
