<script lang="ts">
  import Derived from '../ui/Derived.svelte';
  import type { Answer } from './fill';
  import type { SlateState } from './slate.svelte';

  /** What a question came to, figure beside figure, and what was not understood of it. */
  interface Props {
    slate: SlateState;
    onlike: (text: string) => void;
    take: (answer: Answer) => void;
    /** What taking an answer is called. */
    takes: (answer: Answer) => string;
  }
  let { slate, onlike, take, takes }: Props = $props();

  const reply = $derived(slate.reply);
</script>

<div aria-live="polite" class="pb-3">
  {#if slate.problem}<p class="pt-2 text-stop">{slate.problem}</p>{/if}
  {#if reply}
    <ul class="answers">
      {#each reply.answers as a, i (i)}
        <li>
          <p>
            <Derived working={a.working} text={a.text} class="font-head text-3xl font-semibold" />
            <span class="text-soft">{a.says}</span>
          </p>
          <p class="text-sm text-soft">{[a.also, a.working.substituted].filter(Boolean).join('; ')}</p>
          {#if a.note}<p class="text-sm font-medium">{a.note}</p>{/if}
          {#if a.offer}<button class="link text-left text-sm" onclick={() => take(a)}>{takes(a)}</button>{/if}
        </li>
      {/each}
    </ul>
    {#if reply.unread}
      <p class="pt-2 text-soft">
        {reply.unread}
        {#each reply.like as like, i (like)}{i === 0 ? ' Such as ' : ', '}<button
            class="link"
            onclick={() => onlike(like)}>{like}</button
          >{/each}
      </p>
    {/if}
  {/if}
</div>

<style>
  .answers {
    display: flex;
    flex-wrap: wrap;
    row-gap: 0.5rem;
  }
  li {
    max-width: 21rem;
    padding: 0.5rem 1rem 0.25rem 1rem;
    border-left: 1px solid var(--rule);
  }
  li:first-child {
    padding-left: 0;
    border-left: 0;
  }
  @media (width < 40rem) {
    .answers {
      flex-direction: column;
    }
    li {
      max-width: none;
      padding-left: 0;
      border-left: 0;
    }
  }
</style>
