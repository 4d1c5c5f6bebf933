<script lang="ts">
  import type { Snippet } from 'svelte';
  import { prefs, type Theme } from '../prefs.svelte';
  import Segments from './Segments.svelte';

  let { children, tools }: { children?: Snippet; tools?: Snippet } = $props();

  const next: Record<Theme, Theme> = { system: 'night', night: 'day', day: 'system' };
  const words: Record<Theme, string> = { system: 'as system', night: 'night', day: 'day' };
</script>

<header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-card px-4 py-1.5">
  <a href="#/" class="font-head text-[1.6rem] leading-none font-semibold tracking-wide">Jiriki</a>
  <div class="order-last flex min-w-0 basis-full flex-wrap items-center gap-x-2 lg:order-none lg:flex-1 lg:basis-0">
    {@render children?.()}
  </div>
  <div class="ml-auto flex flex-wrap items-center gap-3">
    <a class="caption hover:underline" href="#/shelf">shelf</a>
    {@render tools?.()}
    <button
      class="caption min-h-8 px-1 hover:underline"
      onclick={() => prefs.setTheme(next[prefs.theme])}
      aria-label="Light: {words[prefs.theme]}. Change">{words[prefs.theme]}</button
    >
    <Segments
      label="Units shown"
      value={prefs.units}
      options={[
        ['metric', 'metric'],
        ['inch', 'inch']
      ]}
      onchange={(u) => prefs.setUnits(u)}
    />
  </div>
</header>
