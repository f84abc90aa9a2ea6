import { database } from '$lib/server/db/database';
import { importPosition, positionFile } from '$lib/server/exchange/exchange';
import { answer, fileLimit, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';

export const POST = ({ request }) =>
  answer(async () => {
    const file = parsed(positionFile, await readJsonBody(request, fileLimit));
    const done = await importPosition(await database(), file);
    if (!done.ok && done.faults) throw refuse(422, done.message, { errors: done.faults });
    if (!done.ok) throw refuse(409, 'The file was not taken', { detail: done.message });
    return jsonResponse({ id: done.id }, 201, { location: `/api/v1/positions/${done.id}` });
  });
