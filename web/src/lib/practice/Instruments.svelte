<script lang="ts">
  import { Ask } from '../api/ask.svelte';
  import { api, call, type Schemas } from '../api/client';
  import { figure } from '../reach/scale';
  import { instruments } from '../trials/instruments.svelte';

  /** A simulated machine with its instruments: a meter, a tachometer on each shaft, a thermometer, a strobe one can set, and
   *  its sound. Its figures stay its own. What they read can be fed to the Trials screen. */
  let seed = $state(1);
  let knob = $state(60);
  let flash = $state('');
  let pulls = $state(0);
  let began = $state(Date.now());
  let feeding = $state(false);
  let token = '';

  const asked = new Ask<Schemas['BenchReads']>((signal) => {
    const query = {
      seed,
      knob: knob / 100,
      seconds: (Date.now() - began) / 1000,
      flash: Number(flash) || 0,
      pulls
    };
    return call(() => api.GET('/api/practice/bench', { params: { query }, signal }));
  });
  const reads = $derived(asked.answer);
  const READ_EVERY = 400;
  $effect(() => {
    const timer = setInterval(() => {
      asked.again();
      if (feeding && reads) void send(reads.lines);
    }, READ_EVERY);
    asked.again();
    return () => {
      clearInterval(timer);
      asked.stop();
    };
  });
  const send = (lines: string) =>
    fetch(`/api/instruments/${token}/readings`, {
      method: 'POST',
      headers: { 'Content-Type': 'text/plain' },
      body: lines
    }).catch(() => undefined);
  const feed = async () => {
    if (feeding) {
      feeding = false;
      return;
    }
    token = await instruments.tokenOf('simulated bench');
    feeding = token !== '';
  };
  const start = () => (began = Date.now());
  const sound = $derived(
    `/api/practice/sound.wav?seed=${seed}&knob=${knob / 100}&seconds=${Math.round((reads ? Date.now() - began : 0) / 1000)}`
  );
</script>

<h1 class="text-[1.6rem]">The bench itself</h1>
<p class="mt-1 max-w-2xl">
  A machine nobody has seen, switched on for a minute at a time: free, then loaded, then let go. Read it as you would a
  real one.
</p>
<div class="mt-3 flex flex-wrap items-end gap-4">
  <div class="w-28">
    <label class="block text-sm text-soft" for="bench-seed">Machine number</label>
    <input id="bench-seed" class="blank" type="number" min="0" max="99999" bind:value={seed} onchange={start} />
  </div>
  <div class="w-64">
    <label class="block text-sm text-soft" for="bench-knob">Knob, {knob} %</label>
    <input id="bench-knob" class="w-full" type="range" min="10" max="100" step="5" bind:value={knob} onchange={start} />
  </div>
  <button class="button" onclick={start}>Switch on again</button>
  <button class="button" aria-pressed={feeding} onclick={feed}
    >{feeding ? 'Stop feeding the Trials screen' : 'Feed the Trials screen'}</button
  >
</div>
<dl class="mt-4 flex flex-wrap gap-x-10 gap-y-4">
  {#each reads?.values ?? [] as v (v.word)}
    <div>
      <dt class="text-sm text-soft">{v.word === 'rpm' ? 'spindle' : v.word === 'rpm2' ? 'motor' : v.name}</dt>
      <dd class="font-head text-[2.6rem] leading-none font-semibold whitespace-nowrap">
        {figure(v.value)}<span class="pl-1.5 text-[1.2rem]">{v.unit}</span>
      </dd>
    </div>
  {/each}
</dl>
<div class="mt-5 flex flex-wrap items-end gap-4">
  <div class="w-36">
    <label class="block text-sm text-soft" for="bench-flash">Strobe, flashes a minute</label>
    <input id="bench-flash" class="blank" inputmode="decimal" placeholder="640" bind:value={flash} />
  </div>
  <p class="min-w-48 flex-1 text-[1.1rem]" aria-live="polite">
    {reads?.seen ? reads.seen : 'Set the strobe to see its one mark.'}
  </p>
</div>
<div class="mt-4 flex flex-wrap items-center gap-4">
  <button class="button" onclick={() => (pulls = Math.min(pulls + 1, 20))}>Unplug it, and pull a spring scale</button>
  <p class="min-w-48 flex-1" aria-live="polite">
    {#if reads && reads.pulls.length > 0}
      200 mm out it just starts at <span class="font-semibold"
        >{reads.pulls.map((n) => `${figure(n)} N`).join(', ')}</span
      >
    {/if}
  </p>
</div>
<p class="mt-4 flex flex-wrap gap-4">
  <a class="link min-h-8 content-center" href={sound} download="bench.wav">what a microphone hears, as a file</a>
  <span class="text-soft">Take it to “By ear” on a Trials screen.</span>
</p>
<p class="mt-2 text-sm text-soft">
  The same lines come from <code>bin/jiriki bench</code>, to any address a Trials screen makes.
</p>
