<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { api, call, sayProblem, type Schemas } from '../api/client';
  import { catalogue } from '../catalogue.svelte';
  import { hintFor } from '../form/hints';
  import { prefs } from '../prefs.svelte';
  import { handOver } from '../sheet/handover';
  import { fillIn } from '../slate/fill';
  import PlateLine from '../slate/PlateLine.svelte';
  import { SlateState } from '../slate/slate.svelte';
  import { sockets } from './sockets';

  /** Four questions that make a plan; a name alone is enough. */
  let { large = false }: { large?: boolean } = $props();

  const name = new SlateState();
  const plate = new SlateState();
  const between = new SlateState();
  const lines = [name, plate, between];
  $effect(() => () => lines.forEach((line) => line.stop()));
  $effect(() => {
    if (prefs.units) untrack(() => lines.forEach((line) => line.again()));
  });
  let kind = $state<string>();
  let motor = $state<string>();
  let socket = $state('');
  let control = $state('');
  let error = $state('');

  /** What a machine is goes by its name, and what a motor is by its plate or the machine it came out of, until it is
   *  chosen. */
  const kindNow = $derived(kind ?? name.reply?.machine ?? '');
  const onPlate = $derived(plate.reply?.plate ?? []);
  const donor = $derived(catalogue.donors.find((d) => d.id === plate.reply?.donor));
  const usual = $derived((donor?.in.find((i) => i.region === prefs.region) ?? donor)?.holds[0] ?? '');
  const motorNow = $derived(motor ?? onPlate.find((f) => f.field === 'motor.kind')?.text ?? usual);
  const onReduction = $derived(between.reply?.between ?? []);
  const drives = $derived(catalogue.controlsFor(motorNow));
  const controlNow = $derived(drives.some((c) => c.control === control) ? control : '');
  const feeds = $derived(sockets(prefs.region));

  let plateField: HTMLInputElement;
  const takePair = async (pair: Schemas['DonorPair']) => {
    name.ask(pair.machine);
    kind = pair.kind;
    const from = catalogue.donors.find((d) => d.id === pair.donor);
    motor = (from?.in.find((i) => i.region === prefs.region) ?? from)?.holds[0];
    control = catalogue.controlsFor(motor ?? '')[0]?.control ?? '';
    socket = feeds[0]?.id ?? '';
    error = '';
    await tick();
    plateField.focus();
  };

  const add = async (e: SubmitEvent) => {
    e.preventDefault();
    if (!name.typed.trim()) return void (error = 'What machine is it? A name is enough.');
    const { data, problem } = await call(() =>
      api.POST('/api/machines', { body: { name: name.typed, kind: kindNow, units: prefs.units } })
    );
    if (!data) return void (error = sayProblem(problem));
    const answers: Schemas['SlateFill'][] = [
      ...onPlate.filter((f) => f.field !== 'motor.kind'),
      ...(motorNow ? [{ field: 'motor.kind', text: motorNow }] : []),
      ...(controlNow ? [{ field: 'control.kind', text: controlNow }] : []),
      ...onReduction,
      ...(feeds.find((f) => f.id === socket)?.fills ?? [])
    ];
    if (answers.length > 0) handOver(data.planId, (sheet) => sheet.change((doc) => fillIn(doc, answers)));
    await push(`/plan/${data.planId}`);
  };
</script>

<form onsubmit={add} class="questions" class:large>
  <p class="text-sm">
    <span class="text-soft">Often made:</span>
    {#each catalogue.pairs as pair, i (pair.name)}{i > 0 ? ' · ' : ' '}<button
        type="button"
        class="link"
        onclick={() => takePair(pair)}>{pair.name}</button
      >{/each}
  </p>
  <fieldset>
    <legend><span aria-hidden="true">1</span> What machine?</legend>
    <div class="pair">
      <div>
        <label for="new-machine" class="block text-sm text-soft">Machine</label>
        <input
          id="new-machine"
          class="blank"
          maxlength="120"
          placeholder="Bench lathe with a dead motor"
          value={name.typed}
          oninput={(e) => name.ask(e.currentTarget.value)}
          aria-invalid={error ? 'true' : undefined}
          aria-describedby={error ? 'new-machine-error' : undefined}
        />
      </div>
      <div>
        <label for="new-machine-kind" class="block text-sm text-soft">Kind</label>
        <select
          id="new-machine-kind"
          class="blank"
          value={kindNow}
          onchange={(e) => (kind = e.currentTarget.value || undefined)}
        >
          <option value="">goes by its name</option>
          {#each catalogue.machines as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
        </select>
      </div>
    </div>
    {#if error}<p id="new-machine-error" class="text-stop">{error}</p>{/if}
  </fieldset>
  <fieldset>
    <legend><span aria-hidden="true">2</span> What motor have you?</legend>
    <div class="pair">
      <div>
        <label for="new-plate" class="block text-sm text-soft">Its plate, as it reads</label>
        <input
          id="new-plate"
          class="blank"
          maxlength="200"
          autocomplete="off"
          spellcheck="false"
          placeholder={hintFor('0.6 kW, 930 rpm, 230 V, 4.9 A', prefs.units, prefs.region)}
          value={plate.typed}
          oninput={(e) => plate.ask(e.currentTarget.value)}
          bind:this={plateField}
        />
      </div>
      <div>
        <label for="new-motor" class="block text-sm text-soft">Its kind</label>
        <select
          id="new-motor"
          class="blank"
          value={motorNow}
          onchange={(e) => (motor = e.currentTarget.value || undefined)}
        >
          <option value="">not known yet</option>
          {#each catalogue.motors as m (m.kind)}<option value={m.kind}>{m.name}</option>{/each}
        </select>
      </div>
    </div>
    <p class="echo" aria-live="polite">
      {#if onPlate.length > 0 && plate.reply}<PlateLine reply={plate.reply} />
      {:else if donor}{donor.expect}
      {:else if plate.reply}Nothing on it could be read: figures with their units, such as 900 rpm.
      {:else}Half a plate will do, or what it came out of. <a class="link" href="#/what-is-it">What kind is it?</a>{/if}
    </p>
  </fieldset>
  <fieldset>
    <legend><span aria-hidden="true">3</span> What is between motor and spindle?</legend>
    <label for="new-between" class="block text-sm text-soft">Pulleys, gears or a ratio</label>
    <input
      id="new-between"
      class="blank"
      maxlength="200"
      autocomplete="off"
      spellcheck="false"
      placeholder={hintFor('65 mm driving 255 mm, 380 mm apart', prefs.units, prefs.region)}
      value={between.typed}
      oninput={(e) => between.ask(e.currentTarget.value)}
    />
    <p class="echo" aria-live="polite">
      {#if onReduction.length > 0}Read: {onReduction
          .map((f) => (f.field.endsWith('.kind') ? (catalogue.stage(f.text)?.name ?? f.text) : f.text))
          .join(' · ')}.
      {:else if between.reply}Not read: two sizes, such as {hintFor('65 mm driving 255 mm', prefs.units, prefs.region)},
        a ratio such as 5 : 1, or straight.
      {:else}Sizes, teeth or a ratio; “straight” where it sits on the motor's shaft.{/if}
    </p>
  </fieldset>
  <fieldset>
    <legend><span aria-hidden="true">4</span> What feeds and drives it?</legend>
    <div class="pair">
      <div>
        <label for="new-supply" class="block text-sm text-soft">From</label>
        <select id="new-supply" class="blank" bind:value={socket}>
          <option value="">not known yet</option>
          {#each feeds as f (f.id)}<option value={f.id}>{f.says}</option>{/each}
        </select>
      </div>
      <div>
        <label for="new-control" class="block text-sm text-soft">Through</label>
        <select
          id="new-control"
          class="blank"
          value={controlNow}
          onchange={(e) => (control = e.currentTarget.value)}
          disabled={drives.length === 0}
        >
          <option value="">{motorNow ? 'not known yet' : 'goes by the motor'}</option>
          {#each drives as { control: c } (c)}<option value={c}>{catalogue.control(c)?.name}</option>{/each}
        </select>
      </div>
    </div>
  </fieldset>
  <button class="button primary justify-self-start">Add it</button>
</form>

<style>
  .questions {
    display: grid;
    gap: 0.9rem;
  }
  legend {
    font-weight: 600;
  }
  .large legend {
    font-family: var(--font-head);
    font-size: 1.45rem;
    line-height: 1.3;
  }
  legend span {
    color: var(--soft);
  }
  /* What is read is told in a room of its own, so that nothing below it moves while somebody types. */
  .echo {
    min-height: 2.6em;
    color: var(--soft);
    font-size: 0.875rem;
    line-height: 1.3;
  }
  .pair {
    display: grid;
    gap: 0.25rem 0.75rem;
  }
  @media (min-width: 40rem) {
    .pair {
      grid-template-columns: 2fr 1.3fr;
    }
  }
</style>
