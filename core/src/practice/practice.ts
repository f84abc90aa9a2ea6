import type { Prescribed, Source } from '../law';
import type { Q } from '../quantity';

export type PracticeId = 'north-america' | 'iec';

export interface PlaceNeeds {
  readonly dirt: 'clean' | 'dusty' | 'dirty';
  readonly water: 'dry' | 'drips' | 'splash' | 'washdown' | 'outdoor';
  readonly corrosive: boolean;
}

/** How well a motor voltage suits a supply: within the comfortable band, usable with a caution, or not at all. */
export interface VoltageFit {
  readonly outcome: 'pass' | 'caution' | 'fail';
  /** supply ÷ motor voltage − 1 */
  readonly deviation: number;
  /** Largest deviation permitted at all. */
  readonly limit: number;
  readonly source: Source;
}

export interface OverloadRule {
  readonly trip: number;
  /** Highest percentage where the motor cannot otherwise start; absent where the practice has none. */
  readonly maximum?: number;
  readonly source: Source;
}

/** A drive of the generic ladder: output current and the power it is sold beside. */
export interface DriveSize {
  readonly current: number;
  readonly power: number;
  readonly name: string;
}

/** Words of the practice, for labels and sheets. */
export interface Words {
  readonly fullLoadCurrent: string;
  readonly fullLoadCurrentLong: string;
  readonly powerUnit: 'hp' | 'kW';
}

/** What people prescribe. Physics never asks it; stations never ask which practice it is. */
export interface Practice {
  readonly id: PracticeId;
  readonly name: string;
  readonly words: Words;
  readonly frequency: Q<'Hz'>;
  /** Conductors start from table or plate current unless a house rule says otherwise. */
  readonly conductorBasis: 'table' | 'plate';
  readonly conductorFactor: Prescribed<number>;
  /** Standard ratings in W, ascending. */
  readonly ratings: readonly number[];
  voltageFit(supply: number, motor: number): VoltageFit;
  codeLetter(letter: string): Prescribed<{ readonly low: number; readonly high: number | undefined }> | undefined;
  minimumEfficiency(nominal: number, power: number): Prescribed<number> | undefined;
  /** Nominal efficiency to assume for a motor whose plate does not say, by rating and poles. */
  usualEfficiency(power: number, poles: number): Prescribed<number>;
  /** Shaft height in mm from a frame designation; undefined where the designation is not one of the practice's. */
  shaftHeight(frame: string): Prescribed<number> | undefined;
  /** The code's table current in A for a rating in W at a motor voltage. Undefined where the table has no such rating. */
  tableCurrent(power: number, voltage: number, plate: number): Prescribed<number> | undefined;
  overload(serviceFactor: number): OverloadRule;
  /** Enclosures that will do in a place, cheapest first. */
  enclosures(place: PlaceNeeds): Prescribed<readonly string[]>;
  /** Reads a plate's enclosure words as one of the practice's enclosure classes. */
  enclosureClass(text: string): string | undefined;
  lockedRotorCurrent(power: number, voltage: number): Prescribed<number>;
  /** Locked-rotor torque ÷ rated torque, the least the standard allows for the common design. */
  lockedRotorTorque(power: number, poles: number): Prescribed<number>;
  driveSizes(voltage: number): Prescribed<readonly DriveSize[]>;
}

/** Rows of [rating, value of column 0, value of column 1, …], ascending by rating. */
export type Rows = readonly (readonly [number, ...(number | null)[]])[];

/** Value in a column at the first row whose rating is at least the one asked for (within 1 %); the last row beyond. */
export function atRating(rows: Rows, rating: number, column: number): number | undefined {
  const row = rows.find((r) => r[0] >= rating * 0.99) ?? rows.at(-1);
  return row?.[column + 1] ?? undefined;
}

/** Column index for a number of poles in a table of 2, 4 and 6 poles; slower motors take the six-pole column. */
export const poleColumn = (poles: number): number => (poles <= 2 ? 0 : poles <= 4 ? 1 : 2);

export const horsepower = 745.6998715822702;

/** Enclosure classes that will do, cheapest first. Both traditions sort places alike; only their words and codes differ. */
export function suitableEnclosures({ dirt, water, corrosive }: PlaceNeeds): readonly string[] {
  if (water === 'washdown') return ['washdown'];
  if (corrosive) return ['severe-duty', 'washdown'];
  if (dirt === 'clean' && (water === 'dry' || water === 'drips'))
    return ['open', 'enclosed', 'severe-duty', 'washdown'];
  return ['enclosed', 'severe-duty', 'washdown'];
}

/** Sorts a voltage deviation by a comfortable band and the largest permitted; a supply just at a limit is within it. */
export function fitOutcome(deviation: number, comfortable: number, permitted: number): VoltageFit['outcome'] {
  const size = Math.abs(deviation) - 1e-9;
  return size <= comfortable ? 'pass' : size <= permitted ? 'caution' : 'fail';
}
