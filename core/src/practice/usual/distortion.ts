import { remembered } from '../../contract';
import { table, type Table } from '../table';

const ieee = (part: string) => remembered('standard', 'IEEE 519', '2022', part);

/**
 * IEEE 519, Table 2 (120 V to 69 kV): share of the maximum demand current, by the band of Isc ÷ IL whose upper end
 * stands first; columns are the lowest order of each group of odd harmonics, and the demand distortion.
 */
export const demandLimits = table(ieee('Table 2, from memory'), ['3', '11', '17', '23', '35', 'tdd'], [
  [20, 0.04, 0.02, 0.015, 0.006, 0.003, 0.05],
  [50, 0.07, 0.035, 0.025, 0.01, 0.005, 0.08],
  [100, 0.1, 0.045, 0.04, 0.015, 0.007, 0.12],
  [1000, 0.12, 0.055, 0.05, 0.02, 0.01, 0.15],
  [Infinity, 0.15, 0.07, 0.06, 0.025, 0.014, 0.2],
]); // prettier-ignore

/** IEEE 519, Table 1: voltage up to 1 kV, a single harmonic and all together. */
export const voltageLimits = { each: 0.05, all: 0.08, source: ieee('Table 1, to 1 kV') };

/** Column of the demand limits for an odd order. */
export const groupOf = (order: number): '3' | '11' | '17' | '23' | '35' =>
  order < 11 ? '3' : order < 17 ? '11' : order < 23 ? '17' : order < 35 ? '23' : '35';

/** The row for a ratio of fault current to demand current; a ratio at the end of a band is in the next one. */
export const demandRow = (ratio: number) => demandLimits.rows.find((r) => ratio < r[0]) ?? demandLimits.rows.at(-1);

const iec3_12 = remembered(
  'standard',
  'IEC 61000-3-12',
  '2011',
  'Table 4 (balanced three-phase equipment), from memory',
);

/**
 * IEC 61000-3-12, Tables 3 and 4: share of the equipment's own fundamental that it may distort, by the least ratio of
 * the supply's fault current to its own, for 16 to 75 A. From 120 on a rectifier whose fifth lies as that of a bridge
 * with a choke does is judged by Table 4.
 */
export const equipmentLimits: Table<'5' | '7' | '11' | '13' | 'thc'> = table(
  iec3_12, ['5', '7', '11', '13', 'thc'], [
  [33, 0.107, 0.072, 0.031, 0.02, 0.13],
  [66, 0.14, 0.09, 0.05, 0.03, 0.16],
  [120, 0.4, 0.25, 0.15, 0.1, 0.48],
]); // prettier-ignore
/** A a phase up to which that standard reaches, and from which. */
export const equipmentReach = { from: 16, to: 75 } as const;

/** IEC 61000-2-4: voltage distortion in plants, class 2 (in general) and class 3 (with much conversion). */
export const plantVoltage = {
  class2: 0.08,
  class3: 0.1,
  source: remembered('standard', 'IEC 61000-2-4', '2002', 'Table 5, total distortion, classes 2 and 3'),
};
