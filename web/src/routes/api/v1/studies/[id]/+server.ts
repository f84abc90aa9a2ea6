import { database } from '$lib/server/database';
import { answer, idOf, jsonResponse, refuse } from '$lib/server/http';
import { findStudy } from '$lib/server/positions';

export const GET = ({ params }) =>
  answer(async () => {
    const study = await findStudy(await database(), idOf(params.id));
    if (!study) throw refuse(404, 'There is no such study');
    return jsonResponse(study, 200, { etag: `"${study.head ?? 'none'}"` });
  });
