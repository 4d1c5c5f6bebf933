<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { wordIn } from '../words';
  import { inWords } from '../region';
  import { openForm } from './context';
  import { fieldId } from './fieldId';

  interface Props {
    path: string;
    label: string;
    options: readonly (readonly [value: string, words: string])[];
    /** What an empty value means. */
    fallback?: string;
    plate?: boolean;
    /** What picking one does, where more comes of it than the value. */
    onpick?: (value: string) => void;
  }
  let { path, label, options, fallback = '', plate = false, onpick }: Props = $props();

  const form = openForm();
  const id = $derived(fieldId(path));
  const error = $derived(form.errors[path]);
  const value = $derived(form.text(path) || fallback);
  /** Half a bench has no room for what may be chosen here. */
  const long = $derived(options.some(([, words]) => words.length > 18));
</script>

<div class="min-w-0" class:col-span-2={long} data-word={wordIn(label)}>
  <label for={id} class={plate ? 'caption' : 'block text-sm text-soft'}>{inWords(label, prefs.region)}</label>
  <select
    {id}
    class="blank"
    class:plate
    {value}
    onchange={(e) => (onpick ? onpick(e.currentTarget.value) : form.set(path, e.currentTarget.value))}
    aria-invalid={error ? 'true' : undefined}
    aria-describedby={error ? `${id}-error` : undefined}
  >
    {#if fallback === ''}<option value="">{plate ? '—' : 'choose'}</option>{/if}
    {#each options as [v, words] (v)}<option value={v}>{inWords(words, prefs.region)}</option>{/each}
  </select>
  {#if error}<p id="{id}-error" class="mt-0.5 text-sm text-stop">{error}</p>{/if}
</div>

<style>
  .plate {
    background: transparent;
    padding-inline: 0;
    min-height: 2rem;
  }
  option {
    background: var(--card);
    color: var(--ink);
  }
</style>
