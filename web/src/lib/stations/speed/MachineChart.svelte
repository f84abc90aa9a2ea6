<script lang="ts">
  import type { MachineCurves } from '@pilgrim/core';
  import Chart from '$lib/ui/Chart.svelte';

  /** Machine and system on one drawing, and the year's flows on it. */
  let { curves }: { curves: MachineCurves } = $props();

  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  const lost = $derived(
    curves.points.filter((p) => p.old - p.needed > 0.005).map((p): [number, number] => [p.flow, p.old]),
  );
  const series = $derived([
    ...curves.speeds.map(({ speed, points }, i) => ({
      name: i === 0 ? 'full speed' : percent(speed),
      points,
      ...(i > 0 && { muted: true }),
    })),
    { name: 'the system', points: curves.system, dashed: true, labelBelow: true },
  ]);
  const hours = $derived(curves.points.reduce((sum, p) => sum + p.hours, 0));
  const marks = $derived(
    curves.points.map((p) => ({
      at: [p.flow, p.needed] as const,
      size: 6 + 22 * Math.sqrt(p.hours / Math.max(1, hours)),
      name: `${p.hours} h at ${percent(p.flow)}, ${percent(p.speed)} speed`,
    })),
  );
  const spans = $derived(
    curves.points.flatMap((p) =>
      p.old - p.needed > 0.005 ? [{ x: p.flow, from: p.needed, to: p.old, name: 'held back now' }] : [],
    ),
  );
</script>

<Chart
  title="Machine and system"
  x="flow ÷ full flow"
  y="head ÷ head asked"
  {series}
  {marks}
  {spans}
  summary={`${curves.typed ? 'Its own curve' : 'A usual curve'}. ${curves.points.length} flows of the year${lost.length > 0 ? `; at ${lost.length} of them head is held back now` : ''}.`}
/>
<p class="mt-1 text-[13px] text-quiet">
  {curves.typed ? 'The machine’s own curve' : 'A usual curve of such machines, not this one’s'}, at full speed and at
  the speeds the flows need. Rings: flows of the year, larger with their hours; the upright bars from them are the head
  that is held back now.
</p>
