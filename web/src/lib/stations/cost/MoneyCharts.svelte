<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import type { MoneyCurves } from '@pilgrim/core';
  import Chart from '$lib/ui/Chart.svelte';
  import Group from '$lib/ui/Group.svelte';

  /** Sums over the years, how likely they are, and what moves them. */
  let { curves, currency }: { curves: MoneyCurves | null; currency: string } = $props();

  const rounded = (value: number): string => Number(value.toPrecision(3)).toLocaleString('en');
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  const ends = $derived((curves?.tornado ?? []).flatMap((t) => [t.low, t.high]));
  const [least, most] = $derived([Math.min(0, ...ends), Math.max(0, ...ends)]);
  const at = (value: number): number => ((value - least) / (most - least || 1)) * 100;
  const losing = $derived((curves?.bars ?? []).reduce((sum, [value, share]) => sum + (value < 0 ? share : 0), 0));
</script>

{#if curves}
  <Group
    title="What it rests on"
    note="One uncertain input at a time from its least to its most, the others as they are; what moves the sum most stands first."
  >
    <Table class="dense">
      <thead
        ><tr
          ><th>Input</th><th class="n">From</th><th class="n">To</th><th class="n">Net present value from</th><th
            class="n">to</th
          ><th class="w-2/5"><span class="sr-only">Drawn</span></th></tr
        ></thead
      >
      <tbody>
        {#each curves.tornado as t (t.input)}
          {@const [low, high] = [Math.min(t.low, t.high), Math.max(t.low, t.high)]}
          <tr>
            <td>{t.name}</td>
            <td class="n">{percent(t.least)}</td>
            <td class="n">{percent(t.most)}</td>
            <td class="n">{rounded(t.low)}</td>
            <td class="n">{rounded(t.high)}</td>
            <td>
              <div class="relative h-4 bg-paper" aria-hidden="true">
                <div
                  class="absolute inset-y-0 bg-edge"
                  style="left: {at(low)}%; width: {Math.max(0.5, at(high) - at(low))}%"
                ></div>
                <div class="absolute inset-y-0 w-px bg-ink" style="left: {at(curves.usual)}%"></div>
                <div class="absolute -inset-y-0.5 w-0.5 bg-quiet" style="left: calc({at(0)}% - 1px)"></div>
              </div>
            </td>
          </tr>
        {/each}
      </tbody>
    </Table>
    <p class="mt-1 text-[13px] text-quiet">
      Thin line: as it stands; grey line: nothing gained, nothing lost.
      {losing > 0.005 ? `In ${percent(losing)} of the draws it loses.` : 'In none of the draws worth telling it loses.'}
    </p>
  </Group>
  <div class="mb-3 grid gap-3 lg:grid-cols-2">
    <Chart
      title="How the sum spreads"
      x={`net present value, ${currency || 'money'}`}
      y="share of the draws"
      aside={24}
      series={[{ name: 'draws', points: curves.bars, bars: true }]}
      summary={`In the middle ${rounded(curves.usual)}.`}
    />
    <Chart
      title="The sum over the years"
      x="years"
      y={`as of today, ${currency || 'money'}`}
      aside={90}
      series={[{ name: 'as it stands', points: curves.years }]}
      summary={`From ${rounded(curves.years[0]?.[1] ?? 0)} to ${rounded(curves.years.at(-1)?.[1] ?? 0)}.`}
    />
  </div>
{/if}
