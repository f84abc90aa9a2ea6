import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      // Properties solve some hundred cases: on a busy machine five seconds are not enough.
      { test: { name: 'core', include: ['core/test/**/*.test.ts'], testTimeout: 60_000 } },
      'web/vitest.config.ts',
    ],
  },
});
