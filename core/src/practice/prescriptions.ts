import { definition } from '../contract';
import { law } from '../law';

/** Laws that multiply a current by what a practice prescribes. The factor's own source stands beside it in the working. */
const prescription = definition('Prescription', 'current × the factor the practice prescribes');

export const conductorCurrent = law({
  name: 'Least ampacity of the conductors, before corrections',
  symbol: 'I_z',
  unit: 'A',
  takes: { k: '1', I: 'A' },
  formula: 'k * I',
  source: prescription,
  of: ({ k, I }) => k * I,
});

export const overloadDial = law({
  name: 'Overload dial, on a relay marked in full-load current',
  symbol: 'I_dial',
  unit: 'A',
  takes: { c: '1', I_n: 'A' },
  formula: 'c * I_n',
  source: definition('Overload relay', 'set to the current of the conductor it sits in; 1/√3 inside a delta'),
  of: ({ c, I_n }) => c * I_n,
});

export const overloadTrip = law({
  name: 'Highest permitted ultimate trip current',
  symbol: 'I_trip',
  unit: 'A',
  takes: { k: '1', I: 'A' },
  formula: 'k * I',
  source: prescription,
  of: ({ k, I }) => k * I,
});

/** Continuous output current a drive must have: plate current, or the overload's current spread over its overload factor. */
export const driveCurrent = law({
  name: 'Continuous output current needed of the drive',
  symbol: 'I_d',
  unit: 'A',
  takes: { I_n: 'A', I_o: 'A', k: '1' },
  formula: 'max(I_n, I_o / k)',
  source: definition('Match by amperes', 'output current at least the plate current, and overload covered'),
  of: ({ I_n, I_o, k }) => Math.max(I_n, I_o / k),
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
  of: ({ I_n, r, T_m, T_r }) => (I_n * r * T_m) / T_r,
});

export const deratedCurrent = law({
  name: 'Drive current left after heat and height',
  symbol: 'I_dd',
  unit: 'A',
  takes: { I_d: 'A', d_d: '1' },
  formula: 'I_d * d_d',
  source: definition('Derating', 'rated current × derating'),
  of: ({ I_d, d_d }) => I_d * d_d,
});

export const turndownSpeed = law({
  name: 'Lowest speed the plate’s turndown permits',
  symbol: 'n_min',
  unit: 'rpm',
  takes: { n_r: 'rpm', k: '1' },
  formula: 'n_r / k',
  source: definition('Turndown', 'rated speed ÷ the ratio for this kind of load'),
  of: ({ n_r, k }) => n_r / k,
});
