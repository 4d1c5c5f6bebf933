<script lang="ts">
  /** Rename, copy, delete: the same for a machine and for a plan. */
  interface Props {
    what: string;
    name: string;
    rename: (name: string) => Promise<void>;
    copy: () => Promise<void>;
    remove: () => Promise<void>;
  }
  let { what, name, rename, copy, remove }: Props = $props();

  let renaming = $state(false);
  let typed = $state('');

  const start = () => {
    typed = name;
    renaming = true;
  };
  const finish = async (e: SubmitEvent) => {
    e.preventDefault();
    renaming = false;
    await rename(typed);
  };
  const focus = (el: HTMLInputElement) => el.select();
</script>

{#if renaming}
  <form class="flex items-center gap-2" onsubmit={finish}>
    <input
      class="blank max-w-64"
      aria-label="New name of {what}"
      maxlength="120"
      bind:value={typed}
      use:focus
      onkeydown={(e) => e.key === 'Escape' && (renaming = false)}
    />
    <button class="button">Rename</button>
  </form>
{:else}
  <span class="flex gap-3 text-sm">
    <button class="link min-h-8" aria-label="Rename {what}" onclick={start}>rename</button>
    <button class="link min-h-8" aria-label="Copy {what}" onclick={copy}>copy</button>
    <button class="link min-h-8" aria-label="Delete {what}" onclick={remove}>delete</button>
  </span>
{/if}
