<script lang="ts">
  import type { Snippet } from 'svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { nameField } from './names';

  interface Props {
    path: string;
    label: string;
    /** Unit a bare number is taken in. */
    unit?: string;
    hint?: string;
    error?: string | undefined;
    children: Snippet<[{ id: string; describedby: string; invalid: boolean }]>;
  }
  let { path, label, unit, hint, error, children }: Props = $props();
  $effect.pre(() => nameField(path, label));
  // A list is imported without a desk.
  const desk = useDesk() as ReturnType<typeof useDesk> | undefined;
  const carried = $derived(desk?.().carried(path));
  const id = $derived(`f-${path.replace(/[^\w]/g, '-')}`);
</script>

<div class="min-w-0">
  <div class="mb-0.5 text-[13px] text-quiet">
    <label for={id} class="font-medium">{label}</label>{#if unit}<span aria-hidden="true">, {unit}</span
      >{/if}{#if carried}<span class="carried">from {carried}</span>{/if}
  </div>
  {@render children({ id, describedby: `${id}-note`, invalid: error !== undefined })}
  <p id="{id}-note" class="min-h-[18px] text-[12.5px] leading-snug {error ? 'text-stop' : 'text-quiet'}">
    {#if error}<span aria-hidden="true">▲ </span>{error}{:else}{hint ?? ''}{/if}
  </p>
</div>
