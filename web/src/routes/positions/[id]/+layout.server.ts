import type { Result } from '@pilgrim/core';
import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/database';
import { photographsOf } from '$lib/server/photographs/photographs';
import { findPosition, findRevision, findStudy } from '$lib/server/positions/positions';

/** A result kept by an older core lacks what was not told then. */
const asNow = (result: Result): Result => ({
  ...{ facts: [], enclosures: [], history: null, replacement: null, start: null },
  ...result,
  curves: { ...{ start: null }, ...result.curves },
  findings: result.findings.map((f) => ({ ...{ doubt: false, suggestions: [], accepted: null }, ...f })),
});

export const load = async ({ params }) => {
  if (!z.uuid().safeParse(params.id).success) error(404, 'There is no such position');
  const sql = await database();
  const position = await findPosition(sql, params.id);
  if (!position || position.deleted) error(404, 'There is no such position; it may be in the trash');
  const study = await findStudy(sql, position.studyId);
  const revision = study?.head ? await findRevision(sql, study.head) : undefined;
  const head = revision
    ? { ...revision, result: asNow(revision.result), createdAt: new Date(revision.createdAt).toISOString() }
    : null;
  return { position, head, photographs: await photographsOf(sql, position.id) };
};
