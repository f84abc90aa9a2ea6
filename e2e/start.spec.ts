import { expect, test, type Page } from '@playwright/test';
import { openStation, ownPosition } from './helpers';

const toCharts = async (page: Page): Promise<void> => {
  await page.getByText('Torque and current against speed').scrollIntoViewIfNeeded();
  await page.getByText('Run-up against time').scrollIntoViewIfNeeded();
};

test('every method is compared, the cheapest that will do is named, and each figure opens its working', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'S-1', '09-ut-510.json');
  await openStation(page, id, 'start');
  const table = page.getByTestId('start-compare');
  for (const method of ['direct', 'star delta', 'autotransformer', 'primary reactor', 'soft starter', 'drive'])
    await expect(table.getByRole('button', { name: method, exact: true })).toBeVisible();
  await expect(table).toContainText('Dips the bus by');
  await expect(page.getByTestId('start-recommended')).toContainText('Recommended for starting alone: star delta');
  await expect(page.getByTestId('start-recommended')).toContainText('Direct on line costs less, but: Dips the bus');
  await table.locator('[data-figure="start.star-delta.time"]').click();
  await expect(page.getByRole('complementary', { name: 'Ledger' })).toContainText('J dw/dt');
  // The fit says how well it meets the motor's data.
  await expect(page.getByTestId('met')).toContainText('Locked-rotor current');
});

test('another method is looked at, set, and set by search; the case keeps it', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'S-2', '05-ge-310.json');
  await openStation(page, id, 'start');
  await page.getByTestId('start-compare').getByRole('button', { name: 'soft starter', exact: true }).click();
  const reading = page.getByTestId('start-reading');
  await expect(reading).toContainText('soft starter: to speed in');
  const before = await reading.innerText();
  await page.getByLabel('Current limit, × rated').fill('2.8');
  await expect(reading).not.toHaveText(before);
  await page.getByLabel('Current limit, × rated').fill('12');
  await expect(page.getByText(/write a number .*8/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Find the settings for soft starter' }).click();
  const found = page.getByTestId('found-settings');
  await expect(found).toContainText('Lowest current limit');
  await found.getByRole('button', { name: 'use it' }).first().click();
  await expect(page.getByLabel('Current limit, × rated')).toHaveValue(/^\d\.?\d*$/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Current limit, × rated')).toHaveValue('12');
});

test('a setting is moved on the chart by the keyboard and by the pointer, and put into its field', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'S-3', '05-ge-310.json');
  await openStation(page, id, 'start');
  await page.getByTestId('start-compare').getByRole('button', { name: 'soft starter', exact: true }).click();
  await toCharts(page);
  const limit = page.getByRole('slider', { name: 'Current limit' });
  await expect(limit).toHaveAttribute('aria-valuetext', 'limit 3.50 × rated');
  await limit.focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Current limit, × rated')).toHaveValue('3.55');
  await expect(limit).toHaveAttribute('aria-valuetext', 'limit 3.55 × rated');
  const box = (await limit.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 12, { steps: 4 });
  // Held, the new curves stand over the old ones and the case is as it was.
  await expect(page.locator('svg.live path').first()).toHaveAttribute('d', /^M/);
  await expect(page.getByLabel('Current limit, × rated')).toHaveValue('3.55');
  await page.mouse.up();
  await expect(page.getByLabel('Current limit, × rated')).not.toHaveValue('3.55');
  const ramp = page.getByRole('slider', { name: 'Ramp time' });
  await ramp.focus();
  await page.keyboard.press('PageDown');
  await expect(page.locator('[data-path="start.softStarter.time"]')).toHaveValue('9.0 s');
});

test('the changeover is moved in time; the first cycles are simulated on demand', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'S-4', '09-ut-510.json');
  await openStation(page, id, 'start');
  await toCharts(page);
  const after = page.getByRole('slider', { name: 'Changeover time' });
  await after.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Changeover after')).toHaveValue(/^0\.\d+ s$/);
  await page.getByRole('slider', { name: 'Changeover speed' }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByLabel('Changeover after')).toHaveValue('');
  await expect(page.getByLabel('or at a share of speed')).toHaveValue(/^0\.\d+$/);
  await page.getByRole('tab', { name: 'The first cycles' }).click();
  await page.getByRole('button', { name: 'From star to delta' }).click();
  await expect(page.getByTestId('first-cycles')).toContainText('× the crest of rated current');
  await expect(page.getByTestId('first-cycles')).toContainText('worse wiring');
  await page.getByRole('button', { name: 'Switching on directly' }).click();
  await expect(page.getByTestId('first-cycles')).toContainText('First cycles of a direct start');
});

test('the machine at any working point, and what cannot be', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'S-5', '05-ge-310.json');
  await openStation(page, id, 'start');
  await page.getByRole('tab', { name: 'The machine' }).click();
  const operate = page.getByTestId('operate');
  await expect(operate.getByRole('status')).toContainText('shaft 30.0 kW');
  await operate.getByLabel('Torque, % of rated').fill('25');
  await expect(operate.getByRole('status')).toContainText('Least input at');
  await operate.getByLabel('Voltage').fill('120');
  await operate.getByLabel('Torque, % of rated').fill('100');
  await expect(operate.getByRole('status')).toContainText('it would stall');
  await operate.getByLabel('Voltage').fill('much');
  await expect(operate.getByRole('status')).toContainText('Write a voltage');
});

test('a stall is told, and the sheet has the comparison with the settings', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'S-6', '09-ut-510.json');
  await openStation(page, id, 'load');
  await page.getByLabel('Machine', { exact: true }).selectOption('crusher');
  const breakaway = page.locator('main [data-path="load.breakaway"]');
  await breakaway.fill('3');
  await page.keyboard.press('Alt+6');
  await expect(page.getByTestId('start-compare')).toContainText('Stalls');
  await page.keyboard.press('Alt+2');
  await breakaway.fill('');
  await page.getByLabel('Machine', { exact: true }).selectOption('centrifugal pump');
  await page.keyboard.press('Alt+0');
  const sheet = page.getByTestId('sheet');
  await sheet.getByRole('tab', { name: 'How it starts' }).click();
  await expect(sheet.getByRole('heading', { name: 'How it starts' })).toBeVisible();
  await expect(sheet.getByTestId('start-compare')).toContainText('Residual voltage when off: live');
  await expect(sheet).toContainText('(assumed: the common kind)');
});

test('the method chosen on Start chooses, and is left open again', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'STA-9', '07-kn-410.json');
  await openStation(page, id, 'start');
  const standing = page.getByTestId('standing-choice');
  await expect(standing).toContainText('drive');
  await page
    .getByRole('button', { name: /^soft starter/i })
    .first()
    .click();
  await page.getByRole('button', { name: 'Choose soft starter' }).click();
  await expect(standing).not.toContainText('drive');
  await expect(page.getByTestId('pinned')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the method open again' }).click();
  await expect(standing).toContainText('drive');
});
