<script lang="ts">
  import type { Trend } from '@pilgrim/core';
  import { format } from 'date-fns/format';
  import { onMount } from 'svelte';
  import ChartFrame from '$lib/ui/ChartFrame.svelte';
  import { chartWhenSeen, type EChart } from '$lib/ui/chartWhenSeen';
  import { theme } from '$lib/ui/theme.svelte';

  /** Something that was changed at the position: when, and what. */
  interface Mark {
    readonly at: string;
    readonly what: string;
  }
  let { trend, marks }: { trend: Trend; marks: readonly Mark[] } = $props();
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

  const height = 260;
  const unit = $derived(trend.unit === '' ? '' : `, ${trend.unit}`);
  const points = $derived(trend.points.map(([at, value]) => [Date.parse(at), value] as const));
  const day = (ms: number): string => format(new Date(ms), 'd MMM yyyy');
  /** The time of all that is shown: rounds and changes. */
  const times = $derived([...points.map(([t]) => t), ...marks.map((m) => Date.parse(m.at))]);
  /** Megohms range over decades. */
  const logarithmic = $derived(trend.id === 'insulation');

  /** From the data to the nearest limit above and below, so that a limit is seen before it is reached. */
  const span = $derived.by(() => {
    const values = points.map(([, v]) => v);
    const [least, most] = [Math.min(...values), Math.max(...values)];
    const above = trend.regions.flatMap((r) => (r.from !== null && r.from >= most ? [r.from] : []));
    const below = trend.regions.flatMap((r) => (r.to !== null && r.to <= least ? [r.to] : []));
    const high = above.length > 0 ? Math.min(...above) : most;
    const low = below.length > 0 ? Math.max(...below) : least;
    if (logarithmic) return { low: low / 2, high: high * 2 };
    const pad = 0.12 * (high - low || Math.abs(high) || 1);
    return { low: low >= 0 ? Math.max(0, low - pad) : low - pad, high: high + pad };
  });
  const summary = $derived(
    `${points.length} rounds; limits: ${trend.regions.map((r) => `${r.label} ${r.from === null ? `below ${short(r.to ?? 0)}` : `from ${short(r.from)}`}`).join(', ') || 'none'}`,
  );
  const short = (value: number): string => Number(value.toPrecision(3)).toString();

  function option() {
    const style = getComputedStyle(document.documentElement);
    const of = (name: string): string => style.getPropertyValue(name).trim();
    const text = { color: of('--ink'), fontFamily: 'Barlow', fontSize: 13 };
    const line = { lineStyle: { color: of('--rule') } };
    const axis = {
      axisLabel: text,
      nameTextStyle: text,
      splitLine: line,
      axisLine: { lineStyle: { color: of('--edge') } },
    };
    const { low, high } = span;
    const tint = { stop: of('--stop'), caution: of('--caution'), note: of('--series-1') };
    return {
      animation: false,
      grid: { left: 60, right: 16, top: 26, bottom: 34 },
      tooltip: { trigger: 'axis' as const },
      xAxis: {
        type: 'time' as const,
        ...axis,
        min: Math.min(...times),
        max: Math.max(...times),
        splitLine: { show: false },
        axisLabel: { ...text, hideOverlap: true },
      },
      yAxis: {
        type: logarithmic ? ('log' as const) : ('value' as const),
        ...axis,
        min: low,
        max: high,
        axisLabel: { ...text, formatter: short, showMinLabel: false, showMaxLabel: false },
      },
      series: [
        {
          type: 'line' as const,
          name: trend.label,
          data: points.map((p) => [...p]),
          color: of('--series-1'),
          symbol: 'circle',
          symbolSize: 7,
          lineStyle: { width: 2 },
          markArea: {
            silent: true,
            data: trend.regions
              .filter((r) => (r.from ?? low) < high && (r.to ?? high) > low)
              .map((r): [object, object] => [
                {
                  yAxis: Math.max(r.from ?? low, low),
                  name: r.label,
                  itemStyle: { color: tint[r.level], opacity: r.level === 'note' ? 0.07 : 0.14 },
                  label: { position: 'insideTopLeft', color: of('--quiet'), fontFamily: 'Barlow', fontSize: 12.5 },
                },
                { yAxis: Math.min(r.to ?? high, high) },
              ]),
          },
          markLine: {
            symbol: ['none', 'none'],
            lineStyle: { color: of('--edge'), type: 'dashed' as const, width: 1 },
            label: { show: false },
            data: marks.map((m) => ({ xAxis: Date.parse(m.at), name: m.what })),
          },
        },
      ],
    };
  }
</script>

<ChartFrame
  title={`${trend.label}${unit}`}
  x="day"
  {chart}
  writeX={day}
  lines={[{ name: trend.label, y: trend.label, points }]}
>
  <div bind:this={box} style="height: {height}px" role="img" aria-label={`${trend.label}. ${summary}`}></div>
  {#if marks.length > 0}
    <p class="text-[13px] text-quiet">
      Dashed: what was changed here. {marks.map((m) => `${day(Date.parse(m.at))}: ${m.what}`).join('; ')}.
    </p>
  {/if}
</ChartFrame>
