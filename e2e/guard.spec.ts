import { expect, test } from '@playwright/test';
import { awake, openStation, ownPosition } from './helpers';

test('the circuit of a motor: what is there is held against what does, and the feeder is added up', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'G-1', '04-st-230.json');
  await openStation(page, id, 'guard');
  const figure = (name: string) => page.locator(`main [data-figure="guard.${name}"]`);
  await expect(figure('conductorArea')).toContainText('6 AWG');
  await expect(figure('breakerRating')).toContainText('150 A');

  const size = page.getByLabel('Size that is there');
  await size.fill('10 AWG');
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText('10 AWG carries 35 A as laid, 65 A is asked: 6 AWG does.');
  await expect(page.getByTestId('key-guard')).toContainText('dial');
  await size.fill('ten');
  await expect(page.locator('main')).toContainText('write a conductor size, such as "8 AWG"');
  await expect(page.getByTestId('key-sheet')).toContainText('waits for');
  await size.fill('');
  await expect(figure('conductorArea')).toContainText('6 AWG');

  await page.getByLabel('Ambient of the cable').fill('46 °C');
  // 65 A asked, .75 of the table at 46 °C: 85 A of 4 AWG become 63.75, 100 A of 3 AWG 75.
  await expect(figure('conductorArea')).toContainText('3 AWG');
  await figure('ampacity').click();
  const working = page.getByTestId('working');
  await expect(working).toContainText('NFPA 70');
  await working.getByRole('button', { name: 'Factor for the ambient' }).click();
  await expect(working).toContainText('46 °C');
  await expect(working).toContainText('Ambient of the cable');
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'The feeder, and what else hangs on it' }).click();
  await page.getByRole('button', { name: 'Add a motor' }).click();
  await page.getByLabel('Motor 1', { exact: true }).fill('20 hp');
  await page.getByLabel('Its branch device').fill('70 A');
  // 1.25 × 52 + 27 A; 150 + 27 A, the next below.
  await expect(figure('feederCurrent')).toContainText('92 A');
  await expect(figure('feederDevice')).toContainText('175 A');
});

test('nothing coordinated is refused, a panel rated below the fault too', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'G-2', '04-st-230.json');
  await page.goto(`/positions/${id}/guard`);
  await awake(page);
  await page.waitForSelector('.opening', { state: 'detached' });
  const findings = page.getByRole('list', { name: 'Findings' });
  await page.getByLabel('Panel’s short-circuit rating').fill('5 kA');
  await expect(findings).toContainText('9000 A may flow at a fault, the panel is rated for 5 kA');
  await page.getByLabel('Panel’s short-circuit rating').fill('10 kA');
  await expect(findings).not.toContainText('may flow at a fault');
  await page.getByLabel('Coordination asked').selectOption('none');
  await expect(findings).toContainText('Nothing coordinated is never permitted');
});
