<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import type { Method, StartRow } from '@pilgrim/core';
  import { writeNumber, writeQuantity } from '@pilgrim/core/quantity';
  import { words } from './names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { reading } from './reading.svelte';
  import Mark from './Mark.svelte';

  interface Props {
    /** The method whose settings and curves stand below. */
    looking?: Method | null;
    look?: (method: Method) => void;
    /** On paper: no buttons. */
    paper?: boolean;
  }
  let { looking = null, look, paper = false }: Props = $props();
  const desk = useDesk();
  const start = $derived(desk().result?.start);
  const chosen = $derived(desk().result?.subject?.method);
  const columns = [
    ['peakCurrent', 'Line current', ''],
    ['voltageDip', 'Dip', '%'],
    ['time', 'To speed', ''],
    ['torqueMargin', 'To spare', ''],
    ['thermalUse', 'Heat', '%'],
  ] as const;

  function cell(row: StartRow, column: (typeof columns)[number]): string {
    const figure = desk().figure(`start.${row.method}.${column[0]}`);
    if (!figure) return '—';
    if (column[2] === '%') return `${(figure.value * 100).toFixed(Math.abs(figure.value) < 0.1 ? 1 : 0)} %`;
    // One system alone: the table is wide as it is.
    const home = desk().value('practice') === 'north-america' ? 'us' : 'si';
    return writeQuantity(figure.value, figure.unit, reading.system === 'typed' ? home : reading.system);
  }
</script>

{#if start}
  <div class="overflow-x-auto">
    <Table class="dense" data-testid="start-compare">
      <thead
        ><tr
          ><th>Method</th>{#each columns as [id, label] (id)}<th class="n">{label}</th>{/each}<th class="n">Jolt</th><th
            class="n">Leads</th
          ><th class="n">Cost index</th></tr
        ></thead
      >
      <tbody>
        {#each start.rows as row (row.method)}
          <tr class:font-semibold={row.method === chosen} class:looked={row.method === looking && !paper}>
            <td class="whitespace-nowrap">
              <span class="mr-1 inline-block align-[-2px]"><Mark state={row.outcome} /></span>
              {#if paper || !look}{words(row.method)}{:else}<Button
                  class="link"
                  aria-pressed={row.method === looking}
                  onclick={() => look(row.method)}>{words(row.method)}</Button
                >{/if}{row.method === chosen ? ' · chosen' : ''}
            </td>
            {#each columns as column (column[0])}
              {@const id = `start.${row.method}.${column[0]}`}
              <td class="n">
                {#if desk().figure(id) && !paper}<Button
                    class="link"
                    data-figure={id}
                    onclick={() => (desk().working = id)}>{cell(row, column)}</Button
                  >{:else}{cell(row, column)}{/if}
              </td>
            {/each}
            <td class="n">{row.run ? `${writeNumber(row.run.jolt)} ×` : '—'}</td>
            <td class="n">{row.leads}</td>
            <td class="n">{row.costIndex}</td>
          </tr>
          <tr class="why">
            <td colspan={columns.length + 4}>
              {row.text}
              {#if paper || row.method === looking}<span class="text-quiet">
                  Needs {row.parts}. Residual voltage when off: {row.whenOff}. {row.speedControl
                    ? 'Controls speed.'
                    : 'No speed control.'}
                  {#if desk().figure(`start.${row.method}.largestMotor`)}Largest of its kind this source starts so: {writeQuantity(
                      desk().figure(`start.${row.method}.largestMotor`)?.value ?? 0,
                      'W',
                    )}.{/if}
                  {#if row.run?.changeoverCurrent}At the changeover it draws {writeQuantity(
                      row.run.changeoverCurrent,
                      'A',
                    )}.{/if}</span
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
  <p class="mt-1 text-[13px] text-quiet">
    Line current at the supply, largest over the run-up. Heat as a share of what the hot motor bears. Jolt: largest
    sudden step of torque, times rated. The cost index is invented: it compares, it prices nothing.
  </p>
  {#if start.recommended}
    <div class="mt-2" data-testid="start-recommended">
      <p class="font-medium">
        Recommended for starting alone: {words(start.recommended.method)}{start.recommended.method === chosen
          ? ', as chosen'
          : ''}
      </p>
      <ul class="list-disc pl-5 text-[14px]">
        {#each start.recommended.reasons as reason (reason)}<li>{reason}</li>{/each}
      </ul>
    </div>
  {:else}
    <p class="mt-2 font-medium">No method starts this machine on this supply as it is.</p>
  {/if}
{/if}

<style>
  .looked td {
    background: color-mix(in srgb, var(--pine) 10%, transparent);
  }
  .why td {
    padding-top: 0;
    font-size: 13px;
  }
</style>
