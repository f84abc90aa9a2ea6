import { z } from 'zod';
import { renew } from '$lib/server/db/database';
import { isLost, lostHeaders, lostProblem } from '$lib/server/db/lost';
import { Refusal, refuse, type Problem } from '$lib/server/refusal';
import { log } from './log';

/** Largest JSON body, and largest file of a whole position. */
export const jsonLimit = 2 * 1024 * 1024;
export const fileLimit = 25 * 1024 * 1024;

/** Media type of a workbook (XLSX). */
export const sheetType = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

export function problemResponse(problem: Problem, headers: Record<string, string> = {}): Response {
  return new Response(JSON.stringify({ type: 'about:blank', ...problem }), {
    status: problem.status,
    headers: { 'content-type': 'application/problem+json', ...headers },
  });
}

/** The database is not there: said, and every connection begun anew. */
export function lostResponse(error: unknown): Response {
  log.warn(error);
  renew();
  return problemResponse(lostProblem, lostHeaders);
}

export function jsonResponse(body: unknown, status = 200, headers: Record<string, string> = {}): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json', ...headers } });
}

/** Runs a handler; refusals become problem documents, anything else is logged and answered without a trace. */
export async function answer(run: () => Promise<Response>): Promise<Response> {
  try {
    return await run();
  } catch (error) {
    if (error instanceof Refusal) return problemResponse(error.problem);
    if (isLost(error)) return lostResponse(error);
    log.error(error);
    return problemResponse({ status: 500, title: 'Something went wrong here; it was written to the log' });
  }
}

/** Reads a JSON body up to a limit. */
export async function readJsonBody(request: Request, limit = jsonLimit): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(json|[\w.+-]+\+json)\b/i.test(type))
    throw refuse(415, 'Send JSON, with content-type application/json');
  const body = await readBody(request, limit);
  try {
    return JSON.parse(body.toString('utf8'));
  } catch {
    throw refuse(400, 'The body is not JSON');
  }
}

/** Reads a body up to a limit, without holding more than that in memory. */
export async function readBody(request: Request, limit: number): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  if (request.body) {
    for await (const chunk of readChunks(request.body)) {
      size += chunk.byteLength;
      // What is too much is read on and thrown away, so that the sender hears the answer; without end it is cut.
      if (size > 8 * limit) break;
      if (size > limit) chunks.length = 0;
      else chunks.push(chunk);
    }
  }
  if (size > limit) throw refuse(413, `The body is larger than ${limit / 1024 / 1024} MB`);
  return Buffer.concat(chunks);
}

async function* readChunks(body: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = body.getReader();
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      yield value;
    }
  } finally {
    await reader.cancel().catch(() => {});
  }
}

/** The value of If-Match, without quotes; a write without it is refused. */
export function ifMatch(request: Request): string {
  const value = request.headers.get('if-match');
  if (value === null) throw refuse(428, 'A write needs If-Match with what you last saw');
  return value.replace(/^W\//, '').replaceAll('"', '').trim();
}

/** A path's id; anything that is not one cannot exist. */
export function idOf(text: string): string {
  const id = z.uuid().safeParse(text);
  if (!id.success) throw refuse(404, 'There is no such thing here');
  return id.data;
}

export function parsed<T>(schema: z.ZodType<T>, value: unknown): T {
  const reading = schema.safeParse(value);
  if (reading.success) return reading.data;
  throw refuse(422, 'Some of it cannot be read', {
    errors: reading.error.issues.map((i) => ({ path: i.path.map(String).join('.') || 'body', message: i.message })),
  });
}
