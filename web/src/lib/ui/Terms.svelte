<script lang="ts">
  import type { Piece } from '../words';

  /** A text whose special words are told when they are pointed at or focused. */
  let { text }: { text: readonly Piece[] } = $props();
</script>

{#each text as piece, i (i)}{#if piece.word}<button type="button" class="term" data-word={piece.word}
      >{piece.text}</button
    >{:else}{piece.text}{/if}{/each}

<style>
  .term {
    cursor: help;
    text-decoration: underline dotted color-mix(in srgb, var(--brass) 80%, transparent) 1px;
    text-underline-offset: 3px;
  }
</style>
