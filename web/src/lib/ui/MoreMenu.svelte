<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { catalogue } from '../catalogue.svelte';
  import { prefs, unitChoices, type Theme, type Units } from '../prefs.svelte';
  import { currencies } from '../region';
  import MenuChoice from './MenuChoice.svelte';

  /** What is not needed every minute. */
  interface Props {
    children?: Snippet;
    /** Prints what is looked at, where the page itself is not what is wanted on paper. */
    print?: () => void;
  }
  let { children, print = () => window.print() }: Props = $props();
  const themes: readonly (readonly [Theme, string])[] = [
    ['system', 'as the system has it'],
    ['day', 'day'],
    ['night', 'night']
  ];
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="caption min-h-8 px-1 hover:underline">more ▾</DropdownMenu.Trigger>
  <DropdownMenu.Portal disabled>
    <DropdownMenu.Content class="menu" align="end" sideOffset={6}>
      {@render children?.()}
      <DropdownMenu.Item class="menu-item" onSelect={() => setTimeout(print)}>Print this</DropdownMenu.Item>
      <DropdownMenu.Item class="menu-item" onSelect={() => void push('/how-to')}
        >How to go about it, and words</DropdownMenu.Item
      >
      <DropdownMenu.Item class="menu-item" onSelect={() => void push('/practice')}>Practice bench</DropdownMenu.Item>
      <DropdownMenu.Separator class="my-1 border-t border-rule" />
      <MenuChoice
        title="Units"
        value={prefs.units}
        options={unitChoices}
        onchange={(v) => prefs.setUnits(v as Units)}
      />
      <MenuChoice
        title="Workshop in"
        value={prefs.region}
        options={catalogue.regions.map((r) => [r.id, r.name] as const)}
        onchange={(v) => prefs.setRegion(v)}
      />
      <MenuChoice
        title="Costs in"
        value={prefs.money}
        options={currencies.map((c) => [c, c || 'no money named'] as const)}
        onchange={(v) => prefs.setMoney(v)}
      />
      <MenuChoice title="Light" value={prefs.theme} options={themes} onchange={(v) => prefs.setTheme(v as Theme)} />
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
