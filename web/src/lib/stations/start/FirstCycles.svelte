<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { FirstCyclesView } from '@pilgrim/core';
  import { writeNumber, writeQuantity } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { firstCycles } from '$lib/solver';
  import PanelChart from './PanelChart.svelte';
  import type { Panel } from './panels';

  const desk = useDesk();
  let view = $state.raw<FirstCyclesView | null>(null);
  let of = $state(-1);
  let asking = $state(false);
  const stale = $derived(view !== null && of !== desk().answers);

  async function ask(method: 'direct' | 'star-delta'): Promise<void> {
    asking = true;
    of = desk().answers;
    view = await firstCycles(method);
    asking = false;
  }
  const panels = $derived.by((): readonly Panel[] => {
    if (!view) return [];
    const { time, current, torque } = view;
    const points = (ys: readonly number[]) => time.map((t, i) => [t * 1000, ys[i] ?? 0] as const);
    return [
      {
        y: 'Phase current, A',
        weight: 1,
        min: 'auto',
        series: [{ name: 'phase a', role: 'main', points: points(current) }],
      },
      {
        y: 'Torque, N·m',
        weight: 1,
        min: 'auto',
        series: [{ name: 'at the shaft', role: 'second', points: points(torque) }],
      },
    ];
  });
  const tried = $derived(desk().result?.start?.rows.find((r) => r.method === 'star-delta')?.run !== null);
</script>

<div class="flex flex-wrap items-center gap-2">
  <Button class="push" disabled={asking} onclick={() => void ask('direct')}>Switching on directly</Button>
  <Button class="push" disabled={asking || !tried} onclick={() => void ask('star-delta')}>From star to delta</Button>
  <span role="status" class="text-quiet">{asking ? 'Simulating …' : stale ? 'The case was changed since.' : ''}</span>
</div>
{#if view}
  <div class="mt-2" class:opacity-60={stale} data-testid="first-cycles">
    <p class="mb-2 text-[14px]">
      First crest {writeQuantity(view.peakCurrent, 'A')} ({writeNumber(view.peakRatio)} × the crest of rated current); torque
      from {writeQuantity(view.leastTorque, 'N.m')} to {writeQuantity(view.peakTorque, 'N.m')}{view.method ===
      'star-delta'
        ? `; ${(view.residual * 100).toFixed(0)} % of the voltage still on the winding when delta closes, in the worse wiring`
        : ''}. {view.caution}
    </p>
    <PanelChart
      title={view.method === 'direct' ? 'First cycles of a direct start' : 'First cycles after delta closes'}
      x="Time, ms"
      {panels}
      height={330}
      xMax={200}
      summary={view.caution}
    />
    <p class="mt-1 text-[13px] text-quiet">
      Two-axis model; leakage gives way to the current, beyond the locked-rotor current by a usual third where the
      motor’s data do not tell.
    </p>
  </div>
{/if}
