import type { Circuit } from '../machine/circuit';
import { runOnDrive, type DrivePlan } from './driveRun';
import { grid, gridLength, Network, type Feed, type Hookup } from '../supply/network';
import { startTorqueAt, type Plan, type Run, type StartLoad } from './run';
import { runUp } from './runup';

/**
 * One motor on one supply with one load: everything of a start but its method. Rated values of the motor, permitted
 * times in s.
 */
export interface StartCase {
  readonly circuit: Circuit;
  readonly feed: Feed;
  readonly inertia: number;
  readonly load: StartLoad;
  readonly stallTime: number;
  readonly ratedCurrent: number;
  readonly ratedTorque: number;
  /** Longest time to speed; Infinity where nobody asks. */
  readonly permitted: number;
}

export type AnyPlan = Plan | DrivePlan;

/** Simulates one start. */
export const simulate = (s: StartCase, plan: AnyPlan, traced = false): Run =>
  plan.method === 'drive' ? runOnDrive({ ...s, plan, traced }) : runUp({ ...s, plan, traced });

/**
 * Speed in r/min that a motor hung so attains from standstill: where the load first meets its torque; 0 where it does
 * not even break away. Scanned in
 * steps of half a percent of synchronous speed, then bisected.
 */
export function attainedSpeed(s: StartCase, hookup: Hookup): number {
  const net = new Network(s.circuit, s.feed);
  const out = new Float64Array(gridLength);
  const synchronous = (120 * s.feed.frequency) / s.circuit.poles;
  const surplus = (n: number): number => {
    net.solve(n, hookup, undefined, s.feed.voltage, s.feed.reactance, out);
    return (out[grid.torque] ?? 0) - startTorqueAt(s.load, n);
  };
  let before = 0;
  if (surplus(0) <= 0) return 0;
  for (let i = 1; i <= 200; i++) {
    const n = (synchronous * i) / 200;
    if (surplus(n) <= 0) {
      let [low, high] = [before, n];
      while (high - low > 1e-4 * synchronous) {
        const mid = (low + high) / 2;
        if (surplus(mid) > 0) low = mid;
        else high = mid;
      }
      return low;
    }
    before = n;
  }
  return synchronous;
}

/**
 * Torque and line current of a motor on the line in a way of hanging it, under a current `limit` in A where there is
 * one, at `steps` + 1 speeds from standstill to synchronous.
 */
export function curveOf(
  s: StartCase,
  hookup: Hookup,
  limit: number | undefined,
  steps = 48,
): { readonly speed: number[]; readonly torque: number[]; readonly current: number[] } {
  const net = new Network(s.circuit, s.feed);
  const out = new Float64Array(gridLength);
  const synchronous = (120 * s.feed.frequency) / s.circuit.poles;
  const control = limit === undefined ? undefined : { current: limit, voltage: 1, torque: Infinity };
  const speed: number[] = [];
  const torque: number[] = [];
  const current: number[] = [];
  for (let i = 0; i <= steps; i++) {
    // Closer together near synchronous, where the curve is steep.
    const x = i / steps;
    const n = synchronous * (1 - (1 - x) ** 1.6);
    net.solve(n, hookup, control, s.feed.voltage, s.feed.reactance, out);
    speed.push(n);
    torque.push(out[grid.torque] ?? 0);
    current.push(out[grid.line] ?? 0);
  }
  return { speed, torque, current };
}
