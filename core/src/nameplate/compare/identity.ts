import type { Motor } from '../../catalogue';
import type { Plate } from '../../case';
import { horsepower, type Frame, type Practice } from '../../practice';
import { enclosureOf, enclosureText } from '../enclosure';
import { pairsOf } from '../pairs';
import { polesOf } from '../readings';
import { frameOf, specialOfFrame, specialParts, type SpecialPart } from '../special';

/**
 * A motor as a replacement sees it, from a plate or from a catalogue row. Powers in W, voltages in V, currents in A.
 */
export interface Identity {
  readonly name: string;
  readonly power?: number;
  readonly powerText?: string;
  readonly pairs: readonly { readonly voltage: number; readonly current: number | undefined }[];
  readonly voltageText?: string;
  readonly frequency?: number;
  readonly speed?: number;
  readonly poles?: number;
  readonly frame?: Frame;
  /** The shaft and face its machine is built around. */
  readonly special: readonly SpecialPart[];
  readonly mounting?: string;
  readonly enclosure?: string;
  readonly enclosureClass?: string;
  readonly serviceFactor?: number;
  /** Locked-rotor apparent power, kVA, from and to. */
  readonly lockedRotor?: readonly [number, number];
  readonly codeText?: string;
  readonly designLetter?: string;
  readonly insulation?: string;
  readonly driveEndBearing?: string;
  readonly efficiency?: number;
  readonly efficiencyMinimum?: number;
  readonly leads?: number;
}

/** What of the case the comparison depends on. */
export interface Setting {
  readonly practice: Practice;
  readonly supplyVoltage?: number;
  readonly belt: boolean;
  readonly direct: boolean;
  /** Power the load asks with its margin, W. */
  readonly required?: number;
  /** Enclosure classes that will do in the place. */
  readonly enclosures: readonly string[];
  readonly starDelta: boolean;
  /** A drive starts it: what the line would have seen of its start does not matter. */
  readonly drive: boolean;
}

export function identityOfPlate(plate: Plate, practice: Practice, name: string): Identity {
  const speed = plate.speed?.groups.flat().at(-1);
  const poles = polesOf(plate.frequency?.value, speed);
  const power = plate.power?.groups.at(-1)?.at(-1);
  const band = plate.codeLetter === undefined ? undefined : practice.codeLetter(plate.codeLetter);
  const hp = (power ?? 0) / horsepower;
  const frame = frameOf(plate, practice, practice, poles);
  return {
    name,
    power,
    powerText: plate.power?.text,
    pairs: pairsOf(plate),
    voltageText: plate.voltage?.text,
    frequency: plate.frequency?.value,
    speed,
    poles,
    frame,
    special: specialParts(plate, frame),
    mounting: plate.mounting,
    enclosure: enclosureText(plate),
    enclosureClass: enclosureOf(plate, practice),
    serviceFactor: plate.serviceFactor,
    lockedRotor:
      band && power !== undefined ? [band.value.low * hp, (band.value.high ?? band.value.low * 1.12) * hp] : undefined,
    codeText: plate.codeLetter?.toUpperCase(),
    designLetter: plate.designLetter?.toUpperCase(),
    insulation: plate.insulation,
    driveEndBearing: plate.bearings?.driveEnd,
    efficiency: plate.efficiency,
    efficiencyMinimum:
      plate.efficiencyMinimum ??
      (plate.efficiency === undefined ? undefined : practice.minimumEfficiency(plate.efficiency, power ?? 0)?.value),
    leads: plate.leads,
  };
}

export function identityOfMotor(motor: Motor, practice: Practice): Identity {
  const top = motor.connections.at(-1)?.voltage ?? 0;
  const kva = (Math.sqrt(3) * top * motor.lockedRotorCurrent) / 1000;
  const frame = motor.frame === null ? undefined : practice.frame(motor.frame, motor.poles);
  return {
    name: motor.name,
    power: motor.power,
    powerText: motor.powerText,
    pairs: motor.connections,
    voltageText: motor.voltageText,
    frequency: motor.frequency,
    speed: motor.speed,
    poles: motor.poles,
    frame,
    special: specialOfFrame(frame),
    enclosure: motor.enclosureText,
    enclosureClass: motor.enclosure,
    serviceFactor: motor.serviceFactor,
    insulation: motor.insulation,
    lockedRotor: [kva, kva],
    efficiency: motor.efficiency,
    efficiencyMinimum: motor.efficiencyMinimum,
    leads: motor.leads,
  };
}
