<script lang="ts">
  import LogBench from '$lib/log/LogBench.svelte';

  let { data } = $props();
</script>

{#key data.position.id}
  <LogBench position={data.position.id} rounds={data.rounds} revisions={data.revisions} />
{/key}
