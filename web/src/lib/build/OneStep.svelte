<script lang="ts">
  import type { Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';
  import { standing } from './steps';

  /** The first power-up a step at a time, to be read at arm's length with one hand free. */
  let { build }: { build: Schemas['Build'] } = $props();

  const sheet = openSheet();
  const steps = $derived(build.powerUp);
  const firstOpen = $derived(
    Math.max(
      steps.findIndex((s) => !standing(s, sheet.checkOf(s.id)).done),
      0
    )
  );
  let chosen = $state<number>();
  const i = $derived(Math.min(chosen ?? firstOpen, steps.length - 1));
  const step = $derived(steps[i]);
  const check = $derived(step && sheet.checkOf(step.id));
  const stands = $derived(step && standing(step, check));
  const finish = () => {
    if (!step) return;
    if (!stands?.done) sheet.check(step.id, true);
    chosen = Math.min(i + 1, steps.length - 1);
  };
</script>

{#if step && stands}
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
          aria-invalid={stands.fails}
          value={check?.measured ?? ''}
          disabled={step.held !== '' && !check}
          oninput={(e) => {
            chosen = i; // what is being read is still looked at
            sheet.measured(step.id, e.currentTarget.value);
          }}
        /></label
      >
    {/if}
    {#if stands.why}
      <p class="mt-3 flex gap-2 border-l-4 border-stop pl-3 text-stop" role={stands.fails ? 'alert' : undefined}>
        {#if stands.fails}<Mark level="stop" />{/if}<span
          >{stands.why}
          {#if step.id === 'power.settings' && step.held}
            <button class="link" onclick={() => sheet.goTo('control.limitAmps')}>to the settings</button>
          {/if}</span
        >
      </p>
    {/if}
    <div class="mt-auto grid grid-cols-2 gap-2.5 pt-4">
      {#if stands.done}
        <p class="col-span-2 flex items-center justify-between text-good">
          done {check?.on} <button class="link min-h-11" onclick={() => sheet.check(step.id, false)}>not done</button>
        </p>
      {/if}
      <button
        class="button primary col-span-2 min-h-16! text-xl"
        disabled={!stands.may && !stands.done}
        onclick={finish}>{stands.done ? 'Go on' : 'Done'}</button
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
