<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Rows from '$lib/ui/Rows.svelte';
  import { rectifier } from '$lib/ui/options';
</script>

<div class="grid gap-3 sm:grid-cols-3">
  <QuantityField path="drive.site.current" label="Maximum demand" dimension="current" placeholder="400 A" />
  <QuantityField path="drive.site.linear" label="Of it, not distorting" dimension="current" placeholder="250 A" />
</div>
<Rows path="drive.site.drives" name="drive" blank={{}} most={50}>
  {#snippet row(i)}
    <div class="grid gap-3 sm:grid-cols-3">
      <QuantityField path="drive.site.drives[{i}].power" label="Drive {i + 1}" dimension="power" />
      <ChoiceField
        path="drive.site.drives[{i}].rectifier"
        label="Its rectifier"
        options={rectifier}
        none="six-pulse taken"
      />
      <NumberField path="drive.site.drives[{i}].choke" label="Its choke" placeholder="0.03" />
    </div>
  {/snippet}
</Rows>
