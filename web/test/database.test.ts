import { readdirSync, readFileSync } from 'node:fs';
import { choiceInWords, keep, readCase, solve, type CaseText } from '@pilgrim/core';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate, type Sql } from '$lib/server/db/database';
import { loadDemo } from '$lib/server/seed/demo';
import { cleanImage } from '$lib/server/photographs/image';
import { dropPhotograph, keepPhotograph } from '$lib/server/photographs/photographs';
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
  setDeleted,
} from '$lib/server/positions/positions';
import { shelfOf } from '$lib/server/shelf/shelf';
import { example, folder, scratchDatabase, studiesIn } from './scratch';

let sql: Sql;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ sql, drop } = await scratchDatabase());
});
afterAll(() => drop());
const { newStudy, save, saved } = studiesIn(() => sql);

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
    const { sql: there, drop: dropThere } = await scratchDatabase();
    try {
      expect(await importPosition(there, positionFile.parse(JSON.parse(JSON.stringify(file))))).toMatchObject({
        ok: true,
      });
      expect(await exportPosition(there, position)).toEqual(file);
    } finally {
      await dropThere();
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
    const { sql: there, drop: dropThere } = await scratchDatabase();
    try {
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
      await dropThere();
    }
  });
});
