import { readFileSync } from 'node:fs';
import { demoCombinations, screenColumns, type ScreenQuery } from '@pilgrim/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { solver } from '$lib/solver/solver';

const demo = (file: string): Record<string, unknown> => {
  const read: { case: Record<string, unknown> } = JSON.parse(readFileSync(`demo/positions/${file}`, 'utf8'));
  return read.case;
};
const pump = demo('09-ut-510.json');
const blower = demo('05-ge-310.json');
const everything: ScreenQuery = {
  outcomes: ['pass', 'caution', 'fail'],
  text: '',
  shelfOnly: false,
  sort: 'rank',
  descending: false,
};

beforeEach(() => {
  solver.shelf([], [], []);
  solver.draft(pump);
});

describe('a draft', () => {
  it('is solved as far as it can be read, and what cannot is said at its field', () => {
    const { result, errors } = solver.draft({ ...pump, place: { ambient: 'warm' } });
    expect(errors.map((e) => e.path)).toEqual(['place.ambient']);
    expect(result?.choice?.motor.power).toBe('22 kW');
  });
  it('that is no case at all gives errors and no result', () => {
    const { result, errors } = solver.draft('nothing');
    expect(result).toBeNull();
    expect(errors.length).toBeGreaterThan(0);
  });
  it('is told a dozen candidates while typing, the table has all', () => {
    expect(solver.draft(pump).result?.candidates.length).toBeLessThanOrEqual(12);
    expect(solver.rows(everything, 0, 1).total).toBeGreaterThan(800);
  });
});

describe('rows of the table', () => {
  it('come in stretches that join without gap or overlap', () => {
    const all = solver.rows(everything, 0, 60).rows.map((r) => r.entry);
    const parts = [0, 20, 40].flatMap((from) => solver.rows(everything, from, 20).rows.map((r) => r.entry));
    expect(parts).toEqual(all);
  });
  it.each(screenColumns)('sorted by %s, both ways, the column runs in order', (sort) => {
    const read = (descending: boolean) => solver.rows({ ...everything, sort, descending }, 0, 2000).rows;
    if (sort === 'rank') {
      expect(read(true).map((r) => r.entry)).toEqual(
        read(false)
          .map((r) => r.entry)
          .toReversed(),
      );
      return;
    }
    const up = read(false).map((r) => r[sort]);
    const down = read(true).map((r) => r[sort]);
    const known = (list: readonly unknown[]) => list.filter((v) => v !== null);
    for (const [list, sign] of [
      [known(up), 1],
      [known(down), -1],
    ] as const)
      for (let i = 1; i < list.length; i++) {
        const [a, b] = [list[i - 1], list[i]];
        if (typeof a === 'number' && typeof b === 'number') expect((b - a) * sign).toBeGreaterThanOrEqual(0);
        else expect(String(a).localeCompare(String(b), 'en', { numeric: true }) * sign).toBeLessThanOrEqual(0);
      }
    expect(known(up).length).toBe(known(down).length);
  });
  it('can be asked for one outcome, for words, and for the own shelf alone', () => {
    const failed = solver.rows({ ...everything, outcomes: ['fail'] }, 0, 2000);
    expect(failed.rows.every((r) => r.outcome === 'fail' && r.short !== null)).toBe(true);
    const named = solver.rows({ ...everything, text: 'ip66 4-pole' }, 0, 2000).rows;
    expect(named.length).toBeGreaterThan(3);
    expect(named.every((r) => r.poles === 4 && /IP66/.test(r.name))).toBe(true);
    expect(solver.rows({ ...everything, shelfOnly: true }, 0, 10).total).toBe(0);
  });
  it('a candidate of a row is put into words when asked', () => {
    const row = solver.rows({ ...everything, outcomes: ['fail'] }, 0, 1).rows[0] ?? expect.fail();
    const [candidate, ...more] = solver.explain([row.id, 'no such motor']);
    expect(more).toEqual([]);
    expect(candidate?.motor.id).toBe(row.id);
    expect(candidate?.change).not.toBeNull();
  });
});

describe('the own shelf', () => {
  const entry = {
    id: 'shelf-1',
    name: 'Spare of the cooling water',
    plate: {
      power: '22 kW',
      voltage: '400/690 V',
      current: '41/23.8 A',
      speed: '1476 rpm',
      frequency: '50 Hz',
      enclosure: 'IP55',
      efficiency: 0.93,
    },
    quantity: 1,
    place: 'bay 3',
    days: null,
    keptFor: '',
    price: null,
  };
  it('is judged beside the catalogue from the next draft on', () => {
    solver.shelf([entry], [], []);
    solver.draft(pump);
    const rows = solver.rows({ ...everything, shelfOnly: true }, 0, 10);
    expect(rows.rows.map((r) => r.id)).toEqual(['shelf-1']);
    expect(rows.rows[0]?.stock).toBe(1);
  });
  it('the plant’s own combinations stand instead of those that ship', () => {
    const starter = {
      ...{ ...demo('04-st-230.json'), method: 'direct', guard: { role: 'process' } },
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level', current: '10 kA' } },
    };
    const tables = (own: Parameters<typeof solver.shelf>[2]) => {
      solver.shelf([], [], own);
      return solver.draft(starter).result?.guard?.combination.taken?.table;
    };
    expect(tables([])).toContain('invented');
    const own = demoCombinations().map((c) => ({ ...c, table: 'builder.csv' }));
    expect(tables(own)).toBe('builder.csv');
    expect(tables([])).toContain('invented');
  });
  it('a motor of it is fitted with a circuit and started like any other', () => {
    solver.shelf([entry], [], []);
    const { result } = solver.draft({ ...pump, motor: { catalogue: 'shelf-1' } });
    expect(result?.start?.machine).toMatchObject({ origin: 'fitted' });
    expect(result?.start?.machine.assumed.join(' ')).toContain('usual for the rating');
  });
});

describe('the start', () => {
  it('is tried with other settings without the case being solved again', () => {
    const before = solver.rows(everything, 0, 5).rows.map((r) => r.entry);
    const gentle = solver.preview({ ...pump, start: { softStarter: { limit: 2.6, ramp: 'none' } } }, 'soft-starter');
    const hard = solver.preview({ ...pump, start: { softStarter: { limit: 4.5, ramp: 'none' } } }, 'soft-starter');
    expect(gentle?.peakCurrent ?? Infinity).toBeLessThan(hard?.peakCurrent ?? 0);
    expect(gentle?.arrival ?? 0).toBeGreaterThan(hard?.arrival ?? Infinity);
    expect(gentle?.time.length).toBe(gentle?.speed.length);
    expect(solver.rows(everything, 0, 5).rows.map((r) => r.entry)).toEqual(before);
  });
  it('a setting that cannot be read leaves the usual one', () => {
    const bad = solver.preview({ ...pump, start: { softStarter: { limit: 40 } } }, 'soft-starter');
    expect(bad?.settings.find((s) => s.path === 'start.softStarter.limit')?.value).toBe(3.5);
  });
  it('previews what the case itself would show', () => {
    const edited = { ...pump, start: { starDelta: { time: '1.5 s', transition: 'closed' } } };
    const preview = solver.preview(edited, 'star-delta');
    const row = solver.draft(edited).result?.start?.rows.find((r) => r.method === 'star-delta');
    expect(preview?.arrival).toBeCloseTo(row?.run?.time ?? NaN, 6);
    expect(preview?.peakCurrent).toBeCloseTo(row?.run?.peakCurrent ?? NaN, 6);
  });
  it('settings are found that then bring the machine up', () => {
    const limit = solver.settings().find((f) => f.path === 'start.softStarter.limit');
    const tried = solver.preview({ ...pump, start: { softStarter: { limit: Number(limit?.value) } } }, 'soft-starter');
    expect(tried?.ending).toBe('running');
  });
  it('first cycles and working points are of the newest draft’s motor', () => {
    const small = solver.cycles('direct')?.peakCurrent ?? 0;
    expect(solver.operate(400, 50, 1)?.at?.output).toBeCloseTo(22_000, -2);
    solver.draft(blower);
    expect(solver.cycles('direct')?.peakCurrent ?? 0).toBeGreaterThan(small);
    const rated = solver.draft(blower).result?.figures['choice.ratedPower']?.value ?? NaN;
    expect(solver.operate(400, 50, 1)?.at?.output).toBeCloseTo(rated, -2);
  });
  it('without a motor there is nothing to try', () => {
    solver.draft({ format: 'pilgrim.case/1', practice: 'iec' });
    expect(solver.preview(pump, 'direct')).toBeNull();
    expect(solver.settings()).toEqual([]);
    expect(solver.cycles('direct')).toBeNull();
    expect(solver.operate(400, 50, 1)).toBeNull();
  });
});

describe('what else it is asked', () => {
  it('the same machine on other poles', () => {
    const poles = solver.poles();
    expect(poles.map((p) => p.poles)).toEqual([2, 4, 6, 8]);
    expect(poles.find((p) => p.here)?.poles).toBe(4);
  });
  it('a plate’s text', () => {
    expect(solver.plateText('15 kW 400 V 27,9 A 1470 min⁻¹ 50 Hz').plate).toMatchObject({ power: '15 kW' });
  });
  it('what would change the choice', () => {
    expect(solver.changes(pump).map((c) => c.of)).toContain('load');
    expect(solver.changes({ format: 'pilgrim.case/1', practice: 'iec' })).toEqual([]);
  });
});

describe('warming up', () => {
  it('repeats the first draft ten times while nobody asks, and leaves the newest standing', async () => {
    vi.resetModules();
    vi.useFakeTimers();
    try {
      const fresh = (await import('$lib/solver/solver')).solver;
      fresh.draft(pump);
      expect(vi.getTimerCount()).toBe(1);
      fresh.draft(blower);
      const first = () => fresh.rows(everything, 0, 1).rows[0]?.entry;
      const choice = first();
      let repeats = 0;
      for (; vi.getTimerCount() > 0; repeats++) vi.advanceTimersToNextTimer();
      expect(repeats).toBe(10);
      expect(first()).toBe(choice);
      // The pump's, which was repeated, is another one.
      fresh.draft(pump);
      expect(first()).not.toBe(choice);
      expect(vi.getTimerCount()).toBe(0);
    } finally {
      vi.useRealTimers();
    }
  });
});
