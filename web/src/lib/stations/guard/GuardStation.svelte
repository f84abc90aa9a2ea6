<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import LineDiagram from './LineDiagram.svelte';
  import CombinationBox from './CombinationBox.svelte';
  import Crossings from './Crossings.svelte';
  import DialField from './DialField.svelte';
  import StarterSettings from './StarterSettings.svelte';
  import TimeCurrentChart from './TimeCurrentChart.svelte';
  import Watches from './Watches.svelte';
  import CableFields from './CableFields.svelte';
  import FeederFields from './FeederFields.svelte';
  import { readQuantity } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import {
    boardMounting,
    capacitorPlace,
    coordination,
    devicesOf,
    earthing,
    guardRole,
    relayKind,
    yesNo,
  } from '$lib/ui/options';

  const desk = useDesk();
  const northAmerican = $derived(desk().value('practice') === 'north-america');
  const view = $derived(desk().result?.guard ?? null);
  const curves = $derived(desk().result?.curves.guard ?? null);
  /** The dial in the field ÷ the one that was solved with; the answer is some frames behind a hand that moves it. */
  const moved = $derived.by(() => {
    const typed = readQuantity('current', String(desk().value('guard.relay.dial') ?? ''));
    const solved = desk().figure('guard.dialSet')?.value ?? view?.dial?.proposed;
    const now = typed.ok ? typed.value.value : view?.dial?.proposed;
    return solved === undefined || now === undefined || now <= 0 ? 1 : now / solved;
  });
  /** The usual ones, and what else a file may say. */
  const protections = $derived(
    [
      ...new Set(['IP20', 'IP31', 'IP42', 'IP54', 'IP65', String(desk().value('guard.board.protection') ?? 'IP54')]),
    ].map((ip) => [ip, ip] as const),
  );
  const classes = [
    [5, '5'],
    ['10A', '10A'],
    [10, '10'],
    [20, '20'],
    [30, '30'],
  ] as const;
  const places = [
    ['delta', 'inside the delta'],
    ['line', 'in the line'],
  ] as const;
  const bases = [
    ['table', 'the code’s table current'],
    ['plate', 'the plate current'],
  ] as const;
</script>

<Group
  title="The line, from supply to machine"
  note={`For ${desk().result?.subject?.name ?? 'no motor yet'}. The local code and a licensed electrician decide.`}
  ><LineDiagram /></Group
>
<Group
  title="Short circuit"
  note={desk().result?.subject?.method === 'drive'
    ? 'For a bypass: the device before a drive is its maker’s to name.'
    : ''}
>
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField
      path="guard.device"
      label="Device"
      options={devicesOf(desk().value('practice'))}
      none={northAmerican ? 'inverse-time breaker taken' : 'motor circuit-breaker taken'}
    />
    <QuantityField
      path="guard.assemblyRating"
      label="Panel’s short-circuit rating"
      dimension="current"
      placeholder="10 kA"
    />
    <QuantityField
      path="guard.letThrough"
      label="Let-through at the fault"
      dimension="letThrough"
      placeholder="45000 A²s"
      hint="of the device, by its maker"
    />
    <ChoiceField path="guard.role" label="What hangs on it" options={guardRole} none="general purpose taken" />
    <ChoiceField
      path="guard.coordination"
      label="Coordination asked"
      options={coordination}
      none="by what hangs on it"
    />
    <ChoiceField path="supply.earthing" label="The source’s star point" options={earthing} />
  </div>
  <Fold class="mt-2" title="The board it sits in" open={desk().value('guard.board') !== undefined}>
    <div class="grid gap-3 sm:grid-cols-3">
      <NumberField text path="guard.board.name" label="Board" placeholder="MCC 2" />
      <QuantityField path="guard.board.ambient" label="Around the board" dimension="temperature" placeholder="35 °C" />
      <ChoiceField path="guard.board.protection" label="Protection of the board" options={protections} />
      <ChoiceField path="guard.board.mounting" label="Its parts are" options={boardMounting} />
    </div>
  </Fold>
  {#if view && view.scheme !== 'drive'}<CombinationBox of={view.combination} />{/if}
  <Figures
    ids={[
      'guard.availableFault',
      'guard.faultWithMotors',
      'guard.unmarkedRating',
      'guard.faultAtMotor',
      'guard.earthFault',
      'guard.earthFaultAsked',
      'guard.breakerRating',
      'guard.fuseRatingDual',
      'guard.fuseRatingSingle',
      'guard.deviceCeiling',
      'guard.instantaneousTrip',
      'guard.instantaneousCeiling',
      'guard.disconnectCurrent',
    ]}
    empty="A plate or a chosen motor gives the currents."
  />
</Group>
<Group title="Overload and contactor">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField
      path="guard.relay.class"
      label="Trip class of the relay"
      options={classes}
      none="by the simulated start"
    />
    <ChoiceField path="guard.relay.kind" label="Kind of relay" options={relayKind} />
    <ChoiceField path="guard.reversing" label="Run both ways" options={yesNo} none="a hoist is" />
    {#if desk().result?.subject?.method === 'star-delta'}
      <ChoiceField path="guard.relay.at" label="Relay sits" options={places} none="inside the delta, taken" />
    {/if}
  </div>
  {#if view?.dial}<div class="mt-3"><DialField dial={view.dial} /></div>{/if}
  {#if curves}
    <div class={['mt-2', desk().waiting.has('guard') && 'opacity-60']}>
      <TimeCurrentChart {curves} {moved} summary={(view?.crossings ?? []).map((c) => c.text).join(' ')} />
    </div>
  {/if}
  {#if view && view.crossings.length > 0}<Crossings crossings={view.crossings} />{/if}
  <Figures
    ids={[
      'guard.overloadDial',
      'guard.overloadTrip',
      'guard.overloadMaximum',
      'guard.tripClass',
      'guard.tripAtSeven',
      'guard.tripAtStart',
      'guard.tripAtStall',
      'start.stallTime',
      'guard.starterSize',
      'guard.contactorRating',
      'guard.contactorLine',
      'guard.contactorDelta',
      'guard.contactorStar',
      'guard.boardFactor',
    ]}
    empty="A plate or a chosen motor gives the currents."
  />
</Group>
{#if view && view.settings.length > 0}
  <Group title="Settings of the starter"><StarterSettings settings={view.settings} /></Group>
{/if}
<Group title="Conductors, from starter to motor">
  <CableFields {northAmerican} />
  <div class="mt-3 grid gap-3 sm:grid-cols-3">
    <NumberField shareTo={0.5} path="guard.maxDrop" label="Voltage drop wished, at most" taken="0.03" />
    <ChoiceField
      path="rules.conductorBasis"
      label="Sized from (house rule)"
      options={bases}
      none="as the practice has it"
    />
  </div>
  <Figures
    ids={[
      'guard.conductorArea',
      'guard.ampacity',
      'guard.tableCurrent',
      'guard.conductorCurrent',
      'guard.ambientFactor',
      'guard.groupFactor',
      'guard.earthArea',
      'guard.conduitFill',
      'guard.voltageDrop',
      'guard.startVoltageDrop',
      'guard.cableWithstand',
    ]}
  />
</Group>
{#if view}
  <Group
    title="After a trip, and what else watches"
    note="Proposed from machine and place; what you decide goes onto the sheets. Life-safety duty is for a competent person."
    ><Watches watches={view.watches} /></Group
  >
{/if}
<Group title="Above"
  ><Fold title="The feeder, and what else hangs on it" open={desk().value('guard.feeder') !== undefined}
    ><FeederFields /></Fold
  ></Group
>
<Group title="Capacitors">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="guard.capacitor" label="A capacitor sits" options={capacitorPlace} none="none" />
    <QuantityField path="guard.capacitorPower" label="Its reactive power" dimension="reactivePower" />
  </div>
  <Figures
    ids={['guard.capacitorAsked', 'guard.capacitorMost']}
    empty="A drive makes it needless; else a simulated motor gives it."
  />
</Group>
<Group title="Before anybody opens a panel">
  <p>
    Isolate, lock and prove dead before touching. Ask for the available fault current first: it must not exceed what
    starter, drive and panel are rated for.
  </p>
</Group>
