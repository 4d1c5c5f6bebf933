<script lang="ts">
  import { untrack } from 'svelte';
  import { hintFor } from '../form/hints';
  import { prefs } from '../prefs.svelte';
  import Answers from './Answers.svelte';
  import { SlateState } from './slate.svelte';

  /** The blank that answers a question typed in shop words. */
  const kept = 'jiriki.slate';
  const slate = new SlateState();
  const ask = (text: string) => {
    slate.ask(text);
    sessionStorage.setItem(kept, text);
  };
  $effect(() => {
    void prefs.answers;
    untrack(() => (slate.typed ? slate.again() : slate.ask(sessionStorage.getItem(kept) ?? '')));
  });
  $effect(() => () => slate.stop());
</script>

<section aria-label="The slate" class="border-b border-rule bg-card px-4 pt-3">
  <label for="slate" class="sr-only">Type what you have, in shop words</label>
  <input
    id="slate"
    class="slate"
    autocomplete="off"
    spellcheck="false"
    enterkeyhint="search"
    maxlength="300"
    placeholder="type what you have: 1.4 hp at 2850 rpm, wheel {hintFor('180 mm', prefs.units, prefs.region)}"
    value={slate.typed}
    oninput={(e) => ask(e.currentTarget.value)}
  />
  <Answers {slate} onlike={ask} take={(a) => void slate.start(a)} takes={(a) => `start a plan with ${a.offer}`} />
</section>

<style>
  .slate {
    width: 100%;
    min-height: 2.75rem;
    background: transparent;
    border-bottom: 2px solid var(--ink);
    font-size: 1.5rem;
  }
  .slate::placeholder {
    color: var(--soft);
    font-style: italic;
    font-size: 1.15rem;
  }
</style>
