// Bundles the command line's tools, so that a solve starts in a fraction of a second, and makes the typeset formulas
// and the names of fields.
import { execFileSync } from 'node:child_process';
import { resolve } from 'node:path';
import { build } from 'esbuild';

await build({
  entryPoints: {
    solve: 'tools/solve.ts',
    laws: 'tools/laws.ts',
    bench: 'bench/solve.ts',
    'bench-start': 'bench/start.ts',
    'bench-drive': 'bench/drive.ts',
    golden: 'bench/golden.ts',
    standin: 'tools/standin.ts',
    fuzz: 'bench/fuzz.ts',
    choice: 'bench/choice.ts',
    solver: 'web/src/lib/server/solving/worker.ts',
  },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  alias: { $lib: resolve('web/src/lib') },
  // The interface's own tsconfig rests on what its kit makes, which is not there yet.
  tsconfigRaw: {},
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: ['fast-check', 'mathjs', 'temml', 'tinybench', 'odex', 'jsmodbus', 'csv-parse', 'read-excel-file'],
  logLevel: 'warning',
});
execFileSync(process.execPath, ['dist/laws.mjs', '', 'web/src/lib/generated/formulas.json'], { stdio: 'inherit' });
await import('./fields.mjs');
