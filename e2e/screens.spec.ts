import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { awake, demoId } from './helpers';

// Nothing fades: a colour read halfway between two themes is neither's.
test.use({ contextOptions: { reducedMotion: 'reduce' } });

const stations = ['plate', 'load', 'place', 'speed', 'choice', 'start', 'guard', 'drive', 'cost', 'sheet'];
/** With a demo position's data: every rule, then colours in the other theme. */
const full = [
  ['plant', '/'],
  ...stations.map((s) => [s, `/positions/${demoId('07')}/${s}`] as const),
  ['history', `/positions/${demoId('07')}/history`],
  ['own shelf', '/shelf'],
  ['boards', '/boards'],
  ['trash', '/trash'],
  ['bring in a list', '/import'],
  ['guide', '/guide'],
  ['HTTP face', '/http'],
] as const;
/** The same on a tablet, on a phone, and at a desk with everything twice as large (1280×800 at 200 %). */
const sizes = [
  ['on a tablet', { width: 820, height: 1180 }],
  ['on a phone', { width: 390, height: 844 }],
  ['at 200 %', { width: 640, height: 400 }],
] as const;
/** Empty or stopped: the same parts with less in them, so colours, targets and overflow only. */
const bare = [
  ...stations.map((s) => [`${s}, nothing but a name`, `/positions/${demoId('10')}/${s}`] as const),
  ['choice, stopped', `/positions/${demoId('02')}/choice`],
  ['nothing there', '/positions/nonsense/plate'],
] as const;
/** What depends on the theme and on how much there is. */
const lookOnly = ['color-contrast', 'target-size'];

async function violations(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations: found } = await (rules ? axe.withRules(rules) : axe).analyze();
  return found.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.html)
        .slice(0, 3)
        .join(' | ')}`,
  );
}

const sideways = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** Opens a screen; what it writes to the console as an error is in the list. */
async function open(page: Page, path: string): Promise<string[]> {
  const errors: string[] = [];
  page.on('pageerror', (e) => errors.push(e.message));
  page.on('console', (m) => m.type() === 'error' && !m.text().includes('404') && errors.push(m.text()));
  await page.goto(path);
  if (!path.includes('nonsense')) await awake(page);
  await page.waitForLoadState('networkidle');
  return errors;
}

/** All rules once, then what depends on theme and size in both themes and at every size. */
async function everywhere(page: Page): Promise<void> {
  const desk = page.viewportSize();
  const turn = () => page.evaluate(() => document.documentElement.classList.toggle('dark'));
  expect(await violations(page)).toEqual([]);
  expect(await sideways(page)).toBeLessThanOrEqual(0);
  await turn();
  expect(await violations(page, lookOnly)).toEqual([]);
  for (const [where, size] of sizes) {
    await page.setViewportSize(size);
    // A chart follows its box when the browser has told it of the new width.
    await expect.poll(() => sideways(page), { message: where }).toBeLessThanOrEqual(0);
    expect(await violations(page, lookOnly), where).toEqual([]);
    await turn();
    if (where !== 'on a phone' || !page.url().includes('/positions/')) continue;
    const top = await page.locator('main').evaluate((m) => m.getBoundingClientRect().top + scrollY);
    expect(top, 'content begins high on a phone').toBeLessThan(200);
  }
  if (desk) await page.setViewportSize(desk);
}

for (const [name, path] of full)
  test(`${name} has no accessibility violation in either theme, and no error`, async ({ page }) => {
    const errors = await open(page, path);
    await everywhere(page);
    expect(errors).toEqual([]);
  });

for (const station of ['plate', 'choice', 'start', 'sheet'])
  test(`nor has any page behind the first one of ${station}`, async ({ page }) => {
    test.slow();
    const errors = await open(page, `/positions/${demoId('07')}/${station}`);
    const tabs = page.getByRole('tab');
    await tabs.first().waitFor();
    const count = await tabs.count();
    expect(count).toBeGreaterThan(1);
    for (let i = 1; i < count; i++) {
      await tabs.nth(i).click();
      await expect(tabs.nth(i)).toHaveAttribute('aria-selected', 'true');
      await page.evaluate(() => document.documentElement.classList.remove('dark'));
      await test.step((await tabs.nth(i).textContent()) ?? '', () => everywhere(page));
    }
    expect(errors).toEqual([]);
  });

for (const [name, path] of bare)
  test(`${name} can be read and reached, and has no error`, async ({ page }) => {
    const errors = await open(page, path);
    expect(await violations(page, lookOnly)).toEqual([]);
    expect(await sideways(page)).toBeLessThanOrEqual(0);
    expect(errors).toEqual([]);
  });
