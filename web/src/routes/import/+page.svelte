<script lang="ts">
  import { Select } from 'flowbite-svelte';
  import { resolve } from '$app/paths';
  import ListImport from '$lib/lists/ListImport.svelte';
  import Group from '$lib/ui/Group.svelte';

  let { data } = $props();
  let plantId = $state('');
  const plant = $derived(data.plants.find((p) => p.id === plantId) ?? data.plants[0]);
  let made = $state(0);
</script>

<svelte:head><title>A list becomes positions · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[1440px] px-4 py-4">
  <h1>A list becomes positions</h1>
  <p class="mb-3 max-w-[860px] text-quiet">
    One row is one motor in its place: tag, area, and what its plate says. Whether a place is free of explosive
    atmospheres is no column of a list: it is said at each position.
  </p>
  {#if plant}
    <Group title="The list">
      {#if data.plants.length > 1}
        <label class="mb-2 block max-w-[420px]"
          >Plant
          <Select
            classes={{ select: 'field' }}
            placeholder=""
            items={data.plants.map((p) => ({ value: p.id, name: p.name }))}
            bind:value={() => plant.id, (id) => (plantId = id)}
          /></label
        >
      {/if}
      <ListImport
        plantId={plant.id}
        target="positions"
        columns={data.columns}
        words={{
          take: (n) => `Make ${n} positions`,
          taken: (n, file) => `${n} positions were made of ${file}.`,
        }}
        taken={(n) => (made = n)}
      />
      {#if made > 0}<p><a class="link" href={resolve('/')}>See them in the plant</a></p>{/if}
    </Group>
  {:else}
    <p class="box p-6">
      There is no plant yet: <a class="link" href={resolve('/')}>start a first position</a>, then bring its list.
    </p>
  {/if}
</main>
