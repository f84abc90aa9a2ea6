import { coreVersion } from '@pilgrim/core';
import { database } from '$lib/server/db/database';
import { answer, jsonResponse } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';

/** Longest wait for the database, ms: one that is busy longer is not ready. */
const patience = 2000;

/** Ready to serve: the database answers. */
export const GET = () =>
  answer(async () => {
    const asked = database().then((sql) => sql`select 1`);
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<'late'>((done) => (timer = setTimeout(() => done('late'), patience)));
    const first = await Promise.race([asked, late]).finally(() => clearTimeout(timer));
    if (first === 'late') {
      asked.catch(() => {});
      throw refuse(503, 'The database does not answer in time');
    }
    return jsonResponse({ status: 'ready', core: coreVersion });
  });
