<script lang="ts">
  import {
    createSortedRowModel,
    createTable,
    rowSortingFeature,
    sortFn_alphanumeric,
    sortFn_basic,
    tableFeatures,
    type ColumnDef,
  } from '@tanstack/svelte-table';
  import { Button, Table } from 'flowbite-svelte';
  import { resolve } from '$app/paths';
  import { entryOf, stationIds, stationNames, words } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';
  import Tag from '$lib/ui/Tag.svelte';
  import { costOf, repeatedTags, stateOf, worstFirst, type PlantRow } from './rows';

  interface Props {
    positions: readonly PlantRow[];
    /** Studies with an edit on this machine that nobody saved. */
    drafted: readonly string[];
  }
  let { positions, drafted }: Props = $props();

  const features = tableFeatures({
    rowSortingFeature,
    sortedRowModel: createSortedRowModel(),
    sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
  });
  const columns: ColumnDef<typeof features, PlantRow>[] = [
    { id: 'state', header: 'State', accessorFn: (p) => worstFirst[stateOf(p)], sortFn: 'basic' },
    { id: 'tag', header: 'Tag', accessorFn: (p) => p.tag, sortFn: 'alphanumeric' },
    { id: 'name', header: 'Position', accessorFn: (p) => p.name, sortFn: 'alphanumeric' },
    { id: 'machine', header: 'Machine', accessorFn: (p) => p.machine ?? '', sortFn: 'alphanumeric' },
    { id: 'choice', header: 'Standing choice', accessorFn: (p) => p.choice ?? '', sortFn: 'alphanumeric' },
    { id: 'open', header: 'Open', accessorFn: (p) => openIn(p).length, sortFn: 'basic' },
    { id: 'cost', header: 'Energy a year', accessorFn: (p) => costOf(p) ?? -1, sortFn: 'basic' },
    { id: 'worst', header: 'Worst finding', accessorFn: (p) => p.worst?.text ?? '', enableSorting: false },
  ];
  const table = createTable({
    features,
    columns,
    get data() {
      return positions;
    },
  });
  const sorted = $derived(table.atoms.sorting.get().length > 0);
  const rows = $derived(table.getRowModel().rows.map((r) => r.original));
  // As found, by area; sorted, one list with the area at each row.
  const groups = $derived(
    sorted
      ? [['', rows] as const]
      : [...new Set(rows.map((p) => p.area))].map((a) => [a, rows.filter((p) => p.area === a)] as const),
  );

  const twice = $derived(repeatedTags(positions));
  const openIn = (p: PlantRow) => stationIds.filter((s) => p.stations?.[s].state === 'empty');
  const openText = (p: PlantRow): string => {
    if (!p.stations) return 'nothing but a name';
    const open = openIn(p).map((s) => stationNames[s].toLowerCase());
    return open.length === 0 ? 'solved' : `open: ${open.slice(0, 3).join(', ')}${open.length > 3 ? ' …' : ''}`;
  };
  const costText = (p: PlantRow): string => {
    const cost = costOf(p);
    return cost === undefined ? '—' : `${Math.round(cost).toLocaleString('en')} ${p.currency ?? ''}`;
  };
</script>

<div class="box overflow-x-auto">
  <Table class="dense">
    <thead>
      <tr>
        {#each table.getHeaderGroups()[0]?.headers ?? [] as { column } (column.id)}
          {@const way = column.getIsSorted()}
          <th
            class={column.id === 'cost' ? 'n' : ''}
            aria-sort={way === false ? undefined : way === 'asc' ? 'ascending' : 'descending'}
          >
            {#if column.getCanSort()}
              <Button class="link whitespace-nowrap" onclick={() => column.toggleSorting()}
                >{column.columnDef.header}<span aria-hidden="true"
                  >{way === false ? '' : way === 'asc' ? ' ↑' : ' ↓'}</span
                ></Button
              >
            {:else}{column.columnDef.header}{/if}
          </th>
        {/each}
      </tr>
    </thead>
    {#each groups as [name, list] (name)}
      <tbody>
        {#if !sorted}<tr><th colspan="8" scope="rowgroup" class="bg-paper pt-3 text-ink">{name}</th></tr>{/if}
        {#each list as p (p.id)}
          <tr data-testid="position">
            <td class="w-6"><Mark state={stateOf(p)} /></td>
            <td class="whitespace-nowrap"
              >{p.tag}{#if twice.has(p.tag)}&nbsp;<Tag>tag twice</Tag>{/if}</td
            >
            <td class="font-sans text-[14px]"
              ><a
                class="link font-medium"
                href={resolve('/positions/[id]/[station]', { id: p.id, station: entryOf(p) })}>{p.name}</a
              >
              {#if sorted}<span class="text-quiet">{p.area}</span>{/if}
              {#if drafted.includes(p.studyId)}<Tag>draft on this machine</Tag>{/if}</td
            >
            <td>{p.machine ? words(p.machine) : '—'}</td>
            <td>{p.choice ? words(p.choice) : '—'}</td>
            <td>{openText(p)}</td>
            <td class="n">{costText(p)}</td>
            <td class="max-w-[340px]">
              {#if p.worst}<span class="flex gap-1.5"
                  ><Mark
                    state={p.worst.level === 'stop' ? 'stop' : p.worst.level === 'caution' ? 'caution' : 'note'}
                  /><span class="line-clamp-2">{p.worst.text}</span></span
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    {/each}
  </Table>
</div>
