<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import { push } from 'svelte-spa-router';
  import { api, call, type Workshop } from '../api/client';
  import { prefs } from '../prefs.svelte';

  /** The machine's name, which opens to the others. */
  let { name }: { name: string } = $props();

  let machines = $state.raw<Workshop['machines']>([]);
  const load = async (open: boolean) => {
    if (!open) return;
    const { data } = await call(() => api.GET('/api/workshop', { params: { query: { units: prefs.units } } }));
    machines = data?.machines ?? machines;
  };
</script>

<DropdownMenu.Root onOpenChange={load}>
  <DropdownMenu.Trigger class="min-w-0 truncate font-semibold hover:underline">{name} ▾</DropdownMenu.Trigger>
  <DropdownMenu.Portal disabled>
    <DropdownMenu.Content class="menu" align="start" sideOffset={6}>
      {#each machines.filter((m) => m.plans.length > 0) as m (m.id)}
        <DropdownMenu.Item class="menu-item" onSelect={() => void push(`/plan/${m.plans[0]?.id ?? ''}`)}
          >{m.name}</DropdownMenu.Item
        >
      {/each}
      <DropdownMenu.Separator class="my-1 border-t border-rule" />
      <DropdownMenu.Item class="menu-item" onSelect={() => void push('/')}>The shed</DropdownMenu.Item>
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
