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
  fetch(`${base}/api/v1/ready`).then(
    (r) => r.ok,
    () => false,
  );
for (let i = 0; i < 300 && !(await healthy()); i++) await new Promise((done) => setTimeout(done, 200));

const browser = await chromium.launch(launch);
const percentile = (values, share) =>
  values.toSorted((a, b) => a - b)[Math.max(0, Math.ceil(values.length * share) - 1)];

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
    `script loaded with a station, compressed: ${(script / 1000).toFixed(0)} kB (solver ` +
      `worker included; chart code comes when a chart is scrolled to)`,
  );

  await typing('the catalogue alone');
  await dragging();
  await dialing();
  await benching();
  await bringShelf(5000);
  await typing('with 5,000 motors on the own shelf');
} finally {
  await browser.close();
  server.kill('SIGTERM');
}

/** Types pulls into the load station and times each until the new candidates are on screen. */
async function typing(name) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/positions/4180aaaa-0000-4000-8000-000000000001/load`, { waitUntil: 'networkidle' });
  await page.waitForTimeout(3000);
  const { times, longest } = await page.evaluate(async () => {
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
    `edit to screen, ${name}: median ${percentile(times, 0.5).toFixed(0)} ms, 95th percentile ` +
      `${percentile(times, 0.95).toFixed(0)} ms (120 edits of the pull)`,
  );
  console.log(
    `longest block of the main thread while typing: ${longest === 0 ? 'below 50 ms' : `${longest.toFixed(0)} ms`}`,
  );
  await page.close();
}

/**
 * Drags the current limit on the start's chart for two seconds and counts frames, and frames with newly drawn curves.
 */
async function dragging() {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/positions/4180aaaa-0000-4000-8000-000000000005/start`, { waitUntil: 'networkidle' });
  await page.getByRole('button', { name: 'soft starter', exact: true }).first().click();
  await page.getByText('Torque and current against speed').scrollIntoViewIfNeeded();
  const handle = page.getByRole('slider', { name: 'Current limit' });
  await handle.waitFor();
  await page.waitForTimeout(1500);
  const { times, drawn, ms } = await handle.evaluate(async (h) => {
    const box = h.getBoundingClientRect();
    h.setPointerCapture = () => {};
    const at = (dy) => ({
      pointerId: 1,
      clientX: box.x + box.width / 2,
      clientY: box.y + box.height / 2 + dy,
      bubbles: true,
    });
    h.dispatchEvent(new PointerEvent('pointerdown', at(0)));
    let changes = 0;
    const seen = new MutationObserver(() => changes++);
    seen.observe(h.closest('figure'), { subtree: true, attributes: true, attributeFilter: ['d'], childList: true });
    const times = [];
    const from = performance.now();
    let last = from;
    let drawn = 0;
    for (let i = 0; performance.now() - from < 2000; i++) {
      // Up and down by thirty pixels, never standing still.
      const phase = (i * 2) % 60;
      h.dispatchEvent(new PointerEvent('pointermove', at(phase < 30 ? -phase : phase - 60)));
      await new Promise((done) => requestAnimationFrame(done));
      times.push(performance.now() - last);
      last = performance.now();
      if (changes > 0) drawn++;
      changes = 0;
    }
    const ms = performance.now() - from;
    h.dispatchEvent(new PointerEvent('pointerup', at(0)));
    return { times, drawn, ms };
  });
  console.log(
    `dragging a handle: ${((times.length / ms) * 1000).toFixed(0)} frames a second, ` +
      `${((drawn / ms) * 1000).toFixed(0)} of them with newly simulated curves; 95th ` +
      `percentile of a frame ${percentile(times, 0.95).toFixed(0)} ms`,
  );
  await page.close();
}

/** Moves the dial of the overload relay and times each move until the chart and its words are drawn anew. */
async function dialing() {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/positions/4180aaaa-0000-4000-8000-000000000004/guard`, { waitUntil: 'networkidle' });
  await page.getByTestId('dial').scrollIntoViewIfNeeded();
  await page.waitForTimeout(3000);
  const times = await page.evaluate(async () => {
    const dial = document.querySelector('[data-testid="dial"]');
    const chart = document.querySelector('[data-testid="time-current"]');
    const times = [];
    for (let i = 0; i < 80; i++) {
      const before = chart.dataset.dial;
      const from = performance.now();
      // Step by step up and down, never standing still.
      dial.value = String(Number(dial.min) + Number(dial.step) * (30 + (i % 20)));
      dial.dispatchEvent(new Event('input', { bubbles: true }));
      while (chart.dataset.dial === before && performance.now() - from < 2000)
        await new Promise((done) => requestAnimationFrame(done));
      // The frame after it has it on the canvas.
      await new Promise((done) => requestAnimationFrame(done));
      times.push(performance.now() - from);
      await new Promise((done) => setTimeout(done, 40));
    }
    return times;
  });
  console.log(
    `dial moved to chart redrawn: median ${percentile(times, 0.5).toFixed(0)} ms, 95th percentile ` +
      `${percentile(times, 0.95).toFixed(0)} ms (80 moves)`,
  );
  await page.close();
}

/** Runs both machines on the bench for two minutes, the flow moved every ten seconds, and times every frame. */
async function benching(seconds = 120) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/positions/4180aaaa-0000-4000-8000-000000000007/bench`, { waitUntil: 'networkidle' });
  await page.getByRole('button', { name: 'Start both' }).click();
  const times = await page.evaluate(async (seconds) => {
    const flow = document.querySelector('[data-testid="bench-flow"]');
    const times = [];
    const from = performance.now();
    let last = from;
    let moved = 0;
    while (performance.now() - from < 1000 * seconds) {
      const now = await new Promise((done) => requestAnimationFrame(done));
      times.push(now - last);
      last = now;
      if (now - from > 10_000 * (moved + 1)) {
        moved++;
        flow.value = String([60, 90, 40, 100][moved % 4]);
        flow.dispatchEvent(new Event('input', { bubbles: true }));
      }
    }
    return times.slice(1);
  }, seconds);
  const dropped = times.filter((t) => t > 50).length;
  console.log(
    `bench running ${seconds} s: ${(times.length / seconds).toFixed(0)} frames a second, slowest ` +
      `${Math.max(...times).toFixed(0)} ms, ${dropped} over 50 ms`,
  );
  await page.close();
}

/** Puts so many invented motors on the demo plant's shelf, by the list import. */
async function bringShelf(count) {
  const plants = await (await fetch(`${base}/api/v1/plants`)).json();
  const ratings = [1.5, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60];
  const rows = Array.from({ length: count }, (_, i) => {
    const hp = ratings[i % ratings.length];
    return (
      `Store ${i},${hp} ` +
      `hp,230/460,${(hp * 2.5).toFixed(1)}/${(hp * 1.25).toFixed(1)},${1740 + (i % 4) * 10},60,TEFC,1,bay ${i % 90}`
    );
  });
  const from = performance.now();
  const answer = await fetch(`${base}/api/v1/plants/${plants[0].id}/shelf/import?take=good`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: ['Name,Power,Volts,Amps,RPM,Hz,Encl,Qty,Bin', ...rows].join('\n'),
  });
  const { taken } = await answer.json();
  console.log(`list of ${taken} motors read and kept: ${(performance.now() - from).toFixed(0)} ms`);
}
