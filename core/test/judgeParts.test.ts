import { describe, expect, it } from 'vitest';
import { genericMotors, nameplate, type CaseText, type Motor, type Result } from '@pilgrim/core';
import { code } from '../src/judge/code';
import { judgeLesson } from '../src/judge/lessons';
import { passIf, problemCode, problemText, withReserve } from '../src/judge/requirement';
import type { Tried } from '../src/runs';
import type { Needs } from '../src/needs';
import { conveyor, solved, verdictOf } from './cases';

/** The judge's small parts, each at both sides of its limits. */

it('a reserve of nothing is a caution, less than nothing fails, what is wanted passes', () => {
  expect([-0.001, 0, 0.099, 0.1].map((r) => withReserve(r, 0.1))).toEqual([
    code.fail,
    code.caution,
    code.caution,
    code.pass,
  ]);
  expect([passIf(true), passIf(false), passIf(false, code.caution)]).toEqual([code.pass, code.fail, code.caution]);
});

it('of what a simulated start has against it, the worst of the kinds asked counts; notes do not', () => {
  // Only what is read of a run.
  const tried = {
    problems: [
      { id: 'start.supply-weak', level: 'caution', text: 'dips' },
      { id: 'start.stalls', level: 'fail', text: 'stalls' },
      { id: 'start.slow', level: 'note', text: 'slow' },
    ],
  } as unknown as Tried;
  expect(problemCode(tried, ['start.supply-weak'])).toBe(code.caution);
  expect(problemCode(tried, ['start.supply-weak', 'start.stalls'])).toBe(code.fail);
  expect(problemCode(tried, ['start.slow' as never])).toBe(code.pass);
  expect(problemText(tried, ['start.supply-weak', 'start.stalls'])).toBe('dips stalls');
  expect(problemText(tried, ['start.source-unknown'])).toBeUndefined();
  expect(problemText(undefined, ['start.stalls'])).toBeUndefined();
});

describe('what the old motor’s failure taught', () => {
  const motor = genericMotors().find((m) => m.id === 'na-tefc-25hp-4p');
  if (!motor) throw new Error('no motor');
  const lesson = (
    id: nameplate.LessonId,
    {
      old = {},
      is = {},
      method = 'direct' as const,
      min = 1,
    }: {
      old?: object;
      is?: Partial<Motor>;
      method?: 'direct' | 'drive' | 'soft-starter' | 'star-delta';
      min?: number;
    } = {},
  ) => {
    const needs = {
      old,
      rules: { slowSpeed: 'plate' },
      place: { motorDerating: 0.8 },
      speed: { variable: min < 1, min },
      load: { speed: 1770, torque: 1e4, shape: { kind: 'constant' } },
    } as unknown as Needs;
    const { outcome, margin, text } = judgeLesson(needs, id, { ...motor, ...is }, method);
    return { outcome, margin, text: typeof text === 'function' ? (text as () => string)() : text };
  };

  it('a motor that was overheated wants its rating again after heat and height, to half a per cent', () => {
    const power = 20 * 745.7;
    expect(lesson('history-reserve', { old: { power }, is: { power: power / 0.8 } }).outcome).toBe('pass');
    expect(lesson('history-reserve', { old: { power }, is: { power: (power / 0.8) * 0.996 } }).outcome).toBe('pass');
    expect(lesson('history-reserve', { old: { power }, is: { power: (power / 0.8) * 0.994 } }).outcome).toBe('caution');
    expect(lesson('history-reserve', { old: { power }, is: { power } }).margin).toBeCloseTo(-0.2, 9);
    expect(lesson('history-reserve').text).toContain('measure the load');
  });

  it('an enclosure: more than before passes, as before is a caution, open never', () => {
    const of = (was: Motor['enclosure'] | undefined, is: Motor['enclosure']) =>
      lesson('history-enclosure', { old: { enclosure: was }, is: { enclosure: is, enclosureText: 'It' } });
    expect(of('open', 'open')).toMatchObject({ outcome: 'fail', text: expect.stringContaining('as before') });
    expect(of(undefined, 'open')).toMatchObject({ outcome: 'fail', text: 'It: dirt or water would come in.' });
    expect(of('enclosed', 'open').outcome).toBe('fail');
    expect(of('open', 'enclosed')).toMatchObject({ outcome: 'pass', text: 'It keeps out more than the old one did.' });
    expect(of('enclosed', 'severe-duty').text).toBe('It keeps out more than the old one did.');
    expect(of('enclosed', 'enclosed')).toMatchObject({
      outcome: 'caution',
      text: expect.stringContaining('as before'),
    });
    expect(of(undefined, 'enclosed').outcome).toBe('caution');
    expect(of('washdown', 'severe-duty')).toMatchObject({
      outcome: 'pass',
      text: expect.stringContaining('made for it'),
    });
    expect(of(undefined, 'washdown').outcome).toBe('pass');
  });

  it('too little cooling: the fan’s own lowest speed, both sides; full speed has full air', () => {
    const turndown = { variableTorque: 10, constantTorque: 4 };
    const of = (min: number, inverterDuty = false) =>
      lesson('history-cooling', { method: 'drive', min, is: { turndown, speed: 1770, inverterDuty } });
    expect(lesson('history-cooling').outcome).toBe('pass');
    expect(lesson('history-cooling', { method: 'drive' }).outcome).toBe('pass');
    expect(of(0.24, true)).toMatchObject({ outcome: 'fail' });
    expect(of(0.25, true)).toMatchObject({ outcome: 'pass', margin: 0, text: 'Inverter duty: made to run slow.' });
    // Not made for it: above nine tenths of its speed nothing is asked of its fan, below that its heat is.
    expect(of(0.89)).toMatchObject({ outcome: 'fail' });
    expect(of(0.9)).toMatchObject({ outcome: 'caution', margin: 0 });
  });

  it('starts, a lost phase and shock ask who starts it', () => {
    for (const id of ['history-starts', 'history-phase-loss', 'history-shock'] as const) {
      expect(lesson(id, { method: 'drive' }).outcome, id).toBe('pass');
      expect(lesson(id, { method: 'soft-starter' }).outcome, id).toBe('pass');
      expect(lesson(id, { method: 'direct' }).outcome, id).toBe('caution');
    }
    expect(lesson('history-shock', { method: 'star-delta' }).text).toBe('The changeover jolts.');
    expect(lesson('history-shock').text).toContain('jolts shaft and machine');
  });

  it('currents and pulses come with a drive; a winding made for pulses bears them; the bearing is always ordered', () => {
    expect(lesson('history-shaft-current', { method: 'drive' }).outcome).toBe('caution');
    expect(lesson('history-shaft-current').outcome).toBe('pass');
    expect(lesson('history-pulses').outcome).toBe('pass');
    expect(lesson('history-pulses', { method: 'drive', is: { inverterDuty: true } }).outcome).toBe('pass');
    // A filter stands between whatever the cable: the winding's own verdict buys it.
    expect(lesson('history-pulses', { method: 'drive', is: { inverterDuty: false } }).text).toContain('a filter');
    expect(lesson('history-bearing').text).toContain('roller bearing');
  });
});

/** What an old 25 hp motor has stamped on it. */
const old = { power: '25 hp', voltage: '460 V', current: '31 A', speed: '1770 rpm', frequency: '60 Hz' } as const;
const pinned = (over: Partial<CaseText>) =>
  solved({
    ...conveyor,
    load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '18 hp', speed: '1760 rpm' } },
    motor: { catalogue: 'na-tefc-25hp-4p' },
    ...over,
  });

it('only the lesson of reserve has a margin and figures to show', () => {
  const r = pinned({
    plate: { power: '20 hp', voltage: '460 V', current: '25 A', speed: '1760 rpm', frequency: '60 Hz' },
    history: { causes: ['overheated', 'drive-end-bearing'] },
    load: {
      machine: 'centrifugal-fan',
      demand: { kind: 'power', power: '22 hp', speed: '1760 rpm' },
      train: { kind: 'belt', ratio: 1 },
    },
  });
  expect(verdictOf(r, 'history-reserve')).toMatchObject({
    margin: expect.any(Number),
    figures: ['plate.ratedPower', 'place.motorDerating'],
  });
  expect(verdictOf(r, 'history-bearing')).toMatchObject({ margin: null, figures: [] });
});

it('reserve after overheating holds if a given load is measured; the old rating alone is nothing to measure against', () => {
  const hot = { place: { ambient: '50 degC' }, history: { causes: ['overheated' as const] } };
  const given = pinned({
    plate: old,
    ...hot,
    load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '22 hp', speed: '1760 rpm' } },
  });
  expect(verdictOf(given, 'history-reserve')?.condition).toMatchObject({ field: 'load.demand.uncertainty' });
  const measured = pinned({
    plate: old,
    ...hot,
    load: {
      machine: 'centrifugal-fan',
      demand: { kind: 'power', power: '22 hp', speed: '1760 rpm', uncertainty: 0.05 },
    },
  });
  expect(verdictOf(measured, 'history-reserve')).toMatchObject({ outcome: 'pass', condition: null });
  const asBefore = pinned({ plate: old, load: undefined, ...hot });
  expect(verdictOf(asBefore, 'history-reserve')).toMatchObject({ outcome: 'caution', condition: null });
});

it('a winding of class B is a caution on a drive and no question on the line; F passes', () => {
  const own = (insulation: 'B' | 'F' | undefined, method: 'direct' | 'drive') =>
    verdictOf(
      pinned({
        plate: { ...old, ...(insulation && { insulation }) },
        motor: { existing: true },
        method,
      }),
      'insulation',
    );
  expect(own('B', 'drive')).toMatchObject({
    outcome: 'caution',
    text: 'Class B insulation: F or H is wanted on a drive.',
  });
  expect(own('F', 'drive')).toMatchObject({ outcome: 'pass', text: 'Class F insulation.' });
  expect(own('B', 'direct')).toBeUndefined();
  // What the plate does not say is not told as if it did.
  expect(own(undefined, 'drive')?.text).toBe(
    'Class B insulation taken, for its plate does not say: F or H is wanted on a drive.',
  );
});

it('ranked by margin, the more reserve of power comes first among those with as many cautions', () => {
  const list = pinned({ motor: undefined, rules: { ranking: 'margin' } }).candidates.filter(
    (c) => c.outcome !== 'fail',
  );
  const power = (c: Result['candidates'][number]) => c.verdicts.find((v) => v.requirement === 'power')?.margin ?? NaN;
  const open = (c: Result['candidates'][number]) => c.verdicts.filter((v) => v.outcome === 'caution').length;
  expect(list.length).toBeGreaterThan(10);
  expect(new Set(list.map(power)).size).toBeGreaterThan(3);
  for (const [i, c] of list.entries()) {
    const before = list[i - 1];
    if (before && open(before) === open(c)) expect(power(before)).toBeGreaterThanOrEqual(power(c) - 1e-3);
  }
});

it('at 550 V and above no cable is short enough for a winding not made for it; below it is', () => {
  const of = (volts: number, length: string) =>
    verdictOf(
      pinned({
        method: 'drive',
        plate: { power: '25 hp', voltage: `${volts} V`, current: '27 A', speed: '1770 rpm', frequency: '60 Hz' },
        motor: { existing: true },
        supply: { ...conveyor.supply, voltage: `${volts} V` },
        place: { ...conveyor.place, cable: { length } },
      }),
      'winding',
    );
  expect(of(549, '10 m')).toMatchObject({ outcome: 'pass', remedy: null });
  expect(of(549, '40 m')).toMatchObject({ outcome: 'pass', remedy: { kind: expect.stringMatching(/filter$/) } });
  expect(of(550, '10 m')).toMatchObject({
    outcome: 'pass',
    remedy: { kind: 'sine-filter', text: 'a sine filter at the drive' },
  });
});

it('a source nobody described is a condition while a usual transformer would do, a caution where it would not', () => {
  const supply = { voltage: '480 V', frequency: '60 Hz', phases: 3 } as const;
  const of = (usualTransformer: number) =>
    verdictOf(pinned({ method: 'direct', supply, rules: { usualTransformer } }), 'supply');
  // 25 hp on the line asks for some 50 kVA at 5 % and 15 % of dip.
  expect(of(250)?.condition).toMatchObject({ field: 'supply.source' });
  expect(of(30)).toMatchObject({ outcome: 'caution', condition: null });
  const drive = verdictOf(pinned({ method: 'drive', supply }), 'supply');
  expect(drive).toMatchObject({ outcome: 'pass', condition: null });
  expect(drive?.text).toBe('The source is not described; the current drawn is small.');
});

describe('numbers in verdicts, from the motor’s own row', () => {
  const motor = genericMotors().find((m) => m.id === 'na-tefc-25hp-4p');
  const fan = (power: string, more: object = {}, over: Partial<CaseText> = {}) =>
    pinned({ load: { machine: 'mixer', demand: { kind: 'power', power, speed: '1760 rpm' }, ...more }, ...over });
  const rated = (60 * 25 * 745.7) / (2 * Math.PI * (motor?.speed ?? 0));
  const steady = (60 * 18 * 745.7) / (2 * Math.PI * 1760);

  it('peak torque: breakdown at this voltage against the highest asked; what it would bear cures', () => {
    const at = (ratio: number, voltage = '460 V') =>
      fan(
        '18 hp',
        { overload: { ratio, duration: '5 s' } },
        { supply: { ...conveyor.supply, voltage }, method: 'direct' },
      );
    // By what its maker owes: 200 % at 25 hp (NEMA MG 1 12.39.1); what is usual only decides whether to ask him.
    expect(motor?.leastBreakdown).toBe(2);
    const breakdown = 2 * rated;
    expect(verdictOf(at(1.5), 'peak-torque')?.margin).toBeCloseTo(breakdown / (1.5 * steady) - 1, 2);
    expect(verdictOf(at(1.5), 'peak-torque')?.text).toContain(`over ${(1.5 * steady).toPrecision(3)} N·m`);
    // 437 V is 95 % of 460 V: its square of the torque is left.
    expect((verdictOf(at(1.5, '437 V'), 'peak-torque')?.margin ?? 0) + 1).toBeCloseTo(
      ((breakdown / (1.5 * steady)) * 437 ** 2) / 460 ** 2,
      2,
    );
    const over = at(4);
    expect(verdictOf(over, 'peak-torque')).toMatchObject({
      outcome: 'fail',
      text: expect.stringMatching(/^Breaks down: its/),
    });
    expect(over.candidates[0]?.change).toContain(`a peak of at most ${(breakdown / steady).toFixed(2)} ×`);
    // 200 % carry 2.5 times this load with 10 % left; the usual 250 % and more with a quarter: its maker is asked.
    const asked = verdictOf(at(2.5), 'peak-torque');
    const limit = Math.ceil((100 * 2.5 * 1.25 * steady) / rated) / 100;
    expect(asked).toMatchObject({ outcome: 'pass', condition: { field: 'load.overload.breakdown' } });
    expect(asked?.condition?.limit).toBe(`${limit.toFixed(2)} × rated torque`);
    expect(asked?.condition?.text).toContain('the standard asks 2.00');
    const promise = (breakdownTorque: number) =>
      verdictOf(
        fan(
          '18 hp',
          { overload: { ratio: 2.5, duration: '5 s', breakdown: breakdownTorque } },
          { supply: { ...conveyor.supply, voltage: '460 V' }, method: 'direct' },
        ),
        'peak-torque',
      );
    expect(promise(limit)).toMatchObject({ outcome: 'pass', condition: null });
    expect(promise(limit - 0.03)?.condition).toMatchObject({ field: 'load.overload.breakdown' });
  });

  it('loading: the load’s share of what the motor may give; too little names the house rule and the load', () => {
    expect(verdictOf(fan('18 hp'), 'loading')?.text).toMatch(/^Loaded to 7[123] % of what it may give\.$/);
    const idle = verdictOf(fan('9 hp'), 'loading');
    expect(idle).toMatchObject({ outcome: 'caution' });
    expect(idle?.text).toMatch(/^Loaded to 3[67] % of what it may give, 50 % is the least by house rule: too large/);
    expect(idle?.text).toContain('for its 9.00 hp of load.');
    expect(idle?.margin).toBeCloseTo(9 / 25 / 0.5 - 1, 1);
  });

  it('speed on a drive: from 70 to 106 % of rated they fit each other', () => {
    const at = (speed: string) =>
      verdictOf(
        pinned({
          method: 'drive',
          load: { machine: 'mixer', demand: { kind: 'power', power: '10 hp', speed } },
          speed: { need: 'variable', min: 0.9 },
        }),
        'speed',
      )?.outcome;
    expect(['1200 rpm', '1270 rpm', '1860 rpm', '1900 rpm'].map(at)).toEqual(['caution', 'pass', 'pass', 'caution']);
  });

  it('starts an hour and time to speed are those of the simulated start', () => {
    const r = fan('18 hp', { startsPerHour: 2, inertia: '1 kg.m2' }, { method: 'direct' });
    expect(verdictOf(r, 'starts')).toMatchObject({
      outcome: 'pass',
      text: expect.stringMatching(/^Bears the 2 starts an hour asked/),
    });
    const time = r.figures['start.direct.time']?.value ?? NaN;
    expect(verdictOf(r, 'start-time')?.text).toBe(`At speed in ${r.figures['start.direct.time']?.text}.`);
    expect(time).toBeGreaterThan(0.1);
    const often = fan('18 hp', { startsPerHour: 500, inertia: '1 kg.m2' }, { method: 'direct' });
    expect(verdictOf(often, 'starts')?.outcome).toBe('fail');
    expect(often.candidates[0]?.change).toMatch(/at most \d+ starts an hour/);
  });

  it('run-up without a voltage: pull-up torque against what the load asks on the way', () => {
    const at = (power: string, startRatio = 1) =>
      fan(power, { startRatio }, { method: 'direct', supply: { frequency: '60 Hz' } });
    const light = verdictOf(at('10 hp', 0.5), 'run-up');
    const pullUp = (motor?.pullUpTorque ?? 0) * rated;
    const asked = ((60 * 10 * 745.7) / (2 * Math.PI * 1760)) * 0.5;
    expect(light?.outcome).toBe('pass');
    expect(light?.margin).toBeCloseTo(pullUp / asked - 1, 2);
    expect(light?.text).toBe(
      `Pulls up with ${((pullUp / asked - 1) * 100).toFixed(0)} % more than the load asks on the way.`,
    );
    expect(verdictOf(at('60 hp'), 'run-up')?.outcome).toBe('fail');
  });

  it('a belt’s sheave against the standard’s least for the frame; a short shaft bears no belt', () => {
    const belt = (sheave?: string, frame?: string) =>
      pinned({
        load: {
          machine: 'centrifugal-fan',
          demand: { kind: 'power', power: '18 hp', speed: '1760 rpm' },
          train: { kind: 'belt', ratio: 1, ...(sheave === undefined ? {} : { sheave }) },
        },
        ...(frame === undefined
          ? {}
          : {
              plate: {
                ...old,
                frame,
              },
              motor: { existing: true },
            }),
      });
    expect(verdictOf(belt(), 'shaft')).toMatchObject({
      outcome: 'pass',
      condition: { field: 'load.train.sheave', limit: '127 mm (5.00 in)' },
    });
    expect(verdictOf(belt('300 mm'), 'shaft')?.condition).toBeNull();
    expect(verdictOf(belt('300 mm'), 'shaft')).toMatchObject({
      outcome: 'pass',
      text: 'Shaft and sheave suit each other.',
    });
    // MG 1 table 14-1: 25 hp at four poles, frame 284T, wants 5.0 in (127 mm).
    const small = verdictOf(belt('90 mm'), 'shaft');
    expect(small).toMatchObject({
      outcome: 'caution',
      text: expect.stringContaining('A sheave of 90 mm (3.54 in) is below the standard’s 127 mm (5.00 in)'),
    });
    expect(small?.text).toContain('frame 284T');
    const short = belt('300 mm', '284TS');
    expect(verdictOf(short, 'shaft')).toMatchObject({ outcome: 'fail', text: expect.stringContaining('short shaft') });
    expect(short.candidates[0]?.change).toContain('direct coupling instead of the belt');
  });

  it('a service factor of 1.15 is wanted on a North American drive, and no question on the line', () => {
    const of = (serviceFactor: number, method: 'direct' | 'drive') =>
      verdictOf(
        pinned({
          plate: {
            ...old,
            serviceFactor,
          },
          motor: { existing: true },
          method,
        }),
        'service-factor',
      );
    expect(of(1.15, 'drive')?.outcome).toBe('pass');
    expect(of(1, 'drive')).toMatchObject({ outcome: 'caution', text: expect.stringContaining('1.15 is wanted') });
    expect(of(1, 'direct')).toBeUndefined();
  });

  it('too hot for its load: the warmest air that would do cures, or the share of the load where none would', () => {
    const hot = (power: string) =>
      pinned({
        load: { machine: 'mixer', demand: { kind: 'power', power, speed: '1760 rpm' } },
        place: { ...conveyor.place, ambient: '55 degC' },
        rules: { sizingMargin: 1 },
      }).candidates[0];
    expect(hot('24 hp')?.change).toMatch(/up to 4\d(\.\d)? °C/);
    expect(hot('40 hp')?.change).toMatch(/at most \d\d % of this load/);
  });
});
