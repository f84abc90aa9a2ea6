import { frictionAt, seen, seenAt, seenFed, seenLength, type Circuit } from '../machine/circuit';
import type { Feed } from '../supply/network';
import { startTorqueAt, type Run, type RunEvent, type StartLoad } from './run';
import { arrived, columnsOf, longest } from './runup';

/** A drive's settings: seconds from standstill to rated frequency, A at the motor, final speed in r/min. */
export interface DrivePlan {
  readonly method: 'drive';
  readonly ramp: number;
  readonly limit: number;
  readonly speed: number;
  /** `vector`: holds the flux from standstill; `scalar`: volts per hertz, with `boost` of rated voltage at zero. */
  readonly control: 'vector' | 'scalar';
  readonly boost: number;
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
export const driveShareAtLoad = 0.97;
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

/** One working point behind a drive: what the motor gives and takes. */
interface Point {
  torque: number;
  current: number;
  stator: number;
  rotor: number;
  core: number;
}

/**
 * The motor behind a drive at n r/min with slip frequency f2, written into `p`. Up to base frequency a vector drive
 * holds the air-gap
 * flux of the rated point, a scalar one volts per hertz with its boost; above, voltage stays and flux falls.
 */
class Fed {
  readonly #view = new Float64Array(seenLength);
  readonly #ratedEmf: number;

  constructor(
    readonly circuit: Circuit,
    readonly plan: DrivePlan,
  ) {
    const c = circuit;
    const s = 1 - (c.ratedSpeed * c.poles) / (120 * c.frequency);
    this.#ratedEmf = this.#emf(c.frequency, s, c.voltage);
  }

  /** Air-gap voltage per phase at frequency f and slip s with line voltage U. */
  #emf(f: number, s: number, U: number): number {
    const c = this.circuit;
    seenAt(c, f, s, this.#view);
    const r = this.#view[seen.resistance] ?? 0;
    const x = this.#view[seen.reactance] ?? 0;
    const inner = length(r - c.statorResistance - (c.strayResistance ?? 0), x - (c.statorReactance * f) / c.frequency);
    return ((U / rootThree) * inner) / length(r, x);
  }

  solve(n: number, f2: number, p: Point): void {
    const c = this.circuit;
    const f = Math.max(1e-3, (n * c.poles) / 120 + f2);
    const s = f2 / f;
    seenAt(c, f, Math.abs(s) < 1e-6 ? 1e-6 : s, this.#view);
    const r = this.#view[seen.resistance] ?? 0;
    const x = this.#view[seen.reactance] ?? 0;
    const share = Math.min(1, f / c.frequency);
    const most = c.voltage / rootThree;
    let current: number;
    if (this.plan.control === 'vector') {
      // Flux held: current is the air-gap voltage over what lies behind it; the voltage that needs is bounded by the
      // line's.
      const inner = length(
        r - c.statorResistance - (c.strayResistance ?? 0),
        x - (c.statorReactance * f) / c.frequency,
      );
      current = Math.min((this.#ratedEmf * share) / inner, most / length(r, x));
    } else {
      const volts = this.plan.boost + (1 - this.plan.boost) * share;
      current = (most * volts) / length(r, x);
    }
    const square = current * current;
    const gap = square * (this.#view[seen.airGap] ?? 0);
    p.current = current;
    p.torque = (gap * c.poles) / (4 * pi * f);
    p.stator = 3 * square * (c.statorResistance + (c.strayResistance ?? 0));
    p.rotor = gap * s;
    p.core = square * (this.#view[seen.core] ?? 0);
  }

  /** Slip frequency of the most torque within the current limit at n r/min. */
  most(n: number, p: Point): number {
    let best = 0;
    let torque = -Infinity;
    let f2 = 0.02;
    const end = 0.5 * this.circuit.frequency;
    // Torque rises with slip frequency until the limit or pull-out is met.
    for (; f2 < end; f2 *= 1.25) {
      this.solve(n, f2, p);
      if (p.current > this.plan.limit || p.torque < torque) break;
      best = f2;
      torque = p.torque;
    }
    let high = Math.min(end, f2);
    for (let i = 0; i < 18; i++) {
      const mid = (best + high) / 2;
      this.solve(n, mid, p);
      if (p.current <= this.plan.limit && p.torque >= torque) {
        best = mid;
        torque = p.torque;
      } else high = mid;
    }
    this.solve(n, best, p);
    return best;
  }

  /**
   * The point that gives torque T at n r/min, T between nothing and the torque of slip frequency `most`: by regula
   * falsi (Illinois).
   */
  give(n: number, T: number, most: number, p: Point): void {
    let low = T < 0 ? -most : 0;
    this.solve(n, low, p);
    let below = p.torque - T;
    let high = T < 0 ? 0 : most;
    this.solve(n, high, p);
    let above = p.torque - T;
    for (let i = 0; i < 12 && Math.abs(above - below) > 1e-9; i++) {
      const mid = Math.max(low, Math.min(high, low - (below * (high - low)) / (above - below)));
      this.solve(n, mid, p);
      const off = p.torque - T;
      if (Math.abs(off) < 1e-5 * Math.abs(T) + 1e-6) return;
      if (off < 0) {
        low = mid;
        below = off;
        above /= 2;
      } else {
        high = mid;
        above = off;
        below /= 2;
      }
    }
  }
}

/** Most torque in N·m a motor gives at n r/min behind a drive with these settings. */
export function driveTorqueAt(circuit: Circuit, plan: DrivePlan, n: number): number {
  const p: Point = { torque: 0, current: 0, stator: 0, rotor: 0, core: 0 };
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
  const p: Point = { torque: 0, current: 0, stator: 0, rotor: 0, core: 0 };
  const baseSpeed = (120 * circuit.frequency) / circuit.poles;
  const goal = plan.speed;
  const rising = Math.max(plan.ramp, 1e-3) * (goal / baseSpeed);
  const able = new Float64Array(limits + 1);
  const slips = new Float64Array(limits + 1);
  for (let i = 0; i <= limits; i++) {
    slips[i] = fed.most((goal * i) / limits, p);
    able[i] = p.torque;
  }
  // As long as the ramp, or as torque at the limit takes where that is longer.
  let spare = Infinity;
  for (let i = 0; i <= limits; i++) spare = Math.min(spare, (able[i] ?? 0) - startTorqueAt(load, (goal * i) / limits));
  const byTorque = spare > 0 ? Math.min(longest, (inertia * goal * pi) / 30 / spare) : 0;
  const horizon = Math.min(longest, Math.max(2 * rising + 5, 4 * rising, 1.5 * byTorque + 5));
  const h = Math.max(rising / rows, byTorque / (4 * rows), horizon / 5000);
  const most = Math.ceil(horizon / h);
  const trace = spec.traced ? new Float64Array(9 * (most + 2)) : undefined;
  const events: RunEvent[] = [];
  const energy = { input: 0, stator: 0, rotor: 0, core: 0, friction: 0, load: 0, kinetic: 0 };
  const view = new Float64Array(seenLength);
  seenFed(circuit, circuit.voltage, circuit.frequency, 1, view);
  const locked = circuit.voltage / rootThree / length(view[seen.resistance] ?? 1, view[seen.reactance] ?? 1);
  const permitted = locked * locked * spec.stallTime;
  const permittedRotor = locked * locked * (view[seen.airGap] ?? 1) * spec.stallTime;
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
    const resisting = startTorqueAt(load, n) + (w > 1e-9 ? friction / w : 0);
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
    const bus = feed.voltage - rootThree * line * (feed.reactance * driveReactiveShare + feed.resistance);
    leastBus = Math.min(leastBus, bus);
    if (arrival === undefined) {
      const left = limit - startTorqueAt(load, n);
      if (left < margin) [margin, marginSpeed] = [left, n];
    }
    energy.input += input * h;
    energy.stator += p.stator * h;
    energy.rotor += p.rotor * h;
    energy.core += p.core * h;
    energy.friction += friction * h;
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
          Math.min(1, n / baseSpeed) * circuit.voltage,
          Math.max(squared / permitted, energy.rotor / permittedRotor),
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
    margin: margin === Infinity ? 0 : margin,
    marginSpeed,
    statorHeat: squared / permitted,
    rotorHeat: energy.rotor / permittedRotor,
    energy,
    events,
    trace: trace && columnsOf(trace, row),
    steps: row,
  };
}
