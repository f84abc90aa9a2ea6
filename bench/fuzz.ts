// The long run of the case fuzz: node dist/fuzz.mjs [how many] [seed]
import fc from 'fast-check';
import { fuzzed } from '../core/test/fuzz';
import { extremeCase, likelyCase } from '../core/test/randomCases';

const [count = '20000', seed = '1'] = process.argv.slice(2);
const numRuns = Number(count);
const faults = new Map<string, { readonly text: unknown; count: number }>();
const times: number[] = [];
/** Made as they are needed: thousands of cases kept would be what the collector's pauses go through. */
const atOnce = 100;
function* cases(): Generator<unknown> {
  for (let done = 0; done < numRuns; done += atOnce) {
    const own = Number(seed) + done;
    const many = Math.min(atOnce, numRuns - done);
    yield* fc.sample(extremeCase(), { seed: own, numRuns: Math.round(many * 0.8) });
    yield* fc.sample(likelyCase, { seed: own, numRuns: Math.round(many * 0.2) });
  }
}
for (const practice of ['iec', 'north-america'])
  fuzzed({ format: 'pilgrim.case/1', practice, load: { demand: { kind: 'power', power: '7 kW', speed: '1450 rpm' } } });
for (const text of cases()) {
  const found = fuzzed(text, (ms) => times.push(ms));
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
  `${numRuns} cases, ${faults.size} kinds of fault; after the first of each practice ${times.length} solved in ` +
    `${at(0.5)} ms median, ${at(0.95)} ms at the 95th percentile, ${at(0.99)} ms at the 99th, ${at(1)} ms at most`,
);
process.exitCode = faults.size === 0 ? 0 : 1;
