import { expect, test } from '@playwright/test';
import { restingOn, stations } from '@pilgrim/core';
import { openStation, ownPosition } from './helpers';

/** Fields that take any text: there is no wrong value to type. */
const freeText =
  /\.(text|reason|name|currency|note|frame|enclosure|designLetter|codeLetter|insulation|cooling|duty|mounting|connection|efficiencyClass|protection|bearing\w*|serial|manufactured|mark\w*|ratedBy)$/;

for (const station of stations.filter((s) => s !== 'sheet'))
  test(`${station}: no field of it can be wrong while something that rests on it stays green`, async ({
    page,
    request,
  }) => {
    const { id } = await ownPosition(request, `W-${station}`, '01-in-110.json');
    await openStation(page, id, station);
    const fields = page.locator('main input[type="text"][data-path]:visible');
    const paths = await fields.evaluateAll((all) => all.map((e) => e.getAttribute('data-path') ?? ''));
    let tried = 0;
    for (const path of new Set(paths)) {
      const field = page.locator(`main input[data-path="${path}"]`).first();
      if (!(await field.isVisible())) continue;
      const before = await field.inputValue();
      await field.fill('?!');
      if (freeText.test(path)) {
        await field.fill(before);
        continue;
      }
      tried++;
      await expect(page.getByTestId('key-sheet'), path).toContainText('waits for');
      const keys = await page
        .locator('[data-testid^="key-"]')
        .evaluateAll((all) =>
          all.map((e) => [e.getAttribute('data-testid')?.slice(4) ?? '', e.textContent ?? ''] as const),
        );
      const green = keys.filter(([key, text]) => restingOn(path).some((x) => x === key) && !text.includes('waits for'));
      expect(green, path).toEqual([]);
      await field.fill(before);
      await expect(page.locator('[data-testid^="key-"]', { hasText: 'waits for' }), path).toHaveCount(0);
    }
    // These three are chosen from lists alone: a typed field that comes to them is tried, and counted here.
    const typed = !['choice', 'guard', 'drive'].includes(station);
    expect(tried > 0).toBe(typed);
  });
