import { defineConfig } from '@playwright/test';
import { launch } from './tools/chromium.mjs';

const port = process.env.PILGRIM_PORT ?? '4181';

export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  reporter: [
    ['list'],
    ['json', process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? {} : { outputFile: 'test-results/browser.json' }],
  ],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: launch,
  },
  webServer: {
    command: './pilgrim start',
    url: `http://127.0.0.1:${port}/api/v1/ready`,
    timeout: 180_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
    env: { PILGRIM_PORT: port },
  },
});
