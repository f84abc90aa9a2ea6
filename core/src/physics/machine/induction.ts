import { definition, model, remembered } from '../../contract';
import { any, isUpTo, law, notNegative, positive, share, type Law } from '../../law';
import { torqueRatio, type LoadShape } from '../mechanics/shape';

const machine = definition('Three-phase induction machine', 'synchronous speed, slip, power balance');

/** Number of poles whose synchronous speed lies nearest above a full-load speed. */
export const polesFromSpeed = law({
  name: 'Poles from frequency and speed',
  symbol: 'p',
  unit: '1',
  takes: { f: 'Hz', n: 'rpm' },
  formula: '2 * round(60 * f / n)',
  source: machine,
  range: { f: [5, 500], n: positive },
  example: { of: { f: 60, n: 1760 }, gives: 4, from: 'by hand' },
  of: ({ f, n }) => 2 * Math.round((60 * f) / n),
});

export const synchronousSpeed = law({
  name: 'Synchronous speed',
  symbol: 'n_s',
  unit: 'rpm',
  takes: { f: 'Hz', p: '1' },
  formula: '120 * f / p',
  source: machine,
  range: { f: [5, 500], p: [2, 60] },
  example: { of: { f: 50, p: 6 }, gives: 1000, from: 'by hand' },
  of: ({ f, p }) => (120 * f) / p,
});

export const slip = law({
  name: 'Slip',
  symbol: 's',
  unit: '1',
  takes: { n_s: 'rpm', n: 'rpm' },
  formula: '(n_s - n) / n_s',
  source: machine,
  range: { n_s: positive, n: any },
  example: { of: { n_s: 1800, n: 1760 }, gives: 0.022222, from: 'by hand' },
  of: ({ n_s, n }) => (n_s - n) / n_s,
});

export const inputFromEfficiency = law({
  name: 'Electrical input from shaft power and efficiency',
  symbol: 'P_in',
  unit: 'W',
  takes: { P: 'W', eta: '1' },
  formula: 'P / eta',
  source: machine,
  range: { P: any, eta: [0.05, 1] },
  example: { of: { P: 15000, eta: 0.924 }, gives: 16234, from: 'by hand' },
  of: ({ P, eta }) => P / eta,
});

export const inputFromCurrent = law({
  name: 'Electrical input from voltage, current and power factor',
  symbol: 'P_in',
  unit: 'W',
  takes: { U: 'V', I: 'A', pf: '1' },
  formula: 'sqrt(3) * U * I * pf',
  source: machine,
  range: { U: notNegative, I: notNegative, pf: share },
  example: {
    of: { U: 460, I: 18.88, pf: 0.833 },
    gives: 12530,
    from: 'by hand; a widely used textbook example prints 12.53 kW (from memory)',
  },
  of: ({ U, I, pf }) => Math.sqrt(3) * U * I * pf,
});

export const powerFactorFromPlate = law({
  name: 'Power factor from shaft power, efficiency, voltage and current',
  symbol: 'pf',
  unit: '1',
  takes: { P: 'W', eta: '1', U: 'V', I: 'A' },
  formula: 'P / (eta * sqrt(3) * U * I)',
  source: machine,
  range: { P: notNegative, eta: [0.05, 1], U: positive, I: positive },
  example: { of: { P: 7457, eta: 0.917, U: 460, I: 12.5 }, gives: 0.81652, from: 'by hand' },
  of: ({ P, eta, U, I }) => P / (eta * Math.sqrt(3) * U * I),
});

export const efficiencyFromPlate = law({
  name: 'Efficiency from shaft power, voltage, current and power factor',
  symbol: 'eta',
  unit: '1',
  takes: { P: 'W', U: 'V', I: 'A', pf: '1' },
  formula: 'P / (sqrt(3) * U * I * pf)',
  source: machine,
  range: { P: notNegative, U: positive, I: positive, pf: [0.05, 1] },
  example: { of: { P: 7457, U: 460, I: 12.5, pf: 0.82 }, gives: 0.91311, from: 'by hand' },
  of: ({ P, U, I, pf }) => P / (Math.sqrt(3) * U * I * pf),
});

/** Current at locked rotor from the code letter's kVA per horsepower, across the line at plate voltage. */
export const lockedRotorFromCode = law({
  name: 'Locked-rotor current from the code letter',
  symbol: 'I_LR',
  unit: 'A',
  takes: { k: 'kVA/hp', P: 'W', U: 'V' },
  formula: '1000 * k * (P / 745.6998715822702) / (sqrt(3) * U)',
  source: definition('Code letter', 'kVA per horsepower at locked rotor ÷ (√3 × plate voltage)'),
  range: { k: [0, 40], P: notNegative, U: positive },
  example: { of: { k: 6.3, P: 7457, U: 460 }, gives: 79.072, from: 'by hand' },
  of: ({ k, P, U }) => (1000 * k * (P / 745.6998715822702)) / (Math.sqrt(3) * U),
});

/** Share of full-load losses that stays at every load (iron, friction, magnetising), where nobody measured it. */
export const usualConstantLoss = 0.4;

/** Efficiency at full load, and the share of its losses that does not go with load. */
export interface LossCurve {
  readonly eta: number;
  readonly constant: number;
}

export const twoLosses = remembered(
  'standard',
  'IEC 60034-31',
  '2021',
  'efficiency at any load from two: one part of the losses constant, one with the square of load, from memory',
);

/** Share of a motor's full-load losses that does not go with load, from its efficiency at full and at a part load x. */
export const constantLossShare = law({
  name: 'Losses that do not go with load',
  symbol: 'c',
  unit: '1',
  takes: { eta: '1', x: '1', eta_x: '1' },
  formula: '1 - ((1 / eta - 1) - x * (1 / eta_x - 1)) / ((1 - x^2) * (1 / eta - 1))',
  source: twoLosses,
  range: { eta: [0.05, 0.999], x: [0.05, 0.95], eta_x: [0.05, 0.999] },
  example: {
    of: { eta: 0.9, x: 0.75, eta_x: 0.905 },
    gives: 0.33385,
    within: 1e-4,
    from: 'by hand: (0.111111 − 0.75 · 0.104972) ÷ 0.4375 = 0.074017 goes with load, of 0.111111',
  },
  of: ({ eta, x, eta_x }) => 1 - (1 / eta - 1 - x * (1 / eta_x - 1)) / ((1 - x * x) * (1 / eta - 1)),
});

/** Motor efficiency at a share x of rated load, from its full-load efficiency; c where nobody measured it is 0.4. */
export const partLoadEfficiency = law({
  name: 'Motor efficiency at part load',
  symbol: 'eta_x',
  unit: '1',
  takes: { x: '1', eta: '1', c: '1' },
  formula: 'x / (x + (1 / eta - 1) * (c + (1 - c) * x^2))',
  source: twoLosses,
  estimate: { basis: 'typical split of losses', band: [0.97, 1.05] },
  range: { x: [0.05, 1.5], eta: [0.05, 1], c: [0, 1] },
  example: { of: { x: 0.5, eta: 0.9, c: 0.4 }, gives: 0.89109, from: 'by hand' },
  of: ({ x, eta, c }) => partLoad(x, { eta, constant: c }),
});

export const partLoad = (x: number, curve: LossCurve): number => x / (x + partLoadLosses(x, curve));

/** Losses on the line at a share x of rated load ÷ rating. */
export const partLoadLosses = (x: number, { eta, constant }: LossCurve): number =>
  (1 / eta - 1) * (constant + (1 - constant) * x * x);

/** Losses of a motor of so many W behind a drive ÷ those on a sine of the same frequency, for its pulses. */
export const fedLosses = (rated: number): number => (isUpTo(rated, 90_000) ? 1.15 : 1.25);

const fedSource = remembered(
  'standard',
  'IEC 61800-9-2',
  '2023',
  'harmonic losses taken as 15 % of those on a sine up to 90 kW, 25 % above, from memory',
);

/**
 * Losses of a motor behind a drive ÷ its rating: power x and speed n ≥ 0 ÷ rated, efficiency at full load on a sine
 * and the share c of its losses that does not go with load; k what its pulses make of them. Copper goes with the square
 * of torque, iron and friction with speed (between its first power and its square), flux held; above rated speed the
 * current follows power.
 */
export const fedMotorLoss = law({
  name: 'Losses of a motor behind a drive',
  symbol: 'p_v',
  unit: '1',
  takes: { k: '1', x: '1', n: '1', eta: '1', c: '1' },
  formula: 'k * (1 / eta - 1) * (c * n^1.5 + (1 - c) * (x / max(1e-6, min(1, n)))^2)',
  source: fedSource,
  estimate: { basis: 'typical split of losses', band: [0.85, 1.15] },
  range: { k: [1, 2], x: notNegative, n: notNegative, eta: [0.05, 1], c: [0, 1] },
  example: {
    of: { k: 1.15, x: 0.125, n: 0.5, eta: 0.9, c: 0.4 },
    gives: 0.022863,
    from: 'by hand: 0.12778 · (0.4 · 0.35355 + 0.6 · 0.0625)',
  },
  of: ({ k, x, n, eta, c }) => k * sineLoss(x, n, { eta, constant: c }),
});

/** The same on a sine of whatever frequency. */
const sineLoss = (x: number, n: number, { eta, constant }: LossCurve): number =>
  (1 / eta - 1) * (constant * n ** 1.5 + (1 - constant) * (x / Math.max(1e-6, Math.min(1, n))) ** 2);

export const fedLoss = (x: number, n: number, curve: LossCurve, rated: number): number =>
  fedLosses(rated) * sineLoss(x, n, curve);

/**
 * The same where the drive lowers the flux for the least loss: iron goes with the square of flux, copper with torque
 * over it; the flux is held above half of rated.
 */
export const leastFluxLoss = law({
  name: 'Losses of a motor whose drive lowers its flux',
  symbol: 'p_v',
  unit: '1',
  takes: { k: '1', x: '1', n: '1', eta: '1', c: '1' },
  formula:
    'k * (1 / eta - 1) * (f * c * n^1.5 + (1 - c) * (x / max(1e-6, min(1, n)))^2 / f), f the square of the flux ' +
    'that makes it least, 0.25 to 1',
  method: true,
  source: model('Least loss by flux', 'iron by the square of flux, copper by torque over flux; flux at least half'),
  estimate: { basis: 'typical split of losses', band: [0.8, 1.2] },
  range: { k: [1, 2], x: notNegative, n: notNegative, eta: [0.05, 1], c: [0, 1] },
  example: {
    of: { k: 1.15, x: 0.125, n: 0.5, eta: 0.9, c: 0.4 },
    gives: 0.018611,
    within: 2e-3,
    from: 'by hand: f = 0.25 √(0.6 ÷ 0.14142) = 0.5149; 0.12778 · (0.07282 + 0.07283)',
  },
  of: ({ k, x, n, eta, c }) => k * leastSineLoss(x, n, { eta, constant: c }),
});

function leastSineLoss(x: number, n: number, { eta, constant }: LossCurve): number {
  const iron = constant * n ** 1.5;
  const copper = (1 - constant) * (x / Math.max(1e-6, Math.min(1, n))) ** 2;
  const square = Math.max(0.25, Math.min(1, Math.sqrt(copper / Math.max(iron, 1e-12))));
  return (1 / eta - 1) * (square * iron + copper / square);
}

export const leastFedLoss = (x: number, n: number, curve: LossCurve, rated: number): number =>
  fedLosses(rated) * leastSineLoss(x, n, curve);

/** Share of the derated rating the load takes at the operating point. */
export const loading = law({
  name: 'Loading of the motor',
  symbol: 'x',
  unit: '1',
  takes: { P: 'W', P_r: 'W', d: '1' },
  formula: 'P / (P_r * d)',
  source: definition('Loading', 'shaft power at the operating point ÷ (rated power × derating)'),
  range: { P: any, P_r: positive, d: [0.01, 1] },
  example: { of: { P: 6000, P_r: 7500, d: 0.8 }, gives: 1, from: 'by hand' },
  of: ({ P, P_r, d }) => P / (P_r * d),
});

/**
 * Speed at which a motor fed at rated voltage and frequency carries a load of torque T at speed n, with a given shape.
 * The motor's torque falls on a straight line from rated torque at rated speed to zero at synchronous speed; the root
 * of
 * T_motor(n) − T_load(n) is bracketed between half and full synchronous speed and bisected to below 0.001 r/min.
 */
type Meeting = Readonly<{ n_s: 'rpm'; n_r: 'rpm'; T_r: 'N.m'; n: 'rpm'; T: 'N.m' }>;
export const operatingSpeed = (shape: LoadShape): Law<Meeting, 'rpm'> =>
  law({
    name: 'Operating speed of motor and load',
    symbol: 'n_op',
    unit: 'rpm',
    takes: { n_s: 'rpm', n_r: 'rpm', T_r: 'N.m', n: 'rpm', T: 'N.m' },
    formula: 'the speed at which T_r * (n_s - n_op) / (n_s - n_r) equals the load torque at n_op, by bisection',
    source: model('Straight-line torque-slip characteristic near full load'),
    method: true,
    range: { n_s: positive, n_r: positive, T_r: positive, n: positive, T: any },
    example: {
      of: { n_s: 1800, n_r: 1760, T_r: 100, n: 1750, T: 50 },
      gives: 1779.66,
      within: 1e-5,
      from: 'by hand: 2.5 (1800 − n) = 50 n / 1750, so n = 4500 / 2.52857',
      made: { for: 'torque in proportion to speed', law: () => operatingSpeed({ kind: 'linear' }) },
    },
    of: ({ n_s, n_r, T_r, n, T }) => meetingSpeed(n_s, n_r, T_r, n, T, shape),
  });

/** The same for columns of candidates: plain numbers, no allocation. */
export function meetingSpeed(ns: number, nr: number, tr: number, n: number, t: number, shape: LoadShape): number {
  const slope = tr / (ns - nr);
  let low = ns / 2;
  let high = ns;
  while (high - low > 0.0005) {
    const mid = (low + high) / 2;
    if (slope * (ns - mid) > t * torqueRatio(shape, mid / n)) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Shaft power where motor and load meet. */
export const powerAtPoint = (
  shape: LoadShape,
): Law<{ readonly T: 'N.m'; readonly n: 'rpm'; readonly n_op: 'rpm' }, 'W'> =>
  law({
    name: 'Shaft power at the operating point',
    symbol: 'P_op',
    unit: 'W',
    takes: { T: 'N.m', n: 'rpm', n_op: 'rpm' },
    formula: 'load torque at n_op times 2 * pi * n_op / 60, along the load shape through T at n',
    source: definition('Mechanics', 'power = torque × angular speed'),
    method: true,
    range: { T: any, n: positive, n_op: notNegative },
    example: {
      of: { T: 80, n: 1750, n_op: 1400 },
      gives: 7506.2,
      from: 'by hand: 80 × 0.8² × 2π × 1400 / 60',
      made: { for: 'torque with the square of speed', law: () => powerAtPoint({ kind: 'quadratic' }) },
    },
    of: ({ T, n, n_op }) => shaftPower(T, n, n_op, shape),
  });

export const shaftPower = (t: number, n: number, at: number, shape: LoadShape): number =>
  (t * torqueRatio(shape, at / n) * 2 * Math.PI * at) / 60;
