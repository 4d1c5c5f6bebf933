<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import { openSheet } from '../sheet/context';
  import { outbox } from '../log/send.svelte';
  import { railState } from '../trials/state';
  import { narrow } from '../ui/narrow.svelte';
  import { nextOf, onPhone, stepsOf } from './rail';

  /** The steps of the work in the order it is done, each with its state, and the next thing to do. */
  const sheet = openSheet();
  const a = $derived(sheet.assessment);
  const waits = $derived(outbox.of(sheet.head.machineId).length);
  const logWords = $derived(waits > 0 ? `${waits} to send` : '');
  const known = $derived(
    a && {
      a,
      dry: sheet.dry.answer,
      parts: sheet.build.parts,
      steps: sheet.build.steps,
      trials: railState(sheet.doc.plan.trials, new Date()),
      log: logWords
    }
  );
  const all = $derived(known ? stepsOf(known) : []);
  const steps = $derived(all.filter((s) => !narrow.is || onPhone.includes(s.panel)));
  const others = $derived(all.filter((s) => narrow.is && !onPhone.includes(s.panel)));
  const next = $derived(known && nextOf(known));
  const here = $derived(
    (['rank', 'controls', 'beside', 'bench'] as const).some((of) => of === sheet.panel) ? '' : sheet.panel
  );
  const go = () => {
    if (!next) return;
    if (next.field) sheet.goTo(next.field);
    else sheet.show(next.panel);
  };
</script>

<nav aria-label="The work" class="rail">
  <ol class="flex min-w-0">
    {#each steps as s (s.name)}
      <li>
        <a
          href={sheet.address(s.panel)}
          class="step"
          class:here={here === s.panel}
          aria-current={here === s.panel ? 'step' : undefined}
          ><span class="font-head text-[1.1rem] font-semibold">{s.name}</span>
          <span class="state text-sm {s.bad ? 'text-stop' : 'text-soft'}">{s.state}</span></a
        >
      </li>
    {/each}
  </ol>
  {#if others.length > 0}
    <DropdownMenu.Root>
      <DropdownMenu.Trigger class="more-steps" aria-current={others.some((s) => s.panel === here) ? 'step' : undefined}
        >More</DropdownMenu.Trigger
      >
      <DropdownMenu.Portal disabled>
        <DropdownMenu.Content class="menu" side="top" align="end" sideOffset={6}>
          {#each others as s (s.name)}
            <DropdownMenu.Item class="menu-item" onSelect={() => sheet.show(s.panel)}
              >{s.name} <span class="ml-auto text-sm text-soft">{s.state}</span></DropdownMenu.Item
            >
          {/each}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  {/if}
  {#if next}
    <p class="next text-sm text-soft">
      <span class="words" title={next.words}>next: {next.words}</span>
      <button class="link flex-none font-semibold" onclick={go}>do it</button>
    </p>
  {/if}
</nav>

<style>
  .rail {
    display: flex;
    align-items: stretch;
    justify-content: space-between;
    border-bottom: 1px solid var(--rule);
    background: var(--paper);
  }
  .step {
    display: flex;
    min-height: 2.5rem;
    align-items: center;
    column-gap: 0.6rem;
    padding: 0.15rem 1rem 0;
    border-right: 1px solid var(--rule);
    border-bottom: 3px solid transparent;
  }
  .step:hover {
    background: var(--card);
  }
  .step.here {
    background: var(--card);
    border-bottom-color: var(--ink);
  }
  .state {
    white-space: nowrap;
  }
  .next {
    display: flex;
    min-width: 0;
    flex: 1 1 0;
    align-items: center;
    justify-content: flex-end;
    gap: 0.6rem;
    padding: 0 1rem;
  }
  .words {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media (width < 66rem) {
    .rail {
      flex-wrap: wrap;
    }
    ol {
      flex: 1 1 100%;
    }
    li {
      min-width: 0;
      flex: 1 1 auto;
    }
    .step {
      flex-direction: column;
      justify-content: center;
      height: 100%;
      min-height: 2.5rem;
      padding-inline: 0.2rem;
    }
    .state {
      text-align: center;
      white-space: normal;
      font-size: 0.8rem;
      line-height: 1.1;
    }
    /* Where it would take a row of its own: the answers name what is wanted. */
    .next {
      display: none;
    }
  }
  /* On a phone a bar at the foot, for the thumb. */
  @media (width < 40rem) {
    .rail {
      position: fixed;
      z-index: 15;
      right: 0;
      bottom: 0;
      left: 0;
      flex-wrap: nowrap;
      border-top: 2px solid var(--ink);
      border-bottom: 0;
      background: var(--card);
    }
    li {
      flex: 1 1 0;
    }
    .step,
    .rail :global(.more-steps) {
      min-height: 3.8rem;
      border-bottom-width: 0;
    }
    .step.here,
    .rail :global(.more-steps[aria-current]) {
      background: var(--paper);
    }
    .rail :global(.more-steps) {
      min-width: 4.4rem;
      font-family: var(--font-head);
      font-size: 1.1rem;
      font-weight: 600;
    }
  }
</style>
