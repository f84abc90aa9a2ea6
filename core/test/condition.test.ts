import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { everyOneOpens } from './cases';
import { nameplate, readCase, readingSchema, tellCondition, type CaseText, type MotorReading } from '@pilgrim/core';

const plate = {
  power: '7.5 kW',
  voltage: '400 V',
  current: '17 A',
  speed: '1455 rpm',
  frequency: '50 Hz',
  year: 2012,
  bearings: { driveEnd: '6309 C3' },
} as const;
const base: CaseText = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  supply: { voltage: '400 V', frequency: '50 Hz' },
  plate,
  load: { machine: 'centrifugal-fan' },
};
type Numbers = Partial<Omit<MotorReading, 'at'>>;
const on = (day: string, numbers: Numbers): MotorReading => ({ at: `${day}T06:40:00Z`, ...numbers });

function told(numbers: Numbers, earlier: readonly MotorReading[] = [], over: Partial<CaseText> = {}) {
  const reading = readCase({ ...base, ...over });
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  const answer = tellCondition(reading.value, on('2026-11-20', numbers), earlier);
  everyOneOpens(answer.findings);
  return answer;
}
type Told = ReturnType<typeof told>;
const levelOf = (t: Told, id: string) => t.findings.find((f) => f.id === `condition.${id}`)?.level;
const value = (t: Told, id: string) => t.figures[id]?.value;
const three = (a: number, b: number, c: number): Numbers => ({ current1: a, current2: b, current3: c });
const volts = (a: number, b: number, c: number): Numbers => ({ voltage12: a, voltage23: b, voltage31: c });

it('figures of a round by hand: unbalance from the mean, voltage over the plate’s, rise over the air', () => {
  // 17, 17 and 14 A: 2 A of 16 from the mean; 380 V on 400; 61 °C in air of 20.
  expect(value(told(three(17, 17, 14)), 'condition.currentUnbalance')).toBeCloseTo(0.125, 9);
  expect(value(told(volts(380, 380, 380)), 'condition.voltageShare')).toBeCloseTo(0.95, 9);
  expect(value(told({ temperature: 61, ambient: 20 }), 'condition.rise')).toBeCloseTo(41, 9);
});

describe('20 A on a plate of 17 A', () => {
  const over = () => told({ current1: 20 });
  it('is over the plate, with the copper’s heat, and asks in order what to measure', () => {
    const bare = over();
    expect(value(bare, 'condition.currentShare')).toBeCloseTo(20 / 17, 6);
    expect(levelOf(bare, 'over-plate')).toBe('caution');
    expect(bare.findings.find((f) => f.id === 'condition.over-plate')?.text).toContain('1.38 times');
    expect(bare.steps.map((s) => s.measure.split(/[ ,]/)[0])).toEqual([
      'Current',
      'Voltage',
      'The',
      'Input',
      'Speed',
      'The',
      'Uncoupled',
    ]);
    for (const step of bare.steps) expect([step.found, step.results.length >= 2]).toEqual([null, true]);
  });
  const stepsOf = (numbers: Numbers) => told({ ...three(20, 19.6, 20.2), ...numbers }).steps.map((s) => s.found);
  it('what is read already picks its answer', () => {
    expect(stepsOf({})).toEqual([0, null, null, null, null, null, null]);
    expect(stepsOf({ ...volts(358, 361, 360), power: 9.4, speed: 1440 })).toEqual([0, 1, null, 0, 0, null, null]);
    expect(stepsOf({ ...volts(445, 446, 444), power: 7, speed: 1470 })).toEqual([0, 2, null, 1, 1, null, null]);
    expect(stepsOf(volts(400, 401, 402))[1]).toBe(0);
    expect(stepsOf(volts(380, 400, 401))[1]).toBe(3);
    expect(told(three(20, 15, 16)).steps[0]?.found).toBe(1);
  });
  it('low is beyond 10 %, or where it makes half of what is over the plate; a hair apart is alike', () => {
    const voltage = (v: number, current: number) =>
      told({ ...three(current, current, current), ...volts(v, v, v) }).steps[1]?.found;
    // 388 V make 3.1 %: of 18.7 A (10 % over) not half, of 17.6 A (3.5 %) more than that.
    expect([voltage(388, 18.7), voltage(388, 17.6), voltage(396, 20.4), voltage(359, 34)]).toEqual([0, 1, 0, 1]);
    expect([voltage(440, 20), voltage(441, 20)]).toEqual([0, 2]);
    const apart = (d: number) => told({ ...three(20, 20, 20), ...volts(400, 400 + d, 400 - d) }).steps[1]?.found;
    expect([apart(4), apart(4.1)]).toEqual([0, 3]);
  });
  it('a clamp’s own error is no overload; at the plate nothing is said', () => {
    expect(levelOf(told({ current1: 17.4 }), 'over-plate')).toBe('note');
    expect(told({ current1: 17.4 }).steps).toEqual([]);
    expect(levelOf(told({ current1: 17.6 }), 'over-plate')).toBe('caution');
    expect(levelOf(told({ current1: 17 }), 'over-plate')).toBeUndefined();
  });
  it('a service factor allows it for short', () => {
    const text = (t: Told) => t.findings.find((f) => f.id === 'condition.over-plate')?.text ?? '';
    const factored = { plate: { ...plate, serviceFactor: 1.15 } };
    expect(text(told({ current1: 19.5 }, [], factored))).toContain('service factor of 1.15');
    expect(text(told({ current1: 19.6 }, [], factored))).toContain('Do not leave it so');
  });
});

describe('currents and voltages', () => {
  it('unbalance is the largest deviation from the mean: 460, 467, 450 V make 1.96 %', () => {
    const t = told(volts(460, 467, 450), [], { plate: { ...plate, voltage: '460 V' } });
    expect(value(t, 'condition.voltageUnbalance')).toBeCloseTo(9 / 459, 6);
    expect(levelOf(t, 'voltage-unbalance')).toBe('caution');
  });
  it.each([
    [volts(400, 403.9, 396.1), undefined],
    [volts(400, 404.1, 395.9), 'caution'],
    [volts(400, 419.9, 380.1), 'caution'],
    [volts(400, 420.1, 379.9), 'stop'],
  ])('voltages %j: %s', (numbers, level) => {
    expect(levelOf(told(numbers), 'voltage-unbalance')).toBe(level);
  });
  it.each([
    [three(10, 10.9, 9.1), undefined, undefined],
    [three(10, 11.1, 8.9), 'caution', undefined],
    [three(14, 14, 0.9), undefined, 'stop'],
    [three(14, 14, 1), 'caution', undefined],
    [three(0, 0, 0), undefined, undefined],
  ])('currents %j: unbalance %s, two phases %s', (numbers, unbalance, single) => {
    const t = told(numbers);
    expect(levelOf(t, 'current-unbalance')).toBe(unbalance);
    expect(levelOf(t, 'single-phase')).toBe(single);
  });
  it('on two phases no load is told', () => {
    const t = told({ ...three(20, 20, 0.5), speed: 1440 });
    expect(value(t, 'load.share')).toBeUndefined();
    expect(levelOf(t, 'over-plate')).toBeUndefined();
  });
  it.each([
    [361, undefined],
    [359, 'caution'],
    [439, undefined],
    [441, 'caution'],
  ])('%d V on a plate of 400 V: %s', (v, level) => {
    expect(levelOf(told(volts(v, v, v)), 'voltage-off')).toBe(level);
  });
  it('a drive’s frequency is seen, and its voltage and slip are not judged by the line', () => {
    const slow = told({ ...volts(230, 230, 230), ...three(12, 12, 12), frequency: 28, speed: 810 });
    expect(levelOf(slow, 'on-drive')).toBe('note');
    expect(levelOf(slow, 'voltage-off')).toBeUndefined();
    expect(value(slow, 'load.shareBySlip')).toBeUndefined();
    expect(levelOf(told({ frequency: 50.9, power: 5 }), 'on-drive')).toBeUndefined();
    expect(levelOf(told({ frequency: 51.1, power: 5 }), 'on-drive')).toBe('note');
  });
  it('the load by three methods is that of the Load station, with their disagreement', () => {
    const t = told({ ...three(14, 14, 14), ...volts(400, 400, 400), power: 3.2, speed: 1482 });
    expect(Object.keys(t.figures)).toEqual(
      expect.arrayContaining(['load.shareByPower', 'load.shareByCurrent', 'load.shareBySlip', 'load.share']),
    );
    expect(value(t, 'load.shareBySlip')).toBeCloseTo(18 / 45, 6);
    expect(t.findings.map((f) => f.id)).toContain('load.ways-disagree');
  });
  it('without a plate that is said, and the supply is judged all the same', () => {
    const t = told(volts(400, 420, 385), [], { plate: undefined });
    expect(levelOf(t, 'no-plate')).toBe('note');
    expect(levelOf(t, 'voltage-unbalance')).toBe('caution');
  });
});

describe('the winding', () => {
  it('thermoplastic halves every 10 K, thermosetting less; at 40 °C both are what was read', () => {
    const at = (winding: 'thermoplastic' | 'thermosetting', insulationTemperature: number) =>
      value(told({ insulation: 100, insulationTemperature, winding }), 'condition.insulation');
    expect(at('thermoplastic', 20)).toBeCloseTo(25e6, 0);
    expect(at('thermoplastic', 60)).toBeCloseTo(400e6, 0);
    expect(at('thermosetting', 40)).toBeCloseTo(100e6, 0);
    // By hand: exp(−1245 (1/293 − 1/313)) = 0.762 and exp(−4230 (1/333 − 1/313)) = 2.25.
    expect((at('thermosetting', 20) ?? 0) / 1e6).toBeCloseTo(76.2, 0);
    expect((at('thermosetting', 60) ?? 0) / 1e6).toBeCloseTo(225, 0);
  });
  it.each([
    [4.9, 'stop'],
    [5.1, 'caution'],
    [49, 'caution'],
    [51, 'note'],
  ])('%d MΩ at 40 °C: %s', (insulation, level) => {
    expect(levelOf(told({ insulation, insulationTemperature: 40 }), 'insulation')).toBe(level);
  });
  it('a temperature and a winding nobody named are shown as assumed', () => {
    const t = told({ insulation: 100 });
    expect(t.figures['condition.insulation']?.assumed.map((a) => a.field)).toEqual([
      'reading.winding',
      'reading.insulationTemperature',
    ]);
    const old = told({ insulation: 100 }, [], { plate: { ...plate, year: 1969 } });
    expect(value(old, 'condition.insulation')).toBeCloseTo(25e6, 0);
  });
  it('a fall to less than half of the test before is a trend, temperature counted out', () => {
    const was = on('2026-02-01', { insulation: 200, insulationTemperature: 40 });
    expect(levelOf(told({ insulation: 101, insulationTemperature: 40 }, [was]), 'insulation-falls')).toBeUndefined();
    expect(levelOf(told({ insulation: 99, insulationTemperature: 40 }, [was]), 'insulation-falls')).toBe('caution');
    const warm = told({ insulation: 99, insulationTemperature: 60 }, [was]);
    expect(levelOf(warm, 'insulation-falls')).toBeUndefined();
  });
  it.each([
    [1.9, '110 kW', 'caution'],
    [2, '110 kW', 'note'],
    [1.9, '7.5 kW', 'note'],
  ])('a polarisation index of %d at %s: %s', (polarisationIndex, power, level) => {
    expect(levelOf(told({ polarisationIndex }, [], { plate: { ...plate, power } }), 'polarisation')).toBe(level);
  });
  it('of a winding of class A 1.5 is enough, of a better class 2', () => {
    const at = (polarisationIndex: number, insulation: 'A' | 'B') =>
      levelOf(told({ polarisationIndex }, [], { plate: { ...plate, power: '110 kW', insulation } }), 'polarisation');
    expect([at(1.5, 'A'), at(1.4, 'A'), at(1.5, 'B')]).toEqual(['note', 'caution', 'caution']);
  });
  it('above 5 GΩ the index says nothing', () => {
    const index = { polarisationIndex: 1.1, insulationTemperature: 40 };
    const text = (insulation: number) =>
      told({ ...index, insulation }, [], { plate: { ...plate, power: '110 kW' } }).findings.find(
        (f) => f.id === 'condition.polarisation',
      );
    expect([text(4900)?.level, text(5100)?.level]).toEqual(['caution', 'note']);
  });
});

describe('the bearings', () => {
  // ISO 20816-3, 15 to 300 kW: rigid 1.4, 2.8, 4.5; flexible 2.3, 4.5, 7.1. Class I of ISO 10816-1: 0.71, 1.8, 4.5.
  it.each([
    ['30 kW', 'rigid', [1.4, 2.8, 4.5]],
    ['30 kW', 'flexible', [2.3, 4.5, 7.1]],
    ['315 kW', 'rigid', [2.3, 4.5, 7.1]],
    ['315 kW', 'flexible', [3.5, 7.1, 11]],
    ['15 kW', 'rigid', [0.71, 1.8, 4.5]],
  ] as const)('vibration of %s on a %s support', (power, support, [a, b, c]) => {
    const zone = (vibration: number) =>
      /zone (\w)/.exec(
        told({ vibration, support }, [], { plate: { ...plate, power } }).findings.find(
          (f) => f.id === 'condition.vibration',
        )?.text ?? '',
      )?.[1];
    const steps = [a, b, c].flatMap((limit) => [zone(limit), zone(limit + 0.01)]);
    expect(steps).toEqual(['A', 'B', 'B', 'C', 'C', 'D']);
  });
  it('levels of the zones, the rigid support assumed aloud, and what more than doubled', () => {
    expect([1, 2, 4, 5].map((vibration) => levelOf(told({ vibration }), 'vibration'))).toEqual([
      'note',
      'caution',
      'caution',
      'stop',
    ]);
    expect(
      told({ vibration: 1 })
        .findings.map((f) => f.text)
        .join(),
    ).toContain('(assumed)');
    const was = [on('2026-10-01', { vibration: 0.8 })];
    expect(levelOf(told({ vibration: 1.5 }, was), 'vibration')).toBe('note');
    expect(levelOf(told({ vibration: 1.7 }, was), 'vibration')).toBe('caution');
  });
  it.each([
    [80, undefined],
    [81, 'caution'],
    [95, 'caution'],
    [96, 'stop'],
  ])('a housing at %d °C: %s', (temperature, level) => {
    expect(levelOf(told({ temperature }), 'hot-bearing')).toBe(level);
  });
  it('a rise over the air more than 10 K above the round before; a hotter day is none', () => {
    const was = [on('2026-09-01', { temperature: 50, ambient: 20 })];
    expect(levelOf(told({ temperature: 60, ambient: 20 }, was), 'bearing-rise')).toBeUndefined();
    expect(levelOf(told({ temperature: 61, ambient: 20 }, was), 'bearing-rise')).toBe('caution');
    expect(levelOf(told({ temperature: 70, ambient: 38 }, was), 'bearing-rise')).toBeUndefined();
  });
  it('how the machine stands is what was said last, rounds that do not say it between', () => {
    const rounds = [on('2026-08-01', { vibration: 1, support: 'flexible' }), on('2026-09-01', { vibration: 1 })];
    const medium = { plate: { ...plate, power: '30 kW' } };
    expect(levelOf(told({ vibration: 2.2 }, rounds, medium), 'vibration')).toBe('note');
    expect(levelOf(told({ vibration: 2.2 }, [], medium), 'vibration')).toBe('note');
    expect(
      told({ vibration: 2.2 }, rounds, medium)
        .findings.map((f) => f.text)
        .join(),
    ).toMatch(/zone A/);
    expect(
      told({ vibration: 2.2 }, [], medium)
        .findings.map((f) => f.text)
        .join(),
    ).toMatch(/zone B/);
  });
  it('noise against the first round', () => {
    const first = [on('2026-01-01', { bearingNoise: 20 }), on('2026-05-01', { bearingNoise: 26 })];
    const text = (bearingNoise: number) =>
      told({ bearingNoise }, first).findings.find((f) => f.id === 'condition.bearing-noise')?.text;
    expect(text(27.9)).toBeUndefined();
    expect(text(28)).toContain('grease');
    expect(text(36)).toContain('damaged');
  });
  it('grease: 0.005·D·B of a 6309 (100 × 25 mm) is 12.5 g; sealed ones take none', () => {
    expect(value(told({ vibration: 1 }), 'condition.grease')).toBeCloseTo(12.5, 6);
    expect(levelOf(told({ grease: 25 }), 'grease')).toBe('note');
    expect(levelOf(told({ grease: 26 }), 'grease')).toBe('caution');
    const sealed = { plate: { ...plate, bearings: { driveEnd: '6309-2Z/C3' } } };
    expect(value(told({ vibration: 1 }, [], sealed), 'condition.grease')).toBeUndefined();
    expect(levelOf(told({ grease: 5 }, [], sealed), 'grease')).toBe('caution');
    expect(levelOf(told({ grease: 0 }, [], sealed), 'grease')).toBeUndefined();
  });
  it('the interval halves upright, in dirt, and for 15 K above 70 °C; a stamped one stands', () => {
    const hours = (numbers: Numbers, over: Partial<CaseText> = {}) =>
      value(told(numbers, [], over), 'condition.greaseInterval') ?? 0;
    const whole = hours({ temperature: 70 });
    expect(hours({ temperature: 85 }) / whole).toBeCloseTo(0.5, 6);
    expect(hours({ temperature: 40 })).toBe(whole);
    expect(hours({ temperature: 70 }, { place: { mounting: 'shaft-down' } }) / whole).toBeCloseTo(0.5, 6);
    expect(hours({ temperature: 70 }, { place: { dirt: 'dusty' } }) / whole).toBeCloseTo(0.5, 6);
    expect(hours({ temperature: 85 }, { plate: { ...plate, greaseInterval: '4000 h' } })).toBeCloseTo(4000, 6);
  });
  it.each([
    ['6208', [40, 80, 18, false, 'ball']],
    ['6316/C3', [80, 170, 39, false, 'ball']],
    ['6003-2RS', [17, 35, 10, true, 'ball']],
    ['NU 316 ECP', [80, 170, 39, false, 'roller']],
    ['6205ZZ', [25, 52, 15, true, 'ball']],
    ['22316', undefined],
    ['45BC02J30X', undefined],
    ['', undefined],
  ] as const)('a bearing %s', (text, size) => {
    const b = nameplate.bearingOf(text);
    expect(b && [b.bore, b.outside, b.width, b.sealed, b.kind]).toEqual(size);
  });
});

describe('counters, and what is due', () => {
  const was = [on('2026-10-21', { hours: 1000, starts: 500 })];
  it('starts an hour between two rounds, against what was said', () => {
    const often = { load: { machine: 'centrifugal-fan', startsPerHour: 2 } } as const;
    const at = (starts: number) => told({ hours: 1100, starts }, was, often);
    expect(value(at(720), 'condition.starts')).toBeCloseTo(2.2, 9);
    expect(levelOf(at(720), 'starts')).toBeUndefined();
    expect(levelOf(at(721), 'starts')).toBe('caution');
  });
  it('nobody said how often it starts: it is counted, and nothing held against it', () => {
    const t = told({ hours: 1100, starts: 5000 }, was, { load: undefined });
    expect(value(t, 'condition.starts')).toBeCloseTo(45, 9);
    expect(levelOf(t, 'starts')).toBeUndefined();
  });
  it('hours a day by counter, else by the profile, else all of them', () => {
    const greased = [on('2026-10-21', { grease: 12 })];
    const stamped = { plate: { ...plate, greaseInterval: '2000 h' } };
    const at = (over: Partial<CaseText>) => due(told({ vibration: 1 }, greased, { ...stamped, ...over }), 'Grease');
    const profile = (hours: number): Partial<CaseText> => ({ speed: { profile: [{ hours, flow: 1 }] } });
    // 2000 h at 8 h a day are 250 days; at 24 h 83.
    expect(at(profile(2920))?.at).toBe('2027-06-28');
    expect(at(profile(2920))?.why).toContain('2920 h a year');
    expect(at({})?.at).toBe('2027-01-12');
    expect(at({})?.why).toContain('running all day');
  });
  it('a counter that went back is said, and makes no rate', () => {
    const back = told({ hours: 900, starts: 600 }, was);
    expect(levelOf(back, 'counter-back')).toBe('caution');
    expect(value(back, 'condition.starts')).toBeUndefined();
    expect(levelOf(told({ hours: 1000 }, was), 'counter-back')).toBeUndefined();
  });
  const due = (t: Told, what: string) => t.due.find((d) => d.what.startsWith(what));
  it('by zone, by insulation, and by the hours that are run', () => {
    expect(due(told({ vibration: 0.5 }), 'Vibration')?.at).toBe('2027-05-20');
    expect(due(told({ vibration: 1 }), 'Vibration')?.at).toBe('2027-02-20');
    expect(due(told({ vibration: 3 }), 'Vibration')?.at).toBe('2026-12-20');
    expect(due(told({ vibration: 5 }), 'Vibration')?.at).toBeNull();
    // Hot, whatever the zone: within a month.
    expect(due(told({ vibration: 0.5, temperature: 81 }), 'Vibration')?.at).toBe('2026-12-20');
    expect(due(told({ vibration: 0.5, temperature: 80 }), 'Vibration')?.at).toBe('2027-05-20');
    const insulation = (ohm: number) => due(told({ insulation: ohm, insulationTemperature: 40 }), 'Insulation')?.at;
    expect([insulation(200), insulation(20), insulation(2)]).toEqual(['2027-11-20', '2027-02-20', null]);
    // 12 h a day by the counter; 4000 h are 333 days after the greasing.
    const greased = [on('2026-10-21', { hours: 1000, grease: 12 })];
    const stamped = { plate: { ...plate, greaseInterval: '4000 h' } };
    expect(due(told({ hours: 1360 }, greased, stamped), 'Grease')?.at).toBe('2027-09-19');
    expect(due(told({ hours: 1360 }, [], stamped), 'Grease')?.at).toBeNull();
    expect(due(told({ hours: 1360 }), 'Insulation')?.why).toBe('never read here');
  });
  it('a month’s last day stays within the next', () => {
    const reading = readCase(base);
    if (!reading.ok) expect.fail('no case');
    const t = tellCondition(reading.value, on('2026-08-31', { vibration: 0.5 }), []);
    expect(due(t, 'Vibration')?.at).toBe('2027-02-28');
  });
});

describe('what a round may hold', () => {
  const at = '2026-11-20T06:40:00Z';
  it.each([
    [{ at, current1: 20 }, true],
    [{ at }, false],
    [{ at: 'today', current1: 20 }, false],
    [{ at, current1: -1 }, false],
    [{ at, vibration: 201 }, false],
    [{ at, currents: [20] }, false],
  ])('%j: %s', (text, good) => {
    expect(readingSchema.safeParse(text).success).toBe(good);
  });
  it('whatever is read is answered, in any order of the rounds, and later ones do not count', () => {
    const number = fc.option(fc.double({ min: 0, max: 150, noNaN: true }), { nil: undefined });
    const keys = ['current1', 'current2', 'current3', 'vibration', 'insulation', 'temperature', 'hours', 'grease'];
    const numbers = fc.record(Object.fromEntries(keys.map((key) => [key, number])));
    fc.assert(
      fc.property(numbers, numbers, numbers, (now, before, later) => {
        const rounds = [on('2026-12-01', later), on('2026-05-01', before)];
        const t = told(now, rounds);
        expect(t).toEqual(told(now, [on('2026-05-01', before)]));
        for (const f of Object.values(t.figures)) expect(Number.isFinite(f.value)).toBe(true);
        for (const { points } of t.trends) for (const [, v] of points) expect(Number.isFinite(v)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('trends carry the limits of this motor as regions', () => {
    const t = told({ ...three(16, 16, 16), vibration: 1, insulation: 100 });
    const regions = (id: string) => t.trends.find((x) => x.id === id)?.regions.map((r) => [r.from, r.to, r.level]);
    expect(regions('current')?.[0]).toEqual([17, 21.25, 'caution']);
    expect(regions('vibration')?.at(-1)).toEqual([4.5, null, 'stop']);
    expect(regions('insulation')?.[0]).toEqual([null, 5, 'stop']);
    const other = told({ ...three(17, 17, 14), ...volts(400, 404, 396) });
    const at = (id: string) => other.trends.find((x) => x.id === id);
    const [low, high] = at('voltage')?.regions ?? [];
    expect([low?.from, low?.to, high?.to]).toEqual([null, 360, null]);
    expect(high?.from).toBeCloseTo(440, 9);
    expect(at('currentUnbalance')?.points.map(([, v]) => v)).toEqual([12.5]);
    expect(at('voltageUnbalance')?.points.map(([, v]) => v)).toEqual([1]);
    // What was never read has no trend.
    expect(other.trends.every((x) => x.points.length > 0)).toBe(true);
    expect(at('vibration')).toBeUndefined();
  });
});
