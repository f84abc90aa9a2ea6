import { Readable } from 'node:stream';
import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, parsed } from '$lib/server/http/http';
import { recordAsked } from '$lib/server/http/inputs';
import { loggedOf, recordOf } from '$lib/server/meters/records';

/** What was recorded over a span; as a logger's file where Accept asks for text/csv. */
export const GET = ({ params, request, url }) =>
  answer(async () => {
    const id = idOf(params.id);
    const now = new Date();
    const asked = parsed(recordAsked, Object.fromEntries(url.searchParams));
    const to = asked.to === undefined ? now : new Date(asked.to);
    const from = asked.from === undefined ? new Date(to.getTime() - 3_600_000) : new Date(asked.from);
    const sql = await database();
    if (!/text\/csv/.test(request.headers.get('accept') ?? ''))
      return jsonResponse(await recordOf(sql, id, from, to, now));
    const lines = Readable.from(loggedOf(sql, id, from), { objectMode: false });
    return new Response(Readable.toWeb(lines) as ReadableStream<Uint8Array>, {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'cache-control': 'no-store' },
    });
  });
