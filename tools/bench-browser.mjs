// Edit to screen, cold first view and script size, in Chromium on loopback.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { launch } from './chromium.mjs';

const port = '4182';
const base = `http://127.0.0.1:${port}`;
const home = join(process.cwd(), '.pilgrim', 'bench');
rmSync(home, { recursive: true, force: true });
const server = spawn('./pilgrim', ['start'], {
  env: { ...process.env, PILGRIM_HOME: home, PILGRIM_PORT: port },
  stdio: 'ignore',
});
const healthy = () =>
  fetch(`${base}/api/v1/health`).then(
    (r) => r.ok,
    () => false,
  );
for (let i = 0; i < 300 && !(await healthy()); i++) await new Promise((done) => setTimeout(done, 200));

const browser = await chromium.launch(launch);
const percentile = (values, share) =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))];

try {
  const views = [];
  let script = 0;
  const position = `${base}/positions/4180aaaa-0000-4000-8000-000000000001/load`;
  for (let i = 0; i < 7; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(position, { waitUntil: 'load' });
    await page.waitForSelector('[data-figure="load.motorPower"]');
    await page.waitForLoadState('networkidle');
    const { view, bytes } = await page.evaluate(() => ({
      view: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
      bytes: performance
        .getEntriesByType('resource')
        .filter((r) => r.name.endsWith('.js'))
        .reduce((sum, r) => sum + r.encodedBodySize, 0),
    }));
    views.push(view);
    script = bytes;
    await context.close();
  }
  console.log(
    `cold first view: median ${percentile(views, 0.5).toFixed(0)} ms to first contentful paint (7 cold loads)`,
  );
  console.log(
    `script loaded with a station, compressed: ${(script / 1000).toFixed(0)} kB (solver worker included; chart code comes when a chart is scrolled to)`,
  );

  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(position, { waitUntil: 'networkidle' });
  const times = await page.evaluate(async () => {
    const field = document.querySelector('[data-path="load.demand.force"]');
    const shown = document.querySelector('aside [data-figure="load.motorPower"]');
    const long = [];
    new PerformanceObserver((list) => long.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
    const times = [];
    for (let i = 0; i < 120; i++) {
      const before = shown.textContent;
      const from = performance.now();
      field.value = `${100 + i * 3} lbf`;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      while (shown.textContent === before && performance.now() - from < 2000)
        await new Promise((done) => requestAnimationFrame(done));
      times.push(performance.now() - from);
    }
    return { times, longest: Math.max(0, ...long) };
  });
  console.log(
    `edit to screen: median ${percentile(times.times, 0.5).toFixed(0)} ms, 95th percentile ${percentile(times.times, 0.95).toFixed(0)} ms (120 edits of the pull, 387 motors judged each)`,
  );
  console.log(
    `longest block of the main thread while typing: ${times.longest === 0 ? 'below 50 ms' : `${times.longest.toFixed(0)} ms`}`,
  );
} finally {
  await browser.close();
  server.kill('SIGTERM');
}
