<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import type { CostOption } from '@pilgrim/core';
  import Group from '$lib/ui/Group.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { words } from '$lib/ui/names';

  /** Ways to go on, each against the first. */
  let { options, currency }: { options: readonly CostOption[]; currency: string } = $props();

  const rounded = (value: number): string => Number(value.toPrecision(3)).toLocaleString('en');
  const between = ([least, most]: readonly [number, number], digits = 3): string =>
    [least, most].map((x) => Number(x.toPrecision(digits)).toLocaleString('en')).join(' to ');
  const most = $derived(Math.max(...options.map((o) => o.lifeCycle), 1));
  const best = $derived(options.filter((o) => o.outcome !== 'fail').toSorted((a, b) => a.lifeCycle - b.lifeCycle)[0]);
  const first = $derived(options[0]?.name.toLowerCase() ?? '');
  const scaled = $derived(options.some((o) => !o.index && o.cost > 0));
  /** Of its life-cycle cost, what is not spent at once or at a renewal. */
  const running = (o: CostOption): number => Math.max(0, o.lifeCycle - o.spent);
  const indexed = $derived(options.some((o) => o.index));
</script>

<Group
  title="What may be done"
  note={`Over the years counted, each judged as it would run; net present value against “${first}”.`}
>
  <div class="overflow-x-auto">
    <Table class="dense" data-testid="ways">
      <caption class="sr-only">Ways to go on, their bills and what they are worth</caption>
      <thead>
        <tr>
          <th>What</th><th class="n">kWh a year</th><th class="n">Bill a year</th><th class="n"
            >Spent{indexed ? '*' : ''}</th
          ><th class="n">Net present value</th><th class="n">Back in</th><th class="w-24">Spent and running</th>
        </tr>
      </thead>
      <tbody>
        {#each options as o (o.kind)}
          <tr>
            <th scope="row" class="text-left font-medium">
              <span class="flex items-start gap-2"><Mark state={o.outcome} />{o.name}</span>
              <span class="block pl-6 text-[13px] font-normal">{o.motor}, {words(o.method)}</span>
            </th>
            <td class="n">{rounded(o.energy)}</td>
            <td class="n">{rounded(o.bill)}</td>
            <td class="n whitespace-normal!">{o.band && o.cost > 0 ? `${between(o.band.cost)}*` : rounded(o.cost)}</td>
            <td class="n {o === best ? 'font-semibold' : ''}">{rounded(o.netPresentValue)}</td>
            <td class="n"
              >{o.cost <= (options[0]?.cost ?? 0)
                ? '—'
                : o.payback === null || o.payback > 50
                  ? 'never'
                  : o.band?.payback
                    ? `${between(o.band.payback, 2)} a`
                    : `${o.payback.toFixed(1)} a`}</td
            >
            <td>
              <div class="flex h-4 bg-paper" aria-hidden="true">
                <div class="bg-ink" style="width: {((o.lifeCycle - running(o)) / most) * 100}%"></div>
                <div class="bg-edge" style="width: {(running(o) / most) * 100}%"></div>
              </div>
              <span class="text-[13px]">{rounded(o.lifeCycle)}</span>
            </td>
          </tr>
          {#if o.outcome !== 'pass'}
            <tr><td colspan="7" class="border-t-0! pt-0! pl-8! text-[13px] text-quiet">{o.text}</td></tr>
          {/if}
        {/each}
      </tbody>
    </Table>
  </div>
  <p class="mt-1 text-[13px] text-quiet">
    Money in {currency || 'the currency typed'}. Net present values and bars at the middle of a band; bars: dark what is
    spent, light what it takes to run, as of today.
    {#if indexed}
      * By the invented price index{scaled ? ', scaled to the cost that was typed' : ''}: bring quotes before deciding.
    {/if}
  </p>
</Group>
