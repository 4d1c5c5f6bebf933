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
    print?: () => void;
  }
  let { children, tools, menu, print }: Props = $props();
</script>

<header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-card px-4 py-1.5">
  <a href="#/" class="font-head text-[1.6rem] leading-none font-semibold tracking-wide">Jiriki</a>
  <div
    class="order-last flex min-w-0 basis-full flex-wrap items-center gap-x-2 lg:order-none lg:flex-1 lg:basis-0 lg:flex-nowrap"
  >
    {@render children?.()}
  </div>
  <div class="ml-auto flex flex-wrap items-center gap-3">
    <a class="caption hover:underline" href="#/shelf">shelf</a>
    {@render tools?.()}
    <div class="max-sm:hidden">
      <Segments label="Units shown" value={prefs.units} options={unitChoices} onchange={(u) => prefs.setUnits(u)} />
    </div>
    <MoreMenu {print}>{@render menu?.()}</MoreMenu>
  </div>
</header>
