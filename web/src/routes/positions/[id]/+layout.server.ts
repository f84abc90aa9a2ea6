import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/database';
import { findPosition, findRevision, findStudy } from '$lib/server/positions';

export const load = async ({ params }) => {
  if (!z.uuid().safeParse(params.id).success) error(404, 'There is no such position');
  const sql = await database();
  const position = await findPosition(sql, params.id);
  if (!position || position.deleted) error(404, 'There is no such position; it may be in the trash');
  const study = await findStudy(sql, position.studyId);
  const revision = study?.head ? await findRevision(sql, study.head) : undefined;
  const head = revision ? { ...revision, createdAt: new Date(revision.createdAt).toISOString() } : null;
  return { position, head };
};
