<script lang="ts">
  import type { TableReading } from '$lib/files/table';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt } from '$lib/desk/paths';
  import FilePick from './FilePick.svelte';
  import Mark from './Mark.svelte';
  import { fieldName } from './names';

  interface Props {
    /** Path of the list that the table becomes. */
    path: string;
    /** What is asked for; the list itself keeps its own name. */
    ask: string;
    read: (bytes: Uint8Array) => TableReading;
  }
  let { path, ask, read }: Props = $props();
  const desk = useDesk();
  let name = $state('');
  let told = $state.raw<TableReading | null>(null);
  const largest = 1024 * 1024;

  async function pick([file]: readonly File[]): Promise<void> {
    if (!file) return;
    name = file.name;
    if (file.size > largest) {
      told = { ok: false, faults: [{ line: 1, column: 1, message: 'It is larger than 1 MB: not such a table.' }] };
      return;
    }
    const reading = read(new Uint8Array(await file.arrayBuffer()));
    told = reading;
    if (reading.ok) desk().change('', (draft) => putAt(draft, path, [...reading.rows]), `${fieldName(path)}, ${name}`);
  }
</script>

<div class="my-2 flex flex-wrap items-end gap-3">
  <FilePick label={ask} accept=".csv,text/csv,text/plain" testid={path} onpick={(files) => void pick(files)} />
  <div role="status" class="min-w-0 text-[13px]">
    {#if told?.ok}
      <p class="pb-1 text-quiet">Taken from {name}: {told.rows.length} rows.</p>
    {:else if told}
      <p class="flex items-center gap-2"><Mark state="fail" />{name} was not taken:</p>
      <ul class="list-disc pl-5">
        {#each told.faults as f (`${f.line} ${f.column} ${f.message}`)}
          <li>line {f.line}, column {f.column}: {f.message}</li>
        {/each}
      </ul>
    {/if}
  </div>
</div>
