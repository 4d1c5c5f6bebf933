<script lang="ts">
  import { catalogue } from '../catalogue.svelte';
  import SettingsList from '../control/SettingsList.svelte';
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import Tick from '../form/Tick.svelte';
  import { openSheet } from '../sheet/context';
  import Figures from '../ui/Figures.svelte';

  const sheet = openSheet();
  const kind = $derived(sheet.text('control.kind'));
  const profile = $derived(catalogue.control(kind));
  const dc = $derived(profile?.setsVolts ?? false);
  const hertz = $derived(profile?.setsHertz ?? false);
  const electronic = $derived(profile?.limits ?? false);
  // What suits the motor first; the rest can still be chosen, and the verdict says why not.
  const matches = $derived(catalogue.controlsFor(sheet.text('motor.kind')));
  const suiting = $derived(matches.filter((m) => !m.also).map((m) => m.control));
  const also = $derived(matches.filter((m) => m.also).map((m) => m.control));
  const rank = (k: string) => Number(suiting.includes(k)) * 2 + Number(also.includes(k));
  const offered = $derived(
    [...catalogue.controls].sort((a, b) => rank(b.kind) - rank(a.kind)).map((c) => [c.kind, c.choice] as const)
  );
  const workings = $derived(sheet.workings.filter((w) => w.station === 'control' && !w.id.startsWith('setting.')));
  const converts = $derived(profile?.converts ?? false);
  const elsewhere = $derived(dc && !['', 'pot', 'panel'].includes(sheet.text('control.knob')));
  const battery = $derived(sheet.text('supply.phases') === 'dc');
  const lowVolts = $derived(parseFloat(sheet.text('motor.plate.volts')) <= 50);
  // Contacts that open direct current: straight from a battery, behind a drive, or crossing the leads over.
  const contacts = $derived(
    (battery && kind === 'contactor') ||
      ((profile?.direct ?? false) &&
        (sheet.value('control.switchAfter') === true || sheet.text('control.reverse') === 'switch'))
  );
  const trim = $derived(sheet.text('control.topTrim'));
  const words = (kinds: readonly string[]) =>
    catalogue.controls
      .filter((c) => kinds.includes(c.kind))
      .map((c) => c.choice)
      .join(', ');
</script>

<div class="flex items-baseline justify-between gap-2">
  <h2 class="caption">Control, between wall and motor</h2>
  <button class="link" onclick={() => sheet.show('controls')}>compare controls</button>
</div>
<div class="mt-3 grid grid-cols-2 gap-3">
  <div class="col-span-2"><Choice path="control.kind" label="Kind" options={offered} /></div>
  {#if suiting.length > 0}
    <p class="col-span-2 -mt-2 text-sm text-soft">
      {suiting.length === 1 ? 'Suits' : 'Suit'} this motor: {words(suiting)}.
      {#if also.length > 0}Also works, not the usual choice: {words(also)}.{/if}
    </p>
  {/if}
  <div class="col-span-2"><Field path="control.name" label="Name" hint="Phase-angle, 180 V out" words /></div>
  {#if electronic}
    {#if !battery && kind !== 'stepper'}
      <Field path="control.inputVolts" label="Volts in, by its plate" hint="200-240 V" />
      <Field path="control.inputHertz" label="Hertz in, by its plate" hint="50/60 Hz" />
    {/if}
    <Field path="control.volts" label="Most volts out" hint={dc ? '180 V' : '230 V'} />
    <Field path="control.amps" label="Amps for ever" hint="5 A" />
    <Field path="control.limitAmps" label="Current limit as set" hint="4.2 A" />
    {#if kind !== 'stepper'}<Field path="control.accel" label="Time to full speed" hint="2.5 s" />{/if}
  {/if}
  {#if kind === 'variac'}
    <Field path="control.amps" label="Amps for ever" hint="8 A" />
    <Field path="control.volts" label="Most volts it gives" hint="240 V" />
  {/if}
  {#if kind === 'resistor'}
    <Field path="control.ohms" label="Resistor as set" hint="60 Ω" />
    <Field path="control.watts" label="Sheds" hint="500 W" />
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
  {#if hertz}
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
      <Choice
        path="control.fed"
        label="Made for"
        fallback="1"
        options={[
          ['1', 'one phase in'],
          ['3', 'three phases in']
        ]}
      />
    {/if}
    <Field path="control.baseHertz" label="Base hertz" hint="50 Hz" />
    <Field path="control.topHertz" label="Top hertz" hint="50 Hz" />
    <Field path="control.lowHertz" label="Lowest hertz" hint={kind === 'inverter' ? '5 Hz' : '40 Hz'} />
  {/if}
  {#if hertz || dc}<Field path="control.brakeOhms" label="Brake resistor" hint="none" />{/if}
  {#if electronic && kind !== 'stepper'}
    <Choice
      path="control.knob"
      label="Speed told by"
      fallback="pot"
      options={[
        ['pot', 'a knob'],
        ['0-5', '0–5 V'],
        ['0-10', '0–10 V'],
        ['4-20', '4–20 mA'],
        ['pwm', 'pulses'],
        ['panel', 'its own panel']
      ]}
    />
  {/if}
  {#if electronic}
    <Choice
      path="control.command"
      label="Start and stop"
      fallback="latching"
      options={[
        ['latching', 'one switch that stays'],
        ['momentary', 'two buttons']
      ]}
    />
  {/if}
</div>
{#if dc}
  <fieldset class="mt-4">
    <legend class="text-sm text-soft">Top speed trim: practice disagrees</legend>
    <div class="mt-1 flex flex-wrap items-end gap-2">
      <button class="button" aria-pressed={trim === '65 %'} onclick={() => sheet.set('control.topTrim', '65 %')}
        >65 %, for hours</button
      >
      <button class="button" aria-pressed={trim === ''} onclick={() => sheet.set('control.topTrim', '')}
        >Full plate</button
      >
      <div class="w-24"><Field path="control.topTrim" label="or" hint="100 %" /></div>
    </div>
    <p class="mt-1 text-sm text-soft">
      Some trim to 60–70 % for a motor that works for hours: heat and commutator wear climb above. Others use the full
      plate, which is the default here: the plate is what the maker stands by.
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
      {#if kind === 'phase-angle' && sheet.value('control.choke')}
        <div class="mb-1 ml-8 w-40"><Field path="control.henries" label="Its inductance" hint="50 mH" /></div>
      {/if}
    {/if}
    <Tick path="control.noVolt" label="No-volt release: stays off when power comes back" />
    {#if elsewhere}<Tick path="control.isolated" label="An isolator keeps its signals apart from the mains" />{/if}
    {#if kind === 'variac' || (kind === 'phase-angle' && lowVolts && !elsewhere)}
      <Tick path="control.isolated" label="An isolating transformer stands before it" />
    {/if}
    {#if converts}
      <Tick path="control.switchAfter" label="A switch stands between it and the motor" />
      <Tick path="control.shared" label="A second motor runs from it" />
    {/if}
    {#if contacts}<Tick
        path="control.dcRated"
        label="Contacts and fuses are rated for these direct volts"
        note="One made for alternating current holds the arc."
      />{/if}
    {#if electronic}<Tick path="control.pauses" label="A console pauses it, and it goes on at the speed it had" />{/if}
    <Tick path="control.lamp" label="A lamp shows that it is on" />
    <Tick path="control.fan" label="A fan in the box, with its own supply" />
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
<SettingsList />
<p class="mt-4">
  <button class="link" onclick={() => sheet.show('build')}>Wiring, first power-up and what to buy</button>
</p>
