import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { demoId } from './helpers';

const stations = ['plate', 'load', 'place', 'speed', 'choice', 'start', 'guard', 'drive', 'cost', 'sheet'];
const screens = [
  ['plant', '/'],
  ...stations.map((s) => [s, `/positions/${demoId('07')}/${s}`] as const),
  ...stations.map((s) => [`${s}, nothing but a name`, `/positions/${demoId('10')}/${s}`] as const),
  ['own shelf', '/shelf'],
  ['choice, stopped', `/positions/${demoId('02')}/choice`],
  ['nothing there', '/positions/nonsense/plate'],
] as const;

for (const theme of ['light', 'dark'] as const) {
  for (const [name, path] of screens) {
    test(`${theme}: ${name} has no accessibility violation and no error`, async ({ page, context, baseURL }) => {
      await context.addCookies([{ name: 'theme', value: theme, url: baseURL ?? '' }]);
      const errors: string[] = [];
      page.on('pageerror', (e) => errors.push(e.message));
      page.on('console', (m) => m.type() === 'error' && !m.text().includes('404') && errors.push(m.text()));
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      expect(await page.evaluate(() => document.documentElement.classList.contains('dark'))).toBe(theme === 'dark');
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(
        violations.map(
          (v) =>
            `${v.id}: ${v.nodes
              .map((n) => n.html)
              .slice(0, 3)
              .join(' | ')}`,
        ),
      ).toEqual([]);
      expect(errors).toEqual([]);
    });
  }
}

test('on a tablet one column stands under the other, and nothing runs off the side', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  for (const station of stations) {
    await page.goto(`/positions/${demoId('07')}/${station}`);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(820);
  }
});
