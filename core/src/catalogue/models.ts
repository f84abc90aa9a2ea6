import { cell, readFrame, to8Poles, type FrameSystem, type PracticeId } from '../practice';
import { soundLevels } from '../practice/iec/tables/motors';
import { interpolate } from '../quantity';
import type { Construction, Cooling, EnclosureClass } from './motor';

/** Columns that no standard fixes, each by a model whose basis stands here and in docs/catalogue.md. */

/**
 * Rotor copper loss is taken as 22 % of all losses of a 60 or 50 Hz cage motor; slip is that share of the air-gap
 * power.
 */
export const usualSlip = (efficiency: number): number => 0.22 * (1 - efficiency);

/**
 * Full-load power factor of a generic motor at four poles, by rating in kW; common practice, no table. Small North
 * American motors magnetise hard, as the code's table currents show; from about 2 kW both traditions are alike.
 */
const powerFactors: Readonly<Record<PracticeId, readonly (readonly [number, number])[]>> = {
  'north-america': [
    [0.37, 0.6],
    [0.75, 0.605],
    [1.15, 0.625],
    [1.5, 0.71],
    [2.2, 0.755],
    [3.7, 0.785],
    [7.5, 0.81],
    [15, 0.83],
    [30, 0.85],
    [75, 0.875],
    [150, 0.89],
  ],
  iec: [
    [0.37, 0.7],
    [0.75, 0.74],
    [1.5, 0.77],
    [4, 0.79],
    [7.5, 0.81],
    [15, 0.83],
    [30, 0.85],
    [75, 0.875],
    [150, 0.89],
  ],
};

/** Power factor at full load by rating in W and poles: 3 points more at two poles, 6 and 9 fewer at six and eight. */
export function modelPowerFactor(practice: PracticeId, power: number, poles: number): number {
  const four = interpolate(powerFactors[practice], power / 1000, 0.8);
  return Number((four + (poles <= 2 ? 0.03 : poles <= 4 ? 0 : poles <= 6 ? -0.06 : -0.09)).toFixed(3));
}

/** What the rated values and the standards fix of a motor, for the models of its standstill and breakdown. */
export interface Rated {
  /** A at the voltage of the locked-rotor current. */
  readonly current: number;
  readonly slip: number;
  readonly powerFactor: number;
  readonly efficiency: number;
  /** Locked-rotor torque ÷ rated torque. */
  readonly lockedRotorTorque: number;
}

/**
 * Locked-rotor current in A: the standard's `most`, but no more than a rotor can draw that gives this torque with a
 * resistance not below its
 * running one: torque at standstill is 3 I² R ÷ ω_s. The rotor's share of rated current is about the power factor.
 */
export function modelLockedRotorCurrent(most: number, r: Rated): number {
  const possible = 0.97 * r.powerFactor * Math.sqrt(r.lockedRotorTorque / r.slip) * r.current;
  return round(Math.min(most, possible), 4);
}

/** Rated slip below which a motor counts as large here (of the same fit). */
const smallSlip = 0.03;

/**
 * Breakdown torque ÷ rated torque: the standard's `least`, and no less than a double cage has that draws this current
 * with this torque at
 * standstill. The powers are a fit over such circuits (within an eighth), taken 7 % high, 6 % more for large motors of
 * the design for hard starts, whose slip is small.
 */
export function modelBreakdownTorque(least: number, lockedRotorCurrent: number, hard: boolean, r: Rated): number {
  const ratio = lockedRotorCurrent / r.current;
  const cage =
    0.204 * ratio ** 1.754 * r.lockedRotorTorque ** -0.302 * r.slip ** 0.219 * (r.powerFactor * r.efficiency) ** -1.591;
  return Number(Math.max(least, hard && ratio > 5.8 && r.slip < smallSlip ? 1.06 * cage : cage).toFixed(2));
}

/**
 * Rotor inertia in kg·m²: 0.0685 hp^1.5 ÷ (n/1000)^1.8 lb·ft², the rotor's own part in NEMA MG 1 12.54.1's formula for
 * the inertia a motor can start (from memory). Power in W, synchronous speed in r/min.
 */
export function modelInertia(power: number, synchronous: number): number {
  const pounds = (0.0685 * (power / 745.6998715822702) ** 1.5) / (synchronous / 1000) ** 1.8;
  return round(pounds * 0.45359237 * 0.3048 ** 2, 3);
}

/**
 * Mass in kg: 16.5 kg × kW^0.82 at four poles, more with poles, less for open and aluminium; common practice, a third
 * either way.
 */
export function modelMass(power: number, poles: number, enclosure: EnclosureClass, construction: Construction): number {
  const open = enclosure === 'open' ? 0.85 : 1;
  const metal = construction === 'aluminium' ? 0.75 : construction === 'rolled-steel' ? 0.85 : 1;
  return round(16.5 * (power / 1000) ** 0.82 * (poles / 4) ** 0.4 * open * metal, 2);
}

/**
 * Sound power level in dB(A): the limit of IEC 60034-9 by shaft height, 60 Hz 5 dB (2 poles) or 3 dB more. A blower
 * sounds like
 * four poles at any speed. Frames below 90 mm as 90 mm.
 */
export function modelSound(shaftHeight: number, poles: number, frequency: number, cooling: Cooling): number {
  const row = soundLevels.rows.find(([h]) => h >= shaftHeight - 3) ?? soundLevels.rows.at(-1);
  const column = cooling === 'blower' ? '4' : to8Poles(poles);
  const faster = frequency > 55 ? (column === '2' ? 5 : 3) : 0;
  return (cell(soundLevels, row, column) ?? 90) + faster;
}

/** Shaft height in mm from a frame, else usual for the rating. */
export function heightOf(frame: string | null, system: FrameSystem, power: number): number {
  const found = frame === null ? undefined : readFrame(frame, system);
  return found?.shaftHeight ?? Math.min(355, 70 * (power / 1000) ** 0.32);
}

/**
 * What the frame is made of: rolled steel to about 2 hp, cast iron above; washdown stainless; inverter duty aluminium
 * to 11 kW.
 */
export function usualConstruction(power: number, enclosure: EnclosureClass, inverterDuty: boolean): Construction {
  if (enclosure === 'washdown') return 'stainless';
  if (enclosure === 'severe-duty') return 'cast-iron';
  if (inverterDuty && power <= 11_200) return 'aluminium';
  return power <= 1600 ? 'rolled-steel' : 'cast-iron';
}

/** Common practice for a general-purpose and for an inverter-duty motor: lowest speed as rated ÷ this. */
export const turndowns = {
  usual: { variableTorque: 10, constantTorque: 2 },
  inverter: { variableTorque: 20, constantTorque: 10 },
  blower: { variableTorque: 100, constantTorque: 100 },
} as const;

/** Invented: compares, prices nothing. Four poles 1; power in W, factor of the series. */
export function modelPrice(power: number, poles: number, series: number): number {
  const byPoles = poles <= 2 ? 1.06 : poles <= 4 ? 1 : poles <= 6 ? 1.24 : 1.6;
  return Math.round(95 * (power / 1000) ** 0.82 * series * byPoles + 60);
}

const round = (value: number, digits: number): number => Number(value.toPrecision(digits));
