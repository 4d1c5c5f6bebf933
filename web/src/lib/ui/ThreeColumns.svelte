<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A view in three columns on a desk, each scrolled by itself; on a tablet and a phone they stand as told. */
  interface Props {
    label: string;
    left: Snippet;
    middle: Snippet;
    right: Snippet;
    /** What the right column is, for who comes to it by keys. */
    rightLabel: string;
    /** How the columns stand on a tablet and on a phone, as grid areas: left, middle, right. */
    tablet: string;
    phone: string;
    widths?: string;
  }
  let {
    label,
    left,
    middle,
    right,
    rightLabel,
    tablet,
    phone,
    widths = 'minmax(16rem, 20rem) minmax(0, 1fr) minmax(16rem, 19.5rem)'
  }: Props = $props();
</script>

<section aria-label={label} class="three" style:--widths={widths} style:--tablet={tablet} style:--phone={phone}>
  <div class="left">{@render left()}</div>
  <div class="middle">{@render middle()}</div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="right" role="group" aria-label={rightLabel} tabindex="0">{@render right()}</div>
</section>

<style>
  .three {
    display: grid;
    min-height: 100%;
    grid-template: 'left middle right' 1fr / var(--widths);
  }
  .left,
  .middle,
  .right {
    /* What is there for readers alone stays within its column. */
    position: relative;
    min-width: 0;
  }
  .left {
    grid-area: left;
    padding: 0.9rem 1.1rem 2rem;
    border-right: 1px solid var(--rule);
  }
  .middle {
    grid-area: middle;
    padding: 0.8rem 0 2rem;
  }
  .right {
    grid-area: right;
    padding: 0.9rem 1rem 2rem;
    border-left: 1px solid var(--rule);
    background: var(--card);
  }
  @media (min-width: 66rem) {
    .three {
      height: 100%;
    }
    .left,
    .middle,
    .right {
      overflow-y: auto;
    }
  }
  @media (max-width: 65.99rem) {
    .three {
      grid-template: none;
      grid-template-columns: minmax(0, 1fr) minmax(15rem, 38%);
      grid-template-areas: var(--tablet);
      grid-template-rows: auto 1fr;
    }
    .left {
      border-right: 0;
      border-block: 1px solid var(--rule);
    }
  }
  @media (max-width: 40rem) {
    .three {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: var(--phone);
      grid-template-rows: auto;
    }
    .left,
    .right {
      border: 0;
    }
  }
</style>
