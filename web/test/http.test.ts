import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import {
  answer,
  heldAlready,
  idOf,
  ifMatch,
  jsonLimit,
  ofApi,
  parsed,
  problemResponse,
  readJsonBody,
  revisionSeen,
  unchanged,
  versionSeen,
  zipped,
} from '$lib/server/http/http';
import { Refusal, refuse } from '$lib/server/refusal';
import { newPosition } from '$lib/server/http/inputs';
import { openApi } from '$lib/server/http/openapi';

const post = (body: BodyInit, type = 'application/json'): Request =>
  new Request('http://127.0.0.1/x', { method: 'POST', body, headers: { 'content-type': type } });

const refused = async (run: () => unknown): Promise<number> => {
  try {
    await run();
  } catch (error) {
    if (error instanceof Refusal) return error.problem.status;
    throw error;
  }
  return 0;
};

describe('text that no database keeps', () => {
  it.each([
    ['NUL', '{"a":{"b":["x\\u0000"]}}', 'a.b[0]'],
    ['half of a pair', '{"name":"\\ud800"}', 'name'],
    ['NUL in a key', '{"a":{"b\\u0000":1}}', 'a'],
    ['NUL alone', '"\\u0000"', 'body'],
  ])('%s is told where it stands', async (_, body, path) => {
    const found = await readJsonBody(post(body)).catch((e: unknown) => e);
    expect(found).toBeInstanceOf(Refusal);
    expect(found instanceof Refusal ? found.problem : undefined).toMatchObject({ status: 422, errors: [{ path }] });
  });
  it('a whole pair and every other sign are kept', async () => {
    expect(await readJsonBody(post('{"a":"\\ud83d\\ude00 \\n µ"}'))).toEqual({ a: '😀 \n µ' });
  });
  it('of many errors, whoever found them, fifty are told', async () => {
    const errors = Array.from({ length: 80 }, (_, i) => ({ path: `a[${i}]`, message: 'is wrong' }));
    const told = async (n: number) =>
      (await problemResponse({ status: 422, title: 'x', errors: errors.slice(0, n) }).json()).errors;
    expect(await told(80)).toEqual(errors.slice(0, 50));
    expect(await told(50)).toHaveLength(50);
    expect(await told(49)).toHaveLength(49);
  });
});

describe('If-Match', () => {
  const seen = (value: string) => new Request('http://127.0.0.1/x', { headers: { 'if-match': value } });
  it('names a version or a revision', () => {
    expect(versionSeen(seen('"7"'))).toBe(7);
    expect(versionSeen(seen('W/"0"'))).toBe(0);
    expect(revisionSeen(seen('"none"'))).toBeNull();
    expect(revisionSeen(seen('"4180aaaa-0000-4000-8000-000000000001"'))).toBe('4180aaaa-0000-4000-8000-000000000001');
  });
  it.each(['"x"', '-1', '1e3', '"99999999999"', '*', '"1.5"'])('%s is no version', async (value) => {
    expect(await refused(() => versionSeen(seen(value)))).toBe(400);
    expect(await refused(() => revisionSeen(seen(value)))).toBe(400);
  });
  it('missing is asked for', async () => {
    expect(await refused(() => versionSeen(new Request('http://127.0.0.1/x')))).toBe(428);
  });
});

describe('what never reached a handler', () => {
  it('is a problem too, and says what may be done', async () => {
    const answer = ofApi(new Response('POST method not allowed', { status: 405, headers: { allow: 'GET' } }));
    expect(answer.headers.get('content-type')).toBe('application/problem+json');
    expect(answer.headers.get('allow')).toBe('GET');
    expect(await answer.json()).toMatchObject({ status: 405, title: expect.stringContaining('Allow') });
    expect(ofApi(new Response('<html>', { status: 404 })).headers.get('content-type')).toMatch(/problem/);
  });
  it('answers and problems stay as they are', () => {
    const good = new Response('{}', { status: 200 });
    const problem = problemResponse({ status: 404, title: 'x' });
    expect(ofApi(good)).toBe(good);
    expect(ofApi(problem)).toBe(problem);
  });
});

describe('compression', () => {
  const asks = (accept: string) => new Request('http://127.0.0.1/x', { headers: { 'accept-encoding': accept } });
  const page = () => new Response('x'.repeat(5000), { headers: { 'content-type': 'text/html', etag: '"1"' } });
  it('for who takes it, with a weak tag', async () => {
    const small = await zipped(asks('gzip, br'), page());
    expect(small.headers.get('content-encoding')).toBe('gzip');
    expect(small.headers.get('etag')).toBe('W/"1"');
    expect(small.headers.get('vary')).toBe('accept-encoding');
    const bytes = Buffer.from(await small.arrayBuffer());
    expect(small.headers.get('content-length')).toBe(String(bytes.byteLength));
    expect(bytes.byteLength).toBeLessThan(200);
    expect(gunzipSync(bytes).toString()).toBe('x'.repeat(5000));
  });
  it('as it comes, of what is told piece by piece', async () => {
    const type = { headers: { 'content-type': 'application/json' } };
    const small = await zipped(asks('gzip'), new Response('[1,2]', type));
    expect(small.headers.has('content-length')).toBe(false);
    expect(gunzipSync(Buffer.from(await small.arrayBuffer())).toString()).toBe('[1,2]');
  });
  it('not for others, not for pictures, not for what is told line by line', async () => {
    const pages = page();
    expect(await zipped(asks('br'), pages)).toBe(pages);
    for (const type of ['image/png', 'application/x-ndjson', 'font/woff2']) {
      const other = new Response('x', { headers: { 'content-type': type } });
      expect(await zipped(asks('gzip'), other)).toBe(other);
    }
  });
});

describe('what is held already', () => {
  const asks = (held: string, method = 'GET') =>
    new Request('http://127.0.0.1/x', { method, headers: { 'if-none-match': held } });
  const page = (etag = '"1"', status = 200) =>
    new Response('x', { status, headers: { etag, 'content-type': 'text/html', 'cache-control': 'no-cache' } });
  it.each(['"1"', 'W/"1"', '"0", W/"1"', '*'])('%s is', (held) => {
    expect(heldAlready(asks(held), page())).toBe(true);
    expect(heldAlready(asks(held), page('W/"1"'))).toBe(true);
  });
  it('another is not, nor what was written or went wrong', () => {
    expect(heldAlready(asks('"2"'), page())).toBe(false);
    expect(heldAlready(asks('"1"', 'POST'), page())).toBe(false);
    expect(heldAlready(asks('"1"'), page('"1"', 404))).toBe(false);
    expect(heldAlready(new Request('http://127.0.0.1/x'), page())).toBe(false);
    expect(heldAlready(asks('"1"'), new Response('x'))).toBe(false);
  });
  it('and said so without a body, with its tag', async () => {
    const told = unchanged(page());
    expect([told.status, told.headers.get('etag'), told.headers.get('cache-control')]).toEqual([
      304,
      '"1"',
      'no-cache',
    ]);
    expect(told.headers.has('content-type')).toBe(false);
    expect(await told.text()).toBe('');
  });
});

describe('a JSON body', () => {
  it('is read, with any JSON content type', async () => {
    expect(await readJsonBody(post('{"a":1}'))).toEqual({ a: 1 });
    expect(await readJsonBody(post('[1]', 'application/merge-patch+json; charset=utf-8'))).toEqual([1]);
  });
  it('in pieces that split a letter is put together whole', async () => {
    const bytes = new TextEncoder().encode('{"unit":"N·m²"}');
    const stream = new ReadableStream<Uint8Array>({
      start(c) {
        for (const b of bytes) c.enqueue(Uint8Array.of(b));
        c.close();
      },
    });
    const request = new Request('http://127.0.0.1/x', {
      method: 'POST',
      body: stream,
      headers: { 'content-type': 'application/json' },
      ...{ duplex: 'half' },
    });
    expect(await readJsonBody(request)).toEqual({ unit: 'N·m²' });
  });
  it.each([
    ['other types', 415, () => readJsonBody(post('<a/>', 'text/xml'))],
    ['half a JSON', 400, () => readJsonBody(post('{"a":'))],
    ['nothing', 400, () => readJsonBody(post(''))],
    ['too much', 413, () => readJsonBody(post(`"${'x'.repeat(jsonLimit)}"`))],
    ['too much for a limit of its own', 413, () => readJsonBody(post('"123456789"'), 5)],
  ] as const)('%s is refused with %i', async (_, status, run) => expect(await refused(run)).toBe(status));
  it('just within the limit is taken', async () => {
    expect(await readJsonBody(post('"123"'), 5)).toBe('123');
  });
});

describe('preconditions and ids', () => {
  const withMatch = (value: string): Request => new Request('http://127.0.0.1/x', { headers: { 'if-match': value } });
  it.each([
    ['"r1"', 'r1'],
    ['W/"3"', '3'],
    ['none', 'none'],
  ])('If-Match %s', (header, value) => expect(ifMatch(withMatch(header))).toBe(value));
  it('missing is 428', async () => expect(await refused(() => ifMatch(new Request('http://127.0.0.1/x')))).toBe(428));
  it('an id that is none cannot exist', async () => {
    expect(await refused(() => idOf("1' or 1=1"))).toBe(404);
    const id = crypto.randomUUID();
    expect(idOf(id)).toBe(id);
  });
});

describe('answers', () => {
  it('refusals are problem documents', async () => {
    const response = await answer(async () => {
      throw refuse(409, 'No', { detail: 'because' });
    });
    expect(response.status).toBe(409);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    expect(await response.json()).toEqual({ type: 'about:blank', status: 409, title: 'No', detail: 'because' });
  });
  it('what went wrong inside is not told outside', async () => {
    const response = await answer(async () => {
      throw new Error('password=secret at /srv/x.ts:1');
    });
    expect(response.status).toBe(500);
    expect(await response.text()).not.toMatch(/secret|\.ts/);
  });
  it('a problem keeps what is added to it', async () => {
    expect(await problemResponse({ status: 412, title: 'x', head: { id: 'r' } }).json()).toMatchObject({
      head: { id: 'r' },
    });
  });
  it('inputs are trimmed, and what is missing is named by its path', () => {
    expect(parsed(newPosition, { tag: ' T ', name: 'N', area: 'A', plant: 'P' })).toMatchObject({ tag: 'T' });
    try {
      parsed(newPosition, { tag: '', name: 'N', area: 'A', plant: 'P', extra: 1 });
      expect.fail('was taken');
    } catch (error) {
      const problem = error instanceof Refusal ? error.problem : undefined;
      expect(problem?.status).toBe(422);
      expect(problem?.errors?.map((e) => e.path)).toContain('tag');
    }
  });
});

describe('the OpenAPI document', () => {
  it('asks If-Match of every write on something that is there', () => {
    for (const [path, item] of Object.entries(openApi.paths)) {
      const parameters = JSON.stringify(item);
      if (/delete|patch/.test(Object.keys(item).join()) || path.endsWith('/revisions'))
        expect(parameters).toContain('If-Match');
    }
  });
  it('refers only to schemas it holds', () => {
    const names = [...JSON.stringify(openApi.paths).matchAll(/#\/components\/schemas\/(\w+)/g)].map((m) => m[1]);
    expect(names.length).toBeGreaterThan(3);
    for (const name of names) expect(Object.keys(openApi.components.schemas)).toContain(name);
  });
});
