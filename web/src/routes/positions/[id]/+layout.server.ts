import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/database';
import { photographsOf } from '$lib/server/photographs/photographs';
import { findHead, findPosition } from '$lib/server/positions/positions';

export const load = async ({ params }) => {
  if (!z.uuid().safeParse(params.id).success) error(404, 'There is no such position');
  const sql = await database();
  const position = await findPosition(sql, params.id);
  if (!position || position.deleted) error(404, 'There is no such position; it may be in the trash');
  const [head, photographs] = await Promise.all([findHead(sql, position.studyId), photographsOf(sql, position.id)]);
  return { position, head, photographs };
};
