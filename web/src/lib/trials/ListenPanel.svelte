<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { Problem, Schemas } from '../api/client';
  import { sayProblem } from '../api/client';
  import { prefs } from '../prefs.svelte';
  import { figure } from '../reach/scale';
  import { openSheet } from '../sheet/context';
  import { clock } from '../today';
  import { decoded, LISTEN_FOR, record } from './sound';

  /** The shaft's speed out of the sound: listen, see what it was heard by, and take it. */
  const sheet = openSheet();
  const trials = sheet.trials;
  let heard = $state.raw<Schemas['TrialListened']>();
  let problem = $state('');
  let doing = $state<'' | 'listening' | 'working it out'>('');
  let width = $state(360);
  let mine: AbortController | undefined;
  onDestroy(() => mine?.abort());

  const ask = async (get: (signal: AbortSignal) => Promise<Blob>) => {
    mine?.abort();
    mine = new AbortController();
    problem = '';
    try {
      const sound = await get(mine.signal);
      if (mine.signal.aborted) return;
      doing = 'working it out';
      const t = trials.trial;
      const query = new URLSearchParams({
        where: t?.where || 'spindle',
        position: t?.position ?? '',
        units: prefs.units
      });
      const answer = await fetch(`/api/plans/${sheet.planId}/listen?${query.toString()}`, {
        method: 'POST',
        body: sound,
        signal: mine.signal
      });
      if (answer.ok) heard = (await answer.json()) as Schemas['TrialListened'];
      else problem = sayProblem((await answer.json()) as Problem);
    } catch (e) {
      if (!mine.signal.aborted)
        problem =
          e instanceof DOMException && e.name === 'NotAllowedError'
            ? 'The microphone was not allowed. A recorded file does as well.'
            : e instanceof DOMException && e.name === 'NotFoundError'
              ? 'No microphone was found. A recorded file does as well.'
              : 'The sound could not be had, or the server is not answering.';
    } finally {
      doing = '';
    }
  };
  const listen = () =>
    ask((signal) => {
      doing = 'listening';
      return record(LISTEN_FOR, signal);
    });
  const file = (f: File | undefined) =>
    f && ask(() => (f.name.toLowerCase().endsWith('.wav') ? Promise.resolve(f) : decoded(f)));
  const reading = () => ({ ...heard?.reading, at: clock() });
  const take = () => trials.add([reading()]);
  let mark = $state('');
  const atKnob = (e: SubmitEvent) => {
    e.preventDefault();
    if (mark.trim()) trials.atKnob(mark.trim(), reading());
  };

  const HEIGHT = 110;
  const most = $derived(Math.max(...(heard?.level ?? [1]), 10));
  const top = $derived(heard?.hertz.at(-1) ?? 1);
  const d = $derived(
    heard?.hertz
      .map(
        (h, i) =>
          `${i ? 'L' : 'M'}${((h / top) * width).toFixed(1)} ${(HEIGHT - ((heard?.level[i] ?? 0) / most) * (HEIGHT - 24)).toFixed(1)}`
      )
      .join('') ?? ''
  );
  const lines = $derived((heard?.lines ?? []).filter((l) => l.hertz < top).slice(0, 4));
</script>

<section aria-label="By ear" class="mt-3 px-4">
  <div class="flex flex-wrap items-center gap-3">
    <button class="button primary" disabled={doing !== ''} onclick={listen}
      >{doing === 'listening' ? 'Listening…' : heard ? 'Listen again' : `Listen for ${LISTEN_FOR} s`}</button
    >
    <label class="button flex cursor-pointer items-center focus-within:outline-2">
      <input
        type="file"
        class="sr-only"
        accept="audio/*,.wav"
        onchange={(e) => void file(e.currentTarget.files?.[0])}
        aria-label="A sound that was recorded"
      />
      a recorded file
    </label>
    <span role="status" class="text-soft">{doing === 'working it out' ? 'working it out' : ''}</span>
  </div>
  {#if problem}<p role="alert" class="mt-2 border-l-4 border-stop pl-3">{problem}</p>{/if}
  {#if heard}
    <p class="mt-2 font-head text-[3.2rem] leading-none font-semibold">
      {figure(60 * heard.speed)}<span class="pl-2 text-[1.5rem]">rpm</span>
    </p>
    <p class="mt-1 text-soft">the motor, ± {figure(Number((60 * heard.spread).toPrecision(2)))}. {heard.fits}</p>
    <div bind:clientWidth={width} class="mt-2">
      <svg {width} height={HEIGHT + 18} role="img" aria-label="Spectrum of the sound, up to {figure(top)} hertz">
        <path {d} fill="none" stroke="var(--iron)" stroke-width="1.4" />
        <line x1="0" x2={width} y1={HEIGHT} y2={HEIGHT} stroke="var(--rule)" />
        {#each lines as l, i (i)}
          {@const lx = (l.hertz / top) * width}
          <line x1={lx} x2={lx} y1="4" y2={HEIGHT} stroke="var(--brass)" stroke-dasharray="3 3" />
        {/each}
        {#each lines as l, i (i)}
          <text
            x={(l.hertz / top) * width + 4}
            y={12 + (i % 3) * 14}
            class="text-[0.8rem]"
            fill="var(--brass-ink)"
            stroke="var(--paper)"
            stroke-width="4"
            paint-order="stroke">{l.what}</text
          >
        {/each}
        <text x={width} y={HEIGHT + 15} text-anchor="end" class="text-[0.8rem]" fill="var(--soft)"
          >hertz, to {figure(top)}</text
        >
      </svg>
    </div>
    {#if !heard.sure}
      <p class="mt-1">
        {#if heard.runnerUp > 0}Could also be {figure(60 * heard.runnerUp)}.{/if}
        <button class="link" onclick={() => trials.choose('strobe')}>Put tape on and strobe it</button>
      </p>
    {/if}
    <div class="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2">
      <button class="button primary w-full sm:w-auto" onclick={take}>Take it as a reading</button>
      <form class="flex items-center gap-2" onsubmit={atKnob}>
        <label for="heard-at">or at knob</label>
        <input id="heard-at" class="blank w-16" inputmode="decimal" maxlength="12" bind:value={mark} />
        <button class="button" disabled={!mark.trim()}>Put it there</button>
      </form>
    </div>
  {/if}
</section>
