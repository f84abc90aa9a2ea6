import { database } from '$lib/server/db/database';
import { exportPosition } from '$lib/server/exchange/exchange';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';

export const GET = ({ params }) =>
  answer(async () => {
    const file = await exportPosition(await database(), idOf(params.id));
    if (!file) throw refuse(404, 'There is no such position');
    const name = file.position.tag.replace(/[^\w.-]+/g, '_');
    return jsonResponse(file, 200, { 'content-disposition': `attachment; filename="${name}.pilgrim.json"` });
  });
