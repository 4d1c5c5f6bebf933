<script lang="ts">
  import { DropdownMenu } from 'bits-ui';

  interface Props {
    title: string;
    value: string;
    options: readonly (readonly [value: string, words: string])[];
    onchange: (value: string) => void;
  }
  /** One of a few, as a menu beside the menu: what it is now stands in its name. */
  let { title, value, options, onchange }: Props = $props();
  const now = $derived(options.find(([v]) => v === value)?.[1] ?? '');
</script>

<DropdownMenu.Sub>
  <DropdownMenu.SubTrigger class="menu-item justify-between gap-4"
    ><span>{title}: {now}</span><span aria-hidden="true">▸</span></DropdownMenu.SubTrigger
  >
  <DropdownMenu.SubContent class="menu" sideOffset={2}>
    <DropdownMenu.RadioGroup {value} onValueChange={onchange}>
      {#each options as [v, words] (v)}
        <DropdownMenu.RadioItem class="menu-item" value={v} closeOnSelect={false}>
          {#snippet children({ checked })}<span aria-hidden="true" class="inline-block w-5">{checked ? '•' : ''}</span
            >{words}{/snippet}
        </DropdownMenu.RadioItem>
      {/each}
    </DropdownMenu.RadioGroup>
  </DropdownMenu.SubContent>
</DropdownMenu.Sub>
