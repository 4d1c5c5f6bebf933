<script lang="ts">
  import type { ReadOut } from './readOut';
  import { figure } from './scale';

  interface Props {
    of: NonNullable<ReadOut['of']>;
    rpm: number;
    /** A torque at the speed, as torque and as power. */
    says: (nm: number, rpm: number) => string;
    several: boolean;
    /** It stands on the left, out of the way of what is pointed at. */
    left: boolean;
  }
  let { of, rpm, says, several, left }: Props = $props();
</script>

<div class="readout" class:left aria-hidden="true">
  <p class="font-semibold">{figure(rpm)} rpm{several ? `, ${of.position.label}` : ''}</p>
  <p>all day {says(of.continuous, rpm)}</p>
  <p class="text-soft">held by {of.limit?.continuous}</p>
  <p>5 in 15 min {says(of.intermittent, rpm)}</p>
  <p class="text-soft">held by {of.limit?.intermittent}</p>
  <p>seconds {says(of.peak, rpm)}</p>
  <p class="text-soft">held by {of.limit?.peak}</p>
</div>

<style>
  .readout {
    position: absolute;
    top: 2.5rem;
    right: 1.5rem;
    background: var(--card);
    border: 1px solid var(--rule);
    border-radius: 3px;
    padding: 0.4rem 0.7rem;
    font-size: 0.9rem;
    pointer-events: none;
  }
  .readout.left {
    right: auto;
    left: 3.6rem;
  }
</style>
