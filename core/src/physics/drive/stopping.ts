import { definition } from '../../contract';
import { law, notNegative } from '../../law';
import { seen, seenAt, seenLength, type Circuit } from '../machine/circuit';
import { mechanics } from '../mechanics/shaft';

/** What turns and what holds it back. kg·m², r/min; torques in N·m against r/min. */
export interface Turning {
  readonly inertia: number;
  readonly speed: number;
  readonly load: (n: number) => number;
}

/** A stop by a straight ramp, or a run-out. s, J, W; `torque` N·m by which the motor must brake at most. */
export interface Stop {
  readonly time: number;
  /** Taken out through the motor. */
  readonly energy: number;
  /** Highest power taken out. */
  readonly peak: number;
  readonly torque: number;
}

const rad = Math.PI / 30;
const parts = 400;
/** Speed ÷ its first below which what holds a machine that runs out no longer changes. */
const creeping = 0.001;

/**
 * Seconds until the machine stands that runs out by itself, with `drag` N·m of its bearings and fan; Infinity where
 * nothing holds it.
 */
export function coastTime({ inertia, speed, load }: Turning, drag: (n: number) => number): number {
  let time = 0;
  // In equal steps of the logarithm: a fan's last turns are the long ones.
  const ratio = creeping ** (1 / parts);
  let n = speed;
  for (let i = 0; i < parts; i++, n *= ratio) {
    const mid = n * Math.sqrt(ratio);
    const torque = load(mid) + drag(mid);
    if (!(torque > 0)) return Infinity;
    time += (inertia * rad * n * (1 - ratio)) / torque;
  }
  return time + (inertia * rad * n) / (load(n) + drag(n));
}

/**
 * Least seconds of a straight ramp on which the motor never brakes with more than `brake` N·m at n r/min; the load and
 * `drag` help. Infinity where nothing holds it.
 */
export function quickestRamp(
  { inertia, speed, load }: Turning,
  brake: (n: number) => number,
  drag: (n: number) => number,
): number {
  let time = 0;
  for (let i = 0; i < parts; i++) {
    const n = (speed * (parts - i)) / parts;
    const torque = load(n) + drag(n) + brake(n);
    if (!(torque > 0)) return Infinity;
    time = Math.max(time, (inertia * rad * speed) / torque);
  }
  return time;
}

/** What a straight ramp of so many seconds takes out through the motor. */
export function rampedStop({ inertia, speed, load }: Turning, time: number): Stop {
  const slope = (inertia * rad * speed) / time;
  let [energy, peak, most] = [0, 0, 0];
  for (let i = 0; i < parts; i++) {
    const n = (speed * (parts - i - 0.5)) / parts;
    const torque = slope - load(n);
    if (torque <= 0) continue;
    const power = torque * rad * n;
    energy += (power * time) / parts;
    peak = Math.max(peak, power);
    most = Math.max(most, torque);
  }
  return { time, energy, peak, torque: most };
}

/** Of a motor's rated flux that direct current does not exceed: its iron saturates. */
const saturated = 1.2;
/** Direct current while braking, as alternating current that heats alike, × rated: 0.5 to 1.5 is usual. */
export const injected = 1.5;

/**
 * N·m by which losses of `lost` W brake at n r/min, no more than half of rated torque: currents have their limit.
 */
export const lossTorque = (lost: number, ratedTorque: number, n: number): number =>
  Math.min(lost / (Math.max(n, 1e-6) * rad), 0.5 * ratedTorque);

const view = new Float64Array(seenLength);

/**
 * N·m by which direct current brakes at n r/min; `current`: A of the alternating current that heats alike. The
 * winding's field stands still, so the rotor sees the frequency of its own turning; the iron saturates at low speed.
 */
export function injectedTorque(c: Circuit, current: number, n: number): number {
  const f = Math.max((n * c.poles) / 120, 1e-3);
  seenAt(c, f, 1, view);
  const r = (view[seen.resistance] ?? 0) - c.statorResistance - (c.strayResistance ?? 0);
  const x = (view[seen.reactance] ?? 0) - (c.statorReactance * f) / c.frequency;
  const most = (saturated * c.voltage * f) / c.frequency / Math.sqrt(3);
  const fluxed = Math.min(1, most / (current * Math.sqrt(r * r + x * x)));
  return ((current * fluxed) ** 2 * (view[seen.airGap] ?? 0) * c.poles) / (4 * Math.PI * f);
}

/** Kinetic energy between two speeds, less what the load takes meanwhile. */
export const brakingEnergy = law({
  name: 'Energy that braking takes out',
  symbol: 'E_b',
  unit: 'J',
  takes: { J: 'kg.m2', n_1: 'rpm', E_L: 'J' },
  formula: 'J * (pi * n_1 / 30)^2 / 2 - E_L',
  source: mechanics,
  range: { J: notNegative, n_1: notNegative, E_L: notNegative },
  example: { of: { J: 2, n_1: 1500, E_L: 0 }, gives: 24674, from: 'by hand: ½ · 2 · 157.08²' },
  of: ({ J, n_1, E_L }) => (J * (rad * n_1) ** 2) / 2 - E_L,
});

/** Ohms at which a chopper just takes the power at its threshold. */
export const brakingResistance = law({
  name: 'Highest resistance that takes the power',
  symbol: 'R_b',
  unit: 'ohm',
  takes: { U_c: 'V', P_b: 'W' },
  formula: 'U_c^2 / P_b',
  source: definition('Power in a resistance', 'P = U²/R'),
  range: { U_c: notNegative, P_b: notNegative },
  example: { of: { U_c: 780, P_b: 30000 }, gives: 20.28, from: 'by hand' },
  of: ({ U_c, P_b }) => (U_c * U_c) / P_b,
});
