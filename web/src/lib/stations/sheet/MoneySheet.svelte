<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import WaysTable from '$lib/stations/cost/WaysTable.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { cited, fieldName, figureName } from '$lib/ui/names';
  import { textOf } from '$lib/ui/reading.svelte';

  /** The sum as it is laid before whoever pays: what it comes to, between what, against what, and on what it rests. */
  const desk = useDesk();
  const result = $derived(desk().result);
  const findings = $derived((result?.findings ?? []).filter((f) => f.station === 'cost'));
  const ids = [
    'cost.savedEnergy',
    'cost.savedMoney',
    'cost.benefit',
    'cost.investment',
    'cost.netPresentValue',
    'cost.netPresentLow',
    'cost.netPresentHigh',
    'cost.internalRate',
    'cost.payback',
    'cost.discountedPayback',
    'cost.lifeCycle',
  ] as const;
  const sums = $derived(
    ids.flatMap((id) => {
      const figure = desk().figure(id);
      return figure ? [[id, figure] as const] : [];
    }),
  );
  const assumed = $derived([...new Map(sums.flatMap(([, f]) => f.assumed).map((a) => [a.field, a] as const)).values()]);
  const moves = $derived((result?.curves.money?.tornado ?? []).slice(0, 5));
  const options = $derived(result?.cost?.options ?? []);
  const currency = $derived(String(desk().value('money.currency') ?? ''));
  const rounded = (value: number): string => Number(value.toPrecision(3)).toLocaleString('en');
</script>

<h2>The sum</h2>
<ul class="mb-2">
  {#each findings as f (f.id + f.text)}
    <li class="flex gap-2 py-0.5"><span class="mt-1"><Mark state={f.level} /></span><span>{f.text}</span></li>
  {/each}
</ul>
<Table class="dense mb-4" data-testid="sum">
  <thead><tr><th>What</th><th class="n">Value</th><th>From</th></tr></thead>
  <tbody>
    {#each sums as [id, f] (id)}
      <tr>
        <td>{figureName(id)}{f.assumed.length > 0 ? ' · assumed' : ''}</td>
        <td class="n font-semibold">{textOf(f)}</td>
        <td>{cited(f.source)}</td>
      </tr>
    {/each}
  </tbody>
</Table>
{#if options.length > 1}<div class="mb-4"><WaysTable {options} {currency} /></div>{/if}
{#if moves.length > 0}
  <h3 class="font-medium">What moves it most</h3>
  <ul class="mb-4 list-disc pl-5" data-testid="moves">
    {#each moves as t (t.input)}
      <li>
        {t.name}, {Math.round(100 * t.least)} to {Math.round(100 * t.most)} % of what is counted: net present value {rounded(
          Math.min(t.low, t.high),
        )} to {rounded(Math.max(t.low, t.high))}
      </li>
    {/each}
  </ul>
{/if}
{#if assumed.length > 0}
  <h3 class="font-medium">Assumed, and to be confirmed</h3>
  <ul class="mb-4 list-disc pl-5">
    {#each assumed as a (a.field)}<li>{fieldName(a.field)}: {a.value}, {a.why}.</li>{/each}
  </ul>
{/if}
