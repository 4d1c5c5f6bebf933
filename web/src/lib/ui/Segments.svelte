<script lang="ts" generics="T extends string">
  import { RadioGroup } from 'bits-ui';

  interface Props {
    label: string;
    value: T;
    options: readonly (readonly [value: T, words: string])[];
    onchange: (value: T) => void;
  }
  let { label, value, options, onchange }: Props = $props();
</script>

<RadioGroup.Root
  {value}
  onValueChange={(v) => onchange(v as T)}
  aria-label={label}
  orientation="horizontal"
  class="flex rounded-[3px] border border-rule bg-card"
>
  {#each options as [v, words] (v)}
    <RadioGroup.Item
      value={v}
      class="min-h-8 min-w-14 px-3 text-sm data-[state=checked]:bg-ink data-[state=checked]:text-card"
      >{words}</RadioGroup.Item
    >
  {/each}
</RadioGroup.Root>
