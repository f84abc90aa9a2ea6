import type { Dimension } from '@pilgrim/core/quantity';
import { nameField } from '$lib/ui/names';

/** One stamped label of a plate: its field, how what stands there is read, and an example. */
export interface Stamp {
  readonly key: string;
  readonly label: string;
  readonly kind: 'group' | 'quantity' | 'number' | 'share' | 'whole' | 'text';
  readonly dimension?: Dimension;
  readonly wide?: boolean;
  readonly example: string;
  /** Figure shown in lighter engraving where nothing is stamped. */
  readonly figure?: string;
  /** The label in full, where it is short on metal. */
  readonly long?: string;
}

const of = (key: string, label: string, kind: Stamp['kind'], example: string, more: Partial<Stamp> = {}): Stamp => ({
  key,
  label,
  kind,
  example,
  ...more,
});

const power = { dimension: 'power' } as const;
const wideCurrent = { dimension: 'current', wide: true } as const;

/** What every plate carries, in the order it is stamped. */
export const mainStamps = (iec: boolean): readonly Stamp[] => [
  of('power', iec ? 'kW' : 'HP', 'group', iec ? '15 kW' : '30 hp', { ...power, long: 'Rated power' }),
  of('speed', iec ? 'min⁻¹' : 'RPM', 'group', iec ? '1465 r/min' : '1770 r/min', {
    dimension: 'speed',
    long: 'Full-load speed',
  }),
  of('phases', 'PH', 'whole', '3', { long: 'Phases' }),
  of('frequency', 'HZ', 'quantity', iec ? '50 Hz' : '60 Hz', { dimension: 'frequency', long: 'Frequency' }),
  of('voltage', 'VOLTS', 'group', iec ? '400/690 V' : '208-230/460 V', { dimension: 'voltage', wide: true }),
  of('current', iec ? 'A' : 'AMPS', 'group', iec ? '28.5/16.5 A' : '79-72/36 A', {
    ...wideCurrent,
    long: 'Full-load current',
  }),
  of('frame', 'FRAME', 'text', iec ? '160L' : '286T'),
  of('enclosure', 'ENCL', 'text', iec ? 'TEFC' : 'TEFC', { long: 'Enclosure' }),
  of('protection', 'IP', 'text', 'IP55', { long: 'Protection code' }),
  of('serviceFactor', 'SF', 'number', iec ? '1.0' : '1.15', { long: 'Service factor' }),
  of('codeLetter', 'CODE', 'text', 'G', { long: 'Code letter' }),
  of('designLetter', 'DESIGN', 'text', iec ? 'N' : 'B', { long: 'Design letter' }),
  of('insulation', 'INS CL', 'text', 'F', { long: 'Insulation class' }),
  of('ambient', 'AMB', 'quantity', '40 degC', { dimension: 'temperature', long: 'Ambient' }),
  of('duty', 'DUTY', 'text', iec ? 'S1' : 'continuous'),
  of('efficiency', iec ? 'η' : 'NOM EFF', 'share', '93.6', { figure: 'plate.efficiency', long: 'Nominal efficiency' }),
  of('powerFactor', iec ? 'cos φ' : 'PF', 'share', '0.83', { figure: 'plate.powerFactor', long: 'Power factor' }),
  of('efficiencyClass', 'EFF CLASS', 'text', iec ? 'IE3' : 'premium', { long: 'Efficiency class' }),
];

/** What many plates carry beside it. */
export const moreStamps: readonly Stamp[] = [
  of('powerAlso', 'ALSO', 'group', '22 kW', { ...power, long: 'Power in the other unit' }),
  of('serviceFactorCurrent', 'SFA', 'group', '41.4 A', { dimension: 'current', long: 'Service-factor current' }),
  of('usableAt.voltage', 'USABLE AT', 'quantity', '208 V', { dimension: 'voltage' }),
  of('usableAt.current', 'THERE', 'quantity', '79 A', { dimension: 'current', long: 'Current where usable' }),
  of('efficiencyMinimum', 'MIN EFF', 'share', '92.4', { long: 'Guaranteed efficiency' }),
  of('efficiencyThreeQuarter', '¾ EFF', 'share', '93.6', { long: 'Efficiency at three quarters load' }),
  of('efficiencyHalf', '½ EFF', 'share', '92.4', { long: 'Efficiency at half load' }),
  of('breakdownTorque', 'BD TORQUE', 'number', '2.4', { long: 'Breakdown torque ÷ rated torque' }),
  of('temperatureRise', 'RISE', 'quantity', '80 K', { dimension: 'temperatureRise', long: 'Temperature rise' }),
  of('riseClass', 'RISE CL', 'text', 'B', { long: 'Class of the rise' }),
  of('altitude', 'ALT', 'quantity', '1000 m', { dimension: 'length', long: 'Altitude' }),
  of('mounting', 'IM', 'text', 'IM B3', { long: 'Mounting' }),
  of('cooling', 'IC', 'text', 'IC411', { long: 'Cooling code' }),
  of('inverterDuty.variableTorque', 'VT :1', 'number', '20', { long: 'Turndown at variable torque' }),
  of('inverterDuty.constantTorque', 'CT :1', 'number', '10', { long: 'Turndown at constant torque' }),
  of('inverterDuty.constantPower', 'CHP :1', 'number', '1.5', { long: 'Above base speed at constant power' }),
  of('maxSpeed', 'MAX RPM', 'quantity', '2700 r/min', { dimension: 'speed', long: 'Highest safe speed' }),
  of('bearings.driveEnd', 'DE BRG', 'text', '6311', { long: 'Bearing, drive end' }),
  of('bearings.oppositeEnd', 'ODE BRG', 'text', '6309', { long: 'Bearing, opposite end' }),
  of('grease', 'GREASE', 'text', 'polyurea'),
  of('greaseInterval', 'EVERY', 'quantity', '4000 h', { dimension: 'time', long: 'Greasing interval' }),
  of('connection', 'CONN', 'text', 'Δ/Y', { long: 'Connection' }),
  of('leads', 'LEADS', 'whole', '9'),
  of('thermalProtection', 'THERMAL', 'text', '3 PTC', { long: 'Thermal protection' }),
  of('weight', 'WT', 'quantity', '330 lb', { dimension: 'mass', long: 'Weight' }),
  of('year', 'YEAR', 'whole', '2014'),
  of('kind', 'KIND', 'text', 'induction motor'),
  of('model', 'TYPE', 'text', 'as stamped'),
  of('serial', 'SER NO', 'text', 'as stamped'),
  of('remarks', 'REMARKS', 'text', 'certification, as stamped', { wide: true }),
];

/** The second block, for the other frequency. */
export const secondStamps: readonly Stamp[] = [
  of('alternate.frequency', 'HZ (2)', 'quantity', '50 Hz', { dimension: 'frequency', long: 'Second frequency' }),
  of('alternate.power', 'POWER (2)', 'group', '25 hp', { ...power, long: 'Power at the second frequency' }),
  of('alternate.speed', 'RPM (2)', 'group', '1470 r/min', {
    dimension: 'speed',
    long: 'Speed at the second frequency',
  }),
  of('alternate.serviceFactor', 'SF (2)', 'number', '1.0', { long: 'Service factor at the second frequency' }),
  of('alternate.voltage', 'VOLTS (2)', 'group', '190/380 V', {
    dimension: 'voltage',
    wide: true,
    long: 'Volts at the second frequency',
  }),
  of('alternate.current', 'AMPS (2)', 'group', '74/37 A', { ...wideCurrent, long: 'Amps at the second frequency' }),
];

/** What a stamp's field is called elsewhere. */
export const stampName = (stamp: Stamp): string => `Plate ${(stamp.long ?? stamp.label).toLowerCase()}`;

/** Tells what the fields of a plate are called, before the plate is seen. */
export function nameStamps(iec: boolean): void {
  for (const stamp of [...mainStamps(iec), ...moreStamps]) nameField(`plate.${stamp.key}`, stampName(stamp));
}
