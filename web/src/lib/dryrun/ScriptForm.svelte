<script lang="ts">
  import { tick } from 'svelte';
  import { catalogue } from '../catalogue.svelte';
  import { nameOf as nameOfPlan } from '../compare/compare.svelte';
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import { openSheet } from '../sheet/context';
  import { intoView } from '../sheet/intoView';
  import type { Schemas } from '../api/client';
  import { blankEvent, nameOf, nextTime, sizeOf, type Does, type Event } from './script';

  /** What happens on the day, event by event, and what the day is like. */
  let { answer }: { answer: Schemas['DryrunAnswer'] | undefined } = $props();

  const sheet = openSheet();
  const own = $derived(sheet.doc.plan.script.events);
  const usual = $derived(own.length === 0);
  const events = $derived<Event[]>(usual ? (answer?.script.events ?? []) : own);
  const jobs = $derived(sheet.doc.machine.jobs);
  const kinds = $derived(catalogue.happenings);
  const kindOf = (does: Does) => kinds.find((k) => k.does === does);
  let open = $state(-1);

  /** A finding leads to a field of an event, which is open then. */
  const wanted = $derived(/^script\.events\[(\d+)\]/.exec(sheet.wanted)?.[1]);
  $effect(() => {
    if (wanted === undefined) return;
    if (usual) take();
    open = Number(wanted);
  });
  const errored = $derived(
    new Set(Object.keys(sheet.errors).map((f) => Number(/^script\.events\[(\d+)\]/.exec(f)?.[1] ?? -1)))
  );

  /** The usual script becomes the plan's own, to be changed. */
  const take = () => sheet.edit('script.events', $state.snapshot(events));
  const change = async (i: number) => {
    if (usual) take();
    open = open === i ? -1 : i;
    await tick();
    if (open >= 0) intoView(`script.events[${i}].at`);
  };
  const add = async (does: Does, job = '') => {
    const list = $state.snapshot(events);
    const e = { ...blankEvent(does, nextTime(list)), job };
    if (does === 'cut' || does === 'jam' || does === 'fails') e.lasts = does === 'cut' ? '5 s' : '2 s';
    sheet.edit('script.events', [...list, e]);
    open = list.length;
    await tick();
    intoView(`script.events[${open}].at`);
  };
  const drop = (i: number) => {
    const list = $state.snapshot(events).filter((_, k) => k !== i);
    // The last one gone would bring the usual script back.
    sheet.edit('script.events', list.length > 0 ? list : [blankEvent('', '0 s')]);
    open = -1;
  };
  const offered = [
    ['jam', 'a jam'],
    ['knob', 'knob'],
    ['fails', 'power fails'],
    ['reverse', 'reverse'],
    ['ramp', 'stop'],
    ['brake', 'braked stop'],
    ['coast', 'let it coast'],
    ['stop', 'emergency stop'],
    ['free', 'hands off'],
    ['on', 'switch on']
  ] as const;
  /** What a day is like: its field, what it is called, such as, and what stands there otherwise. */
  const day = [
    ['inertia', 'Inertia at the spindle', '0.4 kg·m²', 'reckoned'],
    ['friction', 'Its own friction', '0.3 N·m', 'reckoned'],
    ['sticks', 'Just starts it', '0.4 N·m', 'reckoned'],
    ['volts', 'Volts there', '225 V', 'nominal'],
    ['air', 'Shop', '14 °C', 'otherwise']
  ] as const;
  const coasted = $derived(sheet.doc.plan.script.coasted);
  const others = $derived(sheet.head.siblings.filter((p) => p.id !== sheet.planId));
  const positions = $derived(sheet.assessment?.reach.positions.map((p) => p.label) ?? []);
</script>

<section aria-label="What happens">
  <div class="flex items-baseline justify-between gap-3">
    <h2 class="caption">What happens</h2>
    {#if usual}
      <span class="text-sm text-soft">the usual for such a machine</span>
    {:else}
      <button class="link text-sm" onclick={() => sheet.edit('script.events', [])}>the usual script</button>
    {/if}
  </div>
  <ol class="mt-1">
    {#each events as e, i (i)}
      <li class="border-b border-dotted border-rule py-1.5">
        <div class="grid grid-cols-[3.6rem_minmax(0,1fr)_auto] items-baseline gap-x-2">
          <span class="font-semibold">{e.at || '—'}</span>
          <span class="min-w-0">
            <span class="font-semibold" class:text-stop={errored.has(i)}>{nameOf(e, jobs, kinds)}</span>
            {#if sizeOf(e)}<span class="block text-sm text-soft">{sizeOf(e)}</span>{/if}
          </span>
          <button
            class="link min-h-8 text-sm"
            aria-expanded={open === i}
            aria-label="{open === i ? 'done' : 'change'}, event {i + 1}, {nameOf(e, jobs, kinds)}"
            onclick={() => change(i)}>{open === i ? 'done' : 'change'}</button
          >
        </div>
        {#if open === i && !usual}
          {@const at = `script.events[${i}]`}
          {@const sized = kindOf(e.does)?.sized ?? ''}
          <div class="mt-1.5 grid grid-cols-2 gap-x-3 gap-y-2 border-l-2 border-rule pl-2.5">
            <Field path="{at}.at" label="When" hint="6 s" />
            <Choice path="{at}.does" label="What" options={kinds.map((k) => [k.does, k.name] as const)} />
            {#if sized === 'job'}
              <Choice path="{at}.job" label="Job" options={jobs.map((j) => [j.id, j.name] as const)} />
            {/if}
            {#if sized === 'speed'}<Field path="{at}.speed" label="Speed" hint="90 rpm" />{/if}
            {#if sized === 'torque' || sized === 'job'}
              <Field path="{at}.torque" label={sized === 'job' ? 'Torque, if not the job’s' : 'Torque'} hint="9 N·m" />
            {/if}
            {#if kindOf(e.does)?.lasts}<Field path="{at}.lasts" label="Lasts" hint="4 s" />{/if}
            <Field path="{at}.name" label="Called" words />
            <button class="link justify-self-start text-sm" onclick={() => drop(i)}>take it out</button>
          </div>
        {/if}
      </li>
    {/each}
  </ol>
  <p class="mt-2 flex flex-wrap gap-x-3 gap-y-1" role="group" aria-label="Add what happens">
    {#each jobs as j (j.id)}<button class="link min-h-8" onclick={() => add('cut', j.id)}>{j.name || 'a cut'}</button
      >{/each}
    {#each offered as [does, words] (does)}<button class="link min-h-8" onclick={() => add(does)}>{words}</button
      >{/each}
  </p>
</section>

<section aria-label="On the day" class="mt-5">
  <h2 class="caption">On the day</h2>
  <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
    {#each day as [field, label, hint, otherwise] (field)}
      {@const taken = answer?.onTheDay[field]}
      {@const given = sheet.text(`script.${field}`) !== ''}
      <div>
        <Field path="script.{field}" {label} {hint} />
        {#if field === 'friction' && coasted}
          <p class="text-sm text-soft">
            It goes by how it was measured to coast: {coasted.dry}, and {coasted.grows} and {coasted.air} more at
            {coasted.at}, the motor's own loss in it.
            <button class="link" onclick={() => sheet.edit('script.coasted', undefined)}>forget that</button>
          </p>
        {:else if answer?.runs && taken}
          {@const guess = taken.guessed && (given || taken.value === taken.without)}
          <p class="text-sm {guess && !given ? 'text-(--brass-ink)' : 'text-soft'}">
            {#if !given}{taken.value}{guess ? ', guessed' : ''}
            {:else if taken.value !== taken.without}{taken.without} {guess ? 'guessed' : otherwise}{/if}
          </p>
        {/if}
      </div>
    {/each}
    <Field path="script.warm" label="Winding, at the start" hint="60 °C" />
    {#if others.length > 0}
      <div>
        <label for="dry-beside" class="block text-sm text-soft">Beside it</label>
        <select
          id="dry-beside"
          class="blank"
          value={sheet.dry.beside?.id ?? ''}
          onchange={(e) => {
            const p = others.find((o) => o.id === e.currentTarget.value);
            void sheet.dry.runBeside(p?.id ?? '', p ? nameOfPlan(p) : '');
          }}
        >
          <option value="">no plan</option>
          {#each others as p (p.id)}<option value={p.id}>{nameOfPlan(p)}</option>{/each}
        </select>
      </div>
    {/if}
    {#if positions.length > 1}
      <Choice
        path="script.position"
        label="Belt on"
        options={positions.map((p) => [p, p] as const)}
        fallback={answer?.position ?? ''}
      />
    {/if}
  </div>
</section>
