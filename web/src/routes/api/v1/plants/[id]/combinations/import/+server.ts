import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { combinationsSent } from '$lib/server/lists/take';
import { putCombinations } from '$lib/server/shelf/combinations';
import { findPlant } from '$lib/server/shelf/shelf';

/** A table of combinations tested together, told or kept under the name of its file (`name`). */
export const POST = ({ params, request, url }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const { told, good, take } = await combinationsSent(request, url);
    const name = (url.searchParams.get('name') ?? '').trim().slice(0, 200) || 'own table';
    if (take) await putCombinations(sql, plant.id, name, good);
    return jsonResponse({ ...told, taken: take ? good.length : 0 }, take ? 201 : 200);
  });
