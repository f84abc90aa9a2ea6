import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { awake, demoId, openStation, ownPosition } from './helpers';

test('reading in one system changes what is read, never what was typed', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'D-1', '01-in-110.json');
  await openStation(page, id, 'load');
  const torque = page.locator('main [data-figure="load.motorTorque"]');
  await expect(torque).toContainText('12.1 N·m (8.89 lbf·ft)');
  await page.getByLabel('Read in').selectOption('SI');
  await expect(torque).toContainText('12.1 N·m');
  await expect(torque).not.toContainText('lbf·ft');
  await page.getByLabel('Read in').selectOption('North American');
  await expect(torque).toContainText('8.89 lbf·ft');
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('160 lbf');
});

test('the theme is remembered by the server, so nothing flashes', async ({ page }) => {
  await page.goto('/');
  await awake(page);
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await expect(page.locator('html')).toHaveClass(/dark/);
  const html = await (await page.request.get('/')).text();
  expect(html).toContain('<html lang="en" class="dark">');
  await page.reload();
  await awake(page);
  await page.getByRole('button', { name: 'Light theme' }).click();
  await expect(page.locator('html')).not.toHaveClass(/dark/);
});

test('rows of the year are added, read, removed, and undone', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'D-2', '03-st-210.json');
  await openStation(page, id, 'speed');
  const hours = page.locator('main [data-figure="speed.hours"]');
  await expect(hours).toContainText('5000');
  await page.getByRole('button', { name: 'Add a row' }).click();
  await expect(hours).toContainText('6000');
  await page.getByLabel('Hours a year').nth(3).fill('500');
  await page.getByLabel('Flow', { exact: true }).nth(3).fill('0,5');
  await expect(hours).toContainText('5500');
  await page.getByLabel('Hours a year').nth(3).fill('8000');
  await expect(page.getByRole('list', { name: 'Cannot be read' })).toContainText('8784');
  await page.getByRole('button', { name: 'Remove row 4' }).click();
  await expect(hours).toContainText('5000');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Hours a year')).toHaveCount(4);
});

test('a motor is pinned from the candidates and let go again', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'D-3', '01-in-110.json');
  await openStation(page, id, 'choice');
  await expect(page.getByTestId('choice')).toContainText('5 hp');
  const other = page.getByTestId('candidate').filter({ hasText: '7.5 hp' }).first();
  const name = await other.getByRole('button').first().innerText();
  await other.getByRole('button', { name: `Pin ${name}` }).click();
  await expect(page.getByTestId('choice')).toContainText('7.5 hp');
  await expect(page.getByTestId('candidate')).toHaveCount(1);
  await page.getByRole('button', { name: 'unpin' }).click();
  await expect(page.getByTestId('choice')).toContainText('5 hp');
});

test('a candidate opens to its verdicts, a method to its reasons', async ({ page }) => {
  await openStation(page, demoId('07'), 'choice');
  await page.getByTestId('candidate').first().getByRole('button').first().click();
  const open = page.getByTestId('candidate').first().locator('xpath=following-sibling::tr[1]');
  for (const requirement of ['power', 'voltage', 'enclosure', 'turndown', 'winding'])
    await expect(open).toContainText(requirement);
  await page.getByRole('tab', { name: 'What is asked' }).click();
  await page.getByRole('button', { name: /star delta/ }).click();
  await expect(
    page.locator('[data-method="star-delta"]').getByText('Star-delta cannot vary speed').last(),
  ).toBeVisible();
});

test('pinning a starting method judges only that one', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'D-4', '04-st-230.json');
  await openStation(page, id, 'choice');
  await page.getByLabel('Starting method').selectOption('soft starter');
  await expect(page.getByTestId('choice')).toContainText('soft starter');
  await expect(page.getByTestId('findings')).toContainText('live when off');
  await page.getByLabel('Starting method').selectOption('compare all');
  await expect(page.getByTestId('choice')).not.toContainText('soft starter');
});

test('a chart has its data one key away, and a summary in words', async ({ page }) => {
  await openStation(page, demoId('07'), 'cost');
  const chart = page.getByRole('img', { name: /Electrical input against flow\. At half flow .* kW now/ });
  await chart.scrollIntoViewIfNeeded();
  await expect(chart.locator('svg')).toBeVisible();
  await page.getByRole('button', { name: 'data as a table' }).last().press('Enter');
  await expect(page.getByRole('table', { name: 'Electrical input against flow' }).getByRole('row')).toHaveCount(35);
  await page.getByRole('button', { name: 'read a value' }).last().press('Enter');
  const slider = page.getByRole('slider', { name: /^Electrical input against flow, / });
  const before = await page.getByTestId('read').textContent();
  await slider.focus();
  await page.keyboard.press('Home');
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('read')).not.toHaveText(before ?? '');
  await expect(slider).toHaveAttribute('aria-valuetext', /now/);
  for (const kind of ['PNG', 'SVG', 'CSV'] as const) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: `Save Electrical input against flow as ${kind}` }).click();
    const file = readFileSync(await (await download).path());
    const begins = { PNG: '\u0089PNG', SVG: '<svg', CSV: '\u00EF\u00BB\u00BFQuantity,Series' }[kind];
    expect(file.subarray(0, begins.length).toString('latin1')).toBe(begins);
  }
});

test('the plant list is sorted by its headings, and filtered by state', async ({ page }) => {
  await page.goto('/');
  await awake(page);
  const rows = page.getByTestId('position');
  await page.getByRole('button', { name: 'Tag', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: /^Tag/ })).toHaveAttribute('aria-sort', 'ascending');
  const tags = await rows.locator('td:nth-child(2)').allTextContents();
  expect(tags).toEqual(tags.toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true })));
  await page.getByLabel('Show').selectOption('stopped');
  await expect(rows.filter({ hasText: 'IN-120' })).toHaveCount(1);
  await expect(rows.filter({ hasText: 'ST-210' })).toHaveCount(0);
});

test('the plate is stamped in its practice, rings what contradicts, and says what it worked out', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'D-5', '08-kn-430.json');
  await openStation(page, id, 'plate');
  await expect(page.getByLabel('HP, Rated power', { exact: true })).toHaveValue('10 hp');
  const plate = page.getByRole('group', { name: 'Motor plate' });
  await expect(plate.locator('[data-figure="plate.poles"]')).toContainText('4');
  await page.getByLabel('RPM, Full-load speed', { exact: true }).fill('1800 rpm');
  await expect(page.getByTestId('findings')).toContainText('synchronous speed itself');
  await expect(page.getByLabel('RPM, Full-load speed', { exact: true })).toHaveClass(/ringed/);
  await page.getByLabel('RPM, Full-load speed', { exact: true }).fill('1760 rpm');
  await expect(page.getByLabel('RPM, Full-load speed', { exact: true })).not.toHaveClass(/ringed/);
  await page.getByLabel('SF, Service factor', { exact: true }).fill('big');
  await expect(plate).toContainText('write a number from 1 up to 2');
  await page.getByLabel('Practice').selectOption('IEC');
  await expect(page.getByLabel('cos φ, Power factor')).toBeVisible();
});

test('finding narrows the plant; what is not there is said; a file that is no position is refused', async ({
  page,
}) => {
  await page.goto('/');
  await awake(page);
  await page.getByRole('searchbox').fill('kiln exhaust');
  await expect(page.getByTestId('position')).toHaveCount(1);
  await page.getByRole('searchbox').fill('nowhere');
  await expect(page.getByText('Nothing here is called “nowhere”.')).toBeVisible();
  for (const [name, content] of [
    ['half.json', '{"format":'],
    ['other.json', '{"format":"something else"}'],
  ] as const) {
    await page
      .getByTestId('import')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
    await expect(page.getByRole('status').filter({ hasText: /not|cannot/i })).toBeVisible();
  }
});

test('going from one position to another opens the other, with its own draft', async ({ page, request }) => {
  const one = await ownPosition(request, 'D-6', '01-in-110.json');
  const two = await ownPosition(request, 'D-7', '01-in-110.json');
  await openStation(page, one.id, 'load');
  await page.getByLabel('Pull', { exact: true }).fill('170 lbf');
  await page.waitForTimeout(400);
  await page.getByRole('link', { name: 'Plant' }).click();
  await page.getByRole('row', { name: /D-7/ }).getByRole('link').click();
  await expect(page).toHaveURL(new RegExp(two.id));
  await page.keyboard.press('Alt+2');
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('160 lbf');
  await page.goBack();
  await page.goto(`/positions/${one.id}/load`);
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('170 lbf');
});

test('an estimate, an assumption and a table’s source are shown in the working', async ({ page }) => {
  await openStation(page, demoId('07'), 'drive');
  await page.locator('main [data-figure="drive.cableLimit"]').click();
  await expect(page.getByTestId('working')).toContainText('Assumed: Cable without a filter');
  await openStation(page, demoId('08'), 'guard');
  await page.locator('main [data-figure="guard.tableCurrent"]').click();
  await expect(page.getByTestId('working')).toContainText('Table 430.250 (from memory)');
  await openStation(page, demoId('07'), 'cost');
  await page.locator('main [data-figure="cost.savedMoney"]').click();
  await expect(page.getByTestId('working')).toContainText('An estimate');
  await page.getByRole('button', { name: 'Energy price' }).click();
  await expect(page.getByLabel('Energy price, per kWh')).toBeFocused();
});

test('a working closes on Esc, and with its station', async ({ page }) => {
  await openStation(page, demoId('07'), 'drive');
  const figure = page.locator('main [data-figure="drive.minSpeed"]');
  await figure.click();
  await expect(page.getByTestId('working')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('working')).toBeHidden();
  await figure.click();
  await expect(page.getByTestId('working')).toBeVisible();
  await page.keyboard.press('Alt+2');
  await expect(page.getByTestId('working')).toBeHidden();
});

test('on a phone the working of a figure comes up over the station, and Esc gives the keyboard back to the figure', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openStation(page, demoId('07'), 'choice');
  const loading = page.locator('main [data-figure="choice.loading"]');
  await loading.click();
  const working = page.getByRole('dialog', { name: 'Working of a figure' });
  await expect(working).toContainText('Loading');
  await expect(working).toBeInViewport({ ratio: 0.9 });
  await page.keyboard.press('Escape');
  await expect(working).toHaveCount(0);
  await expect(loading).toBeFocused();
});
