<script lang="ts">
  import { methods } from '@pilgrim/core/ids';
  import ChoiceField from '$lib/parts/ChoiceField.svelte';
  import Figures from '$lib/parts/Figures.svelte';
  import Group from '$lib/parts/Group.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import QuantityField from '$lib/parts/QuantityField.svelte';
  import { useDesk } from '$lib/position/desk.svelte';
  import { textOf } from '$lib/reading.svelte';
  import { words } from '$lib/names';
  import { sources } from './options';

  const desk = useDesk();
  const kind = $derived(desk().value('supply.source.kind'));
  const columns = [
    ['peakCurrent', 'Line current'],
    ['voltageDip', 'Dip at the bus'],
    ['startingTorque', 'Starting torque'],
    ['breakawayMargin', 'Over breakaway'],
  ] as const;
  const asPercent = new Set(['voltageDip', 'breakawayMargin']);
  const method = $derived(desk().result?.subject?.method);
</script>

<Group title="The supply">
  <div class="grid gap-3 sm:grid-cols-3">
    <QuantityField path="supply.voltage" label="Supply voltage" dimension="voltage" placeholder="480 V" />
    <QuantityField path="supply.frequency" label="Frequency" dimension="frequency" />
    <ChoiceField path="supply.source.kind" label="Fed by" options={sources} />
    {#if kind === 'transformer'}
      <QuantityField path="supply.source.rating" label="Transformer rating" dimension="apparentPower" />
      <NumberField path="supply.source.impedance" label="Impedance" placeholder="0.0575" />
    {:else if kind === 'generator'}
      <QuantityField
        path="supply.source.rating"
        label="Generator rating"
        dimension="apparentPower"
        placeholder="100 kVA"
      />
      <NumberField path="supply.source.subtransientReactance" label="Subtransient reactance" placeholder="0.12" />
    {:else if kind === 'fault-level'}
      <QuantityField
        path="supply.source.current"
        label="Available fault current"
        dimension="current"
        placeholder="9 kA"
      />
    {/if}
    <NumberField path="rules.maxDip" label="Largest dip (house rule)" placeholder="0.15" />
  </div>
</Group>
<Group
  title="At standstill, by method"
  note="Closed form at standstill. The run-up itself, its time and heat are not simulated in this version."
>
  <div class="overflow-x-auto">
    <table class="dense">
      <thead
        ><tr
          ><th>Method</th>{#each columns as [id, label] (id)}<th class="n">{label}</th>{/each}</tr
        ></thead
      >
      <tbody>
        {#each methods as m (m)}
          <tr class={m === method ? 'font-semibold' : ''}>
            <td>{words(m)}{m === method ? ' (chosen)' : ''}</td>
            {#each columns as [column] (column)}
              {@const id = `start.${m}.${column}`}
              {@const figure = desk().figure(id)}
              <td class="n">
                {#if figure}<button type="button" class="link" data-figure={id} onclick={() => (desk().working = id)}
                    >{asPercent.has(column) ? `${(figure.value * 100).toFixed(1)} %` : textOf(figure)}</button
                  >{:else}—{/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</Group>
<Group title="What it rests on">
  <Figures
    ids={[
      'start.lockedRotorCurrent',
      'start.lockedRotorTorque',
      'start.lockedRotorImpedance',
      'start.sourceImpedance',
      'start.faultCurrent',
      'load.breakawayTorque',
    ]}
    empty="Describe the supply and the load."
  />
</Group>
