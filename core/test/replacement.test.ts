import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { conveyor, figure, findingIds, solved } from './cases';

type Plate = NonNullable<CaseText['plate']>;
const old: Plate = {
  power: '10 hp',
  voltage: '230/460 V',
  current: '25/12.5 A',
  speed: '1750 rpm',
  frequency: '60 Hz',
  frame: '215T',
  enclosure: 'TEFC',
  serviceFactor: 1.15,
  codeLetter: 'H',
  designLetter: 'B',
  insulation: 'F',
  efficiency: 0.895,
  bearings: { driveEnd: '6308' },
};

/** The old plate against a second one, on an invented machine. */
const against = (change: Plate, oldChange: Plate = {}, rest: Partial<CaseText> = {}): Result =>
  solved({
    ...conveyor,
    load: undefined,
    ...rest,
    plate: { ...old, ...oldChange },
    replacement: { plate: { ...old, ...change } },
  });
const line = (r: Result, item: string) => {
  const found = r.replacement?.lines.find((l) => l.item === item);
  if (!found) expect.fail(`no line ${item}: ${r.replacement?.lines.map((l) => l.item).join(', ')}`);
  return found;
};

describe('Replacement, line by line', () => {
  it('the same motor is the same on every line', () => {
    const r = against({});
    expect(r.replacement?.likeness).toBe('same');
    expect(r.replacement?.lines.filter((l) => l.likeness !== 'same').map((l) => l.item)).toEqual([]);
  });
  it.each([
    ['no voltage for the supply', { voltage: '200 V', current: '28.8 A' }, 'voltage', 'impossible'],
    ['a smaller rating with no load to excuse it', { power: '7.5 hp' }, 'power', 'impossible'],
    ['the next rating up', { power: '15 hp' }, 'power', 'adaptable'],
    ['a few r/min more', { speed: '1765 rpm' }, 'speed', 'same'],
    ['six poles', { speed: '1165 rpm' }, 'speed', 'adaptable'],
    ['the shorter base of the same height', { frame: '213T' }, 'foot pattern', 'adaptable'],
    ['a metric neighbour stands 1.35 mm lower', { frame: '132M' }, 'shaft height', 'adaptable'],
    ['a lower frame is packed up', { frame: '184T' }, 'shaft height', 'adaptable'],
    ['an open motor suits no splashing', { enclosure: 'ODP' }, 'enclosure', 'adaptable'],
    ['severe duty is better', { enclosure: 'TEFC severe duty' }, 'enclosure', 'better'],
    ['less service factor', { serviceFactor: 1 }, 'service factor', 'adaptable'],
    ['a higher code letter', { codeLetter: 'K' }, 'code letter and inrush', 'adaptable'],
    ['a lower code letter', { codeLetter: 'G' }, 'code letter and inrush', 'better'],
    ['design C starts harder', { designLetter: 'C' }, 'design letter', 'better'],
    ['class H bears more', { insulation: 'H' }, 'insulation', 'better'],
    ['class B bears less', { insulation: 'B' }, 'insulation', 'adaptable'],
    ['premium wastes less', { efficiency: 0.917 }, 'efficiency', 'better'],
  ] as const)('%s', (_, change, item, likeness) => {
    expect(line(against(change), item).likeness).toBe(likeness);
  });
  it('143 and 145, 182 and 184 are often drilled for both (common practice)', () => {
    for (const [a, b] of [
      ['182T', '184T'],
      ['143T', '145T'],
    ] as const)
      expect(line(against({ frame: b }, { frame: a }), 'foot pattern').text).toContain('often drilled for both');
  });
  it('U to T: the feet agree, the shaft does not', () => {
    const r = against({ frame: '254T' }, { frame: '254U' });
    expect(line(r, 'foot pattern').likeness).toBe('same');
    expect(line(r, 'shaft')).toMatchObject({
      likeness: 'adaptable',
      old: '34.9 mm × 95.3 mm',
      new: '41.3 mm × 101.6 mm',
    });
  });
  it('a short shaft carries no belt, and couples well', () => {
    const belt = { load: { ...conveyor.load, train: { kind: 'belt' as const, ratio: 2 } } };
    expect(line(against({ frame: '286TS' }, { frame: '286T' }, belt), 'shaft').likeness).toBe('impossible');
    const direct = { load: { ...conveyor.load, train: { kind: 'direct' as const, ratio: 1 } } };
    expect(line(against({ frame: '286TS' }, { frame: '286T' }, direct), 'shaft').likeness).toBe('adaptable');
  });
  it('a machine hung on a C face needs one; a Z shaft needs its maker; a Y can often be adapted', () => {
    expect(line(against({ frame: '215T' }, { frame: '215TC' }), 'face').likeness).toBe('impossible');
    expect(line(against({ frame: '215TC' }, { frame: '215TC' }), 'face').likeness).toBe('same');
    expect(line(against({ frame: '215T' }, { frame: '215TZ' }), 'shaft').likeness).toBe('impossible');
    expect(line(against({ frame: '215T' }, { frame: '215TY' }), 'suffix').likeness).toBe('adaptable');
  });
  it('inrush is told in amperes on this supply, with what it means to breaker, controller and overload', () => {
    const l = line(against({ codeLetter: 'K' }), 'code letter and inrush');
    // Code K to 8.99 kVA/hp: 10 hp × 8.99 ÷ (√3 × 480 V).
    expect(l.new).toContain(`${((10 * 8990) / (Math.sqrt(3) * 480)).toPrecision(3)} A`);
    expect(l.text).toMatch(/instantaneous trip.*controller.*overload/);
  });
  it('a roller bearing stays a roller bearing under a belt', () => {
    const belt = { load: { ...conveyor.load, train: { kind: 'belt' as const, ratio: 2 } } };
    expect(
      line(against({ bearings: { driveEnd: '6310' } }, { bearings: { driveEnd: 'NU310' } }, belt), 'drive-end bearing')
        .likeness,
    ).toBe('impossible');
  });
  it('efficiency is compared by the guaranteed minimum', () => {
    const l = line(against({ efficiency: 0.917, efficiencyMinimum: 0.89 }), 'efficiency');
    expect(l.new).toContain('89.0 % guaranteed');
  });
  it('against the standing choice, and against a catalogue motor by name', () => {
    const chosen = solved({ ...conveyor, plate: old });
    expect(chosen.replacement).toMatchObject({ kind: 'choice', name: chosen.choice?.motor.name });
    const named = solved({ ...conveyor, plate: old, replacement: { catalogue: 'na-tefc-10hp-4p' } });
    expect(named.replacement).toMatchObject({ kind: 'catalogue' });
    expect(findingIds(solved({ ...conveyor, plate: old, replacement: { catalogue: 'nothing' } }))).toContain(
      'replacement.unknown',
    );
  });
});

describe('The faster motor', () => {
  const fan = (newSpeed: string): Result =>
    against(
      { speed: newSpeed },
      {},
      {
        load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '10 hp', speed: '1750 rpm' } },
        speed: { need: 'fixed' },
      },
    );
  it('a fan takes the cube of the speed it settles at (affinity law)', () => {
    const r = fan('1770 rpm');
    const faster = figure(r, 'replacement.newSpeed') / figure(r, 'replacement.oldSpeed');
    expect(faster).toBeGreaterThan(1.005);
    expect(figure(r, 'replacement.powerRatio')).toBeCloseTo(faster ** 3, 6);
    expect(figure(r, 'replacement.oldSpeed')).toBeCloseTo(1750, 1);
    expect(findingIds(r)).toContain('replacement.speed');
  });
  it('torque balances where motor and load meet (straight line near full load)', () => {
    const n = figure(fan('1770 rpm'), 'replacement.newSpeed');
    const rated = (10 * 745.6998715822702 * 60) / (2 * Math.PI);
    expect((rated / 1770) * ((1800 - n) / 30)).toBeCloseTo((rated / 1750) * (n / 1750) ** 2, 3);
  });
  it('more power at the same rating is more current', () => {
    const r = fan('1770 rpm');
    expect(figure(r, 'replacement.newCurrent')).toBeGreaterThan(figure(r, 'replacement.oldCurrent'));
    expect(r.figures['replacement.newCurrent']?.estimate).toBe(true);
  });
  it('the same speed changes nothing, and says nothing', () => {
    const r = fan('1750 rpm');
    expect(figure(r, 'replacement.powerRatio')).toBeCloseTo(1, 9);
    expect(findingIds(r)).not.toContain('replacement.speed');
  });
  it('without a load the old motor is taken fully loaded, and that is shown', () => {
    expect(against({ speed: '1770 rpm' }).figures['replacement.newPower']?.assumed[0]?.why).toContain('fully loaded');
  });
});
