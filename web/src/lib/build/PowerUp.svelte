<script lang="ts">
  import type { Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';
  import { barred } from './steps';

  /** The order of first power-up, dead checks first. A live step is not to be ticked while the plan has
   *  an open stop or the step before it is open. */
  let { build }: { build: Schemas['Build'] } = $props();

  const sheet = openSheet();
  const steps = $derived(build.powerUp);
  const isDone = (id: string) => sheet.checkOf(id) !== undefined;
</script>

<ol class="mt-3 max-w-4xl">
  {#each steps as s, i (s.id)}
    {@const done = sheet.checkOf(s.id)}
    {@const why = barred(build, isDone, i)}
    {#if i === 0 || (s.live && !steps[i - 1]?.live)}
      <li class="caption pt-3" aria-hidden="true">{s.live ? 'Supply on' : 'Plug out'}</li>
    {/if}
    <li class="grid grid-cols-[1.75rem_1fr] gap-x-3 border-b border-rule py-2.5 sm:grid-cols-[1.75rem_1fr_11rem]">
      <input
        type="checkbox"
        class="mt-0.5 size-5 accent-(--iron)"
        aria-label="Step {i + 1}: {s.what}"
        disabled={why !== ''}
        checked={done !== undefined}
        onchange={(e) => sheet.check(s.id, e.currentTarget.checked)}
      />
      <div>
        <p class="font-semibold">{i + 1}. {s.what}</p>
        {#if s.expect}<p class="text-[0.94rem] text-soft">
            {s.measure ? `Measure ${s.measure}` : 'What should happen'}: {s.expect}.
          </p>{/if}
        {#if why}<p class="text-[0.94rem] text-stop">{why}</p>{/if}
        {#if done}<p class="text-sm text-good">done {done.on}</p>{/if}
      </div>
      {#if s.measure}
        <label class="col-start-2 text-sm text-soft sm:col-start-3"
          >Read
          <input
            class="blank"
            type="text"
            maxlength="60"
            value={done?.measured ?? ''}
            disabled={why !== ''}
            oninput={(e) => sheet.measured(s.id, e.currentTarget.value)}
          /></label
        >
      {/if}
    </li>
  {:else}
    <li class="py-3 text-soft">Supply, control and motor must be filled in first.</li>
  {/each}
</ol>
