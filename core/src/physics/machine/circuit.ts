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
  /** How the leakage reactances give way to current. None where left out: the same at every current. */
  readonly saturation?: Saturation;
}

/**
 * Leakage that saturates: up to `from` A of line current the reactances are whole; beyond, the part `depth` of them
 * (0 to 1), whose flux crosses iron bridges and tooth tips, carries no more flux than at `from`.
 */
export interface Saturation {
  readonly from: number;
  readonly depth: number;
}

/**
 * What is left of the leakage reactances at a line current of I A, 1 or less: the part through iron goes with the
 * fundamental of a sine cut off at `from`. Source: describing function of a saturating element, any textbook of
 * control; for leakage e.g. Lipo and Consoli, Modeling and simulation of induction motors with saturable leakage
 * reactances, 1984 (from memory).
 */
export function leakageLeft({ from, depth }: Saturation, I: number): number {
  if (!(I > from)) return 1;
  const r = from / I;
  return 1 - depth * (1 - (2 / Math.PI) * (Math.asin(r) + r * Math.sqrt(1 - r * r)));
}

/**
 * How leakage gives way above the locked-rotor current where a circuit says nothing of it: a third of it through
 * iron. Common practice, from memory: first crests lie some tenth above those of constant leakage.
 */
export const usualDepthBeyond = 0.3;

/** How the leakage of a circuit gives way, crests beyond the locked-rotor current included. */
export const saturationOf = (c: Circuit): Saturation =>
  c.saturation ?? { from: currentAt(c, c.voltage, c.frequency, 1), depth: usualDepthBeyond };

/**
 * The share of leakage reactance at which the machine settles: `currentWith` gives the line current in A for a share,
 * which a smaller one makes larger. By secants, to 1e-12; the mapping contracts, so a step that leaves 0 to 1 falls
 * back to the plain one.
 */
export function settledLeakage(saturation: Saturation, currentWith: (share: number) => number): number {
  let a = 1;
  let fa = leakageLeft(saturation, currentWith(1)) - 1;
  if (fa === 0) return 1;
  let b = 1 + fa;
  for (let i = 0; i < 40; i++) {
    const fb = leakageLeft(saturation, currentWith(b)) - b;
    if (Math.abs(fb) < 1e-12 || fb === fa) return b;
    const secant = b - (fb * (b - a)) / (fb - fa);
    [a, fa] = [b, fb];
    b = secant > 0 && secant <= 1 ? secant : b + fb;
  }
  return b;
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
 * series adds to it. Allocates nothing; s of any sign. `left`: share of the leakage reactances that saturation leaves.
 */
export function seenBy(p: Float64Array, s: number, out: Float64Array, left = 1): void {
  const slip = Math.abs(s) < leastSlip ? leastSlip : s;
  // Rotor admittance: cages in parallel, each R/s + jX.
  let r = (p[2] ?? 0) / slip;
  let x = (p[3] ?? 0) * left;
  let d = r * r + x * x;
  let g2 = r / d;
  let b2 = -x / d;
  const second = p[4] ?? Infinity;
  if (second < Infinity) {
    r = second / slip;
    x = (p[5] ?? 0) * left;
    d = r * r + x * x;
    g2 += r / d;
    b2 -= x / d;
  }
  const gc = p[6] ?? 0;
  const g = g2 + gc;
  const b = b2 + (p[7] ?? 0);
  const yy = g * g + b * b;
  out[seen.resistance] = (p[0] ?? 0) + g / yy;
  out[seen.reactance] = (p[1] ?? 0) * left - b / yy;
  out[seen.airGap] = (3 * g2) / yy;
  out[seen.core] = (3 * gc) / yy;
}

const prepared = new Float64Array(preparedLength);

/** The same of a circuit at frequency f, above zero, its leakage whole: for currents that do not saturate it. */
export function seenAt(c: Circuit, f: number, s: number, out: Float64Array): void {
  prepare(c, f, prepared);
  seenBy(prepared, s, out);
}

/** The same fed with line voltage U, the leakage as the current that then flows leaves it. */
export function seenFed(c: Circuit, U: number, f: number, s: number, out: Float64Array): void {
  prepare(c, f, prepared);
  seenSettled(prepared, c.saturation, U / Math.sqrt(3), s, out);
}

/** From a prepared circuit and the voltage of a phase. */
function seenSettled(p: Float64Array, saturation: Saturation | undefined, phase: number, s: number, out: Float64Array) {
  seenBy(p, s, out);
  if (!saturation || phase / impedance(out) <= saturation.from) return;
  settledLeakage(saturation, (left) => {
    seenBy(p, s, out, left);
    return phase / impedance(out);
  });
}

const impedance = (out: Float64Array): number => {
  const r = out[seen.resistance] ?? 0;
  const x = out[seen.reactance] ?? 0;
  return Math.sqrt(r * r + x * x);
};

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
  seenFed(c, U, f, s, view);
  const zr = view[seen.resistance] ?? 0;
  const z = impedance(view);
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

/** Air-gap watts at slip s of a prepared circuit for one volt of phase, squared, at a phase voltage. */
function gapPerVolt(p: Float64Array, saturation: Saturation | undefined, phase: number, s: number): number {
  seenSettled(p, saturation, phase, s, view);
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
  const gap = (s: number): number => gapPerVolt(searched, c.saturation, U / Math.sqrt(3), s);
  let best = 0;
  let most = -Infinity;
  for (let i = 0; i < ladder.length; i++) {
    const t = gap(ladder[i] ?? 1);
    if (t > most) {
      best = i;
      most = t;
    }
  }
  let low = Math.log(ladder[Math.max(0, best - 1)] ?? 1);
  let high = Math.log(ladder[best + 1] ?? 1);
  let a = high - golden * (high - low);
  let b = low + golden * (high - low);
  let ta = gap(Math.exp(a));
  let tb = gap(Math.exp(b));
  while (high - low > within) {
    if (ta > tb) {
      high = b;
      b = a;
      tb = ta;
      a = high - golden * (high - low);
      ta = gap(Math.exp(a));
    } else {
      low = a;
      a = b;
      ta = tb;
      b = low + golden * (high - low);
      tb = gap(Math.exp(b));
    }
  }
  const slip = Math.exp((low + high) / 2);
  return { torque: (U * U * gap(slip) * c.poles) / (12 * Math.PI * f), slip };
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
