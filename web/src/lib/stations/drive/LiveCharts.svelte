<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import type { DriveCurves } from '@pilgrim/core';
  import type { LinkTold } from '$lib/api/drives';
  import Chart from '$lib/ui/Chart.svelte';

  /** What is read, against what was predicted for the run and the stop. */
  interface Props {
    told: LinkTold;
    curves: DriveCurves | null;
  }
  let { told, curves }: Props = $props();

  /** Seconds that are drawn. */
  const shown = 60;
  type Points = [number, number][];
  type Key = 'speed' | 'current' | 'voltage' | 'torque';
  const quantities: readonly (readonly [Key, string, string])[] = [
    ['speed', 'Speed', 'r/min'],
    ['current', 'Motor current', 'A'],
    ['voltage', 'Voltage at the motor', 'V'],
    ['torque', 'Torque', 'N·m'],
  ];

  const end = $derived(told.rows.findLast((r) => r !== null)?.time ?? 0);
  const from = $derived(Math.max(0, end - shown));
  /** Pieces between gaps. */
  const pieces = $derived.by(() => {
    const all: (typeof told.rows)[number][][] = [[]];
    for (const row of told.rows) {
      if (row === null) all.push([]);
      else if (row.time >= from) all.at(-1)?.push(row);
    }
    return all.filter((piece) => piece.length > 0);
  });

  /** The last run or stop, its prediction from there on. */
  const turn = $derived(told.lines.findLast((l) => l.what === 'run' || l.what === 'stop' || l.what === 'tripped'));
  function predicted(key: Key): Points {
    const of = turn?.what === 'run' ? curves?.run : turn?.what === 'stop' ? curves?.stop : null;
    const begin = turn?.time ?? 0;
    const points = (of?.[key] ?? []).map(([t, value]): [number, number] => [begin + t, value]);
    const last = points.at(-1);
    // What it has come to it keeps.
    if (last && turn?.what === 'run' && last[0] < end) points.push([end, last[1]]);
    return points.filter(([t]) => t >= from);
  }

  function series(key: Key): ComponentProps<typeof Chart>['series'] {
    const read = pieces.map((piece, i) => ({
      name: i === pieces.length - 1 ? 'as read' : `before gap ${i + 1}`,
      part: true,
      points: piece.map((r): [number, number] => [r?.time ?? 0, r?.[key] ?? 0]),
    }));
    const expected = predicted(key);
    return [
      ...read.toReversed(),
      ...(expected.length > 1 ? [{ name: 'predicted', points: expected, dashed: true }] : []),
    ];
  }
</script>

<div class="grid gap-3 xl:grid-cols-2">
  {#each quantities as [key, name, unit] (key)}
    <Chart
      title={name}
      x="Since it was switched on, s"
      y={unit}
      series={series(key)}
      summary="{name} as read, against what was predicted."
      height={190}
      aside={86}
    />
  {/each}
</div>
