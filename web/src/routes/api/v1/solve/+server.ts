import { readCase, solve, type Errors, type Result } from '@pilgrim/core';
import { answer, jsonResponse, readJsonBody } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';

/** One case, or an array of them: then an array of results in the same order, with errors in their places. */
export const POST = ({ request }) =>
  answer(async () => {
    const body = await readJsonBody(request);
    if (Array.isArray(body)) return many(body);
    const reading = readCase(body);
    if (!reading.ok) throw refuse(422, 'Not a valid case', { errors: reading.errors });
    return jsonResponse(solve(reading.value));
  });

function many(cases: readonly unknown[]): Response {
  const text = new TextEncoder();
  let next = 0;
  const stream = new ReadableStream<Uint8Array>({
    // Asked for as they are read: others are served between two, and a reader who leaves ends it.
    async pull(controller) {
      await new Promise((done) => setImmediate(done));
      if (next < cases.length) {
        const before = next === 0 ? '[' : ',';
        controller.enqueue(text.encode(before + JSON.stringify(told(cases[next++]))));
        return;
      }
      controller.enqueue(text.encode(next === 0 ? '[]' : ']'));
      controller.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/json', 'cache-control': 'no-store' } });
}

function told(given: unknown): Result | Errors {
  const reading = readCase(given);
  return reading.ok ? solve(reading.value) : { format: 'pilgrim.errors/1', errors: reading.errors };
}
