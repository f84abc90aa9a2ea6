import { frictionAt, seen, seenFed, seenLength, type Circuit } from '../machine/circuit';
import { Fed, noPoint, type FedBy } from '../machine/fed';
import { driveShare } from '../energy/flow';
import type { Feed } from '../supply/network';
import { startTorqueAt, type Run, type RunEvent, type StartLoad } from './run';
import { arrived, columnsOf, longest } from './runup';

/** A drive's settings: seconds from standstill to rated frequency, A at the motor, final speed in r/min. */
export interface DrivePlan extends FedBy {
  readonly method: 'drive';
  readonly ramp: number;
  readonly speed: number;
}

export interface DriveSpec {
  readonly circuit: Circuit;
  readonly feed: Feed;
  readonly inertia: number;
  readonly load: StartLoad;
  readonly plan: DrivePlan;
  readonly stallTime: number;
  readonly traced?: boolean;
}

/**
 * Share of its power a drive passes on, power factor at its input with a choke, and reactive part of its fundamental:
 * common practice.
 */
export const driveShareAtLoad = driveShare(1);
export const drivePowerFactor = 0.95;
export const driveReactiveShare = 0.25;

const rows = 100;
/** Speeds at which the torque at the current limit is worked out; straight lines between. */
const limits = 32;
const pi = Math.PI;
/** Of a vector; `Math.hypot` guards against overflows that no ohms have, at several times the cost. */
const length = (a: number, b: number): number => Math.sqrt(a * a + b * b);

const rootThree = Math.sqrt(3);

/** A value of a table of equal steps over 0 to 1. */
function between(table: Float64Array, x: number): number {
  const at = Math.max(0, Math.min(limits, x * limits));
  const i = Math.min(limits - 1, Math.floor(at));
  const low = table[i] ?? 0;
  return low + (at - i) * ((table[i + 1] ?? 0) - low);
}

/**
 * What a motor bears from hot while it stands at its rated voltage for `stallTime` s: A²s of its stator and J of its
 * rotor.
 */
export function stallHeat(c: Circuit, stallTime: number): { readonly stator: number; readonly rotor: number } {
  const view = new Float64Array(seenLength);
  seenFed(c, c.voltage, c.frequency, 1, view);
  const locked = c.voltage / rootThree / length(view[seen.resistance] ?? 1, view[seen.reactance] ?? 1);
  return {
    stator: locked * locked * stallTime,
    rotor: locked * locked * (view[seen.airGap] ?? 1) * stallTime,
  };
}

/** Most torque in N·m a motor gives at n r/min behind a drive with these settings. */
export function driveTorqueAt(circuit: Circuit, plan: DrivePlan, n: number): number {
  const p = noPoint();
  new Fed(circuit, plan).most(n, p);
  return p.torque;
}

/**
 * A start behind a drive: speed follows the ramp as far as torque at the current limit allows; currents at the motor
 * by its circuit at held flux
 * or volts per hertz, at the supply by power. A hundred steps to the ramp. Fields as of `runUp`; `peakLine` is at the
 * supply.
 */
export function runOnDrive(spec: DriveSpec): Run {
  const { circuit, feed, plan, load, inertia } = spec;
  const fed = new Fed(circuit, plan);
  const p = noPoint();
  const baseSpeed = (120 * circuit.frequency) / circuit.poles;
  const goal = plan.speed;
  const source = feed.generator?.transientReactance ?? feed.reactance;
  const rising = Math.max(plan.ramp, 1e-3) * (goal / baseSpeed);
  const able = new Float64Array(limits + 1);
  const slips = new Float64Array(limits + 1);
  for (let i = 0; i <= limits; i++) {
    slips[i] = fed.most((goal * i) / limits, p);
    able[i] = p.torque;
  }
  // As long as the ramp, or as torque at the limit takes where that is longer.
  const spare = Array.from(able, (torque, i) => torque - startTorqueAt(load, (goal * i) / limits));
  const each = (inertia * ((goal / limits) * pi)) / 30;
  const byTorque = spare.every((torque) => torque > 0)
    ? Math.min(
        longest,
        spare.slice(1).reduce((time, torque, i) => time + (2 * each) / (torque + (spare[i] ?? 0)), 0),
      )
    : 0;
  const horizon = Math.min(longest, Math.max(2 * rising + 5, 4 * rising, 1.5 * byTorque + 5));
  const h = Math.max(rising / rows, byTorque / (4 * rows), horizon / 5000);
  const most = Math.ceil(horizon / h);
  const trace = spec.traced ? new Float64Array(9 * (most + 2)) : undefined;
  const events: RunEvent[] = [];
  const energy = { input: 0, stator: 0, rotor: 0, core: 0, friction: 0, load: 0, kinetic: 0 };
  const permitted = stallHeat(circuit, spec.stallTime);
  let n = 0;
  let t = 0;
  let row = 0;
  let [peakLine, peakMotor, leastBus, margin, marginSpeed, squared] = [0, 0, feed.voltage, Infinity, 0, 0];
  let arrival: number | undefined;
  let limited = false;
  let ending: 'stalled' | 'crawling' | undefined;
  for (let i = 0; i <= most; i++) {
    const wanted = Math.min(goal, (goal * (t + h)) / rising);
    const w = (n * pi) / 30;
    const friction = frictionAt(circuit, n);
    const rubbing = w > 1e-9 ? friction / w : 0;
    const resisting = startTorqueAt(load, n) + rubbing;
    const asked = resisting + (inertia * (((wanted - n) * pi) / 30)) / h;
    const limit = between(able, n / goal);
    const torque = Math.min(asked, limit);
    const f2 = between(slips, n / goal);
    if (asked < limit) fed.give(n, asked, f2, p);
    else fed.solve(n, f2, p);
    const net = torque - resisting;
    const standing = n <= 0 && net <= 0;
    const rate = standing ? 0 : net / inertia;
    const next = Math.max(0, Math.min(wanted, n + (rate * h * 30) / pi));
    const moved = ((next + n) / 2) * (pi / 30);
    const input = (standing ? 0 : torque * moved) + p.stator + p.rotor + p.core;
    const line = input / (driveShareAtLoad * rootThree * feed.voltage * drivePowerFactor);
    peakLine = Math.max(peakLine, line);
    peakMotor = Math.max(peakMotor, p.current);
    const bus = feed.voltage - rootThree * line * (source * driveReactiveShare + feed.resistance);
    leastBus = Math.min(leastBus, bus);
    if (arrival === undefined) {
      const left = limit - startTorqueAt(load, n);
      if (left < margin) [margin, marginSpeed] = [left, n];
    }
    energy.input += input * h;
    energy.stator += p.stator * h;
    energy.rotor += p.rotor * h;
    energy.core += p.core * h;
    energy.friction += rubbing * moved * h;
    energy.load += startTorqueAt(load, n) * moved * h;
    squared += p.current * p.current * h;
    if (trace) {
      trace.set(
        [
          t,
          n,
          line,
          p.current,
          torque,
          startTorqueAt(load, n),
          bus,
          p.voltage,
          Math.max(squared / permitted.stator, energy.rotor / permitted.rotor),
        ],
        row * 9,
      );
      row++;
    }
    const nowLimited = asked > limit * (1 + 1e-9);
    if (nowLimited !== limited && !standing) {
      if (nowLimited) events.push({ time: t, speed: n, what: 'limited' });
      limited = nowLimited;
    }
    t += h;
    if (arrival === undefined && next >= arrived * goal) {
      arrival = t - (h * (next - arrived * goal)) / Math.max(next - n, 1e-9);
      events.push({ time: arrival, speed: arrived * goal, what: 'at-speed' });
    }
    n = next;
    if (n >= goal * (1 - 1e-6)) break;
    if (t > rising && standing) {
      ending = 'stalled';
      break;
    }
    if (t > rising && rate <= (0.001 * baseSpeed * pi) / 30 / Math.max(rising, 1) && n < arrived * goal) {
      ending = 'crawling';
      break;
    }
  }
  if (ending) events.push({ time: t, speed: n, what: ending });
  energy.kinetic = 0.5 * inertia * ((n * pi) / 30) ** 2;
  return {
    outcome: arrival !== undefined ? 'running' : (ending ?? 'unfinished'),
    time: arrival,
    speed: n,
    finalSpeed: goal,
    heldAt: ending ? n : undefined,
    peakLine,
    peakMotor,
    changeoverCurrent: undefined,
    jolt: 0,
    dip: Math.max(0, 1 - leastBus / feed.voltage),
    terminalDip: 0,
    cableDrop: 0,
    margin: margin === Infinity ? 0 : margin,
    marginSpeed,
    statorHeat: squared / permitted.stator,
    rotorHeat: energy.rotor / permitted.rotor,
    energy,
    events,
    trace: trace && columnsOf(trace, row),
    steps: row,
  };
}
