import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

test.describe.configure({ mode: 'serial' });

const home = join(process.cwd(), '.pilgrim', 'restart');
const port = '4183';
const base = `http://127.0.0.1:${port}`;
const env = { ...process.env, PILGRIM_HOME: home, PILGRIM_PORT: port };
let server: ChildProcess | undefined;

async function start(): Promise<number> {
  const from = Date.now();
  server = spawn('./pilgrim', ['start'], { env, stdio: 'ignore' });
  await expect(async () => expect((await fetch(`${base}/api/v1/health`)).ok).toBe(true)).toPass({
    timeout: 60_000,
    intervals: [200],
  });
  return Date.now() - from;
}

async function gone(): Promise<void> {
  await expect(async () =>
    expect(
      await fetch(`${base}/api/v1/health`).then(
        () => 'up',
        () => 'down',
      ),
    ).toBe('down'),
  ).toPass();
}

async function save(name: string): Promise<string> {
  const positions: { tag: string; studyId: string }[] = await (await fetch(`${base}/api/v1/positions`)).json();
  const study = positions.find((p) => p.tag === 'UT-590')?.studyId ?? '';
  const { head }: { head: string | null } = await (await fetch(`${base}/api/v1/studies/${study}`)).json();
  const answer = await fetch(`${base}/api/v1/studies/${study}/revisions`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'if-match': `"${head ?? 'none'}"` },
    body: JSON.stringify({ case: { format: 'pilgrim.case/1', practice: 'iec', name }, author: 'tester' }),
  });
  const { id }: { id: string } = await answer.json();
  return id;
}

const kept = async (id: string): Promise<string> =>
  (await (await fetch(`${base}/api/v1/revisions/${id}`)).json()).caseText.name;

test.afterAll(() => {
  server?.kill('SIGTERM');
  spawnSync('./pilgrim', ['db', 'stop'], { env });
});

test('killing the web server or PostgreSQL loses no saved revision', async () => {
  test.setTimeout(150_000);
  rmSync(home, { recursive: true, force: true });
  await start();
  const first = await save('before the web server dies');
  spawnSync('sh', [
    '-c',
    `for p in $(pgrep -f 'node build/index.js'); do tr '\\0' '\\n' < /proc/$p/environ ` +
      `2>/dev/null | grep -qx 'PORT=${port}' && kill -KILL $p; done`,
  ]);
  await gone();
  await start();
  expect(await kept(first)).toBe('before the web server dies');

  const second = await save('before PostgreSQL dies');
  const data = readFileSync(join(home, 'data-folder'), 'utf8');
  const postmaster = readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0] ?? '';
  spawnSync('kill', ['-KILL', postmaster]);
  server?.kill('SIGTERM');
  await gone();
  await start();
  expect(await kept(second)).toBe('before PostgreSQL dies');
  expect(await kept(first)).toBe('before the web server dies');
});
