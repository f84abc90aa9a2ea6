<script lang="ts">
  import { marginText } from '$lib/ui/margin';
  import { writeAmount } from '@pilgrim/core/quantity';
  import { Button, Checkbox, Input, Table } from 'flowbite-svelte';
  import type { Candidate, Outcome, ScreenColumn, ScreenRow } from '@pilgrim/core';
  import { untrack } from 'svelte';
  import { get } from 'svelte/store';
  import {
    columnVisibilityFeature,
    createTable,
    rowSortingFeature,
    tableFeatures,
    type ColumnDef,
  } from '@tanstack/svelte-table';
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { explained, screenedRows } from '$lib/solver';
  import Mark from '$lib/ui/Mark.svelte';
  import VerdictList from '$lib/ui/VerdictList.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  interface Props {
    /** Ids of the motors laid side by side. */
    compared: readonly string[];
    compare: (row: ScreenRow) => void;
    /** Id of the motor whose verdicts are open: the entries change with the motors that are judged. */
    open: string | null;
  }
  let { compared, compare, open = $bindable() }: Props = $props();
  const desk = useDesk();
  const currency = $derived(String(desk().value('money.currency') ?? ''));

  // The worker sorts and filters; the table holds what is asked of it, and which columns are shown.
  const features = tableFeatures({ rowSortingFeature, columnVisibilityFeature });
  const column = (id: ScreenColumn, header: string, accessorFn: (r: ScreenRow) => string, enableHiding = true) => ({
    ...{ id, header, accessorFn, enableHiding },
  });
  const columns: ColumnDef<typeof features, ScreenRow>[] = [
    column('name', 'Motor', (r) => r.name, false),
    column('method', 'Method', (r) => words(r.method)),
    column('speed', 'r/min', (r) => String(r.speed)),
    column('current', 'A', (r) => String(r.current)),
    column('efficiency', 'η %', (r) => (r.efficiency * 100).toFixed(1)),
    column('frame', 'Frame', (r) => r.frame ?? '—'),
    column('margin', 'Margin', (r) => (r.outcome === 'pass' && r.margin < 0 ? 'tight' : marginText(r.margin))),
    column('price', 'Price', (r) => r.price.toLocaleString('en')),
    column('lifeCycle', 'Life-cycle', (r) => writeAmount(r.lifeCycle, currency)),
    column('mass', 'kg', (r) => String(r.mass)),
    column('sound', 'dB(A)', (r) => String(r.sound)),
    column('stock', 'Shelf', (r) => (r.stock === null ? '' : String(r.stock))),
  ];
  const inWords = ['name', 'method', 'frame'];
  const shownAtFirst = ['name', 'method', 'speed', 'frame', 'margin', 'lifeCycle', 'stock'];
  let outcomes = $state<Outcome[]>(['pass', 'caution', 'fail']);
  let text = $state('');
  let shelfOnly = $state(false);
  let total = $state(0);
  let rows = $state.raw<readonly ScreenRow[]>([]);
  let opened = $state.raw<Candidate | null>(null);
  let scroller: HTMLDivElement | undefined = $state();

  const table = createTable({
    features,
    columns,
    get data() {
      return rows;
    },
    manualSorting: true,
    defaultColumn: { sortDescFirst: false },
    initialState: {
      columnVisibility: Object.fromEntries(columns.map(({ id = '' }) => [id, shownAtFirst.includes(id)])),
    },
  });
  const sorting = $derived(table.atoms.sorting.get()[0]);
  const visibility = $derived(table.atoms.columnVisibility.get());
  const visible = $derived(table.getAllLeafColumns().filter(({ id }) => visibility[id] !== false));
  const counts = $derived(desk().result?.counts);
  const pinned = $derived(desk().value('motor.catalogue'));

  let asked = 0;
  $effect(() => {
    void desk().answers;
    // Sorted by nothing is sorted as judged.
    const sort = (sorting?.id ?? 'rank') as ScreenColumn;
    const query = { outcomes: [...outcomes], text, shelfOnly, sort, descending: sorting?.desc === true };
    const mine = ++asked;
    void screenedRows(query, 0, 25_000).then((answer) => {
      if (mine !== asked) return;
      total = answer.total;
      rows = answer.rows;
    });
  });
  $effect(() => {
    void desk().answers;
    const id = open;
    if (id === null) opened = null;
    else void explained([id]).then(([c]) => (opened = c ?? null));
  });

  const virtualizer = createVirtualizer<HTMLDivElement, HTMLTableRowElement>({
    count: 0,
    getScrollElement: () => scroller ?? null,
    estimateSize: () => 29,
    overscan: 12,
  });
  $effect(() => {
    const count = rows.length;
    const element = scroller ?? null;
    untrack(() => get(virtualizer).setOptions({ count, getScrollElement: () => element }));
  });
  const items = $derived($virtualizer.getVirtualItems());
  const before = $derived(items[0]?.start ?? 0);
  const after = $derived(Math.max(0, $virtualizer.getTotalSize() - (items.at(-1)?.end ?? 0)));
</script>

<div class="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2">
  <label class="text-[13px]"
    >Find among them
    <Input class="field w-52!" type="search" placeholder="25 hp, washdown, 284T" bind:value={text} /></label
  >
  <fieldset class="flex gap-3">
    <legend class="sr-only">Show</legend>
    {#each ['pass', 'caution', 'fail'] as const as outcome (outcome)}
      <Checkbox class="me-1" bind:group={outcomes} value={outcome}
        ><Mark state={outcome} decorative />&nbsp;{outcome}
        {counts ? counts[outcome].toLocaleString('en') : ''}</Checkbox
      >
    {/each}
    <Checkbox class="me-1" bind:checked={shelfOnly}>own shelf only</Checkbox>
  </fieldset>
  <Fold class="relative text-[13px]" headClass="text-pine underline underline-offset-2" title="Columns">
    <div class="box absolute z-10 mt-1 grid w-44 gap-1 p-2" style="box-shadow: var(--shadow)">
      {#each table.getAllLeafColumns().filter((c) => c.getCanHide()) as c (c.id)}
        <Checkbox
          class="me-1"
          checked={visibility[c.id] !== false}
          onchange={(e) => c.toggleVisibility(e.currentTarget.checked)}>{c.columnDef.header}</Checkbox
        >
      {/each}
    </div>
  </Fold>
</div>
{#if total === 0}
  <p class="text-quiet" data-testid="no-candidates">
    {counts && counts.motors > 0
      ? 'No motor is called that, or of that outcome.'
      : 'No motor is judged until there is a load and nothing stops the work.'}
  </p>
{/if}
<div
  bind:this={scroller}
  class="overflow-auto"
  class:h-[440px]={total > 0}
  role="region"
  aria-label="Candidates"
  tabindex="-1"
>
  {#if total > 0}
    <Table class="dense" aria-rowcount={total}>
      <thead class="sticky top-0 bg-sheet">
        <tr>
          <th class="w-6"><span class="sr-only">Outcome</span></th>
          {#each visible as c (c.id)}
            {@const sorted = sorting?.id === c.id ? (sorting.desc ? 'descending' : 'ascending') : 'none'}
            <th class:n={!inWords.includes(c.id)} aria-sort={sorted}
              ><Button class="link whitespace-nowrap" onclick={() => c.toggleSorting()}
                >{c.columnDef.header}<span aria-hidden="true"
                  >{sorted === 'none' ? '' : sorted === 'ascending' ? ' ↑' : ' ↓'}</span
                ></Button
              ></th
            >
          {/each}
          <th><span class="sr-only">Compare and pin</span></th>
        </tr>
      </thead>
      <tbody>
        {#if before > 0}<tr aria-hidden="true"><td style="height: {before}px; padding: 0; border: 0"></td></tr>{/if}
        {#each items as item (rows[item.index]?.entry ?? item.key)}
          {@const r = rows[item.index]}
          {#if r}
            <tr data-testid="candidate" data-id={r.id} aria-rowindex={item.index + 1}>
              <td><Mark state={r.outcome} /></td>
              <td class="max-w-[208px] truncate"
                ><Button
                  class="link inline-block! max-w-full truncate align-bottom"
                  title={r.name}
                  aria-expanded={open === r.id}
                  onclick={() => (open = open === r.id ? null : r.id)}>{r.name}</Button
                >{#if r.short}<span class="ml-1 text-quiet">{words(r.short)}</span>{/if}</td
              >
              {#each visible.slice(1) as c (c.id)}<td class="whitespace-nowrap" class:n={!inWords.includes(c.id)}
                  >{c.accessorFn?.(r, item.index)}</td
                >{/each}
              <td class="whitespace-nowrap"
                ><Button
                  class="link"
                  aria-pressed={compared.includes(r.id)}
                  aria-label="Compare {r.name}"
                  onclick={() => compare(r)}>{compared.includes(r.id) ? 'beside' : 'compare'}</Button
                >
                <Button
                  class="link ml-2"
                  aria-label="Pin {r.name}"
                  onclick={() => desk().set('motor', { catalogue: r.id })}>{pinned === r.id ? 'pinned' : 'pin'}</Button
                ></td
              >
            </tr>
            {#if open === r.id && opened}
              <tr
                ><td colspan={visible.length + 2} class="bg-paper">
                  {#if opened.change}<p class="mb-1"><b>It would be admitted with:</b> {opened.change}.</p>{/if}
                  <VerdictList verdicts={opened.verdicts} />
                </td></tr
              >
            {/if}
          {/if}
        {/each}
        {#if after > 0}<tr aria-hidden="true"><td style="height: {after}px; padding: 0; border: 0"></td></tr>{/if}
      </tbody>
    </Table>
  {/if}
</div>
