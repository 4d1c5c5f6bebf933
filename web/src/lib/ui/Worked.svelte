<script lang="ts">
  import { openForm } from '../form/context';
  import Derived from './Derived.svelte';

  /** A computed figure of the form it stands in, which opens to its working. */
  let { id, text, class: cls = '' }: { id: string; text?: string; class?: string } = $props();

  const form = openForm();
  const working = $derived(form.workings.find((w) => w.id === id));
</script>

{#if working}
  <Derived {working} text={text ?? working.value} class={cls} />
{:else}
  <span class={cls}>{text ?? '—'}</span>
{/if}
