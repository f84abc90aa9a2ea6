import { database } from '$lib/server/database';
import { answer, idOf, jsonResponse, parsed, readJsonBody, refuse } from '$lib/server/http';
import { newStudy } from '$lib/server/inputs';
import { createStudy, findPosition, findStudy, studiesOf } from '$lib/server/positions';

export const GET = ({ params }) => answer(async () => jsonResponse(await studiesOf(await database(), idOf(params.id))));

export const POST = ({ params, request }) =>
  answer(async () => {
    const id = idOf(params.id);
    const { name } = parsed(newStudy, await readJsonBody(request));
    const sql = await database();
    if (!(await findPosition(sql, id))) throw refuse(404, 'There is no such position');
    return jsonResponse(await findStudy(sql, await createStudy(sql, id, name)), 201);
  });
