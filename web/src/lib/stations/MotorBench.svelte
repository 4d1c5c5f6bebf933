<script lang="ts">
  import AsFound from '../motor/AsFound.svelte';
  import AsRead from '../motor/AsRead.svelte';
  import { openSheet } from '../sheet/context';
  import ShelfMotors from './ShelfMotors.svelte';

  const sheet = openSheet();
</script>

<div class="flex flex-wrap items-baseline justify-between gap-x-3">
  <h2 class="caption">Motor, as its plate reads</h2>
  <ShelfMotors />
</div>
<p class="mb-2.5 flex gap-4 text-[0.94rem]">
  <a class="link" href="#/what-is-it/{sheet.planId}">what is it?</a>
  <button class="link" onclick={() => sheet.show('rank')}>rank the shelf for these jobs</button>
</p>
<AsRead at="motor" />
<AsFound at="motor" bench={sheet.assessment?.bench} />
