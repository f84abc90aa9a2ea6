import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { carriedCase, commonCase, readCase, solve } from '@pilgrim/core';
import { conveyor } from './cases';
import { likelyCase } from './randomCases';

describe('a position copied from one like it', () => {
  const whole = {
    ...conveyor,
    name: 'Old',
    place: { ...conveyor.place, hazardous: false },
    history: { causes: ['water'] },
    measured: { speed: '1750 rpm' },
    waived: [{ requirement: 'frame', reason: 'base is planed' }],
    accepted: [{ finding: 'plate.current-unusual', reason: 'checked', values: {} }],
  };
  it('keeps load, place, supply and rules under its new name', () => {
    const copy = carriedCase(whole, 'New');
    expect(copy).toMatchObject({
      name: 'New',
      load: conveyor.load,
      supply: conveyor.supply,
      practice: 'north-america',
    });
    expect(readCase(copy).ok).toBe(true);
  });
  it('takes nothing of the other motor’s past, nor what was decided there', () => {
    for (const part of ['history', 'measured', 'waived', 'accepted'])
      expect(carriedCase(whole, 'New')).not.toHaveProperty(part);
  });
  it('never carries that a place is not hazardous, always that it is', () => {
    expect(carriedCase(whole, 'New').place).toEqual(conveyor.place);
    expect(carriedCase({ ...whole, place: { hazardous: true } }, 'New').place).toEqual({ hazardous: true });
    expect(carriedCase({ practice: 'iec' }, 'New')).toEqual({ practice: 'iec', name: 'New' });
  });
  it('changes nothing of what it is copied from, and stays a case', () => {
    fc.assert(
      fc.property(likelyCase, (text) => {
        const before = JSON.stringify(text);
        const copy = readCase(carriedCase(text, 'Copy'));
        expect(JSON.stringify(text)).toBe(before);
        expect(copy.ok).toBe(true);
        if (copy.ok) expect(solve(copy.value).name).toBe('Copy');
      }),
      { numRuns: 15 },
    );
  });
});

it('the next position of a plant begins with practice and supply alone', () => {
  expect(commonCase(conveyor)).toEqual({
    format: 'pilgrim.case/1',
    practice: 'north-america',
    supply: conveyor.supply,
  });
  expect(commonCase({ format: 'pilgrim.case/1', practice: 'iec', place: { hazardous: false } })).toEqual({
    format: 'pilgrim.case/1',
    practice: 'iec',
  });
});
