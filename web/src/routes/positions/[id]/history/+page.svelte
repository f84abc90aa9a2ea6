<script lang="ts">
  import HistoryBench from '$lib/desk/HistoryBench.svelte';

  let { data } = $props();
</script>

<HistoryBench revisions={data.revisions} />
