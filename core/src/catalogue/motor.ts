import type { PracticeId } from '../practice';

/** Id of the motor that is there already, made from the case's plate. */
export const existingMotor = 'existing';

export type EnclosureClass = 'open' | 'enclosed' | 'severe-duty' | 'washdown';
export type Construction = 'rolled-steel' | 'aluminium' | 'cast-iron' | 'stainless';
export type Cooling = 'open' | 'shaft-fan' | 'blower';

/** One voltage a motor may be connected for, and what it then draws at full load. */
export interface Connection {
  readonly voltage: number;
  readonly current: number;
}

/** Where a motor of the own shelf lies, or who quotes it. */
export interface Stock {
  readonly quantity: number;
  readonly place: string;
  /** Days until it is here, where it is only quoted; null where the list does not say. */
  readonly days: number | null;
  /** Tag or name of the position it is kept for as a spare; empty where for none, or for the one in question. */
  readonly keptFor: string;
  /** Fields that the list did not say and that were taken as usual for the rating. */
  readonly assumed: readonly string[];
}

/** Whether it is there, and where; else when it comes, in words. */
export const stockText = ({ quantity, place, days }: Omit<Stock, 'assumed' | 'keptFor'>): string =>
  quantity > 0
    ? `${quantity} at ${place || 'a place not said'}`
    : days === null
      ? 'none there'
      : `quoted, ${days} day${days === 1 ? '' : 's'}`;

/**
 * What can be bought or is on the shelf. Powers in W, speeds in r/min, voltages in V, currents in A, inertia in kg·m²,
 * mass in kg, sound in dB(A).
 */
export interface Motor {
  readonly id: string;
  readonly name: string;
  readonly practice: PracticeId;
  readonly power: number;
  readonly powerText: string;
  readonly poles: number;
  readonly frequency: number;
  readonly speed: number;
  readonly voltageText: string;
  readonly connections: readonly Connection[];
  readonly efficiency: number;
  readonly efficiencyMinimum: number;
  /** Share of its full-load losses that does not go with load, where its part-load efficiency is known. */
  readonly constantLoss?: number;
  readonly efficiencyClass: string;
  readonly powerFactor: number;
  readonly frame: string | null;
  readonly enclosure: EnclosureClass;
  readonly enclosureText: string;
  /** Whether nobody said how it is enclosed: the class is a guess. */
  readonly enclosureUnsaid?: boolean;
  readonly cooling: Cooling;
  /** Made for a drive by its words, but without a ratio: how slowly it may run nobody stamped. */
  readonly turndownUnsaid?: boolean;
  readonly construction: Construction;
  readonly serviceFactor: number;
  readonly designLetter: string;
  readonly insulation: 'A' | 'E' | 'B' | 'F' | 'H' | 'N';
  readonly leads: 3 | 6 | 9 | 12;
  /**
   * Voltage at which the running connection is delta with both winding ends brought out; null where star-delta is
   * impossible.
   */
  readonly deltaVoltage: number | null;
  /** Times rated current is not standard; this is A at the highest connection voltage. */
  readonly lockedRotorCurrent: number;
  /** Locked-rotor, pull-up and breakdown torque ÷ rated torque. */
  readonly lockedRotorTorque: number;
  readonly pullUpTorque: number;
  readonly breakdownTorque: number;
  /** Where breakdown torque is a usual one: what the standard makes its maker owe. */
  readonly leastBreakdown?: number;
  readonly inertia: number;
  readonly mass: number;
  /** Sound power level at no load. */
  readonly sound: number;
  /** Lowest speed as rated ÷ this, by kind of load, on a drive. */
  readonly turndown: { readonly variableTorque: number; readonly constantTorque: number };
  readonly inverterDuty: boolean;
  /** Pulse crest the winding bears, V. */
  readonly pulseRating: number;
  readonly maxSpeed: number;
  /** Invented; compares, prices nothing. A shelf's own price, where its list gives one. */
  readonly priceIndex: number;
  /** Values of a motor made from a plate that the plate does not say and that were taken as usual for the rating. */
  readonly assumed?: readonly string[];
  /** Year of make of a motor that is there already; null where its plate does not say, absent on a new one. */
  readonly made?: number | null;
  /** Present on motors of the own shelf. */
  readonly stock?: Stock;
}
