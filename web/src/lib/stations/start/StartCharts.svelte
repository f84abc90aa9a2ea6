<script lang="ts">
  import type { Method, StartPreview, StartRow } from '@pilgrim/core';
  import { writeNumber, writeQuantity } from '@pilgrim/core/quantity';
  import { words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt, type Json } from '$lib/desk/paths';
  import { startPreview } from '$lib/solver';
  import PanelChart from './PanelChart.svelte';
  import type { Handle, Mark, Panel } from './panels';

  interface Props {
    row: StartRow;
    method: Method;
    /** A handle was moved: this method stays in sight, whatever is chosen with the new setting. */
    stay: () => void;
  }
  let { row, method, stay }: Props = $props();
  const desk = useDesk();
  const curves = $derived(desk().result?.curves.start);
  const rated = $derived(desk().figure('choice.ratedCurrent')?.value ?? desk().figure('motor.current')?.value ?? 1);
  const synchronous = $derived(curves?.loadSpeed.at(-1)?.[0] ?? 1500);

  /** A method other than the chosen one, simulated apart from the case; and what the held handle would make of this one. */
  let looked = $state.raw<StartPreview | null>(null);
  let held = $state.raw<StartPreview | null>(null);
  let busy = false;
  let waiting: object | undefined;

  /** Asks for the newest draft only: one at work, one waiting. */
  async function ask(draft: object): Promise<void> {
    waiting = draft;
    if (busy) return;
    busy = true;
    while (waiting) {
      const next = waiting;
      waiting = undefined;
      const answer = await startPreview(next, method);
      if (answer?.method === method) held = answer;
    }
    busy = false;
  }
  $effect(() => {
    void desk().answers;
    held = null;
    const of = method;
    if (!curves || of === curves.method) looked = null;
    else
      void startPreview($state.snapshot(desk().case), of).then((answer) => {
        if (of === method) looked = answer;
      });
  });

  type Edits = readonly (readonly [path: string, value: Json | undefined])[];
  function draftWith(edits: Edits): object {
    const draft: object = structuredClone(desk().case);
    for (const [path, value] of edits) putAt(draft, path, value);
    return draft;
  }
  /** A handle that writes fields of the case: previewed while held, put there when let go. */
  function handle(of: Omit<Handle, 'move' | 'put'>, edits: (value: number) => Edits): Handle {
    return {
      ...of,
      move: (v) => void ask(draftWith(edits(v))),
      put: (v) => {
        stay();
        desk().change('', (draft) => edits(v).forEach(([path, value]) => putAt(draft, path, value)), of.label);
      },
    };
  }

  const drawn = $derived(curves?.method === method ? curves : looked?.method === method ? looked : null);
  const settings = $derived(row.settings);
  const setting = (end: string): number | undefined => {
    const value = settings.find((s) => s.path.endsWith(end))?.value;
    return typeof value === 'number' ? value : undefined;
  };
  const base = $derived(
    {
      'star-delta': 'start.starDelta',
      autotransformer: 'start.autotransformer',
      'primary-reactor': 'start.reactor',
      'soft-starter': 'start.softStarter',
      drive: 'start.drive',
      direct: '',
    }[method],
  );
  const reduced = $derived(method === 'star-delta' || method === 'autotransformer' || method === 'primary-reactor');
  const changed = $derived(row.events.find((e) => e.text === 'full line'));

  const pairs = (xs: readonly number[], ys: readonly number[]): (readonly [number, number])[] =>
    xs.map((x, i) => [x, ys[i] ?? 0]);
  const curveOf = (m: Method) => curves?.methods.find((c) => c.method === m);
  const direct = $derived(curves?.methods.find((c) => c.method === 'direct'));

  /** Where the names of the other methods stand: each at another share of its line, beside the chosen one's. */
  const aside = (i: number): number => [0.08, 0.34, 0.47, 0.6][i % 4] ?? 0.6;

  const bySpeed = $derived.by((): readonly Panel[] => {
    if (!curves) return [];
    const own = curveOf(method);
    const others = curves.methods.filter((c) => c.method !== method && c.method !== 'direct');
    const named = (m: Method): string => words(m);
    const full =
      method === 'direct' || !direct ? [] : [{ name: reduced ? 'full line' : 'direct', role: 'second' as const }];
    return [
      {
        y: 'Torque, N·m',
        weight: 3,
        series: [
          ...(own
            ? [{ name: named(method), role: 'main' as const, points: pairs(own.speed, own.torque), nameAt: 0.2 }]
            : []),
          ...full.map((f) => ({ ...f, points: pairs(direct?.speed ?? [], direct?.torque ?? []), nameAt: 0.2 })),
          { name: 'load', role: 'load', points: curves.loadSpeed },
          ...others.map((c, i) => ({
            name: named(c.method),
            role: 'faint' as const,
            points: pairs(c.speed, c.torque),
            nameAt: aside(i),
          })),
        ],
      },
      {
        y: method === 'drive' ? 'Motor current, A' : 'Line current, A',
        weight: 2,
        series: [
          ...(own
            ? [{ name: named(method), role: 'main' as const, points: pairs(own.speed, own.current), nameAt: 0.2 }]
            : []),
          ...full.map((f) => ({ ...f, points: pairs(direct?.speed ?? [], direct?.current ?? []), nameAt: 0.2 })),
          ...others.map((c, i) => ({
            name: named(c.method),
            role: 'faint' as const,
            points: pairs(c.speed, c.current),
            nameAt: aside(i),
          })),
        ],
      },
    ];
  });

  const speedHandles = $derived.by((): readonly Handle[] => {
    if (reduced) {
      const share = setting('.speed') ?? (changed ? changed.speed / synchronous : undefined);
      if (share === undefined) return [];
      const grip = {
        panel: 0,
        axis: 'x',
        value: share * synchronous,
        min: 0.1 * synchronous,
        max: 0.99 * synchronous,
        step: 0.01 * synchronous,
        label: 'Changeover speed',
      } as const;
      return [
        handle({ ...grip, text: (v) => `changeover ${((v / synchronous) * 100).toFixed(0)} %` }, (v) => [
          [`${base}.speed`, Number((v / synchronous).toFixed(2))],
          [`${base}.time`, undefined],
        ]),
      ];
    }
    const limit = setting('.limit');
    if (limit === undefined) return [];
    const most = method === 'drive' ? 3 : 8;
    const grip = {
      panel: 1,
      axis: 'y',
      value: limit * rated,
      min: rated,
      max: most * rated,
      step: 0.05 * rated,
      label: 'Current limit',
    } as const;
    return [
      handle({ ...grip, text: (v) => `limit ${writeNumber(v / rated)} × rated` }, (v) => [
        [`${base}.limit`, Number((v / rated).toFixed(2))],
      ]),
    ];
  });

  const brief = (v: number): string => String(Number(v.toPrecision(3)));
  const maxDip = $derived(Number(desk().value('rules.maxDip') ?? 0.15));
  const known = $derived(row.run?.dip !== null);
  /** The columns of a start as panels over time. */
  function panelsOf(
    run: Pick<StartPreview, 'time' | 'speed' | 'line' | 'torque' | 'load' | 'bus' | 'heat'>,
  ): readonly Panel[] {
    if (run.time.length < 2) return [];
    const t = run.time;
    const least = Math.min(...run.bus, 1 - maxDip);
    return [
      {
        y: 'Speed, r/min',
        weight: 3,
        series: [{ name: 'speed', role: 'main', points: pairs(t, run.speed), nameAt: 'nowhere' }],
      },
      {
        y: 'Line current, A',
        weight: 2,
        series: [{ name: 'line current', role: 'main', points: pairs(t, run.line), nameAt: 'nowhere' }],
      },
      {
        y: 'Torque, N·m',
        weight: 2.4,
        series: [
          { name: 'motor', role: 'main', points: pairs(t, run.torque), nameAt: 0.2 },
          { name: 'load', role: 'load', points: pairs(t, run.load) },
        ],
      },
      ...(known
        ? [
            {
              y: 'Bus voltage',
              weight: 1.6,
              min: Math.floor(least * 20 - 0.4) / 20,
              max: Math.ceil(Math.max(1, ...run.bus) * 20 - 0.1) / 20,
              limit: { value: 1 - maxDip, name: `dip over ${(maxDip * 100).toFixed(0)} %`, side: 'below' as const },
              series: [
                { name: 'bus voltage', role: 'main' as const, points: pairs(t, run.bus), nameAt: 'nowhere' as const },
              ],
            },
          ]
        : []),
      {
        y: 'Heat share',
        weight: 1.6,
        series: [
          { name: 'of permitted', role: 'main' as const, points: pairs(t, run.heat), nameAt: 'nowhere' as const },
        ],
      },
    ];
  }
  const byTime = $derived(drawn ? panelsOf(drawn) : []);
  /** What the held handle would make of both charts. */
  const liveByTime = $derived(held ? panelsOf(held) : null);
  const liveBySpeed = $derived.by((): readonly Panel[] | null => {
    const own = held?.curve;
    if (!own) return null;
    const line = (ys: readonly number[]): Panel => ({
      y: '',
      weight: 1,
      series: [{ name: 'moved', role: 'main', points: pairs(own.speed, ys) }],
    });
    return [line(own.torque), line(own.current)];
  });
  const end = $derived(drawn?.time.at(-1) ?? 1);
  const timeHandles = $derived.by((): readonly Handle[] => {
    if (byTime.length === 0) return [];
    if (reduced && changed) {
      const at = setting('.time') ?? (row.events.find((e) => e.text === 'star opens') ?? changed).time;
      const step = at < 2 ? 0.01 : 0.1;
      const grip = {
        panel: 0,
        axis: 'x',
        value: at,
        min: step,
        max: Math.max(1, 3 * at),
        step,
        label: 'Changeover time',
      } as const;
      return [
        handle({ ...grip, text: (v) => `after ${brief(v)} s` }, (v) => [
          [`${base}.time`, `${brief(v)} s`],
          [`${base}.speed`, undefined],
        ]),
      ];
    }
    const path = method === 'drive' ? 'start.drive.ramp' : 'start.softStarter.time';
    const ramp = settings.find((s) => s.path === path)?.value;
    if (typeof ramp !== 'number') return [];
    return [
      handle(
        {
          panel: 0,
          axis: 'x',
          value: ramp,
          min: 0.5,
          max: Math.max(30, 2 * ramp),
          step: 0.1,
          label: 'Ramp time',
          text: (v) => `ramp ${v.toFixed(1)} s`,
        },
        (v) => [[path, `${v.toFixed(1)} s`]],
      ),
    ];
  });
  const marks = $derived.by((): readonly Mark[] => row.events.map((e) => ({ x: e.time, text: e.text })));
  /** The next value above that a scale likes. */
  function nice(v: number): number {
    const unit = 10 ** Math.floor(Math.log10(v));
    return ([1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10].find((k) => k * unit >= v * 1.001) ?? 10) * unit;
  }
  const xMax = $derived(nice(Math.max(end, ...timeHandles.map((h) => h.value))));
  const reading = $derived.by(() => {
    const at = held
      ? { time: held.arrival, current: held.peakCurrent, dip: held.dip, heat: held.thermalUse }
      : {
          time: row.run?.time ?? null,
          current: row.run?.peakCurrent ?? 0,
          dip: row.run?.dip ?? null,
          heat: row.run?.thermalUse ?? 0,
        };
    const speed = at.time === null ? 'does not come to speed' : `to speed in ${writeQuantity(at.time, 's')}`;
    const dip = at.dip === null ? '' : `, dip ${(at.dip * 100).toFixed(1)} %`;
    const heat = at.time === null ? '' : `, ${(at.heat * 100).toFixed(0)} % of the permitted heat`;
    return `${speed}, ${writeQuantity(at.current, 'A')} at most${dip}${heat}`;
  });
</script>

{#if curves && row.run}
  <p class="mb-2 text-[14px]" data-testid="start-reading">
    <span class="font-medium">{words(method)}:</span>
    {reading}.
  </p>
  <PanelChart
    title="Torque and current against speed"
    x="Speed, r/min"
    panels={bySpeed}
    live={liveBySpeed}
    handles={speedHandles}
    xMax={Math.ceil(synchronous / 100) * 100}
    height={390}
    summary={`Load and motor torque, and current, from standstill to ${Math.round(synchronous)} r/min with the supply's dip in them. ${row.text}`}
  />
  {#if byTime.length > 0}
    <div class="mt-3">
      <PanelChart
        title="Run-up against time"
        x="Time, s"
        panels={byTime}
        live={liveByTime}
        handles={timeHandles}
        {marks}
        {xMax}
        height={known ? 560 : 470}
        summary={`${words(method)}: ${reading}.`}
      />
    </div>
  {:else}
    <p class="mt-2 text-quiet">Nothing moves: there is no run-up to draw.</p>
  {/if}
{/if}
