import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { genericMotors, readCase, solve } from '@pilgrim/core';

/** Full solve over the catalogue of one practice, and reading the case. */
const text = readFileSync(new URL('../demo/example.case.json', import.meta.url), 'utf8');
const reading = readCase(JSON.parse(text));
if (!reading.ok) throw new Error('the example is not a valid case');
const input = reading.value;
const motors = genericMotors().filter((m) => m.practice === input.practice).length;

const bench = new Bench({ time: 1000 });
bench.add(`read a case`, () => void readCase(JSON.parse(text)));
bench.add(`solve over ${motors} motors × 4 methods, subject told`, () => void solve(input));
await bench.run();
for (const task of bench.tasks) {
  const result = task.result;
  if (!('latency' in result)) continue;
  const { p50, p99 } = result.latency;
  process.stdout.write(`${task.name}: median ${p50.toFixed(2)} ms, 99th percentile ${p99.toFixed(2)} ms\n`);
}
