import { expect, test, type Page } from '@playwright/test';
import { restingOn, stations } from '@pilgrim/core';
import { demandKinds } from '@pilgrim/core/vocabulary';
import { openStation, ownPosition } from './helpers';

/** Fields that take any text: there is no wrong value to type. */
const freeText =
  /\.(text|reason|name|currency|note|frame|enclosure|designLetter|codeLetter|insulation|cooling|duty|mounting|connection|efficiencyClass|protection|bearing\w*|serial|manufactured|mark\w*|ratedBy|hazardousBy)$/;

/** Types a wrong value into every field in view that was not tried yet, and back; gives how many there were. */
async function tryAll(page: Page, done: Set<string>): Promise<number> {
  const fields = page.locator('main input[type="text"][data-path]:visible');
  const paths = await fields.evaluateAll((all) => all.map((e) => e.getAttribute('data-path') ?? ''));
  let tried = 0;
  for (const path of new Set(paths)) {
    if (done.has(path)) continue;
    done.add(path);
    const field = page.locator(`main input[data-path="${path}"]:visible`).first();
    if ((await field.count()) === 0) continue;
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
  return tried;
}

/** Every page and every folded part of the station, one after the other. */
async function everywhere(page: Page, done: Set<string>): Promise<number> {
  const tabs = page.locator('main').getByRole('tab');
  let tried = 0;
  for (let i = 0; i < Math.max(1, await tabs.count()); i++) {
    if ((await tabs.count()) > 0) await tabs.nth(i).click();
    // A part that unfolds may hold another.
    for (let more = 0; more < 20; more++) {
      const shut = page.locator('main .fold-head[aria-expanded="false"]:visible').first();
      if ((await shut.count()) === 0) break;
      await shut.click();
    }
    tried += await tryAll(page, done);
  }
  return tried;
}

for (const station of stations.filter((s) => s !== 'sheet'))
  test(`${station}: no field of it can be wrong while something that rests on it stays green`, async ({
    page,
    request,
  }) => {
    test.setTimeout(240_000);
    const { id } = await ownPosition(request, `W-${station}`, '01-in-110.json');
    await openStation(page, id, station);
    const tried = await everywhere(page, new Set());
    // Choice is chosen from lists alone: a typed field that comes to it is tried, and counted here.
    const typed = station !== 'choice';
    expect(tried > 0).toBe(typed);
  });

test('load: nor any field of another way to know the load', async ({ page, request }) => {
  test.setTimeout(240_000);
  const { id } = await ownPosition(request, 'W-kinds', '01-in-110.json');
  await openStation(page, id, 'load');
  const known = page.getByLabel('How the load is known');
  const done = new Set<string>();
  await tryAll(page, done);
  const words = await known.locator('option').allTextContents();
  expect(words).toHaveLength(demandKinds.length + 1);
  let tried = 0;
  for (const word of words.slice(1)) {
    await known.selectOption(word.trim());
    tried += await tryAll(page, done);
  }
  expect(tried).toBeGreaterThan(15);
});

test('the old answers of a station that waits carry no mark that it is so now', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'W-marks', '07-kn-410.json');
  const marks = () =>
    page
      .locator('main :is(.answers, table.dense) svg:visible > :first-child')
      .evaluateAll((shapes) => shapes.map((shape) => getComputedStyle(shape).fill));
  const visit = async (station: string, least = 3) => {
    await page.getByTestId(`key-${station}`).click();
    await expect(page).toHaveURL(new RegExp(`/${station}$`));
    await expect.poll(async () => (await marks()).length, station).toBeGreaterThanOrEqual(least);
    return new Set(await marks());
  };
  await openStation(page, id, 'load');
  const now = new Map<string, ReadonlySet<string>>();
  for (const station of ['start', 'choice', 'sheet']) now.set(station, await visit(station));
  await page.getByTestId('key-load').click();
  await page.locator('main input[data-path="load.demand.power"]').fill('much');
  for (const [station, seen] of now) {
    // Candidates that nobody has asked for yet are not asked of a case that waits.
    const old = await visit(station, station === 'choice' ? 0 : 3);
    await expect(page.getByTestId('waits')).toContainText('Power at the driven shaft');
    // All of one quiet colour, where there were several.
    expect(seen.size, station).toBeGreaterThan(1);
    expect(old.size, station).toBeLessThanOrEqual(1);
  }
});

test('what only waits is not told as gone', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'W-gone', '01-in-110.json');
  await openStation(page, id, 'load');
  const pull = page.locator('main input[data-path="load.demand.force"]');
  await pull.fill('-5 lbf');
  await expect(page.getByTestId('waits')).toContainText('Pull');
  await expect(page.getByTestId('changed')).toHaveCount(0);
  await pull.fill('170 lbf');
  await expect(page.getByTestId('changed')).toContainText('With Pull');
});
