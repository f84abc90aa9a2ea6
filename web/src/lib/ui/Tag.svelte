<script lang="ts">
  import { Badge } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  /** A short word beside a verdict, in the page's own colours. */
  let { children }: { children: Snippet } = $props();
</script>

<Badge border class="border-edge bg-paper text-ink dark:border-edge dark:bg-paper dark:text-ink"
  >{@render children()}</Badge
>
