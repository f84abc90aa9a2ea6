import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { caseSchema, readCase, solve, stations, type CaseText, type Result } from '@pilgrim/core';
import { everyOneOpens } from './cases';
import { everyStation } from './randomCases';

/** How many cases are tried; PILGRIM_RUNS=2000 tries more, PILGRIM_SEED others. */
const runs = Number(process.env.PILGRIM_RUNS ?? 150);
const seed = Number(process.env.PILGRIM_SEED ?? 35);
vi.setConfig({ testTimeout: 60_000 + runs * 1000 });

/** Every property draws the same cases: the first of them are solved once for all. */
const solvedOnce = new Map<string, Result>();
const mostKept = 300;
const result = (text: CaseText): Result => {
  const key = JSON.stringify(text);
  const there = solvedOnce.get(key);
  if (there) return there;
  const read = readCase(text);
  if (!read.ok) throw new Error(read.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
  const made = solve(read.value);
  everyOneOpens(made.findings);
  if (solvedOnce.size < mostKept) solvedOnce.set(key, made);
  return made;
};

/** Whether a path is one that the schema of a case knows; what a union offers counts by any of its branches. */
const schema = z.toJSONSchema(caseSchema, { io: 'input', unrepresentable: 'any' });
function known(path: string): boolean {
  const into = (nodes: readonly object[], key: string): object[] =>
    nodes.flatMap((node): object[] => {
      const of = node as Record<string, unknown>;
      const branches = [of.anyOf, of.oneOf, of.allOf].filter(Array.isArray).flat() as object[];
      const here = (of.properties as Record<string, object> | undefined)?.[key];
      const items = of.items as object | undefined;
      return [...(here ? [here] : []), ...(items ? into([items], key) : []), ...into(branches, key)];
    });
  let nodes: readonly object[] = [schema];
  for (const key of path.replace(/\[\d+\]/g, '').split('.')) {
    nodes = into(nodes, key);
    if (nodes.length === 0) return false;
  }
  return true;
}

const rank = { none: 0, fail: 0, caution: 1, pass: 2 } as const;
const outcomeOf = (r: Result): keyof typeof rank => r.choice?.outcome ?? 'none';
const conditionsOf = (r: Result): string[] => {
  const first = r.candidates.find((c) => c.motor.id === r.choice?.motor.id && c.method === r.choice.method);
  return (first?.verdicts ?? []).flatMap((v) => (v.condition && v.waived === null ? [v.condition.field] : []));
};

/** What is asked of the machine, not described: with less asked, more may pass. */
const asked: readonly RegExp[] = [
  /^supply\.startLimit/,
  /^load\.(overload|maxStartTime|startsPerHour|cycle|breakaway|inertia|shape|machine|brake|rotation)/,
  /^load\.demand/,
  /^speed/,
  /^place\.(noiseLimit|hazardous|vibration|food|corrosive)/,
  /^(rules|money|method|motor|history|errand|waived|accepted|drive\.braking|guard\.role|guard\.coordination)/,
];

const pathsOf = (value: unknown, at = ''): string[] =>
  typeof value !== 'object' || value === null || Array.isArray(value)
    ? [at]
    : Object.entries(value).flatMap(([k, v]) => pathsOf(v, at === '' ? k : `${at}.${k}`));

function without(text: CaseText, path: string): CaseText | undefined {
  const copy = structuredClone(text) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop();
  let at: Record<string, unknown> = copy;
  for (const key of keys) {
    const next = at[key];
    if (typeof next !== 'object' || next === null) return undefined;
    at = next as Record<string, unknown>;
  }
  if (last === undefined) return undefined;
  Reflect.deleteProperty(at, last);
  return readCase(copy).ok ? (copy as unknown as CaseText) : undefined;
}

describe('nothing green that is not so, over random cases of both practices', () => {
  it('a state follows from findings, conditions and what is unsaid; every reason is a finding told or a path', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        const r = result(text);
        const told = new Set(r.findings.map((f) => f.id));
        for (const id of stations) {
          const { state, because } = r.stations[id];
          for (const reason of because) expect(told.has(reason) || known(reason), `${id}: ${reason}`).toBe(true);
          const own = r.findings.filter((f) => f.station === id && f.accepted === null);
          if (own.some((f) => f.level === 'stop')) expect(state, id).toBe('stop');
          if (state === 'enough')
            expect(
              own.filter((f) => f.level === 'caution').map((f) => f.id),
              id,
            ).toEqual([]);
          if (state === 'empty') expect(because, id).toEqual([]);
          // What keeps from enough is nothing but what was accepted.
          if (state === 'enough')
            for (const reason of because)
              expect(
                r.findings.some((f) => f.id === reason && f.accepted !== null),
                `${id}: ${reason}`,
              ).toBe(true);
          if (state === 'stop' || state === 'caution' || state === 'condition' || state === 'waits')
            expect(because.length, id).toBeGreaterThan(0);
        }
        for (const asks of ['plate', 'load', 'place', 'speed'] as const)
          if (r.findings.some((f) => f.station === asks && f.level === 'stop' && !f.doubt)) {
            expect(r.choice).toBeNull();
            for (const on of ['choice', 'start', 'guard', 'drive', 'cost', 'sheet'] as const)
              expect(r.stations[on].state, on).toBe('stop');
          }
      }),
      { numRuns: runs, seed },
    );
  });
  it('a choice passes only where its station does, and lists its conditions there', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        const r = result(text);
        if (!r.choice) return;
        const { state, because } = r.stations.choice;
        if (r.choice.outcome === 'pass') expect(['enough', 'condition']).toContain(state);
        for (const field of conditionsOf(r)) expect(because).toContain(field);
        if (conditionsOf(r).length > 0) expect(state).not.toBe('enough');
        if (r.stations.sheet.state === 'enough') {
          expect(r.choice.outcome).toBe('pass');
          expect(text.place?.hazardous).toBe(false);
        }
      }),
      { numRuns: runs, seed },
    );
  });
  it('what is open names fields of the case, the explosive place first, and never more than a dozen', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        const { open } = result(text);
        for (const o of open) expect(known(o.field), o.field).toBe(true);
        expect(open.length).toBeLessThanOrEqual(12);
        expect(new Set(open.map((o) => o.field)).size).toBe(open.length);
        if (text.place?.hazardous === undefined && (text.load || text.plate))
          expect(open[0]?.field).toBe('place.hazardous');
      }),
      { numRuns: runs, seed },
    );
  });
  it('every figure that a result names is in it', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        const r = result(text);
        const named = [
          ...r.candidates.flatMap((c) => c.verdicts.flatMap((v) => v.figures)),
          ...r.methods.flatMap((m) => m.verdicts.flatMap((v) => v.figures)),
          ...r.findings.flatMap((f) => f.figures),
        ];
        for (const id of named) expect(r.figures[id], id).toBeDefined();
      }),
      { numRuns: runs, seed },
    );
  });
  it('between drive and motor stands one thing: in verdict, settings and buying lines', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        const r = result({ ...text, method: 'drive' });
        const set = r.drive?.settings.find((x) => x.id === 'filter')?.value;
        if (r.choice?.method !== 'drive' || r.choice.basis !== 'load' || set === undefined) return;
        const kind = (s: string): string => /sine filter|dV\/dt filter|output reactor/.exec(s)?.[0] ?? 'bare';
        const bought = r.choice.buying.filter((l) => l.what === 'With it').map((l) => kind(l.text));
        const accepted = text.rules?.inverterDuty === 'modern' || text.rules?.inverterDuty === 'plate';
        if (!accepted) expect(bought.find((k) => k !== 'bare') ?? 'bare').toBe(kind(set));
      }),
      { numRuns: runs, seed },
    );
  });
});

describe('one answer to one question, over random cases of both practices', () => {
  const chosen = (text: CaseText): Result | undefined => {
    const r = result(text);
    return r.choice?.basis === 'load' && r.guard ? r : undefined;
  };
  const verdict = (r: Result, id: string) => r.candidates[0]?.verdicts.find((v) => v.requirement === id);
  it('the cable of start, dip and choice is the one that Guard sizes', () => {
    let seen = 0;
    fc.assert(
      fc.property(everyStation, (text) => {
        const r = chosen(text);
        const size = r?.figures['guard.conductorArea']?.text;
        const told = r && /lost on (.*?)[:.]( |$)/.exec(verdict(r, 'cable')?.text ?? '')?.[1];
        if (size === undefined || !told) return;
        seen++;
        expect(told).toContain(size);
      }),
      { numRuns: runs, seed },
    );
    expect(seen).toBeGreaterThan(runs / 30);
  });
  it('the line shows the filter, resistor, contactors and relays that were decided, and no drive where none is', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        const r = result(text);
        const parts = r.guard?.parts ?? [];
        const has = (kind: string): boolean => parts.some((p) => p.kind === kind);
        if (parts.length === 0) return;
        const drive = r.subject?.method === 'drive';
        expect(has('drive')).toBe(drive);
        expect(has('soft-starter')).toBe(r.subject?.method === 'soft-starter');
        // Without a load nothing is told of a drive that was pinned.
        if (r.drive) expect(r.drive.settings.length > 0).toBe(drive);
        else expect(r.choice).toBeNull();
        const filter = r.drive?.settings.find((s) => s.id === 'filter')?.value;
        if (drive && filter !== undefined) expect(has('filter')).toBe(!filter.startsWith('bare'));
        expect(parts.filter((p) => p.beside === 'leaves').length).toBe(drive && text.drive?.bypass === true ? 1 : 0);
        if (drive && (text.drive?.motors ?? 1) > 1)
          expect(parts.some((p) => p.kind === 'overload' && p.name.includes(`${text.drive?.motors}`))).toBe(true);
      }),
      { numRuns: runs, seed },
    );
  });
  it('no tick stands beside a margin below nought, nor a margin that tells nothing', () => {
    fc.assert(
      fc.property(everyStation, (text) => {
        for (const c of result(text).candidates.slice(0, 5))
          for (const v of c.verdicts) {
            if (v.outcome === 'pass' && v.margin !== null && v.margin < 0) expect(v.tight, v.text).toBe(true);
            if (v.outcome === 'pass' && !v.condition && !v.remedy)
              expect(v.text, v.requirement).not.toMatch(/cannot|too small|too hot|stalls|exceeds/);
            expect(v.text).not.toMatch(/[6-9]\d\d %|\d{4,} %/);
          }
      }),
      { numRuns: runs, seed },
    );
  });
});

describe('what is unsaid is never better than what is known', () => {
  it('taking away what describes improves no outcome, except where its absence is told as a condition', () => {
    fc.assert(
      fc.property(everyStation, fc.nat(), (text, n) => {
        const paths = pathsOf(text).filter((p) => !/^(format|practice|name)$/.test(p) && !asked.some((a) => a.test(p)));
        const path = paths[n % Math.max(1, paths.length)];
        const less = path === undefined ? undefined : without(text, path);
        if (!less || path === undefined) return;
        const [before, after] = [result(text), result(less)];
        if (rank[outcomeOf(after)] <= rank[outcomeOf(before)]) return;
        const said = [...after.open.map((o) => o.field), ...after.stations.choice.because, ...conditionsOf(after)];
        const told = said.some((f) => f === path || path.startsWith(`${f}.`) || f.startsWith(`${path}.`));
        expect(told, `${path}: ${outcomeOf(before)} → ${outcomeOf(after)}`).toBe(true);
      }),
      { numRuns: runs, seed },
    );
  });
});
