<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';

  interface Props {
    kind: string | undefined;
    machine: string | undefined;
  }
  let { kind, machine }: Props = $props();
  const ends = [['train-input', 'at the gearbox’s input']] as const;
  const pressures = [['standard', 'catalogued, in standard air']] as const;
  const screw = $derived(machine === 'screw-conveyor');
  const bucket = $derived(machine === 'bucket-elevator');
</script>

{#if kind === 'power'}
  <QuantityField path="load.demand.power" label="Power at the driven shaft" dimension="power" />
{:else if kind === 'torque'}
  <QuantityField path="load.demand.torque" label="Torque" dimension="torque" />
  <ChoiceField path="load.demand.at" label="Measured" options={ends} none="at the driven shaft" />
{:else if kind === 'pull'}
  <QuantityField path="load.demand.force" label="Pull" dimension="force" />
  <QuantityField path="load.demand.radius" label="At a radius of" dimension="length" placeholder="0.25 ft" />
  <QuantityField
    path="load.demand.breakawayForce"
    label="Pull to get it moving"
    dimension="force"
    placeholder="not read"
  />
{:else if kind === 'pump'}
  <QuantityField path="load.demand.flow" label="Flow" dimension="flow" />
  <QuantityField path="load.demand.head" label="Whole head" dimension="length" placeholder="20 m" />
  <QuantityField path="load.demand.staticHead" label="Static part of it" dimension="length" taken="0 m" />
  <NumberField shareTo={1.2} path="load.demand.efficiency" label="Pump efficiency" placeholder="0.74" />
  <QuantityField path="load.demand.density" label="Density" dimension="density" taken="1000 kg/m³" />
  <QuantityField path="load.demand.viscosity" label="Viscosity" dimension="viscosity" taken="1 mm²/s" />
{:else if kind === 'fan'}
  <QuantityField path="load.demand.flow" label="Flow" dimension="flow" placeholder="42000 m³/h" />
  <QuantityField path="load.demand.pressure" label="Total pressure" dimension="pressure" />
  <ChoiceField path="load.demand.pressureAt" label="Pressure is" options={pressures} none="as it is there" />
  <QuantityField path="load.demand.gasTemperature" label="Gas temperature" dimension="temperature" taken="20 °C" />
  <NumberField shareTo={1.2} path="load.demand.efficiency" label="Fan efficiency" placeholder="0.72" />
{:else if kind === 'conveyor'}
  <QuantityField path="load.demand.massFlow" label="Material moved" dimension="massFlow" />
  {#if !bucket}<QuantityField path="load.demand.length" label="Length" dimension="length" />{/if}
  <QuantityField path="load.demand.lift" label="Lift" dimension="length" placeholder={bucket ? '24 m' : '0 m, level'} />
  {#if screw}
    <NumberField path="load.demand.friction" label="Progress resistance" placeholder="3; grain 2" />
    <QuantityField
      small
      path="load.demand.screwDiameter"
      label="Screw diameter"
      dimension="length"
      placeholder="300 mm"
    />
    <QuantityField
      path="load.demand.shaftSpeed"
      label="Speed of the screw"
      dimension="speed"
      placeholder="from the motor"
    />
  {:else}
    {#if bucket}
      <QuantityField
        path="load.demand.digging"
        label="Height for digging"
        dimension="length"
        placeholder="12 pulleys"
      />
    {:else}
      <NumberField path="load.demand.friction" label="Friction" placeholder="0.025 with the belt’s mass" />
      <QuantityField path="load.demand.movingMass" label="Belt and rollers" dimension="linearMass" />
    {/if}
    <QuantityField path="load.demand.speed" label={bucket ? 'Bucket speed' : 'Belt speed'} dimension="linearSpeed" />
    <QuantityField
      small
      path="load.demand.drumDiameter"
      label="Drum diameter"
      dimension="length"
      placeholder="500 mm"
    />
  {/if}
{:else if kind === 'hoist'}
  <QuantityField path="load.demand.mass" label="Mass" dimension="mass" />
  <QuantityField path="load.demand.speed" label="Rope speed" dimension="linearSpeed" />
  <QuantityField small path="load.demand.drumDiameter" label="Drum diameter" dimension="length" placeholder="400 mm" />
  <NumberField shareTo={1.2} path="load.demand.efficiency" label="Efficiency" placeholder="0.9" />
{:else if kind === 'measured'}
  <QuantityField path="load.demand.power" label="Input power" dimension="power" placeholder="not read" />
  <QuantityField path="load.demand.current" label="Current" dimension="current" placeholder="not read" />
  <QuantityField
    path="load.demand.voltage"
    label="Voltage at the terminals"
    dimension="voltage"
    placeholder="the supply’s"
  />
  <QuantityField path="load.demand.speed" label="Motor speed" dimension="speed" placeholder="not read" />
{/if}
{#if kind && !['hoist', 'conveyor', 'measured'].includes(kind)}
  <QuantityField
    path="load.demand.speed"
    label="Speed of the driven shaft"
    dimension="speed"
    placeholder="from the motor"
  />
{/if}
