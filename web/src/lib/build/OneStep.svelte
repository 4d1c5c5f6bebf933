<script lang="ts">
  import type { Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import { barred } from './steps';

  /** The first power-up a step at a time, to be read at arm's length with one hand free. */
  let { build }: { build: Schemas['Build'] } = $props();

  const sheet = openSheet();
  const steps = $derived(build.powerUp);
  const isDone = (id: string) => sheet.checkOf(id) !== undefined;
  const firstOpen = $derived(
    Math.max(
      steps.findIndex((s) => !isDone(s.id)),
      0
    )
  );
  let chosen = $state<number>();
  const i = $derived(Math.min(chosen ?? firstOpen, steps.length - 1));
  const step = $derived(steps[i]);
  const done = $derived(step && sheet.checkOf(step.id));
  const why = $derived(barred(build, isDone, i));
  const finish = () => {
    if (!step) return;
    if (!done) sheet.check(step.id, true);
    chosen = Math.min(i + 1, steps.length - 1);
  };
</script>

{#if step}
  <div class="flex min-h-[24rem] flex-col">
    <p class="caption mt-2">Step {i + 1} of {steps.length}, {step.live ? 'supply on' : 'plug out'}</p>
    <p class="mt-1 font-head text-[1.9rem] leading-tight font-semibold">{step.what}</p>
    {#if step.expect}<p class="mt-2 text-lg">
        {step.measure ? `Measure ${step.measure}` : 'What should happen'}: {step.expect}.
      </p>{/if}
    {#if step.measure}
      <label class="mt-3 block"
        >Read
        <input
          class="blank min-h-12! text-xl"
          type="text"
          maxlength="60"
          value={done?.measured ?? ''}
          disabled={why !== ''}
          oninput={(e) => {
            chosen = i; // with a reading it counts as done, and is still looked at
            sheet.measured(step.id, e.currentTarget.value);
          }}
        /></label
      >
    {/if}
    {#if why}<p class="mt-3 border-l-4 border-stop pl-3 text-stop">{why}</p>{/if}
    <div class="mt-auto grid grid-cols-2 gap-2.5 pt-4">
      {#if done}
        <p class="col-span-2 flex items-center justify-between text-good">
          done {done.on} <button class="link min-h-11" onclick={() => sheet.check(step.id, false)}>not done</button>
        </p>
      {/if}
      <button class="button primary col-span-2 min-h-16! text-xl" disabled={why !== ''} onclick={finish}
        >{done ? 'Go on' : 'Done'}</button
      >
      <button class="button min-h-14!" disabled={i === 0} onclick={() => (chosen = i - 1)}>Step before</button>
      <button class="button min-h-14!" disabled={i === steps.length - 1} onclick={() => (chosen = i + 1)}
        >Next step</button
      >
    </div>
  </div>
{:else}
  <p class="py-3 text-soft">Supply, control and motor must be filled in first.</p>
{/if}
