<script lang="ts">
  import { onMount } from 'svelte';
  import { theme } from '$lib/ui/theme.svelte';
  import ChartFrame from '$lib/ui/ChartFrame.svelte';
  import { chartWhenSeen, type EChart } from '$lib/ui/chartWhenSeen';
  import type { Handle, Mark, Panel, PanelSeries } from './panels';

  interface Props {
    title: string;
    x: string;
    panels: readonly Panel[];
    marks?: readonly Mark[];
    handles?: readonly Handle[];
    /** The same panels as they would be, drawn over them while a handle is held; as many as there are, in the same order. */
    live?: readonly Panel[] | null;
    summary: string;
    height: number;
    xMax?: number;
  }
  let { title, x, panels, marks = [], handles = [], live = null, summary, height, xMax }: Props = $props();
  interface Place {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  }

  const uid = $props.id();
  let box: HTMLDivElement;
  let chart: EChart | undefined = $state.raw();
  let places: readonly Place[] = $state.raw([]);
  /** Which handle is held; −1: none. */
  let held = $state(-1);
  let width = $state(0);

  const left = 64;
  const right = 118;
  const top = 18;
  const bottom = 44;
  const between = 14;

  // A canvas: many lines are drawn anew at every setting.
  onMount(() =>
    chartWhenSeen(box, 'canvas', (made, wide) => {
      chart = made;
      width = wide;
    }),
  );

  $effect(() => {
    void theme.dark;
    void width;
    if (!chart) return;
    chart.setOption(option(), { notMerge: true });
    places = handles.map(place);
    scales = panels.map((_, i) => scaleOf(i));
  });

  /** Where a handle's line stands over the chart, in pixels. */
  function place(h: Handle): Place {
    const grid = grids()[h.panel];
    if (!chart || !grid) return { left: 0, top: 0, width: 0, height: 0 };
    const at = chart.convertToPixel({ gridIndex: h.panel }, h.axis === 'x' ? [h.value, 0] : [0, h.value]);
    const [px, py] = Array.isArray(at) ? [at[0] ?? 0, at[1] ?? 0] : [at, at];
    const across = Math.max(0, width - left - right);
    return h.axis === 'x'
      ? { left: px - 11, top: grid.top, width: 22, height: grid.height }
      : { left, top: py - 11, width: across, height: 22 };
  }

  function grids(): readonly { readonly top: number; readonly height: number }[] {
    const room = height - top - bottom - between * (panels.length - 1);
    const all = panels.reduce((sum, p) => sum + p.weight, 0);
    let y = top;
    return panels.map((p) => {
      const grid = { top: y, height: (room * p.weight) / all };
      y += grid.height + between;
      return grid;
    });
  }

  function option() {
    const style = getComputedStyle(document.documentElement);
    const of = (name: string): string => style.getPropertyValue(name).trim();
    const text = { color: of('--ink'), fontFamily: 'Barlow', fontSize: 13 };
    const colours: Readonly<Record<PanelSeries['role'], string>> = {
      main: of('--series-1'),
      second: of('--series-5'),
      load: of('--series-2'),
      faint: of('--quiet'),
    };
    const places = grids();
    const axis = { axisLabel: text, nameTextStyle: text, splitLine: { lineStyle: { color: of('--rule') } } };
    return {
      animation: false,
      grid: places.map((g) => ({ left, right, ...g })),
      axisPointer: { link: [{ xAxisIndex: 'all' }] },
      tooltip: {
        trigger: 'axis' as const,
        confine: true,
        backgroundColor: of('--sheet'),
        borderColor: of('--rule'),
        textStyle: text,
        valueFormatter: (v: unknown) => (typeof v === 'number' ? Number(v.toPrecision(3)).toString() : ''),
      },
      xAxis: panels.map((_, i) => ({
        type: 'value' as const,
        gridIndex: i,
        min: 0,
        max: xMax,
        ...axis,
        axisLine: { show: true, lineStyle: { color: of('--edge') } },
        axisLabel: { ...text, show: i === panels.length - 1, showMaxLabel: false },
        name: i === panels.length - 1 ? x : '',
        nameLocation: 'middle' as const,
        nameGap: 26,
      })),
      yAxis: panels.map((p, i) => ({
        type: 'value' as const,
        gridIndex: i,
        min: p.min === 'auto' ? undefined : (p.min ?? 0),
        max: p.max,
        splitNumber: 3,
        ...axis,
        axisLine: { show: true, lineStyle: { color: of('--edge') } },
        name: p.y,
        nameLocation: 'middle' as const,
        nameGap: 44,
      })),
      series: panels.flatMap((p, i) =>
        p.series.map((s, k) => ({
          type: 'line' as const,
          name: s.name,
          xAxisIndex: i,
          yAxisIndex: i,
          data: s.points.map((q) => [...q]),
          showSymbol: false,
          silent: s.role === 'faint',
          color: colours[s.role],
          z: s.role === 'faint' ? 1 : 3,
          lineStyle: {
            width: s.role === 'faint' ? 1 : 2,
            opacity: s.role === 'faint' ? 0.55 : 1,
            type: s.role === 'load' ? ('dashed' as const) : ('solid' as const),
          },
          endLabel: {
            show: (s.nameAt ?? 'end') === 'end',
            formatter: s.name,
            ...text,
            fontSize: s.role === 'faint' ? 11.5 : 13,
            width: right - 8,
            overflow: 'break' as const,
          },
          markPoint: typeof s.nameAt === 'number' ? nameOver(s, s.nameAt, text, of('--quiet')) : undefined,
          markLine:
            k === 0 && marks.length > 0
              ? {
                  silent: true,
                  symbol: 'none',
                  lineStyle: { color: of('--quiet'), type: 'dotted' as const },
                  label: { show: false },
                  data: marks.map((m) => ({ xAxis: m.x })),
                }
              : undefined,
          markArea:
            k === 0 && p.limit
              ? {
                  silent: true,
                  itemStyle: { color: of('--stop'), opacity: 0.09 },
                  label: { ...text, fontSize: 12, position: 'insideTopLeft' as const, color: of('--ink') },
                  data: [
                    p.limit.side === 'above'
                      ? [{ name: p.limit.name, yAxis: p.limit.value }, { yAxis: p.max ?? 1e12 }]
                      : [
                          { name: p.limit.name, yAxis: typeof p.min === 'number' ? p.min : 0 },
                          { yAxis: p.limit.value },
                        ],
                  ],
                }
              : undefined,
        })),
      ),
    };
  }

  /** A series' name over its line. */
  function nameOver(s: PanelSeries, share: number, text: object, quiet: string): object {
    const at = s.points[Math.round(share * (s.points.length - 1))] ?? [0, 0];
    return {
      silent: true,
      symbolSize: 0,
      label: {
        show: true,
        formatter: s.name,
        position: 'top',
        distance: s.role === 'faint' ? 2 : 7,
        ...text,
        ...(s.role === 'faint' && { fontSize: 11.5, color: quiet }),
      },
      data: [{ coord: [...at], value: s.name }],
    };
  }

  let frame = 0;
  /** Where the held handle stands, and what it says. */
  let at: Place | null = $state.raw(null);
  let says = $state('');

  /** How values become pixels in each panel: the axes stand still while a handle is held. */
  let scales: readonly { readonly x0: number; readonly kx: number; readonly y0: number; readonly ky: number }[] =
    $state.raw([]);
  function scaleOf(i: number): (typeof scales)[number] {
    const [a, b] = [
      chart?.convertToPixel({ gridIndex: i }, [0, 0]),
      chart?.convertToPixel({ gridIndex: i }, [1e3, 1e3]),
    ];
    if (!Array.isArray(a) || !Array.isArray(b)) return { x0: 0, kx: 0, y0: 0, ky: 0 };
    const [x0 = 0, y0 = 0] = a;
    const [x1 = 0, y1 = 0] = b;
    return { x0, kx: (x1 - x0) / 1e3, y0, ky: (y1 - y0) / 1e3 };
  }
  /** The path of a line over panel i. */
  function pathOf(i: number, points: PanelSeries['points']): string {
    const s = scales[i];
    if (!s) return '';
    let path = '';
    for (const [x, y] of points)
      path += `${path === '' ? 'M' : 'L'}${(s.x0 + s.kx * x).toFixed(1)} ${(s.y0 + s.ky * y).toFixed(1)}`;
    return path;
  }
  function valueAt(h: Handle, e: PointerEvent): number {
    const rect = box.getBoundingClientRect();
    const at = chart?.convertFromPixel({ gridIndex: h.panel }, [e.clientX - rect.left, e.clientY - rect.top]) ?? [0, 0];
    const raw = (Array.isArray(at) ? at[h.axis === 'x' ? 0 : 1] : at) ?? h.value;
    return clamped(h, raw);
  }
  const clamped = (h: Handle, v: number): number =>
    Number(Math.min(h.max, Math.max(h.min, Math.round(v / h.step) * h.step)).toPrecision(6));

  function down(i: number, e: PointerEvent & { currentTarget: HTMLElement }): void {
    e.currentTarget.setPointerCapture(e.pointerId);
    held = i;
    at = places[i] ?? null;
  }
  function move(h: Handle, i: number, e: PointerEvent): void {
    if (held !== i) return;
    const value = valueAt(h, e);
    const here = place({ ...h, value });
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(() => {
      at = here;
      says = h.text(value);
      h.move(value);
    });
  }
  function up(h: Handle, i: number, e: PointerEvent): void {
    if (held !== i) return;
    held = -1;
    at = null;
    says = '';
    cancelAnimationFrame(frame);
    h.put(valueAt(h, e));
  }
  function key(h: Handle, e: KeyboardEvent): void {
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[e.key];
    const end = e.key === 'Home' ? h.min : e.key === 'End' ? h.max : undefined;
    if (way === undefined && end === undefined) return;
    e.preventDefault();
    h.put(clamped(h, end ?? h.value + (way ?? 0) * h.step));
  }
</script>

<ChartFrame
  {title}
  {x}
  {chart}
  lines={panels.flatMap((p) => p.series.map((s) => ({ name: s.name, y: p.y, points: s.points })))}
>
  <div class="relative">
    <div bind:this={box} style="height: {height}px" role="img" aria-label={`${title}. ${summary}`}></div>
    {#if live && live.length === panels.length}
      <svg class="live" {width} {height} aria-hidden="true">
        {#each live as p, i (i)}
          {@const grid = grids()[i]}
          <clipPath id="{uid}-{i}"
            ><rect
              x={left}
              y={grid?.top ?? 0}
              width={Math.max(0, width - left - right)}
              height={grid?.height ?? 0}
            /></clipPath
          >
          {#each p.series.filter((s) => s.role === 'main') as s (s.name)}
            <path d={pathOf(i, s.points)} clip-path="url(#{uid}-{i})" />
          {/each}
        {/each}
      </svg>
    {/if}
    {#each handles as h, i (h.label)}
      {@const here = held === i && at ? at : places[i]}
      {#if here && here.height > 0}
        <button
          type="button"
          role="slider"
          class="handle handle-{h.axis} screen-only"
          class:held={held === i}
          style="left: {here.left}px; top: {here.top}px; width: {here.width}px; height: {here.height}px"
          aria-label={h.label}
          aria-valuemin={h.min}
          aria-valuemax={h.max}
          aria-valuenow={h.value}
          aria-valuetext={h.text(h.value)}
          aria-orientation={h.axis === 'x' ? 'horizontal' : 'vertical'}
          onpointerdown={(e) => down(i, e)}
          onpointermove={(e) => move(h, i, e)}
          onpointerup={(e) => up(h, i, e)}
          onpointercancel={() => ((held = -1), (at = null), (says = ''))}
          onkeydown={(e) => key(h, e)}
        >
          <span class="grip">{held === i && says ? says : h.text(h.value)}</span>
        </button>
      {/if}
    {/each}
  </div>
  {#if marks.length > 0}
    <p class="text-[13px] text-quiet">
      {#each marks as m, i (i)}{i > 0 ? ' · ' : ''}{Number(m.x.toPrecision(3))} s {m.text}{/each}
    </p>
  {/if}
</ChartFrame>

<style>
  .live {
    position: absolute;
    inset: 0;
    pointer-events: none;
  }
  .live path {
    fill: none;
    stroke: var(--series-3);
    stroke-width: 2.5;
  }
  .handle {
    position: absolute;
    background: none;
    border: 0;
    padding: 0;
    touch-action: none;
  }
  .handle-x {
    cursor: ew-resize;
  }
  .handle-y {
    cursor: ns-resize;
  }
  .handle::before {
    content: '';
    position: absolute;
    background: var(--pine);
  }
  .handle-x::before {
    left: 10px;
    top: 0;
    width: 2px;
    height: 100%;
  }
  .handle-y::before {
    left: 0;
    top: 10px;
    height: 2px;
    width: 100%;
  }
  .grip {
    position: absolute;
    padding: 1px 6px;
    border-radius: 3px;
    background: var(--pine);
    color: var(--sheet);
    font-size: 12.5px;
    white-space: nowrap;
  }
  .handle-x .grip {
    left: 14px;
    bottom: 4px;
  }
  .handle-y .grip {
    right: 4px;
    bottom: 13px;
  }
</style>
