import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { awake, openStation, ownPosition } from './helpers';

test('a pull changes in other units, and load, choice and ledger follow without a reload', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'E-1', '01-in-110.json');
  await openStation(page, id, 'load');
  await page.evaluate(() => Reflect.set(window, 'stillHere', true));
  const pull = page.getByLabel('Pull', { exact: true });
  await expect(pull).toHaveValue('160 lbf');
  const power = page.locator('main [data-figure="load.motorPower"]');
  await expect(power).toContainText('2.96 hp');
  await pull.fill('90 kgf');
  // 90 kgf × 1.25 ft = 336 N·m, through 25:1 at 90 %: 14.9 N·m and 2.74 kW (3.67 hp) at 1750 r/min.
  await expect(power).toContainText('3.67 hp');
  await expect(page.locator('#f-load-demand-force-note')).toContainText('883 N');
  await expect(
    page.getByRole('complementary', { name: 'Ledger' }).locator('[data-figure="load.motorTorque"]'),
  ).toContainText('14.9 N·m');
  await pull.fill('400 kgf');
  await expect(page.getByTestId('standing-choice')).toContainText('20 hp');
  expect(await page.evaluate(() => Reflect.get(window, 'stillHere'))).toBe(true);

  await pull.fill('90 kgf');
  await page.locator('main [data-figure="load.motorTorque"]').click();
  const working = page.getByTestId('working');
  await expect(working).toContainText('T_m = T_L / (i * eta)');
  await expect(working.locator('math')).toBeVisible();
  await expect(working).toContainText('Mechanics');
  await working.getByRole('button', { name: 'Torque at the machine' }).click();
  await expect(working).toContainText('Pull');

  await page.getByRole('button', { name: 'Save a revision' }).click();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.reload();
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('90 kgf');
  await expect(page.locator('main [data-figure="load.motorPower"]')).toContainText('3.67 hp');
});

test('an unsaved edit and what cannot be read survive a reload', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'E-2', '01-in-110.json');
  await openStation(page, id, 'load');
  const pull = page.getByLabel('Pull', { exact: true });
  await pull.fill('90 apples');
  await expect(page.locator('#f-load-demand-force-note')).toContainText('write a force such as');
  await expect(page.getByTestId('save-state')).toContainText('Edited');
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('90 apples');
  await page.getByRole('button', { name: 'Save a revision' }).click();
  await expect(page.getByTestId('save-state')).toContainText('Pull cannot be read');
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('90 apples');
});

test('a finding is resolved by going to its field', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'E-3', '07-kn-410.json');
  await openStation(page, id, 'choice');
  const findings = page.getByTestId('findings');
  await expect(findings).toContainText('46 °C');
  await findings.getByText(/^Elsewhere/).click();
  await findings.locator('[data-goto="place.ambient"]').first().click();
  await expect(page.getByLabel('Ambient at the motor')).toBeFocused();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('38 degC');
  await expect(findings).not.toContainText('above the 40 °C');
});

test('a second browser saving over it is shown the difference', async ({ browser, request, baseURL }) => {
  const { id } = await ownPosition(request, 'E-4', '01-in-110.json');
  const [one, two] = [await browser.newContext({ baseURL }), await browser.newContext({ baseURL })];
  const [first, second] = [await one.newPage(), await two.newPage()];
  await openStation(first, id, 'load');
  await openStation(second, id, 'load');
  await first.getByLabel('Pull', { exact: true }).fill('120 lbf');
  await first.getByRole('button', { name: 'Save a revision' }).click();
  await expect(first.getByTestId('save-state')).toContainText('Saved');
  await second.getByLabel('Pull', { exact: true }).fill('140 lbf');
  await second.getByRole('button', { name: 'Save a revision' }).click();
  const conflict = second.getByTestId('conflict');
  await expect(conflict.getByRole('row', { name: /Pull/ }).first()).toContainText('120 lbf');
  await expect(conflict.getByRole('row', { name: /Pull/ }).first()).toContainText('140 lbf');
  await conflict.getByRole('button', { name: 'Save mine on top' }).click();
  await expect(second.getByTestId('save-state')).toContainText('Saved');
  await first.reload();
  await expect(first.getByLabel('Pull', { exact: true })).toHaveValue('140 lbf');
  await one.close();
  await two.close();
});

test('print view, export, delete, import: the same', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'E-5', '03-st-210.json');
  await openStation(page, id, 'sheet');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByTestId('sheet')).toContainText('House rules');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  expect((await page.pdf({ format: 'A4' })).subarray(0, 5).toString()).toBe('%PDF-');
  await page.emulateMedia({ media: 'screen' });
  const before = await page.getByTestId('sheet').innerText();

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export' }).click();
  const path = await (await download).path();
  const file = await readFile(path);

  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Yes, delete' }).click();
  await expect(page.getByTestId('position').filter({ hasText: 'E-5' })).toHaveCount(0);
  await page
    .getByTestId('import')
    .setInputFiles({ name: 'E-5.pilgrim.json', mimeType: 'application/json', buffer: file });
  await expect(page.getByRole('status').filter({ hasText: 'was taken' })).toBeVisible();
  await page.getByRole('searchbox').fill('E-5');
  await expect(page.getByTestId('position').filter({ hasText: 'E-5' })).toHaveCount(1);
  await openStation(page, id, 'sheet');
  await expect(page.getByTestId('sheet')).toHaveText(before, { useInnerText: true });
});

test('a hazardous place stops, and refers', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'E-6', '02-in-120.json');
  await openStation(page, id, 'choice');
  await expect(page.getByTestId('choice')).toContainText('competent person');
  await expect(page.getByTestId('candidate')).toHaveCount(0);
});

test('a new position starts from nothing but a name', async ({ page }) => {
  await page.goto('/');
  await awake(page);
  await page.getByRole('button', { name: 'New position' }).click();
  await page.getByLabel('Tag').fill('E-7');
  await page.getByLabel('Name').fill('Rootlet blower');
  await page.getByLabel('Area').fill('Kilning');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('heading', { name: 'Rootlet blower' })).toBeVisible();
  await page.getByLabel('VOLTS', { exact: true }).fill('400/690 V');
  await page.getByRole('link', { name: /^Load/ }).click();
  await page.getByLabel('How the load is known').selectOption('pull at a radius');
  await page.getByLabel('Pull', { exact: true }).fill('300 N');
  await page.getByLabel('At a radius of').fill('0.2 m');
  await expect(page.getByTestId('standing-choice')).toContainText('11 kW 4-pole');
});

test('a new position says what brings it, and begins with the supply of the last one saved', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'E-8', '01-in-110.json');
  await openStation(page, id, 'load');
  await page.getByLabel('Pull', { exact: true }).fill('150');
  await page.getByRole('button', { name: 'Save a revision' }).click();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.goto('/');
  await awake(page);
  await page.getByRole('button', { name: 'New position' }).click();
  await expect(page.getByLabel('Practice and supply as at the last one saved here: 480 V, 60 Hz')).toBeChecked();
  await page.getByLabel('Tag').fill('E-9');
  await page.getByLabel('Name').fill('Dust fan');
  await page.getByLabel('Area').fill('Kilning');
  await page.getByLabel('What brings you here').selectOption('a motor failed: what to buy');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('heading', { name: 'Dust fan' })).toBeVisible();
  await expect(page.getByTestId('asked')).toContainText('asked first still open');
  await page.getByRole('link', { name: /^Start/ }).click();
  await expect(page.getByLabel('Supply voltage')).toHaveValue('480 V');
});

test('a position is copied, but never that its place is not hazardous', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'E-10', '01-in-110.json');
  await openStation(page, id, 'place');
  await page.getByLabel('Explosive gas, vapour, dust').selectOption('no');
  await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await page.getByLabel('Tag', { exact: true }).fill('E-11');
  await page.getByLabel('Name', { exact: true }).fill('Barley screw 2');
  await page.getByRole('button', { name: 'Copy it' }).click();
  await expect(page.getByRole('heading', { name: 'Barley screw 2' })).toBeVisible();
  await page.getByRole('link', { name: /^Place/ }).click();
  await expect(page.getByLabel('Ambient at the motor')).toHaveValue('35 degC');
  await expect(page.getByLabel('Explosive gas, vapour, dust')).toHaveValue('');
});
