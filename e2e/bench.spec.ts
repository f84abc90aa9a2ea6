import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { awake, demoId } from './helpers';

const watts = async (page: Page, of: 'throttle' | 'drive'): Promise<number> => {
  const text = await page.getByTestId(`watts-${of}`).innerText();
  return Number.parseFloat(text) * (text.includes('kW') ? 1000 : 1);
};
async function openBench(page: Page, number: string): Promise<void> {
  await page.goto(`/positions/${demoId(number)}/bench`);
  await awake(page);
  await expect(page.locator('main h1')).toHaveText('Bench');
}

test('damper against drive: started, throttled back, spoiled, all by keyboard', async ({ page }) => {
  await openBench(page, '03');
  await expect(page.getByTestId('bench-machine')).toHaveValue('own');
  await page.getByRole('button', { name: 'Start both' }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(async () => watts(page, 'drive'), { timeout: 30_000 }).toBeGreaterThan(11_000);
  const full = await watts(page, 'throttle');
  await page.getByTestId('bench-flow').focus();
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.locator('main')).toContainText('Flow wanted, 60 %');
  await expect.poll(async () => watts(page, 'drive'), { timeout: 30_000 }).toBeLessThan(0.5 * full);
  expect(await watts(page, 'throttle')).toBeGreaterThan(0.75 * full);
  await expect(page.getByTestId('side-throttle')).toContainText(/valve or damper is \d\d % open/);
  // A line lost: the one on the line runs hot, the loaded drive protects itself or runs on; both are told.
  await page.getByTestId('bench-wrong').selectOption('phase');
  await expect(page.getByTestId('side-drive')).toContainText(/saw a lost line|nothing in the pipe/);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

test('a guess comes first, and the score is kept', async ({ page }) => {
  await openBench(page, '03');
  await page.getByTestId('bench-machine').selectOption('blower');
  await page.getByLabel('Guess first').check();
  await expect(page.getByTestId('watts-throttle')).toHaveText('?');
  await page.getByTestId('guess-throttle').fill('130');
  await page.getByTestId('guess-drive').fill('1 W');
  await page.getByRole('button', { name: 'Show it' }).click();
  await expect(page.getByTestId('guess')).toContainText('Throttled: you said 130 W');
  await expect(page.getByTestId('score')).toContainText('3 of 6');
  await expect(page.getByTestId('watts-throttle')).not.toHaveText('?');
  // Another flow is another question.
  await page.getByTestId('bench-flow').press('ArrowLeft');
  await expect(page.getByTestId('watts-throttle')).toHaveText('?');
  await page.reload();
  await awake(page);
  await page.getByLabel('Guess first').check();
  await expect(page.getByTestId('score')).toContainText('3 of 6');
});

test('the year is played with its money, and the known pair of readings explained', async ({ page }) => {
  await openBench(page, '07');
  await page.getByRole('button', { name: 'Play the year' }).click();
  await expect(page.getByTestId('year-saved')).toContainText(/(saved|more) EUR [\d.]+/);
  await page.getByRole('button', { name: 'Pause' }).click();
  const paused = await page.getByTestId('year-saved').innerText();
  await page.waitForTimeout(300);
  expect(await page.getByTestId('year-saved').innerText()).toBe(paused);
  await page.getByTestId('bench-machine').selectOption('blower');
  await expect(page.getByTestId('pair')).toContainText('read 128 to 132 W');
  await expect(page.getByTestId('pair')).toContainText('within the model’s ±30 %');
});

test('a position without a machine gets a small blower, and says why', async ({ page }) => {
  await openBench(page, '10');
  await expect(page.locator('main')).toContainText('a small blower stands in');
});
