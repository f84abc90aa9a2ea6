// The long run of the case fuzz: node dist/fuzz.mjs [how many] [seed]
import fc from 'fast-check';
import { fuzzed } from '../core/test/fuzz';
import { extremeCase, likelyCase } from '../core/test/randomCases';

const [count = '20000', seed = '1'] = process.argv.slice(2);
const numRuns = Number(count);
const faults = new Map<string, { readonly text: unknown; count: number }>();
const times: number[] = [];
for (const text of [
  ...fc.sample(extremeCase(), { seed: Number(seed), numRuns: Math.round(numRuns * 0.8) }),
  ...fc.sample(likelyCase, { seed: Number(seed), numRuns: Math.round(numRuns * 0.2) }),
]) {
  const from = performance.now();
  const found = fuzzed(text);
  times.push(performance.now() - from);
  const first = found[0];
  if (first === undefined) continue;
  const kind = first.replace(/\d+(\.\d+)?/g, '#').slice(0, 160);
  const known = faults.get(kind);
  if (known) known.count++;
  else faults.set(kind, { text, count: 1 });
}
for (const [kind, { text, count: times_ }] of faults)
  console.log(`${times_} × ${kind}\n    ${JSON.stringify(text).slice(0, 6000)}`);
times.sort((a, b) => a - b);
const at = (share: number): string =>
  (times[Math.min(times.length - 1, Math.floor(share * times.length))] ?? 0).toFixed(0);
console.log(
  `${times.length} cases, ${faults.size} kinds of fault; read, solved and checked in ${at(0.5)} ` +
    `ms median, ${at(0.99)} ms at the 99th percentile, ${at(1)} ms at most`,
);
process.exitCode = faults.size === 0 ? 0 : 1;
