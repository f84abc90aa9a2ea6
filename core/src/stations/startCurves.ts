import type { StartCurves } from '../case';
import {
  curveOf,
  driveTorqueAt,
  reducedHookup,
  startTorqueAt,
  type AnyPlan,
  type Run,
  type StartCase,
  type Trace,
} from '../physics';
import type { Tried } from './startCompare';

const brief = (list: ArrayLike<number>): number[] => Array.from(list, (x) => Number(x.toPrecision(5)));

/** Most points a chart of the run-up is given. */
const mostPoints = 160;

/** Curves of the subject's start over time, and of every method over speed. */
export function curvesOf(bench: StartCase, tried: readonly Tried[], own: Tried | undefined): StartCurves {
  const synchronous = (120 * bench.feed.frequency) / bench.circuit.poles;
  const speeds = Array.from({ length: 41 }, (_, i) => (synchronous * i) / 40);
  return {
    method: own?.method ?? 'direct',
    ...overTime(own?.run, bench),
    loadSpeed: speeds.map((n) => [Number(n.toPrecision(5)), Number(startTorqueAt(bench.load, n).toPrecision(5))]),
    methods: tried.map((t) => methodCurve(bench, t.planned.plan)),
  };
}

/** The columns of a traced start that a chart draws. */
export function overTime(run: Run | undefined, bench: StartCase): OverTime {
  const trace = thinned(run?.trace);
  return {
    time: brief(trace?.time ?? []),
    speed: brief(trace?.speed ?? []),
    line: brief(trace?.line ?? []),
    torque: brief(trace?.torque ?? []),
    load: brief(trace?.load ?? []),
    bus: brief((trace?.bus ?? []).map((u) => u / bench.feed.voltage)),
    heat: brief(trace?.heat ?? []),
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
      speed: brief(speeds),
      torque: brief(speeds.map((n) => driveTorqueAt(bench.circuit, plan, n))),
      current: brief(speeds.map(() => plan.limit)),
    };
  }
  const hookup = reducedHookup(bench.circuit, bench.feed.frequency, plan);
  const limit = plan.method === 'soft-starter' ? plan.limit : undefined;
  const c = curveOf(bench, hookup, limit);
  return { method, speed: brief(c.speed), torque: brief(c.torque), current: brief(c.current) };
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
