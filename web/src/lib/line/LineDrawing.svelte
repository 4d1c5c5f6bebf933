<script lang="ts">
  import type { Drawing } from '../api/client';
  import type { Play } from '../dryrun/play.svelte';
  import Stages from './Stages.svelte';
  import ControlBox from './ControlBox.svelte';
  import MotorBody from './MotorBody.svelte';
  import Tool from './Tool.svelte';
  import { stagesExtent } from './stages';
  import { waves } from './waves';

  /** The whole line as one stroke from wall to work, motor and wheels to one scale. */
  interface Props {
    drawing: Drawing;
    captioned?: boolean;
    play?: Play;
    height?: number;
  }
  let { drawing, captioned = false, play, height = 104 }: Props = $props();

  /** What turns by how much, where a run is played and may move. */
  const motorTurns = $derived(play?.turns ? play.motorTurns : undefined);
  const spindleTurns = $derived(play?.turns ? play.spindleTurns : undefined);
  const off = $derived(play?.moment !== undefined && play.moment.volts === 0 && play.moment.amps === 0);
  const outPhase = $derived(
    !play?.turns || off ? 0 : drawing.control.startsWith('inverter') ? play.motorPhase : play.linePhase
  );

  let given = $state(1280);
  /** Narrower than this the whole drawing shrinks instead of crowding. */
  const width = $derived(Math.max(given, 680));
  const y = $derived(height / 2);
  const shares = [14.5, 17.5, 18, 23, 27];
  const edge = (i: number) => (shares.slice(0, i).reduce((a, b) => a + b, 0) / 100) * width;

  /** Shafts are drawn side on, wheels end on: two views, and the second stands in a frame of its own. */
  const endOn = $derived(drawing.stages.some((s) => s.kind !== 'direct'));
  const frameFrom = $derived(edge(3) + 8);
  const frameTo = $derived(edge(4) - 6);
  const extent = $derived(stagesExtent(drawing.stages));
  // One scale for motor and wheels: the largest that fits the height and both columns.
  const scale = $derived(
    Math.min(
      (height - 30) / Math.max(drawing.motor.diameter, extent.tallest * 0.82, 1),
      (edge(3) - edge(2) - 56) / drawing.motor.length,
      (frameTo - frameFrom - 20) / Math.max(extent.width, 1),
      0.62
    )
  );
  const box = $derived(edge(1) + 8);
  const boxWidth = 84;
  const motorX = $derived(edge(2) + 22);
  const shaftEnd = $derived(endOn ? frameFrom - 12 : edge(3) + 10);
  const stagesX = $derived(frameFrom + (frameTo - frameFrom - extent.width * scale) / 2);
  const toolX = $derived(edge(4) + 8);
  const lastShaft = $derived(stagesX + extent.last * scale);
</script>

<div bind:clientWidth={given} class="h-full w-full">
  <svg class="h-auto w-full" viewBox="0 0 {width} {height}" aria-hidden="true">
    {#each waves(drawing.phases, 12, box, y, 30, play?.turns ? play.linePhase : 0) as d, i (i)}<path
        {d}
        class="wire"
      />{/each}
    <path d="M{motorX} {y}H{width - 60}" class="centre" />
    {#if endOn}
      <rect x={frameFrom} y="1" width={frameTo - frameFrom} height={height - 2} class="frame" />
      {#if captioned}<text x={frameFrom + 5} y="12" class="view">end on</text>{/if}
    {/if}
    <g class:off><ControlBox kind={drawing.control} x={box} {y} width={boxWidth} wireTo={motorX} phase={outPhase} /></g>
    <MotorBody motor={drawing.motor} x={motorX} {y} {scale} {shaftEnd} turns={motorTurns} />
    {#if endOn}
      {#each [shaftEnd, frameTo + 10] as at (at)}<path d="M{at} {y - 9}c5 6 -5 12 0 18" class="break" />{/each}
    {/if}
    <Stages stages={drawing.stages} x={stagesX} {y} {scale} turns={motorTurns} steps={play?.steps} />
    <Tool
      kind={drawing.tool}
      shaftFrom={endOn ? frameTo + 10 : drawing.stages.length > 0 ? lastShaft : shaftEnd}
      x={toolX}
      {y}
      room={width - toolX}
      size={Math.min(Math.max(drawing.toolMm * scale, 40), height - 12)}
      turns={spindleTurns}
    />
  </svg>
</div>

<style>
  .wire {
    fill: none;
    stroke: var(--iron);
    stroke-width: 2;
  }
  .off {
    opacity: 0.45;
  }
  .frame {
    fill: var(--card);
    stroke: var(--rule);
    stroke-width: 1;
  }
  .view {
    fill: var(--soft);
    font-family: var(--font-head);
    font-size: 11px;
    letter-spacing: 0.06em;
  }
  .break {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .centre {
    stroke: var(--soft);
    stroke-width: 1;
    stroke-dasharray: 12 3 3 3;
  }
</style>
