<script lang="ts">
  import { Table } from 'flowbite-svelte';

  interface Props {
    /** What the two values of a field are called. */
    heads: readonly [string, string];
    rows: readonly (readonly [field: string, first: unknown, second: unknown])[];
  }
  let { heads, rows }: Props = $props();
  const show = (value: unknown): string =>
    value === undefined ? '—' : typeof value === 'string' ? value : JSON.stringify(value);
</script>

<Table class="dense mb-3">
  <thead><tr><th>Field</th><th>{heads[0]}</th><th>{heads[1]}</th></tr></thead>
  <tbody>
    {#each rows as [field, first, second], i (i)}
      <tr><td>{field}</td><td>{show(first)}</td><td>{show(second)}</td></tr>
    {/each}
  </tbody>
</Table>
