<script lang="ts">
  import type { Method } from '@pilgrim/core';
  import { Button } from 'flowbite-svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Facts from '$lib/ui/Facts.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import FirstCycles from './FirstCycles.svelte';
  import Group from '$lib/ui/Group.svelte';
  import MachineBench from './MachineBench.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Pages from '$lib/ui/Pages.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import StartCharts from './StartCharts.svelte';
  import StartCompare from '$lib/ui/StartCompare.svelte';
  import StartSettings from './StartSettings.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt } from '$lib/desk/paths';
  import { words } from '$lib/ui/names';
  import { sources } from '$lib/ui/options';

  const desk = useDesk();
  const kind = $derived(desk().value('supply.source.kind'));
  const start = $derived(desk().result?.start ?? null);
  const chosen = $derived(desk().result?.subject?.method ?? null);
  const pinned = $derived(desk().value('method') ?? null);
  const take = (to: Method | undefined): void =>
    desk().change('', (draft) => putAt(draft, 'method', to), 'the starting method');
  let looked = $state<Method | null>(null);
  const method = $derived(looked ?? chosen ?? start?.recommended?.method ?? null);
  const row = $derived(start?.rows.find((r) => r.method === method));
  const pages = [
    { id: 'course', title: 'Settings and course', body: course },
    { id: 'cycles', title: 'The first cycles', body: cycles },
    { id: 'machine', title: 'The machine', body: machine },
  ];
  let page = $state('course');
  const assumedOf = (id: string): string => desk().figure(id)?.assumed[0]?.why ?? '';
</script>

{#snippet course()}
  {#if method && row}
    <Group title={`Settings: ${words(method)}`}>
      {#if pinned !== method}
        <p class="mb-2 flex flex-wrap items-baseline gap-x-4">
          <Button class="push" onclick={() => take(method)}>Choose {words(method)}</Button>
          <span class="text-quiet"
            >{method === chosen
              ? 'It stands chosen by itself; chosen by you it stays.'
              : row.outcome === 'fail'
                ? 'It will not do as things stand; chosen, it is judged all the same.'
                : 'Motors are then judged with it alone.'}</span
          >
        </p>
      {/if}
      <StartSettings {method} settings={row.settings} />
    </Group>
    <Group title="The start">
      <StartCharts {row} {method} stay={() => (looked = method)} />
      <Facts of={['start.']} />
    </Group>
  {/if}
{/snippet}
{#snippet cycles()}
  <Group title="The first cycles" note="On demand: what switching does in the first tenths of a second.">
    <FirstCycles />
  </Group>
{/snippet}
{#snippet machine()}
  {#if start}
    <Group title={`The machine: ${start.machine.name}`}>
      <MachineBench />
    </Group>
  {/if}
{/snippet}

<Group title="The supply">
  <div class="grid gap-3 sm:grid-cols-3">
    <QuantityField path="supply.voltage" label="Supply voltage" dimension="voltage" placeholder="480 V" />
    <QuantityField path="supply.frequency" label="Frequency" dimension="frequency" />
    <NumberField path="supply.phases" label="Phases of the supply" taken="3" />
    <ChoiceField path="supply.source.kind" label="Fed by" options={sources} />
    {#if kind === 'transformer'}
      <QuantityField path="supply.source.rating" label="Transformer rating" dimension="apparentPower" />
      <NumberField shareTo={0.3} path="supply.source.impedance" label="Impedance" placeholder="0.0575" />
      <NumberField
        text
        path="supply.upstream"
        label="Fault level behind the bank"
        placeholder="250 MVA, or 10 kA at 20 kV"
      />
    {:else if kind === 'generator'}
      <QuantityField
        path="supply.source.rating"
        label="Generator rating"
        dimension="apparentPower"
        also="power"
        placeholder="100 kVA"
      />
      <NumberField
        shareTo={1.2}
        path="supply.source.powerFactor"
        label="Its power factor"
        taken="0.8"
        hint="where it is in kW"
      />
      <NumberField path="supply.source.sets" label="Sets that run at the worst hour" taken="1" />
      <NumberField
        shareTo={1}
        path="supply.source.subtransientReactance"
        label="Subtransient reactance"
        placeholder="0.12"
      />
      <NumberField
        shareTo={1}
        path="supply.source.transientReactance"
        label="Transient reactance"
        hint={assumedOf('start.transientReactance')}
      />
      <QuantityField
        path="supply.source.recovery"
        label="Regulator's time constant"
        dimension="time"
        placeholder="0.5 s"
        hint={assumedOf('start.recovery')}
      />
    {:else if kind === 'fault-level'}
      <QuantityField
        path="supply.source.current"
        label="Available fault current"
        dimension="current"
        placeholder="9 kA"
      />
    {/if}
    <QuantityField
      path="supply.startLimit"
      label="Supplier's limit of starting current"
      dimension="current"
      placeholder="none"
    />
    <NumberField shareTo={0.6} path="rules.maxDip" label="Largest dip (house rule)" taken="0.15" />
  </div>
</Group>
{#if pinned}
  <p class="mb-3" data-testid="pinned">
    Chosen by you: {words(String(pinned))}. Motors are judged with it alone.
    <Button class="link" onclick={() => take(undefined)}>Leave the method open again</Button>
  </p>
{/if}
{#if start}
  <Group
    title="Methods compared"
    note="Each simulated on this load and this supply. Choose a line to look at it below."
  >
    <StartCompare looking={method} look={(m) => (looked = m)} />
  </Group>
  <Pages label="About the start" {pages} bind:selected={page} />
{:else}
  <Group title="Methods compared">
    <p class="text-quiet">
      {pinned && desk().result?.stations.load.state !== 'empty'
        ? `With ${words(String(pinned))} alone no motor is admitted here: leave the method open, or see at Choice why.`
        : 'Nothing to start yet: it takes a load, a motor and the supply’s voltage.'}
    </p>
  </Group>
{/if}
<Group title="What it rests on">
  <Figures
    ids={[
      'start.lockedRotorCurrent',
      'start.lockedRotorTorque',
      'start.lockedRotorImpedance',
      'start.sourceImpedance',
      'start.faultCurrent',
      'load.breakawayTorque',
      'start.inertia',
      'start.inertiaLimit',
      'start.inertiaReserve',
      'start.stallTime',
      'start.coldUse',
      'start.startsPerHour',
      'start.stopTime',
      'start.cableResistance',
    ]}
    empty="Describe the supply and the load."
  />
</Group>
