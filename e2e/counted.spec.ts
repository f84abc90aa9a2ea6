import { expect, test } from '@playwright/test';
import { counted, within } from './count';
import { awake, demoId, openStation, ownPosition } from './helpers';

/** The journeys a stranger makes, each counted in what a hand does and in seconds. */

const pasted = 'HP 20 VOLTS 230/460 AMPS 50/25 RPM 1760 HZ 60 FR 256T ENCL TEFC SF 1.15 CODE G INS F';

for (const [how, viewport, limit] of [
  ['at a desk', { width: 1280, height: 800 }, 120],
  ['on a phone', { width: 390, height: 844 }, 150],
] as const)
  test(`a motor failed: from nothing to a line for the buyer, ${how}`, async ({ page }) => {
    await page.setViewportSize(viewport);
    const effort = await counted(page);
    await page.goto('/');
    await awake(page);
    await page.getByRole('button', { name: 'New position' }).click();
    await page.getByLabel('Tag').fill(`CO-1${how.length}`);
    await page.getByLabel('Name').fill('Kiln fan');
    await page.getByLabel('Area').fill('Kilning');
    await page.getByLabel('What brings you here').selectOption('a motor failed: what to buy');
    await page.getByRole('button', { name: 'Start it' }).click();
    await expect(page.getByRole('heading', { name: 'Kiln fan' })).toBeVisible();
    await page.getByRole('button', { name: 'Paste the plate' }).click();
    await page.getByLabel('Text from an e-mail').fill(pasted);
    await page.getByRole('button', { name: 'Read into the plate' }).click();
    await expect(page.getByText('Practice as the plate is stamped: North America')).toBeVisible();
    await page.getByTestId('asked-once').getByRole('button', { name: '480 V' }).click();
    await page
      .getByRole('link', { name: /^Choice/ })
      .first()
      .click();
    const buying = page.getByTestId('buying');
    await expect(buying.getByRole('row', { name: /^Motor/ })).toContainText('20 hp');
    await expect(buying.getByRole('button', { name: 'print this page' })).toBeVisible();
    within(await effort(), limit);
  });

test('a throttled pump: from a plate and a valve to keep, drive or replace', async ({ page }) => {
  const effort = await counted(page);
  await page.goto('/');
  await awake(page);
  await page.getByRole('button', { name: 'New position' }).click();
  await page.getByLabel('Tag').fill('CO-2');
  await page.getByLabel('Name').fill('Steep pump');
  await page.getByLabel('Area').fill('Steeping');
  await page.getByLabel('What brings you here').selectOption('it runs, but wastes energy');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('heading', { name: 'Steep pump' })).toBeVisible();
  await page.getByRole('button', { name: 'Paste the plate' }).click();
  await page.getByLabel('Text from an e-mail').fill('15 kW 400/690 V 28.5/16.5 A 1465 rpm 50 Hz 160L IP55 cos 0.84');
  await page.getByRole('button', { name: 'Read into the plate' }).click();
  const pick = (path: string, label: string) => page.locator(`[data-path="${path}"]`).selectOption({ label });
  const give = (path: string, text: string) => page.locator(`[data-path="${path}"]`).fill(text);
  const visit = (name: RegExp) => page.getByRole('link', { name }).first().click();
  await visit(/^Load/);
  await pick('load.machine', 'centrifugal pump');
  await pick('load.demand.kind', 'pump: flow and head');
  await give('load.demand.flow', '150');
  await give('load.demand.head', '20');
  await give('load.demand.efficiency', '74');
  await visit(/^Speed/);
  await page.locator('[data-path="speed.control"]').selectOption({ label: 'throttling valve' });
  await page.getByRole('button', { name: 'Add a row' }).click();
  await give('speed.profile[0].hours', '6000');
  await give('speed.profile[0].flow', '60');
  await visit(/^Cost/);
  await give('money.energyPrice', '0.15');
  await visit(/^Choice/);
  const options = page.getByTestId('options').getByRole('row');
  await expect(options.nth(1)).toContainText('keep all');
  await expect(options.nth(2)).toContainText('a drive on the old motor');
  within(await effort(), 180);
});

test('a messy plate: pasted with letters among its figures, mended and believed', async ({ page }) => {
  const effort = await counted(page);
  // The plant's spare bay: nothing is known of it.
  await openStation(page, demoId('10'), 'plate');
  await page.getByRole('button', { name: 'Paste the plate' }).click();
  await page.getByLabel('Text from an e-mail').fill('25 HP 46O V 31 A RPM I770 6O HZ FR 284T TEFC');
  await page.getByRole('button', { name: 'Read into the plate' }).click();
  await expect(page.locator('[data-path="plate.speed"]')).toHaveValue(/1770/);
  await expect(page.locator('[data-path="plate.voltage"]')).toHaveValue(/460/);
  within(await effort(), 60);
});

test('a survey: five motors of a row, each in under a minute, and what was carried over is marked', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'CO-40', '03-st-210.json');
  const effort = await counted(page);
  await openStation(page, id, 'plate');
  let before = await effort();
  for (const n of [1, 2, 3, 4, 5]) {
    await page.getByRole('button', { name: 'Copy', exact: true }).click();
    await page.getByLabel('Tag', { exact: true }).fill(`CO-4${n}`);
    await page.getByLabel('Name', { exact: true }).fill(`Steep-water pump ${n + 1}`);
    await page.getByRole('button', { name: 'Copy it' }).click();
    await expect(page.getByRole('heading', { name: `Steep-water pump ${n + 1}` })).toBeVisible();
    await awake(page);
    // Carried over and marked until it is saved as seen; what is typed here is not.
    await expect(page.getByTestId('copied')).toContainText(`Copied from CO-4${n - 1}`);
    const speed = page.locator('[data-path="plate.speed"]');
    const mark = page.getByTestId('carried').filter({ hasText: `from CO-4${n - 1}` });
    const marked = await mark.count();
    expect(marked).toBeGreaterThan(5);
    await speed.fill(`${1465 + n}`);
    await expect(mark).toHaveCount(marked - 1);
    await page.getByRole('button', { name: 'Save a revision' }).click();
    await expect(page.getByTestId('save-state')).toContainText('Saved');
    await expect(page.getByTestId('carried')).toHaveCount(0);
    await expect(page.getByTestId('copied')).toHaveCount(0);
    const now = await effort();
    within({ ...now, seconds: now.seconds - before.seconds }, 60);
    before = now;
  }
});
