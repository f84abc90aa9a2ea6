<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import type { DriveView } from '@pilgrim/core';
  import Mark from '$lib/ui/Mark.svelte';

  /** What may stand between drive and motor, side by side. */
  interface Props {
    remedies: DriveView['remedies'];
  }
  let { remedies }: Props = $props();
  const percent = (share: number): string => `${Math.round(100 * share)} %`;
</script>

<div class="mt-3 overflow-x-auto">
  <Table class="dense" data-testid="remedies">
    <caption class="sr-only">What may stand between drive and motor</caption>
    <thead
      ><tr
        ><th>Between drive and motor</th><th class="text-right">Crest at the motor</th><th>Does</th><th
          class="text-right">Voltage lost</th
        ><th class="text-right">Price index</th></tr
      ></thead
    >
    <tbody>
      {#each remedies as r (r.filter)}
        <tr
          ><td class="first-letter:uppercase">{r.name}</td><td class="text-right">{Math.round(r.peak)} V</td><td
            ><Mark state={r.does ? 'pass' : 'fail'} /></td
          ><td class="text-right">{percent(r.drop)}</td><td class="text-right">{r.price}</td></tr
        >
      {/each}
    </tbody>
  </Table>
</div>
