import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: ['core/test/**/*.test.ts'],
          // Core keeps no state but what is made of its arguments: its files may share one set of modules.
          isolate: false,
          pool: 'threads',
          // Properties solve some hundred cases: on a busy machine five seconds are not enough.
          testTimeout: 60_000,
        },
      },
      'web/vitest.config.ts',
    ],
  },
});
