import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, parsed, readJsonBody, versionSeen } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { positionChange } from '$lib/server/http/inputs';
import { changePosition, findPosition, setDeleted } from '$lib/server/positions/positions';

export const GET = ({ params }) =>
  answer(async () => {
    const row = await findPosition(await database(), idOf(params.id));
    if (!row) throw refuse(404, 'There is no such position');
    return jsonResponse(row, 200, { etag: `"${row.version}"` });
  });

export const PATCH = ({ params, request }) =>
  answer(async () => {
    const id = idOf(params.id);
    const version = versionSeen(request);
    const change = parsed(positionChange, await readJsonBody(request));
    const sql = await database();
    if (!(await changePosition(sql, id, version, change)))
      throw refuse(412, 'The position has changed since you read it');
    const row = await findPosition(sql, id);
    return jsonResponse(row, 200, { etag: `"${row?.version ?? 0}"` });
  });

export const DELETE = ({ params, request }) =>
  answer(async () => {
    const done = await setDeleted(await database(), idOf(params.id), versionSeen(request), true);
    if (!done) throw refuse(412, 'The position has changed since you read it');
    return new Response(null, { status: 204 });
  });
