import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { awake, openStation, ownPosition } from './helpers';

test('/ finds stations, fields, figures, positions and things to do, by keys alone', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'FND-1', '07-kn-410.json');
  await openStation(page, id, 'plate');
  await expect(page.getByTestId('standing-choice')).toContainText('drive');
  const found = page.getByTestId('found');
  await page.keyboard.press('/');
  await expect(page.getByRole('combobox', { name: /^Find a station/ })).toBeFocused();
  await page.keyboard.type('altit');
  await expect(found.getByRole('option').first()).toContainText('Altitude');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Altitude')).toBeFocused();

  await page.keyboard.press('Tab');
  await page.locator('h2').first().click();
  await page.keyboard.press('/');
  await page.keyboard.type('loading');
  await found.getByRole('option').filter({ hasText: 'figure' }).first().click();
  await expect(page).toHaveURL(/choice|load/);
  await expect(page.getByRole('complementary', { name: 'Ledger' })).toContainText('Loading');

  await page.keyboard.press('/');
  await page.keyboard.type('fnd-1');
  await expect(found.getByRole('option', { name: /FND-1/ })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('trash');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Trash' })).toBeVisible();

  await page.keyboard.press('/');
  await page.keyboard.type('zzzz');
  await expect(page.getByText('Nothing here is called that.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('combobox', { name: /^Find a station/ })).toHaveCount(0);
});

test('the guide shows its pictures, the HTTP page its operations', async ({ page }) => {
  await page.goto('/guide');
  await awake(page);
  const pictures = page.locator('main img');
  // As many as the guide has.
  await expect(pictures).toHaveCount(readFileSync('docs/guide.md', 'utf8').match(/!\[/g)?.length ?? 0);
  for (const picture of await pictures.all()) {
    await picture.scrollIntoViewIfNeeded();
    await expect
      .poll(() => picture.evaluate((i) => (i instanceof HTMLImageElement ? i.naturalWidth : 0)))
      .toBeGreaterThan(600);
  }
  await page.getByRole('link', { name: 'what they can ask' }).click();
  await expect(page.getByTestId('operations')).toContainText('/plants/{id}/positions/import');
});
