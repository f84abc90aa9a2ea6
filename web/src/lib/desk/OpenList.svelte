<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import { fieldName } from '$lib/ui/names';
  import { useDesk } from './desk.svelte';
  import { useGoto } from './goto';

  interface Props {
    /** The fields that keep a station from enough; null for all there are. */
    only: readonly string[] | null;
  }
  let { only }: Props = $props();
  /** How many stand open at once; the rest is folded. */
  const first = 3;
  const desk = useDesk();
  const goto = useGoto();
  const open = $derived((desk().result?.open ?? []).filter((o) => only?.includes(o.field) ?? true));
</script>

{#snippet entry(field: string, text: string)}
  <li class="mb-1.5">
    <Button class="link" data-goto={field} onclick={() => goto(field)}>{fieldName(field)}</Button>
    <span class="block text-quiet">{text}</span>
  </li>
{/snippet}

{#if open.length > 0}
  <section class="mb-3 border-b border-rule pb-2" data-testid="open">
    <h3 class="mb-1 font-medium">Unsaid, and would decide</h3>
    <ul>
      {#each open.slice(0, first) as o (o.field)}{@render entry(o.field, o.text)}{/each}
    </ul>
    {#if open.length > first}
      <Fold
        headClass="text-[13px]"
        title={open
          .slice(first)
          .map((o) => fieldName(o.field))
          .join(', ')}
      >
        <ul class="mt-1">
          {#each open.slice(first) as o (o.field)}{@render entry(o.field, o.text)}{/each}
        </ul>
      </Fold>
    {/if}
  </section>
{/if}
