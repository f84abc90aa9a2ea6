import { readingKeys } from '@pilgrim/core';
import { stringify } from 'csv-stringify/sync';
import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { newRounds } from '$lib/server/http/inputs';
import { findPosition } from '$lib/server/positions/positions';
import { refuse } from '$lib/server/refusal';
import { keepRounds, roundsOf } from '$lib/server/rounds/rounds';

/** The position's rounds, oldest first, as JSON or (Accept: text/csv) as a list that can be read back. */
export const GET = ({ params, request }) =>
  answer(async () => {
    const rounds = await roundsOf(await database(), idOf(params.id));
    if (!/text\/csv/.test(request.headers.get('accept') ?? '')) return jsonResponse(rounds);
    const columns = ['at', 'by', 'note', 'support', 'winding', ...readingKeys] as const;
    const rows = rounds.map(({ reading }) => columns.map((key) => reading[key] ?? ''));
    const csv = stringify([columns, ...rows], { escape_formulas: true });
    return new Response(csv, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'cache-control': 'no-store',
      },
    });
  });

/** One round or many; those of a time that is there already are left. */
export const POST = ({ params, request }) =>
  answer(async () => {
    const given = parsed(newRounds, await readJsonBody(request));
    const id = idOf(params.id);
    const sql = await database();
    const position = await findPosition(sql, id);
    if (!position || position.deleted) throw refuse(404, 'There is no such position');
    const readings = Array.isArray(given) ? given : [given];
    const kept = await keepRounds(sql, id, readings);
    return jsonResponse({ kept, there: readings.length - kept.length }, 201);
  });
