import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { openStation, ownPosition } from './helpers';

test('a pump on 80 m of cable at 45 °C and 1500 m, from load to what is programmed', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'D-1', '03-st-210.json');
  await openStation(page, id, 'place');
  await page.getByLabel('Ambient at the drive').fill('45 °C');
  await page.getByLabel('Altitude').fill('1500 m');
  await page.getByTestId('key-drive').click();
  const figure = (name: string) => page.locator(`main [data-figure="drive.${name}"]`);
  await page.getByLabel('Motor cable').fill('80 m');
  // 0.95 × 0.95 of the drive is left; pulses double on 400 V to 1131 V.
  await expect(page.locator('main [data-figure="place.driveDerating"]')).toContainText('0.90');
  await expect(figure('peakVoltage')).toContainText('1131 V');
  await expect(figure('criticalLength')).toContainText('7.50 m');
  await expect(page.getByTestId('remedies')).toContainText('sine filter');

  // What it draws opens to its working; more pulses distort less.
  await figure('inputCurrent').click();
  await expect(page.getByTestId('working')).toContainText('True power factor');
  await page.keyboard.press('Escape');
  const distortion = async (): Promise<number> =>
    Number.parseFloat((await figure('currentDistortion').innerText()).replace(/^\D*/, ''));
  const six = await distortion();
  await page.getByLabel('Rectifier', { exact: true }).selectOption('eighteen-pulse bridge');
  await expect.poll(distortion).toBeLessThan(six / 3);

  await page.getByRole('button', { name: 'What else hangs there' }).click();
  await page.getByLabel('Maximum demand').fill('400 A');
  await expect(figure('demandDistortion')).not.toContainText('assumed');

  await page.getByLabel('analogue signal').check();
  await expect(page.getByTestId('drive-command')).toContainText('4–20 mA');
  await expect(page.getByTestId('settings')).toContainText('below 3 mA: hold the speed');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save as JSON' }).click();
  const saved: unknown = JSON.parse(await readFile(await (await file).path(), 'utf8'));
  expect(saved).toMatchObject({ format: 'pilgrim.drive-settings/1' });
  await page.getByTestId('key-sheet').click();
  await page.getByRole('tab', { name: 'Circuit' }).click();
  await expect(page.getByRole('heading', { name: 'What to program' })).toBeVisible();
});

test('with a blower of its own any speed will do; a wrong rise time is said at its field', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'D-2', '06-ge-340.json');
  await openStation(page, id, 'drive');
  const figure = (name: string) => page.locator(`main [data-figure="drive.${name}"]`);
  await expect(figure('minSpeed')).toContainText('r/min');
  await page.getByLabel('Cooled by').selectOption('a blower of its own');
  await expect(figure('minSpeed')).toContainText('any');
  const edge = page.getByLabel('Rise time of its edges');
  await edge.fill('fast');
  await expect(page.getByTestId('key-sheet')).toContainText('waits for');
  await edge.fill('0.4 µs');
  await expect(figure('criticalLength')).toContainText('30.0 m');
  await expect(edge).toHaveValue('0.4 µs');
});
