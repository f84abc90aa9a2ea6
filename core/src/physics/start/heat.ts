import { commonPractice, definition, remembered } from '../../contract';
import { law, notNegative, positive } from '../../law';
import { leakageLeft, type Saturation } from '../machine/circuit';

/**
 * Hot to cold: a motor at ambient temperature bears its locked-rotor current longer. Common practice: 1.2 to 2 times;
 * the lower half taken.
 */
export const coldStall = 1.4;
export const coldStallPractice = commonPractice(
  'A cold motor bears its locked-rotor current 1.2 to 2 × as long as a hot one; 1.4 taken',
);

/** Share of the permitted heating from cold, where it is known from hot. */
export const coldShare = law({
  name: 'Share of the permitted heating, cold',
  symbol: 'h_c',
  unit: '1',
  takes: { h: '1', k_c: '1' },
  formula: 'h / k_c',
  source: coldStallPractice,
  range: { h: notNegative, k_c: [1, 2] },
  example: { of: { h: 0.7, k_c: 1.4 }, gives: 0.5, from: 'by hand' },
  of: ({ h, k_c }) => h / k_c,
});

/**
 * Starts an hour that heat the motor on average no more than full load does: heat of a start over what is left of the
 * rated losses while
 * running. P_r rated losses, P_run losses at the load, E_st heat of one start, all in the motor. Where running leaves
 * nothing: none.
 */
export const startsPerHour = law({
  name: 'Starts an hour by heat',
  symbol: 'z',
  unit: '1/h',
  takes: { P_r: 'W', P_run: 'W', E_st: 'J' },
  formula: '3600 * max(0, P_r - P_run) / E_st',
  source: commonPractice('Heat of the starts and of running together no more than rated losses give, on average'),
  estimate: { basis: 'average heat; a standing fan cools less', band: [0.5, 1.2] },
  range: { P_r: notNegative, P_run: notNegative, E_st: positive },
  example: { of: { P_r: 900, P_run: 600, E_st: 90000 }, gives: 12, from: 'by hand' },
  of: ({ P_r, P_run, E_st }) => (3600 * Math.max(0, P_r - P_run)) / E_st,
});

/** Peak factor of a current switched in with an offset, by R ÷ X of its path: IEC 60909-0 (2016), equation 57. */
export const peakFactor = (r: number): number => 1.02 + 0.98 * Math.exp(-3 * r);

/**
 * By how much the first crest lies higher because leakage gives way beyond the steady current of I A: 1 or more. `r`:
 * R ÷ X of the path; `share`: how much of its reactance is the machine's leakage, 0 to 1.
 */
export function crestRise(saturation: Saturation, I: number, r: number, share: number): number {
  const before = leakageLeft(saturation, I);
  const factor = peakFactor(r);
  let rise = 1;
  for (let i = 0; i < 60; i++) rise = 1 / (1 - share * (1 - leakageLeft(saturation, I * factor * rise) / before));
  return rise;
}

/**
 * Asymmetrical first peak of a locked-rotor current: its crest times the factor by R/X of the whole path, and times
 * what leakage that gives way adds (`crestRise`).
 */
export const firstPeak = law({
  name: 'First peak of the starting current',
  symbol: 'i_p',
  unit: 'A',
  takes: { I: 'A', r: '1', k: '1' },
  formula: 'sqrt(2) * I * (1.02 + 0.98 * exp(-3 * r)) * k',
  source: remembered('standard', 'IEC 60909-0', '2016', 'equation 57, peak factor by R/X'),
  estimate: { basis: 'usual depth of saturation beyond the locked-rotor current', band: [0.9, 1.15] },
  range: { I: notNegative, r: notNegative, k: [1, 3] },
  example: { of: { I: 100, r: 0.2, k: 1.1 }, gives: 242.34, from: 'by hand: 141.421 × 1.557835 × 1.1' },
  of: ({ I, r, k }) => Math.SQRT2 * I * peakFactor(r) * k,
});

/** Largest motor a source starts within a dip, by the dip this one makes: locked-rotor power goes with rated power. */
export const largestMotor = law({
  name: 'Largest motor within the dip',
  symbol: 'P_max',
  unit: 'W',
  takes: { P: 'W', dip: '1', d_max: '1' },
  formula: 'P * (d_max / (1 - d_max)) / (dip / (1 - dip))',
  source: definition('Voltage divider', 'a motor of the same kind, its impedance in proportion to its rating'),
  estimate: { basis: 'same locked-rotor power per unit of rating', band: [0.9, 1.1] },
  range: { P: notNegative, dip: [0.000001, 0.9], d_max: [0, 0.9] },
  example: { of: { P: 75000, dip: 0.2, d_max: 0.1 }, gives: 33333, from: 'by hand' },
  of: ({ P, dip, d_max }) => (P * (d_max / (1 - d_max))) / (dip / (1 - dip)),
});

/** Resistance a phase of a copper cable at 70 °C: 0.0225 Ω·mm²/m. */
export const cableResistance = law({
  name: 'Resistance of the motor cable',
  symbol: 'R_c',
  unit: 'ohm',
  takes: { l: 'm', I_n: 'A', j: '1' },
  formula: '0.0225 * l * j / I_n',
  source: commonPractice('Copper at 70 °C, cable taken as sized for a current density j in A/mm²'),
  estimate: { basis: 'the cable’s size is not known yet', band: [0.5, 1.5] },
  range: { l: notNegative, I_n: positive, j: [0.5, 10] },
  example: { of: { l: 100, I_n: 50, j: 4 }, gives: 0.18, from: 'by hand' },
  of: ({ l, I_n, j }) => (0.0225 * l * j) / I_n,
});

/** Resistance a phase of a cable whose size is known. */
export const conductorResistance = law({
  name: 'Resistance of the motor cable, by its size',
  symbol: 'R_c',
  unit: 'ohm',
  takes: { l: 'm', r: 'ohm', n: '1' },
  formula: 'l * r / (1000 * n)',
  source: definition('Resistance of a conductor', 'r ohms a km of one, n of them side by side'),
  range: { l: notNegative, r: notNegative, n: [1, 12] },
  example: { of: { l: 60, r: 3.75, n: 1 }, gives: 0.225, from: 'by hand: 6 mm², 22.5 ÷ 6 Ω a km' },
  of: ({ l, r, n }) => (l * r) / (1000 * n),
});

/** Motor, train and load turning together, at the motor's shaft. */
export const totalInertia = law({
  name: 'Inertia to accelerate',
  symbol: 'J',
  unit: 'kg.m2',
  takes: { J_m: 'kg.m2', J_L: 'kg.m2' },
  formula: 'J_m + J_L',
  source: definition('Mechanics'),
  range: { J_m: notNegative, J_L: notNegative },
  example: { of: { J_m: 0.05, J_L: 0.1 }, gives: 0.15, from: 'by hand' },
  of: ({ J_m, J_L }) => J_m + J_L,
});

/** Load inertia where nobody gives it, as a multiple of the motor's. */
export const usualInertia = law({
  name: 'Load inertia usual for the machine',
  symbol: 'J_L',
  unit: 'kg.m2',
  takes: { J_m: 'kg.m2', k_J: '1' },
  formula: 'k_J * J_m',
  source: commonPractice('Load inertia as a multiple of the rotor’s of its size, by the kind of machine'),
  estimate: { basis: 'no inertia given', band: [0.3, 3] },
  range: { J_m: notNegative, k_J: [0, 100] },
  example: { of: { J_m: 0.05, k_J: 10 }, gives: 0.5, from: 'by hand' },
  of: ({ J_m, k_J }) => k_J * J_m,
});

/** Load inertia that the standard lets the motor bring up, ÷ what there is, less one. */
export const inertiaReserve = law({
  name: 'Reserve to the standard’s load inertia',
  symbol: 'm_J',
  unit: '1',
  takes: { J_max: 'kg.m2', J_L: 'kg.m2' },
  formula: 'J_max / J_L - 1',
  source: definition('Margin'),
  range: { J_max: notNegative, J_L: positive },
  example: { of: { J_max: 3, J_L: 2 }, gives: 0.5, from: 'by hand' },
  of: ({ J_max, J_L }) => J_max / J_L - 1,
});
