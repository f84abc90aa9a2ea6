// Digests of what core makes of the demo plant and of 500 seeded cases, to see that moving code changes nothing:
//   node dist/golden.mjs FILE          writes them
//   node dist/golden.mjs FILE --check  compares, and prints the cases and parts that differ
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { readCase, solve, type Result } from '@pilgrim/core';
import { likelyCase } from '../core/test/randomCases';

const [file = 'bench/golden.json', check] = process.argv.slice(2);
const folder = 'demo/positions';

interface DemoFile {
  readonly case: unknown;
}

const demo = readdirSync(folder).map((name): [string, unknown] => {
  const { case: text }: DemoFile = JSON.parse(readFileSync(join(folder, name), 'utf8'));
  return [name, text];
});
const seeded = fc
  .sample(likelyCase, { seed: 4180, numRuns: 500 })
  .map((text, i): [string, unknown] => [`seeded ${i}`, text]);

/** Numbers to twelve figures: the last bits may differ between machines. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' && Number.isFinite(value) ? Number(value.toPrecision(12)) : value;
const digest = (value: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(value, rounded) ?? '')
    .digest('hex')
    .slice(0, 8);
const byKey = (record: object): object =>
  Object.fromEntries(Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1)));

function digests(result: Result): Record<string, string> {
  const { figures, ...rest } = result;
  return {
    values: digest(byKey(Object.fromEntries(Object.entries(figures).map(([id, f]) => [id, f.value])))),
    figures: digest(byKey(figures)),
    ...Object.fromEntries(Object.entries(rest).map(([part, value]) => [part, digest(value)])),
  };
}

const found: Record<string, Record<string, string>> = {};
for (const [name, text] of [...demo, ...seeded]) {
  if (text === null) continue;
  const reading = readCase(text);
  if (!reading.ok) throw new Error(`${name}: ${reading.errors.map((e) => `${e.path} ${e.message}`).join('; ')}`);
  const result = solve(reading.value);
  found[name] = digests(result);
  if (process.env.GOLDEN_FULL)
    writeFileSync(
      join(process.env.GOLDEN_FULL, `${name}.json`),
      JSON.stringify({ case: text, result: { ...result, figures: byKey(result.figures) } }, rounded, 1),
    );
}
if (check === '--check') {
  const before: typeof found = JSON.parse(readFileSync(file, 'utf8'));
  const differing = Object.entries(found).flatMap(([name, parts]) => {
    const changed = Object.keys(parts).filter((p) => parts[p] !== before[name]?.[p]);
    return changed.length === 0 ? [] : [`${name}: ${changed.join(', ')}`];
  });
  console.log(differing.length === 0 ? `all ${Object.keys(found).length} alike` : differing.join('\n'));
  process.exitCode = differing.length === 0 ? 0 : 1;
} else writeFileSync(file, `${JSON.stringify(found).replaceAll('},', '},\n')}\n`);
