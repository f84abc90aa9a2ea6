import type { PracticeId } from '../practice';

export type EnclosureClass = 'open' | 'enclosed' | 'severe-duty' | 'washdown';

/** One voltage a motor may be connected for, and what it then draws at full load. */
export interface Connection {
  readonly voltage: number;
  readonly current: number;
}

/** What can be bought: a row of the generic catalogue. Powers in W, speeds in r/min, voltages in V, currents in A. */
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
  readonly efficiencyClass: string;
  readonly powerFactor: number;
  readonly frame: string | null;
  readonly enclosure: EnclosureClass;
  readonly enclosureText: string;
  readonly serviceFactor: number;
  readonly leads: 3 | 6 | 9;
  /** Voltage at which the running connection is delta with both winding ends brought out; null where star-delta is impossible. */
  readonly deltaVoltage: number | null;
  /** Times rated current is not standard; this is A at the highest connection voltage. */
  readonly lockedRotorCurrent: number;
  /** Locked-rotor torque ÷ rated torque. */
  readonly lockedRotorTorque: number;
  /** Lowest speed as rated ÷ this, by kind of load, on a drive. */
  readonly turndown: { readonly variableTorque: number; readonly constantTorque: number };
  readonly inverterDuty: boolean;
  /** Pulse crest the winding bears, V. */
  readonly pulseRating: number;
  readonly maxSpeed: number;
  /** Invented; compares, prices nothing. */
  readonly priceIndex: number;
}
