import fc from 'fast-check';
import { judge, judgeWhole, motorsFor, readCase, solveWith, comparedMethods, findFirst } from '@pilgrim/core';
import { likelyCase } from '../core/test/randomCases';

/**
 * The first choice by the pruned search against the one that simulating every motor with every method gives, over
 * random cases; and how long a
 * solve takes and how many starts it simulated. `node dist/choice.mjs [CASES] [SEED] [EVERY]`: brute force over every
 * so-manieth motor.
 */
const [count = 500, seed = 1, every = 20] = process.argv.slice(2).map(Number);
const times: number[] = [];
const runs: number[] = [];
let compared = 0;
let different = 0;
for (const text of fc.sample(likelyCase, { numRuns: count, seed })) {
  const reading = readCase(text);
  if (!reading.ok) continue;
  const from = performance.now();
  const { result, screening } = solveWith(reading.value);
  times.push(performance.now() - from);
  if (process.env.SLOW && (times.at(-1) ?? 0) > 90)
    console.log(times.at(-1)?.toFixed(0), result.choice?.runs, JSON.stringify(text));
  if (result.choice) runs.push(result.choice.runs);
  if (!screening) continue;
  const { needs } = screening;
  const motors = motorsFor(needs.practice.id, [], { frequency: needs.supply.frequency, letters: [] }).filter(
    (_, i) => i % every === 0,
  );
  const pruned = judge(needs, motors, comparedMethods);
  findFirst(pruned);
  const whole = judgeWhole(needs, motors, comparedMethods);
  findFirst(whole);
  compared++;
  const first = (j: typeof whole) => (j.worst[j.order[0] ?? 0] === 2 ? -1 : j.order[0]);
  if (first(pruned) !== first(whole)) {
    different++;
    console.log(`different: ${JSON.stringify(text)}\n  pruned ${name(pruned)}, whole ${name(whole)}`);
  }
}
function name(j: ReturnType<typeof judge>): string {
  const entry = j.order[0] ?? 0;
  const M = j.methods.length;
  return (
    `${j.columns.motors[Math.floor(entry / M)]?.name} ${j.methods[entry % M]} ` +
    `(${j.worst[entry]}, ${j.rank[entry]?.toFixed(1)})`
  );
}
const sorted = (list: number[]): number[] => list.toSorted((a, b) => a - b);
const at = (list: number[], share: number): number =>
  sorted(list)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN;
const three = (list: number[], digits: number): string =>
  [0.5, 0.95, 0.99, 1].map((s) => at(list, s).toFixed(digits)).join(' / ');
console.log(`${compared} cases compared with brute force over every ${every}th motor: ${different} different`);
console.log(`solve, ms at p50 / p95 / p99 / most: ${three(times, 1)}`);
console.log(`starts simulated to find the first, p50 / p95 / p99 / most: ${three(runs, 0)}`);
process.exitCode = different === 0 ? 0 : 1;
