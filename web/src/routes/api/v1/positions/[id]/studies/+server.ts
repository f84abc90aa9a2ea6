import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { newStudy } from '$lib/server/http/inputs';
import { createStudy, findPosition, findStudy, studiesOf } from '$lib/server/positions/positions';

export const GET = ({ params }) => answer(async () => jsonResponse(await studiesOf(await database(), idOf(params.id))));

export const POST = ({ params, request }) =>
  answer(async () => {
    const id = idOf(params.id);
    const { name } = parsed(newStudy, await readJsonBody(request));
    const sql = await database();
    if (!(await findPosition(sql, id))) throw refuse(404, 'There is no such position');
    return jsonResponse(await findStudy(sql, await createStudy(sql, id, name)), 201);
  });
