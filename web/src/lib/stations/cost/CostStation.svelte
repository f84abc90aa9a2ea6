<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import AccountTable from './AccountTable.svelte';
  import Chart from '$lib/ui/Chart.svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import MoneyCharts from './MoneyCharts.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Rows from '$lib/ui/Rows.svelte';
  import WaysTable from './WaysTable.svelte';
  import TableImport from '$lib/ui/TableImport.svelte';
  import { readTariffFile } from '$lib/files/table';
  import { bases as demandBases, tariffDays } from '$lib/ui/options';
  import { useDesk } from '$lib/desk/desk.svelte';

  const desk = useDesk();
  const flow = $derived(desk().result?.curves.flow);
  const options = $derived(desk().result?.cost?.options ?? []);
  /** Where the change is worth nothing and costs nothing, in words. */
  const even = $derived.by(() => {
    const places = desk().result?.cost?.breakEven;
    if (!places) return '';
    const share = (value: number): string => `${Math.round(100 * value)} %`;
    const currency = String(desk().value('money.currency') ?? '');
    return [
      places.price !== null && `energy at ${Number(places.price.toPrecision(3))} ${currency} a kWh`.replace('  ', ' '),
      places.hours !== null && `${share(places.hours)} of the hours`,
      places.load !== null && `${share(places.load)} of the load`,
      places.head !== null && `a static head of ${share(places.head)}`,
    ]
      .filter(Boolean)
      .join('; ');
  });
  const account = $derived(desk().result?.cost?.account ?? []);
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
    <NumberField path="money.incentive" label="Given for it, once" placeholder="1500" />
    <ChoiceField
      path="rules.efficiencyBasis"
      label="Efficiency compared by"
      options={bases}
      none="guaranteed minimum"
    />
  </div>
</Group>
<Group title="Tariff and demand" note="Where the price goes by time, or demand is not billed by the kilowatt.">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="money.demandBasis" label="Demand is billed by" options={demandBases} none="the kilowatt" />
    <NumberField shareTo={1} path="money.leastPowerFactor" label="Power factor asked at least" placeholder="0.9" />
    <NumberField shareTo={1} path="money.ratchet" label="Ratchet, of the year’s highest" placeholder="0.8" />
  </div>
  <Fold
    class="mt-3"
    title="Price by time of the week"
    open={desk().value('money.tariff') !== undefined || (desk().error('money.tariff') ?? '') !== ''}
  >
    <p class="mb-2 text-[13px] text-quiet">
      Every minute of the week once; it takes the place of the energy price. A row may run past midnight.
    </p>
    <TableImport path="money.tariff" ask="Bring in a tariff" read={readTariffFile} />
    <Rows path="money.tariff" name="price" blank={{ from: '00:00', to: '24:00', days: 'all', price: 0.16 }} most={100}>
      {#snippet row(i)}
        <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <NumberField path="money.tariff[{i}].from" label="From" placeholder="06:00" text />
          <NumberField path="money.tariff[{i}].to" label="To" placeholder="22:00" text />
          <ChoiceField path="money.tariff[{i}].days" label="Days" options={tariffDays} none="every day" />
          <NumberField path="money.tariff[{i}].price" label="Price, per kWh" placeholder="0.16" />
        </div>
      {/snippet}
    </Rows>
    {#if desk().error('money.tariff')}
      <p class="mt-1 flex items-center gap-2 text-[13px]" role="status">
        <Mark state="fail" />The tariff {desk().error('money.tariff')}
      </p>
    {/if}
  </Fold>
  <Fold class="mt-3" title="How far what was typed may be off">
    <div class="grid gap-3 sm:grid-cols-3">
      <NumberField shareTo={0.9} path="money.spread.hours" label="Hours, either way" taken="0.1" />
      <NumberField shareTo={0.9} path="money.spread.price" label="Prices, either way" taken="0.2" />
      <NumberField shareTo={0.9} path="money.spread.cost" label="Installed cost, either way" taken="0.1" />
    </div>
  </Fold>
</Group>
<Group title="The year, before and after">
  <Figures
    ids={[
      'cost.shaftRatio',
      'cost.oldEnergy',
      'cost.newEnergy',
      'cost.savedEnergy',
      'cost.oldPrice',
      'cost.newPrice',
      'cost.oldPowerFactor',
      'cost.newPowerFactor',
      'cost.oldDemand',
      'cost.newDemand',
      'cost.savedMoney',
      'cost.ratchetLoss',
      'cost.once',
      'cost.savedCarbon',
      'cost.investment',
      'cost.payback',
      'cost.discountedPayback',
      'cost.benefit',
      'cost.netPresentValue',
      'cost.netPresentLow',
      'cost.netPresentHigh',
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
{#if account.length > 0}
  <AccountTable {account} />
{/if}
{#if options.length > 1}
  <WaysTable {options} currency={String(desk().value('money.currency') ?? '')} />
  {#if even}
    <p class="mb-3 px-1" data-testid="break-even">
      <b class="font-semibold">Break-even</b>, one thing moved at a time: {even}.
    </p>
  {/if}
{/if}
{#if desk().result?.curves.money && profiled}
  <MoneyCharts curves={desk().result?.curves.money ?? null} currency={String(desk().value('money.currency') ?? '')} />
{/if}
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
