import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { nameplate, readingSchema, type CaseText } from '@pilgrim/core';
import { z } from 'zod';
import type { Sql } from '$lib/server/db/database';
import { cleanImage } from '$lib/server/photographs/image';
import { keepPhotograph } from '$lib/server/photographs/photographs';
import { readList } from '$lib/server/lists/list';
import { addToShelf } from '$lib/server/shelf/shelf';
import { keepRounds } from '$lib/server/rounds/rounds';
import { createPosition, findPosition, saveRevision } from '$lib/server/positions/positions';

const demoPosition = z.object({
  id: z.uuid(),
  plant: z.string(),
  area: z.string(),
  tag: z.string(),
  name: z.string(),
  case: z.custom<CaseText>().nullable(),
  /** Files under demo/photographs. */
  photographs: z.array(z.string()).default([]),
  rounds: z.array(readingSchema).default([]),
});

/** Loads the invented demo plant into a database that has no plant yet. */
export async function loadDemo(sql: Sql, folder: string): Promise<void> {
  const [row] = await sql<{ plants: number }[]>`select count(*)::int as plants from plants`;
  if (row && row.plants > 0) return;
  const files = (await readdir(join(folder, 'positions'))).filter((f) => f.endsWith('.json')).sort();
  const saves: { readonly studyId: string; readonly caseText: CaseText }[] = [];
  for (const file of files) {
    const given = demoPosition.parse(JSON.parse(await readFile(join(folder, 'positions', file), 'utf8')));
    const id = await createPosition(sql, given);
    const position = await findPosition(sql, id);
    for (const photograph of given.photographs) {
      const image = cleanImage(await readFile(join(folder, 'photographs', photograph)));
      if (!image) throw new Error(`${photograph} is no picture`);
      await keepPhotograph(sql, id, photograph, image);
    }
    if (given.rounds.length > 0) await keepRounds(sql, id, given.rounds);
    if (given.case && position) saves.push({ studyId: position.studyId, caseText: given.case });
  }
  await loadShelf(sql, folder);
  // What is saved chooses from the shelf, as the desk does.
  for (const { studyId, caseText } of saves)
    await saveRevision(sql, studyId, null, { caseText, author: 'demo', note: 'As found' });
}

/** The demo plant's own shelf: a list such as a storekeeper keeps. */
async function loadShelf(sql: Sql, folder: string): Promise<void> {
  const [plant] = await sql<{ id: string }[]>`select id from plants limit 1`;
  const { good, errors } = await readList(await readFile(join(folder, 'shelf.csv')), nameplate.shelfList, undefined);
  if (errors.length > 0)
    throw new Error(errors.map((e) => `shelf.csv, line ${e.line}, ${e.column}: ${e.message}`).join('; '));
  if (plant) await addToShelf(sql, plant.id, good);
}
