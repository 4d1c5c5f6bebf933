<script lang="ts">
  import { untrack } from 'svelte';
  import { openForm } from '../form/context';
  import { hintFor } from '../form/hints';
  import { prefs } from '../prefs.svelte';
  import PlateLine from '../slate/PlateLine.svelte';
  import { SlateState } from '../slate/slate.svelte';

  /** A plate typed as it reads, in one line: what of it is read goes to the blanks at one press. */
  let { at }: { at: string } = $props();

  const form = openForm();
  const slate = new SlateState();
  const id = $props.id();
  $effect(() => () => slate.stop());
  $effect(() => {
    if (prefs.units) untrack(() => slate.again());
  });
  const fills = $derived(slate.reply?.plate ?? []);
  const take = (e: SubmitEvent) => {
    e.preventDefault();
    for (const f of fills) form.set(at + f.field.slice('motor'.length), f.text);
    slate.ask('');
  };
</script>

<details class="mb-2">
  <summary class="link text-sm">type the plate in one line</summary>
  <form onsubmit={take} class="mt-1">
    <label for={id} class="block text-sm text-soft">Its plate, as it reads</label>
    <input
      {id}
      class="blank"
      maxlength="200"
      autocomplete="off"
      spellcheck="false"
      placeholder={hintFor('0.6 kW, 930 rpm, 230 V, 4.9 A', prefs.units, prefs.region)}
      value={slate.typed}
      oninput={(e) => slate.ask(e.currentTarget.value)}
    />
    <p class="mt-1 flex min-h-6 gap-3 text-sm text-soft" aria-live="polite">
      {#if slate.reply && fills.length > 0}<span><PlateLine reply={slate.reply} /></span>
        <button class="link flex-none">put it on the plate</button>
      {:else if slate.reply}Nothing on it could be read: figures with their units, such as 900 rpm.{/if}
    </p>
  </form>
</details>
