<script lang="ts">
  import { useDesk } from '$lib/desk/desk.svelte';
  import FigureLine from './FigureLine.svelte';

  interface Props {
    ids: readonly string[];
    empty?: string;
  }
  let { ids, empty = 'Nothing follows yet.' }: Props = $props();
  const desk = useDesk();
  const known = $derived(ids.filter((id) => desk().figure(id)));
</script>

{#if known.length === 0}
  <p class="text-quiet">{empty}</p>
{:else}
  <div class="grid gap-x-6 sm:grid-cols-2">
    {#each known as id (id)}<FigureLine {id} />{/each}
  </div>
{/if}
