<script lang="ts">
  import { api, call, sayProblem, type Schemas } from '../api/client';
  import { openSheet } from '../sheet/context';

  /** Readings out of a CSV file: how each column was taken is shown before anything is. */
  let { ondone }: { ondone: () => void } = $props();

  const trials = openSheet().trials;
  const columns = $derived(trials.profile?.columns ?? []);
  let text = $state('');
  let as = $state<string[]>([]);
  let table = $state.raw<Schemas['MeasuredTable']>();
  let problem = $state('');

  const read = async () => {
    const kind = trials.trial?.kind ?? '';
    const answer = await call(() => api.POST('/api/trial/table', { body: { kind, text, as } }));
    table = answer.data;
    problem = answer.data ? '' : sayProblem(answer.problem);
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > 800_000) {
      problem = 'The file is longer than 800 kB. Cut it to the part you want.';
      return;
    }
    text = await file.text();
    as = [];
    await read();
  };
  const take = (i: number, field: string) => {
    as = (table?.columns ?? []).map((c, k) => (k === i ? field || '-' : (as[k] ?? (c.field || '-'))));
    void read();
  };
  const add = () => {
    trials.add(table?.readings ?? []);
    ondone();
  };
</script>

<section aria-label="From a CSV file" class="mx-4 mt-1 border-l-2 border-rule pl-3">
  <label class="block text-sm text-soft" for="csv-file">A file with a line of headings</label>
  <input
    id="csv-file"
    type="file"
    accept=".csv,.txt,.tsv,text/csv"
    onchange={(e) => open(e.currentTarget.files?.[0])}
  />
  {#if problem}<p role="alert" class="mt-1 text-stop">{problem}</p>{/if}
  {#if table}
    <table class="mt-2 w-full max-w-2xl">
      <thead
        ><tr class="text-left text-sm text-soft">
          <th class="font-normal">Column</th><th class="font-normal">taken as</th><th class="font-normal">in</th>
          <th class="font-normal">first of it</th>
        </tr></thead
      >
      <tbody>
        {#each table.columns as c, i (i)}
          <tr class="border-b border-dotted border-rule">
            <td class="py-1 pr-2 font-semibold">{c.heading || `column ${i + 1}`}</td>
            <td class="py-1 pr-2">
              <select
                class="blank"
                aria-label="{c.heading || `column ${i + 1}`} is taken as"
                value={c.field}
                onchange={(e) => take(i, e.currentTarget.value)}
              >
                <option value="">left out</option>
                {#each columns as col (col.field)}<option value={col.field}>{col.label}</option>{/each}
              </select>
            </td>
            <td class="py-1 pr-2">{c.unit}</td>
            <td class="py-1">
              {c.sample}{#if c.misses > 0}<span class="text-stop"> {c.misses} cannot be read</span>{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="mt-2 flex flex-wrap items-baseline gap-x-4">
      <button class="button primary" disabled={table.readings.length === 0} onclick={add}
        >Take {table.readings.length} readings</button
      >
      {#if table.left > 0}<span class="text-sm text-soft"
          >{table.left} rows are left out, evenly: a trial holds no more.</span
        >{/if}
    </p>
  {/if}
</section>
