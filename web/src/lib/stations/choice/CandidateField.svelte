<script lang="ts">
  import { writeAmount } from '@pilgrim/core/quantity';
  import type { Outcome, ScreenRow } from '@pilgrim/core';
  import { onMount } from 'svelte';
  import { chartWhenSeen } from '$lib/ui/chartWhenSeen';
  import { theme } from '$lib/ui/theme.svelte';
  import { words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { screenedRows } from '$lib/solver';

  interface Props {
    /** Opens a motor's verdicts in the table beside. */
    show: (id: string) => void;
  }
  let { show }: Props = $props();
  const desk = useDesk();
  const currency = $derived(String(desk().value('money.currency') ?? ''));
  let box: HTMLDivElement;
  let draw: (() => void) | undefined = $state();
  let rows = $state.raw<readonly ScreenRow[]>([]);

  /** Far beyond the choice nothing is to be learnt: candidates up to this many times its cost are drawn. */
  const upTo = 1.5;
  const hp = $derived(desk().result?.practice === 'north-america');
  const unit = $derived(hp ? 745.6998715822702 : 1000);
  const first = $derived(rows.find((r) => r.outcome !== 'fail'));
  const drawn = $derived(
    first === undefined
      ? []
      : rows.filter(
          (r) => r.lifeCycle <= upTo * first.lifeCycle && r.power / unit >= shownFrom && r.power / unit <= shownTo,
        ),
  );
  const centre = $derived((desk().result?.figures['load.motorPower']?.value ?? unit) / unit);
  const shownFrom = $derived(Number((centre / 6).toPrecision(1)));
  const shownTo = $derived(Number((centre * 8).toPrecision(1)));
  const lines = $derived(
    (
      [
        ['old motor', desk().result?.figures['plate.ratedPower']?.value],
        ['load', desk().result?.figures['load.motorPower']?.value],
      ] as const
    ).flatMap(([name, watts]) =>
      watts === undefined
        ? []
        : [
            {
              name,
              xAxis: watts / unit,
              label: { position: name === 'load' ? ('insideStartTop' as const) : ('end' as const) },
            },
          ],
    ),
  );

  let asked = 0;
  $effect(() => {
    void desk().answers;
    const mine = ++asked;
    void screenedRows(
      { outcomes: ['pass', 'caution', 'fail'], text: '', shelfOnly: false, sort: 'rank', descending: false },
      0,
      25_000,
    ).then((answer) => mine === asked && (rows = answer.rows));
  });
  onMount(() =>
    chartWhenSeen(box, 'canvas', (chart) => {
      draw = () => chart.setOption(option(), true);
      chart.on('click', (event) => {
        const id = (event.data as { id?: string } | undefined)?.id;
        if (id !== undefined) show(id);
      });
    }),
  );
  $effect(() => {
    void theme.dark;
    void drawn;
    draw?.();
  });

  const groups: readonly (readonly [string, Outcome, boolean])[] = [
    ['fails', 'fail', false],
    ['fails, on a drive', 'fail', true],
    ['passes with cautions', 'caution', false],
    ['passes with cautions, on a drive', 'caution', true],
    ['passes', 'pass', false],
    ['passes, on a drive', 'pass', true],
  ];

  function option() {
    const style = getComputedStyle(document.documentElement);
    const of = (name: string): string => style.getPropertyValue(name).trim();
    const text = { color: of('--ink'), fontFamily: 'Barlow', fontSize: 13 };
    const axis = {
      nameLocation: 'middle' as const,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: { lineStyle: { color: of('--rule') } },
    };
    const colours = { fail: of('--quiet'), caution: of('--caution'), pass: of('--pass') };
    return {
      animation: false,
      grid: { left: 76, right: 24, top: 28, bottom: 44 },
      tooltip: {
        trigger: 'item' as const,
        formatter: (p: unknown) => (p as { data?: { say?: string } }).data?.say ?? '',
      },
      xAxis: {
        ...axis,
        type: 'log' as const,
        min: shownFrom,
        max: shownTo,
        name: hp ? 'Rating, hp' : 'Rating, kW',
        nameGap: 26,
      },
      yAxis: { ...axis, type: 'value' as const, name: 'Life-cycle cost', nameGap: 58, scale: true },
      series: groups.map(([name, outcome, drive], g) => ({
        type: 'scatter' as const,
        name,
        symbol: drive ? 'rect' : 'circle',
        symbolSize: outcome === 'fail' ? 5 : 8,
        itemStyle: {
          color: outcome === 'pass' ? colours.pass : 'transparent',
          borderColor: colours[outcome],
          borderWidth: outcome === 'fail' ? 0.8 : 1.6,
        },
        data: drawn
          .filter((r) => r.outcome === outcome && (r.method === 'drive') === drive)
          .map((r) => ({
            value: [r.power / unit, r.lifeCycle],
            id: r.id,
            say: `${r.name}, ${words(r.method)}<br>${r.short ? `${words(outcome)}: ${words(r.short)}` : 'passes'}; ${writeAmount(r.lifeCycle, currency)} over its life`,
          })),
        ...(g === groups.length - 1 && {
          markLine: {
            silent: true,
            symbol: 'none',
            label: { formatter: '{b}', ...text },
            lineStyle: { color: of('--ink'), type: 'dashed' as const },
            data: lines,
          },
        }),
      })),
    };
  }
</script>

<figure class="box mb-3 p-3" class:hidden={drawn.length === 0} data-testid="candidate-field">
  <figcaption class="mb-1">
    <span class="font-medium">All that could do it</span>
    <span class="text-[13px] text-quiet"
      >filled passes, outlined has cautions, small fails; round starts on the line, square runs on a drive. Point for
      the reason, select to open it below.</span
    >
  </figcaption>
  <div
    bind:this={box}
    style="height: 260px"
    role="img"
    aria-label="Candidates by rating and life-cycle cost: {drawn.filter((r) => r.outcome === 'pass')
      .length} pass. The table below has every one."
  ></div>
</figure>
