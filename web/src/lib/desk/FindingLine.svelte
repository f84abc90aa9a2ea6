<script lang="ts">
  import type { Finding } from '@pilgrim/core';
  import { Button, Input } from 'flowbite-svelte';
  import { isFindingId, namedFindings } from '@pilgrim/core/vocabulary';
  import { fieldName } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';
  import { accept, doubtAgain } from './accepted';
  import { useDesk } from './desk.svelte';
  import { useGoto } from './goto';

  interface Props {
    finding: Finding;
    /** The last edit raised it. */
    fresh?: boolean;
  }
  let { finding, fresh = false }: Props = $props();
  const goto = useGoto();
  const desk = useDesk();
  let asking = $state(false);
  let reason = $state('');
  const able = $derived(
    finding.accepted === null &&
      !(isFindingId(finding.id) && namedFindings.has(finding.id)) &&
      (finding.level === 'caution' || (finding.doubt && finding.level === 'stop')),
  );
</script>

<li class="mb-2 flex gap-2">
  <span class="mt-0.5"><Mark state={finding.level} /></span>
  <span>
    {#if fresh}<b class="font-semibold">new:</b>{/if}
    {finding.text}
    {#if finding.accepted}
      <span class="text-quiet">Let stand: {finding.accepted}</span>
      <Button class="link text-[13px]" onclick={() => doubtAgain(desk(), finding)}>take it back</Button>
    {/if}
    {#each finding.fields.slice(0, 2) as path (path)}
      <Button class="link ml-1 text-[13px]" data-goto={path} onclick={() => goto(path)}>→ {fieldName(path)}</Button>
    {/each}
    {#if able && !asking}
      <Button class="link ml-1 text-[13px]" onclick={() => (asking = true)}>let it stand …</Button>
    {:else if able}
      <form
        class="mt-1 flex flex-wrap items-center gap-2"
        onsubmit={(e) => (e.preventDefault(), accept(desk(), finding, reason), (asking = false))}
      >
        <Input
          class="field"
          aria-label="Why it may stand: {finding.text.slice(0, 60)}"
          placeholder="It may stand, because …"
          maxlength={400}
          bind:value={reason}
        />
        <Button type="submit" class="push" disabled={!reason.trim()}>Let it stand</Button>
      </form>
    {/if}
  </span>
</li>
