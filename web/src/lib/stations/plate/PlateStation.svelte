<script lang="ts">
  import type { nameplate } from '@pilgrim/core';
  import { page } from '$app/state';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Errand from './Errand.svelte';
  import AskedOnce from '$lib/desk/AskedOnce.svelte';
  import Doubts from './Doubts.svelte';
  import Facts from '$lib/ui/Facts.svelte';
  import FailureHistory from './FailureHistory.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import PhotoBench from './PhotoBench.svelte';
  import Pages from '$lib/ui/Pages.svelte';
  import PlateText from './PlateText.svelte';
  import PlateView from './PlateView.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import ReplacementBench from './ReplacementBench.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { conditions, practices } from '$lib/ui/options';
  import Fold from '$lib/ui/Fold.svelte';

  const desk = useDesk();
  let reading = $state.raw<nameplate.PlateText | null>(null);
  let beside = $state(false);
  const unread = $derived(['missing', 'burnt'].includes(String(desk().value('plate.condition') ?? '')));
  const measured = $derived(unread || desk().value('measured') !== undefined);
  const pages = [
    { id: 'meaning', title: 'What it means here', body: meaning },
    { id: 'failure', title: 'Why it failed', body: failure },
    { id: 'replacement', title: 'Replacement', body: replacement },
    { id: 'measuring', title: 'No plate: measure it', body: measuring },
  ];
  let turned = $state<string>();
  const inView = $derived(turned ?? (measured ? 'measuring' : 'meaning'));
</script>

<Errand />
<Group
  title="The motor that is there"
  note="Copy the plate line by line, paste its text, or lay a photograph beside it. Groups as stamped: a slash between connections, a hyphen between usable voltages."
>
  <Fold
    class="mb-3"
    open={desk().value('plate.text') !== undefined}
    headClass="text-pine underline underline-offset-2"
    title="Paste the plate as text"
  >
    <PlateText bind:reading />
  </Fold>
  {#key page.params.id}
    <div class="grid gap-3" class:beside>
      <PhotoBench position={page.params.id ?? ''} photographs={page.data.photographs ?? []} bind:open={beside} />
      <PlateView text={reading} />
    </div>
  {/key}
</Group>
<AskedOnce />
<Doubts />
<Group title="Supply it is connected to, and whose practice">
  <div class="grid gap-3 sm:grid-cols-4">
    <QuantityField path="supply.voltage" label="Supply voltage, line to line" dimension="voltage" placeholder="480 V" />
    <QuantityField path="supply.frequency" label="Supply frequency" dimension="frequency" />
    <ChoiceField path="practice" label="Practice" options={practices} always />
    <ChoiceField path="plate.condition" label="The plate is" options={conditions} none="legible" />
  </div>
</Group>
{#snippet meaning()}
  <Group title="What it means here">
    <Facts of={['plate.']} />
    <Figures
      ids={[
        'plate.connectedVoltage',
        'plate.connectedCurrent',
        'plate.windingVoltage',
        'plate.serviceFactorHere',
        'plate.currentHere',
        'plate.torqueHere',
        'plate.slipHere',
        'plate.fluxRatio',
        'plate.scaledVoltage',
        'plate.scaledPower',
        'plate.scaledSpeed',
        'plate.scaledCurrent',
        'plate.lockedRotorRatio',
        'plate.lockedRotorLimit',
        'plate.lockedRotorTorque',
        'plate.breakdownTorque',
        'plate.minSpeedVariableTorque',
        'plate.minSpeedConstantTorque',
        'plate.shaftHeight',
        'plate.feetAcross',
        'plate.feetAlong',
        'plate.shaftDiameter',
        'plate.shaftLength',
      ]}
      empty="Enter the plate: what it says and what follows from it appears here."
    />
  </Group>
{/snippet}
{#snippet measuring()}
  <Group title="No plate, or a burnt one: measure the motor">
    <p class="my-2 text-quiet">
      Isolate, lock and prove dead before touching. Height from the base to the middle of the shaft, feet between hole
      centres, resistance between two line terminals of the cold winding, currents by clamp meter.
    </p>
    <div class="grid gap-3 sm:grid-cols-3">
      <QuantityField small path="measured.shaftHeight" label="Shaft height" dimension="length" placeholder="7 in" />
      <QuantityField
        small
        path="measured.shaftDiameter"
        label="Shaft diameter"
        dimension="length"
        placeholder="48 mm"
      />
      <QuantityField path="measured.speed" label="Speed under load" dimension="speed" />
      <QuantityField
        small
        path="measured.feetAcross"
        label="Feet, across the shaft"
        dimension="length"
        placeholder="11 in"
      />
      <QuantityField
        small
        path="measured.feetAlong"
        label="Feet, along the shaft"
        dimension="length"
        placeholder="279 mm"
      />
      <QuantityField path="measured.voltage" label="Voltage while measuring" dimension="voltage" />
      <QuantityField path="measured.noLoadCurrent" label="No-load current" dimension="current" placeholder="11 A" />
      <QuantityField path="measured.loadCurrent" label="Load current" dimension="current" placeholder="24 A" />
      <QuantityField path="measured.windingResistance" label="Winding, line to line" dimension="resistance" />
    </div>
    <Facts of={['measured.']} />
    <Figures
      ids={['measured.poles', 'measured.ratedPowerByNoLoad', 'measured.ratedPowerByResistance', 'measured.loading']}
      empty="Nothing measured yet."
    />
  </Group>
{/snippet}
{#snippet failure()}
  <Group title="How long it lasted, and what killed it"><FailureHistory /></Group>
{/snippet}
{#snippet replacement()}
  <Group title="Can another motor take its place?"><ReplacementBench /></Group>
{/snippet}

<Pages label="About the motor that is there" {pages} bind:selected={() => inView, (id) => (turned = id)} />

<style>
  @media (min-width: 640px) {
    .beside {
      grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
    }
  }
</style>
