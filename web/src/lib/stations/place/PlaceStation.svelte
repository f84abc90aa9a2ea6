<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import EnclosureTable from './EnclosureTable.svelte';
  import Facts from '$lib/ui/Facts.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { dirt, hangs, houseRule, housings, mountings, water, yesNo } from '$lib/ui/options';

  const desk = useDesk();
</script>

<Group title="Air, heat and height">
  <div class="grid gap-3 sm:grid-cols-4">
    <QuantityField path="place.ambient" label="Ambient at the motor" dimension="temperature" taken="40 °C" />
    <QuantityField path="place.ambientMin" label="Lowest ambient" dimension="temperature" placeholder="not said" />
    <QuantityField path="place.ambientNight" label="Ambient at night" dimension="temperature" placeholder="not said" />
    <QuantityField path="place.altitude" label="Altitude" dimension="length" placeholder="120 m" />
    <ChoiceField path="place.sun" label="In full sun" options={yesNo} />
    <NumberField
      shareTo={0.1}
      path="supply.unbalance"
      label="Voltage unbalance"
      placeholder="0.01"
      hint="largest deviation ÷ mean"
    />
  </div>
</Group>
<Group title="What the motor stands in">
  <div class="grid gap-3 sm:grid-cols-4">
    <ChoiceField path="place.dirt" label="Dirt" options={dirt} />
    <ChoiceField path="place.water" label="Water" options={water} />
    <ChoiceField path="place.humid" label="Damp, or standing long" options={yesNo} />
    <ChoiceField path="place.corrosive" label="Corrosive" options={yesNo} />
    <ChoiceField path="place.food" label="Touches food" options={yesNo} />
    {#if desk().value('place.food') === true}
      <ChoiceField path="rules.foodFinish" label="Finish at food (house rule)" {...houseRule('foodFinish')} />
    {/if}
    <ChoiceField path="place.vibration" label="Vibration" options={yesNo} />
    <ChoiceField path="place.mounting" label="Mounted" options={mountings} none="on its feet" />
    <QuantityField
      path="place.noiseLimit"
      label="Noise allowed at the motor"
      dimension="sound"
      placeholder="no limit"
    />
    <ChoiceField
      path="place.hazardous"
      label="Explosive gas, vapour, dust"
      options={yesNo}
      hint="Yes stops the work: a competent person classifies the area."
    />
    {#if desk().value('place.hazardous') === false}
      <NumberField text path="place.hazardousBy" label="Who said that it is none" placeholder="name or role" />
    {/if}
  </div>
  <h3 class="mt-4 mb-1 font-semibold">Which enclosure will do</h3>
  <EnclosureTable />
</Group>
<Group
  title="Where a drive would hang"
  note="To about 20 hp a sealed drive can hang on the machine; above that a filtered enclosure apart (common practice)."
>
  <div class="grid gap-3 sm:grid-cols-4">
    <ChoiceField path="place.driveLocation" label="It hangs" options={hangs} />
    <ChoiceField path="place.driveHousing" label="Built in" options={housings} />
    <QuantityField
      path="place.driveAmbient"
      label="Ambient at the drive"
      dimension="temperature"
      placeholder="same as the motor"
    />
    <QuantityField
      path="place.driveAmbientMin"
      label="Lowest at the drive"
      dimension="temperature"
      placeholder="same as the motor"
    />
    <QuantityField path="place.cable.length" label="Motor cable" dimension="length" placeholder="60 m" />
  </div>
</Group>
<Group title="What follows">
  <Facts of={['place.']} />
  <Figures
    ids={[
      'place.motorDerating',
      'place.driveDerating',
      'place.unbalanceDerating',
      'place.torqueHere',
      'choice.windingTemperature',
      'choice.insulationLife',
    ]}
  />
</Group>
