<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import { words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';

  /** One page for the buyer: what is asked, line by line, and what may differ. Printed alone. */
  const desk = useDesk();
  const choice = $derived(desk().result?.choice);

  function printAlone(): void {
    document.documentElement.dataset.print = 'buying';
    addEventListener('afterprint', () => delete document.documentElement.dataset.print, { once: true });
    print();
  }
</script>

{#if choice}
  <section class="box mb-4 p-3" id="buying" data-testid="buying">
    <div class="mb-2 flex items-baseline justify-between gap-2">
      <h2>Buying specification</h2>
      <Button class="link screen-only" onclick={printAlone}>print this page</Button>
    </div>
    <p class="mb-2 text-quiet">
      {desk().result?.name ?? 'This position'}: {choice.motor.name}, {words(choice.method)}.
      {choice.basis === 'plate' ? 'By the old motor’s plate; no load is known.' : ''} Prices and makers are the buyer’s; local
      codes and a licensed person decide what may be installed.
    </p>
    <Table class="dense">
      <caption class="sr-only">Buying specification</caption>
      <thead><tr><th class="w-28">What</th><th>Asked</th><th class="w-[32%]">May differ</th></tr></thead>
      <tbody>
        {#each choice.buying as line, i (i)}
          <tr><th scope="row" class="text-left font-medium">{line.what}</th><td>{line.text}</td><td>{line.may}</td></tr>
        {/each}
      </tbody>
    </Table>
  </section>
{/if}

<style>
  @media print {
    :global(html[data-print='buying'] main *:not(:has(#buying), #buying, #buying *)),
    :global(html[data-print='buying'] header) {
      display: none !important;
    }
  }
</style>
