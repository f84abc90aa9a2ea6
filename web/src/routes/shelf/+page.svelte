<script lang="ts">
  import { Button, Input, Select, Table } from 'flowbite-svelte';
  import type { nameplate } from '@pilgrim/core';
  import { changeOnShelf, dropCombinations, listAsCsv, takeOffShelf } from '$lib/api';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { saveFile } from '$lib/files/save';
  import Group from '$lib/ui/Group.svelte';
  import ListImport from '$lib/lists/ListImport.svelte';
  import PlateToShelf from '$lib/shelf/PlateToShelf.svelte';
  import { reload } from '$lib/ui/reload';

  let { data } = $props();
  const shownAtOnce = 200;
  let query = $state('');
  let message = $state('');
  const plant = $derived(data.plant);
  const rows = $derived(data.motors);
  const found = $derived.by(() => {
    const words = query.toLowerCase().split(/\s+/).filter(Boolean);
    return rows.filter((r) => words.every((w) => r.text.includes(w)));
  });

  async function changed(text: string): Promise<void> {
    message = text;
    await reload();
  }
  async function put(id: string, name: string, change: nameplate.ShelfChange): Promise<void> {
    const answer = await changeOnShelf(id, plant?.shelfVersion ?? 0, change);
    if (answer.ok) await changed(`${name} was changed.`);
    else if (answer.status === 412) await changed('Somebody changed the shelf in between; it was read again.');
    else message = `${name} was not changed: write a whole number, zero or more.`;
  }
  async function remove(id: string, name: string): Promise<void> {
    const answer = await takeOffShelf(id, plant?.shelfVersion ?? 0);
    await changed(
      answer.ok ? `${name} is off the shelf.` : 'Somebody changed the shelf in between; it was read again.',
    );
  }
  async function drop(): Promise<void> {
    if (!plant) return;
    const answer = await dropCombinations(plant.id, plant.shelfVersion);
    await changed(
      answer.ok ? 'The demonstration table stands again.' : 'They were not taken away; the shelf was read again.',
    );
  }
  async function save(of: 'shelf' | 'combinations'): Promise<void> {
    if (!plant) return;
    const file = await listAsCsv(plant.id, of);
    if (!file) {
      message = 'The server did not answer: the list was not made.';
      return;
    }
    saveFile(of === 'shelf' ? 'own-shelf.csv' : 'combinations.csv', file);
  }
</script>

<svelte:head><title>Own shelf · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[1440px] px-4 py-4">
  <div class="mb-3 flex flex-wrap items-center gap-3">
    <h1 class="mr-4">Own shelf{plant ? ` of ${plant.name}` : ''}</h1>
    {#if data.plants.length > 1}
      <label class="flex items-center gap-2"
        ><span class="text-quiet">Plant</span>
        <Select
          classes={{ select: 'field' }}
          placeholder=""
          items={data.plants.map((p) => ({ value: p.id, name: p.name }))}
          bind:value={() => plant?.id, (id) => void goto(resolve(`/shelf?plant=${id}`))}
        /></label
      >
    {/if}
    <label class="flex items-center gap-2"
      ><span class="text-quiet">Find</span>
      <Input class="field w-64!" type="search" placeholder="name, power, frame, place" bind:value={query} /></label
    >
    <span class="flex-1"></span>
    <Button class="push" disabled={rows.length === 0} onclick={() => void save('shelf')}>Save as CSV</Button>
  </div>
  <p class="mb-3 text-quiet">
    What lies here or is quoted is judged beside the catalogue at every position of the plant; ranked by delivery it
    comes first.
  </p>
  <p class="min-h-5" role="status">{message}</p>
  {#if plant}
    <div class="grid items-start gap-4 lg:grid-cols-2">
      <div>
        <Group title="Bring in a list"
          ><ListImport
            plantId={plant.id}
            target="shelf"
            columns={data.columns}
            words={{
              take: (n) => `Put ${n} on the shelf`,
              taken: (n, file) => `${n} motors of ${file} are on the shelf.`,
            }}
            taken={(n) => void changed(`${n.toLocaleString('en')} motors were taken.`)}
          /></Group
        >
        <Group
          title="Combinations tested together"
          note="Device, contactor and relay of your panel builder: Guard looks here, and infers coordination from nothing else."
        >
          {#if data.tables.length === 0}
            <p>None of your own: the demonstration table stands, which is invented. Nothing is to be bought by it.</p>
          {:else}
            <ul data-testid="combination-tables">
              {#each data.tables as t (t.name)}<li>{t.name}: {t.rows.toLocaleString('en')} combinations</li>{/each}
            </ul>
          {/if}
          <p class="mb-2 flex gap-2">
            <Button class="push" onclick={() => void save('combinations')}>Save them as CSV</Button>
            {#if data.tables.length > 0}
              <Button class="push" onclick={() => void drop()}>Take the own ones away</Button>
            {/if}
          </p>
          <ListImport
            plantId={plant.id}
            target="combinations"
            columns={data.combinationColumns}
            words={{
              take: (n) => `Keep ${n} combinations`,
              taken: (n, file) => `${n} combinations of ${file} are kept.`,
            }}
            taken={(n) => void changed(`${n.toLocaleString('en')} combinations were taken.`)}
          />
        </Group>
      </div>
      <Group title="Add a motor from its plate"
        ><PlateToShelf plantId={plant.id} added={(name) => void changed(`${name} is on the shelf.`)} /></Group
      >
    </div>
    {#if rows.length === 0}
      <p class="box p-6">
        Nothing on the shelf yet. Bring in the list of the store, or type what a spare’s plate says: then the choice
        knows what is there.
      </p>
    {:else if found.length === 0}
      <p class="box p-6">Nothing here is called “{query}”.</p>
    {:else}
      <div class="box overflow-x-auto">
        <Table class="dense middle" data-testid="shelf">
          <thead>
            <tr
              ><th>Motor</th><th>Power</th><th>Voltage</th><th>Current</th><th>Speed</th><th>Frame</th><th>Enclosure</th
              ><th class="n">How many</th><th>Where</th><th class="n">Days</th><th>Spare for</th><th>Taken as usual</th
              ><th><span class="sr-only">Remove</span></th></tr
            >
          </thead>
          <tbody>
            {#each found.slice(0, shownAtOnce) as m (m.id)}
              <tr>
                <td>{m.name}</td>
                {#each [m.power, m.voltage, m.current, m.speed, m.frame, m.enclosure] as said, i (i)}
                  <td class="whitespace-nowrap">{said}</td>
                {/each}
                <td class="n"
                  ><Input
                    class="field w-16! text-right"
                    type="number"
                    min={0}
                    aria-label="How many of {m.name}"
                    value={m.quantity}
                    onchange={(e) => void put(m.id, m.name, { quantity: e.currentTarget.valueAsNumber })}
                  /></td
                >
                <td
                  ><Input
                    class="field min-w-24"
                    aria-label="Where {m.name} lies"
                    value={m.place}
                    onchange={(e) => void put(m.id, m.name, { place: e.currentTarget.value })}
                  /></td
                >
                <td class="n"
                  ><Input
                    class="field w-16! text-right"
                    type="number"
                    min={0}
                    aria-label="Days until {m.name} is here, where it is quoted"
                    value={m.days ?? ''}
                    onchange={(e) => {
                      const days = e.currentTarget.valueAsNumber;
                      void put(m.id, m.name, { days: Number.isNaN(days) ? null : days });
                    }}
                  /></td
                >
                <td
                  ><Input
                    class="field min-w-24"
                    aria-label="Position whose spare {m.name} is"
                    placeholder="none"
                    value={m.keptFor}
                    onchange={(e) => void put(m.id, m.name, { keptFor: e.currentTarget.value })}
                  /></td
                >
                <td class="text-quiet">{m.assumed}</td>
                <td
                  ><Button
                    class="link whitespace-nowrap"
                    aria-label="Take {m.name} off the shelf"
                    onclick={() => void remove(m.id, m.name)}>take off</Button
                  ></td
                >
              </tr>
            {/each}
          </tbody>
        </Table>
      </div>
      {#if found.length > shownAtOnce}
        <p class="mt-2 text-quiet">
          {(found.length - shownAtOnce).toLocaleString('en')} more: narrow the search to see them.
        </p>
      {/if}
    {/if}
  {:else}
    <p class="box p-6">There is no plant yet: start a position first.</p>
  {/if}
</main>
