<script lang="ts">
  import type { Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import Mark from '../ui/Mark.svelte';
  import { standing } from './steps';

  /** The order of first power-up, dead checks first. What is read is judged: what fails is not ticked, and holds what
   *  follows. */
  let { build }: { build: Schemas['Build'] } = $props();

  const sheet = openSheet();
  const steps = $derived(build.powerUp);
</script>

<ol class="mt-3 max-w-4xl">
  {#each steps as s, i (s.id)}
    {@const check = sheet.checkOf(s.id)}
    {@const stands = standing(s, check)}
    {#if i === 0 || (s.live && !steps[i - 1]?.live)}
      <li class="caption pt-3" aria-hidden="true">{s.live ? 'Supply on' : 'Plug out'}</li>
    {/if}
    <li class="grid grid-cols-[1.75rem_1fr] gap-x-3 border-b border-rule py-2.5 sm:grid-cols-[1.75rem_1fr_11rem]">
      <input
        type="checkbox"
        class="mt-0.5 size-5 accent-(--iron)"
        aria-label="Step {i + 1}: {s.what}"
        disabled={!stands.may && !stands.done}
        checked={stands.done}
        onchange={(e) => sheet.check(s.id, e.currentTarget.checked)}
      />
      <div>
        <p class="font-semibold">{i + 1}. {s.what}</p>
        {#if s.expect}<p class="text-[0.94rem] text-soft">
            {s.measure ? `Measure ${s.measure}` : 'What should happen'}: {s.expect}.
          </p>{/if}
        {#if stands.fails}
          <p class="mt-1 flex gap-2 font-semibold text-stop" role="alert"><Mark level="stop" />{stands.why}</p>
        {:else if stands.why}<p class="text-[0.94rem] text-stop">
            {stands.why}
            {#if s.id === 'power.settings' && s.held}<button
                class="link"
                onclick={() => sheet.goTo('control.limitAmps')}>to the settings</button
              >{/if}
          </p>{/if}
        {#if stands.done}<p class="text-sm text-good">done {check?.on}</p>{/if}
      </div>
      {#if s.measure}
        <label class="col-start-2 text-sm text-soft sm:col-start-3"
          >Read
          <input
            class="blank"
            type="text"
            maxlength="60"
            aria-invalid={stands.fails}
            value={check?.measured ?? ''}
            disabled={s.held !== '' && !check}
            oninput={(e) => sheet.measured(s.id, e.currentTarget.value)}
          /></label
        >
      {/if}
    </li>
  {:else}
    <li class="py-3 text-soft">Supply, control and motor must be filled in first.</li>
  {/each}
</ol>
