import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { resultSchema } from '@pilgrim/core';

const root = fileURLToPath(new URL('../../', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'pilgrim-'));

function pilgrim(args: readonly string[], input = ''): { code: number | null; out: string; err: string } {
  const run = spawnSync(join(root, 'pilgrim'), ['solve', ...args], { input, encoding: 'utf8', maxBuffer: 1e8 });
  return { code: run.status, out: run.stdout, err: run.stderr };
}

function file(name: string, content: string): string {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
}

const minimal = { format: 'pilgrim.case/1', practice: 'iec' };

describe('./pilgrim solve', () => {
  it('solves the example from a file and from standard input, alike', () => {
    const example = join(root, 'demo/example.case.json');
    const run = pilgrim([example]);
    expect(run.code).toBe(0);
    expect(resultSchema.safeParse(JSON.parse(run.out)).success).toBe(true);
    expect(pilgrim(['-'], JSON.stringify(minimal)).code).toBe(0);
  });
  it.each([
    ['unknown key', JSON.stringify({ ...minimal, plait: {} }), /^plait: .*"plate"/m],
    [
      'wrong unit',
      JSON.stringify({ ...minimal, plate: { maxSpeed: '5 kg' } }),
      /^plate\.maxSpeed: .*rotational speed/m,
    ],
    [
      'negative power',
      JSON.stringify({ ...minimal, load: { demand: { kind: 'power', power: '-5 hp' } } }),
      /^load\.demand\.power: .*above zero/m,
    ],
    [
      'text for a number',
      JSON.stringify({ ...minimal, plate: { serviceFactor: 'big' } }),
      /^plate\.serviceFactor: write a number/m,
    ],
    ['empty file', '', /^case: is empty/m],
    ['not JSON', '{ "format": ', /^case: is not JSON/m],
    ['50 MB of brackets', '['.repeat(50 * 1024 * 1024), /^case: is nested deeper/m],
    ['wrong format', JSON.stringify({ ...minimal, format: 'x' }), /^format: must be "pilgrim\.case\/1"/m],
    [
      'hours beyond a year',
      JSON.stringify({
        ...minimal,
        speed: {
          profile: [
            { hours: 8000, flow: 1 },
            { hours: 1000, flow: 0.5 },
          ],
        },
      }),
      /^speed\.profile: .*8784/m,
    ],
  ])('%s: exit 2 and "path: message" lines, never a trace', (name, content, line) => {
    const run = pilgrim([file(`${name.replaceAll(' ', '-')}.json`, content)]);
    expect(run.code).toBe(2);
    expect(run.err).toMatch(line);
    expect(run.err).not.toMatch(/\n\s+at /);
    for (const l of run.err.trim().split('\n')) expect(l).toMatch(/^\S+: .+/);
  });
  it('a missing file is said', () => {
    const run = pilgrim([join(folder, 'none.json')]);
    expect(run.code).toBe(2);
    expect(run.err).toMatch(/^case: cannot be read/m);
  });
  it('a batch answers in order, an invalid case among them as its errors', () => {
    const run = pilgrim([file('batch.json', JSON.stringify([minimal, { format: 'nonsense' }, minimal]))]);
    expect(run.code).toBe(2);
    const answers: { format: string }[] = JSON.parse(run.out);
    expect(answers.map((a) => a.format)).toEqual(['pilgrim.result/1', 'pilgrim.errors/1', 'pilgrim.result/1']);
  });
});
