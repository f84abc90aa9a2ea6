// Mutation testing: a seeded sample of one-place mutants of core, each run against the tests that reach it.
//   node tools/mutate.mjs [PATH] [COUNT] [SEED] [FROM]   PATH below core/src; without one, every area in turn
// FROM leaves out the first of the sample: what an earlier run has tried, or what another machine tries.
// A mutant of what runs only while modules load (tables, laws' papers) is left out, and so are the words of sentences.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Stryker } from '@stryker-mutator/core';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { areaOf, areas } from './mutate.areas.mjs';
import { short } from './mutate.reporter.mjs';

const [path, count = '320', seed = '1', from = '0'] = process.argv.slice(2);
const mutator = { excludedMutations: ['StringLiteral'] };

/** The same mutant has the same key as long as its own text stays, whatever moves around it. */
const key = (mutant) =>
  createHash('sha1')
    .update([seed, relative('.', mutant.fileName), mutant.mutatorName, mutant.text, mutant.replacement].join('\0'))
    .digest('hex');

/** What stands between two places of a file; lines and columns as Stryker counts them, from nought. */
function between(lines, { start, end }) {
  const text = lines.slice(start.line, end.line + 1);
  text[text.length - 1] = text[text.length - 1].slice(0, end.column);
  return text.join('\n').slice(start.column);
}

/** All mutants of the files, by key. */
async function listed(files) {
  const silent = Object.fromEntries(['debug', 'info', 'warn', 'isDebugEnabled'].map((name) => [name, () => false]));
  const sources = files.map((name) => ({ name, mutate: true, content: readFileSync(name, 'utf8') }));
  const { mutants } = await new Instrumenter(silent).instrument(sources, { plugins: null, ignorers: [], ...mutator });
  const lines = new Map(sources.map((s) => [s.name, s.content.split('\n')]));
  return mutants.map((m) => key({ ...m, text: between(lines.get(m.fileName), m.location) }));
}

let collectAny;
/** Stryker has no sample of its own: what is not in ours is collected as ignored. */
async function onlySampled(wanted) {
  const file = join('node_modules/@stryker-mutator/instrumenter/dist/src/transformers/mutant-collector.js');
  const { MutantCollector } = await import(pathToFileURL(file).href);
  collectAny ??= MutantCollector.prototype.collect;
  MutantCollector.prototype.collect = function (fileName, original, mutable, offset) {
    const mutant = collectAny.call(this, fileName, original, mutable, offset);
    const lines = readFileSync(fileName, 'utf8').split('\n');
    const { location, mutatorName, replacement } = mutant.toApiMutant();
    if (!wanted.has(key({ fileName, mutatorName, replacement, text: between(lines, location) })))
      mutant.ignoreReason = 'not in the sample';
    return mutant;
  };
}

/** Every TypeScript file below a folder; none where there is no such folder. */
const filesIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder, { recursive: true }).flatMap((f) => (f.endsWith('.ts') ? [join(folder, f)] : []))
    : [];

async function mutate(area) {
  const at = join('core/src', area);
  const of = areaOf(area);
  const files = at.endsWith('.ts') ? [at] : filesIn(at).filter((f) => areaOf(relative('core/src', f)) === of);
  if (files.length === 0) return undefined;
  process.env.PILGRIM_MUTATE_TESTS = (areas[of] ?? []).join(',');
  const all = await listed(files);
  await onlySampled(new Set([...new Set(all)].sort().slice(Number(from), Number(count))));
  const results = await new Stryker({
    mutate: files,
    mutator,
    testRunner: 'vitest',
    vitest: { configFile: 'tools/mutate.vitest.ts', related: false },
    plugins: ['@stryker-mutator/vitest-runner', join(process.cwd(), 'tools/mutate.reporter.mjs')],
    ignoreStatic: true,
    coverageAnalysis: 'perTest',
    concurrency: Number(process.env.PILGRIM_MUTATE_AT_ONCE ?? 2),
    timeoutMS: 20_000,
    reporters: ['living'],
    ignorePatterns: ['pilgrim', 'web', 'e2e', '.pilgrim', 'dist', 'test-results'],
    tempDirName: '.pilgrim/mutants',
    logLevel: 'warn',
    allowEmpty: true,
  }).runMutationTest();
  const tried = results.filter((m) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(m.status));
  const alive = tried.filter((m) => m.status === 'Survived' || m.status === 'NoCoverage');
  return { area, all: all.length, tried: tried.length, alive };
}

const share = ({ tried, alive }) => `${((100 * (tried - alive.length)) / tried).toFixed(1)} %`;

function written(result) {
  const rows = result.alive
    .map((m) => {
      const file = relative(process.cwd(), m.fileName);
      const { start } = m.location;
      const text = between(readFileSync(m.fileName, 'utf8').split('\n'), { start: at(start), end: at(m.location.end) });
      return { file, line: start.line, now: text, then: m.replacement, status: m.status };
    })
    .sort((a, b) => a.file.localeCompare(b.file) || a.line - b.line);
  return rows.map((r) => `${r.file}:${r.line}  ${short(r.now)}  →  ${short(r.then)}  (${r.status})`).join('\n');
}

/** Results count lines and columns from one. */
const at = ({ line, column }) => ({ line: line - 1, column: column - 1 });
const only = path === undefined ? Object.keys(areas) : [path];
mkdirSync('.pilgrim/mutation', { recursive: true });
for (const area of only) {
  const began = Date.now();
  const result = await mutate(area);
  if (!result || result.tried === 0) console.log(`${area}: nothing to mutate`);
  else {
    const minutes = ((Date.now() - began) / 60_000).toFixed(1);
    const of = `${result.all} in all, seed ${seed}, ${minutes} min`;
    const head = `${area}: ${share(result)} of ${result.tried} killed (${of})`;
    const text = `${head}\n${written(result)}\n`;
    writeFileSync(join('.pilgrim/mutation', `${area.replaceAll('/', '-')}.txt`), text);
    console.log(text);
  }
}
rmSync('.pilgrim/mutants', { recursive: true, force: true });
