<script lang="ts">
  import { api, call, sayProblem } from '../api/client';

  let { onimported }: { onimported: () => void } = $props();

  let said = $state('');
  let failed = $state(false);

  const bring = async (e: Event) => {
    const input = e.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    if (!file) return;
    const text = await file.text();
    const { data, problem } = await call(() =>
      // The file goes as it is: the server reads it strictly and says where it is wrong.
      api.POST('/api/import', { body: text, bodySerializer: (t: string) => t, headers: { 'Content-Type': 'application/json' } })
    );
    failed = !data;
    said = data
      ? `Added ${data.machines} machines, ${data.plans} plans and ${data.parts} parts.`
      : `Nothing was changed. ${sayProblem(problem)}`;
    input.value = '';
    if (data) onimported();
  };
</script>

<section class="mt-10 flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-rule pt-3 text-soft" aria-label="Files">
  <a class="link" href="/api/export" download>export the workshop</a>
  <label class="link cursor-pointer focus-within:outline-2 focus-within:outline-iron">
    import a file<input class="sr-only" type="file" accept=".json,application/json" onchange={bring} />
  </label>
  <a class="link" href="/api/open-file.schema.json">the open file's schema</a>
  <p role={failed ? 'alert' : 'status'} class={failed ? 'text-stop' : ''}>{said}</p>
</section>
