<script lang="ts">
  import { readQuantity } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Facts from '$lib/ui/Facts.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Rows from '$lib/ui/Rows.svelte';

  const desk = useDesk();
  const standing = [[true, 'stands still']] as const;
  const blank = { duration: '60 s', ratio: 1 };
  const sizing = [
    ['steady', 'steady demand, or more'],
    ['thermal', 'thermal equivalent'],
  ] as const;

  interface Step {
    readonly seconds: number;
    readonly ratio: number;
    readonly rest: boolean;
  }
  const steps = $derived.by((): readonly Step[] => {
    const rows: unknown = desk().value('load.cycle');
    if (!Array.isArray(rows)) return [];
    return rows.flatMap((row: unknown): Step[] => {
      if (typeof row !== 'object' || row === null) return [];
      const time = readQuantity('time', String(Reflect.get(row, 'duration') ?? ''));
      const ratio = Number(Reflect.get(row, 'ratio'));
      return time.ok && Number.isFinite(ratio)
        ? [{ seconds: time.value.value, ratio, rest: Reflect.get(row, 'rest') === true }]
        : [];
    });
  });
  const total = $derived(steps.reduce((sum, s) => sum + s.seconds, 0));
  const bars = $derived.by(() => {
    let at = 0;
    return steps.map((s) => {
      const x = (at / total) * 600;
      at += s.seconds;
      return { x, width: (s.seconds / total) * 600, height: s.rest ? 0 : Math.min(s.ratio, 2) * 30, rest: s.rest };
    });
  });
  const k = $derived(desk().figure('load.thermalRatio')?.value);
</script>

{#if total > 0}
  <svg
    viewBox="0 0 600 74"
    class="mb-2 w-full"
    role="img"
    aria-label="The duty cycle, {steps.length} stretches in {total} seconds"
  >
    <path d="M0 64H600" stroke="var(--edge)" />
    {#each bars as b, i (i)}
      <rect
        x={b.x + 1}
        y={64 - b.height}
        width={Math.max(0, b.width - 2)}
        height={b.height}
        fill="var(--series-1)"
        opacity="0.55"
      />
      {#if b.rest}<text x={b.x + b.width / 2} y="60" text-anchor="middle">rest</text>{/if}
    {/each}
    {#if k !== undefined}
      <path d="M0 {64 - Math.min(k, 2) * 30}H600" stroke="var(--series-2)" stroke-width="2" stroke-dasharray="6 4" />
      <text x="596" y={60 - Math.min(k, 2) * 30} text-anchor="end">thermal equivalent {Math.round(k * 100)} %</text>
    {/if}
  </svg>
{/if}
<Rows path="load.cycle" name="stretch" {blank}>
  {#snippet row(i)}
    <div class="grid grid-cols-3 gap-3">
      <QuantityField path="load.cycle[{i}].duration" label="For" dimension="time" />
      <NumberField path="load.cycle[{i}].ratio" label="Torque ÷ steady torque" />
      <ChoiceField path="load.cycle[{i}].rest" label="The motor" options={standing} none="runs" />
    </div>
  {/snippet}
</Rows>
<div class="mt-3 grid gap-3 sm:grid-cols-3">
  <NumberField path="load.startsPerHour" label="Starts an hour" placeholder="2" />
  <ChoiceField
    path="rules.dutySizing"
    label="The cycle sizes by (house rule)"
    options={sizing}
    none="steady demand, or more"
  />
</div>
<Facts of={['load.duty']} />
<Figures
  ids={['load.thermalRatio', 'load.rmsPower', 'load.peakTorque']}
  empty="One steady load: nothing more to tell."
/>

<style>
  text {
    font-size: 11px;
    fill: var(--ink);
    font-family: var(--font-condensed);
  }
</style>
