import { describe, expect, it } from 'vitest';
import { openQuestions, type CaseText } from '@pilgrim/core';
import { conveyor, ordinaryPlate, solved } from './cases';

const of = (over: object) => openQuestions(solved({ ...conveyor, ...over } as CaseText));
const dark = { voltage: '480 V', frequency: '60 Hz', phases: 3 } as const;
const large = { load: { ...conveyor.load, demand: { ...conveyor.load.demand, force: '700 lbf' } }, method: 'direct' };

describe('open questions', () => {
  it('a condition of the standing choice goes to whom its field belongs, with its limit', () => {
    const first = of({ ...large, supply: dark }).find((q) => q.field === 'supply.source');
    expect(first?.to).toBe('power');
    expect(first?.text).toMatch(/^Holds with a transformer of [\d.]+ kVA or more/);
  });
  it('is ticked off by giving the field', () => {
    const fields = (over: object) => of(over).map((q) => q.field);
    expect(fields({ ...large, supply: dark })).toContain('supply.source');
    expect(fields(large)).not.toContain('supply.source');
    expect(fields({})).toContain('load.inertia');
    expect(fields({ load: { ...conveyor.load, inertia: '2 kg.m2' } })).not.toContain('load.inertia');
  });
  it('says why something was assumed; one line a field', () => {
    const questions = of({ plate: ordinaryPlate });
    const inertia = questions.find((q) => q.field === 'load.inertia');
    expect(inertia).toMatchObject({ to: 'site', text: expect.stringMatching(/^Assumed: .+\.$/) });
    const site = questions.filter((q) => q.to !== 'maker').map((q) => q.field);
    expect(new Set(site).size).toBe(site.length);
  });
  it('what must be ordered is asked of the maker', () => {
    const pump = { machine: 'deep-well-pump', demand: { kind: 'power', power: '18 hp', speed: '1760 rpm' } };
    expect(
      of({ load: pump })
        .filter((q) => q.to === 'maker')
        .map((q) => q.text)
        .join(' '),
    ).toMatch(/hollow-shaft/);
    expect(of({}).some((q) => /hollow-shaft/.test(q.text))).toBe(false);
  });
});
