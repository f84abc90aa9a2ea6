import { commonPractice, type FindingId, type Source } from '../../contract';
import type { Practice } from '../../practice';
import { writeQuantity } from '../../quantity';
import type { Readings } from '../readings';

/** One way a plate contradicts itself, the standards or physics, with the numbers. */
export interface Doubt {
  readonly id: FindingId;
  readonly text: string;
  /** Fields of the plate it rests on, without the leading "plate.". */
  readonly fields: readonly string[];
  readonly source: Source;
  /** How many times one figure is what the others ask for, where that is known; at least 1. */
  readonly factor?: number;
}

/** Off by this much, nothing is sized from it until somebody read it again. */
export const wildlyOff = 3;

export type Check = (r: Readings, practice: Practice) => Doubt | undefined;
export const usualBand = commonPractice('Usual band of plates of this rating, wide enough for old and small motors');

export const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits)} %`;
export const amps = (value: number): string => writeQuantity(value, 'A');
export const rating = (watts: number, practice: Practice): string => writeQuantity(watts, 'W', practice.words.units);
/** Usual power factor at full load, with half the width of its band; common practice, no table. */
export function usualPowerFactor(
  power: number,
  poles: number,
): { readonly value: number; readonly least: number; readonly most: number } {
  const size = Math.log10(Math.max(power, 100) / 1000);
  const value = Math.min(0.9, 0.76 + 0.07 * size) + (poles <= 2 ? 0.05 : poles >= 8 ? -0.13 : poles >= 6 ? -0.07 : 0);
  return { value, least: value - 0.2, most: Math.min(0.95, value + 0.11) };
}
/** Share of the usual losses a motor of any age may have: from far better than any class to old and rewound. */
const lossBand = { least: 0.4, most: 2.1 } as const;

export function efficiencyBand(
  power: number,
  poles: number,
  practice: Practice,
): { readonly least: number; readonly most: number } {
  const loss = 1 / practice.usualEfficiency(power, poles).value - 1;
  return { least: 1 / (1 + lossBand.most * loss), most: 1 / (1 + lossBand.least * loss) };
}
