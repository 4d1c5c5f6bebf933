<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import Choice from '../ui/Choice.svelte';
  import Field from '../ui/Field.svelte';
  import Tick from '../ui/Tick.svelte';
  import Worked from '../ui/Worked.svelte';
  import { openSheet } from '../ui/context';
  import Figures from '../ui/Figures.svelte';
  import { controlKinds } from './options';

  const sheet = openSheet();
  const kind = $derived(sheet.text('control.kind'));
  const dc = $derived(kind === 'phase-angle' || kind === 'pwm' || kind === 'bldc');
  const rated = $derived(kind !== '' && kind !== 'contactor' && kind !== 'capacitors');
  // What suits the motor first; the rest can still be chosen, and the verdict says why not.
  const suiting = $derived(catalogue.drives(sheet.text('motor.kind')));
  const offered = $derived([...controlKinds].sort((a, b) => Number(suiting.includes(b[0])) - Number(suiting.includes(a[0]))));
  const settings = $derived(sheet.assessment?.settings ?? []);
  const workings = $derived(sheet.workings.filter((w) => w.station === 'control' && !w.id.startsWith('setting.')));
  const trim = $derived(sheet.text('control.topTrim'));
</script>

<h2 class="caption">Control, between wall and motor</h2>
<div class="mt-3 grid grid-cols-2 gap-3">
  <div class="col-span-2"><Choice path="control.kind" label="Kind" options={offered} /></div>
  {#if suiting.length > 0}
    <p class="col-span-2 -mt-2 text-sm text-soft">
      {suiting.length === 1 ? 'Suits' : 'Suit'} this motor: {controlKinds
        .filter(([k]) => suiting.includes(k))
        .map(([, words]) => words)
        .join(', ')}.
    </p>
  {/if}
  <div class="col-span-2"><Field path="control.name" label="Name" hint="Phase-angle, 180 V out" words /></div>
  {#if rated}
    <Field path="control.volts" label="Most volts out" hint={dc ? '180 V' : '230 V'} />
    <Field path="control.amps" label="Amps for ever" hint="5 A" />
    {#if kind !== 'stepper'}<Field path="control.limitAmps" label="Current limit as set" hint="4.2 A" />
      <Field path="control.accel" label="Time to full speed" hint="2.5 s" />{/if}
  {/if}
  {#if dc}
    <Choice
      path="control.feedback"
      label="Speed held by"
      fallback={kind === 'bldc' ? 'none' : 'armature'}
      options={[
        ...(kind === 'bldc' ? [] : ([['armature', 'Armature volts']] as const)),
        ['tacho', kind === 'bldc' ? 'Hall sensors, encoder' : 'Tachometer'],
        ['none', kind === 'bldc' ? 'Nothing: sensorless' : 'Nothing']
      ]}
    />
  {/if}
  {#if kind === 'inverter'}
    <Choice
      path="control.mode"
      label="Mode"
      fallback="vf"
      options={[
        ['vf', 'Volts per hertz'],
        ['vector', 'Vector']
      ]}
    />
    <Field path="control.baseHertz" label="Base hertz" hint="50 Hz" />
    <Field path="control.topHertz" label="Top hertz" hint="50 Hz" />
  {/if}
</div>
{#if dc}
  <fieldset class="mt-4">
    <legend class="text-sm text-soft">Top speed trim: practice disagrees</legend>
    <div class="mt-1 flex flex-wrap items-end gap-2">
      <button class="button" aria-pressed={trim === '65 %'} onclick={() => sheet.set('control.topTrim', '65 %')}>65 %, for hours</button>
      <button class="button" aria-pressed={trim === ''} onclick={() => sheet.set('control.topTrim', '')}>Full plate</button>
      <div class="w-24"><Field path="control.topTrim" label="or" hint="100 %" /></div>
    </div>
    <p class="mt-1 text-sm text-soft">
      Some trim to 60–70 % for a motor that works for hours: heat and commutator wear climb above. Others use the full plate, which is the
      default here: the plate is what the maker stands by.
    </p>
  </fieldset>
{/if}
{#if kind}
  <div class="mt-3">
    <Tick path="control.fused" label={dc ? 'Fused, line and armature' : 'Fused'} />
    <Tick path="control.enclosed" label="In an earthed, closed box with strain relief" />
    {#if dc}
      <Tick path="control.zeroStart" label="Starts only from a knob at zero" />
      {#if kind !== 'bldc'}<Tick
          path="control.choke"
          label="Choke in the motor lead"
          note={kind === 'pwm' ? 'A PWM drive hardly needs one.' : ''}
        />{/if}
    {/if}
    <Tick path="control.noVolt" label="No-volt release: stays off when power comes back" />
  </div>
  <div class="mt-2">
    <Choice
      path="control.reverse"
      label="Reverse"
      fallback="none"
      options={[
        ['none', 'None'],
        ['switch', 'Switch, centre off'],
        ['drive', 'In the drive']
      ]}
    />
  </div>
{/if}
<Figures title="What reaches the motor" {workings} />
{#if settings.length > 0}
  <h3 class="caption mt-5">Settings, in the order they are set</h3>
  <ol class="mt-1.5">
    {#each settings as s, i (s.working)}
      <li class="grid grid-cols-[1.4rem_1fr_auto] gap-x-2 border-b border-dotted border-rule py-1.5">
        <span class="text-soft">{i + 1}</span>
        <span>{s.name}</span>
        <span class="text-right font-semibold"><Worked id={s.working} text={s.value} /></span>
        {#if s.watch}<span class="col-start-2 col-end-4 text-sm text-soft">{s.watch}</span>{/if}
        {#if s.other}<span class="col-start-2 col-end-4 text-sm text-soft"><em>Other school:</em> {s.other}</span>{/if}
      </li>
    {/each}
  </ol>
{/if}
