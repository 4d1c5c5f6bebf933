<script lang="ts">
  import type { Working } from '../api/client';
  import Worked from './Worked.svelte';

  /** A column of computed figures, each with its sum beside it and its working behind it. */
  let { title, workings }: { title: string; workings: Working[] } = $props();

  const standing: Record<Working['standing'], string> = {
    measured: 'measured',
    read: 'as read',
    computed: '',
    assumed: 'assumed'
  };
</script>

{#if workings.length > 0}
  <h3 class="caption mt-5">{title}</h3>
  <dl class="mt-1.5 border-l-[3px] border-iron pl-3">
    {#each workings as w (w.id)}
      <div class="grid grid-cols-[1fr_auto] gap-x-3 border-b border-dotted border-rule py-1.5 last:border-0">
        <dt>{w.label}</dt>
        <dd class="text-right font-semibold"><Worked id={w.id} /></dd>
        <dd class="col-span-2 text-[0.92rem] text-soft">
          {#if standing[w.standing]}<span
              class="mr-1.5 border border-current px-1 text-[0.78rem]"
              class:italic={w.standing === 'assumed'}>{standing[w.standing]}</span
            >{/if}{w.substituted}
        </dd>
      </div>
    {/each}
  </dl>
{/if}
