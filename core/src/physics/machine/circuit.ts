/**
 * Three-phase cage motor as a per-phase star circuit at rated frequency: stator, magnetising branch with core loss
 * beside it, one or two
 * rotor cages in parallel. Ohms, V line to line, Hz, W, r/min.
 */
export interface Circuit {
  readonly poles: number;
  readonly voltage: number;
  readonly frequency: number;
  readonly statorResistance: number;
  readonly statorReactance: number;
  readonly rotorResistance: number;
  readonly rotorReactance: number;
  readonly magnetisingReactance: number;
  /** Three-phase total at rated voltage; 0: none. */
  readonly coreLoss: number;
  /** Friction and windage at rated speed, with the cube of speed elsewhere. */
  readonly frictionLoss: number;
  readonly ratedSpeed: number;
  /**
   * Stands for the stray losses, which go with the square of current: Ω in series with the stator's own. None where
   * left out.
   */
  readonly strayResistance?: number;
  readonly cage2?: { readonly resistance: number; readonly reactance: number };
}

/** Where a circuit's answers are written: indices of `solveAt`'s output. */
export const at = {
  current: 0,
  powerFactor: 1,
  input: 2,
  airGap: 3,
  torque: 4,
  shaftTorque: 5,
  output: 6,
  statorLoss: 7,
  rotorLoss: 8,
  coreLoss: 9,
  friction: 10,
  strayLoss: 11,
} as const;
export const answerLength = 12;

/** Below this slip the rotor is taken as synchronous: its branch carries nothing. */
const leastSlip = 1e-9;

/**
 * Where `seenAt` writes: series resistance and reactance of the machine in Ω a phase, and what each A² of line current
 * brings.
 */
export const seen = { resistance: 0, reactance: 1, airGap: 2, core: 3 } as const;
export const seenLength = 4;

/** A circuit at one frequency as plain numbers, for loops that solve it again and again; see `prepare`. */
export const preparedLength = 8;

/**
 * Writes a circuit at frequency f into `p` (length `preparedLength`). Reactances go with frequency, core loss at
 * constant flux with f^1.5.
 */
export function prepare(c: Circuit, f: number, p: Float64Array): void {
  const k = f / c.frequency;
  p[0] = c.statorResistance + (c.strayResistance ?? 0);
  p[1] = c.statorReactance * k;
  p[2] = c.rotorResistance;
  p[3] = c.rotorReactance * k;
  p[4] = c.cage2?.resistance ?? Infinity;
  p[5] = c.cage2 ? c.cage2.reactance * k : 0;
  // Core loss as a conductance: at rated voltage and frequency it takes the stated loss.
  p[6] = c.coreLoss > 0 ? c.coreLoss / (c.voltage * c.voltage * Math.sqrt(k)) : 0;
  p[7] = -1 / (c.magnetisingReactance * k);
}

/**
 * The machine as its supply sees it at slip s, from a prepared circuit, written into `out` (length `seenLength`):
 * series resistance and
 * reactance per phase in Ω, and air-gap and core watts for each A² of line current. Exact, and linear in voltage, so
 * whatever stands in
 * series adds to it. Allocates nothing; s of any sign.
 */
export function seenBy(p: Float64Array, s: number, out: Float64Array): void {
  const slip = Math.abs(s) < leastSlip ? leastSlip : s;
  // Rotor admittance: cages in parallel, each R/s + jX.
  let r = (p[2] ?? 0) / slip;
  let x = p[3] ?? 0;
  let d = r * r + x * x;
  let g2 = r / d;
  let b2 = -x / d;
  const second = p[4] ?? Infinity;
  if (second < Infinity) {
    r = second / slip;
    x = p[5] ?? 0;
    d = r * r + x * x;
    g2 += r / d;
    b2 -= x / d;
  }
  const gc = p[6] ?? 0;
  const g = g2 + gc;
  const b = b2 + (p[7] ?? 0);
  const yy = g * g + b * b;
  out[seen.resistance] = (p[0] ?? 0) + g / yy;
  out[seen.reactance] = (p[1] ?? 0) - b / yy;
  out[seen.airGap] = (3 * g2) / yy;
  out[seen.core] = (3 * gc) / yy;
}

const prepared = new Float64Array(preparedLength);

/** The same of a circuit at frequency f, above zero. */
export function seenAt(c: Circuit, f: number, s: number, out: Float64Array): void {
  prepare(c, f, prepared);
  seenBy(prepared, s, out);
}

/** Friction and windage in W at n r/min: with the cube of speed. */
export const frictionAt = (c: Circuit, n: number): number => {
  const x = Math.abs(n / c.ratedSpeed);
  return c.frictionLoss * x * x * x;
};

const view = new Float64Array(seenLength);

/**
 * The steady state at slip s fed with line voltage U and frequency f, written into `out` (length `answerLength`): line
 * current A, power
 * factor, input W, air-gap power W, electromagnetic torque N·m, shaft torque N·m, shaft power W, and losses W by kind.
 * Allocates nothing.
 * s of any sign, f above zero.
 */
export function solveAt(c: Circuit, U: number, f: number, s: number, out: Float64Array): void {
  seenAt(c, f, s, view);
  const zr = view[seen.resistance] ?? 0;
  const zx = view[seen.reactance] ?? 0;
  const z = Math.sqrt(zr * zr + zx * zx);
  const current = U / (Math.sqrt(3) * z);
  const square = current * current;
  const airGap = square * (view[seen.airGap] ?? 0);
  const torque = (airGap * c.poles) / (4 * Math.PI * f);
  const n = ((120 * f) / c.poles) * (1 - s);
  const friction = frictionAt(c, n);
  const w = (n * Math.PI) / 30;
  const output = airGap * (1 - s) - friction;
  out[at.current] = current;
  out[at.powerFactor] = zr / z;
  out[at.input] = 3 * square * zr;
  out[at.airGap] = airGap;
  out[at.torque] = torque;
  out[at.shaftTorque] = Math.abs(w) < 1e-9 ? torque : output / w;
  out[at.output] = output;
  out[at.statorLoss] = 3 * square * c.statorResistance;
  out[at.strayLoss] = 3 * square * (c.strayResistance ?? 0);
  out[at.rotorLoss] = airGap * s;
  out[at.coreLoss] = square * (view[seen.core] ?? 0);
  out[at.friction] = friction;
}

const scratch = new Float64Array(answerLength);

/** Electromagnetic torque in N·m at slip s. */
export function torqueAt(c: Circuit, U: number, f: number, s: number): number {
  solveAt(c, U, f, s, scratch);
  return scratch[at.torque] ?? 0;
}

/** Line current in A at slip s. */
export function currentAt(c: Circuit, U: number, f: number, s: number): number {
  solveAt(c, U, f, s, scratch);
  return scratch[at.current] ?? 0;
}

const golden = (Math.sqrt(5) - 1) / 2;

/** Slips of the search for breakdown, from 0.0003 to 1 on a logarithmic scale. */
const ladder = Float64Array.from({ length: 33 }, (_, i) => 10 ** (-3.5 + (3.5 * i) / 32));

/** Air-gap watts at slip s of a prepared circuit for one volt of phase, squared. */
function gapPerVolt(p: Float64Array, s: number): number {
  seenBy(p, s, view);
  const zr = view[seen.resistance] ?? 0;
  const zx = view[seen.reactance] ?? 0;
  return (view[seen.airGap] ?? 0) / (zr * zr + zx * zx);
}

const searched = new Float64Array(preparedLength);

/**
 * Breakdown: the largest torque between synchronism and standstill and the slip it stands at. Slips are searched on a
 * logarithmic scale at 33
 * points, then between the neighbours of the best by golden section to a relative `within` of slip; a double cage may
 * have two humps, the higher counts.
 */
export function breakdown(
  c: Circuit,
  U: number,
  f: number,
  within = 1e-7,
): { readonly torque: number; readonly slip: number } {
  prepare(c, f, searched);
  let best = 0;
  let most = -Infinity;
  for (let i = 0; i < ladder.length; i++) {
    const t = gapPerVolt(searched, ladder[i] ?? 1);
    if (t > most) {
      best = i;
      most = t;
    }
  }
  let low = Math.log(ladder[Math.max(0, best - 1)] ?? 1);
  let high = Math.log(ladder[best + 1] ?? 1);
  let a = high - golden * (high - low);
  let b = low + golden * (high - low);
  let ta = gapPerVolt(searched, Math.exp(a));
  let tb = gapPerVolt(searched, Math.exp(b));
  while (high - low > within) {
    if (ta > tb) {
      high = b;
      b = a;
      tb = ta;
      a = high - golden * (high - low);
      ta = gapPerVolt(searched, Math.exp(a));
    } else {
      low = a;
      a = b;
      ta = tb;
      b = low + golden * (high - low);
      tb = gapPerVolt(searched, Math.exp(b));
    }
  }
  const slip = Math.exp((low + high) / 2);
  return { torque: (U * U * gapPerVolt(searched, slip) * c.poles) / (12 * Math.PI * f), slip };
}

/**
 * Slip at which the shaft carries torque T between synchronism and breakdown, by bisection to 1e-10; undefined where
 * breakdown is not enough.
 */
export function slipForShaftTorque(c: Circuit, U: number, f: number, T: number): number | undefined {
  const { slip } = breakdown(c, U, f);
  const shaft = (s: number): number => {
    solveAt(c, U, f, s, scratch);
    return scratch[at.shaftTorque] ?? 0;
  };
  if (shaft(slip) < T) return undefined;
  let low = -0.05;
  let high = slip;
  while (high - low > 1e-10) {
    const mid = (low + high) / 2;
    if (shaft(mid) < T) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
