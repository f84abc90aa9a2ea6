import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { openStation, ownPosition } from './helpers';

/** A conveyor on a drive that is up and down within a second, commanded by network. */
async function conveyor(page: Page, id: string): Promise<void> {
  await openStation(page, id, 'speed');
  await page.locator('[data-path="speed.need"]').selectOption('speed varies');
  await page.locator('[data-path="speed.min"]').fill('0.1');
  await page.getByTestId('key-start').click();
  await page.locator('[data-path="start.drive.ramp"]').fill('1 s');
  await page.getByTestId('key-drive').click();
  await page.getByLabel('network', { exact: true }).check();
  await expect(page.getByTestId('settings').first()).toContainText('after 3 s: stop by ramp');
}
const state = (page: Page) => page.getByTestId('drive-state');
const log = (page: Page) => page.getByTestId('drive-log');
const press = (page: Page, name: string): Promise<void> => page.getByRole('button', { name, exact: true }).click();
async function commissioned(page: Page): Promise<void> {
  await press(page, 'Start a stand-in');
  await expect(state(page)).toContainText('not programmed');
  await press(page, 'Send the table');
  await expect(state(page)).toContainText('ready');
  await expect(page.getByTestId('drive-held')).toContainText('It holds the table');
}

test('a conveyor at a tenth of its speed is sent to a blower', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'SI-0', '08-kn-430.json');
  await openStation(page, id, 'speed');
  await page.locator('[data-path="speed.need"]').selectOption('speed varies');
  await page.locator('[data-path="speed.min"]').fill('0.5');
  await page.getByTestId('key-choice').click();
  await expect(page.locator('main')).not.toContainText('TEBC inverter duty Premium, drive');
  await page.getByTestId('key-speed').click();
  await page.locator('[data-path="speed.min"]').fill('0.1');
  await page.getByTestId('key-choice').click();
  await expect(page.getByTestId('key-choice')).toContainText('drive');
  await expect(page.locator('main')).toContainText('TEBC');
  await page.getByTestId('key-drive').click();
  await expect(page.locator('main [data-figure="drive.minSpeed"]')).toContainText('17.6 r/min');
});

test('the stand-in is commissioned, tripped, and reset', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'SI-1', '08-kn-430.json');
  await conveyor(page, id);
  await commissioned(page);
  await press(page, 'Run');
  await expect(log(page)).toContainText('at speed');
  await expect(state(page)).toContainText('running');
  // What is read is drawn against what was predicted.
  await expect(page.getByRole('img', { name: /^Torque\. Torque as read, against what was predicted/ })).toBeVisible();
  const axe = await new AxeBuilder({ page }).include('main').analyze();
  expect(axe.violations).toEqual([]);

  await page.getByTestId('drive-spoil').selectOption('a line of the supply lost');
  await expect(state(page)).toContainText('tripped: a line of the supply is missing');
  await page.getByTestId('drive-spoil').selectOption('nothing: all is well');
  await press(page, 'Reset');
  await expect(state(page)).toContainText('ready');
  await expect(page.getByTestId('drive-readings')).toContainText('0 r/min');
  await press(page, 'Run');
  await expect(state(page)).toContainText('running');
  await press(page, 'Stop');
  await expect(log(page)).toContainText('stands');

  // Another table is not sent by itself, and that is said.
  await page.getByLabel('Within').fill('2 s');
  await expect(page.getByTestId('drive-held')).toContainText('Set otherwise than the table: Ramp down');
  // Left and found again, with its log.
  await page.getByTestId('key-cost').click();
  await page.getByTestId('key-drive').click();
  await expect(log(page)).toContainText('a line of the supply is missing');
  await press(page, 'Let it go');
  await expect(page.getByRole('button', { name: 'Start a stand-in' })).toBeVisible();
});

test('its link cut in mid-run: it stops by itself, and nothing is lost', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'SI-2', '08-kn-430.json');
  await conveyor(page, id);
  await commissioned(page);
  await press(page, 'Run');
  await expect(log(page)).toContainText('at speed');
  await page.getByLabel('Motor cable').fill('25 m');
  await press(page, 'Cut the link');
  await expect(state(page)).toContainText('link cut');
  await expect(state(page)).toContainText('running (as last read)');
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeDisabled();
  // Three seconds without a word, and it stops by its ramp; nobody sees it meanwhile.
  await page.waitForTimeout(4500);
  await press(page, 'Join the link');
  await expect(state(page)).toContainText('tripped: nobody spoke over the link');
  for (const line of ['at speed', 'link cut here', 'link is up', 'stops: nobody spoke over the link', 'stands'])
    await expect(log(page)).toContainText(line);
  await expect(page.getByLabel('Motor cable')).toHaveValue('25 m');
  await press(page, 'Let it go');
});

test('a drive at an address is only read until writing to it is allowed by name', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'SI-3', '08-kn-430.json');
  await conveyor(page, id);
  await press(page, 'Start a stand-in');
  const address = /127\.0\.0\.1:\d+/.exec(await state(page).innerText())?.[0] ?? '';

  const other = await ownPosition(request, 'SI-4', '08-kn-430.json');
  await conveyor(page, other.id);
  await page.getByRole('button', { name: 'Read a drive that is there' }).click();
  await page.getByTestId('drive-address').fill('not an address');
  await press(page, 'Read it');
  await expect(page.getByText('write an address such as 10.0.0.5:502')).toBeVisible();
  await expect(page.getByTestId('drive-address')).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByTestId('drive-address')).toHaveValue('not an address');
  await page.getByTestId('drive-address').fill(address);
  await press(page, 'Read it');
  await expect(state(page)).toContainText(`Drive at ${address}`);
  await expect(state(page)).toContainText('not programmed');
  await expect(page.getByRole('button', { name: 'Send the table' })).toBeDisabled();
  await press(page, `Allow writing to ${address}`);
  await expect(page.getByText('Is the machine clear')).toBeVisible();
  await press(page, 'Leave it off');
  await expect(page.getByRole('button', { name: 'Send the table' })).toBeDisabled();
  await press(page, `Allow writing to ${address}`);
  await press(page, `Write to ${address}`);
  await press(page, 'Send the table');
  await expect(state(page)).toContainText('ready');
  await press(page, 'Let it go');
});

test('its power meter is recorded, a gap marked, and saved as a logger’s file', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'SI-5', '05-ge-310.json');
  await openStation(page, id, 'drive');
  await press(page, 'Record the stand-in’s meter');
  await expect(page.getByTestId('meter-message')).toContainText('No stand-in runs here');
  await press(page, 'Start a stand-in');
  await expect(state(page)).toContainText('not programmed');
  await press(page, 'Record the stand-in’s meter');
  await expect(page.getByTestId('meter-state')).toContainText('link up');
  await expect(page.getByTestId('meter-shows')).toContainText('Power factor');
  await expect(page.getByTestId('meter-sum')).toContainText('from seconds', { timeout: 20_000 });
  // It goes on with the page elsewhere.
  await page.getByTestId('key-cost').click();
  await page.getByTestId('key-drive').click();
  await expect(page.getByTestId('meter-state')).toContainText('recorded since');
  await press(page, 'End the recording');
  await expect(page.getByRole('button', { name: 'Record the stand-in’s meter' })).toBeVisible();
  // Five seconds later it is recorded again: what lies between is a gap.
  await page.waitForTimeout(5000);
  await press(page, 'Record the stand-in’s meter');
  await expect(page.getByTestId('meter-gaps')).toContainText('They count for nothing', { timeout: 20_000 });
  const saved = page.waitForEvent('download');
  await press(page, 'All as a logger’s file (CSV)');
  expect((await saved).suggestedFilename()).toBe('meter.csv');
  await press(page, 'Let it go');
  await expect(page.getByTestId('meter-state')).toBeHidden({ timeout: 15_000 });
});
