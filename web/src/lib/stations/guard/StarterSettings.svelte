<script lang="ts">
  import type { Setting } from '@pilgrim/core';
  import { Table } from 'flowbite-svelte';

  interface Props {
    settings: readonly Setting[];
  }
  let { settings }: Props = $props();
</script>

<div class="overflow-x-auto">
  <Table class="dense" data-testid="settings">
    <caption class="sr-only">Settings of the starter</caption>
    <thead><tr><th>Setting</th><th>Value</th><th>Why</th><th>What goes wrong otherwise</th></tr></thead>
    <tbody>
      {#each settings as s (s.name)}
        <tr><td>{s.name}</td><td class="min-w-28 font-semibold">{s.value}</td><td>{s.why}</td><td>{s.otherwise}</td></tr
        >
      {/each}
    </tbody>
  </Table>
</div>
