<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import Chart from '$lib/ui/Chart.svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';

  const desk = useDesk();
  const flow = $derived(desk().result?.curves.flow);
  const profiled = $derived(desk().value('speed.profile') !== undefined);
  const bases = [
    ['minimum', 'guaranteed minimum'],
    ['nominal', 'nominal'],
  ] as const;
</script>

<Group title="Money">
  <div class="grid gap-3 sm:grid-cols-3">
    <NumberField path="money.energyPrice" label="Energy price, per kWh" placeholder="0.16" />
    <NumberField path="money.demandPrice" label="Demand price, per kW and month" placeholder="0" />
    <NumberField path="money.currency" label="Currency" placeholder="EUR" text />
    <NumberField path="money.installedCost" label="Installed cost" placeholder="from the price index" />
    <NumberField path="money.carbon" label="Carbon, kg/kWh" placeholder="0.25" />
    <NumberField path="money.years" label="Years" placeholder="10" />
    <NumberField path="money.carbonPrice" label="Price of carbon, per tonne" placeholder="80" />
    <NumberField path="money.maintenance" label="Maintenance, a year more than now" placeholder="250" />
    <NumberField shareTo={0.5} path="money.inflation" label="Prices rise a year by" placeholder="0.02" />
    <NumberField path="money.life" label="Bought again after years" placeholder="15" />
    <NumberField shareTo={0.5} path="money.discountRate" label="Discount rate" placeholder="0.07" />
    <ChoiceField
      path="rules.efficiencyBasis"
      label="Efficiency compared by"
      options={bases}
      none="guaranteed minimum"
    />
  </div>
</Group>
<Group title="The year, before and after">
  <Figures
    ids={[
      'cost.oldEnergy',
      'cost.newEnergy',
      'cost.savedEnergy',
      'cost.savedMoney',
      'cost.savedCarbon',
      'cost.investment',
      'cost.payback',
      'cost.discountedPayback',
      'cost.benefit',
      'cost.netPresentValue',
      'cost.internalRate',
      'cost.lifeCycle',
      'cost.oldRatio',
      'cost.newRatio',
      'cost.oldEfficiency',
      'cost.newEfficiency',
    ]}
    empty="Bring the hours of a year on the Speed station, and a load."
  />
  {#if flow && profiled}
    <Table class="dense mt-3">
      <thead
        ><tr
          ><th class="n">Hours</th><th class="n">Flow</th><th class="n">Input now, kW</th><th class="n"
            >Input new, kW</th
          ></tr
        ></thead
      >
      <tbody>
        {#each flow.rows as row, i (i)}
          <tr
            ><td class="n">{row.hours}</td><td class="n">{(row.flow * 100).toFixed(0)} %</td><td class="n"
              >{row.oldInput.toFixed(1)}</td
            ><td class="n">{row.newInput.toFixed(1)}</td></tr
          >
        {/each}
      </tbody>
    </Table>
  {/if}
</Group>
{#if flow}
  <Chart
    title="Electrical input against flow"
    x="flow ÷ flow of the demand"
    y="input, kW"
    series={[
      { name: 'new', points: flow.new },
      { name: 'as it is now', points: flow.old, dashed: true, labelBelow: true },
    ]}
    summary={`At half flow ${flow.old.find(([x]) => x > 0.49)?.[1].toFixed(1) ?? '—'} kW now, ${flow.new.find(([x]) => x > 0.49)?.[1].toFixed(1) ?? '—'} kW new.`}
  />
{/if}
