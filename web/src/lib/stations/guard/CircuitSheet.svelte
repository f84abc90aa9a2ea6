<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import type { GuardView } from '@pilgrim/core';
  import Crossings from './Crossings.svelte';
  import StarterSettings from './StarterSettings.svelte';
  import { watchedWords } from './watchedWords';

  interface Props {
    guard: GuardView;
  }
  let { guard }: Props = $props();
  const { parts, combination, crossings, settings, watches } = $derived(guard);
</script>

<h2>Part list</h2>
<Table class="dense mb-3" data-testid="parts">
  <thead><tr><th>Part</th><th>Rating</th><th>Setting or range</th><th>Margin</th></tr></thead>
  <tbody>
    {#each parts as p (p.kind + p.name)}
      <tr><td class="first-letter:uppercase">{p.name}</td><td>{p.rating}</td><td>{p.range}</td><td>{p.margin}</td></tr>
    {/each}
  </tbody>
</Table>
{#if guard.scheme !== 'drive'}
  <p class="mb-4">
    Coordination: {combination.asked}.
    {#if combination.taken}
      Tested together ({combination.taken.table}, {combination.taken.standard}): {combination.taken.device}, {combination
        .taken.contactor}{combination.taken.relay ? `, ${combination.taken.relay}` : ''}.
    {:else}
      No combination tested together is known: it is asked of a panel builder before anything is bought.
    {/if}
  </p>
{/if}
{#if crossings.length > 0}
  <h2>Time and current</h2>
  <div class="mb-4"><Crossings {crossings} /></div>
{/if}
{#if settings.length > 0}
  <h2>Settings of the starter</h2>
  <div class="mb-4"><StarterSettings {settings} /></div>
{/if}
<h2>After a trip, and what else watches</h2>
<Table class="dense mb-4" data-testid="watches">
  <thead><tr><th>What</th><th>As decided</th><th>Proposed</th><th>Because</th></tr></thead>
  <tbody>
    {#each watches as w (w.id)}
      <tr
        ><td>{w.name}</td><td class="font-semibold">{w.decided === null ? 'open' : watchedWords(w.id, w.decided)}</td
        ><td>{watchedWords(w.id, w.proposed)}</td><td>{w.why}</td></tr
      >
    {/each}
  </tbody>
</Table>
