import { describe, expect, it } from 'vitest';
import { answer, idOf, ifMatch, jsonLimit, parsed, problemResponse, readJsonBody } from '$lib/server/http/http';
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
