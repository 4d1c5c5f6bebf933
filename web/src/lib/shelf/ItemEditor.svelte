<script lang="ts">
  import AsFound from '../motor/AsFound.svelte';
  import AsRead from '../motor/AsRead.svelte';
  import { catalogue } from '../catalogue.svelte';
  import Choice from '../form/Choice.svelte';
  import ClashPanel from '../form/ClashPanel.svelte';
  import Field from '../form/Field.svelte';
  import SaveLine from '../form/SaveLine.svelte';
  import Mark from '../ui/Mark.svelte';
  import { provideForm } from '../form/context';
  import Pictures from './Pictures.svelte';
  import type { ItemState } from './item.svelte';
  import { nameOf, sorts, states } from './words';

  let { state: item, onremove }: { state: ItemState; onremove: () => void } = $props();
  provideForm(() => item);

  const sort = $derived(item.item.sort);
</script>

<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
  <h2 class="text-[1.45rem]">{nameOf(item.item)}</h2>
  <SaveLine saved={item.saved} />
  <span class="ml-auto flex gap-2">
    <button
      class="button min-h-8! py-0!"
      disabled={!item.saved.canUndo}
      onclick={() => item.saved.undo()}
      aria-label="Undo">↶</button
    >
    <button
      class="button min-h-8! py-0!"
      disabled={!item.saved.canRedo}
      onclick={() => item.saved.redo()}
      aria-label="Redo">↷</button
    >
    <button class="link" onclick={onremove}>take it off the shelf</button>
  </span>
</div>
<ClashPanel saved={item.saved} what="part" />
<div class="mt-3 grid gap-x-8 gap-y-2 lg:grid-cols-[minmax(0,23rem)_minmax(0,30rem)]">
  <div class="min-w-0">
    {#if sort === 'motor'}
      <AsRead at="motor" />
    {:else}
      <div class="grid grid-cols-2 gap-3">
        <div class="col-span-2">
          <Choice path="sort" label="Sort" options={sorts.map(([s, plural]) => [s, plural] as const)} />
        </div>
        {#if sort === 'control'}
          <div class="col-span-2">
            <Choice
              path="control.kind"
              label="Kind"
              options={catalogue.controls.map((c) => [c.kind, c.choice] as const)}
            />
          </div>
          <div class="col-span-2"><Field path="control.name" label="Name" hint="Phase-angle, 180 V out" words /></div>
          {#if catalogue.control(item.text('control.kind'))?.converts}
            <Field path="control.volts" label="Most volts out" hint="180 V" />
            <Field path="control.amps" label="Amps for ever" hint="5 A" />
          {/if}
          <div class="col-span-2"><Field path="control.origin" label="Where it came from" words /></div>
        {:else}
          <div class="col-span-2">
            <Field path="name" label="Name" hint={sort === 'belt' ? 'A 42' : 'Cast pulley'} words />
          </div>
        {/if}
        {#if sort === 'pulley'}
          <Field path="wheel.diameter" label="Diameter" hint="236 mm" />
          <Field path="wheel.teeth" label="or teeth" hint="60" />
          <Field path="wheel.section" label="Section" hint="A" words />
          <Field path="wheel.bore" label="Bore" hint="19 mm" />
        {:else if sort === 'belt'}
          <Field path="wheel.section" label="Section or chain" hint="A" words />
          <Field path="length" label="Length" hint="1080 mm" />
        {/if}
      </div>
    {/if}
  </div>
  <div class="min-w-0">
    {#if (item.known?.findings ?? []).length > 0}
      <h3 class="caption">What stands out</h3>
      <ul>
        {#each item.known?.findings ?? [] as f (f.id)}
          <li class="flex gap-3 border-b border-rule py-2">
            <Mark level={f.level} />
            <p class="min-w-0 text-[0.94rem]">
              <span class="font-semibold">{f.title}</span><br /><span class="text-soft">{f.detail}</span>
            </p>
          </li>
        {/each}
      </ul>
    {/if}
    {#if sort === 'motor'}<AsFound at="motor" bench={item.known?.bench} />{/if}
    <h3 class="caption mt-5">As stock</h3>
    <div class="mt-1 grid grid-cols-3 gap-3">
      <Choice path="state" label="State" fallback="untested" options={states} />
      <Field path="cost" label="Cost" hint="12" />
      <Field path="place" label="Lies" hint="Under the bench" words />
      <div class="col-span-3"><Field path="notes" label="Notes" long words /></div>
    </div>
    {#if item.pictures}<Pictures state={item} pictures={item.pictures} />{/if}
  </div>
</div>
