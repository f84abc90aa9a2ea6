import { answerLength, at, breakdown, slipForShaftTorque, solveAt, type Circuit } from './circuit';

/** A machine's steady state: V line to line, Hz, r/min, A, N·m, W; losses by kind. */
export interface OperatingPoint {
  readonly voltage: number;
  readonly frequency: number;
  readonly speed: number;
  readonly slip: number;
  readonly current: number;
  readonly powerFactor: number;
  readonly torque: number;
  readonly input: number;
  readonly output: number;
  readonly efficiency: number;
  readonly losses: {
    readonly stator: number;
    readonly rotor: number;
    readonly core: number;
    readonly friction: number;
    readonly stray: number;
  };
}

/** The machine fed with line voltage U and frequency f, turning at slip s. U and f above zero, s of any sign. */
export function pointAt(c: Circuit, U: number, f: number, s: number): OperatingPoint {
  const out = new Float64Array(answerLength);
  solveAt(c, U, f, s, out);
  const input = out[at.input] ?? 0;
  const output = out[at.output] ?? 0;
  return {
    voltage: U,
    frequency: f,
    speed: ((120 * f) / c.poles) * (1 - s),
    slip: s,
    current: out[at.current] ?? 0,
    powerFactor: out[at.powerFactor] ?? 0,
    torque: out[at.shaftTorque] ?? 0,
    input,
    output,
    efficiency: input > 0 && output > 0 ? output / input : 0,
    losses: {
      stator: out[at.statorLoss] ?? 0,
      rotor: out[at.rotorLoss] ?? 0,
      core: out[at.coreLoss] ?? 0,
      friction: out[at.friction] ?? 0,
      stray: out[at.strayLoss] ?? 0,
    },
  };
}

/**
 * The machine carrying shaft torque T (N·m) at line voltage U and frequency f; undefined where breakdown is not
 * enough.
 */
export function pointForTorque(c: Circuit, U: number, f: number, T: number): OperatingPoint | undefined {
  const s = slipForShaftTorque(c, U, f, T);
  return s === undefined ? undefined : pointAt(c, U, f, s);
}

/** Rated torque at the shaft by the circuit, N·m. */
export const ratedTorqueOf = (c: Circuit): number =>
  pointAt(c, c.voltage, c.frequency, 1 - (c.ratedSpeed * c.poles) / (120 * c.frequency)).torque;

const golden = (Math.sqrt(5) - 1) / 2;

/**
 * The line voltage that carries torque T at frequency f with the least input power: what an energy-saving mode of a
 * drive looks for. Searched by golden
 * section between a fifth and all of the voltage the drive has at that frequency (rated V/Hz, at most rated); T keeps
 * 1.5 × reserve to breakdown.
 * Undefined where even full voltage does not carry it so.
 */
export function bestVoltage(c: Circuit, f: number, T: number): OperatingPoint | undefined {
  const full = c.voltage * Math.min(1, f / c.frequency);
  const carries = (U: number): boolean => breakdown(c, U, f, 1e-3).torque >= 1.5 * T;
  if (!carries(full)) return undefined;
  let low = 0.2 * full;
  let high = full;
  // Least voltage that keeps the reserve: torque goes with the square of it.
  if (!carries(low)) low = full * Math.sqrt((1.5 * T) / breakdown(c, full, f).torque);
  const input = (U: number): number => pointForTorque(c, U, f, T)?.input ?? Infinity;
  let a = high - golden * (high - low);
  let b = low + golden * (high - low);
  let ia = input(a);
  let ib = input(b);
  while (high - low > 1e-3 * full) {
    if (ia < ib) {
      high = b;
      b = a;
      ib = ia;
      a = high - golden * (high - low);
      ia = input(a);
    } else {
      low = a;
      a = b;
      ia = ib;
      b = low + golden * (high - low);
      ib = input(b);
    }
  }
  return pointForTorque(c, (low + high) / 2, f, T);
}
