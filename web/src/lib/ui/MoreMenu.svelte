<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { prefs, type Theme } from '../prefs.svelte';

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
      <DropdownMenu.Separator class="my-1 border-t border-rule" />
      <DropdownMenu.RadioGroup value={prefs.theme} onValueChange={(v) => prefs.setTheme(v as Theme)}>
        <DropdownMenu.GroupHeading class="caption px-3 pt-1">Light</DropdownMenu.GroupHeading>
        {#each themes as [theme, words] (theme)}
          <DropdownMenu.RadioItem class="menu-item" value={theme} closeOnSelect={false}>
            {#snippet children({ checked })}<span aria-hidden="true" class="inline-block w-5">{checked ? '•' : ''}</span
              >{words}{/snippet}
          </DropdownMenu.RadioItem>
        {/each}
      </DropdownMenu.RadioGroup>
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
