<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import type { CostView } from '@pilgrim/core';
  import Group from '$lib/ui/Group.svelte';

  /** Where a year's energy goes, now and new. */
  let { account }: { account: CostView['account'] } = $props();

  const sum = (key: 'old' | 'new'): number => account.reduce((total, a) => total + (a.beside ? 0 : a[key]), 0);
  const most = $derived(Math.max(sum('old'), sum('new'), 1));
  const rounded = (value: number): string => Number(value.toPrecision(3)).toLocaleString('en');
</script>

<Group
  title="Where the energy goes"
  note="kWh a year, from the supply to the flow. Below the line stands what no sum of money here counts."
>
  <Table class="dense" data-testid="account">
    <caption class="sr-only">Flow work and every loss, now and new</caption>
    <thead>
      <tr><th>Part</th><th class="n">Now</th><th class="n">New</th><th class="w-2/5">Now above, new below</th></tr>
    </thead>
    <tbody>
      {#snippet line(a: CostView['account'][number])}
        <tr>
          <th scope="row" class="text-left font-normal">{a.name}</th>
          <td class="n">{rounded(a.old)}</td>
          <td class="n">{rounded(a.new)}</td>
          <td>
            <div class="h-2 bg-edge" aria-hidden="true" style="width: {(a.old / most) * 100}%"></div>
            <div class="mt-0.5 h-2 bg-ink" aria-hidden="true" style="width: {(a.new / most) * 100}%"></div>
          </td>
        </tr>
      {/snippet}
      {#each account.filter((a) => !a.beside) as a (a.kind)}{@render line(a)}{/each}
      <tr class="font-semibold">
        <th scope="row" class="text-left">drawn, and paid for</th>
        <td class="n">{rounded(sum('old'))}</td>
        <td class="n">{rounded(sum('new'))}</td>
        <td></td>
      </tr>
      {#each account.filter((a) => a.beside) as a (a.kind)}{@render line(a)}{/each}
    </tbody>
  </Table>
</Group>
