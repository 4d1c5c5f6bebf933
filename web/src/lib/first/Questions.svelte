<script lang="ts">
  import { untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { Ask } from '../api/ask.svelte';
  import { api, call, sayProblem, type Schemas } from '../api/client';
  import { catalogue } from '../catalogue.svelte';
  import { hintFor } from '../form/hints';
  import { prefs } from '../prefs.svelte';
  import { handOver } from '../sheet/handover';
  import { fillIn } from '../slate/fill';
  import PlateLine from '../slate/PlateLine.svelte';
  import { sockets } from './sockets';

  /** Three questions that make a plan; a name alone is enough. */
  let { large = false }: { large?: boolean } = $props();

  let name = $state('');
  let kind = $state('lathe');
  let motor = $state('');
  let plate = $state('');
  let socket = $state('');
  let control = $state('');
  let error = $state('');

  const read = new Ask<Schemas['SlateReply']>((signal) =>
    call(() => api.POST('/api/slate', { body: { text: plate, units: prefs.units }, signal }))
  );
  $effect(() => () => read.stop());
  $effect(() => {
    if (plate.trim() !== '') untrack(() => read.again());
  });
  const onPlate = $derived(plate.trim() === '' ? [] : (read.answer?.plate ?? []));
  const drives = $derived(catalogue.controlsFor(motor));
  const feeds = $derived(sockets(prefs.region));
  const pickMotor = (to: string) => {
    motor = to;
    if (!catalogue.controlsFor(to).some((c) => c.control === control)) control = '';
  };

  const add = async (e: SubmitEvent) => {
    e.preventDefault();
    if (!name.trim()) return void (error = 'What machine is it? A name is enough.');
    const { data, problem } = await call(() => api.POST('/api/machines', { body: { name, kind, units: prefs.units } }));
    if (!data) return void (error = sayProblem(problem));
    const answers: Schemas['SlateFill'][] = [
      ...onPlate,
      ...(motor ? [{ field: 'motor.kind', text: motor }] : []),
      ...(control ? [{ field: 'control.kind', text: control }] : []),
      ...(feeds.find((f) => f.id === socket)?.fills ?? [])
    ];
    if (answers.length > 0) handOver(data.planId, (sheet) => sheet.change((doc) => fillIn(doc, answers)));
    await push(`/plan/${data.planId}`);
  };
</script>

<form onsubmit={add} class="questions" class:large>
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
          bind:value={name}
          aria-invalid={error ? 'true' : undefined}
          aria-describedby={error ? 'new-machine-error' : undefined}
        />
      </div>
      <div>
        <label for="new-machine-kind" class="block text-sm text-soft">Kind</label>
        <select id="new-machine-kind" class="blank" bind:value={kind}>
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
          bind:value={plate}
        />
      </div>
      <div>
        <label for="new-motor" class="block text-sm text-soft">Its kind</label>
        <select id="new-motor" class="blank" value={motor} onchange={(e) => pickMotor(e.currentTarget.value)}>
          <option value="">not known yet</option>
          {#each catalogue.motors as m (m.kind)}<option value={m.kind}>{m.name}</option>{/each}
        </select>
      </div>
    </div>
    <p class="text-sm text-soft" aria-live="polite">
      {#if onPlate.length > 0 && read.answer}<PlateLine
          reply={read.answer}
        />{:else if plate.trim() !== '' && read.answer}
        Nothing on it could be read: figures with their units, such as 900 rpm.
      {:else}Half a plate will do. <a class="link" href="#/what-is-it">What kind is it?</a>{/if}
    </p>
  </fieldset>
  <fieldset>
    <legend><span aria-hidden="true">3</span> What feeds and drives it?</legend>
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
        <select id="new-control" class="blank" bind:value={control} disabled={drives.length === 0}>
          <option value="">{motor ? 'not known yet' : 'goes by the motor'}</option>
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
