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

const iec3_12 = (part: string) => remembered('standard', 'IEC 61000-3-12', '2011', `${part}, from memory`);

type EquipmentLimits = Table<'5' | '7' | '11' | '13' | 'thc' | 'pwhc'>;

/**
 * IEC 61000-3-12, Table 3 (balanced three-phase equipment): share of the equipment's own fundamental that single
 * harmonics, all to the 40th, and those from the 14th weighted by their order may reach, by the least ratio of the
 * supply's fault current to its own.
 */
export const equipmentLimits: EquipmentLimits = table(
  iec3_12('Table 3'), ['5', '7', '11', '13', 'thc', 'pwhc'], [
  [33, 0.107, 0.072, 0.031, 0.02, 0.13, 0.22],
  [66, 0.14, 0.09, 0.05, 0.03, 0.16, 0.25],
  [120, 0.19, 0.12, 0.07, 0.04, 0.22, 0.28],
  [250, 0.31, 0.2, 0.12, 0.07, 0.37, 0.38],
  [350, 0.4, 0.25, 0.15, 0.1, 0.48, 0.46],
]); // prettier-ignore

/** The same, Table 4: where the fifth lies as that of a bridge with a choke does, against the phase voltage. */
export const fifthLimits: EquipmentLimits = table(
  iec3_12('Table 4 (the fifth between 90° and 150°)'), ['5', '7', '11', '13', 'thc', 'pwhc'], [
  [33, 0.107, 0.072, 0.031, 0.02, 0.13, 0.22],
  [120, 0.4, 0.25, 0.15, 0.1, 0.48, 0.46],
]); // prettier-ignore
/** Degrees against the phase voltage between which the fifth lies where that table holds. */
export const fifthBetween = [90, 150] as const;
/** A a phase up to which that standard reaches, and from which. */
export const equipmentReach = { from: 16, to: 75 } as const;

/** IEC 61000-2-4: voltage distortion in plants, class 2 (in general) and class 3 (with much conversion). */
export const plantVoltage = {
  class2: 0.08,
  class3: 0.1,
  source: remembered('standard', 'IEC 61000-2-4', '2002', 'Table 5, total distortion, classes 2 and 3'),
};
