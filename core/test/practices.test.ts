import { describe, expect, it } from 'vitest';
import { commonPractice, practice as practices, practiceById } from '@pilgrim/core';
import { horsepower } from './cases';

const na = practiceById('north-america');
const iec = practiceById('iec');
const hp = (n: number): number => n * horsepower;
const kW = (n: number): number => n * 1000;
const percent = (x: number | undefined): number => Math.round((x ?? NaN) * 1000) / 10;

/** Values of standards in this file are from memory. */
describe('voltage fit, on both sides of each limit', () => {
  it.each([
    [1.06, 'pass'],
    [1.0601, 'caution'],
    [0.94, 'pass'],
    [0.9399, 'caution'],
    [1.1, 'caution'],
    [1.1001, 'fail'],
    [0.9, 'caution'],
    [0.8999, 'fail'],
  ] as const)('North America, supply %d × the motor’s: %s', (share, outcome) => {
    expect(na.voltageFit(460 * share, 460).outcome).toBe(outcome);
  });
  it.each([
    [1.055, 'pass'],
    [1.0551, 'caution'],
    [0.945, 'pass'],
    [0.9449, 'caution'],
    [1.1, 'caution'],
    [1.1001, 'fail'],
  ] as const)('IEC, supply %d × the motor’s: %s', (share, outcome) => {
    expect(iec.voltageFit(400 * share, 400).outcome).toBe(outcome);
  });
  it('names its limit', () => expect([na.voltageFit(1, 1).limit, iec.voltageFit(1, 1).limit]).toEqual([0.1, 0.1]));
});

describe('code letters (NFPA 70 table 430.7(B))', () => {
  it.each([
    ['A', 0, 3.14],
    ['G', 5.6, 6.29],
    ['g', 5.6, 6.29],
    ['H', 6.3, 7.09],
    ['V', 22.4, undefined],
  ] as const)('%s', (letter, low, high) => {
    expect(na.codeLetter(letter)?.value).toEqual({ low, high });
    expect(iec.codeLetter(letter)?.value).toEqual({ low, high });
  });
  it.each(['I', 'O', 'Q', '', 'GG'])('"%s" is none', (letter) => {
    expect(na.codeLetter(letter)).toBeUndefined();
    expect(iec.codeLetter(letter)).toBeUndefined();
  });
});

describe('what a nominal efficiency guarantees', () => {
  it('NEMA MG 1 table 12-10: the band’s minimum, for a nominal of the table only', () => {
    expect(percent(na.minimumEfficiency(0.91, hp(20))?.value)).toBe(89.5);
    expect(percent(na.minimumEfficiency(0.93, hp(20))?.value)).toBe(91.7);
    expect(percent(na.minimumEfficiency(0.954, hp(100))?.value)).toBe(94.5);
    expect(na.minimumEfficiency(0.9152, hp(20))).toBeUndefined();
  });
  it('IEC 60034-1: losses 15 % more to 150 kW, 10 % beyond', () => {
    expect(iec.minimumEfficiency(0.9, kW(150))?.value).toBeCloseTo(0.885, 10);
    expect(iec.minimumEfficiency(0.9, kW(150.1))?.value).toBeCloseTo(0.89, 10);
  });
});

describe('an old motor whose plate does not say', () => {
  it('IEC: class IE2 of its rating', () => {
    expect(percent(iec.usualEfficiency(kW(11), 4).value)).toBe(89.8);
    expect(percent(iec.usualEfficiency(kW(11), 2).value)).toBe(89.4);
    // Below 0.75 kW the table goes on: 0.12 kW of class IE2 has 59.1 %, of IE1 50.0 %.
    expect(percent(iec.usualEfficiency(kW(0.37), 4).value)).toBe(72.7);
    expect(percent(iec.usualEfficiency(kW(0.12), 4).value)).toBe(59.1);
    expect(percent(iec.usualEfficiency(kW(0.12), 4, 2005).value)).toBe(50);
    expect(percent(iec.usualEfficiency(kW(0.55), 4, 2022).value)).toBe(77.1);
    expect(percent(iec.usualEfficiency(kW(11), 6).value)).toBe(88.7);
    expect(percent(iec.usualEfficiency(kW(5000), 4).value)).toBe(95.1);
  });
  it('North America: a third more loss than premium', () => {
    const premium = 0.93;
    const loss = (1 / premium - 1) * 1.35;
    expect(na.usualEfficiency(hp(20), 4).value).toBeCloseTo(1 / (1 + loss), 6);
    // Half a horsepower: 78.2 % of small motors today, a third more loss.
    expect(na.usualEfficiency(hp(0.5), 4).value).toBeCloseTo(1 / (1 + 1.35 * (1 / 0.782 - 1)), 6);
    expect(na.usualEfficiency(hp(0.5), 4).value).toBeLessThan(na.usualEfficiency(hp(1), 4).value);
  });
});

describe('efficiency classes', () => {
  it('IEC 60034-30-1: 7.5 kW, four poles', () => {
    expect(iec.efficiencyClasses(kW(7.5), 4).map((c) => [c.name, percent(c.efficiency)])).toEqual([
      ['IE1', 86],
      ['IE2', 88.7],
      ['IE3', 90.4],
      ['IE4', 92.6],
    ]);
    expect(iec.efficiencyClasses(kW(7.5), 2).map((c) => percent(c.efficiency))).toEqual([86, 88.1, 90.1, 91.7]);
    expect(iec.efficiencyClasses(kW(7.5), 6).map((c) => percent(c.efficiency))).toEqual([84.7, 87.2, 89.1, 91.3]);
  });
  it('beyond the tables there are none', () => {
    expect(iec.efficiencyClasses(kW(7.5), 8).map((c) => c.name)).toEqual(['IE3', 'IE4']);
    expect(iec.efficiencyClasses(kW(8.3), 4)).toEqual([]);
    expect(na.efficiencyClasses(hp(20), 8)).toEqual([]);
    expect(na.efficiencyClasses(hp(22), 4)).toEqual([]);
  });
  it('NEMA MG 1 tables 12-11 and 12-12: 20 hp, four poles, open and enclosed', () => {
    const of = (open: boolean) => na.efficiencyClasses(hp(20), 4, open).map((c) => [c.name, percent(c.efficiency)]);
    expect(of(false)).toEqual([
      ['energy efficient', 91],
      ['premium', 93],
    ]);
    expect(of(true)).toEqual([
      ['energy efficient', 91],
      ['premium', 93],
    ]);
    expect(percent(na.efficiencyClasses(hp(20), 2, false)[1]?.efficiency)).toBe(91);
    expect(percent(na.efficiencyClasses(hp(20), 6, true)[1]?.efficiency)).toBe(92.4);
  });
  it.each([
    ['IE3', 'IE3', 'premium'],
    ['ie 2', 'IE2', 'energy efficient'],
    ['IE-4', 'IE4', undefined],
    ['PREMIUM EFF', undefined, 'premium'],
    ['NEMA Prem', undefined, 'premium'],
    ['EPAct', undefined, 'energy efficient'],
    ['high efficiency', undefined, 'energy efficient'],
    ['IE5', undefined, undefined],
    ['standard', undefined, undefined],
  ])('"%s" is %s and %s', (text, byIec, byNema) => {
    expect(iec.readEfficiencyClass(text)).toBe(byIec);
    expect(na.readEfficiencyClass(text)).toBe(byNema);
  });
});

describe('from when a market asked a class', () => {
  const euro = (power: number, year: number) => iec.efficiencyFloor(power, 4, year)?.name;
  const america = (power: number, year: number) => na.efficiencyFloor(power, 4, year)?.name;
  it('the European Union', () => {
    expect(euro(kW(7.5), 2011)).toBeUndefined();
    expect(euro(kW(7.5), 2012)).toBe('IE2');
    // From 1 January 2015 at 7.5 kW, from 1 January 2017 below: a motor of that year counts.
    expect([euro(kW(7.5), 2014), euro(kW(7.5), 2015), euro(kW(375), 2015)]).toEqual(['IE2', 'IE3', 'IE3']);
    expect([euro(kW(5.5), 2015), euro(kW(5.5), 2016), euro(kW(5.5), 2017)]).toEqual(['IE2', 'IE2', 'IE3']);
    expect(euro(kW(75), 2023)).toBe('IE3');
    expect(euro(kW(75), 2024)).toBe('IE4');
    expect(euro(kW(55), 2024)).toBe('IE3');
    expect(euro(kW(200), 2024)).toBe('IE4');
    expect(euro(kW(250), 2024)).toBe('IE3');
    expect(euro(kW(0.55), 2021)).toBeUndefined();
    expect(euro(kW(0.55), 2024)).toBe('IE2');
    expect(euro(kW(375), 2024)).toBe('IE3');
    expect(euro(kW(400), 2024)).toBeUndefined();
    expect(iec.efficiencyFloor(kW(7.5), 4, 2018)?.since).toBe(2015);
    expect(iec.efficiencyFloor(kW(5.5), 4, 2018)?.since).toBe(2017);
    expect(percent(iec.efficiencyFloor(kW(7.5), 4, 2018)?.efficiency)).toBe(90.4);
  });
  it('the United States', () => {
    expect(america(hp(20), 1997)).toBeUndefined();
    expect(america(hp(20), 1998)).toBe('energy efficient');
    expect(america(hp(20), 2010)).toBe('energy efficient');
    expect(america(hp(20), 2011)).toBe('premium');
    expect(america(hp(200), 2011)).toBe('premium');
    expect(america(hp(250), 2010)).toBeUndefined();
    expect(america(hp(250), 2011)).toBe('energy efficient');
    expect(america(hp(250), 2016)).toBe('energy efficient');
    expect(america(hp(250), 2017)).toBe('premium');
    expect(america(hp(500), 2017)).toBe('premium');
  });
});

/** Ratings of a frame by its designation. */
const held = (practice: typeof na | typeof iec, name: string, poles: number): readonly number[] => {
  const frame = practice.frame(name, poles);
  return frame ? practice.ratingsInFrame(frame, poles) : [];
};

describe('standard frames', () => {
  it.each([
    [hp(20), 4, '256T'],
    [hp(20), 2, '256T'],
    [hp(20), 6, '286T'],
    [hp(1), 4, '143T'],
    [hp(100), 4, '405T'],
  ] as const)('North America: %d W, %i poles: %s', (power, poles, frame) => {
    expect(na.standardFrame(power, poles)?.value).toMatch(new RegExp(`^${frame}`));
    expect(held(na, frame, poles).map(Math.round)).toContain(Math.round(power));
  });
  it.each([
    [kW(7.5), 4, '132M'],
    [kW(7.5), 2, '132S'],
    [kW(7.5), 6, '160M'],
    [kW(75), 4, '280S'],
  ] as const)('IEC: %d W, %i poles: %s', (power, poles, frame) => {
    expect(iec.standardFrame(power, poles)?.value).toBe(frame);
    expect(held(iec, frame, poles)).toContain(power);
  });
  it('a rating a percent off is the same one, two percent off is none; eight poles have no table here', () => {
    expect(iec.standardFrame(kW(7.5) * 1.01, 4)?.value).toBe('132M');
    expect(iec.standardFrame(kW(7.5) * 1.013, 4)).toBeUndefined();
    expect(iec.standardFrame(kW(7.5), 8)).toBeUndefined();
    expect(held(iec, '160M', 8)).toEqual([]);
    expect(na.standardFrame(hp(20) * 1.01, 4)?.value).toBe('256T');
    expect(na.standardFrame(hp(20) * 1.013, 4)).toBeUndefined();
    expect(na.standardFrame(hp(20), 8)).toBeUndefined();
    expect(held(na, '286T', 8)).toEqual([]);
    expect(held(na, '999T', 4)).toEqual([]);
  });
  it('a frame of several ratings names them all', () => {
    expect(held(iec, '160M', 2)).toEqual([kW(11), kW(15)]);
    expect(held(na, '256T', 4).map((w) => Math.round(w / horsepower))).toEqual([20]);
    expect(held(na, '145T', 4).map((w) => w / horsepower)).toHaveLength(2);
  });
  it('heights', () => {
    expect(na.shaftHeight('256T')?.value).toBeCloseTo(6.25 * 25.4, 6);
    expect(iec.shaftHeight('132M')?.value).toBe(132);
    expect(iec.shaftHeight('256T')?.value).toBeCloseTo(6.25 * 25.4, 6);
    expect(na.shaftHeight('no frame')).toBeUndefined();
    expect(iec.shaftHeight('no frame')).toBeUndefined();
  });
});

describe('frame designations of either tradition', () => {
  const height = (text: string, prefer: 'nema' | 'iec' = 'nema') => {
    const found = (prefer === 'nema' ? na : iec).frame(text);
    return found && [found.system, Math.round(found.shaftHeight * 10) / 10, found.series];
  };
  it.each([
    ['56', ['nema', 88.9, 'small']],
    ['L56', ['nema', 88.9, 'small']],
    ['FR 284T', ['nema', 177.8, 'T']],
    ['F284T', ['nema', 177.8, 'T']],
    ['AB284T', ['nema', 177.8, 'T']],
    ['284U', ['nema', 177.8, 'U']],
    ['5009L', ['nema', 317.5, 'unlisted']],
    ['6808S', ['nema', 431.8, 'unlisted']],
    ['132M', ['iec', 132, 'iec']],
    ['112', ['iec', 112, 'iec']],
    ['IEC 56', ['iec', 56, 'unlisted']],
    ['160L-4', ['iec', 160, 'iec']],
  ])('North America reads "%s" as %j', (text, wanted) => expect(height(text)).toEqual(wanted));
  it.each([
    ['56', ['iec', 56, 'unlisted']],
    ['180', ['iec', 180, 'iec']],
    ['284T', ['nema', 177.8, 'T']],
    ['315', ['iec', 315, 'iec']],
  ])('IEC reads "%s" as %j', (text, wanted) => expect(height(text, 'iec')).toEqual(wanted));
  it('beyond the numbered frames there is none', () => {
    expect(iec.frame('7000')).toBeUndefined();
    expect(iec.frame('4999')).toBeUndefined();
    expect(iec.frame('IEC 133')).toBeUndefined();
    expect(na.frame('284T123456789')).toBeUndefined();
  });
  it('the letter says how far the feet stand apart, and two poles have a thinner shaft (IEC 60072-1)', () => {
    expect(iec.frame('132S')?.feetAlong).toBe(140);
    expect(iec.frame('132M')?.feetAlong).toBe(178);
    expect(iec.frame('132')?.feetAlong).toBeUndefined();
    expect(iec.frame('225M', 4)?.shaftDiameter).toBe(60);
    expect(iec.frame('225M', 2)?.shaftDiameter).toBe(55);
  });
  it('every listed frame can be told from what was measured', () => {
    expect(practices.listedFrames('nema').length).toBeGreaterThan(50);
    expect(practices.listedFrames('iec').length).toBeGreaterThan(20);
    expect(practices.listedFrames('nema').every((f) => f.system === 'nema' && f.feetAcross !== undefined)).toBe(true);
    expect(practices.listedFrames('iec').every((f) => f.system === 'iec' && f.feetAlong !== undefined)).toBe(true);
  });
});

describe('designs', () => {
  const nema = (letter: string, power: number, poles: number) => {
    const d = na.design(letter, hp(power), poles);
    return d && [d.lockedRotorTorque, d.breakdownTorque, d.limitsCurrent];
  };
  it('NEMA MG 1 tables 12-2 to 12-5', () => {
    expect(nema('B', 20, 4)).toEqual([1.5, 2, true]);
    expect(nema('A', 20, 4)).toEqual([1.5, 2, false]);
    expect(nema(' b ', 20, 4)).toEqual([1.5, 2, true]);
    expect(nema('B', 20, 2)).toEqual([1.3, 2, true]);
    expect(nema('B', 20, 6)).toEqual([1.35, 2, true]);
    expect(nema('B', 20, 8)).toEqual([1.25, 2, true]);
    expect(nema('B', 20, 10)?.slice(0, 2)).toEqual([undefined, undefined]);
    expect(nema('C', 20, 10)?.slice(0, 2)).toEqual([undefined, undefined]);
    expect(nema('C', 20, 4)).toEqual([2, 2, true]);
    expect(nema('C', 25, 4)).toEqual([2, 1.9, true]);
    expect(nema('C', 200, 4)?.[0]).toBeDefined();
    expect(nema('C', 250, 4)?.slice(0, 2)).toEqual([undefined, undefined]);
    expect(nema('C', 20, 2)?.slice(0, 2)).toEqual([undefined, undefined]);
    expect(nema('D', 20, 4)).toEqual([2.75, undefined, true]);
    expect(nema('D', 150, 4)?.[0]).toBe(2.75);
    expect(nema('D', 200, 4)?.[0]).toBeUndefined();
    expect(nema('D', 20, 2)?.[0]).toBeUndefined();
    expect(nema('N', 20, 4)).toBeUndefined();
    expect(nema('', 20, 4)).toBeUndefined();
  });
  it('NEMA: A and B are told apart in words', () => {
    expect(na.design('A', hp(20), 4)?.words).toContain('not limited');
    expect(na.design('B', hp(20), 4)?.words).toContain('low starting current');
  });
  it('IEC 60034-12', () => {
    const of = (letter: string, power: number, poles: number) => {
      const d = iec.design(letter, kW(power), poles);
      return d && [d.lockedRotorTorque, d.breakdownTorque, d.words];
    };
    expect(of('N', 11, 4)).toEqual([1.5, 2, 'normal starting torque']);
    expect(of('n', 11, 2)).toEqual([1.4, 2, 'normal starting torque']);
    expect(of(' N ', 11, 4)).toEqual([1.5, 2, 'normal starting torque']);
    expect(of('NE', 11, 4)?.[2]).toBe('normal starting torque, with the higher starting current of high efficiency');
    expect(of('NEY', 11, 4)?.[2]).toMatch(/high efficiency, made for star-delta$/);
    expect(of('NY', 11, 4)?.[2]).toBe('normal starting torque, made for star-delta');
    // One and a half times design N, at least 2.0; breakdown at least 1.9.
    expect(of('H', 11, 4)).toEqual([2.25, 2, 'high starting torque']);
    expect(of('H', 37, 4)).toEqual([2, 1.9, 'high starting torque']);
    expect(of('HY', 90, 4)).toEqual([2, 1.9, 'high starting torque, made for star-delta']);
    // Eight poles have a table of their own; ten have none. Design H is for 4 to 8 poles, to 160 kW.
    expect(of('N', 11, 8)).toEqual([1.2, 1.7, 'normal starting torque']);
    expect(of('N', 11, 10)).toEqual([undefined, undefined, 'beyond the tables here']);
    expect(of('H', 160, 4)?.slice(0, 2)).toEqual([2, 1.9]);
    for (const beyond of [of('H', 161, 4), of('H', 11, 2)])
      expect(beyond).toEqual([undefined, undefined, 'beyond the tables here']);
    expect(of('N', 630, 4)?.[0]).toBe(0.65);
    expect(of('N', 631, 4)?.[0]).toBeUndefined();
    expect(of('B', 11, 4)).toBeUndefined();
    expect(of('NX', 11, 4)).toBeUndefined();
    expect(of('XN', 11, 4)).toBeUndefined();
  });
});

describe('currents at standstill', () => {
  it('NEMA MG 1 table 12-1: 290 A at 230 V for 20 hp, in proportion to voltage', () => {
    expect(na.lockedRotorCurrent(hp(20), 230, 60).value).toBeCloseTo(290, 6);
    expect(na.lockedRotorLimit(hp(20), 460, 60)?.value).toBeCloseTo(145, 6);
    expect(na.lockedRotorLimit(hp(100), 460, 60)?.value).toBeCloseTo(725, 6);
  });
  it('12.35.2: 50 Hz motors have a table of their own, 10, 50 and 100 hp at 380 V 107, 482 and 965 A', () => {
    const at = (rating: number, volts: number) => na.lockedRotorLimit(hp(rating), volts, 50)?.value;
    expect([10, 50, 100, 200].map((p) => at(p, 380))).toEqual([107, 482, 965, 1927]);
    expect(at(10, 190)).toBeCloseTo(214, 6);
    expect([at(0.5, 380), at(250, 380), na.lockedRotorLimit(hp(600), 460, 60)]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    // What a generic motor draws there is an estimate, in proportion, and says so.
    const { value, source } = na.lockedRotorCurrent(hp(250), 380, 50);
    expect(value).toBeCloseTo((1927 * 250) / 200, 6);
    expect(source).toMatchObject({ kind: 'model', part: expect.stringContaining('in proportion to 200 hp') });
  });
  it('no limit where high efficiency has one of its own: designs NE and HE', () => {
    for (const letter of ['NE', 'NEY', 'HE']) expect(iec.design(letter, kW(11), 4)?.limitsCurrent).toBe(false);
    for (const letter of ['N', 'NY', 'H']) expect(iec.design(letter, kW(11), 4)?.limitsCurrent).toBe(true);
  });
  it('IEC 60034-12 table 2: 13, 12, 11, 10 kVA/kW by bands; a generic motor three quarters of it', () => {
    const limit = (power: number): number =>
      ((iec.lockedRotorLimit(kW(power), 400, 50)?.value ?? NaN) * Math.sqrt(3) * 400) / kW(power);
    expect([6.3, 6.4, 25, 25.1, 100, 101, 630].map((p) => Math.round(limit(p)))).toEqual([13, 12, 12, 11, 11, 10, 10]);
    expect(iec.lockedRotorLimit(kW(700), 400, 50)).toBeUndefined();
    expect(
      iec.lockedRotorCurrent(kW(11), 400, 50).value / (iec.lockedRotorLimit(kW(11), 400, 50)?.value ?? NaN),
    ).toBeCloseTo(0.75, 10);
  });
  it('torques by poles, eight of them from their own table', () => {
    expect(iec.lockedRotorTorque(kW(11), 4).value).toBe(1.5);
    expect(iec.lockedRotorTorque(kW(11), 8).value).toBe(1.2);
    expect(iec.breakdownTorque(kW(11), 4).value).toBe(2);
    expect(iec.breakdownTorque(kW(11), 8).value).toBe(1.7);
    expect([2, 4, 6, 8].map((p) => iec.pullUpTorque(kW(11), p).value)).toEqual([1, 1.1, 1, 0.9]);
    expect(na.lockedRotorTorque(hp(20), 4).value).toBe(1.5);
    expect(na.breakdownTorque(hp(20), 4).value).toBe(2);
    // 12.40.1: 70 % of a locked-rotor torque of 145 % or more, 100 % between, 90 % of it to 110 %.
    expect(na.pullUpTorque(hp(20), 4).value).toBeCloseTo(1.05, 10);
    expect(na.pullUpTorque(hp(20), 2).value).toBe(1);
    expect(na.pullUpTorque(hp(200), 4).value).toBeCloseTo(0.9 * na.lockedRotorTorque(hp(200), 4).value, 10);
  });
  it('stall time', () => expect([na.stallTime.value, iec.stallTime.value]).toEqual([12, 10]));
  it('inertia a standard motor brings up (NEMA MG 1 12.54.1): 20 hp, four poles: some 99 lb·ft²', () => {
    const pounds = na.inertiaLimit(hp(20), 4).value / (0.45359237 * 0.3048 ** 2);
    expect(Math.abs(pounds / 99 - 1)).toBeLessThan(0.02);
    expect(na.inertiaLimit(hp(20), 2).value).toBeLessThan(na.inertiaLimit(hp(20), 4).value / 4);
    // IEC 60034-12: 0.04 P^0.9 p^2.5.
    expect(iec.inertiaLimit(kW(11), 4).value).toBeCloseTo(0.04 * 11 ** 0.9 * 2 ** 2.5, 10);
  });
});

describe('the code’s table and its 208 V column', () => {
  const amps = (power: number, volts: number, supply?: number) => na.tableCurrent(hp(power), volts, 0, supply)?.value;
  it('only a motor of 220 to 240 V on 204 to 212 V reads it', () => {
    expect(amps(10, 230, 208)).toBe(30.8);
    expect(amps(10, 230, 204)).toBe(30.8);
    expect(amps(10, 230, 212)).toBe(30.8);
    expect(amps(10, 230, 203.9)).toBe(28);
    expect(amps(10, 230, 212.1)).toBe(28);
    expect(amps(10, 220, 208)).toBe(30.8);
    expect(amps(10, 240, 208)).toBe(30.8);
    expect(amps(10, 200, 208)).toBe(32.2);
    expect(amps(10, 230)).toBe(28);
  });
  it('a voltage 7 % off a column still reads it, farther off none; a percent over the last rating still reads', () => {
    expect(amps(10, 460 * 1.069)).toBe(14);
    expect(amps(10, 400)).toBeUndefined();
    expect(amps(500 * 1.009, 460)).toBe(590);
    expect(amps(500 * 1.02, 460)).toBeUndefined();
  });
  it('slow motors', () => expect([na.lowSpeed?.value, iec.lowSpeed]).toEqual([1200, undefined]));
});

describe('overload relays', () => {
  it.each([
    [1.15, undefined, 1.25, 1.4],
    [1.149, undefined, 1.15, 1.3],
    [1, 40, 1.25, 1.4],
    [1, 40.1, 1.15, 1.3],
    [1, undefined, 1.15, 1.3],
    [1.25, 80, 1.25, 1.4],
  ])('North America, service factor %d, rise %s: %d, at most %d', (sf, rise, trip, maximum) => {
    expect(na.overload(sf, rise)).toMatchObject({ trip, maximum });
  });
  it('says why', () => {
    expect(na.overload(1, 40).because).toBe('a marked rise of 40 K');
    expect(na.overload(1.15, 40).because).toBe('service factor 1.15');
    expect(na.overload(1).because).toBe('service factor 1');
    expect(iec.overload(1)).toMatchObject({ trip: 1.2, because: 'any motor' });
    expect(iec.overload(1).maximum).toBeUndefined();
  });
  it('conductors', () => {
    expect([na.conductorFactor.value, iec.conductorFactor.value]).toEqual([1.25, 1]);
    expect([na.conductorBasis, iec.conductorBasis]).toEqual(['table', 'plate']);
    expect(iec.tableCurrent(kW(11), 400, 21.3)?.value).toBe(21.3);
  });
});

describe('enclosures in the words of a plate', () => {
  it.each([
    ['TEFC', 'enclosed', 'enclosed'],
    ['TENV', 'enclosed', 'enclosed'],
    ['TEBC', 'enclosed', 'enclosed'],
    ['totally enclosed', 'enclosed', undefined],
    ['ODP', 'open', 'open'],
    ['open', 'open', 'open'],
    ['drip-proof', 'open', undefined],
    ['washdown duty', 'washdown', undefined],
    ['IEEE 841', 'severe-duty', undefined],
    ['severe duty', 'severe-duty', undefined],
    ['IP55', 'enclosed', 'enclosed'],
    ['IP 44', 'enclosed', 'enclosed'],
    ['IP43', 'open', 'open'],
    ['IP34', 'open', 'open'],
    ['IP23', 'open', 'open'],
    ['IP56', 'washdown', 'washdown'],
    ['IP66', 'washdown', 'washdown'],
    ['IP46', 'enclosed', 'enclosed'],
    ['IP65', 'enclosed', 'enclosed'],
    ['nothing', undefined, undefined],
  ])('%s: %s, %s', (text, byNema, byIec) => {
    expect(na.enclosureClass(text)).toBe(byNema);
    expect(iec.enclosureClass(text)).toBe(byIec);
  });
  const calm = {
    dirt: 'clean',
    water: 'dry',
    corrosive: false,
    food: false,
    mounting: 'floor',
    vibration: false,
  } as const;
  it.each([
    [{}, ['open', 'enclosed', 'severe-duty', 'washdown'], undefined],
    [{ water: 'drips' }, ['open', 'enclosed', 'severe-duty', 'washdown'], undefined],
    [
      { water: 'drips', mounting: 'wall' },
      ['enclosed', 'severe-duty', 'washdown'],
      'hung this way drips fall into its openings',
    ],
    [{ mounting: 'wall' }, ['open', 'enclosed', 'severe-duty', 'washdown'], undefined],
    [{ dirt: 'dusty' }, ['enclosed', 'severe-duty', 'washdown'], 'dirt is drawn through the winding'],
    [{ water: 'splash' }, ['enclosed', 'severe-duty', 'washdown'], 'water goes through its openings'],
    [{ water: 'outdoor' }, ['enclosed', 'severe-duty', 'washdown'], 'water goes through its openings'],
    [{ corrosive: true }, ['severe-duty', 'washdown'], 'corrosion: paint, joints and hardware give way'],
    [{ water: 'washdown' }, ['washdown'], 'washed down: water jets get in'],
    [{ food: true }, ['washdown'], 'food: it must be smooth, sealed and washed'],
  ] as const)('%j', (place, suits, fault) => {
    const needs = { ...calm, ...place };
    expect(practices.suitableEnclosures(needs)).toEqual(suits);
    expect(na.enclosures(needs).value).toEqual(suits);
    expect(practices.enclosureFault('open', needs)).toBe(fault);
    expect(practices.enclosureFault('washdown', needs)).toBeUndefined();
  });
});

describe('drives and sheaves', () => {
  it('North America’s ladder is the table’s, IEC’s the R10 series with a power each', () => {
    expect(na.driveSizes(460).value.find((s) => s.name === '20 hp')?.current).toBe(27);
    expect(na.driveSizes(230).value.find((s) => s.name === '20 hp')?.current).toBe(54);
    const ladder = iec.driveSizes(400).value;
    expect(ladder.map((s) => s.current).slice(0, 5)).toEqual([1.25, 1.6, 2, 2.5, 3.15]);
    // 25 A at 400 V with 0.78 for efficiency and power factor together bears 11 kW (20.4 A), not 15 kW (27.8 A).
    expect(ladder.find((s) => s.current === 25)?.power).toBe(kW(11));
  });
  it('NEMA MG 1 table 14-1: least sheave of a conventional V-belt', () => {
    expect((na.leastSheave('256T')?.value ?? NaN) / 0.0254).toBeCloseTo(4.6, 6);
    expect(na.leastSheave('256')).toBeUndefined();
    expect(iec.leastSheave('160M')).toBeUndefined();
  });
});

describe('rows of a table', () => {
  const found = practices.table(
    commonPractice('made up'),
    ['high', 'low'],
    [
      [1, 100, 10],
      [2, 200, 20],
      [4, 400, null],
    ],
  );
  it('the first rating at least as large, within a percent; none below the first or beyond the last', () => {
    const at = (rating: number) => practices.atRating(found, rating, 'low');
    expect([0.5, 1, 1.01, 1.02, 2, 2.03, 9].map(at)).toEqual([...[undefined, 10, 10, 20, 20, undefined, undefined]]);
    expect(practices.atRating(found, 9, 'high')).toBeUndefined();
  });
  it('exactly: within 1.1 %', () => {
    const at = (rating: number) => practices.exactly(found, rating, 'low');
    expect([1, 1.0108, 1.0115, 0.9895, 0.985, 4].map(at)).toEqual([10, 10, undefined, 10, undefined, undefined]);
  });
  it('a band reaches to its upper end and not beyond; none after the last', () => {
    const at = (rating: number) => practices.atBand(found, rating, 'high');
    expect([0.5, 1, 1.001, 4, 4.001].map(at)).toEqual([100, 100, 200, 400, undefined]);
  });
  it('columns by poles', () => {
    const poles = [1, 2, 3, 4, 5, 6, 8];
    expect(poles.map(practices.to6Poles)).toEqual(['2', '2', '4', '4', '6', '6', '6']);
    expect(poles.map(practices.from4Poles)).toEqual(['4', '4', '4', '4', '6', '6', '8']);
    expect(poles.map(practices.to8Poles)).toEqual(['2', '2', '4', '4', '6', '6', '8']);
  });
});
