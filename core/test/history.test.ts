import { describe, expect, it } from 'vitest';
import { nameplate, type CaseText, type Result } from '@pilgrim/core';
import { causes as sights } from '@pilgrim/core';
import { conveyor, figure, findingIds, solved } from './cases';

const failed = (history: CaseText['history'], rest: Partial<CaseText> = {}): Result =>
  solved({
    ...conveyor,
    plate: {
      power: '5 hp',
      voltage: '230/460 V',
      current: '13.2/6.6 A',
      speed: '1750 rpm',
      frequency: '60 Hz',
      enclosure: 'ODP',
    },
    ...rest,
    history,
  });
const first = (r: Result): string | undefined => r.history?.causes[0]?.cause;
const verdict = (r: Result, requirement: string) =>
  r.candidates[0]?.verdicts.find((v) => v.requirement === requirement);

describe('What killed it (common practice of the repair trade)', () => {
  it.each([
    ['a fluted race, on a drive', { causes: ['fluted-race'], method: 'drive' }, 'bearing-currents'],
    ['one phase burnt, across the line', { causes: ['phase-burnt'], method: 'direct' }, 'single-phasing'],
    ['water inside', { causes: ['water'] }, 'water-ingress'],
    ['first turns punctured, on a drive', { causes: ['insulation-punctured'], method: 'drive' }, 'pulses'],
    ['first turns punctured, never on a drive', { causes: ['insulation-punctured'], method: 'direct' }, 'surge'],
    ['packed with dust', { causes: ['dust'] }, 'blocked-cooling'],
  ] as const)('%s', (_, history, cause) => {
    expect(first(failed({ ...history, causes: [...history.causes] }))).toBe(cause);
  });
  it('the drive-end bearing: the belt where there is one, not where there is none', () => {
    const belt = { load: { ...conveyor.load, train: { kind: 'belt' as const, ratio: 2 } } };
    expect(first(failed({ causes: ['drive-end-bearing'] }, belt))).toBe('belt-pull');
    const causes = failed({ causes: ['drive-end-bearing'] }).history?.causes.map((c) => c.cause);
    expect(causes).not.toContain('belt-pull');
  });
  it('burnt evenly: overload where the load is above the rating, heat where the place is hot', () => {
    const heavy = { load: { ...conveyor.load, demand: { ...conveyor.load.demand, force: '400 lbf' } } };
    expect(first(failed({ causes: ['overheated'] }, heavy))).toBe('overload');
    const hot = { place: { ...conveyor.place, ambient: '52 degC' } };
    expect(first(failed({ causes: ['overheated'] }, hot))).toBe('heat');
    const often = { load: { ...conveyor.load, startsPerHour: 20 } };
    expect(first(failed({ causes: ['overheated'] }, often))).toBe('frequent-starts');
  });
  it('every cause says what speaks for it, and what to do', () => {
    for (const c of failed({ causes: ['overheated', 'dust', 'drive-end-bearing'] }).history?.causes ?? []) {
      expect(c.reasons.length).toBeGreaterThan(0);
      expect(c.remedy.length).toBeGreaterThan(10);
    }
  });
  it('every sight but "unknown" leads to some cause', () => {
    for (const seen of sights) {
      const { causes } = nameplate.learn([seen], {
        belt: true,
        variableSpeed: true,
        open: true,
        wet: true,
        dirty: true,
        jams: false,
      });
      expect(causes.length > 0, seen).toBe(seen !== 'unknown');
    }
  });
  it('life and hours a year are counted; a contradiction is said', () => {
    const r = failed({ installed: '2021-03', failed: '2026-03', hours: 20000, causes: ['unknown'] });
    expect(figure(r, 'history.life')).toBeCloseTo(5, 9);
    expect(figure(r, 'history.hoursPerYear')).toBeCloseTo(4000, 6);
    expect(findingIds(failed({ installed: '2025-01', failed: '2025-03', hours: 20000 }))).toContain('history.hours');
    expect(findingIds(failed({ installed: '2026-01', failed: '2025-03' }))).toContain('history.order');
  });
});

describe('What the new choice must do differently', () => {
  it('dust in an open motor forbids another open one', () => {
    const dusty = { place: { ...conveyor.place, dirt: 'clean' as const } };
    const r = failed({ causes: ['dust'] }, dusty);
    expect(r.history?.lessons.map((l) => l.requirement)).toContain('history-enclosure');
    expect(r.choice?.motor.enclosure).not.toBe('ODP');
    expect(verdict(r, 'history-enclosure')?.outcome).toBe('pass');
    const before = failed({ causes: ['unknown'] }, { ...dusty, rules: { ranking: 'price' } });
    expect(before.choice?.motor.enclosure).toBe('ODP');
  });
  it('a motor burnt by its load wants at least its own rating after derating; one that idled was not burnt by load', () => {
    const heavy = { load: { ...conveyor.load, demand: { ...conveyor.load.demand, force: '260 lbf' } } };
    const r = failed({ causes: ['overheated'] }, heavy);
    expect(verdict(r, 'history-reserve')).toMatchObject({ outcome: 'pass' });
    expect(verdict(r, 'history-reserve')?.margin).toBeCloseTo(7.5 / 5 - 1, 3);
    const idle = failed(
      { causes: ['overheated'] },
      { plate: { power: '20 hp', speed: '1750 rpm', frequency: '60 Hz' } },
    );
    expect(idle.history?.causes.find((c) => c.cause === 'overload')?.likelihood).toBe('unlikely');
  });
  it('a lost phase asks contactor starters for its detection; a drive has it', () => {
    const r = failed({ causes: ['phase-burnt'], method: 'direct' });
    const of = (method: string) =>
      r.methods.find((m) => m.method === method)?.verdicts.find((v) => v.requirement === 'history-phase-loss');
    expect(of('direct')).toMatchObject({ outcome: 'pass', remedy: { kind: 'phase-relay' } });
    expect(of('drive')).toMatchObject({ outcome: 'pass', remedy: null });
  });
  it('bearing currents ask a drive for a grounding ring, and nothing of a motor on the line', () => {
    const r = failed({ causes: ['fluted-race'], method: 'drive' });
    const of = (method: string) =>
      r.methods.find((m) => m.method === method)?.verdicts.find((v) => v.requirement === 'history-shaft-current');
    expect(of('drive')?.text).toContain('grounding ring');
    expect(of('direct')?.outcome).toBe('pass');
  });
  it('without a failure no such requirement is judged', () => {
    const r = failed({ installed: '2010-01' });
    expect(r.history).toBeNull();
    expect(r.candidates[0]?.verdicts.filter((v) => v.requirement.startsWith('history'))).toEqual([]);
  });
});

describe('No plate, or a burnt one', () => {
  const tape = (measured: CaseText['measured'], practice: CaseText['practice'] = 'iec'): Result =>
    solved({
      format: 'pilgrim.case/1',
      practice,
      supply: practice === 'iec' ? { voltage: '400 V', frequency: '50 Hz' } : { voltage: '480 V', frequency: '60 Hz' },
      plate: { condition: 'burnt' },
      measured,
    });
  const fact = (r: Result, id: string): string => r.facts.find((f) => f.id === id)?.text ?? '';
  it('a burnt plate is itself a finding', () => {
    expect(tape(undefined).findings.find((f) => f.id === 'plate.unreadable')?.text).toContain('overheated');
  });
  it('feet and shaft by tape find the frame; with the speed, the rating the standard puts there', () => {
    const r = tape({ shaftHeight: '160 mm', feetAcross: '254 mm', feetAlong: '253 mm', speed: '1470 rpm' });
    expect(fact(r, 'measured.frame')).toMatch(/^160L/);
    expect(fact(r, 'measured.rating')).toMatch(/^15\.0 kW/);
    const offered = r.findings.flatMap((f) => f.suggestions);
    expect(offered.map((s) => s.field)).toEqual(expect.arrayContaining(['plate.frame', 'plate.power']));
  });
  it('in inches as well', () => {
    const r = tape(
      { shaftHeight: '7 in', feetAcross: '11 in', feetAlong: '11 in', speed: '1770 rpm' },
      'north-america',
    );
    expect(fact(r, 'measured.frame')).toMatch(/^286T/);
    // The feet are those of 286T and 286U alike: only the shaft tells the series, and with it the rating.
    expect(fact(r, 'measured.rating')).toMatch(/^20\.0 hp to 30\.0 hp/);
    const withShaft = tape(
      { shaftHeight: '7 in', feetAcross: '11 in', feetAlong: '11 in', shaftDiameter: '1.875 in', speed: '1770 rpm' },
      'north-america',
    );
    expect(fact(withShaft, 'measured.rating')).toMatch(/^30\.0 hp/);
  });
  it('one dimension leaves several frames, and says so', () => {
    expect(fact(tape({ shaftHeight: '132 mm' }), 'measured.frame')).toContain('measure more');
  });
  it('no frame has such feet: said, not guessed', () => {
    expect(findingIds(tape({ shaftHeight: '145 mm', feetAcross: '300 mm' }))).toContain('measured.no-frame');
  });
  it('no-load current and winding resistance bracket the rating of a 15 kW machine', () => {
    // 15 kW, 400 V, 4 poles: rated 28 A; about 11 A idle, 0.5 Ω between terminals in delta (order of magnitude, common
    // practice).
    const r = tape({ noLoadCurrent: '11 A', windingResistance: '0.5 ohm', speed: '1470 rpm' });
    for (const id of ['measured.ratedPowerByNoLoad', 'measured.ratedPowerByResistance']) {
      const band = r.figures[id]?.band ?? [0, 0];
      expect(band[0], id).toBeLessThan(15000);
      expect(band[1], id).toBeGreaterThan(15000);
      expect(r.figures[id]?.estimate).toBe(true);
    }
  });
  it('running and idle current together guess the load; at rated current it is the rating', () => {
    // No-load current taken as 0.38 of rated at four poles (common practice): 11 A idle is 28.9 A rated.
    const r = tape({ noLoadCurrent: '11 A', loadCurrent: `${11 / 0.38} A`, speed: '1470 rpm' });
    expect(figure(r, 'measured.loading')).toBeCloseTo(1, 6);
    expect(figure(tape({ noLoadCurrent: '11 A', loadCurrent: '11 A', speed: '1470 rpm' }), 'measured.loading')).toBe(0);
    expect(findingIds(tape({ noLoadCurrent: '11 A', loadCurrent: '9 A', speed: '1470 rpm' }))).toContain(
      'measured.currents',
    );
  });
  it('a frame and a current that disagree are told', () => {
    const r = tape({
      shaftHeight: '160 mm',
      feetAcross: '254 mm',
      feetAlong: '254 mm',
      speed: '1470 rpm',
      noLoadCurrent: '60 A',
    });
    expect(findingIds(r)).toContain('measured.disagree');
  });
});
