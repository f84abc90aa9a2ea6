<script lang="ts">
  import type { Crossing } from '@pilgrim/core';
  import Mark from '$lib/ui/Mark.svelte';
  import { words } from '$lib/ui/names';

  interface Props {
    crossings: readonly Crossing[];
  }
  let { crossings }: Props = $props();
</script>

<ul class="answers" aria-label="What the curves say">
  {#each crossings as c (c.id)}
    <li class="flex items-start gap-2 border-b border-rule py-1" data-crossing={c.id}>
      <span class="mt-0.5"><Mark state={c.outcome} /></span>
      <span class="w-36 shrink-0 font-medium">{words(c.id)}</span>
      <span class="flex-1">{c.text}</span>
    </li>
  {/each}
</ul>
