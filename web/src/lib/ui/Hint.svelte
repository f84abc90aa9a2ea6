<script lang="ts">
  import { Tooltip } from 'flowbite-svelte';

  /** What the element before it means, shown while that is pointed at or has the focus: only behind what takes one. */
  let { text }: { text: string | undefined } = $props();
</script>

{#if text}<Tooltip type="custom" class="hint" arrow={false}>{text}</Tooltip>{/if}
