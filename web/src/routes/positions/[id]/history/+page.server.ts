import { database } from '$lib/server/db/database';
import { revisionsListed } from '$lib/server/positions/positions';

export const load = async ({ parent }) => {
  const { position } = await parent();
  return { revisions: await revisionsListed(await database(), position.studyId) };
};
