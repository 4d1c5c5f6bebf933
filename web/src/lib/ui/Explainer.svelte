<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { inWords } from '../region';
  import { meaning } from '../words';

  // One strip for every special word: whatever is pointed at or focused and names one in data-word.
  let word = $state('');
  const wordOf = (el: EventTarget | null) =>
    el instanceof Element ? el.closest<HTMLElement>('[data-word]')?.dataset.word : undefined;
  const look = (e: Event) => {
    // What was only pressed is not asked about any longer once it is left.
    const focused = document.activeElement?.matches(':focus-visible') ? wordOf(document.activeElement) : undefined;
    word = (e.type === 'focusin' ? undefined : wordOf(e.target)) ?? focused ?? '';
  };
  const means = $derived(meaning(word));
</script>

<svelte:document
  onfocusin={look}
  onfocusout={() => (word = '')}
  onpointerover={look}
  onkeydown={(e) => e.key === 'Escape' && (word = '')}
/>
<div aria-live="polite" data-screen>
  {#if means}
    <p class="explainer">
      <span class="font-semibold">{inWords(word.toLowerCase(), prefs.region)}</span>
      {inWords(means, prefs.region)}
    </p>
  {/if}
</div>

<style>
  .explainer {
    position: fixed;
    inset: auto 0 0;
    z-index: 45;
    pointer-events: none;
    border-top: 1px solid var(--ink);
    background: var(--card);
    padding: 0.4rem 1rem;
  }
  .explainer span {
    margin-right: 0.6rem;
  }
  /* On a phone the keyboard is below. */
  @media (width < 40rem) {
    .explainer {
      inset: 0 0 auto;
      border-top: 0;
      border-bottom: 1px solid var(--ink);
    }
  }
  @media print {
    .explainer {
      display: none;
    }
  }
</style>
