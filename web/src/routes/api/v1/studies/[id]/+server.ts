import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { findStudy } from '$lib/server/positions/positions';

export const GET = ({ params }) =>
  answer(async () => {
    const study = await findStudy(await database(), idOf(params.id));
    if (!study) throw refuse(404, 'There is no such study');
    return jsonResponse(study, 200, { etag: `"${study.head ?? 'none'}"` });
  });
