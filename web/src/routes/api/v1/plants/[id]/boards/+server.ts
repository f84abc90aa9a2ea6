import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { boardsOf } from '$lib/server/positions/boards';
import { refuse } from '$lib/server/refusal';
import { findPlant } from '$lib/server/shelf/shelf';

/** Boards that positions of the plant name, each added up. */
export const GET = ({ params }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    return jsonResponse(await boardsOf(sql, plant));
  });
