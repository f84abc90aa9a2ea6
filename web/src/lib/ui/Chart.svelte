<script lang="ts">
  import { onMount } from 'svelte';
  import ChartFrame from './ChartFrame.svelte';
  import { chartWhenSeen, type EChart } from './chartWhenSeen';
  import { theme } from './theme.svelte';

  interface Series {
    readonly name: string;
    readonly points: readonly (readonly [number, number])[];
    readonly dashed?: boolean;
    /** Its name stands below its end, not above. */
    readonly labelBelow?: boolean;
    /** Drawn as the first one is: a part of it. */
    readonly part?: boolean;
    /** Single values, each a bar. */
    readonly bars?: boolean;
    /** Drawn thin and quiet: one of several beside the first. */
    readonly muted?: boolean;
  }
  /** A ring at a point, of so many pixels across. */
  interface Ring {
    readonly at: readonly [number, number];
    readonly size: number;
    readonly name: string;
  }
  /** An upright bar from one value to another. */
  interface Span {
    readonly x: number;
    readonly from: number;
    readonly to: number;
    readonly name: string;
  }
  interface Coord {
    coord: [number, number];
  }
  interface Props {
    title: string;
    x: string;
    y: string;
    series: readonly Series[];
    summary: string;
    height?: number;
    /** Pixels beside it for the names of its lines. */
    aside?: number;
    marks?: readonly Ring[];
    spans?: readonly Span[];
  }
  let { title, x, y, series, summary, height = 260, aside = 150, marks = [], spans = [] }: Props = $props();
  let box: HTMLDivElement;
  let chart: EChart | undefined = $state.raw();
  let width = $state(0);

  onMount(() =>
    chartWhenSeen(box, 'svg', (made, wide) => {
      chart = made;
      width = wide;
    }),
  );

  $effect(() => {
    void theme.dark;
    void width;
    chart?.setOption(option(), true);
  });

  const margin = { top: 16, bottom: 48 };
  /** Pixels between two names below one another. */
  const apart = 16;

  /** How far each line's name stands below its end, in pixels: beside it where there is room, else below the one above. */
  function nameOffsets(): number[] {
    const values = series.flatMap((s) => s.points.map(([, v]) => v));
    const [least, most] = [Math.min(0, ...values), Math.max(0, ...values)];
    const ends = series.map((s, i) => {
      const under = (most - (s.points.at(-1)?.[1] ?? 0)) / (most - least || 1);
      const down = under * (height - margin.top - margin.bottom);
      return { i, down, at: down + (s.labelBelow ? 9 : -9) };
    });
    let last = -Infinity;
    const offsets: number[] = series.map(() => 0);
    for (const { i, down, at } of ends.toSorted((a, b) => a.at - b.at)) {
      last = Math.max(at, last + apart);
      offsets[i] = last - down;
    }
    return offsets;
  }

  function option() {
    const offsets = nameOffsets();
    const style = getComputedStyle(document.documentElement);
    const of = (name: string): string => style.getPropertyValue(name).trim();
    const text = { color: of('--ink'), fontFamily: 'Barlow', fontSize: 13 };
    const line = { lineStyle: { color: of('--rule') } };
    const axis = {
      type: 'value' as const,
      nameLocation: 'middle' as const,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: line,
      axisLine: { show: true, lineStyle: { color: of('--edge') } },
    };
    return {
      animation: false,
      grid: { left: 64, right: aside, ...margin },
      tooltip: {
        trigger: 'axis' as const,
        valueFormatter: (v: unknown) => (typeof v === 'number' ? Number(v.toPrecision(3)).toString() : ''),
      },
      xAxis: { ...axis, name: x, nameGap: 28 },
      yAxis: { ...axis, name: y, nameGap: 46 },
      series: series.map((s, i) => ({
        type: s.bars ? ('bar' as const) : ('line' as const),
        name: s.name,
        data: s.points.map((p) => [...p]),
        showSymbol: false,
        color: of(i === 0 || s.part || s.muted ? '--series-1' : '--series-2'),
        barWidth: 6,
        lineStyle: { width: s.muted ? 1 : 2, type: s.dashed ? ('dashed' as const) : ('solid' as const) },
        endLabel: {
          show: !s.bars && !(s.part && i > 0),
          offset: [0, offsets[i] ?? 0],
          formatter: s.name,
          ...text,
          width: aside - 10,
          overflow: 'break' as const,
        },
        ...(i === 0 && {
          markLine: {
            silent: true,
            symbol: 'none',
            label: { show: false },
            lineStyle: { color: of('--series-2'), width: 5, opacity: 0.35, type: 'solid' as const },
            data: spans.map((p) => [{ coord: [p.x, p.from] }, { coord: [p.x, p.to] }] as [Coord, Coord]),
          },
          markPoint: {
            symbol: 'circle',
            label: { show: false },
            itemStyle: { color: 'transparent', borderColor: of('--ink'), borderWidth: 1.5 },
            data: marks.map((m) => ({ coord: [...m.at], symbolSize: m.size, name: m.name })),
          },
        }),
      })),
    };
  }
</script>

<ChartFrame {title} {x} {chart} lines={series.map((s) => ({ ...s, y }))}>
  <div bind:this={box} style="height: {height}px" role="img" aria-label={`${title}. ${summary}`}></div>
</ChartFrame>
