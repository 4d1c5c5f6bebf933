<script lang="ts">
  import { openSheet } from './context';

  /** What can be printed of the plan. */
  const sheet = openSheet();
  const pages = [
    [
      'verdict',
      'Verdict sheet',
      'For the folder: the line, the reach, the jobs, what is open and what to set, on paper.'
    ],
    [
      'speed-plate',
      'Speed plate',
      'For the machine: what each position and knob mark turns at, and what it must never pass.'
    ],
    ['settings', 'Settings sheet', 'For the drive: every setting in the order it is made, with where it comes from.'],
    [
      'build',
      'Build sheet and wiring',
      'For the bench: parts, what to make, the wiring and the first power-up, to tick off.'
    ]
  ] as const;
</script>

<section aria-label="Sheets to print" class="max-w-3xl p-4">
  <h1 class="text-[1.45rem]">Sheets to print</h1>
  <ul class="mt-2">
    {#each pages as [path, name, what] (path)}
      <li class="border-b border-rule py-3">
        <a class="link text-lg font-semibold" href="#/plan/{sheet.planId}/{path}">{name}</a>
        <p class="text-soft">{what}</p>
      </li>
    {/each}
  </ul>
</section>
