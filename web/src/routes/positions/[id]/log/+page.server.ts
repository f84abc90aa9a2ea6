import { database } from '$lib/server/db/database';
import { revisionsListed } from '$lib/server/positions/positions';
import { roundsOf } from '$lib/server/rounds/rounds';

export const load = async ({ parent }) => {
  const { position } = await parent();
  const sql = await database();
  const [rounds, revisions] = await Promise.all([roundsOf(sql, position.id), revisionsListed(sql, position.studyId)]);
  return { rounds, revisions };
};
