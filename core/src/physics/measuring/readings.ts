import { definition, remembered } from '../../contract';
import { law, notNegative, positive, share } from '../../law';

/** What a public guide says of finding a motor's load from readings in the field. */
const guide = (part: string) =>
  remembered(
    'textbook',
    'U.S. Department of Energy, Determining Electric Motor Load and Efficiency (fact sheet)',
    '1997',
    part,
  );

/**
 * Load as a share of rating from measured input and full-load efficiency, losses split 40 % constant and 60 % with the
 * square of load: the root of P_in/P_r = x + (1/eta − 1)(0.4 + 0.6 x²). P_in at least the constant losses.
 */
export const shareByPower = law({
  name: 'Load from measured input power',
  symbol: 'x_P',
  unit: '1',
  takes: { P_in: 'W', P_r: 'W', eta: '1' },
  formula:
    '2 * max(0, P_in / P_r - 0.4 * (1 / eta - 1)) / (1 + sqrt(1 + 2.4 * (1 ' +
    '/ eta - 1) * max(0, P_in / P_r - 0.4 * (1 / eta - 1))))',
  source: guide('input power measurements; here corrected for the losses at part load'),
  estimate: { basis: 'efficiency of the plate or usual for the rating, typical split of losses', band: [0.95, 1.05] },
  range: { P_in: notNegative, P_r: positive, eta: [0.05, 1] },
  example: { of: { P_in: 7500, P_r: 11000, eta: 0.91 }, gives: 0.61949, from: 'by hand' },
  of: ({ P_in, P_r, eta }) => {
    const l = 1 / eta - 1;
    const p = Math.max(0, P_in / P_r - 0.4 * l);
    return (2 * p) / (1 + Math.sqrt(1 + 2.4 * l * p));
  },
});

/** The published ratio: measured input over input at full load. */
export const inputRatio = law({
  name: 'Measured input over full-load input',
  symbol: 'x_P',
  unit: '1',
  takes: { P_in: 'W', P_r: 'W', eta: '1' },
  formula: 'P_in * eta / P_r',
  source: guide('input power measurements'),
  range: { P_in: notNegative, P_r: positive, eta: [0.05, 1] },
  example: { of: { P_in: 7500, P_r: 11000, eta: 0.91 }, gives: 0.62045, from: 'by hand' },
  of: ({ P_in, P_r, eta }) => (P_in * eta) / P_r,
});

/**
 * Load from slip, corrected for voltage. A plate's slip may be 20 % off (NEMA MG 1, from memory), so is the answer.
 * n below n_s, n_r below n_s.
 */
export const shareBySlip = law({
  name: 'Load from slip',
  symbol: 'x_s',
  unit: '1',
  takes: { n_s: 'rpm', n: 'rpm', n_r: 'rpm', U: 'V', U_r: 'V' },
  formula: '(n_s - n) / ((n_s - n_r) * (U_r / U)^2)',
  source: guide('voltage-compensated slip method'),
  estimate: { basis: 'tolerance of 20 % on the slip a plate shows', band: [1 / 1.2, 1 / 0.8] },
  range: { n_s: positive, n: notNegative, n_r: positive, U: notNegative, U_r: positive },
  example: {
    of: { n_s: 1800, n: 1776, n_r: 1760, U: 460, U_r: 460 },
    gives: 0.6,
    from:
      'U.S. DOE, Determining Electric Motor Load and Efficiency, its ' +
      'own worked plate of 24 over 40 r/min (from memory)',
  },
  of: ({ n_s, n, n_r, U, U_r }) => (n_s - n) / ((n_s - n_r) * (U_r / U) ** 2),
});

/** The published ratio of currents. Below half load it reads far too high: the magnetising current stays. */
export const currentRatio = law({
  name: 'Load from the ratio of currents',
  symbol: 'x_I',
  unit: '1',
  takes: { I: 'A', I_n: 'A', U: 'V', U_r: 'V' },
  formula: 'I / I_n * U / U_r',
  source: guide('line current measurements; recommended above half load only'),
  range: { I: notNegative, I_n: positive, U: notNegative, U_r: positive },
  example: { of: { I: 20, I_n: 28, U: 470, U_r: 460 }, gives: 0.72981, from: 'by hand' },
  of: ({ I, I_n, U, U_r }) => ((I / I_n) * U) / U_r,
});

/** Load from current with the magnetising share k of rated current taken out at right angles. Below k it is zero. */
export const shareByCurrent = law({
  name: 'Load from current, magnetising current taken out',
  symbol: 'x_I',
  unit: '1',
  takes: { I: 'A', I_n: 'A', k: '1' },
  formula: 'sqrt(max(0, (I / I_n)^2 - k^2) / (1 - k^2))',
  source: definition('Circle of currents', 'load and magnetising current at right angles'),
  estimate: { basis: 'usual share of magnetising current', band: [0.85, 1.15] },
  range: { I: notNegative, I_n: positive, k: [0, 0.95] },
  example: { of: { I: 20, I_n: 28, k: 0.4 }, gives: 0.64569, from: 'by hand' },
  of: ({ I, I_n, k }) => Math.sqrt(Math.max(0, (I / I_n) ** 2 - k * k) / (1 - k * k)),
});

/** Shaft power of a share of the rating. */
export const shareOfRating = law({
  name: 'Shaft power from the share of rating',
  symbol: 'P_m',
  unit: 'W',
  takes: { x: '1', P_r: 'W' },
  formula: 'x * P_r',
  source: definition('Loading', 'shaft power = share × rated power'),
  range: { x: [0, 3], P_r: notNegative },
  example: { of: { x: 0.6, P_r: 11000 }, gives: 6600, from: 'by hand' },
  of: ({ x, P_r }) => x * P_r,
});

/** Shaft power of measured input, where no rating is known. */
export const shaftFromInput = law({
  name: 'Shaft power from measured input',
  symbol: 'P_m',
  unit: 'W',
  takes: { P_in: 'W', eta: '1' },
  formula: 'P_in * eta',
  source: definition('Efficiency', 'shaft power = input × efficiency'),
  range: { P_in: notNegative, eta: share },
  example: { of: { P_in: 7500, eta: 0.91 }, gives: 6825, from: 'by hand' },
  of: ({ P_in, eta }) => P_in * eta,
});

/** Speed of a motor that carries a share x of its rating: slip in proportion to load. */
export const speedAtShare = law({
  name: 'Speed at a share of rated load',
  symbol: 'n_m',
  unit: 'rpm',
  takes: { n_s: 'rpm', n_r: 'rpm', x: '1' },
  formula: 'n_s - x * (n_s - n_r)',
  source: definition('Induction machine', 'near full load slip goes with torque'),
  range: { n_s: positive, n_r: positive, x: [-1, 3] },
  example: { of: { n_s: 1800, n_r: 1760, x: 0.6 }, gives: 1776, from: 'by hand' },
  of: ({ n_s, n_r, x }) => n_s - x * (n_s - n_r),
});

/** The share that is taken, of the ways there are. */
export const shareTaken = law({
  name: 'Load as a share of rating',
  symbol: 'x',
  unit: '1',
  takes: { x: '1' },
  formula: 'x',
  source: definition('Choice of the method', 'input power first; current above half load; slip; current'),
  range: { x: [0, 3] },
  example: { of: { x: 0.6 }, gives: 0.6, from: 'by hand' },
  of: ({ x }) => x,
});
