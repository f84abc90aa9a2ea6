<script lang="ts">
  import type { Snippet } from 'svelte';

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
  const id = $derived(`f-${path.replace(/[^\w]/g, '-')}`);
</script>

<div class="min-w-0">
  <label for={id} class="mb-0.5 block text-[13px] font-medium text-quiet"
    >{label}{#if unit}<span class="font-normal">, {unit}</span>{/if}</label
  >
  {@render children({ id, describedby: `${id}-note`, invalid: error !== undefined })}
  <p id="{id}-note" class="min-h-[18px] text-[12.5px] leading-snug {error ? 'text-stop' : 'text-quiet'}">
    {#if error}<span aria-hidden="true">▲ </span>{error}{:else}{hint ?? ''}{/if}
  </p>
</div>
