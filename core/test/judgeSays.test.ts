import { describe, expect, it } from 'vitest';
import { genericMotors, type CaseText, type Result } from '@pilgrim/core';
import { changeOf, conveyor, mixerOn, verdictOf } from './cases';

/** What each requirement says of one motor, with every outcome it can have, and what it asks for instead. */

const old = { power: '25 hp', voltage: '460 V', current: '31 A', speed: '1770 rpm', frequency: '60 Hz' } as const;
const of = (id: string) => {
  const motor = genericMotors().find((m) => m.id === id);
  if (!motor) throw new Error(`no ${id}`);
  return motor;
};
const load = (power = '18 hp', more: object = {}) =>
  ({ machine: 'mixer', demand: { kind: 'power', power, speed: '1760 rpm' }, ...more }) as NonNullable<CaseText['load']>;
const pinned = (over: Partial<CaseText>, id = 'na-tefc-25hp-4p') => mixerOn(id, '18 hp', over);
const existing = (plate: CaseText['plate'], over: Partial<CaseText> = {}) =>
  pinned({ plate, motor: { existing: true }, ...over });
const said = (r: Result, id: string) => {
  const v = verdictOf(r, id);
  return v ? `${v.outcome}: ${v.text}` : 'not asked';
};

it('bearings: a ball bearing carries a belt up to where a roller is bought', () => {
  const belt = (id: string, power: string) =>
    pinned({ load: load(power, { train: { kind: 'belt', ratio: 1 } }), method: 'direct' }, id);
  expect(said(belt('na-tefc-25hp-4p', '18 hp'), 'bearings')).toBe(
    'pass: A ball bearing at the drive end carries the belt.',
  );
  const large = belt('na-tefc-100hp-4p', '80 hp');
  expect(said(large, 'bearings')).toMatch(/^pass: .*order it with a roller bearing at the drive end\.$/);
  expect(verdictOf(large, 'bearings')?.remedy).toMatchObject({ kind: 'roller-bearing' });
  expect(verdictOf(belt('na-tefc-25hp-4p', '18 hp'), 'bearings')?.remedy).toBeNull();
});

it('shaft: a sheave no standard has a least for is not said to suit', () => {
  const belt = (id: string, over: Partial<CaseText> = {}) => {
    const train = { kind: 'belt', ratio: 1, sheave: '300 mm' } as const;
    return said(pinned({ load: load('18 hp', { train }), method: 'direct', ...over }, id), 'shaft');
  };
  expect(belt('na-tefc-25hp-4p')).toBe('pass: Shaft and sheave suit each other.');
  expect(belt('na-odp-200hp-8p')).toMatch(/^pass: No standard names its least sheave: hold the belt’s pull/);
  const iec = genericMotors().find((m) => m.practice === 'iec' && m.poles === 4 && m.power === 18_500);
  const supply = { ...conveyor.supply, voltage: '400 V', frequency: '50 Hz' } as const;
  expect(belt(iec?.id ?? '', { practice: 'iec', supply })).toMatch(/^pass: No standard names its least sheave/);
});

it('efficiency: what the market asks of a new motor, met or not', () => {
  const good = of('na-tefc-25hp-4p');
  expect(said(pinned({}), 'efficiency-floor')).toMatch(
    new RegExp(`^pass: ${(good.efficiency * 100).toFixed(1)} % meets the 9\\d\\.\\d % asked of a new motor\\.$`),
  );
});

it('enclosure: what suits the place, what does not, and for which place it would', () => {
  const dusty = { ...conveyor.place, dirt: 'dirty', water: 'splash' } as const;
  expect(said(pinned({ place: dusty }, 'na-odp-25hp-4p'), 'enclosure')).toMatch(
    /^fail: .* does not suit the place; it wants .* or better\.$/,
  );
  expect(changeOf(pinned({ place: dusty }, 'na-odp-25hp-4p'))).toMatch(/^a place for .*now/);
  expect(said(pinned({}), 'enclosure')).toMatch(/^pass: .* suits the place\.$/);
  const food = { ...conveyor.place, food: true } as const;
  const epoxy = pinned({ place: food, rules: { foodFinish: 'stainless' } }, 'na-epoxy-25hp-4p');
  expect(said(epoxy, 'enclosure')).toContain('the house rule wants stainless at food');
  expect(changeOf(epoxy)).toContain('a stainless motor, to order');
});

it('frame: the same stands on the old feet, another wants an adapter', () => {
  expect(said(pinned({ plate: { ...old, frame: '284t' } }), 'frame')).toBe('pass: Same frame as the old motor (284t).');
  const other = pinned({ plate: { ...old, frame: '324T' } });
  expect(said(other, 'frame')).toBe('pass: Frame 284T where 324T stood: base, coupling and shaft need adapting.');
  expect(verdictOf(other, 'frame')?.remedy).toMatchObject({ kind: 'adapter' });
});

it('frequency: alike, on a drive set for it, or not at all', () => {
  const hertz = { ...conveyor.supply, frequency: '50 Hz' } as const;
  expect(said(pinned({}), 'frequency')).toBe('pass: 60 Hz motor on 60 Hz.');
  const line = pinned({ supply: hertz, method: 'direct' });
  expect(said(line, 'frequency')).toBe('fail: 60 Hz motor on 50 Hz: right only at the same volts per hertz.');
  expect(changeOf(line)).toContain('60 Hz, or a drive');
  const drive = pinned({ supply: hertz, method: 'drive' });
  expect(said(drive, 'frequency')).toContain('which the drive must be set to');
  expect(verdictOf(drive, 'frequency')?.remedy).toMatchObject({ text: 'base frequency 60 Hz set at the drive' });
});

it('leads: star-delta needs six of them, and delta at the line’s voltage', () => {
  const at = (over: Partial<CaseText>, plate: object) =>
    existing({ ...old, ...plate }, { practice: 'iec', method: 'star-delta', ...over });
  const supply = (voltage: string) => ({ ...conveyor.supply, voltage, frequency: '50 Hz' }) as const;
  const iec = { power: '18.5 kW', current: '34/19.7 A', speed: '1470 rpm', frequency: '50 Hz' };
  const right = at({ supply: supply('400 V') }, { ...iec, voltage: '400/690 V' });
  expect(said(right, 'leads')).toBe(
    'pass: Both ends of three windings are brought out, and delta voltage is the line voltage.',
  );
  const burns = at({ supply: supply('400 V') }, { ...iec, voltage: '230/400 V', current: '59/34 A' });
  expect(said(burns, 'leads')).toBe(
    'fail: Delta voltage is 230 V, not the line voltage: in delta on this supply it would burn.',
  );
  expect(changeOf(burns)).toContain('six leads with delta at line voltage');
  const three = at({ supply: supply('400 V') }, { ...iec, voltage: '400 V', current: '34 A' });
  expect(said(three, 'leads')).toMatch(/^fail: \d+ leads: star-delta needs both ends of three windings/);
});

describe('loading below the least', () => {
  const light = (more: object, over: Partial<CaseText> = {}) =>
    said(pinned({ load: load('9 hp', more), method: 'direct', ...over }), 'loading');
  it('is a caution of size where nothing asks for it', () => {
    expect(light({})).toMatch(/^caution: Loaded to 3\d % of what it may give, 50 % is the least by house rule/);
    expect(changeOf(pinned({ load: load('9 hp'), method: 'direct' }))).toBe('');
  });
  it('is excused by what sizes a motor: peaks, breakaway, inertia', () => {
    expect(light({ overload: { ratio: 2.2, duration: '5 s' } })).toContain('peaks of 2.20 times the steady torque');
    expect(light({ breakaway: 2.4 })).toContain('breakaway sizes it');
    // Half of 25 hp at four poles starts some 4 kg·m² by MG 1 12.54.
    expect(light({ inertia: '12 kg.m2' })).toContain('the inertia to be started sizes it');
    expect(light({ inertia: '0.1 kg.m2' })).toContain('too large');
  });
  it('is no question of the smallest size made', () => {
    const smallest = genericMotors()
      .filter((m) => m.practice === 'north-america' && m.poles === 4)
      .reduce((a, b) => (b.power < a.power ? b : a));
    expect(said(pinned({ load: load('0.1 hp'), method: 'direct' }, smallest.id), 'loading')).toContain(
      'the smallest size made',
    );
  });
});

it('noise: the motor’s own level against what is allowed, both sides', () => {
  const { sound } = of('na-tefc-25hp-4p');
  const at = (limit: number) => pinned({ place: { ...conveyor.place, noiseLimit: `${limit} dB(A)` } });
  expect(said(at(sound), 'noise')).toBe(
    `pass: ${sound} dB(A) at no load by the standard’s limit; ${sound} dB(A) is allowed.`,
  );
  expect(said(at(sound - 1), 'noise')).toMatch(/^fail: .*: more poles, or a hood\.$/);
  expect(changeOf(at(sound - 1))).toContain(`${sound} dB(A) allowed`);
  expect(verdictOf(at(100), 'noise')?.margin).toBeCloseTo((100 - sound) / 100, 4);
});

it('peak torque: a little over is a caution, for a dip takes it away', () => {
  const peak = (ratio: number, breakdown?: number) =>
    said(
      pinned({
        load: load('18 hp', { overload: { ratio, duration: '5 s', ...(breakdown && { breakdown }) } }),
        method: 'direct',
      }),
      'peak-torque',
    );
  const { breakdownTorque } = of('na-tefc-25hp-4p');
  const most = (breakdownTorque * 25) / 18;
  expect(peak(most * 0.6)).toMatch(/^pass: Breakdown torque is \d+ % over .* at the peak\.$/);
  // Its maker owes less than the usual; a promise stands for both.
  expect(peak(most * 0.97)).toMatch(
    /^caution: The breakdown torque that its maker owes is \d+ % below .* at the peak, the usual one \d+ % over it\.$/,
  );
  expect(peak(most, breakdownTorque * 1.1)).toMatch(/^caution: .*: a dip of the voltage takes that away\.$/);
  expect(peak(most * 1.2)).toMatch(/^fail: Breaks down: its .* is less than .* at the peak\.$/);
});

it('standstill nothing simulates: more than breakaway, less by usual settings, or stalled', () => {
  const at = (breakaway: number) =>
    pinned({ load: load('18 hp', { breakaway }), method: 'direct', supply: { frequency: '60 Hz' } });
  const { lockedRotorTorque } = of('na-tefc-25hp-4p');
  const most = (lockedRotorTorque * 25) / 18;
  expect(said(at(most * 0.5), 'starting-torque')).toMatch(
    /^pass: Starts with (9\d|10\d) % more than breakaway torque at standstill\.$/,
  );
  const stalls = at(most * 1.5);
  expect(said(stalls, 'starting-torque')).toMatch(/^fail: Gives only 6[5-8] % of the breakaway torque at standstill/);
  expect(changeOf(stalls)).toMatch(/breakaway of at most \d\.\d\d × the steady torque/);
});

it('voltage: how far off, what is permitted, and what a drive makes of it', () => {
  const on = (voltage: string, method: 'direct' | 'drive', over: Partial<CaseText> = {}) =>
    pinned({ supply: { ...conveyor.supply, voltage }, method, ...over });
  expect(said(on('460 V', 'direct'), 'voltage')).toBe('pass: 460 V motor on 460 V: 0.0 % off, 10 % permitted.');
  expect(said(on('400 V', 'direct'), 'voltage')).toBe('fail: 460 V motor on 400 V: -13.0 % off, 10 % permitted.');
  expect(changeOf(on('400 V', 'direct'))).toMatch(/a supply within 10 % of .*460 V/);
  const slow = on('380 V', 'drive', {
    load: { ...load('12 hp'), demand: { kind: 'power', power: '12 hp', speed: '1400 rpm' } },
  });
  // 380 ÷ 460 of 60 Hz is left of its full flux.
  expect(said(slow, 'voltage')).toContain('it has full flux to 49.57 Hz, above what the load asks');
  expect(verdictOf(slow, 'voltage')?.remedy?.text).toBe('the drive set to 460 V at 60 Hz');
});
