import { database } from '$lib/server/db/database';
import { answer, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { newPosition } from '$lib/server/http/inputs';
import { createPosition, findPosition, listPositions } from '$lib/server/positions/positions';

export const GET = () => answer(async () => jsonResponse(await listPositions(await database())));

export const POST = ({ request }) =>
  answer(async () => {
    const given = parsed(newPosition, await readJsonBody(request));
    const sql = await database();
    const id = await createPosition(sql, given);
    return jsonResponse(await findPosition(sql, id), 201, { location: `/api/v1/positions/${id}`, etag: '"1"' });
  });
