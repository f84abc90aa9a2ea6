import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { findRevision } from '$lib/server/positions/positions';

export const GET = ({ params }) =>
  answer(async () => {
    const revision = await findRevision(await database(), idOf(params.id));
    if (!revision) throw refuse(404, 'There is no such revision');
    return jsonResponse(revision, 200, { etag: `"${revision.id}"` });
  });
