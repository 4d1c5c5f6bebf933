<script lang="ts">
  import { Popover } from 'bits-ui';
  import { openForm } from '../form/context';

  /** A computed figure that opens to its working. */
  let { id, text, class: cls = '' }: { id: string; text?: string; class?: string } = $props();

  const form = openForm();
  const working = $derived(form.workings.find((w) => w.id === id));
  const shown = $derived(text ?? working?.value ?? '—');
</script>

{#if working}
  <Popover.Root>
    <Popover.Trigger class="worked {cls}" aria-label="{working.label}: {shown}. Show the working"
      >{shown}</Popover.Trigger
    >
    <Popover.Portal>
      <Popover.Content
        role="dialog"
        class="working"
        sideOffset={6}
        collisionPadding={8}
        aria-label="Working of {working.label}"
      >
        <p class="caption">{working.label}</p>
        <p class="text-lg font-semibold">{working.value}</p>
        <p class="mt-2 font-medium">{working.formula}</p>
        <p>{working.substituted}</p>
        {#each working.assumes as line, i (i)}<p class="mt-1 text-sm text-soft">{line}.</p>{/each}
        <p class="mt-2 border-t border-rule pt-2 text-sm text-soft">
          {working.source.title}. <em>{working.source.status}</em>; this figure is {working.standing}.
        </p>
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
{:else}
  <span class={cls}>{shown}</span>
{/if}

<style>
  :global(.worked) {
    text-decoration: underline dotted color-mix(in srgb, var(--soft) 70%, transparent);
    text-underline-offset: 3px;
    text-align: inherit;
  }
  :global(.worked:hover) {
    text-decoration: underline solid var(--iron);
  }
  :global(.working) {
    z-index: 40;
    width: min(22rem, 92vw);
    background: var(--card);
    color: var(--ink);
    border: 1px solid var(--ink);
    border-radius: 3px;
    padding: 0.75rem 0.9rem;
    overflow-wrap: anywhere;
  }
</style>
