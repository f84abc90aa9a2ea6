import { breakdown, currentAt, leakageLeft, solveAt, torqueAt, answerLength, at, type Circuit } from './circuit';
import { partLoad, usualConstantLoss } from './induction';
import { pointForTorque } from './operating';

/**
 * What plates and lists say of a motor in one connection: W, V line to line, A, r/min, torques ÷ rated torque.
 * `design`: its letter, where
 * known. What a test bench measured of the losses and the stator replaces the usual shares.
 */
export interface MachineData {
  readonly poles: number;
  readonly frequency: number;
  readonly voltage: number;
  readonly power: number;
  readonly speed: number;
  readonly current: number;
  readonly efficiency: number;
  readonly lockedRotorCurrent: number;
  readonly lockedRotorTorque: number;
  readonly breakdownTorque: number;
  /**
   * Where nobody measured what stands and breaks down: the least breakdown torque ÷ rated that its maker owes. Torques
   * are then usual ones, and a motor may have more.
   */
  readonly leastBreakdown?: number | undefined;
  readonly design?: string;
  /** Share of its losses that does not go with load, where its part-load efficiency is known. */
  readonly constantLoss?: number | undefined;
  readonly measured?: {
    /** Ω a phase of the star equivalent. */
    readonly statorResistance: number;
    readonly coreLoss: number;
    readonly frictionLoss: number;
  };
}

/** One value the circuit was to meet, and what it gives. */
export interface Met {
  readonly what:
    | 'current'
    | 'power'
    | 'powerFactor'
    | 'efficiency'
    | 'halfEfficiency'
    | 'lockedRotorCurrent'
    | 'lockedRotorTorque'
    | 'breakdownTorque';
  readonly wanted: number;
  readonly got: number;
  /** Largest relative deviation that counts as met, below and above what is wanted. */
  readonly within: number;
  readonly above: number;
}

export interface Fitted {
  readonly circuit: Circuit;
  readonly met: readonly Met[];
  /** Why the data cannot belong to one machine, or undefined where all is met. */
  readonly reason: string | undefined;
}

/** Rated values are met within this share, those of standstill and breakdown within `startWithin`. */
export const ratedWithin = 0.01;
export const startWithin = 0.05;
/** A usual torque that nobody measured may come out higher by this (common practice). */
const usualWithin = 0.5;
/** What more torque than usual, and another breakdown torque than usual, weigh beside a miss. */
const light = 0.15;
/** Slip at which a usual cage has half of its rise: 1 ÷ this, and how little leaving it weighs. Common practice. */
const usualPace = 2.5;
const paceWeight = 0.001;
/**
 * Of physics: a cage has most of its rise well above rated slip (rated slip × pace at most this), and some of it
 * below standstill; the magnetising branch takes at least this share of rated reactive current, leakage the rest.
 * The limits are common practice, from memory.
 */
const mostPace = 0.4;
const leastPace = 0.5;
const leastMagnetising = 0.4;
/** Power factor at standstill that no cage exceeds: some 0.2 of large motors, 0.8 of the smallest. Common practice. */
const mostStarting = 0.85;
/** One cage, or a depth of saturation, is enough that comes this near. */
const closely = startWithin / 5;

/**
 * Shares of what is left of the losses after the rotor's: common practice for cage motors of 1 to 500 hp (stator
 * copper about a third of all
 * losses, iron a fifth, strays a tenth, friction less than a tenth).
 */
export const lossShares = { stator: 0.46, core: 0.28, stray: 0.15, friction: 0.11 } as const;

type LossShares = Readonly<Record<keyof typeof lossShares, number>>;

/** Iron and friction are sought between these times what is usual; so often is the span halved. */
const constantTimes = [0.02, 20] as const;
const shareHalvings = 20;

const wantedAtHalf = (d: MachineData): number =>
  partLoad(0.5, { eta: d.efficiency, constant: d.constantLoss ?? usualConstantLoss });

/** The shares that give an efficiency at half load, by more or less of iron and friction. */
function sharesFor(d: MachineData, wanted: number): LossShares {
  const shared = (times: number): LossShares => {
    const { stator, core, stray, friction } = lossShares;
    const all = stator + stray + times * (core + friction);
    return { stator: stator / all, core: (times * core) / all, stray: stray / all, friction: (times * friction) / all };
  };
  let [low, high]: readonly [number, number] = constantTimes;
  for (let i = 0; i < shareHalvings; i++) {
    const middle = Math.sqrt(low * high);
    if (new Fitter(d, shared(middle)).roughHalf() > wanted) low = middle;
    else high = middle;
  }
  return shared(Math.sqrt(low * high));
}

/**
 * Stator's share of the standstill leakage by design letter: IEEE 112 takes X1 ÷ X2 as 1 for A and D, 0.67 for B, 0.43
 * for C (from memory).
 */
const statorShare = (design: string | undefined): number => {
  switch (design?.[0]) {
    case 'B':
    case 'N':
      return 0.4;
    case 'C':
    case 'H':
      return 0.3;
    default:
      return 0.5;
  }
};

/**
 * Leakage begins to give way at this many times rated current, and the deepest that usual cages do, closed slots
 * among them: with it a motor of seven times its current standing keeps some 60 % of its leakage. Common practice,
 * from memory.
 */
export const saturationFrom = 2.5;
export const deepestSaturation = 0.7;
/** The depth is searched to about this. */
const depthSteps = 4;

type Mutable<T> = { -readonly [K in keyof T]: T[K] | (K extends 'cage2' | 'saturation' ? undefined : never) };

/**
 * Unknowns, as logarithms: standstill leakage in Ω, what the rotor's resistance gains from crawl to high frequency,
 * and how soon.
 */
type Unknowns = readonly [leakage: number, gain: number, pace: number];

/**
 * A circuit that gives the machine's data. Slip, current, power and efficiency at rating are met by construction:
 * losses are shared out, the
 * stator's drop gives the air-gap voltage, the rotor takes the air-gap power there and the magnetising branch the rest
 * of the reactive
 * current. What is left free, the leakage and how the rotor's resistance rises with slip (a double cage in its R–L
 * form), is
 * found by damped least squares (Levenberg and Marquardt) on locked-rotor current, locked-rotor torque and breakdown
 * torque. One cage is kept where it meets them. Physics bounds the search (`mostPace`, `leastMagnetising`,
 * `mostStarting`); where `leastBreakdown` is given the torques are estimates, met from above. Where breakdown torque
 * asks for more leakage than locked-rotor current leaves, the leakage saturates,
 * as little as meets both. Errors: `reason` says which value is not met and why; never throws for
 * positive data with speed below synchronous. Source: equivalent circuit, any textbook; double cage, e.g. Boldea and
 * Nasar, The Induction Machine Handbook (from memory).
 */
export function fitCircuit(d: MachineData): Fitted {
  if (d.constantLoss === undefined || d.measured) return fitWith(d, lossShares);
  const wanted = wantedAtHalf(d);
  const first = fitWith(d, sharesFor(d, wanted));
  // The shares were sought on a plain cage: what the whole one then misses by half load is asked for once more.
  const missed = (first.met.find((m) => m.what === 'halfEfficiency')?.got ?? wanted) - wanted;
  return fitWith(d, sharesFor(d, wanted - missed));
}

function fitWith(d: MachineData, shares: LossShares): Fitted {
  const fitter = new Fitter(d, shares);
  const one = fitter.oneCage();
  const fitted = one ? fitter.met(one) : fitter.twoCages();
  return lacking(fitted.met) > startWithin ? saturatedFit(d, shares, fitted) : fitted;
}

interface CageFit extends Fitted {
  readonly unknowns: Unknowns;
}

/**
 * By how much breakdown torque lies over or locked-rotor current under what is wanted: what leakage that gives way
 * mends.
 */
const lacking = (met: readonly Met[]): number =>
  Math.max(
    ...met.map((m) =>
      m.what === 'breakdownTorque'
        ? m.above > startWithin
          ? 0
          : deviation(m)
        : m.what === 'lockedRotorCurrent'
          ? -deviation(m)
          : 0,
    ),
  );

/**
 * The circuit with the shallowest saturation that meets the data closely, by halving; the nearest where the deepest
 * does not either. Each search begins where the last one ended.
 */
function saturatedFit(d: MachineData, shares: LossShares, without: Fitted): Fitted {
  let best = new Fitter(d, shares, deepestSaturation).twoCages();
  if (lacking(best.met) > closely) return worst(best) < worst(without) ? best : without;
  let low = 0;
  let high = deepestSaturation;
  for (let i = 0; i < depthSteps; i++) {
    const middle = (low + high) / 2;
    const found = new Fitter(d, shares, middle).twoCages(best.unknowns);
    if (lacking(found.met) > closely) low = middle;
    else [best, high] = [found, middle];
  }
  return best;
}

const worst = (f: Fitted): number => Math.max(...f.met.map((m) => Math.abs(deviation(m))));

/** Relative deviation of what a circuit gives. */
export const deviation = (m: Met): number => m.got / m.wanted - 1;

/** Whether a circuit gives what was wanted. */
export const isMet = (m: Met): boolean => deviation(m) >= -m.within && deviation(m) <= m.above;

const words: Readonly<Record<Met['what'], string>> = {
  current: 'rated current',
  power: 'rated power',
  powerFactor: 'power factor',
  efficiency: 'efficiency',
  halfEfficiency: 'efficiency at half load',
  lockedRotorCurrent: 'locked-rotor current',
  lockedRotorTorque: 'locked-rotor torque',
  breakdownTorque: 'breakdown torque',
};

const nothingGained = 1e-9;
/**
 * Sum of squared logarithms at which the data count as met while searching, and the slip under which usual cages break
 * down.
 */
const metError = (startWithin / 10) ** 2;
const usualBreakdownSlip = 0.45;

class Fitter {
  readonly synchronous: number;
  readonly slip: number;
  readonly phase: number;
  readonly ratedTorque: number;
  readonly cos: number;
  readonly sin: number;
  readonly rotorLoss: number;
  readonly losses: { stator: number; core: number; stray: number; friction: number };
  readonly wantedResistance: number;
  readonly mostPace: number;
  readonly scratch: Mutable<Circuit>;
  readonly cage: { resistance: number; reactance: number } = { resistance: 1, reactance: 1 };
  /** How far the last circuit built misses the rated point, 0 where it meets it. */
  missed = 0;
  readonly out = new Float64Array(answerLength);

  constructor(
    readonly d: MachineData,
    shares: LossShares = lossShares,
    depth = 0,
  ) {
    this.synchronous = (120 * d.frequency) / d.poles;
    this.slip = 1 - d.speed / this.synchronous;
    this.phase = d.voltage / Math.sqrt(3);
    this.ratedTorque = (30 * d.power) / (Math.PI * d.speed);
    this.cos = Math.min(0.995, d.power / (Math.sqrt(3) * d.voltage * d.current * d.efficiency));
    this.sin = Math.sqrt(1 - this.cos * this.cos);
    // All losses at the input that this power factor takes.
    const total = Math.sqrt(3) * d.voltage * d.current * this.cos - d.power;
    const bySlip = this.slip / (1 - this.slip);
    if (d.measured) {
      const { coreLoss: core, frictionLoss: friction, statorResistance } = d.measured;
      const stator = 3 * d.current * d.current * statorResistance;
      this.rotorLoss = bySlip * (d.power + friction);
      this.losses = { stator, core, stray: Math.max(0, total - stator - core - friction - this.rotorLoss), friction };
    } else {
      // The rotor's loss goes with its slip, and carries friction too; a fifth of the losses is left for the rest at
      // least.
      const rest = Math.max(0.2 * total, (total - bySlip * d.power) / (1 + bySlip * shares.friction));
      this.losses = {
        stator: shares.stator * rest,
        core: shares.core * rest,
        stray: shares.stray * rest,
        friction: shares.friction * rest,
      };
      this.rotorLoss = bySlip * (d.power + this.losses.friction);
    }
    this.mostPace = Math.max(2 * leastPace, mostPace / this.slip);
    const square = 3 * d.current * d.current;
    const omega = (4 * Math.PI * d.frequency) / d.poles;
    this.wantedResistance = (d.lockedRotorTorque * this.ratedTorque * omega) / (3 * d.lockedRotorCurrent ** 2);
    this.scratch = {
      poles: d.poles,
      voltage: d.voltage,
      frequency: d.frequency,
      statorResistance: this.losses.stator / square,
      strayResistance: this.losses.stray / square,
      statorReactance: 0,
      rotorResistance: 0,
      rotorReactance: 0,
      magnetisingReactance: 1,
      coreLoss: 0,
      frictionLoss: this.losses.friction,
      ratedSpeed: d.speed,
      cage2: undefined,
      saturation: depth > 0 ? { from: saturationFrom * d.current, depth } : undefined,
    };
  }

  /** The circuit of these unknowns, with the rated point met; written into `scratch`. */
  build([leakage, gain, pace]: Unknowns): Circuit {
    const { d, scratch: c, slip: s } = this;
    const share = statorShare(d.design);
    const x1 = share * leakage;
    const xInf = (1 - share) * leakage;
    const r1 = c.statorResistance + (c.strayResistance ?? 0);
    const ir = d.current * this.cos;
    const ii = -d.current * this.sin;
    const er = this.phase - (ir * r1 - ii * x1);
    const ei = -(ir * x1 + ii * r1);
    const ee = er * er + ei * ei;
    c.statorReactance = x1;
    c.coreLoss = (this.losses.core / (3 * ee)) * d.voltage * d.voltage;
    const airGap = d.power + this.losses.friction + this.rotorLoss;
    const g = airGap / (3 * ee);
    // Rotor branch: R(s)/s + jX(s), R = R0 + gain y²/(1 + y²), X = X∞ + pace·gain/(1 + y²), y = pace·s.
    const y = pace * s;
    const x = xInf + (pace * gain) / (1 + y * y);
    const extra = (gain * pace * y) / (1 + y * y);
    const room = 1 - 4 * g * g * x * x;
    const rho = (1 + Math.sqrt(Math.max(0, room))) / (2 * g);
    const r0 = Math.max(0.05 * s * rho, s * (rho - extra));
    const susceptance = (er * ii - ei * ir) / ee;
    const b2 = -x / (rho * rho + x * x);
    const magnetising = b2 - susceptance;
    const least = (leastMagnetising * d.current * this.sin) / Math.sqrt(ee);
    c.magnetisingReactance = 1 / Math.max(least, 0.02 * g, magnetising);
    this.missed =
      Math.max(0, -room) +
      Math.max(0, 0.05 * rho - rho + extra) / rho +
      Math.max(0, Math.max(least, 0.02 * g) - magnetising) / g;
    if (gain <= nothingGained) {
      c.rotorResistance = r0;
      c.rotorReactance = xInf;
      c.cage2 = undefined;
      return c;
    }
    // Two cages in parallel with the same R0, X∞, gain and pace: closed form.
    const p = r0 / gain;
    const q = xInf / (pace * gain);
    const m = q - p + 1;
    const delta = 1 / Math.sqrt(4 * p + m * m);
    const a = (1 - delta * m) / 2;
    const sum = gain / (delta * delta);
    const b = a + delta;
    c.rotorResistance = (1 - a) * sum;
    c.rotorReactance = (1 - b) * pace * sum;
    this.cage.resistance = a * sum;
    this.cage.reactance = b * pace * sum;
    c.cage2 = this.cage;
    return c;
  }

  /** ln of locked-rotor current, locked-rotor torque and breakdown torque over what is wanted. */
  residuals(u: Unknowns, r: Float64Array): void {
    const { d } = this;
    const c = this.build(u);
    solveAt(c, d.voltage, d.frequency, 1, this.out);
    r[3] = this.missed + Math.max(0, (this.out[at.powerFactor] ?? 0) - mostStarting);
    r[0] = Math.log((this.out[at.current] ?? 1) / d.lockedRotorCurrent);
    r[1] = Math.log((this.out[at.torque] ?? 1) / (d.lockedRotorTorque * this.ratedTorque));
    const most = breakdown(c, d.voltage, d.frequency, 2e-3).torque / this.ratedTorque;
    r[2] = Math.log(most / d.breakdownTorque);
    r[4] = paceWeight * Math.log(u[2] / usualPace);
    if (d.leastBreakdown === undefined) return;
    r[1] *= r[1] > 0 ? light : 1;
    r[2] = light * r[2] + Math.min(0, Math.log(most / d.leastBreakdown));
  }

  startLeakage(): number {
    const z = this.phase / this.d.lockedRotorCurrent;
    const r = this.wantedResistance + this.scratch.statorResistance + (this.scratch.strayResistance ?? 0);
    const { saturation } = this.scratch;
    const left = saturation ? leakageLeft(saturation, this.d.lockedRotorCurrent) : 1;
    return Math.sqrt(Math.max(0.1 * z * z, z * z - r * r)) / left;
  }

  /** One cage whose leakage gives the locked-rotor current; undefined where torque or breakdown are then not met. */
  oneCage(): Circuit | undefined {
    const r = new Float64Array(rowsOf);
    let leakage = this.startLeakage();
    for (let i = 0; i < 12; i++) {
      this.residuals([leakage, 0, 1], r);
      leakage *= Math.exp(r[0] ?? 0);
      if (Math.abs(r[0] ?? 0) < 1e-6) break;
    }
    if (Math.max(...r.map(Math.abs)) > closely) return undefined;
    return snapshot(this.build([leakage, 0, 1]));
  }

  /**
   * Two cages. More than one pair of them may meet the data; the one whose breakdown stands nearer synchronism is
   * taken, as usual cages have it. `near`: where to search from, in place of the usual starts.
   */
  twoCages(near?: Unknowns): CageFit {
    if (near) return this.found(descend((u, r) => this.residuals(u, r), near, this.mostPace).u);
    const running = this.slip * (this.phase / this.d.current);
    let best: { readonly u: Unknowns; readonly error: number } | undefined;
    let bestSlip = Infinity;
    for (const wanted of [2, 0.8, 5, 15]) {
      const pace = Math.min(this.mostPace, wanted);
      const gain = Math.max(0.3 * running, this.wantedResistance - running) * (1 + 1 / (pace * pace));
      const found = descend((u, r) => this.residuals(u, r), [this.startLeakage() * 0.9, gain, pace], this.mostPace);
      const { slip } = breakdown(this.build(found.u), this.d.voltage, this.d.frequency, 0.01);
      const met = found.error < metError;
      const better = !best || (met ? best.error > metError || slip < bestSlip : found.error < best.error);
      if (better) {
        best = found;
        bestSlip = slip;
      }
      if (met && slip < usualBreakdownSlip) break;
    }
    return this.found(best?.u ?? [1, 0, 1]);
  }

  found(unknowns: Unknowns): CageFit {
    return { ...this.met(snapshot(this.build(unknowns))), unknowns };
  }

  met(circuit: Circuit): Fitted {
    const met = this.meet(circuit);
    return { circuit, met, reason: this.reason(met, circuit) };
  }

  meet(c: Circuit): Met[] {
    const { d, out } = this;
    const power = this.ratedTorque;
    const usual = d.leastBreakdown === undefined ? undefined : usualWithin;
    solveAt(c, d.voltage, d.frequency, this.slip, out);
    const rated = {
      power: out[at.output] ?? 0,
      current: out[at.current] ?? 0,
      powerFactor: out[at.powerFactor] ?? 0,
      efficiency: (out[at.output] ?? 0) / (out[at.input] ?? 1),
    };
    return [
      { what: 'power', wanted: d.power, got: rated.power, within: ratedWithin, above: ratedWithin },
      { what: 'current', wanted: d.current, got: rated.current, within: ratedWithin, above: ratedWithin },
      { what: 'powerFactor', wanted: this.cos, got: rated.powerFactor, within: ratedWithin, above: ratedWithin },
      { what: 'efficiency', wanted: d.efficiency, got: rated.efficiency, within: ratedWithin, above: ratedWithin },
      ...(d.constantLoss === undefined
        ? []
        : [
            {
              what: 'halfEfficiency' as const,
              wanted: wantedAtHalf(d),
              got: this.half(c),
              within: ratedWithin,
              above: ratedWithin,
            },
          ]),
      {
        what: 'lockedRotorCurrent',
        wanted: d.lockedRotorCurrent,
        got: currentAt(c, d.voltage, d.frequency, 1),
        within: startWithin,
        above: startWithin,
      },
      {
        what: 'lockedRotorTorque',
        wanted: d.lockedRotorTorque,
        got: torqueAt(c, d.voltage, d.frequency, 1) / power,
        within: startWithin,
        above: usual ?? startWithin,
      },
      {
        what: 'breakdownTorque',
        wanted: d.breakdownTorque,
        got: breakdown(c, d.voltage, d.frequency).torque / power,
        within: d.leastBreakdown === undefined ? startWithin : startWithin + 1 - d.leastBreakdown / d.breakdownTorque,
        above: usual ?? startWithin,
      },
    ];
  }

  /** Efficiency at half of rated torque. */
  half(c: Circuit): number {
    return pointForTorque(c, this.d.voltage, this.d.frequency, this.ratedTorque / 2)?.efficiency ?? 0;
  }

  /** The same of a circuit that meets the rated point with a usual leakage; what starts matters little to it. */
  roughHalf(): number {
    return this.half(this.build([this.startLeakage(), 0, 1]));
  }

  /** Why the values cannot belong to one machine, where one is not met. */
  reason(met: readonly Met[], c: Circuit): string | undefined {
    const off = met.filter((m) => !isMet(m));
    if (off.length === 0) return undefined;
    const nearest = off.map((m) => `${words[m.what]} ${signed(deviation(m))}`).join(', ');
    const total = this.d.power / this.d.efficiency - this.d.power;
    if (this.rotorLoss > 0.8 * total)
      return (
        `Its slip says the rotor alone loses ${Math.round(this.rotorLoss)} W, its efficiency ` +
        `allows ${Math.round(total)} W in all. Nearest: ${nearest}.`
      );
    const running = c.cage2
      ? (c.rotorResistance * c.cage2.resistance) / (c.rotorResistance + c.cage2.resistance)
      : c.rotorResistance;
    if (off.every((m) => m.what === 'halfEfficiency'))
      return `Its efficiency at part load leaves other losses than its slip has. Nearest: ${nearest}.`;
    if (this.wantedResistance < running)
      return (
        `Its locked-rotor torque with its locked-rotor current asks for less rotor resistance ` +
        `standing than running, which no cage has. Nearest: ${nearest}.`
      );
    return (
      `No cage gives this current, this locked-rotor and this breakdown torque together, nor with leakage that ` +
      `saturates. Nearest: ${nearest}.`
    );
  }
}

const signed = (share: number): string => `${share > 0 ? '+' : '−'}${Math.abs(share * 100).toFixed(1)} %`;

/** A copy of its own of the fitter's scratch circuit. */
const snapshot = (c: Circuit): Circuit => ({ ...c, ...(c.cage2 ? { cage2: { ...c.cage2 } } : {}) });

/** Residuals: the three of standstill and breakdown, what physics refuses, and how unusual the cage is. */
const rowsOf = 5;

/** Damped least squares over three logarithms with a forward-difference Jacobian. */
function descend(
  residuals: (u: Unknowns, r: Float64Array) => void,
  start: Unknowns,
  most: number,
): { readonly u: Unknowns; readonly error: number } {
  const r = new Float64Array(rowsOf);
  const moved = new Float64Array(rowsOf);
  const J = new Float64Array(3 * rowsOf);
  let u: Unknowns = start;
  residuals(u, r);
  let error = square(r);
  let damping = 1e-3;
  for (let i = 0; i < 20 && error > 1e-6; i++) {
    const h = 1e-3;
    for (let k = 0; k < 3; k++) {
      residuals(scaled(u, k, h), moved);
      for (let row = 0; row < rowsOf; row++) J[row * 3 + k] = ((moved[row] ?? 0) - (r[row] ?? 0)) / h;
    }
    let better = false;
    for (let tries = 0; tries < 8; tries++) {
      const step = normalStep(J, r, damping);
      const next: Unknowns = [
        u[0] * Math.exp(bounded(step[0])),
        u[1] * Math.exp(bounded(step[1])),
        Math.min(most, Math.max(leastPace, u[2] * Math.exp(bounded(step[2])))),
      ];
      residuals(next, moved);
      const after = square(moved);
      if (after < error) {
        const gained = error - after;
        u = next;
        r.set(moved);
        error = after;
        damping = Math.max(1e-9, damping / 5);
        better = gained > 1e-3 * error;
        break;
      }
      damping *= 6;
    }
    if (!better) break;
  }
  return { u, error };
}

const bounded = (x: number): number => Math.max(-1, Math.min(1, x));
const square = (r: Float64Array): number => {
  let sum = 0;
  for (const x of r) sum += x * x;
  return sum;
};
const scaled = (u: Unknowns, k: number, h: number): Unknowns => [
  k === 0 ? u[0] * Math.exp(h) : u[0],
  k === 1 ? u[1] * Math.exp(h) : u[1],
  k === 2 ? u[2] * Math.exp(h) : u[2],
];

/** Solves (JᵀJ + damping·diag) step = −Jᵀr by Cramer's rule. */
function normalStep(J: Float64Array, r: Float64Array, damping: number): readonly [number, number, number] {
  const dot = (a: number, b: number): number => {
    let sum = 0;
    for (let row = 0; row < rowsOf; row++) sum += (J[3 * row + a] ?? 0) * (J[3 * row + b] ?? 0);
    return sum;
  };
  const right = (a: number): number => {
    let sum = 0;
    for (let row = 0; row < rowsOf; row++) sum -= (J[3 * row + a] ?? 0) * (r[row] ?? 0);
    return sum;
  };
  const a = dot(0, 0) * (1 + damping) + 1e-12;
  const e = dot(1, 1) * (1 + damping) + 1e-12;
  const i = dot(2, 2) * (1 + damping) + 1e-12;
  const b = dot(0, 1);
  const c = dot(0, 2);
  const f = dot(1, 2);
  const [x, y, z] = [right(0), right(1), right(2)];
  const det = a * (e * i - f * f) - b * (b * i - f * c) + c * (b * f - e * c);
  return [
    (x * (e * i - f * f) - b * (y * i - f * z) + c * (y * f - e * z)) / det,
    (a * (y * i - f * z) - x * (b * i - f * c) + c * (b * z - y * c)) / det,
    (a * (e * z - y * f) - b * (b * z - y * c) + x * (b * f - e * c)) / det,
  ];
}
