import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { awake, demoId, ownPosition } from './helpers';

const field = (page: Page, key: string) => page.locator(`main [data-path="reading.${key}"]`);
const told = (page: Page) => page.getByTestId('round-told');
const csv = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

async function openLog(page: Page, id: string): Promise<void> {
  await page.goto(`/positions/${id}/log`);
  await awake(page);
}

test('a round on a phone with one hand: typed by Enter, answered at once, kept, and there again', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'LO-1', '07-kn-410.json');
  await page.setViewportSize({ width: 390, height: 844 });
  await openLog(page, id);
  await field(page, 'current1').focus();
  for (const number of ['42', '41.5', '42.4', '452', '455', '450', '26.5']) {
    await page.keyboard.type(number);
    await page.keyboard.press('Enter');
  }
  await expect(field(page, 'frequency')).toBeFocused();
  await expect(told(page)).toContainText('118 % of the plate’s 36 A');
  await expect(told(page).getByTestId('steps')).toContainText('Speed, by strobe');
  // What was measured has its answer, and the rest is still asked.
  await expect(told(page).getByTestId('steps')).toContainText('Read: alike within 10 %');
  // Every key is large enough for a thumb, and the one that keeps it stands at the bottom.
  const keep = page.getByRole('button', { name: 'Keep this round' });
  const box = await keep.boundingBox();
  expect(box?.y ?? 0).toBeGreaterThan(700);
  for (const key of ['current1', 'insulation'])
    expect((await field(page, key).boundingBox())?.height ?? 0).toBeGreaterThanOrEqual(44);
  // Nothing typed is lost on the way.
  await page.reload();
  await awake(page);
  await expect(field(page, 'current1')).toHaveValue('42');
  await keep.click();
  await expect(page.getByTestId('rounds')).toContainText('42 · 41.5 · 42.4');
  await expect(field(page, 'current1')).toHaveValue('');
  await page.reload();
  await expect(page.getByTestId('rounds')).toContainText('42 · 41.5 · 42.4');
  await expect(told(page)).toContainText('118 % of the plate’s 36 A');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

test('what cannot be read is said at its field, and a round is dropped and brought back', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'LO-2', '03-st-210.json');
  await openLog(page, id);
  await expect(told(page)).toContainText('No round yet');
  await field(page, 'vibration').fill('two');
  await expect(page.getByLabel('New round')).toContainText('write a number in mm/s');
  await expect(page.getByRole('button', { name: 'Keep this round' })).toBeDisabled();
  await field(page, 'vibration').fill('0.1 in/s');
  await expect(told(page)).toContainText('2.54 mm/s is zone C');
  await page.getByRole('button', { name: 'Keep this round' }).click();
  await expect(page.getByTestId('rounds')).toContainText('2.54');
  await page.getByRole('button', { name: /^Drop the round/ }).click();
  await expect(page.locator('main')).toContainText('None yet');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByTestId('rounds')).toContainText('2.54');
});

test('a list of rounds: faults by line and column, then its trend with limits and what was changed', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'LO-3', '07-kn-410.json');
  await openLog(page, id);
  const bad = 'at;vibration\n2026-01-05 06:00;1.1\n2026-02-05 06:00;loud\n';
  await page.getByTestId('rounds-file').setInputFiles(csv('bad.csv', bad));
  await expect(page.getByLabel('Rounds')).toContainText('line 3, column 2');
  const good = 'at;vibration;hours\n2026-01-05 06:00;1.1;100\n2026-02-05 06:00;1.9;700\n2026-03-05 06:00;3.2;1300\n';
  await page.getByTestId('rounds-file').setInputFiles(csv('good.csv', good));
  await expect(page.getByTestId('rounds').locator('tbody tr')).toHaveCount(3);
  await page.getByLabel('How it went').selectOption('vibration');
  const chart = page.getByRole('img', { name: /Vibration/ });
  await chart.scrollIntoViewIfNeeded();
  await expect(chart).toContainText('zone C');
  await expect(page.getByLabel('Trend')).toContainText('Dashed: what was changed here');
  await expect(page.getByLabel('Next checks')).toContainText('zone C');
  // An older round is looked at by itself.
  await page.getByTestId('rounds').getByRole('button').last().press('Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(told(page)).toContainText('1.1 mm/s is zone A');
});

test('figures of a round open to their working', async ({ page }) => {
  await openLog(page, demoId('07'));
  await told(page).locator('[data-figure="condition.insulation"]').click();
  await expect(page.getByTestId('working')).toContainText('IEEE 43');
  await expect(page.getByTestId('working')).toContainText('thermosetting');
});
