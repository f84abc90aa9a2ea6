import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { notAsked } from './mutate.areas.mjs';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Files whose tests take seconds each: after all others, for a mutant is dropped at the first test that fails. */
const slow = [
  'choice',
  'runup',
  'transient',
  'fit',
  'special',
  'start',
  'bill',
  'drive',
  'circuit',
  'trade',
  'firstChoice',
];

class QuickFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const last = (f: TestSpecification): number => slow.findIndex((s) => f.moduleId.includes(s));
    return Promise.resolve([...files].sort((a, b) => last(a) - last(b) || a.moduleId.localeCompare(b.moduleId)));
  }
}

/** Names of test files to ask; none means all. */
const asked = (process.env.PILGRIM_MUTATE_TESTS ?? '').split(',').filter(Boolean);

/**
 * The tests of core as mutation testing runs them: on the sources beside this file.
 */
export default defineConfig({
  resolve: { alias: { '@pilgrim/core': fileURLToPath(new URL('../core/src/index.ts', import.meta.url)) } },
  test: {
    include: asked.length > 0 ? asked.map((name) => `core/test/${name}.test.ts`) : ['core/test/*.test.ts'],
    exclude: notAsked.map((name) => `core/test/${name}.test.ts`),
    isolate: false,
    sequence: { sequencer: QuickFirst },
    testTimeout: 60_000,
  },
});
