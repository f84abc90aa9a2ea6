import type { StartCurves } from '../../case';
import {
  curveOf,
  driveTorqueAt,
  reducedHookup,
  startTorqueAt,
  type AnyPlan,
  type Run,
  type StartCase,
  type Trace,
} from '../../physics';
import type { Tried } from '../../runs';

/** Rounded to so many decimals: what a chart can show, and no more to keep. */
const rounded = (list: ArrayLike<number>, decimals: number): number[] => {
  const k = 10 ** decimals;
  return Array.from(list, (x) => Math.round(x * k) / k);
};

/** Most points a chart of the run-up is given. */
const mostPoints = 160;

/** Curves of the subject's start over time, and of every method over speed. */
export function curvesOf(bench: StartCase, tried: readonly Tried[], own: Tried | undefined): StartCurves {
  const synchronous = (120 * bench.feed.frequency) / bench.circuit.poles;
  const speeds = Array.from({ length: 41 }, (_, i) => (synchronous * i) / 40);
  return {
    method: own?.method ?? 'direct',
    ...overTime(own?.run, bench),
    loadSpeed: speeds.map((n) => [Math.round(n * 10) / 10, Math.round(startTorqueAt(bench.load, n) * 100) / 100]),
    methods: tried.map((t) => methodCurve(bench, t.planned.plan, t.run)),
  };
}

/** The columns of a traced start that a chart draws. */
export function overTime(run: Run | undefined, bench: StartCase): OverTime {
  const trace = thinned(run?.trace);
  return {
    time: rounded(trace?.time ?? [], 4),
    speed: rounded(trace?.speed ?? [], 1),
    line: rounded(trace?.line ?? [], 2),
    torque: rounded(trace?.torque ?? [], 2),
    load: rounded(trace?.load ?? [], 2),
    bus: rounded(
      (trace?.bus ?? []).map((u) => u / bench.feed.voltage),
      5,
    ),
    heat: rounded(trace?.heat ?? [], 6),
  };
}

export type OverTime = Pick<StartCurves, 'time' | 'speed' | 'line' | 'torque' | 'load' | 'bus' | 'heat'>;

/**
 * Torque and line current over speed of one method: its reduced stage as far as the run stayed in it, then the full
 * one that it runs in.
 */
export function methodCurve(
  bench: StartCase,
  plan: AnyPlan,
  run: Pick<Run, 'events'> | undefined,
): StartCurves['methods'][number] {
  const { method } = plan;
  if (plan.method === 'drive') {
    const speeds = Array.from({ length: 13 }, (_, i) => (plan.speed * i) / 12);
    return {
      method,
      speed: rounded(speeds, 1),
      torque: rounded(
        speeds.map((n) => driveTorqueAt(bench.circuit, plan, n)),
        2,
      ),
      current: rounded(
        speeds.map(() => plan.limit),
        2,
      ),
    };
  }
  const hookup = reducedHookup(bench.circuit, bench.feed.frequency, plan);
  const limit = plan.method === 'soft-starter' ? plan.limit : undefined;
  const reduced = curveOf(bench, hookup, limit);
  const changed = run?.events.find((e) => e.what === 'changed-over')?.speed;
  const c = changed === undefined ? reduced : joined(reduced, curveOf(bench, fullHookup(bench), undefined), changed);
  return { method, speed: rounded(c.speed, 1), torque: rounded(c.torque, 2), current: rounded(c.current, 2) };
}

const fullHookup = ({ circuit, feed }: StartCase) => reducedHookup(circuit, feed.frequency, { method: 'direct' });

type Curve = ReturnType<typeof curveOf>;

/** One curve up to a speed in r/min and another from there, with a step between. */
function joined(first: Curve, then: Curve, at: number): Curve {
  const between = (c: Curve, y: readonly number[]): number => {
    const i = Math.max(
      1,
      c.speed.findIndex((n) => n >= at),
    );
    const [a = 0, b = 0] = [c.speed[i - 1], c.speed[i]];
    const [low = 0, high = 0] = [y[i - 1], y[i]];
    return b === a ? high : low + ((at - a) / (b - a)) * (high - low);
  };
  const below = first.speed.filter((n) => n < at).length;
  const above = then.speed.findIndex((n) => n > at);
  const rest = (y: readonly number[]): readonly number[] => (above < 0 ? [] : y.slice(above));
  const both = (y: (c: Curve) => readonly number[]): number[] => [
    ...y(first).slice(0, below),
    between(first, y(first)),
    between(then, y(then)),
    ...rest(y(then)),
  ];
  return {
    speed: [...first.speed.slice(0, below), at, at, ...rest(then.speed)],
    torque: both((c) => c.torque),
    current: both((c) => c.current),
  };
}

/** Every so many rows, ends and all. */
function thinned(trace: Trace | undefined): { readonly [K in keyof Trace]: number[] } | undefined {
  if (!trace) return undefined;
  const length = trace.time.length;
  const every = Math.max(1, Math.ceil(length / mostPoints));
  const keep = (column: Float64Array): number[] => {
    const kept: number[] = [];
    for (let i = 0; i < length; i += every) kept.push(column[i] ?? 0);
    if ((length - 1) % every !== 0) kept.push(column[length - 1] ?? 0);
    return kept;
  };
  return {
    time: keep(trace.time),
    speed: keep(trace.speed),
    line: keep(trace.line),
    motor: keep(trace.motor),
    torque: keep(trace.torque),
    load: keep(trace.load),
    bus: keep(trace.bus),
    terminal: keep(trace.terminal),
    heat: keep(trace.heat),
  };
}
