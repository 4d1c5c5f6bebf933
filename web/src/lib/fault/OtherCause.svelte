<script lang="ts">
  import type { Schemas } from '../api/client';
  import Cures from './Cures.svelte';

  /** It was something else: any cause this line can have, or the person's own words for one. */
  type Cause = Schemas['FaultCause'];
  interface Props {
    others: Cause[];
    log: (cause: Cause, how: 'mended' | 'replaced') => void;
  }
  const { others, log }: Props = $props();

  let words = $state('');
  let chosen = $state('');
  const said = $derived(words.trim().toLowerCase().split(/\s+/).filter(Boolean));
  const fits = $derived(
    others
      .filter((c) => said.every((w) => `${c.words} ${c.part}`.toLowerCase().includes(w)))
      .slice(0, said.length ? 12 : 6)
  );
  const own = $derived<Cause>({ id: '', words: words.trim(), part: '', mend: '', replace: '', station: 'work' });
</script>

<details class="mt-2">
  <summary class="link min-h-9">
    it was something else{#if others.length > 0}: {others.length} less likely{/if}
  </summary>
  <label class="mt-1 block text-sm text-soft" for="other-cause">What was it?</label>
  <input
    id="other-cause"
    class="blank"
    maxlength="200"
    autocomplete="off"
    value={words}
    oninput={(e) => (words = e.currentTarget.value)}
  />
  <ul aria-label="Other causes">
    {#each fits as c (c.id)}
      <li class="border-b border-dotted border-rule py-1">
        <button
          class="link min-h-9 text-left"
          aria-expanded={chosen === c.id}
          onclick={() => (chosen = chosen === c.id ? '' : c.id)}>{c.words}</button
        >
        {#if chosen === c.id}<Cures cause={c} mended="" {log} />{/if}
      </li>
    {/each}
  </ul>
  {#if own.words}
    <p class="mt-2 text-sm text-soft">None of these? In your own words:</p>
    <div class="mt-1 flex flex-wrap gap-2">
      <button class="button flex-1" onclick={() => log(own, 'mended')}>Mended: log “{own.words}”</button>
      <button class="button flex-1" onclick={() => log(own, 'replaced')}>Replaced: log “{own.words}”</button>
    </div>
  {/if}
</details>
