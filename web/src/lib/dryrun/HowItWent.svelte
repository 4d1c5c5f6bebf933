<script lang="ts">
  import type { Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';

  /** What a run came to: what it found, what was tried against it, and its figures. */
  let { answer }: { answer: Schemas['DryrunAnswer'] } = $props();

  const sheet = openSheet();
</script>

<section aria-label="How it went">
  <p class="caption">How it went</p>
  <h2 class="mt-0.5 text-[1.45rem] leading-tight" aria-live="polite">{answer.headline}</h2>
  <p class="mt-1 text-sm text-soft">Simulated: nothing of it was measured.</p>
  <ol class="mt-1">
    {#each answer.findings as f (f.id)}
      <li class="flex gap-3 border-b border-rule py-2.5">
        <Mark level={f.level} size={22} />
        <div class="min-w-0 flex-1">
          {#if f.field && f.level !== 'good'}
            <button class="text-left font-semibold hover:underline" onclick={() => sheet.goTo(f.field)}
              >{f.title}</button
            >
          {:else}
            <p class="font-semibold">{f.title}</p>
          {/if}
          <p class="text-[0.94rem] text-soft">{f.detail}</p>
          {#if answer.fixes[f.id]?.length}
            <ul class="mt-1 flex flex-col gap-1" aria-label="Changes that were run">
              {#each answer.fixes[f.id] ?? [] as r (r.label)}
                <li>
                  <button class="link min-h-6 font-medium" onclick={() => sheet.applyRemedy(r)}>{r.label}</button>
                  <span class="text-soft">{r.detail}</span>
                </li>
              {/each}
            </ul>
          {/if}
        </div>
      </li>
    {/each}
  </ol>
  <dl class="mt-1">
    {#each answer.figures as f (f.name)}
      <div class="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 border-b border-dotted border-rule py-1.5">
        <dt class="font-semibold">{f.name}</dt>
        <dd class="font-semibold whitespace-nowrap">{f.value}</dd>
        <dd class="col-span-2 text-sm text-soft">{f.detail}</dd>
      </div>
    {/each}
  </dl>
</section>
