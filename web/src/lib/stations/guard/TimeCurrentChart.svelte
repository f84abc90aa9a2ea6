<script lang="ts">
  import type { GuardCurves } from '@pilgrim/core';
  import { writeQuantity } from '@pilgrim/core/quantity';
  import { onMount } from 'svelte';
  import ChartFrame from '$lib/ui/ChartFrame.svelte';
  import { chartWhenSeen, type EChart } from '$lib/ui/chartWhenSeen';
  import { theme } from '$lib/ui/theme.svelte';

  interface Props {
    curves: GuardCurves;
    /** The dial as it is being moved ÷ the one the curves were drawn for: a relay's times go with it. */
    moved?: number;
    /** What the curves say, for those who cannot see them. */
    summary: string;
  }
  let { curves: solved, moved = 1, summary }: Props = $props();
  const curves = $derived(moved === 1 ? solved : withDial(solved, moved));
  const height = 430;

  /** The same curves with the relay's moved along: all its currents are multiples of its dial. */
  function withDial({ dial, class: of, lines, marks }: GuardCurves, by: number): GuardCurves {
    const along = (points: GuardCurves['lines'][number]['points']) => points.map(([I, t]) => [I * by, t] as const);
    return {
      dial: dial * by,
      class: of,
      lines: lines.map((l) =>
        l.id.startsWith('relay') ? { ...l, points: along(l.points), slow: l.slow && along(l.slow) } : l,
      ),
      marks: marks.map((m) => (m.id === 'dial' ? { ...m, current: m.current * by } : m)),
    };
  }

  let box: HTMLDivElement;
  let chart: EChart | undefined = $state.raw();
  let width = $state(0);

  // A canvas: all of it is drawn anew while a dial moves.
  onMount(() =>
    chartWhenSeen(box, 'canvas', (made, wide) => {
      chart = made;
      width = wide;
    }),
  );
  type Kind = 'solid' | 'dashed' | 'dotted';
  interface Look {
    readonly colour: string;
    readonly type: Kind;
    readonly label: string;
    /** The share of its points at which its name stands, and on which side. */
    readonly at: number;
    readonly side?: 'left' | 'top';
    /** The name stands at the slower edge of a band. */
    readonly slow?: true;
    readonly wide?: true;
  }
  /** How each curve is drawn. */
  const drawn: Readonly<Record<string, Look>> = {
    start: { colour: '--series-2', type: 'solid', label: 'start', at: 0.12, wide: true },
    'start-heat': { colour: '--series-2', type: 'dotted', label: 'its heat', at: 1, side: 'top' },
    'relay-cold': { colour: '--series-1', type: 'solid', label: 'relay, cold', at: 0, slow: true },
    'relay-warm': { colour: '--series-1', type: 'dashed', label: 'relay, warm', at: 0.5, side: 'left' },
    'stall-hot': { colour: '--series-3', type: 'solid', label: 'motor, hot', at: 1, wide: true },
    'stall-cold': { colour: '--series-3', type: 'dashed', label: 'motor, cold', at: 0, side: 'top' },
    device: { colour: '--series-5', type: 'solid', label: 'device', at: 0, slow: true },
    cable: { colour: '--series-4', type: 'solid', label: 'cable', at: 0, side: 'top', wide: true },
  };
  const fallback: Look = { colour: '--quiet', type: 'solid', label: '', at: 0 };

  const write = (value: number): string => Number(value.toPrecision(3)).toString();
  const most = 1000;
  const least = 0.005;
  const ends = $derived(curves.lines.flatMap((l) => [...l.points, ...(l.slow ?? [])].map(([current]) => current)));
  const from = $derived(10 ** Math.floor(Math.log10(Math.min(...ends, curves.dial))));
  const to = $derived(10 ** Math.ceil(Math.log10(Math.max(...ends, ...curves.marks.map((m) => m.current)))));

  /** What the whole drawing rests on; while it stands only lines are changed, which is several times as quick. */
  const frame = $derived([theme.dark, width, from, to, ...curves.lines.map((l) => l.id + (l.slow ? '+' : ''))].join());
  let framed = '';
  $effect(() => {
    if (!chart) return;
    const whole = option();
    if (frame !== framed) chart.setOption(whole, { notMerge: true, lazyUpdate: true });
    else
      chart.setOption(
        { series: whole.series.filter(({ id }) => moved === 1 || id === 'marks' || id.startsWith('relay')) },
        // Drawn with the next frame: an answer that comes before it is drawn in the same one.
        { lazyUpdate: true },
      );
    framed = frame;
  });

  function option() {
    const style = getComputedStyle(document.documentElement);
    const of = (name: string): string => style.getPropertyValue(name).trim();
    const text = { color: of('--ink'), fontFamily: 'Barlow', fontSize: 12.5 };
    const axis = {
      type: 'log' as const,
      nameLocation: 'middle' as const,
      nameTextStyle: text,
      axisLabel: { ...text, formatter: write },
      splitLine: { lineStyle: { color: of('--rule') } },
      minorTick: { show: true, splitNumber: 9 },
      axisLine: { show: true, lineStyle: { color: of('--edge') } },
    };
    const lines = curves.lines.flatMap((l) => {
      const { colour, type, label, at, side = 'right', slow: onSlow, wide } = drawn[l.id] ?? fallback;
      const shown = ((onSlow && l.slow) || l.points).filter(([, time]) => time <= most && time >= least);
      const anchor = shown[Math.round(at * (shown.length - 1))];
      const look = { type: 'line' as const, showSymbol: false, color: of(colour), silent: true };
      const first = {
        ...look,
        id: l.id,
        name: l.name,
        data: l.points.map((p) => [...p]),
        lineStyle: { width: wide ? 2.5 : 1.8, type },
        ...(anchor && {
          markPoint: {
            symbol: 'circle',
            symbolSize: 1,
            silent: true,
            data: [{ coord: [...anchor] }],
            label: { show: true, formatter: label || l.name, position: side, ...text, color: of('--ink') },
          },
        }),
      };
      const slow = l.slow && {
        ...look,
        id: `${l.id}-slow`,
        name: l.name,
        data: l.slow.map((p) => [...p]),
        lineStyle: { width: 1.8, type },
      };
      return slow ? [first, slow] : [first];
    });
    // Of two close together the second is named at the foot.
    const sorted = curves.marks.toSorted((a, b) => a.current - b.current);
    let low = false;
    const marked = sorted.map((m, i) => {
      low = !low && m.current < 1.3 * (sorted[i - 1]?.current ?? 0);
      return { ...m, low };
    });
    const marks = {
      id: 'marks',
      type: 'line' as const,
      data: [],
      silent: true,
      markLine: {
        symbol: 'none',
        silent: true,
        data: marked.map(({ low, ...m }) => ({
          xAxis: m.current,
          lineStyle: {
            color: of(m.id.startsWith('fault') ? '--stop' : '--quiet'),
            type: m.id === 'dial' ? ('solid' as const) : ('dashed' as const),
            width: 1,
          },
          label: {
            formatter: `${m.name} ${writeQuantity(m.current, 'A')}`,
            position: low ? ('insideStartTop' as const) : ('insideEndTop' as const),
            ...text,
            fontSize: 12,
          },
        })),
      },
    };
    return {
      animation: false,
      grid: { left: 64, right: 20, top: 12, bottom: 46 },
      xAxis: { ...axis, min: from, max: to, name: 'Current in the line, A', nameGap: 28 },
      yAxis: { ...axis, min: least, max: most, name: 'Time, s', nameGap: 46 },
      series: [...lines, marks],
    };
  }
</script>

<ChartFrame
  title="Time and current"
  x="Current, A"
  {chart}
  lines={curves.lines.flatMap((l) => [
    { name: l.slow ? `${l.name}, quickest` : l.name, points: l.points, y: 'Time, s' },
    ...(l.slow ? [{ name: `${l.name}, slowest`, points: l.slow, y: 'Time, s' }] : []),
  ])}
>
  <div
    bind:this={box}
    style="height: {height}px"
    role="img"
    data-testid="time-current"
    data-dial={curves.dial.toFixed(3)}
    aria-label="Time and current. {summary}"
  ></div>
</ChartFrame>
