import type { CaseText } from '@pilgrim/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Sql } from '$lib/server/db/database';
import type { PlantPage, PlantRow } from '$lib/plant/rows';
import { plantHead, plantPage, plantQuery } from '$lib/server/positions/plantList';
import { createPosition, findPosition, listPositions, setDeleted } from '$lib/server/positions/positions';
import { example, scratchDatabase, studiesIn } from './scratch';

let sql: Sql;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ sql, drop } = await scratchDatabase());
});
afterAll(() => drop());
const { saved } = studiesIn(() => sql);

describe('the plant list, a page at a time', () => {
  const plant = `Plant ${crypto.randomUUID()}`;
  const ask = (query: Readonly<Record<string, unknown>> = {}) => plantPage(sql, plantQuery.parse(query));
  /** All pages one after the other. */
  async function paged(query: Readonly<Record<string, unknown>>): Promise<PlantRow[]> {
    const rows: PlantRow[] = [];
    for (let after: string | null = ''; after !== null;) {
      const page: PlantPage = await ask({ ...query, after });
      rows.push(...page.rows);
      after = page.next;
    }
    return rows;
  }
  const ids = (rows: readonly PlantRow[]) => rows.map((r) => r.id);
  let solved = '';
  let empty = '';
  let stopped = '';

  beforeAll(async () => {
    for (const [i, tag] of ['Q-10', 'Q-9', 'Q-100', 'Q-9', 'q-1', 'Q-10b'].entries())
      await createPosition(sql, { tag, name: `Pump 100% _${i}`, area: i % 2 ? 'Cellar' : 'Attic', plant });
    const at = async (tag: string, caseText?: CaseText): Promise<string> => {
      const id = await createPosition(sql, { tag, name: 'Solved', area: 'Attic', plant });
      const row = await findPosition(sql, id);
      if (caseText && row) await saved(row.studyId, null, caseText);
      return id;
    };
    solved = await at('Q-50', example);
    empty = await at('Q-51', { format: 'pilgrim.case/1', practice: 'iec' });
    const plate = { remarks: 'explosion-proof' };
    stopped = await at('Q-52', { format: 'pilgrim.case/1', practice: 'north-america', plate });
  });

  it.each(['area', 'tag', 'name', 'machine', 'choice', 'state', 'open', 'cost'])(
    'by %s, either way and in pages of any size, has every position once and in one order',
    async (by) => {
      const there = (await listPositions(sql)).map((p) => p.id).toSorted();
      for (const way of ['asc', 'desc']) {
        const whole = ids((await ask({ by, way, limit: 500 })).rows);
        expect(whole.toSorted()).toEqual(there);
        for (const limit of [1, 7, whole.length]) expect(ids(await paged({ by, way, limit }))).toEqual(whole);
        const other = ids((await ask({ by, way: way === 'asc' ? 'desc' : 'asc', limit: 500 })).rows);
        expect(other.toReversed()).toEqual(whole);
      }
    },
  );
  it('sorts tags by their numbers, and says which stands twice', async () => {
    const { rows, total } = await ask({ find: 'pump 100% _', by: 'tag' });
    expect(rows.map((r) => r.tag)).toEqual(['q-1', 'Q-9', 'Q-9', 'Q-10', 'Q-10b', 'Q-100']);
    expect(rows.map((r) => r.twice)).toEqual([false, true, true, false, false, false]);
    expect(total).toBe(6);
  });
  it('finds what was typed as it stands, in tag, name, area, machine and choice', async () => {
    const found = async (find: string) => ids((await ask({ find, limit: 500 })).rows);
    expect(await found('PUMP 100% _3')).toHaveLength(1);
    expect(await found('100%_')).toHaveLength(0);
    expect(await found('cellar')).toHaveLength(3);
    expect(await found('q-50')).toContain(solved);
    expect(await found(example.load?.machine?.replaceAll('-', ' ') ?? '?')).toContain(solved);
  });
  it('tells of each what stands: as its sheet does, stopped, or nothing chosen', async () => {
    const row = async (find: string) => (await ask({ find })).rows[0];
    const whole = (await listPositions(sql)).find((p) => p.id === solved);
    expect(await row('Q-50')).toMatchObject({
      id: solved,
      state: whole?.stations?.sheet?.state,
      choice: whole?.choice,
      cost: (whole?.newEnergy ?? NaN) * (whole?.energyPrice ?? NaN),
      worst: whole?.worst && { level: whole.worst.level, text: whole.worst.text },
    });
    expect(await row('Q-51')).toMatchObject({ id: empty, state: 'empty', choice: null, cost: null });
    expect((await row('Q-51'))?.open).toContain('load');
    expect(await row('Q-52')).toMatchObject({ id: stopped, state: 'stop', choice: null });
    expect(await row('Q-100')).toMatchObject({ state: 'empty', open: null, worst: null });
  });
  it('shows those of one state, and those of given studies', async () => {
    const shown = async (show: string) => ids((await ask({ show, find: 'q-5', limit: 500 })).rows);
    expect(await shown('stop')).toEqual([stopped]);
    expect(await shown('empty')).toEqual([empty]);
    const of = await findPosition(sql, empty);
    expect(ids((await ask({ show: 'draft', studies: `none,${of?.studyId ?? ''}` })).rows)).toEqual([empty]);
    expect((await ask({ show: 'draft' })).rows).toEqual([]);
  });
  it.each(['x', 'W10', Buffer.from('["a","b","c"]').toString('base64url')])('%s is no place in it', async (after) => {
    await expect(ask({ after })).rejects.toMatchObject({ problem: { status: 400 } });
  });
  it('what lies in the trash is in no page, but counted', async () => {
    const { trashed } = await plantHead(sql);
    await setDeleted(sql, solved, 1, true);
    expect((await ask({ find: 'q-50' })).total).toBe(0);
    expect((await plantHead(sql)).trashed).toBe(trashed + 1);
  });
});
