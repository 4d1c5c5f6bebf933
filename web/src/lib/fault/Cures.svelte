<script lang="ts">
  import type { Schemas } from '../api/client';

  /** What puts a cause right: repair beside replacement, either to be logged once it is done. */
  interface Props {
    cause: Schemas['FaultCause'];
    /** It was found, and not just taken for it. */
    found?: boolean;
    mended: string;
    log: (cause: Schemas['FaultCause'], how: 'mended' | 'replaced') => void;
  }
  const { cause, found = false, mended, log }: Props = $props();
</script>

<div class="mt-2 grid gap-x-6 gap-y-2" class:both={cause.mend && cause.replace && found}>
  {#if cause.mend}
    <div>
      <p class="caption">{cause.replace ? 'Repair' : 'What puts it right'}</p>
      <p>{cause.mend}</p>
      {#if !mended}
        <button class="button mt-2" class:primary={found} onclick={() => log(cause, 'mended')}>Mended: log it</button>
      {/if}
    </div>
  {/if}
  {#if cause.replace}
    <div>
      <p class="caption">{cause.mend ? 'Or replace' : 'Replace'}</p>
      <p>{cause.replace}</p>
      {#if !mended}
        <button class="button mt-2" class:primary={found && !cause.mend} onclick={() => log(cause, 'replaced')}
          >Replaced: log it</button
        >
      {/if}
    </div>
  {/if}
</div>

<style>
  .both {
    grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
  }
</style>
