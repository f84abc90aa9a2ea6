<script lang="ts">
  import Chart from '$lib/parts/Chart.svelte';
  import ChoiceField from '$lib/parts/ChoiceField.svelte';
  import Figures from '$lib/parts/Figures.svelte';
  import Group from '$lib/parts/Group.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import QuantityField from '$lib/parts/QuantityField.svelte';
  import { useDesk } from '$lib/position/desk.svelte';
  import { demands, machines, shapes, trains } from './options';

  const desk = useDesk();
  const kind = $derived(desk().value('load.demand.kind'));
  const curve = $derived(desk().result?.curves.torqueSpeed);
</script>

<Group
  title="What the machine asks"
  note="Nobody has a feel for horsepower; force at a radius can be measured. Isolate and lock out before you put a scale on a shaft."
>
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="load.machine" label="Machine" options={machines} />
    <ChoiceField path="load.demand.kind" label="How the load is known" options={demands} />
    {#if kind !== 'hoist'}<QuantityField
        path="load.demand.speed"
        label="Speed of the driven shaft"
        dimension="speed"
        placeholder="from the motor"
      />{/if}
    {#if kind === 'power'}
      <QuantityField path="load.demand.power" label="Power at the driven shaft" dimension="power" />
    {:else if kind === 'torque'}
      <QuantityField path="load.demand.torque" label="Torque at the driven shaft" dimension="torque" />
    {:else if kind === 'pull'}
      <QuantityField path="load.demand.force" label="Pull" dimension="force" />
      <QuantityField path="load.demand.radius" label="At a radius of" dimension="length" placeholder="0.25 ft" />
    {:else if kind === 'pump'}
      <QuantityField path="load.demand.flow" label="Flow" dimension="flow" />
      <QuantityField path="load.demand.head" label="Head" dimension="length" placeholder="20 m" />
      <NumberField path="load.demand.efficiency" label="Pump efficiency" placeholder="0.74" />
    {:else if kind === 'fan'}
      <QuantityField path="load.demand.flow" label="Flow" dimension="flow" placeholder="42000 m³/h" />
      <QuantityField path="load.demand.pressure" label="Total pressure" dimension="pressure" />
      <NumberField path="load.demand.efficiency" label="Fan efficiency" placeholder="0.72" />
    {:else if kind === 'hoist'}
      <QuantityField path="load.demand.mass" label="Mass" dimension="mass" />
      <QuantityField path="load.demand.speed" label="Rope speed" dimension="linearSpeed" />
      <QuantityField path="load.demand.drumDiameter" label="Drum diameter" dimension="length" placeholder="400 mm" />
      <NumberField path="load.demand.efficiency" label="Efficiency" placeholder="0.9" />
    {/if}
  </div>
</Group>
<Group title="Train and torque shape">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="load.train.kind" label="Between motor and machine" options={trains} />
    <NumberField path="load.train.ratio" label="Ratio, motor ÷ driven speed" placeholder="1" />
    <NumberField path="load.train.efficiency" label="Efficiency of the train" placeholder="usual for its kind" />
    <ChoiceField path="load.shape" label="Torque against speed" options={shapes} none="usual for the machine" />
    <NumberField path="load.breakaway" label="Breakaway ÷ steady torque" placeholder="usual for the machine" />
    <QuantityField path="load.inertia" label="Inertia at the driven shaft" dimension="inertia" />
    <NumberField path="load.overload.ratio" label="Overload ÷ steady torque" placeholder="1" />
    <NumberField path="rules.sizingMargin" label="Margin on power (house rule)" placeholder="1.1, with dirt 1.15" />
    <QuantityField path="load.maxStartTime" label="At speed within" dimension="time" placeholder="no limit" />
  </div>
</Group>
<Group title="What follows">
  <Figures
    ids={[
      'load.torque',
      'load.motorTorque',
      'load.speed',
      'load.motorSpeed',
      'load.power',
      'load.motorPower',
      'load.margin',
      'load.requiredPower',
      'load.breakawayTorque',
      'load.inertiaAtMotor',
    ]}
    empty="Give a pull and a radius, a torque, or a power."
  />
</Group>
{#if curve}
  <Chart
    title="Torque at the motor shaft"
    x="motor speed, r/min"
    y="torque, N·m"
    series={[
      { name: 'load', points: curve.load },
      { name: 'motor near full load', points: curve.motor, dashed: true },
    ]}
    summary={`Load torque from ${curve.load[0]?.[1].toFixed(0) ?? '—'} N·m at standstill to ${curve.load.at(-1)?.[1].toFixed(0) ?? '—'} N·m at ${curve.load.at(-1)?.[0].toFixed(0) ?? '—'} r/min.`}
  />
{/if}
