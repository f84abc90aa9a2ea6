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
    methods: tried.map((t) => methodCurve(bench, t.planned.plan)),
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

/** Torque and line current over speed of one method, its reduced stage where it has one. */
export function methodCurve(bench: StartCase, plan: AnyPlan): StartCurves['methods'][number] {
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
  const c = curveOf(bench, hookup, limit);
  return { method, speed: rounded(c.speed, 1), torque: rounded(c.torque, 2), current: rounded(c.current, 2) };
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
