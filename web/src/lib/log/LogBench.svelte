<script lang="ts">
  import type { CaseError, ConditionTold } from '@pilgrim/core';
  import { format } from 'date-fns/format';
  import { Button, Select, Table } from 'flowbite-svelte';
  import { onMount, untrack } from 'svelte';
  import { keepReadings, readingsAsCsv, removeReading, type RevisionListed, type RoundKept } from '$lib/api';
  import { author, unnamed } from '$lib/desk/carried';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { saveFile } from '$lib/files/save';
  import { readRoundsFile, type CellFault } from '$lib/files/table';
  import { roundTold } from '$lib/solver';
  import FilePick from '$lib/ui/FilePick.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { toasts } from '$lib/ui/toasts.svelte';
  import { RoundDraft } from './draft.svelte';
  import RoundForm from './RoundForm.svelte';
  import RoundTold from './RoundTold.svelte';
  import TrendChart from './TrendChart.svelte';

  interface Props {
    position: string;
    rounds: readonly RoundKept[];
    revisions: readonly RevisionListed[];
  }
  let { position, rounds: brought, revisions }: Props = $props();
  const desk = useDesk();
  let kept = $state.raw(untrack(() => brought));
  const draft = untrack(() => new RoundDraft(position, desk().value('practice') === 'north-america' ? 'us' : 'si'));
  /** The kept round that is looked at; null: the one being typed, or the last. */
  let looked = $state<string | null>(null);
  let told = $state.raw<ConditionTold | null>(null);
  let errors = $state.raw<readonly CaseError[]>([]);
  let message = $state('');
  let busy = $state(false);
  let shown = $state(12);
  let trend = $state('');

  const byTime = (list: readonly RoundKept[]): readonly RoundKept[] =>
    list.toSorted((a, b) => Date.parse(a.reading.at) - Date.parse(b.reading.at));
  const readings = $derived(kept.map((k) => k.reading));
  const last = $derived(readings.at(-1));
  const lookedAt = $derived(kept.find((k) => k.id === looked)?.reading);
  const who = (): string => (author() === unnamed ? '' : author());

  onMount(() => {
    draft.wake();
    return () => (desk().aside = null);
  });
  // What is typed is judged with every key, against the case as it stands on the desk.
  let asked = 0;
  $effect(() => {
    const round = lookedAt ?? (draft.isEmpty ? last : draft.round(''));
    const wrong = lookedAt || draft.isEmpty ? [] : draft.errors;
    if (!draft.isEmpty) draft.store();
    const mine = ++asked;
    if (!round) {
      told = null;
      errors = [];
      return;
    }
    void roundTold(desk().case, round, readings).then((answer) => {
      if (mine !== asked) return;
      const bad = wrong.length > 0 ? wrong : answer.errors.filter((e) => e.path !== 'reading.');
      errors = bad;
      if (answer.told || wrong.length === 0) told = answer.told;
      desk().aside = answer.told?.figures ?? null;
    });
  });

  const marks = $derived(revisions.map((r) => ({ at: r.createdAt, what: r.note || r.choice || 'saved' })).toReversed());
  const trends = $derived(told?.trends ?? []);
  const drawn = $derived(trends.find((t) => t.id === trend) ?? trends.find((t) => t.points.length > 1) ?? trends[0]);
  const judged = $derived(lookedAt ?? (draft.isEmpty ? last : undefined));
  const when = (at: string): string => format(new Date(at), 'd MMM yyyy HH:mm');
  const worst = $derived(told?.findings[0]?.level);
  const count = $derived(told?.findings.filter((f) => f.level !== 'note').length ?? 0);
  const overdue = (at: string | null): boolean => at === null || at <= new Date().toISOString().slice(0, 10);

  async function keep(): Promise<void> {
    busy = true;
    const answer = await keepReadings(position, draft.round(who()));
    busy = false;
    if (!answer.ok) {
      const wrong = answer.problem.errors ?? [];
      message = `Not kept: ${wrong.map((e) => e.message).join('; ') || (answer.problem.title ?? 'try again')}. What is typed stays here.`;
      return;
    }
    kept = byTime([...kept, ...answer.value.kept]);
    looked = answer.value.kept[0]?.id ?? null;
    message = answer.value.there > 0 ? 'A round of this very time is here already.' : 'Kept.';
    if (answer.value.there === 0) draft.clear();
  }

  async function drop(round: RoundKept): Promise<void> {
    const answer = await removeReading(round.id);
    if (!answer.ok) {
      message = `Not dropped: ${answer.problem.title ?? 'try again'}.`;
      return;
    }
    kept = kept.filter((k) => k.id !== round.id);
    if (looked === round.id) looked = null;
    toasts.told = {
      text: `The round of ${when(round.reading.at)} is dropped.`,
      act: {
        name: 'Bring it back',
        do: async () => {
          const back = await keepReadings(position, round.reading);
          if (back.ok) kept = byTime([...kept, ...back.value.kept]);
          toasts.told = { text: back.ok ? 'It is back.' : 'It was not brought back: try again.' };
        },
      },
    };
  }

  let file = $state('');
  let faults = $state.raw<readonly CellFault[]>([]);
  async function bring([picked]: readonly File[]): Promise<void> {
    if (!picked) return;
    file = picked.name;
    message = '';
    if (picked.size > 4 * 1024 * 1024) {
      faults = [{ line: 1, column: 1, message: 'It is larger than 4 MB: a logger’s file belongs on Speed.' }];
      return;
    }
    const reading = readRoundsFile(new Uint8Array(await picked.arrayBuffer()));
    faults = reading.ok ? [] : reading.faults;
    if (!reading.ok) return;
    const rows = reading.rows.filter((r): r is Record<string, unknown> & typeof r => typeof r === 'object');
    const answer = await keepReadings(position, rows);
    if (!answer.ok) {
      faults = (answer.problem.errors ?? [{ path: '', message: answer.problem.title ?? 'It was not taken' }]).map(
        (e) => ({
          line: Number(/^\d+/.exec(e.path)?.[0] ?? -1) + 2,
          column: 1,
          message: `${e.path} ${e.message}`.trim(),
        }),
      );
      return;
    }
    kept = byTime([...kept, ...answer.value.kept]);
    message = `${answer.value.kept.length} rounds of ${picked.name} were kept${answer.value.there > 0 ? `, ${answer.value.there} were here already` : ''}.`;
  }

  async function save(): Promise<void> {
    const list = await readingsAsCsv(position);
    if (list) saveFile('rounds.csv', list);
    else message = 'The server did not answer.';
  }

  const columns = [
    ['Current, A', (r: RoundKept['reading']) => [r.current1, r.current2, r.current3]],
    ['Voltage, V', (r: RoundKept['reading']) => [r.voltage12, r.voltage23, r.voltage31]],
    ['Power, kW', (r: RoundKept['reading']) => [r.power]],
    ['Bearing, °C', (r: RoundKept['reading']) => [r.temperature]],
    ['Vibration, mm/s', (r: RoundKept['reading']) => [r.vibration]],
    ['Insulation, MΩ', (r: RoundKept['reading']) => [r.insulation]],
    ['Hours', (r: RoundKept['reading']) => [r.hours]],
  ] as const;
  const cell = (values: readonly (number | undefined)[]): string =>
    values
      .filter((v) => v !== undefined)
      .map((v) => Number(v.toPrecision(5)))
      .join(' · ');
</script>

<h1 class="mb-1 text-[22px] font-semibold">Log</h1>
<p class="mb-3 text-quiet">
  A round at the motor: type what was read; what it means stands beside it at once. Measuring live terminals is work for
  a licensed person under local rules.
</p>
<div class="grid gap-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
  <section class="box p-3 pb-16 lg:pb-3" aria-label="New round">
    <RoundForm {draft} {last} {errors} />
    <div
      class="mt-3 flex items-center justify-end gap-3 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:m-0 max-lg:border-t max-lg:border-rule max-lg:bg-(--sheet) max-lg:px-4 max-lg:py-2"
    >
      {#if worst !== undefined && !draft.isEmpty}
        <span class="flex min-w-0 flex-1 items-center gap-2 text-[13.5px]"
          ><Mark decorative state={worst} />
          <a class="link truncate" href="#round-told"
            >{count === 0 ? 'nothing to look into' : `${count} to look into`}</a
          >
        </span>
      {:else}
        <span role="status" class="min-w-0 flex-1 truncate text-[13px] text-quiet">{message}</span>
      {/if}
      {#if !draft.isEmpty}
        <Button class="link" onclick={() => (draft.clear(), (message = ''))}>Clear</Button>
      {/if}
      <Button
        class="push min-h-[44px]! px-5!"
        data-main
        disabled={draft.isEmpty || errors.length > 0 || busy}
        onclick={() => void keep()}>Keep this round</Button
      >
    </div>
  </section>
  <section class="box p-3" aria-label="What it means" id="round-told" data-testid="round-told">
    <h2>
      {judged ? `The round of ${when(judged.at)}` : draft.isEmpty ? 'What it means' : 'This round'}
    </h2>
    {#if judged?.by || judged?.note}
      <p class="text-[13px] text-quiet">{[judged.by, judged.note].filter(Boolean).join(': ')}</p>
    {/if}
    {#if looked !== null}
      <Button class="link text-[13px]" onclick={() => (looked = null)}
        >back to the {draft.isEmpty ? 'last' : 'new'} one</Button
      >
    {/if}
    {#if told}
      <div class="mt-2"><RoundTold {told} /></div>
    {:else}
      <p class="mt-2 text-quiet">No round yet: the first number typed is answered here.</p>
    {/if}
  </section>
</div>
{#if told && told.due.length > 0}
  <section class="box mt-4 p-3" aria-label="Next checks">
    <h2>Next checks</h2>
    <Table class="dense">
      <thead><tr><th>Check</th><th>Due</th><th>Why then</th></tr></thead>
      <tbody>
        {#each told.due as d (d.what)}
          <tr>
            <td>{d.what}</td>
            <td class="whitespace-nowrap {overdue(d.at) ? 'text-caution' : ''}"
              >{overdue(d.at) ? '▲ ' : ''}{d.at === null ? 'now' : format(new Date(d.at), 'd MMM yyyy')}</td
            >
            <td>{d.why}</td>
          </tr>
        {/each}
      </tbody>
    </Table>
  </section>
{/if}
{#if drawn}
  <section class="mt-4" aria-label="Trend">
    <label class="mb-2 flex items-center gap-2 text-[13px]"
      >How it went:
      <Select
        classes={{ select: 'field w-64!' }}
        placeholder=""
        items={trends.map((t) => ({ value: t.id, name: `${t.label} (${t.points.length})` }))}
        bind:value={() => drawn.id, (to) => (trend = String(to ?? ''))}
      /></label
    >
    {#key drawn.id}<TrendChart trend={drawn} {marks} />{/key}
  </section>
{/if}
<section class="box mt-4 p-3" aria-label="Rounds">
  <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
    <h2 class="m-0!">Rounds</h2>
    <FilePick
      label="Bring in a list"
      accept=".csv,text/csv,text/plain"
      testid="rounds-file"
      onpick={(files) => void bring(files)}
    />
    {#if kept.length > 0}
      <Button class="link text-[13px]" onclick={() => void save()}>All as CSV</Button>
    {/if}
  </div>
  {#if faults.length > 0}
    <p class="flex items-center gap-2 text-[13px]"><Mark state="fail" />{file} was not taken:</p>
    <ul class="list-disc pl-5 text-[13px]">
      {#each faults as f (`${f.line} ${f.column} ${f.message}`)}
        <li>line {f.line}, column {f.column}: {f.message}</li>
      {/each}
    </ul>
  {/if}
  {#if kept.length === 0}
    <p class="text-quiet">
      None yet. A list needs a column “at” and any of: current1, voltage12, power, temperature, vibration, insulation …
    </p>
  {:else}
    <div class="overflow-x-auto">
      <Table class="dense" data-testid="rounds">
        <thead
          ><tr>
            <th>When</th>
            {#each columns as [name] (name)}<th class="n">{name}</th>{/each}
            <th><span class="sr-only">What can be done</span></th>
          </tr></thead
        >
        <tbody>
          {#each kept.toReversed().slice(0, shown) as k (k.id)}
            <tr>
              <td class="whitespace-nowrap"
                ><Button
                  class="link"
                  aria-current={looked === k.id ? 'true' : undefined}
                  onclick={() => (looked = k.id)}>{when(k.reading.at)}</Button
                ></td
              >
              {#each columns as [name, of] (name)}<td class="n">{cell(of(k.reading))}</td>{/each}
              <td class="n"
                ><Button
                  class="link text-[13px]"
                  aria-label="Drop the round of {when(k.reading.at)}"
                  onclick={() => void drop(k)}>drop</Button
                ></td
              >
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
    {#if kept.length > shown}
      <Button class="link mt-1" onclick={() => (shown += 200)}>{kept.length - shown} older ones</Button>
    {/if}
  {/if}
</section>
