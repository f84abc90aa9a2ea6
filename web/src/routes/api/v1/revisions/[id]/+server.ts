import { database } from '$lib/server/database';
import { answer, idOf, jsonResponse, refuse } from '$lib/server/http';
import { findRevision } from '$lib/server/positions';

export const GET = ({ params }) =>
  answer(async () => {
    const revision = await findRevision(await database(), idOf(params.id));
    if (!revision) throw refuse(404, 'There is no such revision');
    return jsonResponse(revision, 200, { etag: `"${revision.id}"` });
  });
