import { readFileSync } from 'node:fs';
import { request as http } from 'node:http';
import { expect, test } from '@playwright/test';
import fc from 'fast-check';
import { demoId } from './helpers';

/** Requests of one run, and its seed: `./pilgrim bench http [COUNT] [SEED]` sends more. */
const count = Number(process.env.PILGRIM_FUZZ ?? 200);
const seed = Number(process.env.PILGRIM_FUZZ_SEED ?? 13);

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer | undefined;
}

const example: unknown = JSON.parse(readFileSync('demo/example.case.json', 'utf8'));
const there = crypto.randomUUID();
// The last demo position is there; nothing that is sent knows what was last seen of it.
const id = fc.oneof(
  fc.constantFrom(demoId('10'), there, 'nonsense', '%00', '%2e%2e', '%E0%A4%A', "1'--", '0', '%F0%9F%98%80'),
  fc.uuid(),
  fc.webPath({ size: 'small' }).map((p) => p.replaceAll('/', '') || 'x'),
);
const fixed = fc.constantFrom(
  '',
  '?as=csv',
  '?as=xlsx',
  '?as=%00',
  '?take=good',
  '?mapping=%7B',
  '?name=%00',
  '?x=%ff',
);
const told = fc.oneof(
  fc.constantFrom('tag', 'cost', 'desc', 'asc', 'stop', 'draft', 'kiln', '0', '-1', '1e9', '500', '[]', '["a",1,null]'),
  fc.constantFrom('\0', '%', '_', "'; --", '"', '9'.repeat(40), Buffer.from('[null,"",""]').toString('base64url')),
  fc.string({ unit: 'binary', maxLength: 20 }),
);
/** What a page of the plant list is asked by, each as it may be or as nobody would write it. */
const ofList = fc
  .dictionary(fc.constantFrom('find', 'show', 'by', 'way', 'after', 'limit', 'studies'), told, { maxKeys: 4 })
  .map((asked) => `?${new URLSearchParams(asked).toString()}`);
const query = fc.oneof({ weight: 3, arbitrary: fixed }, { weight: 1, arbitrary: ofList });
const path = (known: readonly string[]) =>
  fc
    .oneof(
      {
        weight: 9,
        arbitrary: fc.tuple(
          fc
            .constantFrom(...known, '/api/v1/nothing', '/api/v2/positions', '/api/v1/')
            .chain((route) => id.map((own) => route.replace('{id}', own))),
          query,
        ),
      },
      { weight: 1, arbitrary: fc.tuple(fc.constant('/api/v1/positions/list'), ofList) },
    )
    .map(([route, more]) => route + more);
const odd = fc.oneof(
  fc.constantFrom('\0', 'a\0b', '\ud800', '\udfff x', '', '😀', '9'.repeat(400), 'none', '"', '..', '2026-02-30'),
  fc.string({ unit: 'binary', maxLength: 40 }),
);
const field = fc.constantFrom('tag', 'name', 'area', 'plant', 'case', 'author', 'note', 'plate', 'quantity', 'format');
const json = fc.oneof(
  fc.constant(example),
  fc.constant([example, 1, null]),
  fc.constant({ case: example, author: 'fuzz' }),
  fc.dictionary(field, fc.oneof(odd, fc.jsonValue({ maxDepth: 2 }), fc.constant(example)), { maxKeys: 6 }),
  fc.dictionary(odd, odd, { maxKeys: 3 }),
  fc.jsonValue({ maxDepth: 3 }),
);
const body = fc.oneof(
  { weight: 6, arbitrary: json.map((v) => Buffer.from(JSON.stringify(v))) },
  { weight: 1, arbitrary: fc.constant(undefined) },
  { weight: 2, arbitrary: fc.uint8Array({ maxLength: 200 }).map((b) => Buffer.from(b)) },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      Buffer.from('Tag;Power\n\0;4 kW\n'),
      Buffer.from('PK\x03\x04 no workbook', 'latin1'),
      Buffer.from('89504e470d0a1a0a0000000d49484452ffffffff', 'hex'),
      Buffer.from('{"a":'),
    ),
  },
);
const type = fc.oneof(
  { weight: 5, arbitrary: fc.constant('application/json') },
  { weight: 4, arbitrary: fc.constantFrom('text/csv', 'text/plain', 'image/png', 'x', 'multipart/form-data') },
);
const seen = fc.constantFrom('"1"', '"none"', 'none', 'W/"3"', '*', '-1', `"${'9'.repeat(20)}"`, '""', `"${there}"`);
const headers = fc
  .tuple(
    fc.record(
      {
        'content-type': type,
        'if-match': seen,
        accept: fc.constantFrom('text/csv', '*/*', 'application/json', 'text/html'),
        'accept-encoding': fc.constantFrom('gzip', 'identity', 'br'),
      },
      { requiredKeys: ['content-type'] },
    ),
    fc.oneof(
      { weight: 9, arbitrary: fc.constant({}) },
      { weight: 1, arbitrary: fc.record({ origin: fc.constantFrom('http://elsewhere.example', 'null') }) },
    ),
  )
  .map(([own, from]): Record<string, string> => ({ ...own, ...from }));

const requests = (routes: readonly string[]) =>
  fc.record({
    method: fc.constantFrom('GET', 'GET', 'POST', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD', 'OPTIONS'),
    path: path(routes),
    headers,
    body,
  });

function send(base: URL, { method, path, headers, body }: Sent) {
  return new Promise<{ status: number; type: string; text: string }>((done, fail) => {
    const sent = method === 'GET' || method === 'HEAD' ? undefined : body;
    // Node frames a body by itself for some methods only.
    const framed = sent ? { ...headers, 'content-length': String(sent.length) } : headers;
    const asked = http({ host: base.hostname, port: base.port, method, path, headers: framed }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on('data', (c: Buffer) => chunks.push(c));
      answer.on('end', () =>
        done({
          status: answer.statusCode ?? 0,
          type: answer.headers['content-type'] ?? '',
          text: answer.headers['content-encoding'] ? '' : Buffer.concat(chunks).toString('utf8'),
        }),
      );
      answer.on('error', fail);
    });
    asked.on('error', fail);
    asked.end(sent);
  });
}

test(`${count} requests of every kind to every path: no fault of the server, every error a problem`, async ({
  request,
  baseURL,
}) => {
  test.setTimeout(60_000 + 200 * count);
  const api: { paths: Record<string, unknown> } = await (await request.get('/api/v1/openapi.json')).json();
  const base = new URL(baseURL ?? '');
  const wrong: string[] = [];
  const met = new Map<number, number>();
  for (const sent of fc.sample(requests(Object.keys(api.paths)), { numRuns: count, seed })) {
    const { status, type, text } = await send(base, sent);
    met.set(status, (met.get(status) ?? 0) + 1);
    const payload = sent.body?.toString('latin1').slice(0, 200) ?? '';
    const said = `${sent.method} ${sent.path} ${JSON.stringify(sent.headers)} ${payload}`;
    if (status >= 500) wrong.push(`${status}: ${said}: ${text.slice(0, 200)}`);
    else if (status >= 400 && !type.startsWith('application/problem+json')) wrong.push(`${status} as ${type}: ${said}`);
    else if (status >= 400 && text !== '' && JSON.parse(text).status !== status) wrong.push(`${status} says ${text}`);
  }
  expect(wrong).toEqual([]);
  // Both kinds were met: what is taken and what is refused.
  expect([...met.keys()]).toEqual(expect.arrayContaining([200, 404, 405, 422]));
});
