import { describe, expect, it } from 'vitest';
import { homeOf, keep, readKept, readResult, wholeFinding, type Result } from '@pilgrim/core';
import { conveyor, solved } from './cases';

const plain = (result: Result): Record<string, unknown> => JSON.parse(JSON.stringify(result));
const without = (value: Record<string, unknown>, ...keys: string[]): Record<string, unknown> =>
  Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key)));
const rows = (value: unknown): Record<string, unknown>[] => JSON.parse(JSON.stringify(value));

describe('results of this and of earlier cores', () => {
  const now = plain(solved(conveyor));

  it('one of this core is read back as it is', () => expect(readResult(now)).toEqual(now));
  it('what an earlier core did not tell is empty', () => {
    const early = {
      ...without(now, 'facts', 'enclosures', 'history', 'replacement', 'start'),
      findings: rows(now.findings).map((f) => without(f, 'doubt', 'suggestions', 'accepted')),
      candidates: rows(now.candidates).map((c) => without(c, 'change')),
      curves: without(rows([now.curves])[0] ?? {}, 'start'),
    };
    const read = readResult(early);
    expect(read).toMatchObject({ facts: [], enclosures: [], history: null, replacement: null, start: null });
    expect(read?.findings.every((f) => !f.doubt && f.suggestions.length === 0 && f.accepted === null)).toBe(true);
    expect(read?.candidates.every((c) => c.change === null)).toBe(true);
    expect(read?.curves.start).toBeNull();
    expect(read?.figures).toEqual(now.figures);
  });
  it('and motors and verdicts that said less are filled in', () => {
    const [first] = rows(now.candidates);
    if (!first) expect.fail('no candidate');
    const motor = without(rows([first.motor])[0] ?? {}, 'mass', 'sound', 'stock');
    const verdicts = rows(first.verdicts).map((v) => without(v, 'waived'));
    const read = readResult({ ...now, candidates: [{ ...first, motor, verdicts }] });
    expect(read?.candidates[0]?.motor).toMatchObject({ mass: 0, sound: 0, stock: null });
    expect(read?.candidates[0]?.verdicts.every((v) => v.waived === null)).toBe(true);
  });
  it.each([null, 7, 'text', [], {}, { format: 'pilgrim.result/1' }])('%j is no result', (value) =>
    expect(readResult(value)).toBeUndefined(),
  );
  it('nor is one with a figure that is no number, or another format', () => {
    expect(readResult({ ...now, format: 'pilgrim.result/2' })).toBeUndefined();
    expect(readResult({ ...now, counts: { motors: 'many', pass: 0, caution: 0, fail: 0 } })).toBeUndefined();
  });
});

describe('what a revision keeps of a result', () => {
  const now = solved(conveyor);
  const kept = keep(now);

  it('every figure with what it rests on, its source in one table', () => {
    const restsOn = (id: string): NonNullable<(typeof kept.figures)[string]['assumed']>[number][] => [
      ...(kept.figures[id]?.assumed ?? []),
      ...Object.values(kept.figures[id]?.inputs ?? {}).flatMap((x) => (typeof x === 'string' ? restsOn(x) : [])),
    ];
    expect(Object.keys(kept.figures)).toEqual(Object.keys(now.figures));
    for (const [id, f] of Object.entries(kept.figures)) {
      const whole = now.figures[id];
      const { unit, text, station } = whole ?? {};
      expect({ ...f, ...homeOf(id, f) }).toMatchObject({ unit, text, station });
      expect(Math.abs(f.value - Number(whole?.value))).toBeLessThanOrEqual(1e-6 * Math.abs(f.value));
      // Its own, and those of the figures it was made of: each kept once, where it was made.
      const rests = restsOn(id).map((a) => JSON.stringify(a));
      expect(new Set(rests)).toEqual(new Set(whole?.assumed.map((a) => JSON.stringify(a))));
      expect({ fromMemory: false, ...kept.sources[f.source] }).toEqual(whole?.source);
      for (const [symbol, x] of Object.entries(f.inputs))
        if (typeof x === 'string') expect(x).toBe(whole?.inputs[symbol]);
        else expect(Math.abs(x - Number(whole?.inputs[symbol]))).toBeLessThanOrEqual(1e-5 * Math.abs(x));
    }
    expect(new Set(kept.sources.map((s) => JSON.stringify(s))).size).toBe(kept.sources.length);
  });
  it('the choice with its verdicts, the findings, the stations; in a quarter of the place', () => {
    const { core, name, practice, findings, choice, subject, stations } = now;
    const first = now.candidates.find((c) => c.motor.id === choice?.motor.id && c.method === choice.method);
    expect(first).toBeDefined();
    expect(kept).toMatchObject({ core, name, practice, choice, subject, stations });
    expect(kept.findings.map(wholeFinding)).toEqual(findings);
    // Without what most have not.
    const none = { waived: null, tight: false, remedy: null, condition: null, figures: [] };
    expect(kept.verdicts.map((v) => ({ ...none, ...v }))).toEqual(first?.verdicts);
    expect(JSON.stringify(kept).length).toBeLessThan(JSON.stringify(now).length / 4);
  });
  it('is read back as it is, also after a database has turned its keys about', () => {
    const turned = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(turned)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .toReversed()
                .map(([k, v]) => [k, turned(v)]),
            )
          : value;
    expect(readKept(plain(now))).toEqual(kept);
    expect(readKept(turned(plain(now)))).toEqual(kept);
    expect(readKept(turned(kept))).toEqual(kept);
  });
  it.each([null, {}, { format: 'pilgrim.kept/1' }, { ...kept, sources: 'none' }])('but not %#', (value) =>
    expect(readKept(value)).toBeUndefined(),
  );
});
