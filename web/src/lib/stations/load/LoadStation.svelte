<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import Chart from '$lib/ui/Chart.svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import DemandDrawing from './DemandDrawing.svelte';
  import DemandKind from './DemandKind.svelte';
  import DemandFields from './DemandFields.svelte';
  import DutyEditor from './DutyEditor.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import Pages from '$lib/ui/Pages.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import ShapeEditor from './ShapeEditor.svelte';
  import TrainEditor from './TrainEditor.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { houseRule, machines, shapes } from '$lib/ui/options';

  const desk = useDesk();
  const text = (path: string): string | undefined => {
    const value = desk().value(path);
    return typeof value === 'string' ? value : undefined;
  };
  const kind = $derived(text('load.demand.kind'));
  const machine = $derived(text('load.machine'));
  const curve = $derived(desk().result?.curves.torqueSpeed);
  const ownCurve = $derived(typeof desk().value('load.shape') === 'object');
  const stretches = $derived([desk().value('load.cycle')].flat().filter((x) => x !== undefined).length);
  const pages = $derived([
    { id: 'moving', title: 'Getting it moving', body: moving },
    { id: 'cycle', title: stretches > 0 ? `Duty cycle of ${stretches}` : 'Duty cycle', body: cycle },
    { id: 'shaft', title: 'At the motor shaft', body: shaft },
  ]);
  const geared = $derived(desk().result?.findings.find((f) => f.id === 'load.no-train'));
  const takeTrain = (): void => {
    for (const { field, value } of geared?.suggestions ?? []) desk().set(field, value);
  };
</script>

{#snippet moving()}
  <Group
    title="Torque against speed, and getting it moving"
    note="Shares of the torque and speed of the demand; what the machine usually asks until you say otherwise."
  >
    <ShapeEditor />
    <div class="mt-2 grid gap-3 sm:grid-cols-3">
      <ChoiceField
        path="load.shape"
        label="Torque against speed"
        options={shapes}
        none={ownCurve ? 'my own curve, above' : 'usual for the machine'}
      />
      <NumberField path="load.breakaway" label="Breakaway ÷ steady torque" placeholder="usual for the machine" />
      <NumberField path="load.startRatio" label="Starts unloaded, at a share of" placeholder="1, loaded" />
      <NumberField path="load.overload.ratio" label="Overload ÷ steady torque" taken="1" />
      <QuantityField path="load.overload.duration" label="Overload lasts" dimension="time" taken="60 s" />
      <NumberField
        path="load.overload.breakdown"
        label="Breakdown torque promised ÷ rated"
        placeholder="what the standard owes"
      />
      <QuantityField path="load.maxStartTime" label="At speed within" dimension="time" placeholder="no limit" />
    </div>
  </Group>
{/snippet}

{#snippet cycle()}
  <Group title="Duty cycle"><DutyEditor /></Group>
{/snippet}

{#snippet shaft()}
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
  {:else}
    <p class="text-quiet">Nothing to draw until the load is known.</p>
  {/if}
{/snippet}

{#if geared}
  <Group title="Poles and ratio together">
    <p class="mb-2" data-testid="no-train">{geared.text}</p>
    <Button class="push" onclick={takeTrain}>Take the first</Button>
  </Group>
{/if}
<Group
  title="What the machine asks"
  note="Nobody has a feel for horsepower; force at a radius can be measured. Isolate and lock out before you put a scale on a shaft."
>
  <div class="grid gap-4 sm:grid-cols-[minmax(0,1fr)_210px]">
    <div class="grid content-start gap-x-3 gap-y-1 sm:grid-cols-2">
      <ChoiceField path="load.machine" label="Machine" options={machines} />
      <DemandKind />
      <DemandFields {kind} {machine} />
      {#if kind}
        <NumberField
          shareTo={1.2}
          path="load.demand.uncertainty"
          label="May be off by, as a share"
          placeholder={desk().figure('load.uncertainty')?.text ?? '0.1'}
        />
      {/if}
    </div>
    <DemandDrawing {kind} {machine} />
  </div>
  <Figures
    ids={[
      'load.shareByPower',
      'load.shareByCurrent',
      'load.shareByCurrentRatio',
      'load.shareBySlip',
      'load.share',
      'load.gasDensity',
      'load.fanPressure',
      'load.beltForce',
      'load.breakawayRatio',
      'load.staticFraction',
      'load.loweringPower',
      'load.holdingTorque',
      'load.torque',
      'load.speed',
      'load.power',
      'load.uncertainty',
    ]}
    empty="Give a pull and a radius, a torque, a power, or what the running motor takes."
  />
</Group>
<Group title="Between motor and machine"><TrainEditor /></Group>
<Group title="What the motor must give">
  <div class="grid gap-3 sm:grid-cols-3">
    <NumberField path="rules.sizingMargin" label="Margin on power (house rule)" placeholder="1.1, with dirt 1.15" />
    <ChoiceField
      path="rules.serviceFactorUse"
      label="Service factor on the line (house rule)"
      {...houseRule('serviceFactorUse')}
    />
  </div>
  <Figures
    ids={[
      'load.motorTorque',
      'load.motorSpeed',
      'load.motorPower',
      'load.powerLow',
      'load.powerHigh',
      'load.margin',
      'load.requiredPower',
      'load.breakawayTorque',
      'load.inertiaAtMotor',
      'load.beltPull',
    ]}
    empty="Nothing follows until the load is known."
  />
</Group>
<Pages label="About the load" {pages} />
