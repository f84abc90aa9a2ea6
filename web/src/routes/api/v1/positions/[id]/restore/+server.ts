import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, versionSeen } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { findPosition, setDeleted } from '$lib/server/positions/positions';

export const POST = ({ params, request }) =>
  answer(async () => {
    const sql = await database();
    const id = idOf(params.id);
    if (!(await setDeleted(sql, id, versionSeen(request), false)))
      throw refuse(412, 'The position has changed since you read it');
    return jsonResponse(await findPosition(sql, id));
  });
