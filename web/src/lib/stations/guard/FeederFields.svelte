<script lang="ts">
  import Figures from '$lib/ui/Figures.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Rows from '$lib/ui/Rows.svelte';
</script>

<Rows path="guard.feeder.motors" name="motor" blank={{}} most={100}>
  {#snippet row(i)}
    <div class="grid gap-3 sm:grid-cols-3">
      <QuantityField path="guard.feeder.motors[{i}].power" label="Motor {i + 1}" dimension="power" />
      <QuantityField path="guard.feeder.motors[{i}].current" label="Its current" dimension="current" />
      <QuantityField path="guard.feeder.motors[{i}].device" label="Its branch device" dimension="current" />
    </div>
  {/snippet}
</Rows>
<div class="mt-3 grid gap-3 sm:grid-cols-3">
  <QuantityField path="guard.feeder.other" label="Other load" dimension="current" placeholder="20 A" />
</div>
<Figures ids={['guard.feederCurrent', 'guard.feederDevice']} empty="Add what else hangs on it." />
