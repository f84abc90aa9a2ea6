<script lang="ts">
  import ChoiceField from '$lib/parts/ChoiceField.svelte';
  import Figures from '$lib/parts/Figures.svelte';
  import Group from '$lib/parts/Group.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import QuantityField from '$lib/parts/QuantityField.svelte';
  import { dirt, hangs, water, yesNo } from './options';
</script>

<Group title="Where the motor stands">
  <div class="grid gap-3 sm:grid-cols-3">
    <QuantityField path="place.ambient" label="Ambient at the motor" dimension="temperature" placeholder="40 degC" />
    <QuantityField path="place.altitude" label="Altitude" dimension="length" placeholder="120 m" />
    <NumberField path="supply.unbalance" label="Voltage unbalance" placeholder="0.01" hint="largest deviation ÷ mean" />
    <ChoiceField path="place.dirt" label="Dirt" options={dirt} />
    <ChoiceField path="place.water" label="Water" options={water} />
    <ChoiceField path="place.corrosive" label="Corrosive" options={yesNo} />
    <ChoiceField
      path="place.hazardous"
      label="Explosive gas, vapour or dust"
      options={yesNo}
      hint="Yes stops the work: the area classification comes from a competent person."
    />
  </div>
</Group>
<Group
  title="Where a drive would hang"
  note="To about 20 hp a sealed drive can hang on the machine; above that a filtered enclosure apart (common practice)."
>
  <div class="grid gap-3 sm:grid-cols-3">
    <QuantityField
      path="place.driveAmbient"
      label="Ambient at the drive"
      dimension="temperature"
      placeholder="same as the motor"
    />
    <ChoiceField path="place.driveLocation" label="It hangs" options={hangs} />
    <QuantityField path="place.cable.length" label="Motor cable" dimension="length" placeholder="60 m" />
  </div>
</Group>
<Group title="What follows">
  <Figures ids={['place.motorDerating', 'place.driveDerating', 'place.unbalanceDerating']} />
</Group>
