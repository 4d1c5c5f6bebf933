<script lang="ts">
  import { onMount } from 'svelte';
  import { instruments } from './instruments.svelte';
  import { hasSerial } from './serial';

  /** Ways in for readings that nobody types: a token to send to, or a serial port. */
  let name = $state('');
  let baud = $state('9600');
  onMount(() => void instruments.load());
  const add = async () => {
    await instruments.add(name.trim() || 'instrument');
    name = '';
  };
  const address = (token: string) => `${location.origin}/api/instruments/${token}/readings`;
</script>

<section aria-label="Instruments" class="mx-4 mt-1 border-l-2 border-rule pl-3">
  <p class="text-sm text-soft">
    A line a reading: <code>rpm 617.5</code>, <code>volts 88.2</code>, <code>celsius 31</code>; also amps, newton, db,
    hertz, ohms, and rpm2 for the other shaft. Sent over HTTP to an address of its own, or read from a serial port.
  </p>
  {#if instruments.problem}<p role="alert" class="mt-1 text-stop">{instruments.problem}</p>{/if}
  <ul class="mt-1">
    {#each instruments.list as i (i.id)}
      {@const token = instruments.token(i)}
      <li class="flex flex-wrap items-baseline gap-x-3 border-b border-dotted border-rule py-1.5">
        <span class="font-semibold">{i.name}</span>
        {#if token}
          <code class="min-w-0 text-sm break-all">{address(token)}</code>
        {:else}
          <span class="text-sm text-soft">its address is known to the browser that made it</span>
        {/if}
        <button class="link min-h-8 text-sm" aria-label="let {i.name} in no more" onclick={() => instruments.drop(i.id)}
          >let in no more</button
        >
      </li>
    {/each}
  </ul>
  <form
    class="mt-2 flex flex-wrap items-end gap-3"
    onsubmit={(e) => {
      e.preventDefault();
      void add();
    }}
  >
    <div class="w-48">
      <label class="block text-sm text-soft" for="instrument-name">Called</label>
      <input id="instrument-name" class="blank" maxlength="80" placeholder="bench tachometer" bind:value={name} />
    </div>
    <button class="button">Make an address for it</button>
  </form>
  {#if hasSerial()}
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <div class="w-28">
        <label class="block text-sm text-soft" for="instrument-baud">Bits a second</label>
        <select id="instrument-baud" class="blank" bind:value={baud}>
          {#each ['1200', '2400', '4800', '9600', '19200', '38400', '57600', '115200'] as b (b)}<option>{b}</option
            >{/each}
        </select>
      </div>
      {#if instruments.reading}
        <button class="button" onclick={() => instruments.stopPort()}>Stop reading the port</button>
      {:else}
        <button class="button" onclick={() => instruments.readPort(Number(baud))}>Read a serial port</button>
      {/if}
      {#if instruments.portSays}<p role="status" class="text-sm text-soft">{instruments.portSays}</p>{/if}
    </div>
  {:else}
    <p class="mt-2 text-sm text-soft">This browser cannot read a serial port; a desktop one of another make may.</p>
  {/if}
</section>
