<script lang="ts" generics="T extends object">
  import type { Snippet } from 'svelte';
  import { openForm } from './context';

  interface Props {
    path: string;
    /** One of them, such as "part". */
    noun: string;
    blank: T;
    most?: number;
    row: Snippet<[at: string, i: number]>;
  }
  let { path, noun, blank, most = 20, row }: Props = $props();

  /** A list of groups of fields, to add to and take from. */
  const form = openForm();
  const list = $derived((form.value(path) as T[] | undefined) ?? []);
  const add = () => form.edit(path, [...$state.snapshot(list), { ...blank }]);
  const drop = (i: number) =>
    form.edit(
      path,
      $state.snapshot(list).filter((_, k) => k !== i)
    );
</script>

{#each list.keys() as i (i)}
  <div class="border-l-2 border-rule pl-2.5">
    {@render row(`${path}[${i}]`, i)}
    <button class="link text-sm" aria-label="Remove this {noun}, number {i + 1}" onclick={() => drop(i)}
      >remove this {noun}</button
    >
  </div>
{/each}
{#if list.length < most}<button class="link justify-self-start" onclick={add}>add a {noun}</button>{/if}
