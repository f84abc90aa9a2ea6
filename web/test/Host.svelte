<script lang="ts">
  import type { Component } from 'svelte';
  import { provideDesk, type Desk } from '$lib/desk/desk.svelte';
  import { provideGoto } from '$lib/desk/goto';

  interface Props {
    desk: Desk;
    part: Component<Record<string, unknown>>;
    props?: Record<string, unknown>;
    goto?: (path: string) => void;
  }
  /** A part as a page holds it: with a desk, and with a way to its fields. */
  let { desk, part: Part, props = {}, goto = () => {} }: Props = $props();
  provideDesk(() => desk);
  provideGoto((path) => goto(path));
</script>

<Part {...props} />
