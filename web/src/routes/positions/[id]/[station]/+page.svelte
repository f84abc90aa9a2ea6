<script lang="ts">
  let { data } = $props();
  const Station = $derived(data.Station);
</script>

<Station />
