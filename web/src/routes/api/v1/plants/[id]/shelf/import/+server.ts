import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { shelfSent } from '$lib/server/lists/take';
import { addToShelf, findPlant } from '$lib/server/shelf/shelf';

/** A list of motors, told or put on the shelf. */
export const POST = ({ params, request, url }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const { told, good, take } = await shelfSent(request, url);
    if (take) await addToShelf(sql, plant.id, good);
    return jsonResponse({ ...told, taken: take ? good.length : 0 }, take ? 201 : 200);
  });
