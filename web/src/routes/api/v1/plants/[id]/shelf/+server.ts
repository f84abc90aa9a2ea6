import { nameplate } from '@pilgrim/core';
import { stringify } from 'csv-stringify/sync';
import { database } from '$lib/server/db/database';
import { answer, heldAlready, idOf, jsonResponse, parsed, readJsonBody, unchanged } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { newShelfMotor } from '$lib/server/http/inputs';
import { addToShelf, findPlant, shelfOf } from '$lib/server/shelf/shelf';

/** The plant's shelf, as JSON or (Accept: text/csv) as a list that can be read back. */
export const GET = ({ params, request }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const etag = `"${plant.shelfVersion}"`;
    const unread = new Response(null, { headers: { etag } });
    if (heldAlready(request, unread)) return unchanged(unread);
    const entries = await shelfOf(sql, plant.id);
    if (!/text\/csv/.test(request.headers.get('accept') ?? '')) return jsonResponse(entries, 200, { etag });
    const own = new Set<string>(nameplate.listColumns.filter((c) => c.kind === 'own').map((c) => c.key));
    const rows = entries.map((e) =>
      nameplate.listColumns.map(({ key }) => {
        const value: unknown = Reflect.get(own.has(key) ? e : e.plate, key);
        return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
      }),
    );
    const csv = stringify([nameplate.listColumns.map((c) => c.label), ...rows], { escape_formulas: true });
    return new Response(csv, { headers: { 'content-type': 'text/csv; charset=utf-8', etag } });
  });

/** One motor more, from its plate. */
export const POST = ({ params, request }) =>
  answer(async () => {
    const given = parsed(newShelfMotor, await readJsonBody(request));
    const errors = nameplate.plateErrors(given.plate).map((e) => ({ ...e, path: `plate.${e.path}` }));
    if (errors.length > 0) throw refuse(422, 'The plate cannot be read', { errors });
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const { left } = nameplate.shelfMotors([{ id: 'new', ...given }], 'iec');
    const missing = left[0]?.missing ?? [];
    if (missing.length > 0)
      throw refuse(422, 'The plate is not complete', {
        errors: missing.map((key) => ({ path: `plate.${key}`, message: 'is needed to judge the motor' })),
      });
    const [id] = await addToShelf(sql, plant.id, [given]);
    return jsonResponse({ id, ...given }, 201);
  });
