<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { DriveView } from '@pilgrim/core';
  import { useDesk } from '$lib/desk/desk.svelte';
  import StarterSettings from '$lib/stations/guard/StarterSettings.svelte';

  /** What to program, to be taken along as a table. */
  interface Props {
    drive: DriveView;
  }
  let { drive }: Props = $props();
  const desk = useDesk();
  const name = $derived(`Drive of ${String(desk().value('name') ?? 'a motor')}`);

  async function save(kind: 'csv' | 'json'): Promise<void> {
    const files = await import('$lib/ui/chartFiles');
    files.saveSettings(name, drive.settings, kind);
  }
</script>

{#if drive.command}<p class="mb-2" data-testid="drive-command">To be bought with it: {drive.command}.</p>{/if}
<StarterSettings settings={drive.settings} />
<p class="screen-only mt-2 flex gap-3 text-[13px]">
  {#each ['csv', 'json'] as const as kind (kind)}
    <Button class="link" onclick={() => void save(kind)}>save as {kind.toUpperCase()}</Button>
  {/each}
</p>
