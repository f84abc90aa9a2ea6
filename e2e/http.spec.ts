import { request as http } from 'node:http';
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { ownPosition } from './helpers';

const example: object = JSON.parse(readFileSync('demo/example.case.json', 'utf8'));

test('solves a case, refuses a bad one with paths', async ({ request }) => {
  const good = await request.post('/api/v1/solve', { data: example });
  expect((await good.json()).choice.method).toBe('drive');
  const bad = await request.post('/api/v1/solve', { data: { ...example, plait: 1 } });
  expect(bad.status()).toBe(422);
  expect(bad.headers()['content-type']).toContain('application/problem+json');
  expect((await bad.json()).errors).toContainEqual({ path: 'plait', message: expect.stringContaining('"plate"') });
});

test('a body over 2 MB is 413 in the same format, text is 415, half a JSON is 400', async ({ request }) => {
  const big = await request.post('/api/v1/solve', {
    headers: { 'content-type': 'application/json' },
    data: `"${'x'.repeat(3_000_000)}"`,
  });
  expect(big.status()).toBe(413);
  expect((await big.json()).status).toBe(413);
  expect(
    (await request.post('/api/v1/solve', { headers: { 'content-type': 'application/xml' }, data: '<case/>' })).status(),
  ).toBe(415);
  const half = await request.post('/api/v1/solve', {
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{"a":'),
  });
  expect(half.status()).toBe(400);
});

test('writes need If-Match, and an outdated one is 412 with what stands there', async ({ request }) => {
  const { study } = await ownPosition(request, 'H-1', '07-kn-410.json');
  const url = `/api/v1/studies/${study}/revisions`;
  expect((await request.post(url, { data: { case: example } })).status()).toBe(428);
  const late = await request.post(url, { headers: { 'if-match': '"none"' }, data: { case: example } });
  expect(late.status()).toBe(412);
  expect((await late.json()).head.author).toBe('first');
});

test('another site cannot write, another host name is not answered', async ({ request, baseURL }) => {
  const foreign = await request.post('/api/v1/positions', {
    headers: { origin: 'http://elsewhere.example' },
    data: { tag: 'x', name: 'x', area: 'x', plant: 'x' },
  });
  expect(foreign.status()).toBe(403);
  const { port } = new URL(baseURL ?? '');
  const status = await new Promise<number | undefined>((done, fail) => {
    http({ host: '127.0.0.1', port, path: '/api/v1/health', headers: { host: 'rebound.example' } }, (r) =>
      done(r.statusCode),
    )
      .on('error', fail)
      .end();
  });
  expect(status).toBe(421);
});

test('schemas and the OpenAPI document are published; pages carry a content security policy', async ({ request }) => {
  const api = await (await request.get('/api/v1/openapi.json')).json();
  expect(api.openapi).toBe('3.1.0');
  expect(Object.keys(api.paths)).toEqual(
    expect.arrayContaining(['/api/v1/solve', '/api/v1/positions/import', '/api/v1/studies/{id}/revisions']),
  );
  for (const name of ['case', 'result']) {
    const schema = await (await request.get(`/api/v1/schemas/${name}`)).json();
    expect(schema.properties.format.const).toBe(`pilgrim.${name}/1`);
  }
  const page = await request.get('/');
  expect(page.headers()['content-security-policy']).toContain("default-src 'self'");
  expect(page.headers()['content-security-policy']).not.toContain('unsafe-eval');
});

test('a wrong id is 404 without a trace', async ({ request }) => {
  for (const path of ['positions/nonsense', `positions/${crypto.randomUUID()}`, "studies/1'--", 'revisions/x']) {
    const answer = await request.get(`/api/v1/${path}`);
    expect(answer.status()).toBe(404);
    expect(await answer.text()).not.toMatch(/\bat .*\.js/);
  }
});
