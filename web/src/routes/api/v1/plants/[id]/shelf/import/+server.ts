import { database } from '$lib/server/db/database';
import { answer, fileLimit, idOf, jsonResponse, parsed, readBody } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { listMapping } from '$lib/server/http/inputs';
import { firstRows, readMotorList } from '$lib/server/shelf/list';
import { addToShelf, findPlant } from '$lib/server/shelf/shelf';

/**
 * A list of motors in CSV. Without `take` it is only read and told: columns, how they are understood, good and bad
 * rows. With
 * `take=good` its good rows are put on the shelf, all of them or none.
 */
export const POST = ({ params, request, url }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const mapping = url.searchParams.get('mapping');
    const given = mapping === null ? undefined : parsed(listMapping, jsonOf(mapping));
    const bytes = await readBody(request, fileLimit);
    const { good, ...told } = await readMotorList(bytes, given);
    const take = url.searchParams.get('take') === 'good';
    if (take && told.missing.length > 0)
      throw refuse(422, 'Columns are missing', { detail: `${told.missing.join(', ')}. Nothing was taken.` });
    if (take && good.length === 0) throw refuse(422, 'No row can be taken', { detail: 'Nothing was taken.' });
    if (take) await addToShelf(sql, plant.id, good);
    return jsonResponse(
      { ...told, good: good.length, sample: firstRows(bytes, 8), taken: take ? good.length : 0 },
      take ? 201 : 200,
    );
  });

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw refuse(400, 'The mapping is not JSON');
  }
}
