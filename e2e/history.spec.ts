import { stations } from '@pilgrim/core/vocabulary';
import { expect, test } from '@playwright/test';
import { counted, within } from './count';
import { awake, demoId, openStation, ownPosition } from './helpers';

test('a mistake is found in the history, with what it did, and taken back', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'HIS-01', '07-kn-410.json');
  const effort = await counted(page);
  await openStation(page, id, 'place');
  const choice = page.getByTestId('standing-choice');
  const before = await choice.textContent();
  await page.getByLabel('Ambient at the motor').fill('65 °C');
  await expect(choice).not.toHaveText(before ?? '');
  const changed = page.getByTestId('changed');
  await expect(changed).toContainText('With Ambient at the motor');
  await expect(changed.getByTestId('changed-choice')).toContainText('→');
  await page.getByLabel('by', { exact: true }).fill('Night shift');
  await page.getByLabel('why', { exact: true }).fill('summer');
  await page.keyboard.press('Control+s');
  await expect(page.getByTestId('save-state')).toContainText('by Night shift');

  await page.getByRole('link', { name: 'History' }).click();
  const revisions = page.getByTestId('revisions');
  await expect(revisions).toContainText('Night shift');
  await expect(revisions).toContainText('summer');
  const differs = page.getByTestId('differs');
  await expect(differs).toContainText('65 °C');
  await expect(differs).toContainText('Ambient');
  await page.getByRole('button', { name: 'Bring back' }).last().focus();
  await page.keyboard.press('Enter');
  await expect(choice).toHaveText(before ?? '');
  await expect(differs.getByRole('row', { name: /Ambient at the motor/ })).toContainText('46 degC');
  await page.keyboard.press('Control+s');
  await expect(revisions.getByRole('row')).toHaveCount(5);
  within(await effort(), 60);
});

test('the history opened by its address answers with the own shelf, however late that comes', async ({ page }) => {
  await page.route('**/shelf*', async (route) => {
    await new Promise((done) => setTimeout(done, 700));
    await route.continue();
  });
  await page.goto(`/positions/${demoId('01')}/history`);
  const differs = page.getByTestId('differs');
  await expect(differs).toContainText('The same was given in both.');
  await expect(differs).not.toContainText('→');
});

test('undo says what it takes back, and gives it back', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'HIS-02', '07-kn-410.json');
  await openStation(page, id, 'place');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  const ambient = page.getByLabel('Ambient at the motor');
  const was = await ambient.inputValue();
  await ambient.fill('55 °C');
  await page.getByLabel('Altitude').fill('900 m');
  await page.getByRole('button', { name: 'Undo Altitude' }).click();
  await page.getByRole('button', { name: 'Undo Ambient at the motor' }).click();
  await expect(ambient).toHaveValue(was);
  await page.getByRole('button', { name: 'Redo Ambient at the motor' }).click();
  await expect(ambient).toHaveValue('55 °C');
});

test('what two people changed is put together, and what both changed is asked', async ({
  page,
  request,
  browser,
  baseURL,
}) => {
  const { id, study } = await ownPosition(request, 'HIS-03', '07-kn-410.json');
  const effort = await counted(page);
  const context = await browser.newContext({ baseURL });
  const other = await context.newPage();
  await openStation(page, id, 'place');
  await openStation(other, id, 'place');
  await other.getByLabel('Ambient at the motor').fill('48 °C');
  await other.getByLabel('Altitude').fill('1200 m');
  await other.keyboard.press('Control+s');
  await expect(other.getByTestId('save-state')).toContainText('Saved');

  await page.getByLabel('Altitude').fill('300 m');
  await page.getByLabel('Lowest ambient').fill('5 °C');
  await page.keyboard.press('Control+s');
  const conflict = page.getByTestId('conflict');
  await expect(conflict.getByTestId('disputed')).toContainText('Altitude');
  await expect(conflict.getByTestId('disputed')).not.toContainText('Ambient');
  await conflict.getByRole('radio', { name: '1200 m' }).check();
  await conflict.getByRole('button', { name: 'Put both together and save' }).click();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await expect(page.getByLabel('Ambient at the motor')).toHaveValue('48 °C');
  await expect(page.getByLabel('Altitude')).toHaveValue('1200 m');
  await expect(page.getByLabel('Lowest ambient')).toHaveValue('5 °C');
  const kept: object[] = await (await request.get(`/api/v1/studies/${study}/revisions`)).json();
  expect(kept).toHaveLength(3);
  within(await effort(), 60);
  await context.close();
});

test('what was deleted lies in the trash and comes back whole; a draft is marked on the plant list', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'HIS-04', '07-kn-410.json');
  await openStation(page, id, 'place');
  await page.getByLabel('Ambient at the motor').fill('41 °C');
  await expect(page.getByTestId('save-state')).toContainText('draft kept');
  await page.waitForTimeout(400);
  await page.goto('/?find=HIS-04');
  await awake(page);
  const row = page.getByTestId('position').filter({ hasText: 'HIS-04' });
  await expect(row).toContainText('draft on this machine');
  async function remove(): Promise<void> {
    await openStation(page, id, 'place');
    await page.getByRole('button', { name: 'Delete' }).click();
    await page.getByRole('button', { name: 'Yes, delete' }).click();
    await expect(page.getByTestId('toast')).toContainText('HIS-04 Copy for HIS-04 is in the trash.');
    await expect(row).toHaveCount(0);
  }
  // The list comes late: who brings back at once still ends on it.
  await page.route(/__data\.json/, async (route) => {
    await new Promise((late) => setTimeout(late, 500));
    await route.continue();
  });
  await remove();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByTestId('toast')).toContainText('HIS-04 Copy for HIS-04 is back.');
  await expect(row).toHaveCount(1);
  await page.getByTestId('toast').getByRole('button', { name: 'Close' }).click();
  await expect(page.getByTestId('toast')).toHaveCount(0);
  await remove();
  await page.getByRole('link', { name: /^Trash/ }).click();
  await awake(page);
  await page.getByRole('button', { name: 'Bring back HIS-04' }).click();
  await page.getByRole('link', { name: 'Copy for HIS-04' }).click();
  await expect(page.getByRole('heading', { name: 'Copy for HIS-04' })).toBeVisible();
});

test('what another core answered of the same case is told apart from what people changed', async ({
  page,
  request,
}) => {
  const { id, study } = await ownPosition(request, 'HIS-05', '07-kn-410.json');
  const whole = await (await request.get(`/api/v1/positions/${id}/export`)).json();
  const [first] = whole.studies[0].revisions;
  first.coreVersion = '0.0.9';
  const torque = first.result.figures['load.torque'];
  torque.text = '7 N·m';
  torque.value = 7;
  const again = [id, study, first.id].reduce(
    (text: string, old: string) => text.replaceAll(old, crypto.randomUUID()),
    JSON.stringify(whole),
  );
  const answer = await request.post('/api/v1/positions/import', {
    headers: { 'content-type': 'application/json' },
    data: again,
  });
  expect(answer.status()).toBe(201);
  const brought = (await answer.json()).id;
  await openStation(page, brought, 'load');
  const ledger = page.getByRole('complementary', { name: 'Ledger' });
  await ledger.getByRole('button', { name: 'Saved with core 0.0.9; this one answers otherwise' }).click();
  await expect(ledger).toContainText('7 N·m →');
  await page.getByRole('link', { name: 'History' }).click();
  const program = page.getByTestId('program');
  await expect(program).toContainText('by core 0.0.9 then');
  await expect(program).toContainText('7 N·m');
  await expect(page.getByTestId('differs')).toContainText('The same was given in both');
  await expect(page.getByTestId('differs')).not.toContainText('7 N·m');
});

test('a page carries its case, and what it answers is solved again: none weighs 60 kB', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'HIS-06', '07-kn-410.json');
  for (const station of [...stations, 'history'])
    expect((await (await request.get(`/positions/${id}/${station}`)).body()).length, station).toBeLessThan(60_000);
  // Until the worker has answered the page says so, with the stations and the choice as they were saved.
  await page.route('**/api/v1/plants/*/shelf', async (route) => {
    await new Promise((done) => setTimeout(done, 1500));
    await route.continue();
  });
  await page.goto(`/positions/${id}/choice`);
  await expect(page.getByText('Solving what was saved …')).toBeVisible();
  await expect(page.getByTestId('standing-choice')).toContainText('30 hp');
  await expect(page.getByTestId('key-guard')).toContainText('dial');
  await expect(page.getByRole('heading', { name: 'Standing choice' })).toBeVisible();
});
