import { expect, test, type APIRequestContext } from '@playwright/test';
import { awake, openStation, ownPosition } from './helpers';

test('all candidates in one table: found, sorted, filtered, opened, laid side by side', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'C-1', '04-st-230.json');
  await openStation(page, id, 'choice');
  const region = page.getByRole('region', { name: 'Candidates' });
  const table = region.getByRole('table');
  await expect(table).toHaveAttribute('aria-rowcount', /9\d\d/);
  // Hundreds of motors, a screenful of rows.
  expect(await page.getByTestId('candidate').count()).toBeLessThan(60);
  await page.getByRole('button', { name: 'Life-cycle' }).click();
  await page.getByRole('checkbox', { name: /^fail/ }).uncheck();
  await page.getByRole('checkbox', { name: /^caution/ }).uncheck();
  await expect(table).toHaveAttribute('aria-rowcount', /^[1-9]\d?$/);
  await page.getByLabel('Find among them').fill('severe duty');
  await expect(page.getByTestId('candidate').first()).toContainText('severe duty');
  await page.getByLabel('Find among them').fill('no such motor');
  await expect(page.getByTestId('no-candidates')).toBeVisible();
  await page.getByLabel('Find among them').fill('');
  // Rejected motors say what would admit them.
  await page.getByRole('checkbox', { name: /^pass/ }).uncheck();
  await page.getByRole('checkbox', { name: /^fail/ }).check();
  await page.getByTestId('candidate').first().getByRole('button').first().click();
  await expect(region).toContainText('It would be admitted with:');
  await page.getByRole('checkbox', { name: /^pass/ }).check();
  for (let i = 0; i < 5; i++) await region.locator('[aria-label^="Compare "]').nth(i).click();
  const compared = page.getByTestId('compared');
  await expect(compared.locator('thead th')).toHaveCount(5);
  await expect(compared.locator('tr[data-differs=true]').first()).toContainText('◆');
  await compared
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(compared.locator('thead th')).toHaveCount(4);
  // Another column.
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('checkbox', { name: 'dB(A)' }).check();
  await expect(table.getByRole('columnheader', { name: 'dB(A)' })).toBeVisible();
});

test('a requirement is left out with a reason, and counted again', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'C-2', '06-ge-340.json');
  await openStation(page, id, 'choice');
  await expect(page.getByTestId('choice')).toContainText('washdown');
  await page.getByRole('tab', { name: 'What is asked' }).click();
  await page.getByRole('button', { name: 'Leave out enclosure' }).click();
  await page.getByLabel('Why it need not hold here').fill('it gets a hood of its own');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('choice')).not.toContainText('washdown');
  await expect(page.getByTestId('requirements')).toContainText('Not counted: it gets a hood of its own.');
  await page.keyboard.press('Alt+0');
  await expect(page.getByTestId('sheet')).toContainText('it gets a hood of its own');
  await page.keyboard.press('Alt+5');
  await page.getByRole('tab', { name: 'What is asked' }).click();
  await page.getByRole('button', { name: 'Count enclosure again' }).click();
  await expect(page.getByTestId('choice')).toContainText('washdown');
});

test('what would change the choice, and the same machine on other poles', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'C-3', '04-st-230.json');
  await openStation(page, id, 'choice');
  await page.getByRole('tab', { name: 'What would change it' }).click();
  await page.getByRole('button', { name: 'What would change it?' }).click();
  const changes = page.getByTestId('changes');
  await expect(changes.getByRole('row', { name: /Ambient/ })).toContainText(/from .*°C.* up: |the same up to/, {
    timeout: 20_000,
  });
  await expect(changes.getByRole('row', { name: /Load/ })).toContainText('up:');
  await page.getByRole('button', { name: 'another number of poles' }).click();
  await expect(page.getByTestId('poles').getByRole('row')).toHaveCount(5);
  await expect(page.getByTestId('poles').getByRole('row', { name: /4 \(now\)/ })).toBeVisible();
});

/** A plant of its own, so that shelves of tests do not meet. */
async function ownPlant(
  request: APIRequestContext,
  plant: string,
): Promise<{ plant: string; position: string; study: string }> {
  const made = await request.post('/api/v1/positions', {
    data: { tag: 'S-1', name: 'Test fan', area: 'Bench', plant },
  });
  const position: { id: string; plantId: string; studyId: string } = await made.json();
  return { plant: position.plantId, position: position.id, study: position.studyId };
}
const fan = {
  format: 'pilgrim.case/1',
  practice: 'north-america',
  supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'stiff' } },
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '20 hp', speed: '1760 rpm' } },
  place: { ambient: '30 degC', altitude: '100 m', dirt: 'dusty', water: 'dry' },
  speed: { need: 'fixed', profile: [{ hours: 4000, flow: 1 }] },
  rules: { ranking: 'shelf' },
} as const;

test('a list is brought in: told first, its bad rows by line, taken when accepted; the choice then knows the shelf', async ({
  page,
  request,
}) => {
  const own = await ownPlant(request, 'Shelf test works');
  await page.goto(`/shelf?plant=${own.plant}`);
  await awake(page);
  await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
  const csv = [
    'Item,HP,Volts,Amps,RPM,Hz,Frame,Encl,SF,Qty,Bin',
    '"Spare, roaster\nfan",25,230/460,62/31,1770,60,284T,TEFC,1.15,1,B4',
    'Broken,ten,460,14,1760,60,215T,TEFC,1.15,1,B5',
    '"=1+1",5,460,6.6,1750,60,184T,TEFC,1.15,1,B6',
    '',
  ].join('\n');
  await page.getByTestId('list').setInputFiles({ name: 'store.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  const told = page.getByTestId('list-told');
  await expect(told).toContainText('3 rows. 1 can be taken, 2 cannot.');
  await expect(page.getByTestId('list-errors')).toContainText('line 4, HP');
  await expect(page.getByTestId('list-errors')).toContainText('line 5, Item: “=1+1” is a formula');
  expect(await (await request.get(`/api/v1/plants/${own.plant}/shelf`)).json()).toEqual([]);
  await told.getByRole('button', { name: 'Put 1 on the shelf' }).click();
  await expect(page.getByTestId('shelf')).toContainText('Spare, roaster');
  await page.getByLabel(/^Where Spare/).fill('Store 9');
  await page.getByLabel(/^Where Spare/).press('Tab');
  await expect(page.getByText(/was changed\./)).toBeVisible();
  // The server judges the shelf as well when a revision is saved.
  const saved = await request.post(`/api/v1/studies/${own.study}/revisions`, {
    headers: { 'if-match': '"none"' },
    data: { case: fan },
  });
  const revision: { result: { choice: { motor: { name: string; stock: { place: string } } } } } = await saved.json();
  expect(revision.result.choice.motor.stock.place).toBe('Store 9');
  await openStation(page, own.position, 'choice');
  await expect(page.getByTestId('choice')).toContainText('Spare, roaster');
  await expect(page.getByTestId('why')).toContainText('own shelf');
  await page.getByRole('checkbox', { name: 'own shelf only' }).check();
  await expect(page.getByTestId('candidate')).toHaveCount(1);
  // The only one kept for another position is told beside the choice, for a person to take; kept for this one, by its
  // tag, it is chosen.
  const kept = page.getByLabel(/^Position whose spare Spare/);
  const openCaution = page.getByText(/Kept as the spare of/).first();
  for (const [position, elsewhere] of [
    ['another position', true],
    ['s-1', false],
  ] as const) {
    await page.goto(`/shelf?plant=${own.plant}`);
    await awake(page);
    await kept.fill(position);
    await kept.press('Tab');
    await expect(page.getByText(/was changed\./)).toBeVisible();
    await openStation(page, own.position, 'choice');
    const choice = expect(page.getByTestId('choice'));
    await (elsewhere ? choice.not : choice).toContainText('Spare, roaster');
    await expect(openCaution).toHaveCount(elsewhere ? 1 : 0);
  }
  // What the shelf is written to can be read back.
  const list = await request.get(`/api/v1/plants/${own.plant}/shelf`, { headers: { accept: 'text/csv' } });
  const again = await request.post(`/api/v1/plants/${own.plant}/shelf/import`, {
    headers: { 'content-type': 'text/csv' },
    data: await list.body(),
  });
  expect(await again.json()).toMatchObject({ rows: 1, good: 1, bad: 0, missing: [] });
});

test('a motor is put on the shelf from its plate; an incomplete plate says what is missing', async ({
  page,
  request,
}) => {
  const own = await ownPlant(request, 'Plate shelf works');
  await page.goto(`/shelf?plant=${own.plant}`);
  await awake(page);
  await page.getByLabel('What its plate says').fill('HP 25 VOLTS 230/460 RPM 1770 HZ 60 FR 284T ENCL TEFC');
  await expect(page.getByTestId('shelf-plate')).toContainText('284T');
  await page.getByLabel('Name').fill('Found in the cellar');
  await page.getByLabel('Where it lies').fill('Cellar');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('current is needed to judge the motor')).toBeVisible();
  await page.getByLabel('What its plate says').fill('HP 25 VOLTS 230/460 AMPS 62/31 RPM 1770 HZ 60 FR 284T ENCL TEFC');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByTestId('shelf')).toContainText('Found in the cellar');
  await page.getByRole('button', { name: 'Take Found in the cellar off the shelf' }).click();
  await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
});

test('lists that cannot be read are refused whole, in words', async ({ request }) => {
  const own = await ownPlant(request, 'Refusing works');
  const send = (data: Buffer, query = '') =>
    request.post(`/api/v1/plants/${own.plant}/shelf/import${query}`, { headers: { 'content-type': 'text/csv' }, data });
  const latin = await send(Buffer.concat([Buffer.from('Name,HP\nM'), Buffer.from([0xfc]), Buffer.from('ller,5\n')]));
  expect(latin.status()).toBe(422);
  expect(await latin.json()).toMatchObject({ detail: expect.stringMatching(/line 2.*Nothing was taken/) });
  const columns = await send(Buffer.from('Name,Colour\nA,grey\n'), '?take=good');
  expect(columns.status()).toBe(422);
  expect((await columns.json()).detail).toContain('Power, Voltage, Current, Speed, Frequency');
  expect((await send(Buffer.alloc(26 * 1024 * 1024, 'a'))).status()).toBe(413);
  expect((await send(Buffer.from('a,b'), '?mapping=nonsense')).status()).toBe(400);
  expect(await (await request.get(`/api/v1/plants/${own.plant}/shelf`)).json()).toEqual([]);
});

/** A position with a case of its own, opened on Choice. */
async function withCase(request: APIRequestContext, tag: string, text: object): Promise<string> {
  const made = await request.post('/api/v1/positions', {
    data: { tag, name: `Case ${tag}`, area: 'Test bench', plant: 'Kestrow Maltings' },
  });
  const position: { id: string; studyId: string } = await made.json();
  await request.post(`/api/v1/studies/${position.studyId}/revisions`, {
    headers: { 'if-match': '"none"' },
    data: { case: text, author: 'first' },
  });
  return position.id;
}
const plate = {
  power: '20 hp',
  voltage: '230/460 V',
  current: '50/25 A',
  speed: '1760 rpm',
  frequency: '60 Hz',
  frame: '256T',
  enclosure: 'TEFC',
};
const undescribed = {
  format: 'pilgrim.case/1',
  practice: 'north-america',
  supply: { voltage: '480 V', frequency: '60 Hz', phases: 3 },
};

test('from the plate alone to a buying specification', async ({ page, request }) => {
  const id = await withCase(request, 'C-10', undescribed);
  await openStation(page, id, 'plate');
  await page.getByRole('button', { name: 'Paste the plate' }).click();
  await page.getByLabel('Text from an e-mail').fill('HP 20 VOLTS 230/460 AMPS 50/25 RPM 1760 HZ 60 FR 256T ENCL TEFC');
  await page.getByRole('button', { name: 'Read into the plate' }).click();
  await page.keyboard.press('Alt+5');
  await expect(page.getByTestId('choice')).toContainText('20 hp 4-pole TEFC');
  await page.getByRole('tab', { name: 'Buying specification' }).click();
  const buying = page.getByTestId('buying');
  for (const line of ['Motor', 'Enclosure', 'Frame', 'Starter', 'Papers'])
    await expect(buying.getByRole('row', { name: new RegExp(`^${line}`) })).toBeVisible();
  await expect(buying).toContainText('no load is known');
  await expect(buying.getByRole('row', { name: /^Frame/ })).toContainText('256T');
});

test('an oversized old motor is said first; a condition is closed by giving its input', async ({ page, request }) => {
  const id = await withCase(request, 'C-11', {
    ...undescribed,
    plate: { ...plate, power: '60 hp', current: '140/70 A', frame: '364T' },
    load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '14 hp', speed: '1750 rpm' } },
  });
  await openStation(page, id, 'choice');
  await expect(page.getByTestId('oversize')).toContainText('on a');
  await expect(page.getByTestId('choice')).toContainText('20 hp');
  await expect(page.getByTestId('why')).toContainText('cost the same within');
  const condition = page.getByTestId('condition');
  await expect(condition).toContainText('transformer of');
  await condition.getByRole('button', { name: '→ supply source' }).click();
  await page.getByLabel('Fed by').selectOption('stiff');
  await page.keyboard.press('Alt+5');
  await expect(page.getByTestId('choice')).toContainText('20 hp');
  await expect(page.getByTestId('condition')).toHaveCount(0);
});

test('the field of candidates opens a motor in the table; the choice stands as a picture', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'C-12', '07-kn-410.json');
  await openStation(page, id, 'choice');
  await expect(page.getByTestId('candidate-field').getByRole('img').first()).toHaveAttribute('aria-label', /\d+ pass/);
  await expect(page.getByTestId('choice-picture').getByRole('img').first()).toHaveAttribute(
    'aria-label',
    /meets the load at/,
  );
});

test('the errand orders what is asked; a wasteful motor is compared: keep, drive, replace', async ({
  page,
  request,
}) => {
  const own = await ownPlant(request, 'Errand test works');
  await request.post(`/api/v1/studies/${own.study}/revisions`, {
    headers: { 'if-match': '"none"' },
    data: {
      case: {
        ...fan,
        rules: {},
        plate: {
          power: '25 hp',
          voltage: '230/460 V',
          current: '62/31 A',
          speed: '1760 rpm',
          frequency: '60 Hz',
          frame: '284T',
          enclosure: 'TEFC',
        },
        speed: { need: 'fixed', control: 'outlet-damper', profile: [{ hours: 6000, flow: 0.6 }] },
      },
    },
  });
  await openStation(page, own.position, 'plate');
  await page.getByLabel('Errand').selectOption({ label: 'it runs, but wastes energy' });
  const asked = page.getByTestId('asked');
  await expect(asked).toContainText('1 of 10 asked first still open');
  await asked.getByRole('button', { name: 'Energy price, per kWh' }).click();
  await expect(page.locator('[data-path="money.energyPrice"]')).toBeFocused();
  await page.keyboard.type('0.2');
  await page
    .getByRole('link', { name: /Choice/ })
    .first()
    .click();
  const options = page.getByTestId('options').getByRole('row');
  await expect(options).toHaveCount(5);
  await expect(options.nth(1)).toContainText('keep all');
  await expect(options.nth(2)).toContainText('a drive on the old motor');
});
