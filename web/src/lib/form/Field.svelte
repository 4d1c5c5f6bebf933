<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { wordIn } from '../words';
  import { inWords } from '../region';
  import { openForm } from './context';
  import { fieldId } from './fieldId';
  import { hintFor } from './hints';
  import Quantity from './Quantity.svelte';
  import { besideOf, inMoney } from './units';

  interface Props {
    path: string;
    label: string;
    /** What might stand there, in metric. */
    hint?: string;
    /** A name or a note: nothing is read out of it. */
    words?: boolean;
    long?: boolean;
    plate?: boolean;
    /** The unit of a bare number, where it goes by more than the field. */
    unit?: string;
  }
  let { path, label, hint = '', words = false, long = false, plate = false, unit }: Props = $props();

  const form = openForm();
  const id = $derived(fieldId(path));
  const error = $derived(form.errors[path]);
  const placeholder = $derived(hintFor(hint, prefs.units, prefs.region));
  const beside = $derived(unit === undefined ? besideOf(path, prefs.units) : { shown: unit, kept: '' });
  const set = (e: Event) => form.set(path, (e.currentTarget as HTMLInputElement).value);
</script>

<div class="min-w-0" class:plate data-word={wordIn(label)}>
  <label for={id} class={plate ? 'caption' : 'block text-sm text-soft'}>{inWords(label, prefs.region)}</label>
  {#if long}
    <textarea {id} class="blank" rows="3" value={form.text(path)} oninput={set} {placeholder}></textarea>
  {:else if words}
    <input
      {id}
      class="blank"
      type="text"
      autocomplete="off"
      spellcheck="false"
      enterkeyhint="next"
      maxlength="120"
      {placeholder}
      value={form.text(path)}
      oninput={set}
      aria-invalid={error ? 'true' : undefined}
      aria-describedby={error ? `${id}-error` : undefined}
    />
  {:else}
    <Quantity
      {id}
      value={form.text(path)}
      {...path === 'cost' ? inMoney(prefs.money) : { beside }}
      hint={placeholder}
      mixed={plate}
      invalid={!!error}
      describedby={error ? `${id}-error` : undefined}
      onchange={(text) => form.set(path, text)}
    />
  {/if}
  {#if error}<p id="{id}-error" class="mt-0.5 text-sm text-stop">{error}</p>{/if}
</div>

<style>
  .blank::placeholder {
    color: color-mix(in srgb, var(--soft) 75%, transparent);
    font-weight: 400;
    font-style: italic;
  }
  .plate :global(.blank) {
    background: transparent;
    font-size: 1.05rem;
    min-height: 2rem;
    padding-inline: 0;
  }
  .plate .caption {
    font-size: 0.74rem;
  }
</style>
