<script lang="ts">
  import { Command, Dialog } from 'bits-ui';
  import Answers from '../slate/Answers.svelte';
  import type { Answer } from '../slate/fill';
  import { everywhere } from './everywhere';
  import { find, type Deed } from './find';
  import { SlateState } from '../slate/slate.svelte';

  interface Props {
    deeds: Deed[];
    /** Puts what an answer of the slate holds into the plan that is open; without one a plan is started with it. */
    take?: (answer: Answer) => void;
    open?: boolean;
  }
  let { deeds, take, open = $bindable(false) }: Props = $props();

  let typed = $state('');
  const slate = new SlateState();
  $effect(() => () => slate.stop());
  /** More than fit on a screen are not shown: a word more finds them. */
  const most = 60;
  /** A page's own deeds stand before what is found everywhere. */
  const all = $derived.by(() => {
    if (!open) return [];
    const own = new Set(deeds.map((d) => d.name));
    return [...deeds, ...everywhere().filter((d) => !own.has(d.name))];
  });
  const found = $derived(find(all, typed));
  const shown = $derived(found.slice(0, most));
  const groups = $derived([...new Set(shown.map((d) => d.group))]);
  const valueOf = (d: Deed) => String(shown.indexOf(d));
  /** The first of what is found is what Enter does, until another is chosen. */
  let chosen = $state('0');
  const type = (text: string) => {
    typed = text;
    chosen = '0';
    // What has a figure in it may be a question.
    slate.ask(/[\d½¼¾]/.test(text) || /motor\b/.test(text) ? text : '');
  };
  const answered = $derived((slate.reply?.answers.length ?? 0) > 0);
  const taken = (answer: Answer) => {
    open = false;
    if (take) setTimeout(() => take(answer));
    else void slate.start(answer);
  };

  const typing = (e: KeyboardEvent) =>
    e.target instanceof HTMLElement && (e.target.matches('input, textarea, select') || e.target.isContentEditable);
  const key = (e: KeyboardEvent) => {
    if (e.key === '/' && !typing(e) && !e.ctrlKey && !e.metaKey && !e.altKey) {
      e.preventDefault();
      type('');
      open = true;
    }
  };
  const pick = (d: Deed) => {
    open = false;
    // The dialog gives focus back as it closes; what was asked for comes after.
    setTimeout(d.run);
  };
</script>

<svelte:window onkeydown={key} />
<Dialog.Root bind:open>
  <Dialog.Trigger class="caption flex min-h-8 items-center gap-2 hover:underline"
    >find <kbd class="border border-rule bg-card px-2 py-0.5 font-body text-sm normal-case">/</kbd></Dialog.Trigger
  >
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-30 bg-black/40" />
    <Dialog.Content
      class="fixed top-[10vh] left-1/2 z-30 w-[min(36rem,94vw)] -translate-x-1/2 border border-ink bg-card p-3"
    >
      <Dialog.Title class="sr-only">Find</Dialog.Title>
      <Command.Root label="Find a field, a finding or something to do" bind:value={chosen} shouldFilter={false}>
        <Command.Input
          bind:value={() => typed, type}
          class="blank text-lg"
          aria-controls="found"
          placeholder="Find a field, a finding or something to do; or ask: 12 N·m at 240 rpm"
          autofocus
        />
        {#if answered || (slate.reply && found.length === 0)}
          <div class="mt-2 max-h-[40vh] overflow-y-auto">
            <Answers
              {slate}
              onlike={type}
              take={taken}
              takes={(a) => (take ? `put ${a.offer} in this plan` : `start a plan with ${a.offer}`)}
            />
          </div>
        {/if}
        <Command.List id="found" class="mt-2 max-h-[55vh] overflow-y-auto">
          {#if found.length === 0 && !slate.reply}<p class="p-3 text-soft">Nothing by that name.</p>{/if}
          {#each groups as group (group)}
            <Command.Group>
              <Command.GroupHeading class="caption px-2 pt-2">{group}</Command.GroupHeading>
              <Command.GroupItems>
                {#each shown.filter((d) => d.group === group) as d, i (i)}
                  <Command.Item
                    value={valueOf(d)}
                    onSelect={() => pick(d)}
                    class="flex min-h-10 cursor-pointer items-center justify-between px-2 data-[selected]:bg-ink data-[selected]:text-card"
                  >
                    <span
                      >{d.name}{#if d.says}<span class="block text-sm opacity-80">{d.says}</span>{/if}</span
                    >{#if d.keys}<kbd class="text-sm opacity-80">{d.keys}</kbd>{/if}
                  </Command.Item>
                {/each}
              </Command.GroupItems>
            </Command.Group>
          {/each}
          {#if found.length > most}<p class="p-3 text-soft">
              and {found.length - most} more: type another word of the name
            </p>{/if}
        </Command.List>
      </Command.Root>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
