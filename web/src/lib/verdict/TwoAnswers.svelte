<script lang="ts">
  import type { Schemas } from '../api/client';
  import Mark from '../ui/Mark.svelte';
  import Taken from './Taken.svelte';

  interface Props {
    power: Schemas['AssessSaid'];
    does: Schemas['AssessSaid'];
    /** Goes to a field, where there is a form to go to. */
    goTo?: (field: string) => void;
  }

  /** The two answers to a plan, which are never mixed: yes, no, or not known yet with what is still to be entered. */
  let { power, does, goTo }: Props = $props();

  // What both hang on is named once, with the first.
  const also = $derived(
    power.answer === 'unknown' ? does.hangs.filter((h) => !power.hangs.some((p) => p.field === h.field)) : does.hangs
  );
  const answers = $derived([
    { asked: 'May it be powered?', said: power, hangs: power.hangs },
    { asked: 'Does it do the jobs?', said: does, hangs: also }
  ]);
</script>

<dl class="mt-2 grid grid-cols-[auto_1fr] gap-x-2.5 gap-y-1.5">
  {#each answers as { asked, said, hangs } (asked)}
    <dt class="contents"><Mark level={said.mark} size={20} /><span class="sr-only">{asked}</span></dt>
    <dd class="min-w-0">
      <span class="text-soft" aria-hidden="true">{asked}</span>
      {#if goTo && said.answer === 'unknown' && said.hangs.length > 0}
        Not known yet. {#if hangs.length > 0}Still to be entered{hangs.length < said.hangs.length
            ? ', besides those'
            : ''}:{:else}It hangs on the same.{/if}
        <ul class="hangs">
          {#each hangs as one (one.field + one.text)}
            <li>
              <button
                class="link text-left"
                aria-label="Still to be entered: {one.text}"
                onclick={() => goTo(one.field)}>{one.text}</button
              >
            </li>
          {/each}
        </ul>
      {:else}
        {said.text}
      {/if}
      <Taken taken={said.taken} {goTo} />
    </dd>
  {/each}
</dl>

<style>
  .hangs {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.9rem;
  }
</style>
