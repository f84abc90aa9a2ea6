<script lang="ts">
  import type { CombinationTaken, GuardView } from '@pilgrim/core';
  import { Table } from 'flowbite-svelte';
  import { writeQuantity } from '@pilgrim/core/quantity';

  interface Props {
    of: GuardView['combination'];
  }
  let { of }: Props = $props();
  const rows = $derived([of.taken, of.other].filter((c): c is CombinationTaken => c !== null));
</script>

<p class="mt-3 mb-1">Coordination: <b class="font-semibold">{of.asked}</b>.</p>
{#if rows.length > 0}
  <div class="overflow-x-auto">
    <Table class="dense" data-testid="combination">
      <caption class="sr-only">Combinations tested together</caption>
      <thead
        ><tr
          ><th>Type</th><th>Device</th><th>Contactor</th><th>Relay</th><th class="n">To</th><th class="n">At</th><th
            class="n">Price</th
          ></tr
        ></thead
      >
      <tbody>
        {#each rows as c (c)}
          <tr class={c === of.taken ? 'font-semibold' : ''}
            ><td>{c.type}{c === of.taken ? ', taken' : ''}</td><td>{c.device}</td><td>{c.contactor}</td><td
              >{c.relay || 'in the device'}</td
            ><td class="n">{writeQuantity(c.faultCurrent, 'A')}</td><td class="n">{c.voltage} V</td><td class="n"
              >{c.price ?? '—'}</td
            ></tr
          >
        {/each}
      </tbody>
    </Table>
  </div>
  <p class="mt-1 text-[13px] text-quiet">{of.step} {rows[0]?.table}, {rows[0]?.standard}.</p>
{/if}
