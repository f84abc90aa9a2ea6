import { readFileSync } from 'node:fs';
import { parseJson, readCase, solve, type CaseError, type Errors, type Result } from '@pilgrim/core';

/** `pilgrim solve FILE…`: cases in, results out. Exit 0 solved, 2 not a valid case. */
const files = process.argv.slice(2);
const largest = 200 * 1024 * 1024;

interface Answer {
  readonly results: readonly (Result | Errors)[];
  readonly batch: boolean;
}

if (files.length === 0) {
  process.stderr.write('usage: pilgrim solve FILE… (- is standard input)\n');
  process.exitCode = 2;
} else {
  const answers = files.map(answerFor);
  const results = answers.flatMap((a) => a.results);
  const batch = files.length > 1 || answers.some((a) => a.batch);
  const bad = results.some((r) => r.format === 'pilgrim.errors/1');
  const first = results[0];
  if (batch) process.stdout.write(`${JSON.stringify(results, null, 2)}\n`);
  else if (first && first.format === 'pilgrim.result/1') process.stdout.write(`${JSON.stringify(first, null, 2)}\n`);
  for (const result of results) {
    if (result.format === 'pilgrim.errors/1')
      process.stderr.write(result.errors.map((e) => `${e.path}: ${e.message}\n`).join(''));
  }
  process.exitCode = bad ? 2 : 0;
}

function answerFor(file: string): Answer {
  const source = readText(file);
  if (typeof source !== 'string') return { results: [failed([source])], batch: false };
  const json = parseJson(source);
  if (!json.ok) return { results: [failed(json.errors)], batch: false };
  if (!Array.isArray(json.value)) return { results: [solved(json.value)], batch: false };
  const cases: unknown[] = json.value;
  return { results: cases.map(solved), batch: true };
}

function solved(value: unknown): Result | Errors {
  const reading = readCase(value);
  return reading.ok ? solve(reading.value) : failed(reading.errors);
}

function failed(errors: readonly CaseError[]): Errors {
  return { format: 'pilgrim.errors/1', errors };
}

function readText(file: string): string | CaseError {
  try {
    const bytes = readFileSync(file === '-' ? 0 : file);
    return bytes.length > largest
      ? { path: 'case', message: `is larger than ${largest / 1024 / 1024} MB` }
      : bytes.toString('utf8');
  } catch {
    return { path: 'case', message: `cannot be read: ${file}` };
  }
}
