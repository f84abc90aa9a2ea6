import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { CaseError } from '@pilgrim/core';
import { z } from 'zod';
import { renew } from '$lib/server/db/database';
import { diskProblem, isLost, lostHeaders, lostProblem } from '$lib/server/db/lost';
import { Refusal, refuse, type Problem } from '$lib/server/refusal';
import { log } from './log';

/** Largest JSON body, and largest file of a whole position. */
export const jsonLimit = 2 * 1024 * 1024;
export const fileLimit = 25 * 1024 * 1024;

/** Media type of a workbook (XLSX). */
export const sheetType = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** Nothing between here and its reader may keep an answer: what is asked again is asked here. */
const unkept = { 'cache-control': 'no-store' } as const;

/** Of what is wrong, as many are told. */
const errorsShown = 50;

export function problemResponse(problem: Problem, headers: Record<string, string> = {}): Response {
  const told = problem.errors ? { ...problem, errors: problem.errors.slice(0, errorsShown) } : problem;
  return new Response(JSON.stringify({ type: 'about:blank', ...told }), {
    status: problem.status,
    headers: {
      'content-type': 'application/problem+json',
      ...unkept,
      ...(problem.status === lostProblem.status ? lostHeaders : {}),
      ...headers,
    },
  });
}

/** The database is not there: said, and every connection begun anew. */
export function lostResponse(error: unknown): Response {
  log.warn(error);
  renew();
  return problemResponse(lostProblem);
}

export function jsonResponse(body: unknown, status = 200, headers: Record<string, string> = {}): Response {
  // What has a tag may be kept and is asked about; the rest is not kept.
  const cache = headers.etag === undefined ? unkept : { 'cache-control': 'private, no-cache' };
  return jsonText(JSON.stringify(body), status, { ...cache, ...headers });
}

/** The same of what is JSON already. */
export function jsonText(text: string, status = 200, headers: Record<string, string> = unkept): Response {
  const length = String(Buffer.byteLength(text));
  return new Response(text, {
    status,
    headers: { 'content-type': 'application/json', 'content-length': length, ...headers },
  });
}

const titles: Readonly<Record<number, string>> = {
  404: 'There is nothing here',
  405: 'This is not done here: see Allow',
};

/** An error that never reached a handler (no such path, no such method), in the one format of the HTTP face. */
export function ofApi(response: Response): Response {
  const type = response.headers.get('content-type') ?? '';
  if (response.status < 400 || type.startsWith('application/problem+json')) return response;
  const allow = response.headers.get('allow');
  const { status } = response;
  return problemResponse(
    { status, title: titles[status] ?? 'This cannot be answered' },
    allow === null ? {} : { allow },
  );
}

/** Whether a tag is among those of If-None-Match; weak tags are equal to strong ones (RFC 9110, 13.1.2). */
export function heldAlready(request: Request, response: Response): boolean {
  const etag = response.headers.get('etag');
  const held = request.headers.get('if-none-match');
  if (!['GET', 'HEAD'].includes(request.method) || response.status !== 200 || etag === null || held === null)
    return false;
  const strong = (tag: string): string => tag.trim().replace(/^W\//, '');
  return held.split(',').some((tag) => tag.trim() === '*' || strong(tag) === strong(etag));
}

/** Said to who holds it already. */
export function unchanged(response: Response): Response {
  const kept = ['cache-control', 'date', 'etag', 'expires', 'set-cookie', 'vary'];
  return new Response(null, { status: 304, headers: [...response.headers].filter(([name]) => kept.includes(name)) });
}

const atOnce = promisify(gzip);

/**
 * What gains by it, compressed for those who take it. What is whole (it has a tag or a length) is compressed at once;
 * what is told piece by piece goes out as it comes.
 */
export async function zipped(request: Request, response: Response): Promise<Response> {
  const { status, headers, body } = response;
  const type = headers.get('content-type') ?? '';
  const gains = /^(text\/(html|csv|css|plain|javascript)|application\/([\w.+-]*\+)?json|image\/svg)\b/.test(type);
  if (!gains || !takesGzip(request) || !body || headers.has('content-encoding')) return response;
  const whole = headers.has('etag') || headers.has('content-length');
  if (whole) return gzipResponse(await atOnce(await response.arrayBuffer()), headers, status);
  return new Response(body.pipeThrough(new CompressionStream('gzip')), { status, headers: zippedHeaders(headers) });
}

export const takesGzip = (request: Request): boolean => /\bgzip\b/.test(request.headers.get('accept-encoding') ?? '');

/** What is compressed already, with the headers of what it was. */
export function gzipResponse(bytes: Uint8Array, of: HeadersInit, status = 200): Response {
  const headers = zippedHeaders(of);
  headers.set('content-length', String(bytes.byteLength));
  return new Response(new Uint8Array(bytes), { status, headers });
}

function zippedHeaders(of: HeadersInit): Headers {
  const headers = new Headers(of);
  headers.set('content-encoding', 'gzip');
  headers.append('vary', 'accept-encoding');
  headers.delete('content-length');
  const etag = headers.get('etag');
  // The same bytes no more, the same answer still.
  if (etag !== null && !etag.startsWith('W/')) headers.set('etag', `W/${etag}`);
  return headers;
}

/** Runs a handler; refusals become problem documents, anything else is logged and answered without a trace. */
export async function answer(run: () => Promise<Response>): Promise<Response> {
  try {
    return await run();
  } catch (error) {
    if (error instanceof Refusal) return problemResponse(error.problem);
    if (isLost(error)) return lostResponse(error);
    log.error(error);
    const full = diskProblem(error);
    if (full) return problemResponse(full);
    return problemResponse({ status: 500, title: 'Something went wrong here; it was written to the log' });
  }
}

/** Reads a JSON body up to a limit. */
export async function readJsonBody(request: Request, limit = jsonLimit): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(json|[\w.+-]+\+json)\b/i.test(type))
    throw refuse(415, 'Send JSON, with content-type application/json');
  const body = await readBody(request, limit);
  let value: unknown;
  try {
    value = JSON.parse(body.toString('utf8'));
  } catch {
    throw refuse(400, 'The body is not JSON');
  }
  const errors = [...unkeepable(value, '')];
  if (errors.length > 0) throw refuse(422, 'Some text in it cannot be kept', { errors });
  return value;
}

/** True for text that a database keeps: no NUL, and no half of a pair of surrogates. */
export const isKeepable = (text: string): boolean => !text.includes('\0') && !/\p{Surrogate}/u.test(text);

/** Where a body holds text, keys included, that no database keeps. */
function* unkeepable(value: unknown, path: string): Generator<CaseError> {
  const message = 'holds a character that is no text (NUL, or half of a pair)';
  if (typeof value === 'string') {
    if (!isKeepable(value)) yield { path: path || 'body', message };
  } else if (Array.isArray(value)) {
    for (const [i, v] of value.entries()) yield* unkeepable(v, `${path}[${i}]`);
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, v] of Object.entries(value)) {
      if (isKeepable(key)) yield* unkeepable(v, path === '' ? key : `${path}.${key}`);
      else yield { path: path || 'body', message: `has a key that ${message}` };
    }
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

/** The version that If-Match names: a whole number as ETags have it. */
export function versionSeen(request: Request): number {
  const seen = ifMatch(request);
  if (!/^\d{1,9}$/.test(seen)) throw refuse(400, 'If-Match is no version: send the ETag of what you last saw');
  return Number(seen);
}

/** The revision that If-Match names; null for "none", a first save. */
export function revisionSeen(request: Request): string | null {
  const seen = ifMatch(request);
  if (seen === 'none') return null;
  if (!z.uuid().safeParse(seen).success)
    throw refuse(400, 'If-Match is no revision: send the ETag of what you last saw, or "none"');
  return seen;
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
