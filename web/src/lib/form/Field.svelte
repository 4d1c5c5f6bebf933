<script lang="ts">
  import { openForm } from './context';
  import { fieldId } from './fieldId';

  interface Props {
    path: string;
    label: string;
    hint?: string;
    /** A numeric keyboard suits most quantities; names want letters. */
    words?: boolean;
    long?: boolean;
    plate?: boolean;
  }
  let { path, label, hint = '', words = false, long = false, plate = false }: Props = $props();

  const form = openForm();
  const id = $derived(fieldId(path));
  const error = $derived(form.errors[path]);
  const set = (e: Event) => form.set(path, (e.currentTarget as HTMLInputElement).value);
</script>

<div class="min-w-0" class:plate>
  <label for={id} class={plate ? 'caption' : 'block text-sm text-soft'}>{label}</label>
  {#if long}
    <textarea {id} class="blank" rows="3" value={form.text(path)} oninput={set} placeholder={hint}></textarea>
  {:else}
    <input
      {id}
      class="blank"
      type="text"
      autocomplete="off"
      spellcheck="false"
      enterkeyhint="next"
      maxlength={words ? 120 : undefined}
      placeholder={hint}
      value={form.text(path)}
      oninput={set}
      aria-invalid={error ? 'true' : undefined}
      aria-describedby={error ? `${id}-error` : undefined}
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
  .plate .blank {
    background: transparent;
    font-size: 1.05rem;
    min-height: 2rem;
    padding-inline: 0;
  }
  .plate .caption {
    font-size: 0.74rem;
  }
</style>
