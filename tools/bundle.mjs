// Bundles the command line's tools, so that a solve starts in a fraction of a second, and makes the typeset formulas
// and the names of fields.
import { execFileSync } from 'node:child_process';
import { build } from 'esbuild';

await build({
  entryPoints: {
    solve: 'tools/solve.ts',
    laws: 'tools/laws.ts',
    bench: 'bench/solve.ts',
    'bench-start': 'bench/start.ts',
    golden: 'bench/golden.ts',
    fuzz: 'bench/fuzz.ts',
    choice: 'bench/choice.ts',
  },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: ['fast-check', 'mathjs', 'temml', 'tinybench', 'odex'],
  logLevel: 'warning',
});
execFileSync(process.execPath, ['dist/laws.mjs', '', 'web/src/lib/generated/formulas.json'], { stdio: 'inherit' });
await import('./fields.mjs');
