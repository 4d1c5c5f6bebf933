<script lang="ts">
  import { catalogue } from '../../catalogue.svelte';
  import Choice from '../../form/Choice.svelte';
  import { openForm } from '../../form/context';

  /** What is cut, how and with what: gives the usual surface speed and the cutting force. */
  let { at }: { at: string } = $props();

  const form = openForm();
  const operation = $derived(form.text(`${at}.operation`));
</script>

<Choice path="{at}.operation" label="Operation" options={catalogue.operations.map((o) => [o, o] as const)} />
<Choice path="{at}.material" label="In" options={catalogue.materials.map((m) => [m.id, m.name] as const)} />
{#if ['turning', 'drilling', 'milling'].includes(operation)}
  <div class="col-span-2">
    <Choice
      path="{at}.tool"
      label="With"
      fallback="hss"
      options={[
        ['hss', 'high-speed steel'],
        ['carbide', 'carbide']
      ]}
    />
  </div>
{/if}
