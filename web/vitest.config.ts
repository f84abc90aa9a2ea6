import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import { defineProject } from 'vitest/config';

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export default defineProject({
  plugins: [svelte(), svelteTesting()],
  resolve: { alias: { $lib: at('./src/lib'), '$app/paths': at('./test/appPaths.ts') }, conditions: ['browser'] },
  test: {
    name: 'server',
    include: ['test/**/*.test.ts'],
    testTimeout: 60_000,
    hookTimeout: 60_000,
    fileParallelism: false,
    env: { PILGRIM_SOLVER: at('../dist/solver.mjs') },
  },
});
