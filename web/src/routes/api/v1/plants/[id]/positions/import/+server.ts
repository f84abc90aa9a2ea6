import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse } from '$lib/server/http/http';
import { log } from '$lib/server/http/log';
import { positionsSent } from '$lib/server/lists/take';
import { addPositions, tagsOf } from '$lib/server/positions/positions';
import { refuse } from '$lib/server/refusal';
import { findPlant } from '$lib/server/shelf/shelf';

/**
 * A list of motors in their places, told or made positions of. While they are made the answer tells, a line of JSON
 * at a time, how many are solved; the last line is the whole.
 */
export const POST = ({ params, request, url }) =>
  answer(async () => {
    const sql = await database();
    const plant = await findPlant(sql, idOf(params.id));
    if (!plant) throw refuse(404, 'There is no such plant');
    const { told, good, take } = await positionsSent(request, url, await tagsOf(sql, plant.id));
    if (!take) return jsonResponse({ ...told, taken: 0 });
    const lines = new TextEncoder();
    const stream = new ReadableStream<Uint8Array>({
      async start(controller) {
        const tell = (line: unknown): void => controller.enqueue(lines.encode(`${JSON.stringify(line)}\n`));
        try {
          await addPositions(sql, plant, good, (done) => tell({ done, of: good.length }));
          tell({ ...told, taken: good.length });
        } catch (error) {
          log.error(error);
          tell({ problem: { title: 'Nothing was taken: something went wrong here; it was written to the log' } });
        }
        controller.close();
      },
    });
    return new Response(stream, { status: 201, headers: { 'content-type': 'application/x-ndjson' } });
  });
