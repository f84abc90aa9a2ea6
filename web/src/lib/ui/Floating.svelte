<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    /** What it is, for who hears the page. */
    label: string;
    open: boolean;
    children: Snippet;
  }
  /** What floats over the page and takes the keyboard until it is closed: finder, keys. */
  let { label, open = $bindable(), children }: Props = $props();
</script>

<Modal bind:open dismissable={false} aria-label={label} transitionParams={{ duration: 0 }} class="floats">
  {@render children()}
</Modal>
