import { caseSchema, resultSchema } from '@pilgrim/core';
import { z } from 'zod';
import type { Sql } from './database';
import { cleanImage } from './image';
import { insertPhotograph, photographContent, photographsOf, photographsPerPosition } from './photographs';
import {
  areaId,
  findPosition,
  findRevision,
  insertRevision,
  revisionsOf,
  studiesOf,
  type Revision,
  type Study,
} from './positions';

const revision = z.strictObject({
  id: z.uuid(),
  studyId: z.uuid(),
  parent: z.uuid().nullable(),
  caseText: z.unknown(),
  result: z.unknown(),
  coreVersion: z.string().max(40),
  author: z.string().max(200),
  note: z.string().max(2000),
  createdAt: z.string().max(40),
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
});
export type PositionFile = z.infer<typeof positionFile>;

export async function exportPosition(sql: Sql, id: string): Promise<PositionFile | undefined> {
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
  };
}

export type Imported = { readonly ok: true; readonly id: string } | { readonly ok: false; readonly message: string };

/**
 * Brings a position back with its ids, all or nothing: out of the trash, or whole onto another machine.
 * A position that is here and not in the trash, or a revision that reads otherwise here, is refused.
 */
export async function importPosition(sql: Sql, file: PositionFile): Promise<Imported> {
  for (const { revisions } of file.studies) {
    for (const r of revisions) {
      if (!caseSchema.safeParse(r.caseText).success || !resultSchema.safeParse(r.result).success) {
        return { ok: false, message: `revision ${r.id} does not hold a case and a result of the known formats` };
      }
    }
  }
  const photographs = file.photographs.map((p) => ({ ...p, image: cleanImage(Buffer.from(p.data, 'base64')) }));
  const spoilt = photographs.find((p) => !p.image);
  if (spoilt) return { ok: false, message: `photograph ${spoilt.name} is no JPEG, PNG or WebP` };
  return sql.begin(async (tx): Promise<Imported> => {
    const { id, tag, name } = file.position;
    const here = await findPosition(tx, id);
    if (here && !here.deleted)
      return {
        ok: false,
        message: `${here.tag} ${here.name} is here already; delete it first to bring it back from a file`,
      };
    const area = await areaId(tx, file);
    await tx`
      insert into positions (id, area_id, tag, name) values (${id}, ${area}, ${tag}, ${name})
      on conflict (id) do update set area_id = ${area}, tag = ${tag}, name = ${name}, deleted_at = null, version = positions.version + 1`;
    for (const study of file.studies) {
      await tx`insert into studies (id, position_id, name) values (${study.id}, ${id}, ${study.name}) on conflict (id) do nothing`;
      for (const r of study.revisions) {
        const known = await findRevision(tx, r.id);
        if (known) {
          if (known.studyId !== study.id) throw new Error(`revision ${r.id} belongs to another study here`);
          continue;
        }
        await insertRevision(tx, { ...r, studyId: study.id, caseText: caseOf(r.caseText), result: resultOf(r.result) });
      }
      await tx`update studies set head = ${study.head} where id = ${study.id}`;
    }
    for (const { image, name: title, createdAt, id: photograph } of photographs) {
      const given = { id: photograph, name: title, createdAt: new Date(createdAt) };
      if (image) await insertPhotograph(tx, id, given, image);
    }
    return { ok: true, id };
  });
}

// Checked above; read again here only to give the plain JSON its type.
const caseOf = (value: unknown): Revision['caseText'] => z.custom<Revision['caseText']>().parse(value);
const resultOf = (value: unknown): Revision['result'] => z.custom<Revision['result']>().parse(value);
