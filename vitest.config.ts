import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const lib = fileURLToPath(new URL('./web/src/lib', import.meta.url));

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', include: ['core/test/**/*.test.ts'] } },
      {
        resolve: { alias: { $lib: lib } },
        test: {
          name: 'server',
          include: ['web/test/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
