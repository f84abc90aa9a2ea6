<script lang="ts">
  import { cited } from './names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Fold from './Fold.svelte';

  interface Props {
    /** Beginnings of the ids to show. */
    of: readonly string[];
  }
  let { of }: Props = $props();
  const desk = useDesk();
  const facts = $derived((desk().result?.facts ?? []).filter((f) => of.some((start) => f.id.startsWith(start))));
</script>

{#each facts as fact (fact.id)}
  <Fold class="border-b border-rule px-1 py-1" data-fact={fact.id}>
    {#snippet head()}
      <span class="text-quiet"
        >{fact.label}{#if fact.estimate}<span class="ml-1 text-[12px]">estimate</span>{/if}</span
      >
      <span class="ml-2 font-condensed font-semibold">{fact.text}</span>
    {/snippet}

    <p class="pb-1 pl-4 text-[13px] text-quiet">Source: {cited(fact.source)}</p>
  </Fold>
{/each}
