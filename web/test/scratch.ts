import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { CaseText } from '@pilgrim/core';
import { connect, migrate, type Sql } from '$lib/server/db/database';
import { createPosition, findPosition, saveRevision } from '$lib/server/positions/positions';

export const folder = (path: string): string => fileURLToPath(new URL(`../../${path}`, import.meta.url));
export const example: CaseText = JSON.parse(readFileSync(folder('demo/example.case.json'), 'utf8'));

/** A database of a test's own, migrated and empty; `drop` takes it away. */
export async function scratchDatabase(): Promise<{ readonly sql: Sql; readonly drop: () => Promise<void> }> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: run ./pilgrim test');
  const name = `test_${crypto.randomUUID().replaceAll('-', '')}`;
  const admin = connect(url);
  await admin.unsafe(`create database ${name}`);
  const sql = connect(url.replace(/\/[^/]*$/, `/${name}`));
  await migrate(sql, folder('db/migrations'));
  return {
    sql,
    drop: async () => {
      await sql.end();
      await admin.unsafe(`drop database ${name}`);
      await admin.end();
    },
  };
}

/** Makes positions with a study, and revisions of it, in a database that is there by then. */
export function studiesIn(database: () => Sql) {
  async function newStudy(): Promise<{ position: string; study: string }> {
    const sql = database();
    const position = await createPosition(sql, { tag: 'T-1', name: 'Test fan', area: 'Kilning', plant: 'Test plant' });
    const row = await findPosition(sql, position);
    if (!row) throw new Error('no position');
    return { position, study: row.studyId };
  }
  const save = (study: string, parent: string | null, caseText: CaseText = example) =>
    saveRevision(database(), study, parent, { caseText, author: 'tester', note: '' });
  async function saved(study: string, parent: string | null, caseText?: CaseText): Promise<string> {
    const answer = await save(study, parent, caseText);
    if (!answer.ok) throw new Error('refused');
    return answer.revision.id;
  }
  return { newStudy, save, saved };
}
