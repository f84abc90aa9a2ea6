import type { CaseText } from '@pilgrim/core';
import { sound } from './sound';

type Plate = NonNullable<CaseText['plate']>;

/** A sound plate with one value misread: what was put in its place, and what must be found and named. */
export interface MisreadPlate {
  readonly name: string;
  readonly of: string;
  readonly change: Plate;
  /** Finding that must be raised, and the value that must be offered for the field. */
  readonly finding: string;
  readonly field: string;
  readonly value: string | number;
}

export const misread: readonly MisreadPlate[] = [
  { name: 'kW typed as hp', of: '15 kW IE3, delta-star', change: { power: '15 hp' }, finding: 'plate.current-inconsistent', field: 'plate.power', value: '15 kW' },
  { name: 'hp typed as kW', of: '30 hp premium, three usable voltages', change: { power: '30 kW' }, finding: 'plate.current-inconsistent', field: 'plate.power', value: '30 hp' },
  { name: 'each current with the other voltage', of: '5 hp six-pole', change: { current: '7.3/14.6 A' }, finding: 'plate.kva-unequal', field: 'plate.current', value: '14.6/7.3 A' },
  { name: 'current digits swapped', of: '75 hp, 575 V', change: { current: '96 A' }, finding: 'plate.current-inconsistent', field: 'plate.current', value: '69 A' },
  { name: 'the 230 V current with 460 V', of: '50 hp with inverter ratios', change: { voltage: '460 V', current: '116 A' }, finding: 'plate.current-unusual', field: 'plate.current', value: '58 A' },
  { name: 'point lost in the current', of: '4 kW two-pole', change: { current: '76/44 A' }, finding: 'plate.current-inconsistent', field: 'plate.current', value: '7.6/4.4 A' },
  { name: 'speed digits swapped', of: '15 kW IE3, delta-star', change: { speed: '1740 rpm' }, finding: 'plate.speed-not-below-synchronous', field: 'plate.speed', value: '1470 rpm' },
  { name: '50 Hz speed taken for 60 Hz', of: '30 kW IE3 two-pole', change: { frequency: '60 Hz' }, finding: 'plate.speed-unusual', field: 'plate.frequency', value: '50 Hz' },
  { name: 'efficiency digits swapped', of: '60 hp with every word', change: { efficiency: 0.59 }, finding: 'plate.efficiency-unusual', field: 'plate.efficiency', value: 0.95 },
  { name: '93.6 read as 96.3', of: '30 hp premium, three usable voltages', change: { efficiency: 0.963 }, finding: 'plate.efficiency-unusual', field: 'plate.efficiency', value: 0.936 },
  { name: 'frame digits swapped', of: '50 hp with inverter ratios', change: { frame: '236T' }, finding: 'plate.frame-rating', field: 'plate.frame', value: '326T' },
  { name: 'voltage digits swapped', of: '100 hp two-pole, short shaft', change: { voltage: '640 V' }, finding: 'plate.voltage-unusual', field: 'plate.voltage', value: '460 V' },
  { name: 'code letter read as its look-alike', of: '30 hp premium, three usable voltages', change: { codeLetter: 'S' }, finding: 'plate.code-letter', field: 'plate.codeLetter', value: 'G' },
  { name: 'service-factor current misread', of: '60 hp with every word', change: { serviceFactorCurrent: '158/97 A' }, finding: 'plate.service-factor-current', field: 'plate.serviceFactorCurrent', value: '158/79 A' },
  { name: 'bearing number misread', of: '90 kW with a roller bearing', change: { bearings: { driveEnd: 'NU311', oppositeEnd: '6317' } }, finding: 'plate.bearing-bore', field: 'plate.bearings.driveEnd', value: 'NU317' },
  { name: 'the 50 Hz block has a 60 Hz speed', of: '40 hp with a 50 Hz block', change: { alternate: { frequency: '50 Hz', power: '30 hp', voltage: '190/380 V', current: '88/44 A', speed: '1745 rpm' } }, finding: 'plate.speed-not-below-synchronous', field: 'plate.alternate.speed', value: '1475 rpm' },
  { name: 'both units stamped, one misread', of: '200 hp with part-load efficiencies', change: { powerAlso: '194 kW' }, finding: 'plate.power-units', field: 'plate.powerAlso', value: '149 kW' },
  { name: 'one current of a range misread', of: '30 hp premium, three usable voltages', change: { current: '97-72/36 A' }, finding: 'plate.kva-unequal', field: 'plate.current', value: '79-72/36 A' },
  { name: 'power factor misread', of: '132 kW six-pole', change: { powerFactor: 0.38 }, finding: 'plate.current-inconsistent', field: 'plate.powerFactor', value: 0.83 },
]; // prettier-ignore

/** The misread plate whole, on the supply of the sound one. */
export function misreadCase({ of, change }: MisreadPlate): CaseText {
  const base = sound.find((s) => s.name === of);
  if (!base) throw new Error(`no sound plate "${of}"`);
  return {
    format: 'pilgrim.case/1',
    practice: base.practice,
    supply: base.supply,
    plate: { ...base.plate, ...change },
  };
}
