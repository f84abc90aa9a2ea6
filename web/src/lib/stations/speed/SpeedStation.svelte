<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import LogImport from './LogImport.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import MachineChart from './MachineChart.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import TableImport from '$lib/ui/TableImport.svelte';
  import { readCurveFile } from '$lib/files/table';
  import Rows from '$lib/ui/Rows.svelte';
  import YearBars from './YearBars.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { methods, controls, needs, tariffDays } from '$lib/ui/options';
  import Fold from '$lib/ui/Fold.svelte';

  const desk = useDesk();
  const isFan = $derived(
    desk().value('load.machine') === 'centrifugal-fan' || desk().value('load.demand.kind') === 'fan',
  );
  const timed = $derived(desk().value('money.tariff') !== undefined);
  const drawn = $derived(desk().result?.curves.machine);
  const staticHead = $derived(desk().figure('load.staticFraction')?.text);
</script>

<Group title="What speed is for">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="speed.need" label="Speed" options={needs} />
    <NumberField shareTo={1.5} path="speed.min" label="Lowest speed ÷ speed at the demand" placeholder="0.4" />
    <NumberField shareTo={1.5} path="speed.max" label="Highest speed ÷ speed at the demand" taken="1" />
    <ChoiceField path="speed.control" label="How flow is controlled now" options={controls} />
    <ChoiceField path="starter" label="The motor is started or fed now" options={methods} />
    <NumberField
      shareTo={1.2}
      path="speed.staticFraction"
      label="Static ÷ total head"
      placeholder={staticHead ? `${staticHead}, from the pump’s head` : '0'}
      hint="a pump must lift the water first"
    />
    <QuantityField
      path="speed.keptPressure"
      dimension="pressure"
      label="Pressure kept at every flow"
      hint="by a set point, for those who draw"
    />
    <NumberField path="speed.machines" label="Like machines on the duty" taken="1" />
    {#if desk().value('speed.control') === 'two-speed'}
      <NumberField shareTo={1} path="speed.lowSpeed" label="Low ÷ high speed" taken="0.5" />
    {/if}
  </div>
  <Fold class="mt-3" title="The machine’s own curve" open={desk().value('speed.curve') !== undefined}>
    <p class="mb-2 text-[13px] text-quiet">
      Flow, head or pressure, and efficiency at the speed of the demand, from its data sheet. Without it a usual curve
      stands for the machine.
    </p>
    <TableImport path="speed.curve" ask="Bring in a curve" read={readCurveFile} />
    <Rows
      path="speed.curve"
      name="point"
      blank={isFan ? { flow: '', pressure: '', efficiency: '' } : { flow: '', head: '', efficiency: '' }}
      most={60}
    >
      {#snippet row(i)}
        <div class="grid grid-cols-3 gap-3">
          <QuantityField path="speed.curve[{i}].flow" dimension="flow" label="Flow" />
          {#if desk().value(`speed.curve[${i}].pressure`) === undefined && !isFan}
            <QuantityField path="speed.curve[{i}].head" dimension="length" label="Head" />
          {:else}
            <QuantityField path="speed.curve[{i}].pressure" dimension="pressure" label="Pressure" />
          {/if}
          <NumberField shareTo={1} path="speed.curve[{i}].efficiency" label="Efficiency" placeholder="0.72" />
        </div>
      {/snippet}
    </Rows>
    {#if desk().error('speed.curve')}
      <p class="mt-1 flex items-center gap-2 text-[13px]" role="status">
        <Mark state="fail" />The curve {desk().error('speed.curve')}
      </p>
    {/if}
  </Fold>
</Group>
<Group
  title="The year"
  note="Hours at each flow, as a share of the flow of the demand: draw them, type them, or bring in what a logger wrote."
>
  <YearBars />
  <div class="my-3"><LogImport /></div>
  <Fold open headClass="mb-1 font-medium" title="As numbers">
    <Rows path="speed.profile" name="row" blank={{ hours: 1000, flow: 1 }}>
      {#snippet row(i)}
        <div class="grid grid-cols-2 gap-3 {timed ? 'sm:grid-cols-5' : ''}">
          <NumberField path="speed.profile[{i}].hours" label="Hours a year" />
          <NumberField shareTo={1.5} path="speed.profile[{i}].flow" label="Flow" />
          {#if timed}
            <NumberField path="speed.profile[{i}].from" label="From" placeholder="06:00" text />
            <NumberField path="speed.profile[{i}].to" label="To" placeholder="22:00" text />
            <ChoiceField path="speed.profile[{i}].days" label="Days" options={tariffDays} none="every day" />
          {/if}
        </div>
      {/snippet}
    </Rows>
  </Fold>
</Group>
<Group title="What follows">
  <Figures
    ids={['speed.hours', 'speed.meanFlow', 'speed.leastLift', 'speed.keptShare', 'speed.curveHead']}
    empty="Add the hours of a year."
  />
</Group>
{#if drawn}
  <MachineChart curves={drawn} />
{/if}
