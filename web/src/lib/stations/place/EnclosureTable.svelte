<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Mark from '$lib/ui/Mark.svelte';

  const desk = useDesk();
  const rows = $derived(desk().result?.enclosures ?? []);
</script>

{#if rows.length === 0}
  <p class="text-quiet">Say what the motor stands in.</p>
{:else}
  <div class="overflow-x-auto">
    <Table class="dense" data-testid="enclosures">
      <thead>
        <tr
          ><th><span class="sr-only">Will it do</span></th><th>North American words</th><th>IP</th><th>Cooling</th><th
            >Made of</th
          ><th>Here</th></tr
        >
      </thead>
      <tbody>
        {#each rows as e (e.kind)}
          <tr class:font-semibold={e.cheapest}>
            <td class="w-6"><Mark state={e.suits ? 'pass' : 'fail'} /></td>
            <td>{e.words}</td>
            <td>{e.protection}</td>
            <td>{e.cooling}</td>
            <td>{e.construction}</td>
            <td>{e.text}</td>
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
{/if}
