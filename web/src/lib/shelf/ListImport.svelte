<script lang="ts">
  import { Button, Select, Table } from 'flowbite-svelte';
  import type { nameplate } from '@pilgrim/core';
  import { importList, type ListTold } from '$lib/api';
  import Mark from '$lib/ui/Mark.svelte';

  interface Props {
    plantId: string;
    /** Columns a list may have. */
    columns: readonly { readonly key: nameplate.ListKey; readonly label: string; readonly needed: boolean }[];
    taken: (count: number) => void;
  }
  let { plantId, columns, taken }: Props = $props();

  let file: File | undefined = $state.raw();
  let told = $state.raw<ListTold | null>(null);
  let message = $state('');
  let busy = $state(false);

  async function send(mapping: nameplate.ListMapping | undefined, take: boolean): Promise<void> {
    if (!file) return;
    busy = true;
    message = '';
    const answer = await importList(plantId, file, mapping, take);
    if (!answer.ok && answer.status === 0) message = 'The server did not answer; nothing was taken.';
    else if (!answer.ok) {
      message = `${file.name}: ${answer.problem.title ?? 'not taken'}. ${answer.problem.detail ?? ''}`;
      if (!take) told = null;
    } else if (take) {
      message = `${answer.value.taken.toLocaleString('en')} motors of ${file.name} are on the shelf.`;
      told = null;
      file = undefined;
      taken(answer.value.taken);
    } else told = answer.value;
    busy = false;
  }

  function pick(files: FileList | null): void {
    file = files?.[0];
    told = null;
    void send(undefined, false);
  }

  function map(key: nameplate.ListKey, index: number): void {
    if (!told) return;
    const mapping = { ...told.mapping };
    if (index < 0) delete mapping[key];
    else mapping[key] = index;
    void send(mapping, false);
  }
</script>

<label class="push focus-within:outline-2"
  >Bring in a list
  <input
    class="sr-only"
    type="file"
    accept=".csv,text/csv,text/plain"
    data-testid="list"
    onchange={(e) => pick(e.currentTarget.files)}
  />
</label>
<span class="ml-2 text-[13px] text-quiet"
  >CSV in UTF-8 with a line of headings; nothing is taken before you say so.</span
>
<p role="status" class="mt-1 min-h-5">{busy ? 'Reading …' : message}</p>
{#if told}
  <div class="rounded-[3px] bg-paper p-2" data-testid="list-told">
    <p class="mb-2 flex items-center gap-2">
      <Mark state={told.missing.length > 0 ? 'fail' : told.bad > 0 ? 'caution' : 'pass'} />
      {file?.name}: {told.rows.toLocaleString('en')} rows.
      {told.missing.length > 0
        ? `No column is ${told.missing.join(', ')}: say which it is.`
        : `${told.good.toLocaleString('en')} can be taken, ${told.bad.toLocaleString('en')} cannot.`}
    </p>
    <div class="mb-2 grid gap-x-3 gap-y-1 sm:grid-cols-4">
      {#each columns as c (c.key)}
        {@const at = told.mapping[c.key]}
        <label class="text-[13px]"
          >{c.label}{c.needed ? ' (needed)' : ''}
          <Select
            classes={{ select: 'field py-[3px]!' }}
            placeholder=""
            items={['not in the list', ...told.headings].map((name, i) => ({ name, value: i - 1 }))}
            bind:value={() => at ?? -1, (to) => map(c.key, to)}
          /></label
        >
      {/each}
    </div>
    <div class="mb-2 overflow-x-auto">
      <Table class="dense">
        <caption class="text-left text-[13px] text-quiet">The first rows, as they stand</caption>
        <thead
          ><tr
            >{#each told.headings as h, i (i)}<th>{h}</th>{/each}</tr
          ></thead
        >
        <tbody>
          {#each told.sample as row, i (i)}<tr
              >{#each told.headings as _, n (n)}<td>{row[n] ?? ''}</td>{/each}</tr
            >{/each}
        </tbody>
      </Table>
    </div>
    {#if told.errors.length > 0}
      <details open class="mb-2">
        <summary>What is wrong, by line and column{told.bad > told.errors.length ? ' (the first of it)' : ''}</summary>
        <ul class="max-h-40 overflow-auto text-[13px]" data-testid="list-errors">
          {#each told.errors as e, i (i)}<li>line {e.line}, {e.column}: {e.message}</li>{/each}
        </ul>
      </details>
    {/if}
    <Button
      class="push"
      data-main
      disabled={busy || told.missing.length > 0 || told.good === 0}
      onclick={() => void send(told?.mapping, true)}>Put {told.good.toLocaleString('en')} on the shelf</Button
    >
  </div>
{/if}
