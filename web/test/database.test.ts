import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { choiceInWords, demoCombinations, keep, nameplate, readCase, solve, type CaseText } from '@pilgrim/core';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect, migrate, type Sql } from '$lib/server/db/database';
import { loadDemo } from '$lib/server/seed/demo';
import { cleanImage, type CleanImage } from '$lib/server/photographs/image';
import {
  dropPhotograph,
  keepPhotograph,
  photographContent,
  photographsOf,
  photographsPerPosition,
} from '$lib/server/photographs/photographs';
import type { PlantPage, PlantRow } from '$lib/plant/rows';
import { plantHead, plantPage, plantQuery } from '$lib/server/positions/plantList';
import { exportPosition, importPosition, positionFile } from '$lib/server/exchange/exchange';
import {
  createPosition,
  createStudy,
  findHead,
  findPosition,
  findStudy,
  listPositions,
  makeLean,
  revisionsOf,
  saveRevision,
  setDeleted,
} from '$lib/server/positions/positions';
import {
  addToShelf,
  changeOnShelf,
  findPlant,
  plantOfStudy,
  sharedShelf,
  shelfLimit,
  shelfOf,
  takeOffShelf,
} from '$lib/server/shelf/shelf';
import { combinationsOf, dropCombinations, putCombinations } from '$lib/server/shelf/combinations';
import type { KeptShelf } from '$lib/server/solving/worker';

const folder = (path: string): string => fileURLToPath(new URL(`../../${path}`, import.meta.url));
const url = process.env.DATABASE_URL;
if (!url) throw new Error('DATABASE_URL is not set: run ./pilgrim test');
const name = `test_${crypto.randomUUID().replaceAll('-', '')}`;
let admin: Sql;
let sql: Sql;

beforeAll(async () => {
  admin = connect(url);
  await admin.unsafe(`create database ${name}`);
  sql = connect(url.replace(/\/[^/]*$/, `/${name}`));
  await migrate(sql, folder('db/migrations'));
});
afterAll(async () => {
  await sql.end();
  await admin.unsafe(`drop database ${name}`);
  await admin.end();
});

const example: CaseText = JSON.parse(readFileSync(folder('demo/example.case.json'), 'utf8'));

async function newStudy(): Promise<{ position: string; study: string }> {
  const position = await createPosition(sql, { tag: 'T-1', name: 'Test fan', area: 'Kilning', plant: 'Test plant' });
  const row = await findPosition(sql, position);
  if (!row) throw new Error('no position');
  return { position, study: row.studyId };
}

async function save(study: string, parent: string | null, caseText: CaseText = example) {
  return saveRevision(sql, study, parent, { caseText, author: 'tester', note: '' });
}

async function saved(study: string, parent: string | null, caseText?: CaseText): Promise<string> {
  const answer = await save(study, parent, caseText);
  if (!answer.ok) throw new Error('refused');
  return answer.revision.id;
}

describe('migrations', () => {
  it('run again without doing anything, also from two servers at once', async () => {
    await Promise.all([migrate(sql, folder('db/migrations')), migrate(sql, folder('db/migrations'))]);
    const versions = await sql<{ version: string }[]>`select version::text from schema_version where version > 0`;
    const there = readdirSync(folder('db/migrations')).map((file) => String(Number(file.split('.')[0])));
    expect(versions.map((v) => v.version)).toEqual(there.toSorted((a, b) => Number(a) - Number(b)));
  });
});

describe('revisions', () => {
  it('are solved on the server and kept with core version and author', async () => {
    const { study } = await newStudy();
    const id = await saved(study, null);
    const [revision] = await revisionsOf(sql, study);
    expect(revision).toMatchObject({ id, author: 'tester', parent: null, caseText: example });
    expect(revision?.result.choice?.method).toBe('drive');
    expect((await findStudy(sql, study))?.head).toBe(id);
  });
  it('a save with an outdated parent is refused with the revision that stands in the way', async () => {
    const { study } = await newStudy();
    const first = await saved(study, null);
    const second = await saved(study, first, { ...example, name: 'theirs' });
    const late = await save(study, first, { ...example, name: 'mine' });
    expect(late).toMatchObject({ ok: false, head: { id: second, caseText: { name: 'theirs' } } });
    expect(await revisionsOf(sql, study)).toHaveLength(2);
  });
  it('of many saves at once on one parent exactly one gets through', async () => {
    const { study } = await newStudy();
    const first = await saved(study, null);
    const answers = await Promise.all(Array.from({ length: 6 }, () => save(study, first)));
    expect(answers.filter((a) => a.ok)).toHaveLength(1);
  });
  it('keep what was answered and on what it rested, the case solved again gives the rest', async () => {
    const { study } = await newStudy();
    await saved(study, null);
    const [revision] = await revisionsOf(sql, study);
    const reading = readCase(example);
    if (!reading.ok) expect.fail('no case');
    const whole = solve(reading.value);
    expect(revision?.result).toEqual(keep(whole));
    expect(JSON.stringify(revision?.result).length).toBeLessThan(60_000);
  });
  it('of an earlier version, kept whole, are made lean once and stay what they are', async () => {
    const { study } = await newStudy();
    const reading = readCase(example);
    if (!reading.ok) expect.fail('no case');
    const whole = solve(reading.value);
    const old = async (result: unknown): Promise<string> => {
      const id = crypto.randomUUID();
      await sql`insert into revisions (id, study_id, case_text, result, core_version, author, note)
        values (${id}, ${study}, ${JSON.stringify(example)}::text::jsonb, ${JSON.stringify(result)}::text::jsonb,
          '0.0.9', 'earlier', 'as it was')`;
      return id;
    };
    const [id, spoilt] = [await old(whole), await old({ format: 'of another time' })];
    await makeLean(sql);
    const there = await revisionsOf(sql, study);
    const of = { author: 'earlier', note: 'as it was', coreVersion: '0.0.9', caseText: example };
    expect(there.find((r) => r.id === id)).toMatchObject({ ...of, result: keep(whole) });
    // What nobody can read is nobody's to change.
    expect(there.find((r) => r.id === spoilt)).toMatchObject({ ...of, result: { format: 'of another time' } });
    await expect(sql`update revisions set result = '{}' where id = ${id}`).rejects.toThrow('immutable');
  });
  it('a page brings of the newest one its stations and its choice in words', async () => {
    const { study } = await newStudy();
    expect(await findHead(sql, study)).toBeNull();
    const id = await saved(study, null);
    const [revision] = await revisionsOf(sql, study);
    if (!revision?.result.choice) expect.fail('nothing chosen');
    const { stations, choice } = revision.result;
    expect(await findHead(sql, study)).toMatchObject({ id, stations, choice: choiceInWords(choice) });
  });
  it('cannot be changed or deleted', async () => {
    const { study } = await newStudy();
    const id = await saved(study, null);
    await expect(sql`update revisions set author = 'x' where id = ${id}`).rejects.toThrow('immutable');
    await expect(sql`delete from revisions where id = ${id}`).rejects.toThrow('immutable');
  });
});

describe('what many do at once, and what is asked of what was deleted', () => {
  it('fifty positions at once in a new plant make one plant and one area', async () => {
    const plant = `Plant ${crypto.randomUUID()}`;
    await Promise.all(
      Array.from({ length: 50 }, (_, i) => createPosition(sql, { tag: `P-${i}`, name: 'Pump', area: 'Hall', plant })),
    );
    const listed = (await listPositions(sql)).filter((p) => p.plant === plant);
    expect(listed).toHaveLength(50);
    expect(new Set(listed.map((p) => p.plantId)).size).toBe(1);
    expect(await sql`select id from plants where name = ${plant}`).toHaveLength(1);
  });
  it('a study made later never stands before the first', async () => {
    const { position, study } = await newStudy();
    await createStudy(sql, position, 'A study before Main in the alphabet');
    expect((await findPosition(sql, position))?.studyId).toBe(study);
    expect((await listPositions(sql)).find((p) => p.id === position)?.studyId).toBe(study);
  });
  it('a position in the trash is not written to', async () => {
    const { position, study } = await newStudy();
    await setDeleted(sql, position, 1, true);
    await expect(save(study, null)).rejects.toMatchObject({ problem: { status: 409 } });
    expect((await findStudy(sql, study))?.head).toBeNull();
  });
  it('a list shows what the revision says, without reading it', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const [revision] = await revisionsOf(sql, study);
    const listed = (await listPositions(sql)).find((p) => p.id === position);
    const result = revision?.result;
    expect(result?.choice).not.toBeNull();
    expect(listed).toMatchObject({
      practice: example.practice,
      machine: example.load?.machine,
      choice: [result?.choice?.motor.power, result?.choice?.motor.enclosure, result?.choice?.method].join(' · '),
      stations: result?.stations,
      worst: result?.findings[0] ?? null,
      newEnergy: result?.figures['cost.newEnergy']?.value ?? null,
      energyPrice: example.money?.energyPrice ?? null,
    });
  });
  it('where prices go by the time of the week, what its energy costs is by their mean', async () => {
    const { position, study } = await newStudy();
    const { energyPrice: _, ...money } = example.money ?? {};
    const tariff: NonNullable<CaseText['money']>['tariff'] = [
      { from: '00:00', to: '12:00', days: 'all', price: 0.1 },
      { from: '12:00', to: '24:00', days: 'all', price: 0.3 },
    ];
    await saved(study, null, { ...example, money: { ...money, tariff } });
    const listed = (await listPositions(sql)).find((p) => p.id === position);
    expect(listed?.energyPrice).toBeCloseTo(0.2, 6);
    const [{ cost } = { cost: NaN }] = await sql<{ cost: number }[]>`
      select energy_cost as cost from revisions where study_id = ${study}`;
    expect(cost / ((listed?.newEnergy ?? NaN) * 0.2)).toBeCloseTo(1, 6);
  });
});

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
  it('tells of each what stands: solved or with cautions, stopped, or nothing chosen', async () => {
    const row = async (find: string) => (await ask({ find })).rows[0];
    const whole = (await listPositions(sql)).find((p) => p.id === solved);
    const states = Object.values(whole?.stations ?? {}).map((s) => s.state);
    expect(await row('Q-50')).toMatchObject({
      id: solved,
      state: states.includes('stop') ? 'stop' : states.includes('caution') ? 'caution' : 'enough',
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

describe('a position', () => {
  it('goes into the trash and comes back from its file with its ids, the same', async () => {
    const { position, study } = await newStudy();
    const first = await saved(study, null);
    await saved(study, first, { ...example, name: 'second' });
    const file = await exportPosition(sql, position);
    expect(await setDeleted(sql, position, 1, true)).toBe(true);
    expect((await listPositions(sql)).map((p) => p.id)).not.toContain(position);
    const read = positionFile.parse(JSON.parse(JSON.stringify(file)));
    expect(await importPosition(sql, read)).toEqual({ ok: true, id: position });
    expect(await exportPosition(sql, position)).toEqual(file);
  });
  it('arrives whole on another machine', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const file = await exportPosition(sql, position);
    const other = `${name}_b`;
    await admin.unsafe(`create database ${other}`);
    const there = connect(url.replace(/\/[^/]*$/, `/${other}`));
    try {
      await migrate(there, folder('db/migrations'));
      expect(await importPosition(there, positionFile.parse(JSON.parse(JSON.stringify(file))))).toMatchObject({
        ok: true,
      });
      expect(await exportPosition(there, position)).toEqual(file);
    } finally {
      await there.end();
      await admin.unsafe(`drop database ${other}`);
    }
  });
  it('that is here already is not overwritten by a file, and a file that holds no case is refused', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    expect(await importPosition(sql, file)).toMatchObject({
      ok: false,
      message: expect.stringContaining('here already'),
    });
    const spoiled = {
      ...file,
      studies: file.studies.map((s) => ({
        ...s,
        revisions: s.revisions.map((r) => ({ ...r, caseText: { format: 'nonsense' } })),
      })),
    };
    expect(await importPosition(sql, spoiled)).toMatchObject({ ok: false });
  });
  describe('a file touches nothing of another position', () => {
    /** A position whose file is at hand, and one that lives beside it. */
    async function pair() {
      const [own, other] = [await newStudy(), await newStudy()];
      const revision = await saved(own.study, null);
      await saved(own.study, revision);
      await saved(other.study, null);
      const read = async (id: string) => positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, id))));
      const [file, beside] = [await read(own.position), await read(other.position)];
      await setDeleted(sql, own.position, 1, true);
      return { file, beside, unharmed: async () => expect(await read(other.position)).toEqual(beside) };
    }
    type File = Awaited<ReturnType<typeof pair>>['file'];
    const mainOf = (file: File) => {
      const [study] = file.studies;
      if (!study) throw new Error('no study');
      return study;
    };
    const renamed = (file: File, studyId: string): File => ({
      ...file,
      studies: [{ ...mainOf(file), id: studyId, revisions: mainOf(file).revisions.map((r) => ({ ...r, studyId })) }],
    });

    it('with the id of another’s study', async () => {
      const { file, beside, unharmed } = await pair();
      const spoilt = renamed({ ...file, position: { ...file.position, id: crypto.randomUUID() } }, mainOf(beside).id);
      expect(await importPosition(sql, spoilt)).toMatchObject({
        ok: false,
        message: expect.stringMatching(/study .* another position/),
      });
      expect(await importPosition(sql, renamed(file, mainOf(beside).id))).toMatchObject({ ok: false });
      await unharmed();
      expect((await findPosition(sql, file.position.id))?.deleted).toBe(true);
    });
    it('with the id of another’s revision, as head or among the rest', async () => {
      const { file, beside, unharmed } = await pair();
      const stolen = mainOf(beside).revisions[0];
      const study = mainOf(file);
      if (!stolen) throw new Error('no revision');
      const among = {
        ...file,
        studies: [
          {
            ...study,
            revisions: [...study.revisions, { ...stolen, studyId: study.id, parent: null }],
            head: stolen.id,
          },
        ],
      };
      expect(await importPosition(sql, among)).toMatchObject({
        ok: false,
        message: expect.stringMatching(/revision .* another/),
      });
      const head = { ...file, studies: [{ ...study, head: stolen.id }] };
      expect(await importPosition(sql, head)).toMatchObject({ ok: false, faults: [{ path: 'studies.0.head' }] });
      await unharmed();
    });
    it('with the id of another’s photograph', async () => {
      const { file, beside, unharmed } = await pair();
      const content = readFileSync(folder('demo/photographs/in-110.jpg'));
      const clean = cleanImage(content);
      if (!clean) throw new Error('no picture');
      const kept = await keepPhotograph(sql, beside.position.id, 'plate.jpg', clean);
      const picture = {
        id: kept?.id ?? '',
        name: 'x.jpg',
        createdAt: new Date().toISOString(),
        data: content.toString('base64'),
      };
      expect(await importPosition(sql, { ...file, photographs: [picture] })).toMatchObject({
        ok: false,
        message: expect.stringContaining('photograph'),
      });
      await dropPhotograph(sql, picture.id);
      await unharmed();
    });
    it('that contradicts itself is refused with the path of each fault', async () => {
      const { file } = await pair();
      const study = mainOf(file);
      const [first, second] = study.revisions;
      if (!first || !second) throw new Error('no revisions');
      const faults = async (revisions: typeof study.revisions, more: Partial<typeof study> = {}) => {
        const done = await importPosition(sql, { ...file, studies: [{ ...study, revisions, ...more }] });
        return done.ok ? [] : (done.faults?.map((f) => f.path) ?? []);
      };
      expect(await faults([second, first])).toEqual(['studies.0.revisions.0.parent']);
      expect(await faults([first, first, second])).toEqual(['studies.0.revisions.1.id']);
      expect(await faults([{ ...first, studyId: crypto.randomUUID() }, second])).toEqual([
        'studies.0.revisions.0.studyId',
      ]);
      expect(await faults([{ ...first, parent: crypto.randomUUID() }, second])).toEqual([
        'studies.0.revisions.0.parent',
      ]);
      expect(await faults([first, second], { head: crypto.randomUUID() })).toEqual(['studies.0.head']);
      expect(await faults([{ ...first, result: {} }, second])).toEqual(['studies.0.revisions.0.result']);
      expect(
        positionFile.safeParse({ ...file, studies: [{ ...study, revisions: [{ ...first, createdAt: 'long ago' }] }] })
          .success,
      ).toBe(false);
      expect(await importPosition(sql, file)).toMatchObject({ ok: true });
    });
    it('however it is made: of other positions not a row changes, and a refused file changes none (property)', async () => {
      const { file, beside } = await pair();
      const third = await newStudy();
      await saved(third.study, null);
      // A line for each row: which it is, and a digest of all it holds.
      const rows = async (own: string): Promise<string> => {
        const digests = await sql<{ line: string }[]>`
          select 'position ' || p.id || md5(p::text) as line from positions p where p.id <> ${own}
          union all select 'study ' || s.id || md5(s::text) from studies s where s.position_id <> ${own}
          union all select 'revision ' || r.id || r.study_id || md5(coalesce(r.parent::text, '') || r.author ||
              r.note ||
              md5(r.case_text::text) || md5(r.result::text))
            from revisions r join studies s on s.id = r.study_id
            where s.position_id <> ${own} and s.position_id = any(${watched})
          union all select 'photograph ' || h.id || h.position_id from photographs h where h.position_id <> ${own}
          union all select 'plant ' || l.id || l.name from plants l
          order by 1`;
        return digests.map((d) => d.line).join('\n');
      };
      const watched = [file.position.id, beside.position.id, third.position];
      const known = [file, beside].flatMap((f) => [
        f.position.id,
        ...f.studies.flatMap((s) => [s.id, ...s.revisions.map((r) => r.id)]),
      ]);
      const pool = fc.oneof(fc.constantFrom(...known, third.position, third.study), fc.uuid({ version: 4 }));
      // Mostly as it was: a file with one thing wrong gets further than one with all of it wrong.
      const maybe = fc.oneof({ weight: 3, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: pool });
      const crafted = fc
        .record({
          of: fc.constantFrom(file, beside),
          own: maybe,
          study: maybe,
          heads: maybe,
          revisions: fc.array(maybe, { minLength: 2, maxLength: 2 }),
          parents: fc.array(maybe, { minLength: 2, maxLength: 2 }),
          reversed: fc.boolean(),
        })
        .map(({ of, own, study, heads, revisions, parents, reversed }): File => {
          const main = mainOf(of);
          const made = main.revisions.map((r, i) => ({
            ...r,
            id: revisions[i] ?? r.id,
            studyId: study ?? r.studyId,
            parent: parents[i] ?? r.parent,
          }));
          return {
            ...of,
            position: { ...of.position, id: own ?? of.position.id },
            studies: [
              {
                ...main,
                id: study ?? main.id,
                head: heads ?? made.at(-1)?.id ?? null,
                revisions: reversed ? made.toReversed() : made,
              },
            ],
          };
        });
      let taken = 0;
      await fc.assert(
        fc.asyncProperty(crafted, async (spoilt) => {
          const own = spoilt.position.id;
          const living = (await findPosition(sql, own))?.deleted === false;
          const [others, all] = [await rows(own), await rows(crypto.randomUUID())];
          const answer = await importPosition(sql, spoilt);
          if (answer.ok) taken++;
          expect(await rows(own)).toEqual(others);
          if (!answer.ok || living) expect(await rows(crypto.randomUUID())).toEqual(all);
          if (living) expect(answer.ok).toBe(false);
        }),
        { numRuns: 60, seed: 13 },
      );
      expect(taken).toBeGreaterThan(0);
    });
    it('whose revision reads otherwise here', async () => {
      const { file } = await pair();
      const study = mainOf(file);
      const changed = study.revisions.map((r) => ({ ...r, caseText: { ...example, name: 'Something else' } }));
      expect(await importPosition(sql, { ...file, studies: [{ ...study, revisions: changed }] })).toMatchObject({
        ok: false,
        message: expect.stringMatching(/reads otherwise/),
      });
    });
  });
  it('is not deleted by somebody who saw an older version', async () => {
    const { position } = await newStudy();
    expect(await setDeleted(sql, position, 7, true)).toBe(false);
  });
});

describe('the demo plant', () => {
  it('loads into an empty database once, in different states and both practices', async () => {
    const other = `${name}_demo`;
    await admin.unsafe(`create database ${other}`);
    const there = connect(url.replace(/\/[^/]*$/, `/${other}`));
    try {
      await migrate(there, folder('db/migrations'));
      await loadDemo(there, folder('demo'));
      await loadDemo(there, folder('demo'));
      const rows = await listPositions(there);
      expect(rows.length).toBeGreaterThanOrEqual(8);
      expect(new Set(rows.map((r) => r.area))).toEqual(
        new Set(['Intake', 'Steeping', 'Germination', 'Kilning', 'Utilities']),
      );
      expect(new Set(rows.map((r) => r.practice))).toEqual(new Set(['north-america', 'iec', null]));
      expect((await shelfOf(there, rows[0]?.plantId ?? '')).map((m) => m.name)).toContain('Spare, kiln exhaust fans');
      expect(await shelfOf(there, rows[0]?.plantId ?? '')).toHaveLength(12);
      expect(rows.find((r) => r.tag === 'IN-120')?.worst).toMatchObject({ id: 'place.hazardous', level: 'stop' });
      // What is saved was chosen with the shelf there: this pump gets what lies in its own cage.
      const [cooling] = await there<{ name: string }[]>`
        select r.result #>> '{choice,motor,name}' as name
        from positions p join studies s on s.position_id = p.id join revisions r on r.id = s.head
        where p.tag = 'UT-510'`;
      expect(cooling?.name).toContain('Compressor, spare');
    } finally {
      await there.end();
      await admin.unsafe(`drop database ${other}`);
    }
  });
});

describe('photographs', () => {
  const image = (fill: number): CleanImage => ({
    type: 'image/jpeg',
    width: 9,
    height: 6,
    content: Buffer.alloc(40, fill),
  });
  it('are kept with their position, listed without content, read back byte by byte, and removed', async () => {
    const { position } = await newStudy();
    const kept = await keepPhotograph(sql, position, 'plate.jpg', image(7));
    expect(await photographsOf(sql, position)).toMatchObject([
      { id: kept?.id, name: 'plate.jpg', width: 9, height: 6 },
    ]);
    expect((await photographContent(sql, kept?.id ?? ''))?.content.equals(Buffer.alloc(40, 7))).toBe(true);
    expect(await dropPhotograph(sql, kept?.id ?? '')).toBe(true);
    expect(await photographsOf(sql, position)).toEqual([]);
  });
  it('no more than a dozen a position, also when many come at once', async () => {
    const { position } = await newStudy();
    const made = await Promise.all(
      Array.from({ length: 15 }, (_, i) => keepPhotograph(sql, position, `${i}.jpg`, image(i))),
    );
    expect(made.filter((p) => p !== undefined)).toHaveLength(photographsPerPosition);
  });
  it('go out with the position as one file and come back with it', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const bytes = readFileSync(folder('docs/screenshots/plate.png'));
    const clean = cleanImage(bytes);
    if (!clean) throw new Error('no picture');
    await keepPhotograph(sql, position, 'plate.png', clean);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    expect(file.photographs).toHaveLength(1);
    const [kept] = await photographsOf(sql, position);
    await dropPhotograph(sql, kept?.id ?? '');
    const row = await findPosition(sql, position);
    await setDeleted(sql, position, row?.version ?? 0, true);
    expect(await importPosition(sql, file)).toMatchObject({ ok: true });
    expect(await photographsOf(sql, position)).toMatchObject([{ id: kept?.id, name: 'plate.png' }]);
    expect((await photographContent(sql, kept?.id ?? ''))?.content.equals(clean.content)).toBe(true);
  });
  it('a file with something else in a picture’s place is refused whole', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    const row = await findPosition(sql, position);
    await setDeleted(sql, position, row?.version ?? 0, true);
    const spoilt = {
      ...file,
      photographs: [{ id: crypto.randomUUID(), name: 'x.jpg', createdAt: new Date().toISOString(), data: 'aGVsbG8=' }],
    };
    expect(await importPosition(sql, spoilt)).toMatchObject({ ok: false, message: expect.stringContaining('x.jpg') });
    expect((await findPosition(sql, position))?.deleted).toBe(true);
  });
});

describe('own shelf', () => {
  const spare = (name: string) => ({
    name,
    plate: {
      power: '30 hp',
      voltage: '230/460 V',
      current: '71/35.5 A',
      speed: '1770 rpm',
      frequency: '60 Hz',
      enclosure: 'TEFC',
      serviceFactor: 1.15,
      insulation: 'F' as const,
    },
    quantity: 1,
    place: 'Store 2',
    days: null,
    keptFor: '',
    price: null,
  });
  const plantOf = async (study: string) => {
    const plant = await plantOfStudy(sql, study);
    if (!plant) throw new Error('no plant');
    return plant;
  };

  it('takes a list whole or not at all', async () => {
    const plant = await plantOf((await newStudy()).study);
    const before = await shelfOf(sql, plant.id);
    await expect(addToShelf(sql, plant.id, [spare('good'), spare('x'.repeat(300))])).rejects.toThrow();
    expect(await shelfOf(sql, plant.id)).toEqual(before);
    expect((await findPlant(sql, plant.id))?.shelfVersion).toBe(plant.shelfVersion);
  });
  it('refuses to grow beyond its limit, and says so', async () => {
    const plant = await plantOf((await newStudy()).study);
    const many = Array.from({ length: shelfLimit + 1 }, (_, i) => spare(`many ${i}`));
    await expect(addToShelf(sql, plant.id, many)).rejects.toMatchObject({
      problem: { status: 409, detail: expect.stringContaining('Nothing was taken') },
    });
    expect((await shelfOf(sql, plant.id)).filter((e) => e.name.startsWith('many'))).toEqual([]);
  });
  it('is judged with every revision of its plant, as it is at that time', async () => {
    const { study } = await newStudy();
    const plant = await plantOf(study);
    const [id] = await addToShelf(sql, plant.id, [spare('Spare for the test fan')]);
    const place = { ...example.place, cable: { length: '5 m' } };
    const shelfCase: CaseText = {
      ...example,
      place,
      rules: { ranking: 'shelf' },
      history: undefined,
      plate: undefined,
    };
    const first = await save(study, null, shelfCase);
    if (!first.ok) throw new Error('not saved');
    expect(first.revision.result.choice?.motor).toMatchObject({ id, stock: { place: 'Store 2' } });
    const now = async (): Promise<number> => (await plantOf(study)).shelfVersion;
    expect(await changeOnShelf(sql, id ?? '', (await now()) - 1, { quantity: 0 })).toBe('outdated');
    expect(await changeOnShelf(sql, id ?? '', await now(), { quantity: 0 })).toBe('done');
    // A spare of another position, and a quote: what is left out of a change stays.
    const change = { quantity: 0, keptFor: 'ST-1', days: 12 };
    expect(await changeOnShelf(sql, id ?? '', await now(), change)).toBe('done');
    expect(await changeOnShelf(sql, id ?? '', await now(), { place: 'quoted' })).toBe('done');
    // As the solving threads read it, which keep a shelf as long as its version stands.
    const motors = async (own: readonly string[] = []) => {
      const { json } = await sharedShelf(sql, await plantOf(study));
      const shelf: KeptShelf = JSON.parse(Buffer.from(json).toString('utf8'));
      return nameplate.spareOf(nameplate.shelfMotors(shelf.motors, 'north-america').motors, own);
    };
    const there = async (own: readonly string[]) => (await motors(own)).find((m) => m.id === id)?.stock;
    expect(await there([])).toMatchObject({ ...change, place: 'quoted' });
    expect(await there(['st-1', 'Pump'])).toMatchObject({ keptFor: '' });
    expect(await changeOnShelf(sql, id ?? '', await now(), { days: null, keptFor: '' })).toBe('done');
    expect(await there([])).toMatchObject({ days: null, keptFor: '' });
    const second = await save(study, first.revision.id, shelfCase);
    if (!second.ok) throw new Error('not saved');
    expect(second.revision.result.choice?.motor.id).not.toBe(id);
    expect(await takeOffShelf(sql, id ?? '', await now())).toBe('done');
    expect(await takeOffShelf(sql, id ?? '', await now())).toBe('missing');
    expect((await motors()).map((m) => m.id)).not.toContain(id);
  });
  it('own tables of combinations stand under their files’ names until they are taken away', async () => {
    const { study } = await newStudy();
    const plant = await plantOf(study);
    const [first] = demoCombinations();
    if (!first) throw new Error('no demonstration table');
    const { table: _, ...row } = first;
    await putCombinations(sql, plant.id, 'builder.csv', [row, row]);
    await putCombinations(sql, plant.id, 'builder.csv', [{ ...row, price: 7 }]);
    const { json } = await sharedShelf(sql, await plantOf(study));
    const { combinations }: KeptShelf = JSON.parse(Buffer.from(json).toString('utf8'));
    expect(combinations).toEqual([{ ...row, table: 'builder.csv', price: 7 }]);
    const { shelfVersion } = await plantOf(study);
    expect(await dropCombinations(sql, plant.id, shelfVersion - 1)).toBe('outdated');
    expect(await dropCombinations(sql, plant.id, shelfVersion)).toBe('done');
    expect(await combinationsOf(sql, plant.id)).toEqual([]);
    expect((await plantOf(study)).shelfVersion).toBeGreaterThan(plant.shelfVersion);
  });
});
