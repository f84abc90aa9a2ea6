import { describe, expect, it } from 'vitest';
import { nameplate, type CaseText } from '@pilgrim/core';
import { noLoadShare } from '../src/nameplate';
import { solved } from './cases';

type Plate = NonNullable<CaseText['plate']>;
const european: Plate = {
  ...{ power: '11 kW', voltage: '400 V', current: '21.5 A', speed: '1460 rpm', frequency: '50 Hz', phases: 3 },
};
const american: Plate = {
  ...{ power: '15 hp', voltage: '460 V', current: '18.5 A', speed: '1765 rpm', frequency: '60 Hz', phases: 3 },
};
const doubts = (plate: Plate, practice: CaseText['practice'] = 'iec'): string[] =>
  solved({ format: 'pilgrim.case/1', practice, plate })
    .findings.filter((f) => f.doubt)
    .map((f) => f.id);
const us = (more: Partial<Plate>): string[] => doubts({ ...american, ...more }, 'north-america');

describe('a plate’s parts beside one another', () => {
  it('efficiencies at part load lie near that at full: neither far above nor far below', () => {
    const part = (more: Partial<Plate>) => doubts({ ...european, efficiency: 0.9, ...more });
    const id = 'plate.efficiency-unusual';
    expect(part({ efficiencyThreeQuarter: 0.902 })).not.toContain(id);
    expect(part({ efficiencyThreeQuarter: 0.93 })).toContain(id);
    expect(part({ efficiencyHalf: 0.885 })).not.toContain(id);
    expect(part({ efficiencyHalf: 0.81 })).toContain(id);
    expect(part({ efficiencyThreeQuarter: 0.8 })).toContain(id);
  });
  it('a frame one step from the standard’s passes, two do not', () => {
    // 15 hp, 4 poles: 254T; 215T is a step below, 213T the same height, 184T two; 286T one above, 326T two.
    const frame = (frame: string) => us({ frame, enclosure: 'TEFC' }).includes('plate.frame-rating');
    expect(['254T', '215T', '256T', '286T'].map(frame)).toEqual([false, false, false, false]);
    expect(['184T', '326T', '145T'].map(frame)).toEqual([true, true, true]);
    // 11 kW, 4 poles: 160M; 132 and 180 are a step off, 112 and 200 two.
    const iec = (frame: string) => doubts({ ...european, frame }).includes('plate.frame-rating');
    expect(['160M', '132M', '180M'].map(iec)).toEqual([false, false, false]);
    expect(['112M', '200L'].map(iec)).toEqual([true, true]);
  });
  it('a bearing’s bore is no less than the shaft and seldom twice it', () => {
    // Frame 160: 42 mm of shaft; 6308 has 40 mm, 6309 45 mm, 6316 80 mm, 6317 85 mm.
    const bore = (driveEnd: string) =>
      doubts({ ...european, frame: '160M', bearings: { driveEnd } }).includes('plate.bearing-bore');
    expect([bore('6309 C3'), bore('6308'), bore('6316'), bore('6317')]).toEqual([false, true, false, true]);
  });
  it('an efficiency below what its year asked is doubted; before that year, or at it, not', () => {
    const id = 'plate.efficiency-class';
    // Regulation (EU) 640/2009: IE2 from June 2011, 89.8 % at 11 kW and 4 poles.
    expect(doubts({ ...european, efficiency: 0.88, year: 2014 })).toContain(id);
    expect(doubts({ ...european, efficiency: 0.88, year: 2005 })).not.toContain(id);
    expect(doubts({ ...european, efficiency: 0.914, year: 2016 })).not.toContain(id);
    expect(doubts({ ...european, efficiency: 0.88 })).not.toContain(id);
  });
});

it.each([
  ['S3 40 %', { type: 'S3', share: 0.4, continuous: false }],
  ['S3-25%', { type: 'S3', share: 0.25, continuous: false }],
  ['S3 12.5 %', { type: 'S3', share: 0.125, continuous: false }],
  ['40 %', { type: 'S3', share: 0.4, continuous: false }],
  ['S2 30 min', { type: 'S2', minutes: 30, continuous: false }],
  ['1 HR', { type: 'S2', minutes: 60, continuous: false }],
  ['1,5 h', { type: 'S2', minutes: 90, continuous: false }],
  ['24 H', { type: 'S1', continuous: true }],
  ['CONT', { type: 'S1', continuous: true }],
  ['C', { type: 'S1', continuous: true }],
  ['S10', { type: 'S10', continuous: false }],
  ['MOTOR', undefined],
])('duty %j', (text, duty) => {
  const read = nameplate.readDuty(text);
  if (duty === undefined) expect(read).toBeUndefined();
  else expect(read).toMatchObject(duty);
});

it('the no-load current is a larger share of slow motors', () => {
  expect([2, 4, 6, 8, 12].map(noLoadShare)).toEqual([0.3, 0.38, 0.48, 0.55, 0.55]);
});
