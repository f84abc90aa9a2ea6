import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readCase, type CaseText } from '@pilgrim/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect, migrate, type Sql } from '$lib/server/database';
import { loadDemo } from '$lib/server/demo';
import { exportPosition, importPosition, positionFile } from '$lib/server/exchange';
import {
  createPosition,
  findPosition,
  findStudy,
  listPositions,
  revisionsOf,
  saveRevision,
  setDeleted,
} from '$lib/server/positions';

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
  const reading = readCase(caseText);
  if (!reading.ok) throw new Error('not a case');
  return saveRevision(sql, study, parent, { caseText, read: reading.value, author: 'tester', note: '' });
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
    expect(versions.map((v) => v.version)).toEqual(['1']);
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
  it('cannot be changed or deleted', async () => {
    const { study } = await newStudy();
    const id = await saved(study, null);
    await expect(sql`update revisions set author = 'x' where id = ${id}`).rejects.toThrow('immutable');
    await expect(sql`delete from revisions where id = ${id}`).rejects.toThrow('immutable');
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
      expect(rows.find((r) => r.tag === 'IN-120')?.worst).toMatchObject({ id: 'place.hazardous', level: 'stop' });
    } finally {
      await there.end();
      await admin.unsafe(`drop database ${other}`);
    }
  });
});
