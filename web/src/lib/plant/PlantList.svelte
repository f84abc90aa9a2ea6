<script lang="ts">
  import { createTable, rowSortingFeature, tableFeatures, type ColumnDef } from '@tanstack/svelte-table';
  import { Button, Table } from 'flowbite-svelte';
  import { resolve } from '$app/paths';
  import { entryOf, stationNames, words } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';
  import Tag from '$lib/ui/Tag.svelte';
  import type { PlantRow } from './rows';

  interface Props {
    positions: readonly PlantRow[];
    /** Studies with an edit on this machine that nobody saved. */
    drafted: readonly string[];
    /** The server sorts: by which column, and which way; by area as the plant is laid out. */
    order: Order;
    sort: (order: Order) => void;
  }
  interface Order {
    readonly by: string;
    readonly way: string;
  }
  let { positions, drafted, order, sort }: Props = $props();

  const features = tableFeatures({ rowSortingFeature });
  const column = (id: string, header: string, accessorFn: (p: PlantRow) => string, enableSorting = true) => ({
    ...{ id, header, accessorFn, enableSorting },
  });
  const columns: ColumnDef<typeof features, PlantRow>[] = [
    column('state', 'State', (p) => p.state),
    column('tag', 'Tag', (p) => p.tag),
    column('name', 'Position', (p) => p.name),
    column('machine', 'Machine', (p) => p.machine ?? ''),
    column('choice', 'Standing choice', (p) => p.choice ?? ''),
    column('open', 'Open', (p) => openText(p)),
    column('cost', 'Energy a year', (p) => costText(p)),
    column('worst', 'Worst finding', (p) => p.worst?.text ?? '', false),
  ];
  const sorted = $derived(order.by !== 'area');
  const table = createTable({
    features,
    columns,
    get data() {
      return positions;
    },
    manualSorting: true,
    defaultColumn: { sortDescFirst: false },
    state: {
      get sorting() {
        return sorted ? [{ id: order.by, desc: order.way === 'desc' }] : [];
      },
    },
    onSortingChange: (to) => {
      const before = sorted ? [{ id: order.by, desc: order.way === 'desc' }] : [];
      const [by] = typeof to === 'function' ? to(before) : to;
      sort(by ? { by: by.id, way: by.desc ? 'desc' : 'asc' } : { by: 'area', way: 'asc' });
    },
  });
  // As found, by area; sorted, one list with the area at each row.
  const groups = $derived(
    sorted
      ? [['', positions] as const]
      : [...new Set(positions.map((p) => p.area))].map((a) => [a, positions.filter((p) => p.area === a)] as const),
  );

  /** Where nothing is left empty: how it stands. */
  const stands: Readonly<Record<PlantRow['state'], string>> = {
    stop: 'stopped',
    caution: 'with cautions',
    empty: 'nothing chosen',
    condition: 'holds if',
    enough: 'solved',
  };
  const openText = (p: PlantRow): string => {
    if (!p.open) return 'nothing but a name';
    const open = p.open.map((s) => stationNames[s].toLowerCase());
    return open.length === 0 ? stands[p.state] : `open: ${open.slice(0, 3).join(', ')}${open.length > 3 ? ' …' : ''}`;
  };
  const costText = ({ cost, currency }: PlantRow): string =>
    cost === null ? '—' : `${Math.round(cost).toLocaleString('en')} ${currency ?? ''}`;
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
            <td class="w-6"><Mark state={p.state} /></td>
            <td class="whitespace-nowrap"
              >{p.tag}{#if p.twice}&nbsp;<Tag>tag twice</Tag>{/if}</td
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
