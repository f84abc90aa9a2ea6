import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fuzzed } from './fuzz';
import { extremeCase, likelyCase } from './randomCases';

/** The long run is `./pilgrim bench fuzz`; the seed makes this one the same every time. */
describe('whatever a case holds, core answers with numbers and a valid result', () => {
  it.each(fc.sample(extremeCase(), { seed: 4180, numRuns: 250 }).map((text, i) => [i, text] as const))(
    'near-valid extremes, %i',
    (_, text) => expect(fuzzed(text)).toEqual([]),
  );
  it.each(fc.sample(likelyCase, { seed: 4181, numRuns: 50 }).map((text, i) => [i, text] as const))(
    'likely cases, %i',
    (_, text) => expect(fuzzed(text)).toEqual([]),
  );
  it.each([
    { load: { shape: { points: [[22.95, 0]] }, demand: { kind: 'power', power: '5 kW', speed: '1450 rpm' } } },
    { rules: { maxDip: 5e-324 }, load: { demand: { kind: 'power', power: '5 kW', speed: '1450 rpm' } } },
    { plate: { power: '5 kW', efficiency: 0.9, efficiencyMinimum: 5e-324 } },
  ])('%j', (part) => expect(fuzzed({ format: 'pilgrim.case/1', practice: 'iec', ...part })).toEqual([]));
});
