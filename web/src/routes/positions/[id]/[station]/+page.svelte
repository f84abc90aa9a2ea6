<script lang="ts">
  import { TextPlaceholder } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Group from '$lib/ui/Group.svelte';
  import { choosing, stationNames } from '@pilgrim/core/vocabulary';

  let { data } = $props();
  const desk = useDesk();
  const Station = $derived(data.Station);
</script>

<!-- What asks stands at once; what mostly answers waits until what was saved has been solved again. -->
{#if desk().opening && choosing.includes(data.station)}
  <Group title={stationNames[data.station]}>
    <p class="mb-2 text-quiet" role="status">Solving what was saved …</p>
    <TextPlaceholder size="xl" />
  </Group>
{:else}
  <Station />
{/if}
