import { brakingKinds } from '../../contract';
import type { DriveProgram } from './live';

/**
 * The register map by which a drive is read and set over Modbus TCP: our own, not any maker's. Every number is an
 * IEEE 754 float in two registers, high word first; words are one register. Addresses count from 0.
 */
export interface Register {
  readonly address: number;
  readonly unit: string;
  readonly says: string;
}

/** Input registers: what it shows. */
export const driveWords = { state: 0, fault: 1, source: 2, run: 3, events: 4 } as const;

/** Input registers: floats. */
export const driveShows = {
  time: { address: 10, unit: 's', says: 'since it was switched on' },
  frequency: { address: 12, unit: 'Hz', says: 'at its output' },
  speed: { address: 14, unit: 'r/min', says: 'of the motor' },
  current: { address: 16, unit: 'A', says: 'of the motor' },
  voltage: { address: 18, unit: 'V', says: 'at its output, between lines' },
  torque: { address: 20, unit: 'N·m', says: 'of the motor, below 0 while it brakes' },
  bus: { address: 22, unit: 'V', says: 'of its DC bus' },
  input: { address: 24, unit: 'W', says: 'from the supply, below 0 where it feeds back' },
  resistor: { address: 26, unit: 'W', says: 'in the braking resistor' },
  motorHeat: { address: 28, unit: '1', says: 'of the motor’s overload trip' },
  driveHeat: { address: 30, unit: '1', says: 'of its own overload trip' },
  reference: { address: 32, unit: '1', says: 'of its range, as it is followed' },
} as const satisfies Readonly<Record<string, Register>>;
export const shownLength = 34;

/** Input registers of the last events, newest first: number, kind, fault, and the time as a float in s. */
export const driveLog = { address: 40, length: 5, count: 16 } as const;

/** Holding registers: orders. Word 0: bit 0 run, bit 1 reset at its rise; word 1: 1 takes the table; word 2: source. */
export const driveOrders = { control: 0, take: 1, source: 2, reference: 4 } as const;

/** Holding registers that only the stand-in has: what is done to it. */
export const driveSpoils = {
  load: { address: 10, unit: '1', says: '× the load; below 0 it drives' },
  supply: { address: 12, unit: '1', says: '× the supply’s voltage' },
  phases: { address: 14, unit: '1', says: 'lines of the supply that are there, 2 or 3' },
  signal: { address: 16, unit: 'mA', says: 'at its analogue input' },
} as const satisfies Readonly<Record<string, Register>>;

/** Holding registers: settings, by the names of the table of what to program. */
export const driveSettings = {
  'motor-voltage': { address: 100, unit: 'V', says: 'rated' },
  'motor-frequency': { address: 102, unit: 'Hz', says: 'rated' },
  'motor-current': { address: 104, unit: 'A', says: 'rated' },
  'motor-speed': { address: 106, unit: 'r/min', says: 'rated' },
  'motor-power': { address: 108, unit: 'W', says: 'rated' },
  'overload-current': { address: 110, unit: 'A', says: 'from which the motor’s overload counts' },
  'overload-class': { address: 112, unit: 's', says: 'class: to a trip at 7.2 ×' },
  'current-limit': { address: 114, unit: 'A', says: 'at the motor, at most' },
  'ramp-up': { address: 116, unit: 's', says: 'from standstill to rated frequency' },
  'ramp-down': { address: 118, unit: 's', says: 'from rated frequency to standstill' },
  jerk: { address: 120, unit: '1', says: 'of a ramp, over which its ends are rounded' },
  'least-speed': { address: 122, unit: 'Hz', says: 'least' },
  'greatest-speed': { address: 124, unit: 'Hz', says: 'greatest' },
  carrier: { address: 126, unit: 'Hz', says: 'of its pulses' },
  control: { address: 128, unit: '1', says: '0 volts per hertz, 1 vector' },
  boost: { address: 130, unit: '1', says: 'of rated voltage at standstill' },
  'flying-start': { address: 132, unit: '1', says: '1 on' },
  restart: { address: 134, unit: '1', says: 'tries by itself after a trip' },
  'reference-lost': { address: 136, unit: 'mA', says: 'below which the analogue reference is lost' },
  'link-lost': { address: 138, unit: 's', says: 'without a word until it stops; 0 never' },
  stop: { address: 140, unit: '1', says: '0 coast, 1 ramp, 2 direct current, 3 chopper, 4 feeds back' },
  resistor: { address: 142, unit: 'Ω', says: 'of the braking resistor' },
} as const satisfies Readonly<Record<string, Register>>;
export type DriveSettingId = keyof typeof driveSettings;
export const settingsFrom = 100;
export const settingsLength = 44;

export type DriveNumbers = Readonly<Partial<Record<DriveSettingId, number>>>;

/** Settings without which it does not run. */
export const neededSettings = [
  'motor-voltage',
  'motor-frequency',
  'motor-current',
  'overload-current',
  'current-limit',
  'ramp-up',
  'greatest-speed',
] as const satisfies readonly DriveSettingId[];

/** The program that these numbers are; undefined where one that is needed is missing or not above zero. */
export function programFrom(numbers: DriveNumbers): DriveProgram | undefined {
  const known = (id: DriveSettingId): number | undefined => {
    const value = numbers[id];
    return value !== undefined && Number.isFinite(value) ? value : undefined;
  };
  if (!neededSettings.every((id) => (known(id) ?? 0) > 0)) return undefined;
  const of = (id: DriveSettingId, otherwise: number): number => known(id) ?? otherwise;
  const greatest = of('greatest-speed', 0);
  const current = of('overload-current', 0);
  return {
    limit: of('current-limit', current),
    control: of('control', 1) < 0.5 ? 'scalar' : 'vector',
    boost: Math.max(0, Math.min(0.3, of('boost', 0))),
    rampUp: of('ramp-up', 0),
    rampDown: Math.max(0.05, of('ramp-down', of('ramp-up', 0))),
    jerk: Math.max(0, Math.min(1, of('jerk', 0))),
    leastFrequency: Math.max(0, Math.min(greatest, of('least-speed', 0))),
    greatestFrequency: greatest,
    overloadCurrent: current,
    overloadClass: Math.max(2, Math.min(40, of('overload-class', 10))),
    flyingStart: of('flying-start', 0) >= 0.5,
    restarts: Math.max(0, Math.min(20, Math.round(of('restart', 0)))),
    signalLost: of('reference-lost', 3),
    linkLost: Math.max(0, of('link-lost', 0)),
    stop: brakingKinds[Math.round(of('stop', 1))] ?? 'ramp',
    resistance: Math.max(0, of('resistor', 0)),
  };
}
