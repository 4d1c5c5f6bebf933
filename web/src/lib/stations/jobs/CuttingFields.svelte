<script lang="ts">
  import Field from '../../form/Field.svelte';

  /** The size of the cut; which blanks there are goes by the operation. */
  let { at, operation, surface }: { at: string; operation: string; surface: boolean } = $props();

  type Blank = [field: string, label: string, hint: string];
  const diameter: Record<string, Blank> = {
    drilling: ['diameter', 'Drill', '10 mm'],
    milling: ['diameter', 'Cutter', '12 mm'],
    sawing: ['diameter', 'Saw wheel', '350 mm'],
    sanding: ['diameter', 'Disc or wheel', '300 mm'],
    grinding: ['diameter', 'Wheel', '150 mm']
  };
  const rest: Record<string, Blank[]> = {
    drilling: [['feed', 'Feed a turn', '0.15 mm']],
    milling: [
      ['depth', 'Depth of cut', '4 mm'],
      ['width', 'Width of cut', '5 mm'],
      ['perTooth', 'Chip per tooth', '0.05 mm'],
      ['teeth', 'Teeth', '4']
    ],
    sawing: [
      ['width', 'Kerf', '0.9 mm'],
      ['perTooth', 'Chip per tooth', '0.006 mm'],
      ['teeth', 'Teeth per inch', '10'],
      ['length', 'Work it is in', '40 mm']
    ]
  };
  const abrasive: Blank[] = [
    ['depth', 'Taken off a pass', '0.02 mm'],
    ['width', 'Width ground', '15 mm'],
    ['travel', 'Work passes at', '5 m/min']
  ];
  const turned: Blank[] = [
    ['depth', 'Depth of cut', '1 mm'],
    ['feed', 'Feed a turn', '0.1 mm'],
    ['bites', 'Broken off, a turn', 'never'],
    ['contact', 'Share of it in the work', '50 %']
  ];
  const blanks = $derived.by((): Blank[] => {
    const own = operation === 'grinding' || operation === 'sanding' ? abrasive : (rest[operation] ?? turned);
    // From surface speed the diameters are known already.
    return surface ? own : [diameter[operation] ?? ['diameter', 'Work turned', '60 mm'], ...own];
  });
</script>

{#each blanks as [field, label, hint] (field)}<Field path="{at}.{field}" {label} {hint} />{/each}
<div class="col-span-2">
  {#if operation === 'grinding' || operation === 'sanding'}
    <p class="text-sm text-soft">
      Energy for each mm³ comes from the table; it is rough. Weigh the pull where you can.
    </p>
  {:else}
    <Field path="{at}.specific" label="Cutting force of your own, at a 1 mm chip" hint="from the table" />
  {/if}
</div>
