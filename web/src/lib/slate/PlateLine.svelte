<script lang="ts">
  import type { Schemas } from '../api/client';

  /** What a plate came to, and what on it no entry was made of: that is said, so that nobody thinks it was taken. */
  let { reply }: { reply: Schemas['SlateReply'] } = $props();
</script>

{#if reply.plate.length > 0}
  Read: {reply.plate.map((f) => f.text).join(' · ')}.{reply.left.length > 0
    ? ` Not read: ${reply.left.join(' · ')}.`
    : ''}
{/if}
