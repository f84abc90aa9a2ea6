<script lang="ts">
  import { Button, Fileupload, Input, Progressbar, Select, Table } from 'flowbite-svelte';
  import { importList, type ListChoices, type ListTarget, type ListTold } from '$lib/api';
  import Mark from '$lib/ui/Mark.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  interface Props {
    plantId: string;
    target: ListTarget;
    /** Columns a list may have. */
    columns: readonly { readonly key: string; readonly label: string; readonly needed: boolean }[];
    /** What is done with the good rows: "Put 12 on the shelf", "12 motors of list.csv are on the shelf." */
    words: { readonly take: (good: string) => string; readonly taken: (count: string, file: string) => string };
    taken: (count: number) => void;
  }
  let { plantId, target, columns, words, taken }: Props = $props();

  let file: File | undefined = $state.raw();
  let files: FileList | undefined = $state();
  let told = $state.raw<ListTold | null>(null);
  let constants: Record<string, string> = $state({});
  let message = $state('');
  let busy = $state(false);
  let share = $state<number | null>(null);
  const count = (n: number): string => n.toLocaleString('en');

  async function send(choices: ListChoices, take: boolean): Promise<void> {
    if (!file) return;
    busy = true;
    message = '';
    share = take ? 0 : null;
    const answer = await importList(plantId, target, file, choices, take, (done, of) => {
      share = Math.round((100 * done) / of);
      message = `${count(done)} of ${count(of)} are worked out; none is there until all are.`;
    });
    share = null;
    if (!answer.ok && answer.status === 0)
      message = `${answer.problem.title ?? 'The server did not answer'}; nothing was taken.`;
    else if (!answer.ok) {
      message = `${file.name}: ${answer.problem.title ?? 'not taken'}. ${answer.problem.detail ?? ''}`;
      if (!take) told = null;
    } else if (take) {
      message = words.taken(count(answer.value.taken), file.name);
      told = null;
      file = undefined;
      files = undefined;
      taken(answer.value.taken);
    } else told = answer.value;
    busy = false;
  }

  function pick(): void {
    file = files?.[0];
    told = null;
    constants = {};
    if (file) void send({}, false);
  }

  const none = -1;
  const same = -2;
  /** Which column a field is: its place, none, or the same in every row. */
  const choiceOf = (key: string): number => (key in constants ? same : (told?.mapping[key] ?? none));
  function map(key: string, to: number): void {
    if (!told) return;
    const mapping = Object.fromEntries(Object.entries(told.mapping).filter(([k]) => k !== key));
    delete constants[key];
    if (to === same) {
      constants[key] = '';
      return;
    }
    if (to >= 0) mapping[key] = to;
    void send({ mapping, constants }, false);
  }
  const fill = (key: string, value: string): void => {
    constants[key] = value;
    void send({ mapping: told?.mapping, constants }, false);
  };
</script>

<label class="block max-w-[420px]"
  >A file with a line for each
  <Fileupload
    bind:files
    class="field p-0!"
    accept=".csv,.xlsx,text/csv,text/plain"
    data-testid={target === 'combinations' ? 'combination-list' : 'list'}
    onchange={pick}
  />
</label>
<p class="text-[13px] text-quiet">
  CSV in UTF-8 or XLSX (its first sheet) with a line of headings; nothing is taken before you say so.
</p>
<p role="status" class="mt-1 min-h-5">{busy && share === null ? 'Reading …' : message}</p>
{#if share !== null}
  <Progressbar
    role="progressbar"
    aria-label="Worked out"
    aria-valuenow={share}
    progress={share}
    size="h-2"
    class="mb-2 bg-rule"
    classes={{ inside: 'bg-pine' }}
  />
{/if}
{#if told}
  <div class="rounded-[3px] bg-paper p-2" data-testid="list-told">
    <p class="mb-2 flex items-center gap-2">
      <Mark state={told.missing.length > 0 ? 'fail' : told.bad > 0 ? 'caution' : 'pass'} />
      {file?.name}: {count(told.rows)} rows.
      {told.missing.length > 0
        ? `No column is ${told.missing.join(', ')}: say which it is, or that it is the same for all.`
        : `${count(told.good)} can be taken, ${count(told.bad)} cannot.`}
    </p>
    <div class="mb-2 grid gap-x-3 gap-y-1 sm:grid-cols-4">
      {#each columns as c (c.key)}
        <div>
          <label class="text-[13px]"
            >{c.label}{c.needed ? ' (needed)' : ''}
            <Select
              classes={{ select: 'field py-[3px]!' }}
              placeholder=""
              items={[
                { name: 'not in the list', value: none },
                { name: 'the same for all', value: same },
                ...told.headings.map((name, value) => ({ name, value })),
              ]}
              bind:value={() => choiceOf(c.key), (to) => map(c.key, to)}
            /></label
          >
          {#if c.key in constants}
            <Input
              class="field mt-1 py-[3px]!"
              aria-label="{c.label}, the same for all"
              value={constants[c.key]}
              maxlength={200}
              onchange={(e) => fill(c.key, e.currentTarget.value)}
            />
          {/if}
        </div>
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
      <Fold
        open
        class="mb-2"
        title={`What is wrong, by line and column${told.bad > told.errors.length ? ' (the first of it)' : ''}`}
      >
        <ul class="max-h-40 overflow-auto text-[13px]" data-testid="list-errors">
          {#each told.errors as e, i (i)}<li>line {e.line}, {e.column}: {e.message}</li>{/each}
        </ul>
      </Fold>
    {/if}
    <Button
      class="push"
      data-main
      disabled={busy || told.missing.length > 0 || told.good === 0}
      onclick={() => void send({ mapping: told?.mapping, constants }, true)}>{words.take(count(told.good))}</Button
    >
  </div>
{/if}
