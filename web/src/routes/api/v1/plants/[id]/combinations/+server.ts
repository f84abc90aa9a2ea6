import { demoCombinations, nameplate } from '@pilgrim/core';
import { stringify } from 'csv-stringify/sync';
import { database } from '$lib/server/db/database';
import { answer, heldAlready, idOf, jsonResponse, unchanged, versionSeen } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { combinationsOf, dropCombinations } from '$lib/server/shelf/combinations';
import { findPlant } from '$lib/server/shelf/shelf';

/**
 * The plant's own tables of combinations tested together, as JSON; as CSV (Accept: text/csv) those that hold, which can
 * be read back: the table that ships where it has none.
 */
export const GET = ({ params, request }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const etag = `"${plant.shelfVersion}"`;
    const unread = new Response(null, { headers: { etag } });
    if (heldAlready(request, unread)) return unchanged(unread);
    const own = await combinationsOf(sql, plant.id);
    if (!/text\/csv/.test(request.headers.get('accept') ?? '')) return jsonResponse(own, 200, { etag });
    const rows = (own.length > 0 ? own : demoCombinations()).map((c) => [...nameplate.combinationCells(c), c.table]);
    const heads = [...nameplate.combinationHeadings, 'Table'];
    const csv = stringify([heads, ...rows], { escape_formulas: true });
    return new Response(csv, { headers: { 'content-type': 'text/csv; charset=utf-8', etag } });
  });

/** Takes the plant's own tables away: the one that ships stands again. */
export const DELETE = ({ params, request }) =>
  answer(async () => {
    const write = await dropCombinations(await database(), idOf(params.id), versionSeen(request));
    if (write === 'missing') throw refuse(404, 'There is no such plant');
    if (write === 'outdated') throw refuse(412, 'The shelf was changed in between');
    return new Response(null, { status: 204 });
  });
