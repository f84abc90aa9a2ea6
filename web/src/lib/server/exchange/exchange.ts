import { isDeepStrictEqual } from 'node:util';
import { caseSchema, readingSchema, readKept, type Kept } from '@pilgrim/core';
import type { TransactionSql } from 'postgres';
import { z } from 'zod';
import type { Sql } from '$lib/server/db/database';
import { cleanImage } from '$lib/server/photographs/image';
import {
  insertPhotograph,
  photographContent,
  photographsOf,
  photographsPerPosition,
} from '$lib/server/photographs/photographs';
import { hoursOf, hoursPerPosition, insertHours, meterHour } from '$lib/server/meters/records';
import { insertRounds, roundsOf, roundsPerPosition } from '$lib/server/rounds/rounds';
import {
  areaId,
  findPosition,
  findRevision,
  findStudy,
  insertRevision,
  revisionsOf,
  studiesOf,
  type Revision,
  type Study,
} from '$lib/server/positions/positions';

const revision = z.strictObject({
  id: z.uuid(),
  studyId: z.uuid(),
  parent: z.uuid().nullable(),
  caseText: z.unknown(),
  result: z.unknown(),
  coreVersion: z.string().max(40),
  author: z.string().max(200),
  note: z.string().max(2000),
  createdAt: z.iso.datetime({ offset: true }),
});

/** A whole position as one file: `pilgrim.position/1`. */
export const positionFile = z.strictObject({
  format: z.literal('pilgrim.position/1'),
  plant: z.string().min(1).max(200),
  area: z.string().min(1).max(200),
  position: z.strictObject({ id: z.uuid(), tag: z.string().min(1).max(60), name: z.string().min(1).max(200) }),
  studies: z
    .array(
      z.strictObject({
        id: z.uuid(),
        name: z.string().max(200),
        head: z.uuid().nullable(),
        revisions: z.array(revision).max(10000),
      }),
    )
    .min(1)
    .max(100),
  // Files written before positions had photographs hold none.
  photographs: z
    .array(
      z.strictObject({
        id: z.uuid(),
        name: z.string().min(1).max(200),
        createdAt: z.iso.datetime(),
        data: z.base64(),
      }),
    )
    .max(photographsPerPosition)
    .default([]),
  // Nor rounds of readings.
  rounds: z
    .array(z.strictObject({ id: z.uuid(), reading: readingSchema }))
    .max(roundsPerPosition)
    .default([]),
  // Nor what a meter showed, by the hour; its seconds and minutes go as a logger's file.
  meterHours: z.array(meterHour).max(hoursPerPosition).default([]),
});
export type PositionFile = z.infer<typeof positionFile>;

export function exportPosition(sql: Sql, id: string): Promise<PositionFile | undefined> {
  return sql.begin('isolation level repeatable read read only', (tx) => exported(tx, id));
}

async function exported(sql: TransactionSql, id: string): Promise<PositionFile | undefined> {
  const row = await findPosition(sql, id);
  if (!row) return undefined;
  const studies = await Promise.all(
    (await studiesOf(sql, id)).map(async (study: Study) => ({
      id: study.id,
      name: study.name,
      head: study.head,
      revisions: (await revisionsOf(sql, study.id))
        .toReversed()
        .map((r: Revision) => ({ ...r, createdAt: new Date(r.createdAt).toISOString() })),
    })),
  );
  const photographs = await Promise.all(
    (await photographsOf(sql, id)).map(async (p) => ({
      id: p.id,
      name: p.name,
      createdAt: p.createdAt.toISOString(),
      data: ((await photographContent(sql, p.id))?.content ?? Buffer.alloc(0)).toString('base64'),
    })),
  );
  return {
    format: 'pilgrim.position/1',
    plant: row.plant,
    area: row.area,
    position: { id: row.id, tag: row.tag, name: row.name },
    studies,
    photographs,
    rounds: await roundsOf(sql, id),
    meterHours: await hoursOf(sql, id),
  };
}

export interface FileFault {
  readonly path: string;
  readonly message: string;
}

/**
 * Taken, or why not: what is wrong within the file, with its paths, or what of it stands in the way of what is here.
 */
export type Imported =
  | { readonly ok: true; readonly id: string }
  | { readonly ok: false; readonly message: string; readonly faults?: readonly FileFault[] };

/**
 * Brings a position back with its ids, all or nothing: out of the trash, or whole onto another machine.
 * A position that is here and not in the trash is refused, and so is a file that contradicts itself or any of whose
 * studies, revisions
 * or photographs belongs to another position here or reads otherwise: what is here is never touched.
 */
export async function importPosition(sql: Sql, file: PositionFile): Promise<Imported> {
  const faults = faultsIn(file);
  if (faults.length > 0) return { ok: false, message: 'The file contradicts itself', faults };
  const photographs = file.photographs.map((p) => ({ ...p, image: cleanImage(Buffer.from(p.data, 'base64')) }));
  const spoilt = photographs.find((p) => !p.image);
  if (spoilt) return { ok: false, message: `photograph ${spoilt.name} is no JPEG, PNG or WebP` };
  return sql.begin(async (tx): Promise<Imported> => {
    const { id, tag, name } = file.position;
    await tx`select id from positions where id = ${id} for update`;
    const here = await findPosition(tx, id);
    if (here && !here.deleted)
      return {
        ok: false,
        message: `${here.tag} ${here.name} is here already; delete it first to bring it back from a file`,
      };
    const foreign = await foreignIn(tx, file);
    if (foreign !== undefined) return { ok: false, message: foreign };
    const area = await areaId(tx, file);
    await tx`
      insert into positions (id, area_id, tag, name) values (${id}, ${area}, ${tag}, ${name})
      on conflict (id) do update set area_id = ${area}, tag = ${tag}, name = ${name}, deleted_at = null,
        version = positions.version + 1`;
    for (const study of file.studies) {
      await tx`insert into studies (id, position_id, name) values (${study.id}, ${id}, ${study.name})
        on conflict (id) do nothing`;
      for (const r of study.revisions) {
        if (await findRevision(tx, r.id)) continue;
        const result = { json: JSON.stringify(keptOf(r.result)), core: r.coreVersion };
        await insertRevision(tx, { ...r, caseText: caseOf(r.caseText), result });
      }
      await tx`update studies set head = ${study.head} where id = ${study.id} and position_id = ${id}`;
    }
    for (const { image, name: title, createdAt, id: photograph } of photographs) {
      const given = { id: photograph, name: title, createdAt: new Date(createdAt) };
      if (image) await insertPhotograph(tx, id, given, image);
    }
    await insertRounds(tx, id, file.rounds);
    await insertHours(tx, id, file.meterHours);
    return { ok: true, id };
  });
}

/**
 * What of the file cannot be, whatever is here: ids twice, revisions of another study, parents and heads that are not
 * in it.
 */
function faultsIn(file: PositionFile): FileFault[] {
  const faults: FileFault[] = [];
  const seen = new Set<string>();
  const once = (path: string, id: string): void => {
    if (seen.has(id)) faults.push({ path, message: `the id ${id} stands in the file twice` });
    seen.add(id);
  };
  for (const [s, study] of file.studies.entries()) {
    once(`studies.${s}.id`, study.id);
    const earlier = new Set<string>();
    for (const [r, revision] of study.revisions.entries()) {
      const path = `studies.${s}.revisions.${r}`;
      once(`${path}.id`, revision.id);
      if (revision.studyId !== study.id)
        faults.push({ path: `${path}.studyId`, message: 'must be the study it stands in' });
      if (revision.parent !== null && !earlier.has(revision.parent))
        faults.push({ path: `${path}.parent`, message: 'must be an earlier revision of the same study, or null' });
      if (!caseSchema.safeParse(revision.caseText).success)
        faults.push({ path: `${path}.caseText`, message: 'is no case of a known format' });
      if (!readKept(revision.result))
        faults.push({ path: `${path}.result`, message: 'is no result of a known format' });
      earlier.add(revision.id);
    }
    if (study.head !== null && !earlier.has(study.head))
      faults.push({ path: `studies.${s}.head`, message: 'must be a revision of the same study, or null' });
  }
  for (const [p, photograph] of file.photographs.entries()) once(`photographs.${p}.id`, photograph.id);
  for (const [r, round] of file.rounds.entries()) once(`rounds.${r}.id`, round.id);
  return faults;
}

/** What of the file belongs to another position here, or reads otherwise here; undefined where nothing does. */
async function foreignIn(tx: TransactionSql, file: PositionFile): Promise<string | undefined> {
  const position = file.position.id;
  const elsewhere = 'and belongs to another position';
  for (const study of file.studies) {
    const known = await findStudy(tx, study.id);
    if (known && known.positionId !== position) return `study ${study.id} is here already ${elsewhere}`;
    for (const r of study.revisions) {
      const there = await findRevision(tx, r.id);
      if (!there) continue;
      if (there.studyId !== study.id) return `revision ${r.id} is here already ${elsewhere}, or to another study`;
      if (!isDeepStrictEqual(there.caseText, r.caseText) || !isDeepStrictEqual(there.result, keptOf(r.result)))
        return `revision ${r.id} is here already and reads otherwise`;
    }
  }
  const ids = file.photographs.map((p) => p.id);
  const [photograph] = await tx<{ id: string }[]>`
    select id from photographs where id = any(${ids}) and position_id <> ${position} limit 1`;
  if (photograph) return `photograph ${photograph.id} is here already ${elsewhere}`;
  const rounds = file.rounds.map((r) => r.id);
  const [round] = await tx<{ id: string }[]>`
    select id from rounds where id = any(${rounds}) and position_id <> ${position} limit 1`;
  return round && `round ${round.id} is here already ${elsewhere}`;
}

// Checked above; read again here only to give the plain JSON its type.
const caseOf = (value: unknown): Revision['caseText'] => z.custom<Revision['caseText']>().parse(value);
const keptOf = (value: unknown): Kept => z.custom<Kept>().parse(readKept(value));
