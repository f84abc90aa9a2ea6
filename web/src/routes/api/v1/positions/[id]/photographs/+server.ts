import { database } from '$lib/server/db/database';
import { answer, fileLimit, idOf, isKeepable, jsonResponse, readBody } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { cleanImage } from '$lib/server/photographs/image';
import {
  keepPhotograph,
  photographLimit,
  photographsOf,
  photographsPerPosition,
} from '$lib/server/photographs/photographs';
import { findPosition } from '$lib/server/positions/positions';

export const GET = ({ params }) =>
  answer(async () => jsonResponse(await photographsOf(await database(), idOf(params.id))));

export const POST = ({ params, request, url }) =>
  answer(async () => {
    const id = idOf(params.id);
    const sql = await database();
    const position = await findPosition(sql, id);
    if (!position || position.deleted) throw refuse(404, 'There is no such position');
    const name = (url.searchParams.get('name') ?? '').trim().slice(0, 200) || 'photograph';
    if (!isKeepable(name)) throw refuse(422, 'The name of the photograph is no text');
    const bytes = await readBody(request, fileLimit);
    if (bytes.length > photographLimit) throw refuse(413, 'A photograph may have 12 MB');
    const image = cleanImage(bytes);
    if (!image) throw refuse(415, 'Send a photograph as JPEG, PNG or WebP');
    const kept = await keepPhotograph(sql, id, name, image);
    if (!kept) throw refuse(409, `A position keeps ${photographsPerPosition} photographs; remove one first`);
    return jsonResponse(kept, 201, { location: `/api/v1/photographs/${kept.id}` });
  });
