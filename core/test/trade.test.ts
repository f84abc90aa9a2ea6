import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { genericMotors, practiceById, readCase, type CaseText, type Result } from '@pilgrim/core';
import { conveyor, figure, findingIds, horsepower, ordinaryPlate, solved } from './cases';
import { likelyCase } from './randomCases';

/** What the trade knows of what is bought: each statement by itself, with its source or "common practice". */

const na = practiceById('north-america');
const iec = practiceById('iec');
const motors = genericMotors();
const clean = { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' } as const;
const supply = (voltage: string, frequency: string): CaseText['supply'] => ({
  voltage,
  frequency,
  phases: 3,
  source: { kind: 'stiff' },
});
const job = (
  practice: CaseText['practice'],
  voltage: string,
  frequency: string,
  load: CaseText['load'],
  over: Partial<CaseText> = {},
): CaseText => ({
  format: 'pilgrim.case/1',
  practice,
  supply: supply(voltage, frequency),
  load,
  place: clean,
  speed: { need: 'fixed' },
  ...over,
});
const pump = (power: string, speed: string): CaseText['load'] => ({
  machine: 'centrifugal-pump',
  demand: { kind: 'power', power, speed },
});
const verdict = (r: Result, requirement: string) =>
  r.candidates[0]?.verdicts.find((v) => v.requirement === requirement);

describe('motors are offered for the grid they are connected to', () => {
  it.each([
    ['iec', '400 V', '50 Hz', '16 kW', '1475 rpm', '400/690 V'],
    ['iec', '440 V', '60 Hz', '16 kW', '1770 rpm', '460 V'],
    ['iec', '480 V', '60 Hz', '16 kW', '1770 rpm', '460 V'],
    ['iec', '380 V', '60 Hz', '16 kW', '1770 rpm', '380/660 V'],
    ['iec', '230 V', '50 Hz', '16 kW', '1475 rpm', '230/400 V'],
    ['iec', '500 V', '50 Hz', '16 kW', '1475 rpm', '500 V'],
    ['north-america', '480 V', '60 Hz', '20 hp', '1760 rpm', '208-230/460 V'],
    ['north-america', '600 V', '60 Hz', '20 hp', '1760 rpm', '575 V'],
    ['north-america', '380 V', '50 Hz', '20 hp', '1460 rpm', '190/380 V'],
    ['north-america', '400 V', '50 Hz', '20 hp', '1460 rpm', '190/380 V'],
  ] as const)(
    '%s, %s %s: %s at %s is answered by a %s motor on the line',
    (practice, volts, hz, power, speed, winding) => {
      const r = solved(job(practice, volts, hz, pump(power, speed)));
      expect(r.choice?.method).not.toBe('drive');
      const motor = motors.find((m) => m.id === r.choice?.motor.id);
      expect([motor?.voltageText, motor?.frequency]).toEqual([winding, Number.parseInt(hz)]);
      expect(verdict(r, 'voltage')?.outcome).toBe('pass');
      expect(verdict(r, 'frequency')?.outcome).toBe('pass');
    },
  );
  it('IE3 at 60 Hz has the values of the premium class: 15 kW 93.0, 75 kW 95.4 % (IEC 60034-30-1, from memory)', () => {
    const at60 = (kW: number) =>
      motors.find((m) => m.id === `iec-ip55-60-${kW}kW-4p`)?.efficiency ?? expect.fail(`no ${kW}`);
    expect(at60(15)).toBeCloseTo(0.93, 5);
    expect(at60(75)).toBeCloseTo(0.954, 5);
    // Between two ratings of that table the nearer one counts: 4 kW as 3.7, 132 kW as 150.
    expect(at60(4)).toBeCloseTo(0.895, 5);
    expect(at60(132)).toBeCloseTo(0.962, 5);
  });
  it('at another frequency synchronous speed and the slip in r/min go with it, the rating stays', () => {
    for (const m of motors.filter((x) => x.frequency !== practiceById(x.practice).frequency)) {
      const synchronous = (120 * m.frequency) / m.poles;
      expect(m.speed).toBeLessThan(synchronous);
      expect(m.speed).toBeGreaterThan(0.9 * synchronous);
      const here = m.connections.at(-1);
      const kva = (Math.sqrt(3) * (here?.voltage ?? 0) * (here?.current ?? 0) * m.efficiency * m.powerFactor) / m.power;
      expect(kva, m.id).toBeCloseTo(1, 1);
    }
  });
});

describe('highest safe speeds (NEMA MG 1 Table 30-1; IEC 60034-1 Table 17; second pass from memory)', () => {
  it.each([
    [5, 2, 5200],
    [5, 4, 3600],
    [5, 6, 2400],
    [7.5, 2, 4500],
    [7.5, 4, 2700],
    [20, 6, 2400],
    [25, 6, 1800],
    [30, 4, 2700],
    [30, 2, 4500],
    [40, 2, 3600],
    [40, 4, 2300],
    [100, 4, 2300],
    [250, 6, 1800],
  ])('%d hp with %d poles: %d r/min', (hp, poles, speed) => {
    expect(na.safeSpeed(hp * horsepower, poles).value).toBe(speed);
  });
  it.each([
    [4, 4, 3600],
    [5.5, 4, 2700],
    [22, 4, 2700],
    [30, 4, 2300],
    [90, 4, 2300],
    [4, 2, 5200],
    [22, 2, 4500],
    [45, 2, 3600],
    [15, 6, 2400],
    [22, 6, 1800],
  ])('%d kW with %d poles: %d r/min', (kW, poles, speed) => {
    expect(iec.safeSpeed(kW * 1000, poles).value).toBe(speed);
  });
  it('eight poles, which neither table has: in proportion to six', () => {
    expect(na.safeSpeed(10 * horsepower, 8).value).toBe(1800);
  });
  it('a drive that would turn a motor faster fails, one just below passes', () => {
    const at = (max: number) =>
      verdict(
        solved({
          ...job('north-america', '480 V', '60 Hz', pump('20 hp', '1760 rpm'), { method: 'drive' }),
          motor: { catalogue: 'na-tefc-inv-30hp-4p' },
          speed: { need: 'variable', min: 0.5, max },
        }),
        'speed',
      )?.outcome;
    expect(at(2690 / 1760)).not.toBe('fail');
    expect(at(2720 / 1760)).toBe('fail');
  });
});

describe('starts an hour straight on the line (NEMA MG 10 Table 2-3; from memory)', () => {
  const wk2 = (lbft2: number): number => lbft2 * 0.45359237 * 0.3048 ** 2;
  it.each([
    [10, 4, 4, 12.5],
    [10, 4, 102, 0.5],
    [25, 4, 40, 122 / 40],
    [50, 2, 1, 3.4],
    [100, 6, 2362, 0.5],
  ])('%d hp with %d poles and %d lb·ft²: the lesser of A and B ÷ Wk²', (hp, poles, inertia, starts) => {
    expect(na.startsOnLine?.(hp * horsepower, poles, wk2(inertia))?.value.starts).toBeCloseTo(starts, 3);
  });
  it('rest between: 46 s for 10 hp, 110 s for 100 hp, four poles', () => {
    expect(na.startsOnLine?.(10 * horsepower, 4, 1)?.value.rest).toBe(46);
    expect(na.startsOnLine?.(100 * horsepower, 4, 1)?.value.rest).toBe(110);
  });
  it('between two ratings the more cautious of each: starts and rest of the larger, inertia of the smaller', () => {
    const of = (hp: number, inertia: number) => na.startsOnLine?.(hp * horsepower, 4, wk2(inertia))?.value;
    expect(of(12, 1)).toEqual({ starts: 10.7, rest: 50 });
    expect(of(12, 102)?.starts).toBeCloseTo(0.5, 3);
    expect(of(15, 150)?.starts).toBeCloseTo(0.5, 3);
    // It begins at 1 hp, and speaks of nothing less.
    expect([of(1, 1)?.rest, of(0.5, 1)]).toEqual([38, undefined]);
  });
  it('IEC has no such table; nor has it eight poles or more than 250 hp', () => {
    expect(iec.startsOnLine).toBeUndefined();
    expect(na.startsOnLine?.(10 * horsepower, 8, 1)).toBeUndefined();
    expect(na.startsOnLine?.(300 * horsepower, 4, 1)).toBeUndefined();
  });
  const often = (perHour: number, method: CaseText['method']) =>
    solved({
      ...conveyor,
      method,
      place: clean,
      load: {
        machine: 'centrifugal-pump',
        demand: { kind: 'power', power: '8 hp', speed: '1755 rpm' },
        startsPerHour: perHour,
      },
      motor: { catalogue: 'na-tefc-inv-10hp-4p' },
    });
  it('direct: the standard’s 12.5 an hour count where heat would bear more', () => {
    expect(figure(often(12, 'direct'), 'start.startsPerHour')).toBeGreaterThan(12.5);
    expect(verdict(often(12, 'direct'), 'starts')?.outcome).toBe('pass');
    expect(verdict(often(13, 'direct'), 'starts')?.outcome).not.toBe('pass');
    expect(often(12, 'direct').facts.find((f) => f.id === 'start.permitted-starts')?.text).toMatch(
      /12\.5.*46 s of rest/,
    );
  });
  it('a drive is capped by neither, and nobody tells it to start gentler', () => {
    const r = often(200, 'drive');
    expect(findingIds(r)).not.toContain('start.too-often');
    expect(JSON.stringify(r.candidates[0]?.verdicts)).not.toContain('Start gentler');
    expect(r.figures['start.startsPerHour']).toBeUndefined();
  });
});

describe('the supplier’s limit and generators', () => {
  const limited = (startLimit: string) =>
    solved({
      ...job('iec', '400 V', '50 Hz', pump('16 kW', '1475 rpm')),
      supply: { ...supply('400 V', '50 Hz'), startLimit },
    });
  it('a start may not draw more than the supplier permits: another method, with its current below', () => {
    expect(limited('1000 A').choice?.method).toBe('direct');
    const r = limited('90 A');
    expect(r.choice?.method).not.toBe('direct');
    expect(figure(r, `start.${r.choice?.method}.peakCurrent`)).toBeLessThanOrEqual(90);
    expect(
      r.methods.find((m) => m.method === 'direct')?.verdicts.find((v) => v.requirement === 'supply')?.text,
    ).toMatch(/the supplier lets a start draw 90 A/);
  });
  const generator = (own: object) =>
    figure(
      solved({
        ...job('iec', '400 V', '50 Hz', pump('16 kW', '1475 rpm')),
        supply: { ...supply('400 V', '50 Hz'), source: { kind: 'generator', subtransientReactance: 0.12, ...own } },
      }),
      'start.sourceImpedance',
    );
  it('kW at its power factor is kVA: 200 kW at 0.8 is 250 kVA; without one 0.8 is assumed, and said', () => {
    expect(generator({ rating: '200 kW', powerFactor: 0.8 })).toBeCloseTo(generator({ rating: '250 kVA' }), 9);
    expect(generator({ rating: '200 kW' })).toBeCloseTo((0.12 * 400 ** 2) / 250e3, 9);
  });
  it('what is no rating and no number of sets is refused in words', () => {
    const message = (own: object) => {
      const source = { kind: 'generator', subtransientReactance: 0.12, ...own };
      const reading = readCase({ ...conveyor, supply: { voltage: '400 V', source } });
      return reading.ok ? '' : reading.errors.map((e) => `${e.path}: ${e.message}`).join('; ');
    };
    expect(message({ rating: '200 bananas' })).toMatch(/^supply\.source\.rating: write a rating in kVA or kW/);
    expect(message({ rating: '250 kVA', sets: 0 })).toMatch(/sets: write a whole number of sets, 1 to 50$/);
    expect(message({ rating: '250 kVA', sets: 51 })).toMatch(/1 to 50$/);
    expect(message({ rating: '250 kVA', sets: 50 })).toBe('');
  });
  it('two alike side by side are twice as stiff', () => {
    expect(generator({ rating: '250 kVA', sets: 2 })).toBeCloseTo(generator({ rating: '250 kVA' }) / 2, 9);
  });
});

describe('what the law asks of new motors', () => {
  const floor = (kW: number, poles: number, year = 2025) => iec.efficiencyFloor(kW * 1000, poles, year)?.name;
  it.each([
    [0.55, 4, 2025, 'IE2'],
    [0.37, 2, 2025, 'IE2'],
    [0.55, 4, 2020, undefined],
    [0.75, 4, 2025, 'IE3'],
    [55, 8, 2025, 'IE3'],
    [55, 8, 2020, undefined],
    [75, 4, 2025, 'IE4'],
    [200, 6, 2025, 'IE4'],
    [75, 8, 2025, 'IE3'],
    [250, 4, 2025, 'IE3'],
    [75, 4, 2023, 'IE3'],
    [7.5, 4, 2014, 'IE2'],
  ] as const)(
    'European Union: %d kW with %d poles made in %d: %s (Regulation 2019/1781, from memory)',
    (kW, poles, year, name) => {
      expect(floor(kW, poles, year)).toBe(name);
    },
  );
  it('a floor tabled at 50 Hz does not judge a 60 Hz motor', () => {
    const r = solved(job('iec', '460 V', '60 Hz', pump('16 kW', '1770 rpm')));
    expect(verdict(r, 'efficiency-floor')).toBeUndefined();
  });
});

describe('constant power below the demand’s speed is sized by torque at the least speed', () => {
  const winder = (power: string, range: number, practice: 'iec' | 'north-america') =>
    solved({
      ...job(practice, practice === 'iec' ? '400 V' : '480 V', practice === 'iec' ? '50 Hz' : '60 Hz', {
        machine: 'winder',
        demand: { kind: 'power', power, speed: practice === 'iec' ? '1470 rpm' : '1770 rpm' },
      }),
      speed: { need: 'variable', min: 1 / range, max: 1 },
    });
  it.each([
    ['18 hp', 4, 'north-america'],
    ['10 kW', 3, 'iec'],
    ['5 kW', 2, 'iec'],
  ] as const)('%s over %d : 1, %s', (power, range, practice) => {
    const r = winder(power, range, practice);
    const rated = figure(r, 'choice.ratedPower') / ((figure(r, 'choice.ratedSpeed') * Math.PI) / 30);
    const [value, unit] = power.split(' ');
    const watts = Number(value) * (unit === 'hp' ? horsepower : 1000);
    const least = ((practice === 'iec' ? 1470 : 1770) * Math.PI) / 30 / range;
    expect(rated).toBeGreaterThanOrEqual((watts / least) * 0.99);
    expect(rated).toBeLessThan((watts / least) * 2);
  });
});

describe('what is asked for beside the rating', () => {
  const asks = (machine: NonNullable<CaseText['load']>['machine']) =>
    solved(
      job('iec', '400 V', '50 Hz', { machine, demand: { kind: 'power', power: '11 kW', speed: '1470 rpm' } }),
    ).findings.find((f) => f.id === 'choice.ask-for')?.text;
  it.each([
    ['hoist', /brake motor.*S4.*persons/],
    ['deep-well-pump', /vertical hollow-shaft.*submersible.*sine filter/],
    ['compressor', /unloaded/],
    ['crusher', /overload/],
  ] as const)('%s (common practice)', (machine, words) => expect(asks(machine)).toMatch(words));
  it.each(['centrifugal-pump', 'conveyor'] as const)('nothing of a %s', (machine) =>
    expect(asks(machine)).toBeUndefined(),
  );
  const throttled = (machine: 'displacement-pump' | 'centrifugal-pump', control: 'throttle-valve' | 'bypass') =>
    findingIds(
      solved({
        ...job('iec', '400 V', '50 Hz', { machine, demand: { kind: 'power', power: '11 kW', speed: '1470 rpm' } }),
        speed: { need: 'variable', min: 0.5, control, profile: [{ hours: 4000, flow: 0.6 }] },
      }),
    );
  it('a displacement pump is never throttled; a bypass is its way, and a centrifugal one may be', () => {
    expect(throttled('displacement-pump', 'throttle-valve')).toContain('cost.displacement-throttled');
    expect(throttled('displacement-pump', 'bypass')).not.toContain('cost.displacement-throttled');
    expect(throttled('centrifugal-pump', 'throttle-valve')).not.toContain('cost.displacement-throttled');
  });
});

describe('a torque without a speed is no power', () => {
  const asked = (demand: NonNullable<CaseText['load']>['demand'], over: Partial<CaseText> = {}) =>
    solved(job('iec', '400 V', '50 Hz', { machine: 'mixer', demand }, over)).findings.find(
      (f) => f.id === 'load.no-speed',
    );
  it('says what it takes with four and with six poles: 200 N·m is 31.4 kW at 1500 r/min, 20.9 kW at 1000', () => {
    const found = asked({ kind: 'torque', torque: '200 N·m' });
    expect(found?.level).toBe('caution');
    expect(found?.text).toMatch(/four poles this torque takes 31\.4 kW .*, with six 20\.9 kW /);
    expect(asked({ kind: 'pull', force: '400 N', radius: '0.5 m' })?.text).toMatch(/31\.4 kW/);
  });
  it('not where the shaft’s speed is given, a plate tells the motor’s, or power is what is asked', () => {
    expect(asked({ kind: 'torque', torque: '200 N·m', speed: '1460 rpm' })).toBeUndefined();
    expect(
      asked({ kind: 'torque', torque: '200 N·m' }, { plate: { power: '30 kW', speed: '1470 rpm', voltage: '400 V' } }),
    ).toBeUndefined();
    expect(asked({ kind: 'power', power: '30 kW' })).toBeUndefined();
  });
});

describe('where no motor turns at the machine’s speed, poles and ratio are proposed together', () => {
  const at = (speed: string, over: Partial<CaseText> = {}, train?: NonNullable<CaseText['load']>['train']) =>
    solved(
      job(
        'iec',
        '400 V',
        '50 Hz',
        { machine: 'mixer', demand: { kind: 'torque', torque: '800 N·m', speed }, train },
        over,
      ),
    ).findings.find((f) => f.id === 'load.no-train');
  it('40 r/min: a gearbox of about 36 : 1 with four poles, 24 : 1 with six, and the motor each takes', () => {
    const found = at('40 rpm');
    expect(found?.text).toMatch(
      /4 poles a gearbox of 36\.\d : 1 and 4 kW 4-pole.*6 poles a gearbox of 24\.\d : 1 and 4 kW 6-pole/,
    );
    expect(found?.suggestions.map((s) => [s.field, s.value])).toEqual([
      ['load.train.kind', 'gearbox'],
      ['load.train.ratio', expect.closeTo(1460 / 40, 0)],
    ]);
  });
  it('each with what it costs with its train, the cheaper first, and what the train loses', () => {
    const prices = [...(at('40 rpm')?.text ?? '').matchAll(/price index (\d+) with the gearbox; it loses about/g)];
    expect(prices).toHaveLength(2);
    const [first, second] = prices.map((p) => Number(p[1]));
    expect(first).toBeLessThanOrEqual(second ?? 0);
  });
  it('a ratio of four and less is a belt’s', () => {
    expect(at('500 rpm')?.text).toMatch(/4 poles a belt of 2\.9\d : 1/);
  });
  it('not where a train is given, a motor is made for the speed, or a drive follows it', () => {
    expect(at('40 rpm', {}, { kind: 'gearbox', ratio: 36 })).toBeUndefined();
    expect(at('1470 rpm')).toBeUndefined();
    expect(at('1200 rpm', { speed: { need: 'variable', min: 0.5 } })).toBeUndefined();
  });
  it('taken as proposed, a motor is chosen', () => {
    const r = solved(
      job('iec', '400 V', '50 Hz', {
        machine: 'mixer',
        demand: { kind: 'torque', torque: '800 N·m', speed: '40 rpm' },
        train: { kind: 'gearbox', ratio: 36.5 },
      }),
    );
    expect(r.choice?.motor.power).toBe('4 kW');
  });
});

describe('on a drive volts per hertz decide, not the volts of the plate', () => {
  const old = {
    power: '25 hp',
    voltage: '460 V',
    current: '30 A',
    speed: '1770 rpm',
    frequency: '60 Hz',
    frame: '284T',
    enclosure: 'TEFC',
    efficiency: 0.93,
    insulation: 'F',
  } as const;
  const kept = (speed: string, method: CaseText['method'] = 'drive') => {
    const r = solved({
      ...job('iec', '400 V', '50 Hz', pump('12 kW', speed), { method, speed: { need: 'variable', min: 0.5, max: 1 } }),
      plate: old,
      motor: { existing: true },
    });
    return verdict(r, 'voltage');
  };
  it('a 460 V 60 Hz motor at 50 Hz on 400 V has its flux: to 52.2 Hz', () => {
    expect(kept('1475 rpm')).toMatchObject({ outcome: 'pass', text: expect.stringContaining('full flux to 52.17 Hz') });
  });
  it('above that it has not: 1530 r/min is within, 1550 beyond; nor has it straight on the line', () => {
    expect(kept('1530 rpm')?.outcome).toBe('pass');
    expect(kept('1550 rpm')?.outcome).toBe('fail');
    expect(kept('1475 rpm', 'direct')?.outcome).toBe('fail');
  });
});

describe('size', () => {
  it('a peak excuses a size for the peak, not one for twice the peak', () => {
    const crusher = (id: string) =>
      verdict(
        solved({
          ...job('iec', '400 V', '50 Hz', {
            machine: 'crusher',
            demand: { kind: 'power', power: '90 kW', speed: '1480 rpm' },
            overload: { ratio: 2, duration: '10 s' },
          }),
          motor: { catalogue: id },
        }),
        'loading',
      );
    expect(crusher('iec-ip55-ie4-200kW-4p')).toMatchObject({
      outcome: 'pass',
      text: expect.stringContaining('peaks of 2.00'),
    });
    expect(crusher('iec-ip55-ie4-250kW-4p')?.outcome).toBe('caution');
  });
  it('food above the stainless sizes: epoxy', () => {
    const food = (hp: number) =>
      solved(
        job(
          'north-america',
          '480 V',
          '60 Hz',
          { machine: 'mixer', demand: { kind: 'power', power: `${hp} hp`, speed: '1750 rpm' } },
          { place: { food: true } },
        ),
      ).choice?.motor;
    expect(food(8)).toMatchObject({ construction: 'stainless' });
    expect(food(34)).toMatchObject({ construction: 'cast-iron', enclosure: expect.stringContaining('epoxy') });
  });
  it('a load that nobody gave an inertia keeps it, whatever motor is tried: usual for its own size', () => {
    const with_ = (id: string) =>
      figure(
        solved({ ...job('iec', '400 V', '50 Hz', pump('16 kW', '1475 rpm')), motor: { catalogue: id } }),
        'start.loadInertia',
      );
    expect(with_('iec-ip55-ie3-18_5kW-4p')).toBe(with_('iec-ip55-ie3-37kW-4p'));
  });
});

describe('damp and frost', () => {
  const ids = (place: CaseText['place'], over: Partial<CaseText> = {}) =>
    findingIds(
      solved({ ...job('iec', '400 V', '50 Hz', pump('11 kW', '1470 rpm')), place: { ...clean, ...place }, ...over }),
    );
  const variable: Partial<CaseText> = { speed: { need: 'variable', min: 0.5 } };
  it('damp air asks for heater and drain; dry air does not', () => {
    expect(ids({ humid: true })).toContain('place.condensation');
    expect(ids({ humid: false })).not.toContain('place.condensation');
  });
  it('a drive bears no frost, at its own place or at the motor’s; without a drive nobody asks', () => {
    expect(ids({ driveAmbientMin: '-1 degC' }, variable)).toContain('place.drive-cold');
    expect(ids({ driveAmbientMin: '1 degC' }, variable)).not.toContain('place.drive-cold');
    expect(ids({ ambientMin: '-5 degC' }, variable)).toContain('place.drive-cold');
    expect(ids({ ambientMin: '-5 degC', driveAmbientMin: '5 degC' }, variable)).not.toContain('place.drive-cold');
    expect(ids({ ambientMin: '-5 degC' })).not.toContain('place.drive-cold');
  });
});

describe('over 300 random plates', () => {
  const frames = [
    '184T',
    '215T',
    '256T',
    '286T',
    '182TC',
    '215JM',
    '184JP',
    '256TZ',
    '254U',
    '56C',
    '132M',
    '160L',
    '254TD',
  ];
  const words = ['TEFC', 'ODP', 'TEFC XP', 'Ex d IIC T4', 'Class I Div 2', 'EXPLOSION PROOF', 'TEFC DIP'];
  const plates = fc.record({
    power: fc.constantFrom('3 hp', '5 hp', '10 hp', '15 hp', '20 hp'),
    frame: fc.constantFrom(...frames),
    enclosure: fc.constantFrom(...words),
    hazardous: fc.constantFrom(undefined, false, true),
    practice: fc.constantFrom('north-america' as const, 'iec' as const),
  });
  it('the choice is never called impossible, nor an ordinary motor for a certified one unless the place is safe', () => {
    let chosen = 0;
    fc.assert(
      fc.property(plates, ({ power, frame, enclosure, hazardous, practice }) => {
        const r = solved({
          format: 'pilgrim.case/1',
          practice,
          supply: supply('460 V', '60 Hz'),
          plate: { ...ordinaryPlate, power, frame, enclosure, voltage: '230/460 V' },
          place: { ...clean, hazardous },
          load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '2.5 hp', speed: '1750 rpm' } },
        });
        const marked = !['TEFC', 'ODP'].includes(enclosure);
        if (hazardous === true || (marked && hazardous === undefined)) expect(r.choice).toBeNull();
        if (!r.choice) return;
        chosen++;
        expect(r.replacement?.lines.filter((l) => l.likeness === 'impossible')).toEqual([]);
      }),
      { numRuns: 300, seed: 3 },
    );
    expect(chosen).toBeGreaterThan(80);
  });
});

describe('a fixed-speed answer speaks of no drive', () => {
  it('over likely cases: no caution of the drive where none is chosen', () => {
    fc.assert(
      fc.property(likelyCase, (text) => {
        const reading = readCase({ ...text, speed: { need: 'fixed' } });
        if (!reading.ok) return;
        const r = solved({ ...text, speed: { need: 'fixed' } });
        if (!r.choice || r.choice.method === 'drive') return;
        expect(r.findings.filter((f) => f.id.startsWith('drive.') && f.level !== 'note').map((f) => f.id)).toEqual([]);
      }),
      { numRuns: 80, seed: 9 },
    );
  });
  it('no place told: never an open motor', () => {
    fc.assert(
      fc.property(likelyCase, (text) => {
        const r = solved({ ...text, place: {}, plate: undefined, history: undefined });
        if (r.choice) expect(motors.find((m) => m.id === r.choice?.motor.id)?.enclosure).not.toBe('open');
      }),
      { numRuns: 60, seed: 4 },
    );
  });
});
