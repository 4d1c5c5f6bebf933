<script lang="ts">
  import Choice from '../form/Choice.svelte';
  import Field from '../form/Field.svelte';
  import Tick from '../form/Tick.svelte';
  import { openSheet } from '../sheet/context';
  import { prefs } from '../prefs.svelte';
  import { catalogue } from '../catalogue.svelte';

  /** The fields of one stage of the reduction. */
  let { i, of, onremove }: { i: number; of: number; onremove: () => void } = $props();

  const sheet = openSheet();
  const at = $derived(`reduction.stages[${i}]`);
  const kind = $derived(sheet.text(`${at}.kind`) || 'v');
  const profile = $derived(catalogue.stage(kind));
  const toothed = $derived(profile?.counted ?? false);
  const meshed = $derived(profile?.meshed ?? false);
  const steps = $derived((sheet.value(`${at}.steps`) as unknown[] | undefined) ?? []);
  const sections = $derived(
    kind === 'poly-v'
      ? ([
          ['J', 'J, fine ribs'],
          ['K', 'K, as on cars'],
          ['L', 'L, coarse ribs']
        ] as const)
      : ([
          ['Z', 'Z, 10 mm'],
          ['A', 'A, 13 mm'],
          ['B', 'B, 17 mm']
        ] as const)
  );
  const counts: Record<string, [string, string]> = {
    v: ['Belts', '1'],
    link: ['Belts', '1'],
    'poly-v': ['Ribs', '6'],
    chain: ['Strands', '1']
  };
  const given = $derived(kind === 'ratio');
  const direct = $derived(kind === 'direct');
  const ends = $derived(
    direct
      ? ([['onDriving', 'Wheel, pulley or tool straight on the motor’s shaft']] as const)
      : ([
          ['onDriving', 'Driving wheel'],
          ['onDriven', 'Driven wheel']
        ] as const)
  );
  // Turns go the other way about from sizes and teeth: a stage that becomes a ratio keeps it.
  const pickKind = (to: string) =>
    sheet.change(({ plan }) => {
      const stage = plan.reduction.stages[i];
      if (!stage) return;
      if ((stage.kind === 'ratio') !== (to === 'ratio'))
        for (const step of stage.steps) [step.driver, step.driven] = [step.driven, step.driver];
      stage.kind = to as typeof stage.kind;
    });
  const addStep = () => sheet.change(({ plan }) => plan.reduction.stages[i]?.steps.push({ driver: '', driven: '' }));
  const dropStep = (k: number) => sheet.change(({ plan }) => plan.reduction.stages[i]?.steps.splice(k, 1));
</script>

<fieldset class="mt-3 border-t border-rule pt-2">
  <legend class="sr-only">Stage {i + 1}</legend>
  <div class="flex items-baseline justify-between">
    <p class="font-head text-lg font-semibold">Stage {i + 1}</p>
    <button class="link" onclick={onremove}>remove stage {i + 1}</button>
  </div>
  <div class="grid grid-cols-2 gap-3">
    <Choice
      path="{at}.kind"
      label="Kind"
      fallback="v"
      options={catalogue.stages.map((s) => [s.kind, s.name] as const)}
      onpick={pickKind}
    />
    {#if profile?.section}
      <Choice path="{at}.section" label="Belt section" fallback={profile.section} options={sections} />
    {/if}
    {#if counts[kind]}<Field path="{at}.count" label={counts[kind][0]} hint={counts[kind][1]} />{/if}
    {#if toothed}
      <Field
        path="{at}.pitch"
        label={meshed ? 'Module, or diametral pitch' : kind === 'chain' ? 'Pitch, or its number' : 'Pitch'}
        hint={meshed ? '1.5 mm, or 20 DP' : kind === 'chain' ? '12.7 mm, or 35' : '5 mm'}
        unit={kind === 'chain' ? '' : meshed && prefs.units === 'inch' ? 'DP' : undefined}
      />
    {:else if given}
      <Field path="{at}.keeps" label="It keeps" hint="93 %" />
    {:else if !direct}
      <Choice
        path="{at}.measured"
        label="Diameters are"
        fallback="pitch"
        options={[
          ['pitch', 'pitch'],
          ['outside', 'outside, over the rim']
        ]}
      />
    {/if}
    {#if kind === 'flat' || kind === 'toothed'}<Field
        path="{at}.width"
        label="Belt width"
        hint={kind === 'flat' ? '40 mm' : '15 mm'}
      />{/if}
    {#if kind === 'toothed'}
      <Choice
        path="{at}.teeth"
        label="Its teeth"
        fallback="straight"
        options={[
          ['straight', 'straight flanks'],
          ['curved', 'curved flanks']
        ]}
      />
    {/if}
    {#if kind === 'worm'}<Field path="{at}.width" label="Face of the wheel" hint="14 mm" />{/if}
    {#if kind === 'spur'}
      <Field path="{at}.width" label="Face width" hint="15 mm" />
      <Choice
        path="{at}.material"
        label="Made of"
        fallback="steel"
        options={[
          ['steel', 'mild steel'],
          ['hardened', 'hardened steel'],
          ['iron', 'cast iron'],
          ['bronze', 'bronze or brass'],
          ['nylon', 'nylon']
        ]}
      />
    {/if}
    {#if kind === 'worm'}<Field path="{at}.lead" label="Lead angle" hint="5.7°" />{/if}
  </div>
  {#if !direct}
    {#each steps.keys() as k (k)}
      <div class="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-3">
        <Field
          path="{at}.steps[{k}].driver"
          label="{steps.length > 1 ? `Step ${k + 1}: ` : ''}{kind === 'worm'
            ? 'starts of the worm'
            : given
              ? 'driving shaft, turns or rpm'
              : 'on the driving shaft'}"
          hint={kind === 'worm' ? '1' : given ? '4.8' : toothed ? '17 teeth' : '80 mm'}
          unit={toothed || given ? '' : undefined}
        />
        <Field
          path="{at}.steps[{k}].driven"
          label={given ? 'driven shaft' : 'on the driven'}
          hint={given ? '1' : toothed ? '60 teeth' : '236 mm'}
          unit={toothed || given ? '' : undefined}
        />
        {#if steps.length > 1}<button
            class="link pb-2"
            aria-label="Remove step {k + 1} of stage {i + 1}"
            onclick={() => dropStep(k)}>remove</button
          >{/if}
      </div>
    {/each}
    {#if steps.length < 6 && kind !== 'worm'}<button class="link mt-1" onclick={addStep}>add a step (cone)</button>{/if}
    {#if !meshed && !given}
      <div class="mt-2 grid grid-cols-2 gap-3">
        <Field path="{at}.centre" label="Between shafts" hint="280 mm" />
        <Field path="{at}.belt" label={kind === 'chain' ? 'or chain length' : 'or belt length'} hint="1080 mm" />
      </div>
    {/if}
    <div class="mt-1 grid grid-cols-2 gap-x-3">
      <Tick path="{at}.guarded" label="Guarded" />
      <Tick path="{at}.screwOn" label="Screwed on" />
      {#if kind === 'spur'}<div class="col-span-2">
          <Tick path="{at}.bypass" label="Back gear: can be put out of mesh" />
        </div>{/if}
    </div>
  {/if}
  {#if !given}
    <details class="mt-1">
      <summary class="link min-h-8 cursor-pointer py-1"
        >{direct ? 'Shaft, bore and key' : 'Shafts, bores and keys'}{of > 1 ? ` of stage ${i + 1}` : ''}</summary
      >
      {#each ends as [end, words] (end)}
        <p class="mt-2 font-semibold">{words}</p>
        <div class="grid grid-cols-2 gap-3">
          <Field
            path="{at}.{end}.shaft"
            label="Shaft"
            hint={i === 0 && end === 'onDriving' ? 'the motor’s' : '20 mm'}
          />
          <Field path="{at}.{end}.bore" label="Bore as it is" hint="19 mm" />
          <Choice
            path="{at}.{end}.held"
            label="Held by"
            options={[
              ['key', 'Key'],
              ['screw', 'Set screw alone'],
              ['taper', 'Taper bush or clamp'],
              ['pin', 'Pin or weld']
            ]}
          />
          <Field path="{at}.{end}.hub" label="Hub length" hint="30 mm" />
          <Field path="{at}.{end}.out" label="Out from its bearing" hint="45 mm" />
        </div>
      {/each}
      {#if !direct}<div class="mt-2 grid grid-cols-2 gap-3">
          <Field path="{at}.takeUp" label="Shafts move apart by" hint="20 mm" />
          <Field path="{at}.rated" label="Rated by its maker" hint="40 N·m" />
          <Field path="{at}.direction" label="Driven shaft lies" hint="0° is level, 90° above" />
        </div>{/if}
    </details>
  {/if}
</fieldset>
