<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    note?: string;
    children: Snippet;
  }
  let { title, note, children }: Props = $props();
</script>

<section class="box mb-4 p-3">
  <h2 class="mb-2">{title}</h2>
  {#if note}<p class="mb-2 text-quiet">{note}</p>{/if}
  {@render children()}
</section>
