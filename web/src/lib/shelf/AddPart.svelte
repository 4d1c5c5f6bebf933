<script lang="ts">
  import { untrack } from 'svelte';
  import { api, call, sayProblem, type ShelfLabel } from '../api/client';
  import { prefs } from '../prefs.svelte';
  import PlateLine from '../slate/PlateLine.svelte';
  import { SlateState } from '../slate/slate.svelte';

  /** A part is kept once it has a name; pulleys and belts may be named many at a time, and a motor by its plate. */
  interface Props {
    sort: ShelfLabel['sort'];
    added: (ids: string[]) => void;
    cancel: () => void;
  }
  let { sort, added, cancel }: Props = $props();

  let text = $state('');
  let error = $state('');
  let blank = $state<HTMLInputElement>();
  $effect(() => blank?.focus());

  const slate = new SlateState();
  $effect(() => () => slate.stop());
  $effect(() => {
    const plate = sort === 'motor' && /\d/.test(text) ? text : '';
    untrack(() => slate.ask(plate));
  });

  const asks: Record<typeof sort, [label: string, hint: string]> = {
    motor: ['What is the motor called?', 'ex floor scrubber, 0.6 kW, 930 rpm'],
    control: ['What is the control called?', 'drive out of the grey box'],
    pulley: ['Section and sizes, or a name', 'A: 65 85 105'],
    belt: ['Section and lengths, or a name', 'A: 950 1120'],
    other: ['What is it called?', 'vice']
  };
  const inches: Partial<Record<typeof sort, string>> = { pulley: 'A: 2.5, 3, 4 1/2', belt: 'A: 38 44' };
  const hint = $derived((prefs.units === 'inch' ? inches[sort] : undefined) ?? asks[sort][1]);

  const keep = async (e: SubmitEvent) => {
    e.preventDefault();
    const { data, problem } = await call(() =>
      api.POST('/api/shelf/named', { body: { sort, text, units: prefs.units } })
    );
    if (data) added(data.ids);
    else error = problem?.errors?.[0]?.message ?? sayProblem(problem);
  };
</script>

<form onsubmit={keep} class="my-2 border-l-4 border-iron pl-3">
  <label for="new-part" class="block text-sm text-soft">{asks[sort][0]}</label>
  <input
    bind:this={blank}
    id="new-part"
    class="blank"
    maxlength="400"
    autocomplete="off"
    spellcheck="false"
    placeholder={hint}
    bind:value={text}
    onkeydown={(e) => e.key === 'Escape' && cancel()}
    aria-invalid={error ? 'true' : undefined}
    aria-describedby={error ? 'new-part-error' : undefined}
  />
  {#if error}<p id="new-part-error" class="text-sm text-stop">{error}</p>{/if}
  {#if slate.reply}<p class="text-sm text-soft" aria-live="polite"><PlateLine reply={slate.reply} /></p>{/if}
  <p class="mt-1 flex gap-4">
    <button class="link">Keep it</button>
    <button type="button" class="link" onclick={cancel}>leave it</button>
  </p>
</form>
