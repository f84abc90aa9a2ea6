/**
 * Three-phase cage motor as a per-phase star circuit at rated frequency: stator, magnetising branch with core loss beside it, one or two
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
} as const;
export const answerLength = 11;

/** Below this slip the rotor is taken as synchronous: its branch carries nothing. */
const leastSlip = 1e-9;

/**
 * The steady state at slip s fed with line voltage U and frequency f, written into `out` (length `answerLength`): line current A, power
 * factor, input W, air-gap power W, electromagnetic torque N·m, shaft torque N·m, shaft power W, and losses W by kind. Reactances go with
 * frequency, core loss at constant flux with f^1.5. Exact complex arithmetic in plain numbers; allocates nothing. s of any sign, f above zero.
 */
export function solveAt(c: Circuit, U: number, f: number, s: number, out: Float64Array): void {
  const k = f / c.frequency;
  const x1 = c.statorReactance * k;
  const xm = c.magnetisingReactance * k;
  const slip = Math.abs(s) < leastSlip ? leastSlip : s;
  // Rotor admittance: cages in parallel, each R/s + jX.
  let r = c.rotorResistance / slip;
  let x = c.rotorReactance * k;
  let d = r * r + x * x;
  let g2 = r / d;
  let b2 = -x / d;
  if (c.cage2) {
    r = c.cage2.resistance / slip;
    x = c.cage2.reactance * k;
    d = r * r + x * x;
    g2 += r / d;
    b2 -= x / d;
  }
  // Core loss as a conductance: at rated voltage and frequency it takes the stated loss.
  const gc = c.coreLoss > 0 ? c.coreLoss / (c.voltage * c.voltage * Math.sqrt(k)) : 0;
  const g = g2 + gc;
  const b = b2 - 1 / xm;
  const yy = g * g + b * b;
  // Impedance of stator and the rest in series.
  const zr = c.statorResistance + g / yy;
  const zx = x1 - b / yy;
  const zz = zr * zr + zx * zx;
  const phase = U / Math.sqrt(3);
  const current = phase / Math.sqrt(zz);
  const ee = (current * current) / yy;
  const airGap = 3 * ee * g2;
  const ws = (4 * Math.PI * f) / c.poles;
  const torque = airGap / ws;
  const n = ((120 * f) / c.poles) * (1 - s);
  const share = n / c.ratedSpeed;
  const friction = c.frictionLoss * Math.abs(share) ** 3;
  const w = (n * Math.PI) / 30;
  const output = airGap * (1 - s) - friction;
  out[at.current] = current;
  out[at.powerFactor] = zr / Math.sqrt(zz);
  out[at.input] = 3 * current * current * zr;
  out[at.airGap] = airGap;
  out[at.torque] = torque;
  out[at.shaftTorque] = Math.abs(w) < 1e-9 ? torque : output / w;
  out[at.output] = output;
  out[at.statorLoss] = 3 * current * current * c.statorResistance;
  out[at.rotorLoss] = airGap * s;
  out[at.coreLoss] = 3 * ee * gc;
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

/**
 * Breakdown: the largest torque between synchronism and standstill and the slip it stands at. Slips are searched on a logarithmic scale at 48
 * points, then between the neighbours of the best by golden section to a relative 1e-7 of slip; a double cage may have two humps, the higher counts.
 */
export function breakdown(c: Circuit, U: number, f: number): { readonly torque: number; readonly slip: number } {
  const points = 48;
  const slipOf = (i: number): number => 10 ** (-3.5 + (3.5 * i) / points);
  let best = 0;
  let most = -Infinity;
  for (let i = 0; i <= points; i++) {
    const t = torqueAt(c, U, f, slipOf(i));
    if (t > most) [best, most] = [i, t];
  }
  let low = Math.log(slipOf(Math.max(0, best - 1)));
  let high = Math.log(slipOf(Math.min(points, best + 1)));
  let a = high - golden * (high - low);
  let b = low + golden * (high - low);
  let ta = torqueAt(c, U, f, Math.exp(a));
  let tb = torqueAt(c, U, f, Math.exp(b));
  while (high - low > 1e-7) {
    if (ta > tb) {
      high = b;
      [b, tb] = [a, ta];
      a = high - golden * (high - low);
      ta = torqueAt(c, U, f, Math.exp(a));
    } else {
      low = a;
      [a, ta] = [b, tb];
      b = low + golden * (high - low);
      tb = torqueAt(c, U, f, Math.exp(b));
    }
  }
  const slip = Math.exp((low + high) / 2);
  return { torque: torqueAt(c, U, f, slip), slip };
}

/**
 * Slip at which the shaft carries torque T between synchronism and breakdown, by bisection to 1e-10; undefined where breakdown is not enough.
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
