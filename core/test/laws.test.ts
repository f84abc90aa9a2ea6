import { describe, expect, it } from 'vitest';
import { isLaw, lawsIn, physics, practice, q, rangeText, type Law } from '@pilgrim/core';
import { conveyor, solved } from './cases';

const laws = [...lawsIn(physics), ...lawsIn(practice)];
const sourced = laws.filter((l) => l.example !== undefined);

describe('every law’s worked example, its inputs and value from outside the code', () => {
  it('there is one for every law but those that read off a simulated run', () => {
    const without = laws.filter((l) => l.example === undefined);
    expect(without.map((l) => l.source.title)).toEqual(without.map(() => expect.stringMatching(/Run-up|60079/)));
    expect(without).toHaveLength(7);
    expect(sourced.length).toBeGreaterThan(130);
  });
  it.each(sourced.map((l) => [l.name, l] as const))('%s', (_, stated) => {
    const example = stated.example;
    if (!example) expect.fail('no example');
    const law: unknown = example.made ? example.made.law() : stated;
    if (!isLaw(law)) expect.fail('the example makes no law');
    const value = law.of(Object.fromEntries(Object.entries(example.of).map(([k, v]) => [k, q(v)])));
    expect(Math.abs(value / example.gives - 1)).toBeLessThan(example.within ?? 1 / 2000);
    expect(Object.keys(example.of).sort()).toEqual(Object.keys(law.takes).sort());
    expect(example.from.length).toBeGreaterThan(5);
  });
  it.each(sourced.map((l) => [l.name, l] as const))('%s: the example lies in the range', (_, law) => {
    for (const [name, [low, high]] of Object.entries(law.range)) {
      expect(law.example?.of[name]).toBeGreaterThanOrEqual(low);
      expect(law.example?.of[name]).toBeLessThanOrEqual(high);
    }
  });
});

describe('a law used beyond what it holds for', () => {
  const beyond = (ambient: string, altitude = '100 m') =>
    solved({ ...conveyor, place: { ...conveyor.place, ambient, altitude } }).findings.filter(
      (f) => f.id === 'case.beyond-law',
    );
  it('is noted with the limits and the field, once for each law and input', () => {
    const notes = beyond('61 degC').filter((f) => f.text.startsWith('Derating of the motor'));
    expect(notes.map((f) => [f.level, f.fields])).toEqual([['note', ['place.ambient']]]);
    expect(notes[0]?.text).toContain('theta -30 °C (-22 °F) to 60 °C (140 °F); here it is 61 °C');
  });
  it('is not noted on the limit', () => {
    expect(beyond('60 degC')).toEqual([]);
    expect(beyond('-30 degC')).toEqual([]);
    expect(beyond('40 degC', '4000 m')).toEqual([]);
  });
  it('is noted just beyond it', () => {
    expect(beyond('-31 degC')).not.toEqual([]);
    expect(beyond('40 degC', '4010 m')).not.toEqual([]);
  });
});

it('a profile beyond the curve of its flow control is noted once, and one on its limit is not', () => {
  const throttled = (flow: number) =>
    solved({
      ...conveyor,
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '20 hp', speed: '1760 rpm' } },
      speed: {
        need: 'variable',
        control: 'outlet-damper',
        profile: [
          { hours: 3000, flow: 1 },
          { hours: 1000, flow },
          { hours: 500, flow },
        ],
      },
    }).findings.filter((f) => f.id === 'case.beyond-law');
  expect(throttled(0.2)).toEqual([]);
  expect(throttled(0.19).map((f) => [f.text, f.fields])).toEqual([
    ['Fan input with an outlet damper holds for q 0.2 to 1; here it is 0.19.', ['speed.profile']],
  ]);
});

describe('ranges in words', () => {
  it.each([
    [[-Infinity, Infinity], 'any number'],
    [[Number.MIN_VALUE, Infinity], 'above 0'],
    [[0, Infinity], '0 or more'],
    [[0.2, 1], '0.2 to 1'],
  ] as const)('%j', (range, text) => expect(rangeText(range)).toBe(text));
});

it('laws’ papers are whole: name, symbol, formula, a source with a title', () => {
  const bare = (l: Law): boolean => [l.name, l.symbol, l.formula, l.source.title].some((t) => t.trim() === '');
  expect(laws.filter(bare)).toEqual([]);
});
