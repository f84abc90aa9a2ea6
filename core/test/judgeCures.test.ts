import { describe, expect, it } from 'vitest';
import { readCase, solveWith, type CaseText } from '@pilgrim/core';
import type { Judged } from '../src/judge/asked';
import { code } from '../src/judge/code';
import { explain } from '../src/judge/explain';
import { before } from '../src/judge/judge';
import { changeOf, conveyor, mixerOn, verdictOf } from './cases';

/** What a verdict asks for where it does not hold: its cure, its condition, and which of several it is. */

const old = { power: '25 hp', voltage: '460 V', current: '31 A', speed: '1770 rpm', frequency: '60 Hz' } as const;
const mixer = (power: string) => ({ machine: 'mixer', demand: { kind: 'power', power, speed: '1760 rpm' } }) as const;
const pinned = (over: Partial<CaseText>, id = 'na-tefc-25hp-4p') => mixerOn(id, '18 hp', over);

describe('a winding on a drive', () => {
  it('is cured by a house rule where the rule wants it on the plate, and passes where the plate has it', () => {
    const r = pinned({ method: 'drive', rules: { inverterDuty: 'plate' } });
    expect(verdictOf(r, 'winding')?.outcome).toBe('fail');
    expect(changeOf(r)).toContain('a house rule that judges heat and pulses apart');
    const made = pinned({ method: 'drive', rules: { inverterDuty: 'plate' } }, 'na-tefc-inv-25hp-4p');
    expect(verdictOf(made, 'winding')?.outcome).toBe('pass');
  });
});

describe('a winding not made for pulses', () => {
  const said = (place: object) =>
    verdictOf(pinned({ method: 'drive', place: { ...conveyor.place, ...place } }), 'winding');
  it('bears a short cable, wants a filter at a long one, and says both lengths', () => {
    expect(said({ cable: { length: '10 m' } })?.text).toMatch(/its 10.* of cable are within 15 m\.$/);
    expect(said({ cable: { length: '40 m' } })?.text).toContain('bare the cable may be 15 m');
    expect(said({})?.condition).toMatchObject({ field: 'place.cable.length', limit: '15 m' });
  });
});

describe('power', () => {
  const loaded = (power: string) => pinned({ load: mixer(power), method: 'direct', rules: { sizingMargin: 1 } });
  it('a margin may be missed by two per cent, the load itself by nothing', () => {
    expect(verdictOf(loaded('24.6 hp'), 'power')?.outcome).toBe('pass');
    expect(verdictOf(loaded('25.2 hp'), 'power')).toMatchObject({ outcome: 'fail' });
    expect(verdictOf(loaded('25.2 hp'), 'power')?.margin).toBeGreaterThan(-0.02);
    // Constant power asks the same at every speed: to the watt what the motor has.
    const exact = { ...mixer('25 hp'), machine: 'winder' } as const;
    const r = pinned({ load: exact, method: 'direct', rules: { sizingMargin: 1 } });
    expect(verdictOf(r, 'power')).toMatchObject({ outcome: 'pass', margin: 0 });
  });
  it('with no load known a smaller one is not safe, the same is the old size, a larger one is more', () => {
    const as = (id: string) => verdictOf(pinned({ plate: old, load: undefined }, id), 'power')?.text;
    expect(as('na-tefc-20hp-4p')).toContain('smaller is not safe');
    expect(as('na-tefc-25hp-4p')).toContain('the old motor’s size');
    expect(as('na-tefc-30hp-4p')).toContain('more than the old motor’s');
  });
});

describe('a lesson', () => {
  it('of dirt asks an enclosed motor; of too little cooling a higher lowest speed', () => {
    const open = pinned({ plate: old, method: 'direct', history: { causes: ['dust'] } }, 'na-odp-25hp-4p');
    expect(verdictOf(open, 'history-enclosure')?.outcome).toBe('fail');
    expect(changeOf(open)).toBe('an enclosed motor');
    const slow = pinned({
      plate: old,
      method: 'drive',
      history: { causes: ['overheated'], method: 'drive' },
      speed: { need: 'variable', min: 0.1, profile: [{ hours: 4000, flow: 0.3 }] },
    });
    expect(verdictOf(slow, 'history-cooling')?.outcome).toBe('fail');
    expect(changeOf(slow)).toContain('a higher lowest speed');
  });
  it('has a condition only where a load that was given stands against the rating', () => {
    const worn = pinned({
      plate: { ...old, power: '20 hp', current: '25 A' },
      history: { causes: ['drive-end-bearing'] },
      load: { ...mixer('18 hp'), train: { kind: 'belt', ratio: 1 } },
    });
    expect(verdictOf(worn, 'history-bearing')).toMatchObject({ condition: null });
  });
});

it('a special shaft that is lacking is named with the frame that has none', () => {
  const r = pinned({ plate: { ...old, frame: '284TZ' } });
  expect(verdictOf(r, 'interchange')).toMatchObject({
    outcome: 'fail',
    text: expect.stringContaining('frame 284T has none'),
  });
});

it('a soft starter draws what its limit lets through: more than a usual transformer bears is a caution', () => {
  const of = (usualTransformer: number) =>
    verdictOf(
      pinned({
        method: 'soft-starter',
        supply: { voltage: '480 V', frequency: '60 Hz', phases: 3 },
        rules: { usualTransformer },
      }),
      'supply',
    );
  // 25 hp at 3.5 times its current asks for some 35 kVA at 5 % and 15 % of dip.
  expect(of(250)?.condition).toMatchObject({ field: 'supply.source' });
  expect(of(10)).toMatchObject({ outcome: 'caution', condition: null });
});

it('a run-up nothing simulates says what is lacking: the standard’s least is asked about, less than breakdown crawls', () => {
  const at = (power: string) =>
    verdictOf(pinned({ load: mixer(power), method: 'direct', supply: { frequency: '60 Hz' } }), 'run-up');
  expect(at('30 hp')).toMatchObject({
    outcome: 'caution',
    text: expect.stringMatching(/^The least pull-up torque the standard allows is \d+ % below .* ask the maker/),
  });
  expect(at('70 hp')).toMatchObject({ outcome: 'fail', text: expect.stringMatching(/^Even its breakdown torque/) });
});

it('speed control: what cannot vary fails, a drive nobody needs is money wasted, one that saves is not', () => {
  const of = (method: 'direct' | 'drive', speed: CaseText['speed']) =>
    verdictOf(pinned({ method, speed, load: { ...mixer('18 hp'), machine: 'centrifugal-pump' } }), 'speed-control');
  const varies = { need: 'variable', min: 0.5 } as const;
  const fixed = { need: 'fixed' } as const;
  expect(of('direct', varies)).toMatchObject({ outcome: 'fail', text: expect.stringContaining('cannot vary speed') });
  expect(of('drive', varies)).toMatchObject({ outcome: 'pass', text: 'Speed follows the need.' });
  expect(of('drive', fixed)).toMatchObject({ outcome: 'caution', text: expect.stringContaining('money wasted') });
  expect(of('drive', { ...fixed, control: 'throttle-valve', profile: [{ hours: 4000, flow: 0.6 }] })).toMatchObject({
    outcome: 'pass',
    text: expect.stringContaining('throttled today'),
  });
});

it('what a simulated start has against it is said as the start says it', () => {
  const heavy = (inertia: string, load: object = {}) =>
    pinned({ method: 'direct', load: { ...mixer('18 hp'), machine: 'centrifugal-fan', inertia, ...load } });
  const long = heavy('10 kg.m2', { maxStartTime: '2 s' });
  expect(verdictOf(long, 'start-time')).toMatchObject({
    outcome: 'fail',
    text: expect.stringMatching(/^Takes [\d.]+ s to speed; 2 s is permitted/),
  });
  expect(changeOf(long)).toContain('a longer permitted start, or less inertia');
  const hot = heavy('60 kg.m2', { maxStartTime: '200 s' });
  expect(verdictOf(hot, 'start-heat')?.outcome).toBe('fail');
  expect(verdictOf(hot, 'start-heat')?.text).not.toContain('of the heat it bears');
  const often = heavy('2 kg.m2', { startsPerHour: 60 });
  expect(verdictOf(often, 'starts')?.outcome).toBe('fail');
  expect(verdictOf(often, 'starts')?.text).not.toContain('Bears');
});

describe('an entry', () => {
  it('of equals comes by its cost, then by the list', () => {
    const judged = { worst: [code.pass, code.pass], rank: [1, 1], lifeCycle: [200, 100] } as unknown as Judged;
    expect(before(judged, 0, 1)).toBe(100);
    expect(before({ ...judged, lifeCycle: new Float64Array([5, 5]) } as Judged, 0, 1)).toBe(-1);
  });
  it('that is not there is no candidate', () => {
    const reading = readCase({ ...conveyor, motor: { catalogue: 'na-tefc-25hp-4p' } });
    const screening = reading.ok ? solveWith(reading.value).screening : undefined;
    if (!screening) throw new Error('not screened');
    const { needs, judged } = screening;
    const all = judged.columns.motors.length * judged.methods.length;
    expect(() => explain(needs, judged, all)).toThrow(RangeError);
    expect(explain(needs, judged, all - 1).method).toBe(judged.methods.at(-1));
  });
});
