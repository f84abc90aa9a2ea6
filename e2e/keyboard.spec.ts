import { expect, test, type Page } from '@playwright/test';
import { awake, openStation, ownPosition } from './helpers';

/** Tabs until the element under focus matches; fails after many steps. */
async function tabTo(page: Page, selector: string): Promise<void> {
  for (let i = 0; i < 150; i++) {
    await page.keyboard.press('Tab');
    if (await page.evaluate((s) => document.activeElement?.matches(s) ?? false, selector)) return;
  }
  throw new Error(`never reached ${selector} by Tab`);
}

test('the whole journey with the keyboard alone', async ({ page, request, browser, baseURL }) => {
  const { study } = await ownPosition(request, 'K-1', '01-in-110.json');
  await page.goto('/');
  await awake(page);
  await page.keyboard.press('/');
  await page.keyboard.type('K-1');
  await expect(page.getByRole('option', { name: /K-1 Copy for K-1/ })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('choice')).toBeVisible();

  await page.keyboard.press('Alt+2');
  await expect(page.getByLabel('Pull', { exact: true })).toBeVisible();
  await tabTo(page, '[data-path="load.demand.force"]');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('90 kgf');
  await expect(page.locator('main [data-figure="load.motorPower"]')).toContainText('3.67 hp');

  await tabTo(page, 'main [data-figure="load.motorTorque"]');
  await page.keyboard.press('w');
  await expect(page.getByTestId('working')).toContainText('T_L / (i * eta)');
  await page.keyboard.press('w');
  await expect(page.getByTestId('working')).toBeHidden();

  await page.keyboard.press('Control+s');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.reload();
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('90 kgf');
  await awake(page);

  // Somebody else saves; the refusal and the way out are reached by keys.
  const other = await browser.newContext({ baseURL });
  const head: { head: string } = await (await request.get(`/api/v1/studies/${study}`)).json();
  const revision: { caseText: { load: object } } = await (await request.get(`/api/v1/revisions/${head.head}`)).json();
  await request.post(`/api/v1/studies/${study}/revisions`, {
    headers: { 'if-match': `"${head.head}"` },
    data: { case: { ...revision.caseText, name: 'Theirs' }, author: 'other' },
  });
  await other.close();
  await page.locator('body').press('Alt+2');
  await tabTo(page, '[data-path="load.demand.force"]');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('95 kgf');
  await page.keyboard.press('Control+s');
  await expect(page.getByTestId('conflict')).toContainText('Theirs');
  await page.locator('body').press('Escape');
  await tabTo(page, '[data-testid="conflict"] button');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('save-state')).toContainText('Saved');

  // Finding to field, by keys.
  await page.keyboard.press('Alt+3');
  await tabTo(page, '[data-path="place.ambient"]');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('45 degC');
  await expect(page.getByTestId('findings')).toContainText('45 °C');
  await tabTo(page, '[data-goto="place.ambient"]');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Ambient at the motor')).toBeFocused();

  // Undo outside fields; then sheet, delete.
  await tabTo(page, 'main [data-figure]');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Ambient at the motor')).toHaveValue('35 degC');
  await page.keyboard.press('Alt+0');
  await expect(page.getByTestId('sheet')).toBeVisible();
  await tabTo(page, 'a[download]');
  await tabTo(page, '[data-testid="delete"]');
  await page.keyboard.press('Enter');
  await tabTo(page, 'button.text-stop');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'New position' })).toBeVisible();
  await tabTo(page, '[data-testid="import"]');
});

test('a logger’s file becomes the year, and the year a sum on paper, with the keyboard alone', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'K-3', '07-kn-410.json');
  await openStation(page, id, 'speed');
  // Listened for well before the key: the browser is told so by a message of its own.
  const asked = page.waitForEvent('filechooser');
  await tabTo(page, '[data-testid="log"]');
  await page.keyboard.press('Enter');
  await (await asked).setFiles('demo/logs/kiln-fan-flow.csv');
  const told = page.getByTestId('log-told');
  await expect(told).toContainText('1 gap of 1.0 days');
  await tabTo(page, 'input[placeholder="the highest logged"]');
  await page.keyboard.type('42000');
  await expect(told).toContainText('full value 42000');
  await tabTo(page, '[data-testid="log-told"] button[data-main]');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-path="speed.profile[0].flow"]')).toHaveValue('0.5');

  await page.locator('body').press('Alt+9');
  await tabTo(page, '[data-path="money.installedCost"]');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('90000');
  await expect(page.locator('main [data-figure="cost.netPresentValue"]')).toBeVisible();

  await page.locator('body').press('Alt+0');
  await tabTo(page, 'main [role="tab"]');
  for (let i = 0; i < 8 && !(await page.getByTestId('sum').isVisible()); i++) {
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
  }
  await expect(page.getByTestId('sum')).toContainText('Net present value, 5th percentile');
});

test('single keys do nothing in a field, and can be switched off', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'K-2', '01-in-110.json');
  await openStation(page, id, 'load');
  await page.getByLabel('Pull', { exact: true }).fill('');
  await page.getByLabel('Pull', { exact: true }).pressSequentially('90 kgf/w?');
  await expect(page.getByLabel('Pull', { exact: true })).toHaveValue('90 kgf/w?');
  await expect(page.getByTestId('working')).toBeHidden();
});
