<script lang="ts">
  import { Tabs } from 'bits-ui';
  import type { Drawing, Station, StationName } from '../api/client';
  import Mark from '../ui/Mark.svelte';
  import Worked from '../ui/Worked.svelte';
  import type { Play } from '../dryrun/play.svelte';
  import { figure } from '../reach/scale';
  import LineDrawing from './LineDrawing.svelte';

  interface Props {
    stations: Station[];
    drawing: Drawing;
    selected: StationName;
    onselect: (station: StationName) => void;
    /** A dry run that is played: the line turns with it, and its stations have meters. */
    play?: Play;
    /** Starts the machine on the sheet, as its dry run has it; or stops watching that. */
    onstart?: () => void;
    starting?: boolean;
  }
  let { stations, drawing, selected, onselect, play, onstart, starting = false }: Props = $props();

  /** What the meters show at a moment of the run; the other stations keep their figures. */
  const meters = $derived.by((): Partial<Record<StationName, string[]>> => {
    const m = play?.moment;
    const units = play?.units;
    if (!m || !units) return {};
    return {
      supply: [m.watts >= 999.5 ? `${figure(m.watts / 1000)} kW` : `${figure(m.watts)} W`],
      reduction: [`${figure(m.passed / units.torqueSi)} ${units.torque} through it`],
      control: [`${figure(m.volts)} V`],
      motor: [`${figure(m.amps)} A`, `${figure(m.motorRpm)} rpm`],
      work: [`${figure(m.spindleRpm)} rpm`]
    };
  });

  const names: Record<StationName, string> = {
    supply: 'Supply',
    control: 'Control',
    motor: 'Motor',
    reduction: 'Reduction',
    work: 'Work'
  };
</script>

<nav aria-label="The line" class="line-strip relative overflow-x-auto border-b border-rule bg-card">
  <div class="strip relative min-w-[48rem]">
    <div class="drawn pointer-events-none absolute inset-x-0 top-[2.6rem] h-[5rem]">
      <LineDrawing {drawing} captioned {play} height={80} />
    </div>
    <Tabs.List aria-label="Stations">
      {#snippet child({ props: list })}
        <div {...list} class="stations">
          {#each stations as s (s.station)}
            <!-- Chosen again it closes whatever stands in place of its bench. -->
            <Tabs.Trigger id="station-{s.station}" value={s.station} onclick={() => onselect(s.station)}>
              {#snippet child({ props: tab })}
                <button
                  {...tab}
                  data-word={names[s.station]}
                  class="station flex h-[7.6rem] min-w-0 items-start gap-2 px-4 pt-1 text-left"
                >
                  <span class="min-w-0 flex-1">
                    <span class="caption block">{names[s.station]}</span>
                    <span
                      class="title line-clamp-1 font-head text-[1.05rem] leading-tight font-semibold"
                      title={s.title}>{s.title}</span
                    >
                  </span>
                  <Mark level={s.mark} />
                </button>
              {/snippet}
            </Tabs.Trigger>
          {/each}
        </div>
      {/snippet}
    </Tabs.List>
    <div class="stations">
      {#each stations as s (s.station)}
        <div class="figures min-w-0 px-4 pb-0.5" class:on={s.station === selected}>
          <p class="flex flex-wrap gap-x-4 text-[1rem] leading-tight font-semibold">
            {#if s.station === 'control' && onstart}
              <button class="link order-last -my-0.5 ml-auto min-h-6 text-[0.88rem] font-normal" onclick={onstart}
                >{starting ? 'let it be' : 'press start'}</button
              >
            {/if}
            {#if meters[s.station]}
              {#each meters[s.station] ?? [] as text, i (i)}<span class="meter">{text}</span>{/each}
            {:else}
              {#each s.figures as f, i (i)}<Worked id={f.working} text={f.text} />{:else}&nbsp;{/each}
            {/if}
          </p>
          <p
            class="line-clamp-2 text-[0.88rem] leading-tight desk:line-clamp-1 {s.bad ? 'text-stop' : 'text-soft'}"
            title={s.note}
          >
            {#if s.note}<Worked id={s.working} text={s.note} />{:else}&nbsp;{/if}
          </p>
        </div>
      {/each}
    </div>
  </div>
</nav>

<style>
  .stations {
    display: grid;
    grid-template-columns: 14.5fr 17.5fr 18fr 23fr 27fr;
  }
  .meter {
    padding-inline: 0.35rem;
    background: var(--iron-wash);
  }
  .station:not(:first-child),
  .figures:not(:first-child) {
    background: linear-gradient(var(--rule), var(--rule)) no-repeat left 0 / 1px 100%;
  }
  .station:not(:first-child) {
    background-position: left 10px;
  }
  .figures {
    border-bottom: 5px solid transparent;
  }
  .figures.on {
    border-bottom-color: var(--ink);
  }
  /* On a phone at the bench: which station, and how it stands. */
  @media (max-width: 40rem) {
    .strip {
      min-width: 0;
    }
    .drawn,
    .title,
    .figures {
      display: none;
    }
    .stations {
      grid-template-columns: repeat(5, minmax(0, 1fr));
    }
    .station {
      height: 56px;
      flex-direction: column-reverse;
      align-items: center;
      justify-content: center;
      gap: 2px;
      padding: 0;
      border-bottom: 4px solid transparent;
    }
    .station[aria-selected='true'] {
      border-bottom-color: var(--ink);
    }
    .station > span {
      flex: none;
      max-width: 100%;
    }
    .station .caption {
      font-size: 0.72rem;
      letter-spacing: 0.02em;
    }
  }
  .station:hover .caption {
    color: var(--iron);
    text-decoration: underline;
  }
</style>
