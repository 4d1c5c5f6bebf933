<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Working } from '../api/client';

  /** A figure that opens to the working it is given. */
  let { working, text, class: cls = '' }: { working: Working; text?: string; class?: string } = $props();

  const shown = $derived(text ?? working.value);

  // A sheet shows scores of these and opens one: the card and what floats it are made when it is opened.
  let open = $state(false);
  let button = $state<HTMLButtonElement>();
</script>

<button
  bind:this={button}
  class="worked {cls}"
  aria-haspopup="dialog"
  aria-expanded={open}
  aria-label="{working.label}: {shown}. Show the working"
  onclick={() => (open = !open)}>{shown}</button
>
{#if open && button}
  <Popover.Root bind:open>
    <Popover.Portal>
      <Popover.Content
        role="dialog"
        class="working"
        customAnchor={button}
        onCloseAutoFocus={(e) => {
          e.preventDefault();
          button?.focus();
        }}
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
