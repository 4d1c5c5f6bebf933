<script lang="ts">
  import { catalogue } from '../../catalogue.svelte';
  import Choice from '../../form/Choice.svelte';
  import Field from '../../form/Field.svelte';
  import Rows from '../../form/Rows.svelte';
  import Tick from '../../form/Tick.svelte';
  import { openForm } from '../../form/context';
  import CutFields from './CutFields.svelte';
  import CuttingFields from './CuttingFields.svelte';
  import InertiaFields from './InertiaFields.svelte';
  import Pulls from './Pulls.svelte';

  /** The torque over the band by whichever method was chosen; the others keep what was typed. */
  let { job }: { job: string } = $props();

  const form = openForm();
  const at = $derived(`${job}.load`);
  const by = $derived(form.text(`${at}.by`) || 'torque');
  const points = $derived(by === 'torque' && form.text(`${at}.shape`) === 'points');
  const like = $derived(catalogue.likes.find((l) => l.id === form.text(`${at}.comparable.of`)));
  const likesOf = (by: string[]) =>
    catalogue.likes.filter((l) => by.includes(l.by)).map((l) => [l.id, `${l.name}, ${l.says}`] as const);
  const surface = $derived(form.text(`${job}.speed.by`) === 'surface');
</script>

<div class="col-span-2">
  <Choice
    path="{at}.by"
    label="Load found by"
    fallback="torque"
    options={catalogue.methods.map((m) => [m.id, m.name] as const)}
  />
</div>
{#if by === 'cutting' || surface}<CutFields at="{job}.cut" />{/if}
{#if by === 'scale'}
  <Field path="{at}.scale.radius" label="Hooked at radius" hint="160 mm" />
  <Field path="{at}.scale.angle" label="Pull's angle to that arm" hint="90°" />
  <div class="col-span-2"><Pulls path="{at}.scale.running" label="Pulls that keep it moving" /></div>
  <div class="col-span-2"><Pulls path="{at}.scale.breakaway" label="Pulls that just start it" /></div>
  <div class="col-span-2">
    <Field path="{at}.scale.own" label="Scale's own weight, if it hangs in the pull" hint="0.3 kg" />
  </div>
{:else if by === 'cutting'}
  <CuttingFields at="{at}.cutting" operation={form.text(`${job}.cut.operation`)} {surface} />
{:else if by === 'comparable'}
  <Choice path="{at}.comparable.of" label="A machine or work like" options={likesOf(['power', 'torque', 'inertia'])} />
  {#if like?.by === 'power' || like === undefined}
    <div class="col-span-2"><Field path="{at}.comparable.power" label="with a motor of" hint="the larger" /></div>
  {/if}
{:else if by === 'replaced'}
  <Field path="{at}.replaced.power" label="Old motor's power" hint="1/3 hp" />
  <Field path="{at}.replaced.speed" label="at" hint="1425 rpm" />
  <div class="col-span-2 grid gap-2">
    <p class="text-sm text-soft">Its belt positions, driver to driven. None: it drove straight.</p>
    <Rows path="{at}.replaced.positions" noun="position" blank={{ driver: '', driven: '' }} most={12}>
      {#snippet row(pair)}
        <div class="grid grid-cols-2 gap-2">
          <Field path="{pair}.driver" label="On the motor" hint="75 mm" />
          <Field path="{pair}.driven" label="on the spindle" hint="255 mm" />
        </div>
      {/snippet}
    </Rows>
  </div>
  <Field path="{at}.replaced.keeps" label="Its reduction kept" hint="95 %" />
{:else if by === 'inertia'}
  <InertiaFields at="{at}.inertia" />
{:else if by === 'pull'}
  <Field path="{at}.pull.force" label="Pull" hint="40 kg" />
  <Field path="{at}.pull.diameter" label="Drum, sprocket or wheel" hint="120 mm" />
{:else if by === 'screw'}
  <Field path="{at}.screw.force" label="Push" hint="500 N" />
  <Field path="{at}.screw.lead" label="Lead" hint="3 mm, or 9 TPI" />
  {#if form.text(`${at}.screw.force`).trim() === ''}
    <div class="col-span-2">
      <Choice path="{at}.comparable.of" label="Push as is usual for" options={likesOf(['push'])} />
    </div>
  {/if}
  <div class="col-span-2">
    <Field path="{at}.screw.keeps" label="Efficiency of the thread" hint="30 %, plain thread" />
  </div>
  <div class="col-span-2">
    <Tick path="{at}.screw.feed" label="It feeds a tool or table beside a turning spindle" />
    {#if form.value(`${at}.screw.feed`) === true}
      <Tick path="{at}.screw.geared" label="A geared feed box stays behind it" />
      <Pulls path="{at}.screw.mains" label="That spindle's speeds" hint="120 rpm" />
    {/if}
  </div>
{:else if by === 'power'}
  <div class="col-span-2"><Field path="{at}.power" label="Power at the spindle" hint="0.3 kW" /></div>
{:else if points}
  <div class="col-span-2 grid gap-2">
    <Rows path="{at}.points" noun="point" blank={{ speed: '', torque: '' }}>
      {#snippet row(point)}
        <div class="grid grid-cols-2 gap-2">
          <Field path="{point}.speed" label="At" hint="60 rpm" />
          <Field path="{point}.torque" label="it takes" hint="8 N·m" />
        </div>
      {/snippet}
    </Rows>
  </div>
{:else}
  <Field path="{at}.torque" label="Torque at the spindle" hint="5 lb at 80 mm" />
  <Field path="{at}.power" label="Power, if you have it" hint="to check against" />
{/if}
