import { answer, gzipResponse, jsonText, readJsonBody, takesGzip } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { inOrder, solveCase, solveZipped } from '$lib/server/solving/pool';
import type { Solved } from '$lib/server/solving/worker';

const json = { headers: { 'content-type': 'application/json', 'cache-control': 'no-store' } };

/** One case, or an array of them: then an array of results in the same order, with errors in their places. */
export const POST = ({ request }) =>
  answer(async () => {
    const body = await readJsonBody(request);
    if (Array.isArray(body)) return new Response(streamed(many(body)), json);
    const small = takesGzip(request);
    const solved = await (small ? solveZipped({ given: body }) : solveCase({ given: body }));
    if (!solved.ok) throw refuse(422, 'Not a valid case', { errors: solved.errors });
    return 'gzip' in solved ? gzipResponse(solved.gzip, json.headers) : jsonText(solved.result);
  });

/** Asked for as it is read: a reader who leaves ends it. */
const streamed = (parts: AsyncGenerator<Uint8Array>): ReadableStream<Uint8Array> =>
  new ReadableStream({
    async pull(controller) {
      const { done, value } = await parts.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
    async cancel() {
      await parts.return(undefined);
    },
  });

async function* many(cases: readonly unknown[]): AsyncGenerator<Uint8Array> {
  const text = new TextEncoder();
  let before = '[';
  for await (const solved of inOrder(cases, (given) => solveCase({ given }))) {
    yield text.encode(before + told(solved));
    before = ',';
  }
  yield text.encode(before === '[' ? '[]' : ']');
}

const told = (solved: Solved): string =>
  solved.ok ? solved.result : JSON.stringify({ format: 'pilgrim.errors/1', errors: solved.errors });
