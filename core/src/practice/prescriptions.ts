import { definition } from '../contract';
import { law, notNegative, positive, share } from '../law';

/**
 * Laws that multiply a current by what a practice prescribes. The factor's own source stands beside it in the working.
 */
const prescription = definition('Prescription', 'current × the factor the practice prescribes');

export const conductorCurrent = law({
  name: 'Least ampacity of the conductors, before corrections',
  symbol: 'I_z',
  unit: 'A',
  takes: { k: '1', I: 'A' },
  formula: 'k * I',
  source: prescription,
  range: { k: [1, 20], I: notNegative },
  example: { of: { k: 1.25, I: 28 }, gives: 35, from: 'by hand' },
  of: ({ k, I }) => k * I,
});

/** Percentages end at the exceptions, but the next standard size above the usual percentage is always permitted. */
export const deviceCeiling = law({
  name: 'Largest short-circuit device where the motor cannot start otherwise',
  symbol: 'I_max',
  unit: 'A',
  takes: { c: '1', I: 'A', I_r: 'A' },
  formula: 'max(c * I, I_r)',
  source: prescription,
  range: { c: [1, 20], I: notNegative, I_r: notNegative },
  example: { of: { c: 4, I: 40, I_r: 100 }, gives: 160, from: 'by hand' },
  of: ({ c, I, I_r }) => Math.max(c * I, I_r),
});

export const overloadDial = law({
  name: 'Overload dial, on a relay marked in full-load current',
  symbol: 'I_dial',
  unit: 'A',
  takes: { c: '1', I_n: 'A' },
  formula: 'c * I_n',
  source: definition('Overload relay', 'set to the current of the conductor it sits in; 1/√3 inside a delta'),
  range: { c: [0.3, 1], I_n: notNegative },
  example: { of: { c: 0.57735, I_n: 50 }, gives: 28.867, from: 'by hand' },
  of: ({ c, I_n }) => c * I_n,
});

export const overloadTrip = law({
  name: 'Highest permitted ultimate trip current',
  symbol: 'I_trip',
  unit: 'A',
  takes: { k: '1', I: 'A' },
  formula: 'k * I',
  source: prescription,
  range: { k: [1, 2], I: notNegative },
  example: { of: { k: 1.25, I: 12.4 }, gives: 15.5, from: 'by hand' },
  of: ({ k, I }) => k * I,
});

/**
 * Continuous output current a drive must have: plate current, or the overload's current spread over its overload
 * factor.
 */
export const driveCurrent = law({
  name: 'Continuous output current needed of the drive',
  symbol: 'I_d',
  unit: 'A',
  takes: { I_n: 'A', I_o: 'A', k: '1', m: '1' },
  formula: 'm * max(I_n, I_o / k)',
  source: definition(
    'Match by amperes',
    'output current at least the plate current, and overload covered; of m ' + 'motors the sum',
  ),
  range: { I_n: notNegative, I_o: notNegative, k: [1, 3], m: [1, 200] },
  example: { of: { I_n: 40, I_o: 72, k: 1.5, m: 2 }, gives: 96, from: 'by hand' },
  of: ({ I_n, I_o, k, m }) => m * Math.max(I_n, I_o / k),
});

/** Current under overload, taken in proportion to torque above full load. */
export const overloadCurrent = law({
  name: 'Current during the overload',
  symbol: 'I_o',
  unit: 'A',
  takes: { I_n: 'A', r: '1', T_m: 'N.m', T_r: 'N.m' },
  formula: 'I_n * r * T_m / T_r',
  source: definition('Induction machine', 'near and above full load current goes with torque'),
  estimate: { basis: 'current in proportion to torque', band: [0.95, 1.1] },
  range: { I_n: notNegative, r: [0, 20], T_m: notNegative, T_r: positive },
  example: { of: { I_n: 40, r: 1.6, T_m: 80, T_r: 100 }, gives: 51.2, from: 'by hand' },
  of: ({ I_n, r, T_m, T_r }) => (I_n * r * T_m) / T_r,
});

export const deratedCurrent = law({
  name: 'Drive current left after heat and height',
  symbol: 'I_dd',
  unit: 'A',
  takes: { I_d: 'A', d_d: '1' },
  formula: 'I_d * d_d',
  source: definition('Derating', 'rated current × derating'),
  range: { I_d: notNegative, d_d: share },
  example: { of: { I_d: 52, d_d: 0.9 }, gives: 46.8, from: 'by hand' },
  of: ({ I_d, d_d }) => I_d * d_d,
});

export const turndownSpeed = law({
  name: 'Lowest speed the plate’s turndown permits',
  symbol: 'n_min',
  unit: 'rpm',
  takes: { n_r: 'rpm', k: '1' },
  formula: 'n_r / k',
  source: definition('Turndown', 'rated speed ÷ the ratio for this kind of load'),
  range: { n_r: notNegative, k: [1, 10000] },
  example: { of: { n_r: 1750, k: 10 }, gives: 175, from: 'by hand' },
  of: ({ n_r, k }) => n_r / k,
});
