<script lang="ts">
  import type { Finding } from '@pilgrim/core';
  import { Button } from 'flowbite-svelte';
  import { fieldName } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';
  import { useGoto } from './goto';

  interface Props {
    finding: Finding;
    /** The last edit raised it. */
    fresh?: boolean;
  }
  let { finding, fresh = false }: Props = $props();
  const goto = useGoto();
</script>

<li class="mb-2 flex gap-2">
  <span class="mt-0.5"><Mark state={finding.level} /></span>
  <span>
    {#if fresh}<b class="font-semibold">new:</b>{/if}
    {finding.text}
    {#if finding.accepted}<span class="text-quiet">Let stand: {finding.accepted}</span>{/if}
    {#each finding.fields.slice(0, 2) as path (path)}
      <Button class="link ml-1 text-[13px]" data-goto={path} onclick={() => goto(path)}>→ {fieldName(path)}</Button>
    {/each}
  </span>
</li>
