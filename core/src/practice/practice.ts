import type { Prescribed, Source } from '../contract';
import type { Q } from '../quantity';
import type { Frame, FrameSystem } from './frames';

export type PracticeId = 'north-america' | 'iec';

export interface PlaceNeeds {
  readonly dirt: 'clean' | 'dusty' | 'dirty';
  readonly water: 'dry' | 'drips' | 'splash' | 'washdown' | 'outdoor';
  readonly corrosive: boolean;
  /** Touches food: smooth, sealed, washed. */
  readonly food: boolean;
  /** How the motor hangs; an open motor keeps drips out only standing on its feet. */
  readonly mounting: 'floor' | 'wall' | 'ceiling' | 'shaft-up' | 'shaft-down' | 'flange';
}

/** An enclosure class in the words and codes of both traditions. */
export interface EnclosureWords {
  readonly kind: string;
  readonly words: string;
  readonly protection: string;
  readonly cooling: string;
  readonly construction: string;
}

export const enclosureWords: readonly EnclosureWords[] = [
  {
    kind: 'open',
    words: 'open drip-proof (ODP)',
    protection: 'IP22, IP23',
    cooling: 'IC01',
    construction: 'rolled steel to about 2 hp, cast iron or steel above',
  },
  {
    kind: 'enclosed',
    words: 'totally enclosed fan-cooled (TEFC); blower-cooled TEBC, no fan TENV',
    protection: 'IP54, IP55',
    cooling: 'IC411; IC416, IC410',
    construction: 'rolled steel or aluminium when small, cast iron above',
  },
  {
    kind: 'severe-duty',
    words: 'severe or chemical duty',
    protection: 'IP55, IP56',
    cooling: 'IC411',
    construction: 'cast iron, epoxy, sealed joints',
  },
  {
    kind: 'washdown',
    words: 'washdown',
    protection: 'IP66, IP69',
    cooling: 'IC411, IC410',
    construction: 'stainless or epoxy, sealed throughout',
  },
];

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
  /** What of the motor decided, in words. */
  readonly because: string;
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
  /** Whose law asks an efficiency of new motors. */
  readonly market: string;
}

/** A class of efficiency and the nominal value it asks of one rating. */
export interface EfficiencyClass {
  readonly name: string;
  readonly efficiency: number;
  readonly source: Source;
}

/** From when a market asked a class of a new motor. */
export interface EfficiencyFloor {
  readonly name: string;
  readonly since: number;
  readonly efficiency: number;
  readonly source: Source;
}

/** What a design letter promises: the least torques as multiples of rated, and what the letter is for. */
export interface Design {
  readonly letter: string;
  readonly words: string;
  readonly lockedRotorTorque?: number;
  readonly breakdownTorque?: number;
  /** True where the standard limits the locked-rotor current of this design. */
  readonly limitsCurrent: boolean;
  readonly source: Source;
}

/** What people prescribe. Physics never asks it; stations never ask which practice it is. */
export interface Practice {
  readonly id: PracticeId;
  readonly name: string;
  readonly words: Words;
  readonly frequency: Q<'Hz'>;
  /** Service factor wanted of a motor on a drive, as a sign of its cooling; absent where motors are not rated by one. */
  readonly driveServiceFactor?: number;
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
  readonly frameSystem: FrameSystem;
  /** Voltages for which motors of this practice are made. */
  readonly motorVoltages: readonly number[];
  /** Nominal efficiencies a plate may carry, descending; absent where any value may be stamped. */
  readonly nominalEfficiencies?: Prescribed<readonly number[]>;
  /** A frame designation of either tradition, understood; digits both use are read as this practice's. */
  frame(designation: string, poles?: number): Frame | undefined;
  /** The frame the standard gives this rating, W. */
  standardFrame(power: number, poles: number): Prescribed<string> | undefined;
  /** Ratings in W for which this frame is the standard one. */
  ratingsInFrame(designation: string, poles: number): readonly number[];
  /** Classes of efficiency at a rating, lowest first; none where the tables do not reach. Open motors may have their own. */
  efficiencyClasses(power: number, poles: number, open?: boolean): readonly EfficiencyClass[];
  /** The class a plate names ("IE3", "PREM EFF"), by the name used in `efficiencyClasses`. */
  readEfficiencyClass(text: string): string | undefined;
  /** What the practice's home markets asked of a motor made in a year. */
  efficiencyFloor(power: number, poles: number, year: number, open?: boolean): EfficiencyFloor | undefined;
  design(letter: string, power: number, poles: number): Design | undefined;
  /** Largest locked-rotor current in A the standard allows the usual design. */
  lockedRotorLimit(power: number, voltage: number): Prescribed<number>;
  /** Shaft height in mm from a frame designation; undefined where the designation is not one of the practice's. */
  shaftHeight(frame: string): Prescribed<number> | undefined;
  /**
   * The code's table current in A for a rating in W at the motor's own voltage, or at the supply's where the motor is used on a supply the
   * table has a column of its own for (a 230 V motor on 208 V). Undefined where the table has no such rating.
   */
  tableCurrent(power: number, voltage: number, plate: number, supply?: number): Prescribed<number> | undefined;
  /** Motors of less than this speed, r/min, may draw more than the table: conductors go by the larger of table and plate. */
  readonly lowSpeed?: Prescribed<number>;
  /** Overload percentages by service factor and, where stamped, temperature rise in K. */
  overload(serviceFactor: number, rise?: number): OverloadRule;
  /** Enclosures that will do in a place, cheapest first. */
  enclosures(place: PlaceNeeds): Prescribed<readonly string[]>;
  /** Reads a plate's enclosure words as one of the practice's enclosure classes. */
  enclosureClass(text: string): string | undefined;
  lockedRotorCurrent(power: number, voltage: number): Prescribed<number>;
  /** Locked-rotor torque ÷ rated torque, the least the standard allows for the common design. */
  lockedRotorTorque(power: number, poles: number): Prescribed<number>;
  /** Breakdown torque ÷ rated torque, the least the standard allows for the common design. */
  breakdownTorque(power: number, poles: number): Prescribed<number>;
  /** Pull-up torque ÷ rated torque, the least the standard allows for the common design. */
  pullUpTorque(power: number, poles: number): Prescribed<number>;
  /** Least pitch diameter in m of a V-belt sheave on a frame; undefined where the practice has no table. */
  leastSheave(frame: string): Prescribed<number> | undefined;
  driveSizes(voltage: number): Prescribed<readonly DriveSize[]>;
  /** Seconds a motor at its running temperature bears its locked-rotor current. */
  readonly stallTime: Prescribed<number>;
  /** Largest load inertia in kg·m² at its shaft that the standard's motor starts twice from cold or once from hot, on the full line. */
  inertiaLimit(power: number, poles: number): Prescribed<number>;
}

/** Rows of [rating, value of column 0, value of column 1, …], ascending by rating. */
export type Rows = readonly (readonly [number, ...(number | null)[]])[];

/** Value in a column at the first row whose rating is at least the one asked for (within 1 %); the last row beyond. */
export function atRating(rows: Rows, rating: number, column: number): number | undefined {
  const row = rows.find((r) => r[0] >= rating * 0.99) ?? rows.at(-1);
  return row?.[column + 1] ?? undefined;
}

/** The class a rating exactly in the table has; tables do not speak of ratings between their rows. */
export function exactly(rows: Rows, rating: number, column: number): number | undefined {
  return rows.find((r) => Math.abs(r[0] / rating - 1) < 0.011)?.[column + 1] ?? undefined;
}

/** Column index for a number of poles in a table of 2, 4 and 6 poles; slower motors take the six-pole column. */
export const poleColumn = (poles: number): number => (poles <= 2 ? 0 : poles <= 4 ? 1 : 2);

export const horsepower = 745.6998715822702;

/** Enclosure classes that will do, cheapest first. Both traditions sort places alike; only their words and codes differ. */
export function suitableEnclosures({ dirt, water, corrosive, food, mounting }: PlaceNeeds): readonly string[] {
  if (water === 'washdown' || food) return ['washdown'];
  if (corrosive) return ['severe-duty', 'washdown'];
  const hangs = mounting !== 'floor' && water !== 'dry';
  if (dirt === 'clean' && !hangs && (water === 'dry' || water === 'drips'))
    return ['open', 'enclosed', 'severe-duty', 'washdown'];
  return ['enclosed', 'severe-duty', 'washdown'];
}

/** Why an enclosure class will not do in a place; undefined where it will. */
export function enclosureFault(kind: string, place: PlaceNeeds): string | undefined {
  if (suitableEnclosures(place).includes(kind)) return undefined;
  if (place.food) return 'food: it must be smooth, sealed and washed';
  if (place.water === 'washdown') return 'washed down: water jets get in';
  if (place.corrosive) return 'corrosion: paint, joints and hardware give way';
  if (place.water === 'splash' || place.water === 'outdoor') return 'water goes through its openings';
  if (place.dirt !== 'clean') return 'dirt is drawn through the winding';
  return 'hung this way drips fall into its openings';
}

/** Enclosure class of an IP code: solids and water by its two digits. */
export function classOfProtection(text: string): string | undefined {
  const ip = /IP\s*-?(\d)(\d)/i.exec(text);
  if (!ip) return undefined;
  const [solid, water] = [Number(ip[1]), Number(ip[2])];
  if (solid >= 5 && water >= 6) return 'washdown';
  return solid >= 4 && water >= 4 ? 'enclosed' : 'open';
}

/** Sorts a voltage deviation by a comfortable band and the largest permitted; a supply just at a limit is within it. */
export function fitOutcome(deviation: number, comfortable: number, permitted: number): VoltageFit['outcome'] {
  const size = Math.abs(deviation) - 1e-9;
  return size <= comfortable ? 'pass' : size <= permitted ? 'caution' : 'fail';
}
