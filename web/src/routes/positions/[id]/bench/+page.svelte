<script lang="ts">
  import { page } from '$app/state';
  import FlowBench from '$lib/bench/FlowBench.svelte';
</script>

{#key page.params.id}<FlowBench />{/key}
