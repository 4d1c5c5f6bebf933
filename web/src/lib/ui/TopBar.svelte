<script lang="ts">
  import type { Snippet } from 'svelte';
  import { prefs, unitChoices } from '../prefs.svelte';
  import MoreMenu from './MoreMenu.svelte';
  import Segments from './Segments.svelte';

  interface Props {
    children?: Snippet;
    tools?: Snippet;
    /** What the menu has besides what it has everywhere. */
    menu?: Snippet;
    /** On a phone there is room for one row: the tools are in the menu. */
    row?: boolean;
    print?: () => void;
  }
  let { children, tools, menu, row = false, print }: Props = $props();
</script>

<header class:row class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-card px-4 py-1.5">
  <a href="#/" class="logo font-head text-[1.6rem] leading-none font-semibold tracking-wide">Jiriki</a>
  <div
    class="children order-last flex min-w-0 basis-full flex-wrap items-center gap-x-2 lg:order-none lg:flex-1 lg:basis-0 lg:flex-nowrap"
  >
    {@render children?.()}
  </div>
  <div class="ml-auto flex flex-wrap items-center gap-3">
    <a class="tool caption hover:underline" href="#/shelf">shelf</a>
    <div class="tool flex items-center gap-3">{@render tools?.()}</div>
    <div class="max-sm:hidden">
      <Segments label="Units shown" value={prefs.units} options={unitChoices} onchange={(u) => prefs.setUnits(u)} />
    </div>
    <MoreMenu {print}>{@render menu?.()}</MoreMenu>
  </div>
</header>

<style>
  @media (width < 40rem) {
    .row {
      flex-wrap: nowrap;
    }
    .row .logo,
    .row .tool {
      display: none;
    }
    .row .children {
      flex: 1 1 0;
      flex-wrap: nowrap;
      order: 0;
    }
  }
</style>
