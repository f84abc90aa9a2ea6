import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { physics, practice, readCase, type CaseText, type Result } from '@pilgrim/core';
import { helps } from '../src/needs';
import { figure, findingIds, solved, verdictOf } from './cases';

type Drive = NonNullable<CaseText['drive']>;

/** A pump on a drive, 22 kW at 400 V; what is asked of the drive besides. */
const pump = (drive: Drive = {}, over: Partial<CaseText> = {}): Result =>
  solved({
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: {
      voltage: '400 V',
      frequency: '50 Hz',
      earthing: 'solid',
      source: { kind: 'fault-level', current: '18 kA' },
    },
    load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' } },
    speed: { need: 'variable', min: 0.5, max: 1 },
    place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' },
    method: 'drive',
    drive,
    ...over,
  });
/** The same on 480 V and 60 Hz. */
const american = (drive: Drive = {}, over: Partial<CaseText> = {}): Result =>
  pump(drive, {
    practice: 'north-america',
    supply: {
      voltage: '480 V',
      frequency: '60 Hz',
      earthing: 'solid',
      source: { kind: 'fault-level', current: '18 kA' },
    },
    load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '25 hp', speed: '1770 rpm' } },
    ...over,
  });
const on = (length: string, over: Partial<CaseText> = {}): Partial<CaseText> => ({
  place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry', cable: { length } },
  ...over,
});
const finding = (r: Result, id: string) => r.findings.find((f) => f.id === id);
const verdict = (r: Result, id: string) => r.candidates[0]?.verdicts.find((v) => v.requirement === id)?.outcome;
const level = (r: Result, id: string) => finding(r, id)?.level;
const hoist = {
  demand: { kind: 'hoist', mass: '3 t', speed: '0.4 m/s', efficiency: 0.85, drumDiameter: '0.5 m' },
} as const;

describe('what a drive draws from its supply', () => {
  it('tells current, power factor, distortion and limits, all from one simulation', () => {
    const r = pump({ site: { current: '400 A' } });
    const I = figure(r, 'drive.inputCurrent');
    const P = figure(r, 'drive.inputPower');
    expect(I).toBeCloseTo(P / (Math.sqrt(3) * 400 * figure(r, 'drive.truePowerFactor')), 6);
    const thd = figure(r, 'drive.currentDistortion');
    expect(figure(r, 'drive.demandDistortion')).toBeCloseTo((I * thd) / Math.hypot(1, thd) / 400, 2);
    // 18 kA ÷ 400 A = 45: the row of 20 to 50.
    expect(figure(r, 'drive.distortionLimit')).toBe(0.08);
    expect(r.curves.drive?.spectrum?.[0]?.[0]).toBe(5);
    const wave = r.curves.drive?.waveform ?? [];
    const rms = Math.sqrt(wave.reduce((sum, [, i]) => sum + i * i, 0) / wave.length);
    expect(rms / I).toBeCloseTo(1, 1);
  });
  it.each([
    ['19 A', 0.15], ['181 A', 0.12], ['361 A', 0.08], ['901 A', 0.05], ['17 A', 0.2],
  ] as const)('IEEE 519 (2022), Table 2: 18 kA beside %s of demand permits %d', (current, limit) => {
    expect(figure(pump({ site: { current } }), 'drive.distortionLimit')).toBe(limit);
  }); // prettier-ignore
  it('no site: its own current is taken, said so, and the verdict is a condition', () => {
    const r = pump();
    expect(level(r, 'drive.distortion')).toBe('note');
    expect(finding(r, 'drive.distortion')?.text).toContain('Holds if the site’s demand is at least');
    expect(r.figures['drive.demandDistortion']?.assumed[0]?.field).toBe('drive.site.current');
    expect(figure(r, 'drive.demandDistortion')).toBeCloseTo(figure(r, 'drive.currentDistortion'), 3);
  });
  it('a small site with other drives is over its limit, with what would do; a large one is not', () => {
    const drives = [{ power: '30 kW' }, { power: '15 kW', rectifier: 'twelve-pulse' as const }];
    const small = american({ site: { current: '150 A', drives } });
    expect(level(small, 'drive.distortion')).toBe('caution');
    expect(finding(small, 'drive.distortion')?.text).toContain('No drive complies by itself');
    expect(findingIds(american({ site: { current: '3000 A', drives } }))).not.toContain('drive.distortion');
    const alone = american({ site: { current: '150 A' } });
    expect(figure(small, 'drive.demandDistortion')).toBeGreaterThan(figure(alone, 'drive.demandDistortion'));
  });
  it('heat at its load is less than at full, a cable limit is the house rule’s, torque at the least speed the curve’s', () => {
    const r = pump({}, on('10 m'));
    // 1 % of what its motor takes always, 2 % with the load.
    const share = figure(r, 'load.motorPower') / figure(r, 'choice.ratedPower');
    expect(figure(r, 'drive.heatPart') / figure(r, 'drive.heat')).toBeCloseTo((1 + 2 * share) / 3, 2);
    const at = (rules: CaseText['rules']) => figure(pump({}, on('10 m', { rules })), 'drive.cableLimit');
    expect(at({ leadLength: '15 m' })).toBe(15);
    const envelope = r.curves.drive?.envelope;
    const near = envelope?.continuous.reduce((a, b) =>
      Math.abs(b[0] - envelope.least) < Math.abs(a[0] - envelope.least) ? b : a,
    );
    expect(figure(r, 'drive.torqueLeast') / (near?.[1] ?? NaN)).toBeCloseTo(1, 1);
  });
  it('says which capacitor it is taken to have: 40 µF for each kW at 400 V', () => {
    const said = (drive: Drive) => pump(drive).facts.find((f) => f.id === 'drive.capacitor')?.text;
    const micro = Number(/about (\d+) µF/.exec(said({ choke: 0.03 }) ?? '')?.[1]);
    expect(micro / 40).toBeGreaterThan(18);
    expect(micro / 40).toBeLessThan(38);
    expect(said({ rectifier: 'active' })).toBeUndefined();
  });
  it('more pulses and a choke distort less; an active front end least', () => {
    const of = (drive: Drive): number => figure(pump(drive), 'drive.currentDistortion');
    expect(of({ choke: 0 })).toBeGreaterThan(of({ choke: 0.03 }));
    expect(of({ choke: 0.03 })).toBeGreaterThan(of({ choke: 0.05 }));
    expect(of({ rectifier: 'twelve-pulse' })).toBeLessThan(0.16);
    expect(of({ rectifier: 'active' })).toBeLessThan(0.05);
    expect(figure(pump({ rectifier: 'active' }), 'drive.truePowerFactor')).toBeGreaterThan(0.99);
  });
  it('IEC: as equipment to 75 A it asks a fault level; above, and in North America, it does not', () => {
    const said = (r: Result) => r.findings.filter((f) => f.id === 'drive.equipment').map((f) => f.source?.title);
    expect(said(pump({ choke: 0 }))).toContain('IEC 61000-3-12');
    expect(said(pump({ rectifier: 'active' }))).not.toContain('IEC 61000-3-12');
    expect(said(american({ choke: 0 }))).not.toContain('IEC 61000-3-12');
  });
  it('on a weak source it distorts the voltage beyond 5 % a harmonic, on a stiff one it does not', () => {
    const from = (current: string): Result =>
      pump(
        { site: { current: '900 A' } },
        { supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current } } },
      );
    const of = (r: Result) => r.findings.filter((f) => f.figures.includes('drive.voltageDistortion'));
    expect(of(from('0.6 kA')).map((f) => f.id)).toEqual(['drive.voltage-distortion']);
    expect(of(from('18 kA'))).toHaveLength(0);
  });
  it('on a source as weak as itself its choke and capacitor have no steady state, and none is made up', () => {
    const from = (current: string) =>
      pump(
        { choke: 0.2 },
        { supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current } } },
      );
    expect(findingIds(from('60 A'))).toContain('drive.no-steady-state');
    expect(from('60 A').figures['drive.currentDistortion']).toBeUndefined();
    expect(findingIds(from('600 A'))).not.toContain('drive.no-steady-state');
  });
  it('a drive far larger than its motor cannot be set to guard it', () => {
    const small = (current: string) =>
      pump(
        {},
        {
          plate: { power: '0.12 kW', voltage: '400 V', current, speed: '1380 rpm', frequency: '50 Hz' },
          motor: { existing: true },
          load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '0.1 kW', speed: '1380 rpm' } },
        },
      );
    const times = (r: Result) => figure(r, 'drive.ratedCurrent') / figure(r, 'plate.connectedCurrent');
    for (const current of ['0.3 A', '0.4 A', '0.5 A', '0.7 A', '1 A']) {
      const r = small(current);
      expect(findingIds(r).includes('drive.oversize'), current).toBe(times(r) > practice.farOversize.value);
    }
    expect(times(small('0.3 A'))).toBeGreaterThan(practice.farOversize.value);
    expect(times(small('1 A'))).toBeLessThan(practice.farOversize.value);
  });
  it('a source nobody described takes the strictest row, and says so', () => {
    const r = pump({}, { supply: { voltage: '400 V', frequency: '50 Hz' } });
    expect(figure(r, 'drive.distortionLimit')).toBe(0.05);
    expect(r.figures['drive.distortionLimit']?.assumed[0]?.field).toBe('supply.source');
    expect(r.figures['drive.truePowerFactor']?.assumed[0]?.why).toContain('not described');
    expect(pump().figures['drive.truePowerFactor']?.assumed[0]?.why).toContain('six-pulse');
    expect(r.figures['drive.voltageDistortion']).toBeUndefined();
  });
  it('the conductors before it by 125 % of its rated input current in North America (430.122), by all of it under IEC', () => {
    const asked = (r: Result): number =>
      Number(/: ([\d.]+) A at least/.exec(finding(r, 'guard.drive-device')?.text ?? '')?.[1]);
    const [na, iec] = [american(), pump()];
    expect(asked(na) / figure(na, 'drive.ratedInput')).toBeCloseTo(1.25, 1);
    expect(asked(iec) / figure(iec, 'drive.ratedInput')).toBeCloseTo(1, 1);
  });
  it('on one phase a drive of twice the size is taken, and its third harmonic is told', () => {
    const [one, three] = [pump({ input: 'single-phase' }), pump()];
    expect(figure(one, 'drive.ratedCurrent')).toBeGreaterThanOrEqual(1.9 * figure(three, 'drive.requiredCurrent'));
    expect(level(one, 'drive.input')).toBe('caution');
    expect(finding(one, 'drive.input')?.text).toMatch(/a third harmonic of [6-9]\d %/);
    // Of one phase: P ÷ (U λ).
    const drawn = figure(one, 'drive.inputPower') / (400 * figure(one, 'drive.truePowerFactor'));
    expect(figure(one, 'drive.inputCurrent')).toBeCloseTo(drawn, 6);
    expect(figure(one, 'drive.currentDistortion')).toBeGreaterThan(figure(three, 'drive.currentDistortion'));
    expect(findingIds(three)).not.toContain('drive.input');
  });
});

describe('pulses at the motor', () => {
  it('the critical length and the crest, by the cable and the edge', () => {
    const r = american({}, on('60 m'));
    expect(figure(r, 'drive.criticalLength')).toBeCloseTo(7.5, 9);
    expect(figure(r, 'drive.peakVoltage')).toBeCloseTo(1357.6, 0);
    const slow = american({ riseTime: '2 us' }, on('60 m'));
    expect(figure(slow, 'drive.criticalLength')).toBeCloseTo(150, 9);
    expect(figure(slow, 'drive.peakVoltage')).toBeLessThan(0.9 * 1357.6);
    expect(figure(american({}, on('2 m')), 'drive.peakVoltage')).toBeLessThan(900);
  });
  it('an unknown edge becomes a condition with the edge that would do', () => {
    const r = american({}, on('60 m', { motor: { catalogue: 'na-tefc-30hp-4p' } }));
    // 4 · 679 V · 60 m ÷ (150 m/µs · 1000 V).
    expect(figure(r, 'drive.slowestEdge')).toBeCloseTo((4 * Math.SQRT2 * 480 * 60) / 150e6 / 1000, 10);
    expect(finding(r, 'drive.cable-too-long')?.text).toContain('Holds bare if its edges rise in 1.09 µs or slower');
    const known = american({ riseTime: '2 us' }, on('60 m', { motor: { catalogue: 'na-tefc-30hp-4p' } }));
    expect(findingIds(known)).not.toContain('drive.cable-too-long');
  });
  it('a filter that is there is followed; one that does not do is said', () => {
    const with_ = (filter: Drive['filter'], length = '60 m') =>
      american({ filter }, on(length, { motor: { catalogue: 'na-tefc-30hp-4p' } }));
    expect(figure(with_('sine'), 'drive.peakVoltage')).toBeCloseTo(1.1 * Math.SQRT2 * 480, 6);
    expect(figure(with_('dv-dt'), 'drive.peakVoltage')).toBeLessThan(1100);
    expect(findingIds(with_('sine'))).not.toContain('drive.insulation');
    expect(level(with_('reactor', '200 m'), 'drive.insulation')).toBe('caution');
    const does = with_('none').drive?.remedies.map((x) => [x.filter, x.does]);
    expect(does).toEqual([
      ['none', false],
      ['reactor', false],
      // At a tenth over the motor's 460 V it leaves more than the 1000 V of an ordinary winding.
      ['dv-dt', false],
      ['sine', true],
      ['nearer', true],
      ['winding', true],
    ]);
  });
  it('what leaves more than bare pulses, or nothing in hand, is no remedy', () => {
    for (const metres of [3, 8, 15, 40, 120, 300])
      for (const motor of ['na-tefc-30hp-4p', 'na-tefc-5hp-4p', 'na-tefc-150hp-4p']) {
        const r = american({}, on(`${metres} m`, { motor: { catalogue: motor } }));
        const bears = figure(r, 'drive.peakPermitted');
        const bare = r.drive?.remedies.find((x) => x.filter === 'none')?.peak ?? NaN;
        for (const { filter, peak, does } of r.drive?.remedies ?? []) {
          if (filter !== 'reactor' && filter !== 'dv-dt') continue;
          const borne = bare <= 1.0005 * bears;
          const less = peak < bare && 1.05 * peak <= 1.0005 * bears;
          expect(does, `${motor} ${metres} m ${filter} ${peak}`).toBe(borne ? peak <= 1.0005 * bears : less);
        }
      }
    expect(helps('reactor', 952, 1300, 1000)).toBe(true);
    expect(helps('reactor', 953, 1300, 1000)).toBe(false);
    expect(helps('reactor', 999, 1300, 1000)).toBe(false);
    expect(helps('dv-dt', 1300, 1300, 1400)).toBe(true);
    expect(helps('dv-dt', 940, 930, 900)).toBe(false);
    // What bears bare pulses asks nothing of a filter but to raise them no further than that.
    expect(helps('dv-dt', 999, 900, 1000)).toBe(true);
    expect(helps('sine', 1000, 1900, 1000)).toBe(true);
    expect(helps('sine', 1001, 1900, 1000)).toBe(false);
  });
  it('remedies stand side by side: the drive hung nearer, and a winding made for drives, with its price', () => {
    const of = (length: string, motor = 'na-tefc-30hp-4p') =>
      american({}, on(length, { motor: { catalogue: motor } })).drive?.remedies ?? [];
    const winding = of('60 m').find((x) => x.filter === 'winding');
    expect(winding?.does).toBe(true);
    expect(winding?.price).toBeGreaterThan(0);
    expect(of('60 m').find((x) => x.filter === 'nearer')?.name).toBe('the drive hung nearer, 15 m of cable at most');
    expect(of('60 m', 'na-tefc-inv-30hp-4p').map((x) => x.filter)).not.toContain('winding');
  });
  it('a small drive on a long screened cable is said to charge it; a large one not', () => {
    const at = (power: string, drive: Drive = {}) =>
      pump(drive, {
        load: { machine: 'conveyor', demand: { kind: 'power', power, speed: '1400 rpm' } },
        place: { cable: { length: '200 m' } },
      });
    const small = at('0.5 kW');
    // By hand: √2 · 400 V ÷ 80 Ω for 2.67 µs, 8000 times a second.
    expect(figure(small, 'drive.chargingCurrent')).toBeCloseTo(7.0711 * Math.sqrt(8000 * 2.6667e-6), 3);
    expect(level(small, 'drive.charging')).toBe('caution');
    expect(finding(small, 'drive.charging')?.text).toContain('of the drive’s rating');
    expect(findingIds(at('18 kW'))).not.toContain('drive.charging');
    expect(figure(at('0.5 kW', { carrier: '16 kHz' }), 'drive.chargingCurrent')).toBeCloseTo(
      2 * figure(small, 'drive.chargingCurrent'),
      9,
    );
  });
  it('at 690 V there is an answer, with its remedy, and never a dead end', () => {
    const r = pump(
      {},
      on('10 m', {
        supply: { voltage: '690 V', frequency: '50 Hz', earthing: 'solid' },
        load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '90 kW', speed: '1485 rpm' } },
      }),
    );
    expect(r.choice?.method).toBe('drive');
    expect(level(r, 'drive.insulation')).toBe('note');
    expect(findingIds(pump({}, on('10 m')))).not.toContain('drive.insulation');
  });
});

describe('house rules of drives', () => {
  const small = (rules: CaseText['rules'] = {}, drive: Drive = {}): Result =>
    pump(drive, {
      load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '3 kW', speed: '1440 rpm' } },
      rules,
    });
  const bought = (r: Result): string => r.choice?.buying.map((b) => b.text).join('; ') ?? '';
  it('an input reactor on every drive is bought, and draws less; one that is said stands', () => {
    const rules = { inputReactor: 'every drive' } as const;
    const [without, with_] = [small(), small(rules)];
    expect(bought(without)).not.toContain('input reactor');
    expect(bought(with_)).toContain('an input reactor of 3 %, by house rule');
    expect(figure(with_, 'drive.currentDistortion')).toBeLessThan(0.7 * figure(without, 'drive.currentDistortion'));
    expect(with_.figures['drive.currentDistortion']?.assumed[0]?.why).toContain('by house rule');
    expect(bought(small(rules, { choke: 0.05 }))).not.toContain('input reactor');
    expect(figure(small(rules, { choke: 0 }), 'drive.currentDistortion')).toBeCloseTo(
      figure(small({}, { choke: 0 }), 'drive.currentDistortion'),
      9,
    );
  });
  it('a surge arrester in every panel is bought', () => {
    expect(bought(small())).not.toContain('surge arrester');
    expect(bought(small({ surgeArrester: 'every panel' }))).toContain('a surge arrester in its panel');
  });
  it('a plate’s ratio wins, or the heat of this load does; the ratio is drawn either way', () => {
    const of = (slowSpeed: 'plate' | 'heat'): Result =>
      american(
        {},
        {
          motor: { catalogue: 'na-tefc-inv-30hp-4p' },
          load: { machine: 'conveyor', demand: { kind: 'power', power: '24 hp', speed: '1770 rpm' } },
          speed: { need: 'variable', min: 0.5 },
          rules: { slowSpeed },
        },
      );
    const [plate, heat] = [of('plate'), of('heat')];
    const ratio = plate.curves.drive?.envelope?.ratio ?? NaN;
    expect(figure(plate, 'drive.minSpeed')).toBeCloseTo(ratio, -1);
    expect(heat.curves.drive?.envelope?.ratio).toBe(ratio);
    // At 80 % of its torque the heat asks for more than a tenth of the speed.
    expect(figure(heat, 'drive.minSpeed')).toBeGreaterThan(2 * figure(plate, 'drive.minSpeed'));
    expect(pump().curves.drive?.envelope?.ratio).toBeNull();
  });
});

describe('speed, torque and stopping', () => {
  const conveyor = (min: number, drive: Drive = {}, power = '12.5 kW'): Result =>
    pump(drive, {
      load: { machine: 'conveyor', demand: { kind: 'power', power, speed: '1470 rpm' } },
      speed: { need: 'variable', min, max: 1 },
      motor: { catalogue: 'iec-ip55-ie3-15kW-4p' },
    });
  it('a conveyor that is lightly loaded goes to half its speed by itself; heavily, to where the curve says', () => {
    const light = conveyor(0.51, {}, '7 kW');
    expect(figure(light, 'drive.minSpeed')).toBeCloseTo(figure(light, 'choice.ratedSpeed') / 2, 6);
    expect(verdictOf(light, 'turndown')?.remedy).toBeNull();
    const heavy = conveyor(0.51);
    const least = figure(heavy, 'drive.minSpeed');
    const { continuous, load } = heavy.curves.drive?.envelope ?? expect.fail();
    // Where the permitted torque crosses the load's, by its own curve: within one of its forty steps.
    const crossing = continuous.findIndex(([, torque], i) => torque >= (load[i]?.[1] ?? NaN));
    expect(least).toBeGreaterThan(continuous[crossing - 1]?.[0] ?? NaN);
    expect(least).toBeLessThanOrEqual(continuous[crossing]?.[0] ?? NaN);
    expect(verdictOf(heavy, 'turndown')?.remedy?.kind).toBe('blower');
  });
  it('what its own fan cools stays so where it is said: then nothing is bought, and it fails', () => {
    const said = conveyor(0.51, { cooling: 'self' });
    expect(verdictOf(said, 'turndown')).toMatchObject({ outcome: 'fail', remedy: null });
    expect(findingIds(said)).toContain('drive.below-turndown');
    expect(verdictOf(conveyor(0.51, { cooling: 'self' }, '7 kW'), 'turndown')?.outcome).toBe('pass');
  });
  it('a conveyor goes to a tenth of its speed with a blower', () => {
    const slow = conveyor(0.1);
    expect(slow.choice?.method).toBe('drive');
    expect(findingIds(slow)).not.toContain('drive.below-turndown');
    expect(figure(conveyor(0.1, { cooling: 'blower' }), 'drive.minSpeed')).toBe(0);
  });
  it('beyond rated speed the field weakens: carried, or said up to which speed', () => {
    const fan = (max: number) =>
      pump(
        {},
        {
          load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' } },
          speed: { need: 'variable', min: 0.4, max },
        },
      );
    expect(findingIds(fan(1))).not.toContain('drive.field-weakening');
    expect(level(fan(1.12), 'drive.field-weakening')).toBe('note');
  });
  it('a ramp quicker than its losses take trips the bus; a chopper has its resistor; slower is neither', () => {
    const fan = (braking: Drive['braking']) =>
      pump(
        { braking },
        {
          load: {
            machine: 'centrifugal-fan',
            inertia: '8 kg.m2',
            demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' },
          },
        },
      );
    const gentle = figure(fan({ kind: 'ramp' }), 'drive.stopTime');
    // What trips coasts from there, and is told so.
    const tripped = fan({ kind: 'ramp', time: `${0.3 * gentle} s` });
    expect(tripped.curves.drive?.stop?.fault).toBe('overvoltage');
    expect(figure(tripped, 'drive.stopTime')).toBeGreaterThan(gentle);
    expect(figure(tripped, 'drive.stopTime')).toBeLessThan(figure(tripped, 'drive.coastTime'));
    expect(level(fan({ kind: 'ramp', time: `${0.5 * gentle} s` }), 'drive.overvoltage')).toBe('caution');
    expect(findingIds(fan({ kind: 'ramp', time: `${1.5 * gentle} s` }))).not.toContain('drive.overvoltage');
    const chopper = fan({ kind: 'chopper', time: `${0.3 * gentle} s`, perHour: 6 });
    expect(findingIds(chopper)).not.toContain('drive.overvoltage');
    expect(figure(chopper, 'drive.brakingResistance')).toBeCloseTo(780 ** 2 / figure(chopper, 'drive.brakingPower'), 6);
    expect(figure(chopper, 'drive.brakingMean')).toBeCloseTo((6 * figure(chopper, 'drive.brakingEnergy')) / 3600, 0);
    expect(figure(fan({}), 'drive.coastTime')).toBeGreaterThan(figure(fan({}), 'drive.stopTime'));
    // Told is what the simulated stop takes: asked for what the drive's limit does not brake, it says which would.
    const ended = (r: Result): number => r.curves.drive?.stop?.speed.at(-1)?.[0] ?? NaN;
    const soon = fan({ kind: 'chopper', time: '1 s' });
    expect(figure(soon, 'drive.stopTime')).toBeGreaterThan(2);
    expect(figure(soon, 'drive.stopTime') / ended(soon)).toBeCloseTo(1, 1);
    expect(finding(soon, 'drive.stop-late')?.text).toMatch(/^Asked to stop in 1 s it takes [\d.]+ s: at its limit of/);
    const time = `${Math.ceil(1.1 * figure(soon, 'drive.stopTime'))} s`;
    const then = fan({ kind: 'chopper', time });
    expect(findingIds(then)).not.toContain('drive.stop-late');
    expect(figure(then, 'drive.stopTime') / ended(then)).toBeCloseTo(1, 1);
  });
  it('direct current leaves the energy in the rotor: twice what turns is twice of what it bears', () => {
    const heat = (inertia: string) =>
      figure(
        pump(
          { braking: { kind: 'dc' } },
          {
            motor: { catalogue: 'iec-ip55-ie3-22kW-4p' },
            load: {
              machine: 'centrifugal-fan',
              inertia,
              demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' },
            },
          },
        ),
        'drive.stopHeat',
      );
    // The rotor's own inertia, some 0.2 kg·m², turns with both.
    const ratio = heat('8 kg.m2') / heat('4 kg.m2');
    expect(ratio).toBeGreaterThan(8.3 / 4.3);
    expect(ratio).toBeLessThan(2);
  });
  it('a hoist lowering pumps back what it lifts less its losses, and is never left to coast', () => {
    const train = { kind: 'gearbox', ratio: 95, efficiency: 0.9 } as const;
    const of = (braking: Drive['braking']) => pump({ braking }, { load: { ...hoist, train } });
    const lifted = 3000 * 9.80665 * 0.4;
    expect(figure(of({}), 'drive.brakingPower')).toBeCloseTo(lifted * 0.85 * 0.9, -2);
    expect(level(of({ kind: 'ramp' }), 'drive.overvoltage')).toBe('caution');
    expect(findingIds(of({ kind: 'regenerative' }))).not.toContain('drive.overvoltage');
    expect(level(of({ kind: 'coast' }), 'drive.braking')).toBe('stop');
  });
  it('below 30 r/min an encoder is wanted, unless it is there', () => {
    expect(findingIds(conveyor(0.015))).toContain('drive.encoder');
    expect(findingIds(conveyor(0.015, { encoder: true }))).not.toContain('drive.encoder');
    expect(findingIds(conveyor(0.5))).not.toContain('drive.encoder');
  });
});

describe('where it stands', () => {
  it('earthing and height: each kind said, solid and low not', () => {
    const earthed = (earthing: 'solid' | 'corner' | 'isolated' | 'high-resistance' | 'unknown', altitude = '100 m') =>
      pump({}, { supply: { voltage: '400 V', frequency: '50 Hz', earthing }, place: { ambient: '30 degC', altitude } });
    expect(findingIds(earthed('solid'))).not.toContain('drive.earthing');
    for (const kind of ['corner', 'isolated', 'high-resistance'] as const)
      expect(level(earthed(kind), 'drive.earthing')).toBe('caution');
    expect(level(earthed('unknown'), 'drive.earthing')).toBe('note');
    expect(level(earthed('solid', '2100 m'), 'drive.high')).toBe('caution');
    expect(findingIds(earthed('solid', '2000 m'))).not.toContain('drive.high');
  });
  it('heat: 3 % of its rating, air for 10 K in a panel, too hot beyond 40 °C', () => {
    const at = (driveAmbient: string) =>
      pump({}, { place: { ambient: '30 degC', driveAmbient, altitude: '0 m', driveHousing: 'cabinet' } });
    const r = at('35 degC');
    // Of what its motor takes at its rating, from the list.
    const taken = figure(r, 'choice.ratedPower') / (r.candidates[0]?.motor.efficiency ?? NaN);
    expect(Math.abs(figure(r, 'drive.heat') / (0.03 * taken) - 1)).toBeLessThan(0.015);
    expect(figure(r, 'drive.airflow')).toBeCloseTo(figure(r, 'drive.heat') / 12060, 9);
    expect(level(r, 'drive.heat')).toBe('note');
    expect(level(at('42 degC'), 'drive.heat')).toBe('caution');
  });
  it('beyond a carrier of 4 kHz it loses 4 % for each kHz', () => {
    const left = (carrier?: string): number => {
      const r = pump(carrier === undefined ? {} : { carrier });
      return figure(r, 'drive.deratedCurrent') / figure(r, 'drive.ratedCurrent');
    };
    expect([left(), left('4 kHz'), left('2 kHz')]).toEqual([1, 1, 1]);
    expect(left('9 kHz')).toBeCloseTo(0.8, 9);
    expect(left('40 kHz')).toBeCloseTo(0.5, 9);
  });
  it('on a generator it is said what filters do there, else not', () => {
    const on = (kind: 'generator' | 'transformer') =>
      pump(
        {},
        {
          supply: {
            ...{ voltage: '400 V', frequency: '50 Hz', earthing: 'solid' as const },
            source: kind === 'generator' ? { kind, rating: '200 kVA' } : { kind, rating: '200 kVA', impedance: 0.04 },
          },
        },
      );
    expect(finding(on('generator'), 'drive.on-generator')?.text).toContain('leads at light load');
    expect(findingIds(on('transformer'))).not.toContain('drive.on-generator');
  });
  it('several motors: their sum, and what each needs', () => {
    const [two, one] = [pump({ motors: 2 }), pump()];
    expect(figure(two, 'drive.requiredCurrent')).toBeCloseTo(2 * figure(one, 'drive.requiredCurrent'), 6);
    expect(level(two, 'drive.motors')).toBe('caution');
    expect(findingIds(one)).not.toContain('drive.motors');
  });
  it('several motors: where their cable branches the pulses of all meet, from the drive’s terminals they do not', () => {
    const branched = (motors: number, riseTime = 1e-9): number =>
      physics.branchedPeak({ step: 600, riseTime, trunk: 40, branch: 40, speed: 150e6, motors });
    // One motor: a plain cable of 80 m, doubled. Two, by hand: the junction passes 2/3, the motor doubles it to 4/3 and
    // returns it; with what the drive sends next the junction stands at 16/9, the motor at twice 16/9 − 2/3.
    expect(branched(1)).toBeCloseTo(1200, 6);
    expect(branched(2)).toBeCloseTo((600 * 20) / 9, 6);
    expect(branched(3, 5e-5)).toBeLessThan(branched(3));
    const text = (r: Result): string => finding(r, 'drive.motors')?.text ?? '';
    expect(text(pump({ motors: 2 }, on('80 m')))).toContain('the reflections of all meet');
    expect(text(pump({ motors: 2, filter: 'sine' }, on('80 m')))).not.toContain('reflections');
  });
  it('bearings by frame and speed: both sides of each step', () => {
    const said = (power: string, rpm: string, speed = {}): string =>
      finding(
        pump(
          {},
          {
            speed: { need: 'variable', min: 0.5, max: 1, ...speed },
            load: { machine: 'centrifugal-pump', demand: { kind: 'power', power, speed: rpm } },
          },
        ),
        'drive.bearing-current',
      )?.text ?? '';
    expect(said('50 kW', '1475 rpm')).not.toContain('insulated');
    expect(said('85 kW', '1480 rpm')).toContain('insulated opposite-drive-end');
    expect(said('50 kW', '2960 rpm')).toContain('insulated opposite-drive-end');
    expect(said('28 kW', '2950 rpm')).not.toContain('insulated');
    expect(said('85 kW', '1480 rpm')).not.toContain('common-mode');
    expect(said('300 kW', '1485 rpm')).toContain('common-mode choke');
    expect(said('28 kW', '1475 rpm', { min: 0.05 })).toContain('grease film');
    expect(said('28 kW', '1475 rpm', { min: 0.08 })).not.toContain('grease film');
  });
  it('bypass, safe torque off and the way of command are said where they are asked', () => {
    const r = pump({ bypass: true, safeTorqueOff: true, command: ['analogue', 'contacts'] });
    expect(findingIds(r)).toEqual(expect.arrayContaining(['drive.bypass', 'drive.safe-torque-off']));
    expect(r.drive?.command).toContain('4–20 mA');
    expect(r.drive?.settings.find((s) => s.id === 'reference-lost')?.value).toContain('3 mA');
    const bare = pump();
    expect(findingIds(bare)).not.toContain('drive.bypass');
    expect(bare.drive?.settings.find((s) => s.id === 'reference-lost')).toBeUndefined();
    expect(bare.drive?.command).toBe('');
  });
  it('every setting has a value, a reason and what goes wrong otherwise', () => {
    const settings = pump({ command: ['network'] }).drive?.settings ?? [];
    expect(settings.length).toBeGreaterThan(20);
    for (const s of settings) for (const text of [s.value, s.why, s.otherwise]) expect(text, s.id).not.toBe('');
    expect(new Set(settings.map((s) => s.id)).size).toBe(settings.length);
  });
});

describe('laws of the drive', () => {
  const degrees = fc.integer({ min: 20, max: 50 });
  const metres = fc.integer({ min: 0, max: 3500 });
  it('hotter, higher or more overload never gives a smaller drive', () => {
    const rated = (t: number, h: number, ratio: number): number => {
      const r = pump(
        {},
        {
          motor: { catalogue: 'iec-ip55-ie3-22kW-4p' },
          load: {
            machine: 'conveyor',
            overload: { ratio },
            demand: { kind: 'power', power: '14 kW', speed: '1470 ' + 'rpm' },
          },
          place: { ambient: '30 degC', driveAmbient: `${t} degC`, altitude: `${h} m` },
        },
      );
      return r.figures['drive.ratedCurrent']?.value ?? Infinity;
    };
    fc.assert(
      fc.property(degrees, metres, fc.double({ min: 1, max: 2, noNaN: true }), (t, h, k) => {
        const here = rated(t, h, k);
        expect(rated(t + 5, h, k)).toBeGreaterThanOrEqual(here);
        expect(rated(t, h + 400, k)).toBeGreaterThanOrEqual(here);
        expect(rated(t, h, k * 1.2)).toBeGreaterThanOrEqual(here);
      }),
      { numRuns: 12 },
    );
  });
  it('a longer cable never needs less', () => {
    // One motor: the choice may take another winding for a longer cable.
    const motor = { catalogue: 'na-tefc-30hp-4p' };
    const does = (length: number): number =>
      american({}, on(`${length} m`, { motor })).drive?.remedies.filter((x) => x.does).length ?? NaN;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (length) => {
        expect(does(length * 2)).toBeLessThanOrEqual(does(length));
      }),
      { numRuns: 20 },
    );
  });
  it('whatever is asked of a drive, every figure is a number', () => {
    const some = <T>(arb: fc.Arbitrary<T>) => fc.option(arb, { nil: undefined });
    const asked = fc.record({
      duty: some(fc.constantFrom('normal' as const, 'heavy' as const)),
      rectifier: some(fc.constantFrom('six-pulse' as const, 'twelve-pulse' as const, 'active' as const)),
      choke: some(fc.integer({ min: 0, max: 200 }).map((n) => n / 1000)),
      filter: some(fc.constantFrom('none' as const, 'reactor' as const, 'dv-dt' as const, 'sine' as const)),
      riseTime: some(fc.double({ min: 0.02, max: 10, noNaN: true }).map((t) => `${t.toFixed(3)} us`)),
      cooling: some(fc.constantFrom('self' as const, 'blower' as const, 'none' as const)),
      motors: some(fc.integer({ min: 1, max: 8 })),
      site: some(fc.record({ current: some(fc.integer({ min: 1, max: 5000 }).map((i) => `${i} A`)) })),
      braking: some(fc.record({ time: some(fc.integer({ min: 1, max: 60 }).map((t) => `${t} s`)) })),
    });
    fc.assert(
      fc.property(asked, fc.integer({ min: 1, max: 400 }), (drive, length) => {
        const r = pump(JSON.parse(JSON.stringify(drive)), on(`${length} m`));
        for (const [id, f] of Object.entries(r.figures))
          if (id.startsWith('drive.')) expect(Number.isFinite(f.value), id).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});

it.each([
  [{ duty: 'light' }, 'drive.duty', 'must be one of normal, heavy'],
  [{ choke: 0.5 }, 'drive.choke', '0.2'],
  [{ motors: 1.5 }, 'drive.motors', 'whole number'],
  [{ riseTime: '3 m' }, 'drive.riseTime', 'time'],
  [{ site: { drives: [{ power: '3 A' }] } }, 'drive.site.drives[0].power', 'power'],
  [{ braking: { kind: 'hard' } }, 'drive.braking.kind', 'must be one of'],
] as const)('%j says what is wrong at its field', (drive, path, words) => {
  const reading = readCase({ format: 'pilgrim.case/1', practice: 'iec', drive });
  expect(reading.ok).toBe(false);
  if (reading.ok) return;
  expect(reading.errors.map((e) => e.path)).toContain(path);
  expect(reading.errors.find((e) => e.path === path)?.message).toContain(words);
});

describe('a drive for a motor, by what is published', () => {
  // Apparent power of the drive that goes with a motor rating at 400 V: Regulation (EU) 2019/1781, annex I, the table
  // of reference losses, which is that of IEC 61800-9-2 (from memory). Motors of another class differ by some per cent.
  it.each([
    [4, 5.44],
    [11, 14.4],
    [15, 19.5],
    [22, 28.3],
    [30, 38.2],
    [45, 56.9],
    [75, 92.8],
    [110, 135],
    [160, 196],
    [250, 302],
  ])('%f kW at full load asks %f kVA', (kilowatts, apparent) => {
    const demand = { kind: 'power', power: `${kilowatts} kW`, speed: '1480 rpm' } as const;
    const r = pump(
      { duty: 'normal' },
      {
        load: { machine: 'centrifugal-pump', demand },
        motor: { catalogue: `iec-ip55-ie3-${kilowatts}kW-4p` },
      },
    );
    const kva = (id: string): number => (Math.sqrt(3) * 400 * figure(r, id)) / 1000;
    expect(Math.abs(kva('drive.requiredCurrent') / apparent - 1)).toBeLessThan(0.06);
    // The size of the ladder that is named carries it, and is no more than the next step beyond.
    expect(kva('drive.ratedCurrent')).toBeGreaterThan(0.98 * kva('drive.requiredCurrent'));
    expect(kva('drive.ratedCurrent')).toBeLessThan(1.35 * apparent);
  });
});

describe('a supply of one phase', () => {
  const saw = (phases: 1 | 3, over: Partial<CaseText> = {}) =>
    solved({
      ...{ format: 'pilgrim.case/1', practice: 'iec' },
      supply: {
        ...{ voltage: '230 V', frequency: '50 Hz', phases },
        source: { kind: 'transformer', rating: '50 kVA', impedance: 0.04 },
      },
      load: { machine: 'machine-tool', demand: { kind: 'power', power: '1.6 kW', speed: '1430 rpm' } },
      place: { ambient: '25 degC', cable: { length: '8 m' } },
      ...over,
    });
  it('feeds a motor through a drive of about twice the size, wound for its voltage, and through nothing else', () => {
    const [one, three] = [saw(1), saw(3, { method: 'drive' })];
    expect(one.choice?.method).toBe('drive');
    expect(figure(one, 'drive.ratedCurrent') / figure(three, 'drive.ratedCurrent')).toBeGreaterThanOrEqual(1.5);
    expect(one.choice?.buying.find((b) => b.what === 'Supply')?.text).toContain('230/400');
    expect(one.methods.map((m) => m.method)).toEqual(['drive']);
    expect(one.start?.rows.map((r) => r.method)).toEqual(['drive']);
    expect(one.figures['start.direct.peakCurrent']).toBeUndefined();
    expect(verdict(one, 'speed-control')).toBe('pass');
    expect(level(one, 'supply.single-phase')).toBe('caution');
    expect(one.drive?.settings.find((s) => s.id === 'phase-loss')?.value).toContain('its maker');
    // By hand: 50 kVA at 230 V is 217.4 A; ÷ 0.04.
    expect(figure(one, 'start.faultCurrent')).toBeCloseTo(5435, 0);
    expect(figure(three, 'start.faultCurrent')).toBeCloseTo(5435 / Math.sqrt(3), 0);
  });
  it('one phase or three: two are refused at their field', () => {
    const read = (phases: unknown) =>
      readCase({ format: 'pilgrim.case/1', practice: 'iec', supply: { voltage: '400 V', phases } });
    for (const phases of [1, 3]) expect(read(phases).ok).toBe(true);
    for (const phases of [0, 2, 4, '1'])
      expect(read(phases)).toMatchObject({ errors: [{ path: 'supply.phases', message: 'must be 1 or 3' }] });
  });
  it('a method that cannot run on it is a stop, and so is the plate of a single-phase motor', () => {
    const direct = saw(1, { method: 'direct' });
    expect(level(direct, 'supply.single-phase')).toBe('stop');
    expect(direct.choice).toBeNull();
    expect(level(saw(1, { plate: { phases: 1, power: '1.5 kW' } }), 'plate.single-phase')).toBe('stop');
    expect(finding(saw(3), 'supply.single-phase')).toBeUndefined();
  });
});

it('behind a sine filter no cable is charged, whether the case fits it or the choice counts on it', () => {
  const fan = (filter?: 'dv-dt' | 'sine') =>
    solved({
      ...{
        format: 'pilgrim.case/1',
        practice: 'north-america',
        method: 'drive',
        motor: { catalogue: 'na-tefc-5hp-4p' },
      },
      supply: { voltage: '480 V', frequency: '60 Hz' },
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '3.5 hp', speed: '1750 rpm' } },
      ...{ speed: { need: 'variable', min: 0.5 }, place: { cable: { length: '400 m' } } },
      ...(filter && { drive: { filter } }),
    });
  expect(fan().drive?.settings.find((s) => s.id === 'filter')?.value).toBe('sine filter');
  expect(level(fan('dv-dt'), 'drive.charging')).toBe('caution');
  for (const r of [fan(), fan('sine')]) expect(finding(r, 'drive.charging')).toBeUndefined();
});
