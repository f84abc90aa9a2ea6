<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Pages from '$lib/ui/Pages.svelte';
  import StartCompare from '$lib/ui/StartCompare.svelte';
  import VerdictList from '$lib/ui/VerdictList.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { asked, askedNames, openQuestions } from '@pilgrim/core/questions';
  import { useGoto } from '$lib/desk/goto';
  import { cited, fieldName, figureName, methodOfFigure, stationIds, stationNames, words } from '$lib/ui/names';
  import { isFindingId } from '@pilgrim/core/vocabulary';
  import { textOf } from '$lib/ui/reading.svelte';
  import StarterSettings from '$lib/stations/guard/StarterSettings.svelte';
  import CircuitSheet from '$lib/stations/guard/CircuitSheet.svelte';
  import { cautions } from './cautions';
  import MoneySheet from './MoneySheet.svelte';

  const desk = useDesk();
  const goto = useGoto();
  const result = $derived(desk().result);
  const candidate = $derived(result?.candidates.find((c) => c.motor.id === result.choice?.motor.id));
  // Of the start, the sheet's figures are the chosen method's: the comparison has the others. Without one, direct on line stands beside.
  const told = $derived(new Set(result?.start ? [result.subject?.method] : ['direct', result?.subject?.method]));
  const onSheet = (id: string): boolean => methodOfFigure(id) === undefined || told.has(methodOfFigure(id));
  const groups = $derived(
    stationIds
      .map(
        (s) => [s, Object.entries(result?.figures ?? {}).filter(([id, f]) => f.station === s && onSheet(id))] as const,
      )
      .filter(([, list]) => list.length > 0),
  );
  const questions = $derived(result ? openQuestions(result) : []);
  const facts = $derived((result?.facts ?? []).filter((f) => f.station === 'plate'));
  const startFacts = $derived((result?.facts ?? []).filter((f) => f.station === 'start'));
  const own = $derived(result?.start?.rows.find((r) => r.method === result.subject?.method));
  const sections = [
    'supply',
    'load',
    'place',
    'speed',
    'guard',
    'money',
    'start',
    'plate',
    'measured',
    'history',
  ] as const;

  const pages = $derived([
    { id: 'choice', title: 'Choice and findings', body: choicePage },
    { id: 'case', title: 'Case', body: casePage },
    ...(result?.start ? [{ id: 'start', title: 'How it starts', body: startPage }] : []),
    ...(result?.guard ? [{ id: 'circuit', title: 'Circuit', body: circuitPage }] : []),
    ...(result?.figures['cost.netPresentValue'] ? [{ id: 'money', title: 'The sum', body: moneyPage }] : []),
    { id: 'figures', title: 'Figures', body: figuresPage },
    { id: 'rules', title: 'House rules and cautions', body: rulesPage },
  ]);

  const standing = $derived(result?.stations.sheet);
  const sheetSays = {
    empty: 'Nothing is chosen yet: nothing here to order, set or sign.',
    waits: 'It waits for what is missing: nothing here to order, set or sign.',
    stop: 'Stopped: nothing here is to be ordered, set or signed.',
    caution: 'Not ready: this is open.',
    condition: 'Holds if this is so; not ready before somebody said it.',
    enough: '',
  } as const;
  /** What keeps it from ready, in words: a finding says its own, a field what is asked of it. */
  const reasons = $derived([
    ...new Set(
      (standing?.because ?? []).flatMap((id) => {
        const told = (result?.findings ?? []).filter((f) => f.id === id && f.level !== 'note').map((f) => f.text);
        if (told.length > 0) return told;
        const asked = result?.open.find((o) => o.field === id);
        if (asked) return [`${fieldName(id)}: ${asked.text}`];
        return isFindingId(id) ? [] : [fieldName(id)];
      }),
    ),
  ]);

  interface Line {
    readonly path: string;
    readonly name: string;
    readonly text: string;
  }

  /** The case as typed, one line a field, each called as its screen calls it; rows of a list are counted. */
  function lines(value: unknown, path: string, row = ''): readonly Line[] {
    if (Array.isArray(value)) return value.flatMap((v: unknown, i) => lines(v, path, `${row} ${i + 1}`));
    if (typeof value === 'object' && value !== null)
      return Object.entries(value).flatMap(([k, v]) => lines(v, `${path}.${k}`, row));
    if (value === undefined || value === null) return [];
    const text = typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
    return [{ path: path + row, name: fieldName(path) + row, text }];
  }

  const saved = $derived(
    desk().state !== 'saved'
      ? 'Not saved yet: this sheet shows the draft.'
      : desk().head
        ? 'Saved revision.'
        : 'Nothing saved yet.',
  );
</script>

<div class="screen-only mb-3 flex items-center gap-3">
  <Button class="push" data-main onclick={() => print()}>Print</Button>
  <span class="text-quiet">{saved}</span>
</div>
<article class="answers box p-5 print:p-0" data-testid="sheet">
  <header class="mb-4 border-b-2 border-ink pb-2">
    <h1>{result?.name ?? String(desk().value('name') ?? 'Unnamed')}</h1>
    <p class="text-quiet">
      Motor and starter selection · practice {result?.practice === 'iec' ? 'IEC' : 'North America'} · core {result?.core}
      · revision {desk().parent?.slice(0, 8) ?? 'none'}
    </p>
  </header>

  {#if standing && standing.state !== 'enough' && !desk().waiting.has('sheet')}
    <div class="mb-4 flex gap-2 border border-rule bg-paper p-3" data-testid="sheet-state">
      <span class="mt-0.5"><Mark state={standing.state} size={16} /></span>
      <div>
        <p class="font-semibold">{sheetSays[standing.state]}</p>
        <ul class="list-disc pl-5">
          {#each reasons as reason (reason)}<li>{reason}</li>{/each}
        </ul>
      </div>
    </div>
  {/if}

  <Pages label="The sheet" {pages} />
</article>

{#snippet choicePage()}
  <h2>Choice</h2>
  {#if result?.choice}
    <p class="text-[1.1rem] font-semibold">{result.choice.motor.name}, {words(result.choice.method)}</p>
    <p class="mb-2">
      {result.choice.motor.power}, {result.choice.motor.voltage}, {result.choice.motor.current}, {result.choice.motor
        .speed}, frame {result.choice.motor.frame ?? 'not standardised'}; {result.choice.control.name}{result.choice
        .control.ratedCurrent
        ? `, ${result.choice.control.ratedCurrent} A`
        : ''}. Generic catalogue; no maker’s product.
    </p>
    <ul class="mb-2 list-disc pl-5">
      {#each result.choice.reasons as reason (reason)}<li>{reason}</li>{/each}
    </ul>
    {#if candidate}<div class="mb-4 text-[14px]"><VerdictList verdicts={candidate.verdicts} /></div>{/if}
  {:else}
    <p class="mb-4">None. {result?.findings[0]?.text ?? 'The case is not complete.'}</p>
  {/if}

  <h2>Findings</h2>
  <ul class="mb-4">
    {#each result?.findings ?? [] as f (f.id + f.text)}
      <li class="flex gap-2 py-0.5">
        <span class="mt-1"><Mark state={f.level} /></span><span
          ><span class="font-medium">{stationNames[f.station]}:</span>
          {f.text}{#if f.accepted}<em> Let stand: {f.accepted}</em>{/if}</span
        >
      </li>
    {:else}<li class="text-quiet">No findings.</li>{/each}
  </ul>

  {#if questions.length > 0}
    <h2>Open questions</h2>
    <div class="mb-4" data-testid="questions">
      {#each asked as to (to)}
        {@const list = questions.filter((q) => q.to === to)}
        {#if list.length > 0}
          <h3 class="font-medium">{askedNames[to]}</h3>
          <ul class="mb-2">
            {#each list as q (q.field + q.text)}
              <li class="flex gap-2 py-0.5">
                <span aria-hidden="true">☐</span>
                <span
                  ><Button class="link screen-only" onclick={() => goto(q.field)}>{fieldName(q.field)}</Button><span
                    class="hidden print:inline">{fieldName(q.field)}</span
                  >: {q.text}</span
                >
              </li>
            {/each}
          </ul>
        {/if}
      {/each}
      <p class="screen-only text-[13px] text-quiet">A question is ticked off by giving its field.</p>
    </div>
  {/if}
{/snippet}
{#snippet moneyPage()}
  <MoneySheet />
{/snippet}
{#snippet circuitPage()}
  {#if result?.guard}<CircuitSheet guard={result.guard} />{/if}
  {#if result?.drive && result.subject?.method === 'drive'}
    <h2>What to program</h2>
    <StarterSettings settings={result.drive.settings} />
  {/if}
{/snippet}
{#snippet casePage()}
  <h2>Case</h2>
  <div class="mb-4 grid gap-x-8 sm:grid-cols-2 print:grid-cols-2">
    {#each sections as section (section)}
      {@const list = lines(desk().value(section), section)}
      {#if list.length > 0}
        <div class="mb-2">
          <h3 class="font-medium">{section.charAt(0).toUpperCase() + section.slice(1)}</h3>
          <Table class="dense">
            <tbody
              >{#each list as l (l.path)}<tr
                  ><td class="first-letter:uppercase">{l.name}</td><td class="n">{l.text}</td></tr
                >{/each}</tbody
            >
          </Table>
        </div>
      {/if}
    {/each}
  </div>

  {#if facts.length > 0}
    <h2>The old motor</h2>
    <Table class="dense mb-4">
      <tbody>
        {#each facts as f (f.id)}
          <tr
            ><td>{f.label}{f.estimate ? ' · estimate' : ''}</td><td class="font-semibold">{f.text}</td><td
              >{cited(f.source)}</td
            ></tr
          >
        {/each}
      </tbody>
    </Table>
  {/if}
  {#if result?.replacement}
    <h2>Old motor against {result.replacement.name}</h2>
    <Table class="dense mb-4">
      <thead><tr><th>Line</th><th>Old</th><th>New</th><th>Verdict</th></tr></thead>
      <tbody>
        {#each result.replacement.lines as l (l.item)}
          <tr><td>{l.item}</td><td>{l.old}</td><td>{l.new}</td><td>{l.likeness}. {l.text}</td></tr>
        {/each}
      </tbody>
    </Table>
  {/if}
  {#if result?.history}
    <h2>Why the old one failed</h2>
    <ul class="mb-4 list-disc pl-5">
      {#each result.history.causes.filter((c) => c.likelihood !== 'unlikely') as c (c.cause)}
        <li>{c.title} ({c.likelihood}): {c.reasons.join(' ')} {c.remedy}</li>
      {/each}
    </ul>
  {/if}
{/snippet}
{#snippet startPage()}
  {#if result?.start}
    <h2>How it starts</h2>
    <div class="mb-2"><StartCompare paper /></div>
    {#if own}
      <p class="mb-1 text-[14px]">
        <b>{words(own.method)}, as set:</b>
        {own.settings.length === 0 ? 'nothing to set.' : ''}
        {#each own.settings as s, i (s.path)}{i > 0 ? '; ' : ''}{s.label.toLowerCase()}
          {s.text}{s.assumed ? ` (assumed: ${s.assumed})` : ''}{/each}
      </p>
    {/if}
    {#each startFacts as f (f.id)}<p class="text-[14px]"><b>{f.label}:</b> {f.text}</p>{/each}
    <p class="mb-4 text-[14px]">
      Motor by its circuit ({result.start.machine.origin === 'given' ? 'given' : 'fitted to its data'}): {result.start
        .machine.reason ?? 'rated values within 1 %, standstill and breakdown within 5 %.'}
    </p>
  {/if}
{/snippet}
{#snippet figuresPage()}
  <h2>Figures</h2>
  {#each groups as [station, list] (station)}
    <h3 class="mt-2 font-medium">{stationNames[station]}</h3>
    <div class="overflow-x-auto">
      <Table class="dense mb-2">
        <thead><tr><th>Figure</th><th class="n">Value</th><th>Formula</th><th>Source</th></tr></thead>
        <tbody>
          {#each list as [id, f] (id)}
            <tr>
              <td>{figureName(id)}{f.assumed.length > 0 ? ' · assumed' : f.estimate ? ' · estimate' : ''}</td>
              <td class="n">{textOf(f)}</td>
              <td class="max-w-[220px] break-words">{f.formula === 'given' ? 'given' : `${f.symbol} = ${f.formula}`}</td
              >
              <td>{cited(f.source)}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
  {/each}
{/snippet}
{#snippet rulesPage()}
  <h2 class="mt-4">House rules</h2>
  <Table class="dense mb-4">
    <tbody>
      {#each result?.rules ?? [] as r (r.id)}
        <tr
          ><td>{r.title}{r.own ? ' (set in this case)' : ''}</td><td class="font-semibold">{r.value}</td><td
            >{r.reason}</td
          ></tr
        >
      {/each}
    </tbody>
  </Table>

  <h2>Cautions</h2>
  <ul class="list-disc pl-5">
    {#each cautions as c (c)}<li>{c}</li>{/each}
  </ul>
  <p class="mt-6 grid grid-cols-2 gap-8">
    <span class="border-t border-ink pt-1">Prepared by, date</span><span class="border-t border-ink pt-1"
      >Checked by, date</span
    >
  </p>
{/snippet}
