<script lang="ts">
  import { writeAmount } from '@pilgrim/core/quantity';
  import { Button, Checkbox, Input, Table } from 'flowbite-svelte';
  import type { Candidate, Outcome, ScreenColumn, ScreenRow } from '@pilgrim/core';
  import { untrack } from 'svelte';
  import { get } from 'svelte/store';
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

  type Column = readonly [ScreenColumn, string, (r: ScreenRow) => string, boolean?];
  const columns: readonly Column[] = [
    ['method', 'Method', (r) => words(r.method)],
    ['speed', 'r/min', (r) => String(r.speed), true],
    ['current', 'A', (r) => String(r.current), true],
    ['efficiency', 'η %', (r) => (r.efficiency * 100).toFixed(1), true],
    ['frame', 'Frame', (r) => r.frame ?? '—'],
    ['margin', 'Margin', (r) => `${(r.margin * 100).toFixed(0)} %`, true],
    ['price', 'Price', (r) => r.price.toLocaleString('en'), true],
    ['lifeCycle', 'Life-cycle', (r) => writeAmount(r.lifeCycle, currency), true],
    ['mass', 'kg', (r) => String(r.mass), true],
    ['sound', 'dB(A)', (r) => String(r.sound), true],
    ['stock', 'Shelf', (r) => (r.stock === null ? '' : String(r.stock)), true],
  ];
  let chosen = $state<ScreenColumn[]>(['method', 'speed', 'frame', 'margin', 'lifeCycle', 'stock']);
  let outcomes = $state<Outcome[]>(['pass', 'caution', 'fail']);
  let text = $state('');
  let shelfOnly = $state(false);
  let sort = $state<ScreenColumn>('rank');
  let descending = $state(false);
  let total = $state(0);
  let rows = $state.raw<readonly ScreenRow[]>([]);
  let opened = $state.raw<Candidate | null>(null);
  let scroller: HTMLDivElement | undefined = $state();

  const shown = $derived(columns.filter(([key]) => chosen.includes(key)));
  const counts = $derived(desk().result?.counts);
  const pinned = $derived(desk().value('motor.catalogue'));

  let asked = 0;
  $effect(() => {
    void desk().answers;
    const query = { outcomes: [...outcomes], text, shelfOnly, sort, descending };
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

  function by(column: ScreenColumn): void {
    if (sort === column) descending = !descending;
    else [sort, descending] = [column, false];
  }
  const direction = (column: ScreenColumn): 'ascending' | 'descending' | 'none' =>
    sort !== column ? 'none' : descending ? 'descending' : 'ascending';
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
      {#each columns as [key, name] (key)}
        <Checkbox class="me-1" bind:group={chosen} value={key}>{name}</Checkbox>
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
          <th aria-sort={direction('name')}
            ><button type="button" class="sort" onclick={() => by('name')}>Motor</button></th
          >
          {#each shown as [key, name, , n] (key)}
            <th class:n aria-sort={direction(key)}
              ><button type="button" class="sort" onclick={() => by(key)}>{name}</button></th
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
              <td class="max-w-[238px] truncate"
                ><Button
                  class="link"
                  title={r.name}
                  aria-expanded={open === r.id}
                  onclick={() => (open = open === r.id ? null : r.id)}>{r.name}</Button
                >{#if r.short}<span class="ml-1 text-quiet">{words(r.short)}</span>{/if}</td
              >
              {#each shown as [key, , of, n] (key)}<td class="whitespace-nowrap" class:n>{of(r)}</td>{/each}
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
                ><td colspan={shown.length + 3} class="bg-paper">
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

<style>
  .sort {
    font: inherit;
    color: inherit;
    background: none;
    border: 0;
    padding: 0;
  }
  th[aria-sort='ascending'] .sort::after {
    content: ' ↑';
  }
  th[aria-sort='descending'] .sort::after {
    content: ' ↓';
  }
</style>
