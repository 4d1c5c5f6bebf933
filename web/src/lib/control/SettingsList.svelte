<script lang="ts">
  import Worked from '../ui/Worked.svelte';
  import { openSheet } from '../sheet/context';

  /** The control's settings in the order they are set, ticked off as they are. */
  const sheet = openSheet();
  const settings = $derived(sheet.assessment?.settings ?? []);
</script>

{#if settings.length > 0}
  <div class="mt-5 flex items-baseline justify-between gap-2">
    <h3 class="caption">Settings, in the order they are set</h3>
    <a class="link" href="#/plan/{sheet.planId}/settings">print</a>
  </div>
  <ol class="mt-1.5">
    {#each settings as s (s.working)}
      {@const done = sheet.checkOf(s.working)}
      <li class="grid grid-cols-[1.75rem_1fr_auto] gap-x-2 border-b border-dotted border-rule py-1.5">
        <input
          type="checkbox"
          class="mt-0.5 size-5 accent-(--iron)"
          aria-label="{s.name} is set"
          checked={done !== undefined}
          onchange={(e) => sheet.check(s.working, e.currentTarget.checked)}
        />
        <span>{s.name}</span>
        <span class="max-w-44 text-right font-semibold"><Worked id={s.working} text={s.value} /></span>
        {#if done}<span class="col-start-2 col-end-4 text-sm text-good">set {done.on}</span>{/if}
        {#if s.watch}<span class="col-start-2 col-end-4 text-sm text-soft">{s.watch}</span>{/if}
        {#if s.other}<span class="col-start-2 col-end-4 text-sm text-soft"><em>Other school:</em> {s.other}</span>{/if}
      </li>
    {/each}
  </ol>
{/if}
