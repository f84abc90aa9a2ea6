<script lang="ts">
  import { format } from 'date-fns/format';
  import { Button, Table } from 'flowbite-svelte';
  import { resolve } from '$app/paths';
  import { restorePosition } from '$lib/api';
  import { reload } from '$lib/ui/reload';

  let { data } = $props();
  let back: { readonly id: string; readonly name: string } | null = $state.raw(null);
  let message = $state('');

  async function bringBack(p: (typeof data.positions)[number]): Promise<void> {
    const answer = await restorePosition(p.id, p.version);
    back = answer.ok ? p : null;
    message = answer.ok ? '' : `${p.name} was not brought back: ${answer.problem.title ?? 'try again'}.`;
    await reload();
  }
</script>

<svelte:head><title>Trash · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[1440px] px-4 py-4">
  <h1>Trash</h1>
  <p class="text-quiet">A position comes back whole, with its photographs and every revision.</p>
  <p class="min-h-5" role="status">
    {message}{#if back}<a class="link" href={resolve('/positions/[id]/[station]', { id: back.id, station: 'plate' })}
        >{back.name}</a
      > is back in the plant.{/if}
  </p>
  {#if data.positions.length === 0}
    <p class="box p-6">Nothing is in the trash.</p>
  {:else}
    <div class="box overflow-x-auto">
      <Table class="dense" data-testid="trash">
        <thead
          ><tr
            ><th>Tag</th><th>Position</th><th>Area</th><th>Deleted</th><th class="n">Revisions</th><th
              ><span class="sr-only">Bring back</span></th
            ></tr
          ></thead
        >
        <tbody>
          {#each data.positions as p (p.id)}
            <tr>
              <td>{p.tag}</td><td class="font-sans text-[14px]">{p.name}</td><td>{p.area}</td>
              <td>{format(new Date(p.deletedAt), 'd MMM yyyy HH:mm')}</td><td class="n">{p.revisions}</td>
              <td><Button class="link" onclick={() => void bringBack(p)}>Bring back {p.tag}</Button></td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
  {/if}
</main>
