import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { openStation, ownPosition } from './helpers';

const stamped = (page: Page, key: string) => page.locator(`#p-plate-${key.replace(/\W/g, '-')}`);

/** A JPEG such as a camera makes: a real picture with an EXIF block that says where it was taken. */
async function cameraPicture(page: Page): Promise<Buffer> {
  const picture = await page.screenshot({ type: 'jpeg', clip: { x: 0, y: 0, width: 300, height: 200 } });
  const place = Buffer.from('\xff\xe1\x00\x14Exif\0\0GPS 51.5 N', 'latin1');
  place.writeUInt16BE(place.length - 2, 2);
  return Buffer.concat([picture.subarray(0, 2), place, picture.subarray(2)]);
}

test('text is pasted, read into fields with its words, corrected, and what was not understood stays in sight', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'P-1', '10-ut-590.json');
  await openStation(page, id, 'plate');
  await page.getByRole('button', { name: 'Paste the plate' }).click();
  await page
    .getByLabel('Text from an e-mail')
    .fill(
      'hello, HP 30 VOLTS 208-230/460\nAMPS 97-72/36 RPM 1770 HZ 60 FR 286T\nENCL TEFC SF 1.15 CODE G NOM EFF 93.6',
    );
  await page.getByRole('button', { name: 'Read into the plate' }).click();
  await expect(stamped(page, 'power')).toHaveValue('30 hp');
  await expect(stamped(page, 'voltage')).toHaveValue('208-230/460 V');
  await expect(stamped(page, 'efficiency')).toHaveValue('0.936');
  await expect(page.getByText('“FR 286T”')).toBeVisible();
  await expect(page.getByTestId('plate-text').locator('mark')).toHaveText(['hello']);
  // 97 A at 208 V is found, named and put right by one press.
  const doubts = page.getByTestId('doubts');
  await expect(doubts).toContainText('79 read as 97 (digits swapped)');
  await doubts.getByRole('button', { name: 'Plate full-load current: 79-72/36 A' }).click();
  await expect(stamped(page, 'current')).toHaveValue('79-72/36 A');
  await expect(doubts).toBeHidden();
  // One undo takes the whole reading back, after the correction.
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stamped(page, 'power')).toHaveValue('');
});

test('the text never overwrites what stands; it offers', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'P-2', '01-in-110.json');
  await openStation(page, id, 'plate');
  await page.getByRole('button', { name: 'Paste the plate' }).click();
  await page.getByLabel('Text from an e-mail').fill('RPM 1745 HP 5');
  await page.getByRole('button', { name: 'Read into the plate' }).click();
  const other = page.getByRole('list', { name: 'The text says otherwise' });
  await expect(other).toContainText('“1750 rpm” stands');
  await expect(stamped(page, 'speed')).toHaveValue('1750 rpm');
  await other.getByRole('button', { name: 'Take 1745 rpm' }).click();
  await expect(stamped(page, 'speed')).toHaveValue('1745 rpm');
  await expect(other).toBeHidden();
});

test('a doubt is accepted with a reason, stays on the sheet, and is back when its value changes', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'P-3', '01-in-110.json');
  await openStation(page, id, 'plate');
  await stamped(page, 'current').fill('13.2/8.8 A');
  const doubts = page.getByTestId('doubts');
  await expect(doubts).toContainText('one motor takes the same on every connection');
  const doubt = doubts.getByRole('listitem').filter({ hasText: 'same on every connection' });
  await doubt.getByLabel('Why it may stand').fill('Both measured at the terminals');
  await doubt.getByRole('button', { name: 'Let it stand' }).click();
  await expect(doubt).toContainText('Let stand: Both measured at the terminals');
  await page.keyboard.press('Alt+0');
  await expect(page.getByTestId('sheet')).toContainText('Let stand: Both measured at the terminals');
  await page.keyboard.press('Alt+1');
  await stamped(page, 'current').fill('13.2/9.9 A');
  await expect(doubts.getByLabel('Why it may stand').first()).toBeVisible();
  await expect(doubts).not.toContainText('Let stand');
});

test('a photograph is made smaller, kept without metadata, and read beside the plate; it survives a reload', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'P-4', '01-in-110.json');
  await openStation(page, id, 'plate');
  await page
    .getByTestId('photograph')
    .setInputFiles({ name: 'plate.jpg', mimeType: 'image/jpeg', buffer: await cameraPicture(page) });
  await expect(page.getByText('plate.jpg is kept.')).toBeVisible();
  const viewer = page.getByRole('region', { name: /Photograph plate\.jpg/ });
  const picture = viewer.getByRole('img');
  await expect.poll(() => picture.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(300);
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await expect(viewer).toHaveAttribute('data-zoom', '1.5');
  await page.getByRole('button', { name: 'Turn right' }).click();
  await expect(picture).toHaveAttribute('style', /rotate\(90deg\)/);
  await page.getByLabel('Contrast').fill('2');
  await expect(picture).toHaveAttribute('style', /contrast\(2\)/);
  const kept = await request.get((await picture.getAttribute('src')) ?? '');
  expect(kept.headers()['content-type']).toBe('image/jpeg');
  expect((await kept.body()).includes('GPS')).toBe(false);
  await page.reload();
  await expect(viewer).toBeVisible();
  await page.getByRole('button', { name: 'Remove this photograph' }).click();
  await expect(viewer).toBeHidden();
});

test('what is no picture is refused where it was offered; the server strips what a script sends', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'P-5', '01-in-110.json');
  await openStation(page, id, 'plate');
  const offer = page.getByTestId('photograph');
  await offer.setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('hello') });
  await expect(page.getByText('note.txt is no JPEG, PNG or WebP picture')).toBeVisible();
  await offer.setInputFiles({ name: 'half.jpg', mimeType: 'image/jpeg', buffer: Buffer.from([0xff, 0xd8, 0xff]) });
  await expect(page.getByText('half.jpg cannot be read as a picture')).toBeVisible();
  const address = `/api/v1/positions/${id}/photographs?name=script.jpg`;
  const sent = await request.post(address, {
    headers: { 'content-type': 'image/jpeg' },
    data: await cameraPicture(page),
  });
  expect(sent.status()).toBe(201);
  const made: { id: string } = await sent.json();
  expect((await (await request.get(`/api/v1/photographs/${made.id}`)).body()).includes('GPS')).toBe(false);
  expect((await request.delete(`/api/v1/photographs/${made.id}`)).status()).toBe(428);
  expect((await request.post(address, { data: 'hello', headers: { 'content-type': 'image/png' } })).status()).toBe(415);
  const huge = await request.post(address, {
    data: Buffer.alloc(13 * 1024 * 1024),
    headers: { 'content-type': 'image/png' },
  });
  expect(huge.status()).toBe(413);
  expect(huge.headers()['content-type']).toContain('application/problem+json');
});

test('two plates are compared line by line, and the faster one is told', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'P-6', '05-ge-310.json');
  await openStation(page, id, 'plate');
  await page.getByRole('tab', { name: 'Replacement' }).click();
  await page.getByLabel('Old motor against', { exact: true }).selectOption('a second plate');
  await page
    .locator('[id="replacement.plate-text"]')
    .fill('30 kW 400/690 V 53/30,7 A 1485 min⁻¹ 50 Hz 225M IP55 IE4 94,9 %');
  await page.getByRole('button', { name: 'Read into the plate' }).last().click();
  const table = page.getByTestId('replacement');
  await expect(table.getByRole('row', { name: /shaft height/ })).toContainText('225 mm');
  await expect(table.getByRole('row', { name: /shaft height/ })).toHaveAttribute('data-likeness', 'adaptable');
  await expect(table.getByRole('row', { name: /efficiency/ })).toHaveAttribute('data-likeness', 'better');
  await expect(page.locator('main [data-figure="replacement.newSpeed"]')).toBeVisible();
  await page.getByLabel('Old motor against', { exact: true }).selectOption({ index: 0 });
  await expect(page.getByTestId('likeness')).toContainText('30 kW 4-pole');
});

test('a failure is recorded and becomes a requirement of the choice', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'P-7', '05-ge-310.json');
  await openStation(page, id, 'plate');
  await page.getByRole('tab', { name: 'Why it failed' }).click();
  await page.getByRole('button', { name: 'fluted race' }).click();
  await page.getByLabel('It was started by').selectOption('drive');
  await expect(page.getByTestId('causes')).toContainText('Currents through the bearings');
  await expect(page.getByTestId('lessons')).toContainText('history shaft current');
  await page.keyboard.press('Alt+5');
  await page.getByTestId('candidate').first().getByRole('button').first().click();
  await expect(page.getByTestId('candidate').first().locator('xpath=following-sibling::tr[1]')).toContainText(
    'grounding ring',
  );
  await page.keyboard.press('Alt+1');
  await page.getByRole('tab', { name: 'Why it failed' }).click();
  await page.getByRole('button', { name: 'fluted race' }).click();
  await expect(page.getByTestId('causes')).not.toContainText('Currents through the bearings');
});

test('a burnt plate is measured instead', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'P-8', '10-ut-590.json');
  await openStation(page, id, 'plate');
  await page.getByLabel('The plate is').selectOption('burnt');
  await expect(page.getByTestId('findings')).toContainText('the motor was overheated');
  await page.getByLabel('Supply frequency').fill('50 Hz');
  await page.getByLabel('Shaft height').fill('160 mm');
  await page.getByLabel('Feet, across the shaft').fill('254 mm');
  await page.getByLabel('Feet, along the shaft').fill('254 mm');
  await page.getByLabel('Speed under load').fill('1465 rpm');
  await expect(page.locator('[data-fact="measured.frame"]')).toContainText('160L');
  await expect(page.locator('[data-fact="measured.rating"]')).toContainText('15.0 kW');
  await page
    .getByTestId('doubts')
    .getByRole('button', { name: /plate frame: 160L/i })
    .click();
  await expect(stamped(page, 'frame')).toHaveValue('160L');
});

test('all of it by keys alone', async ({ page, request }) => {
  test.slow();
  const { id } = await ownPosition(request, 'P-9', '05-ge-310.json');
  await openStation(page, id, 'plate');
  const to = async (selector: string): Promise<void> => {
    for (let i = 0; i < 160; i++) {
      if (await page.evaluate((s) => document.activeElement?.matches(s) ?? false, selector)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`not reached by Tab: ${selector}`);
  };
  await to('main .fold-head');
  await page.keyboard.press('Enter');
  await to('#plate-text');
  await page.keyboard.type('DE BRG 6312 ODE BRG 6212 YEAR 2021 WT 240 kg');
  await to('main .push:not([disabled])');
  await page.keyboard.press('Enter');
  await expect(stamped(page, 'bearings.driveEnd')).toHaveValue('6312');
  // A photograph is attached through the file field that Tab reaches.
  await to('[data-testid=photograph]');
  await to('#p-plate-current');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('54.5/13.6 A');
  await expect(page.getByTestId('doubts')).toContainText('same on every connection');
  await to('[data-testid=doubts] input');
  await page.keyboard.type('read twice');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('doubts')).toContainText('Let stand: read twice');
  await to('[role=tab]');
  await page.keyboard.press('ArrowRight');
  await to('.sight');
  await page.keyboard.press('Space');
  await page.getByRole('tab', { name: 'Why it failed' }).press('ArrowRight');
  await to('#against');
  await page.keyboard.press('ArrowDown');
  await to('[id="replacement.plate-text"]');
  await page.keyboard.type('30 kW 400/690 V 53/30.7 A 1485 rpm 50 Hz 200L IP55');
  await to('main .push:not([disabled])');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('replacement')).toContainText('shaft height');
});

test('the plate’s JSON schema is published with its new fields', async ({ request }) => {
  const schema: unknown = await (await request.get('/api/v1/schemas/case')).json();
  const text = JSON.stringify(schema);
  for (const field of [
    'usableAt',
    'temperatureRise',
    'thermalProtection',
    'measured',
    'replacement',
    'accepted',
    'hours',
  ])
    expect(text).toContain(`"${field}"`);
  const demo: { case: object } = JSON.parse(readFileSync('demo/positions/05-ge-310.json', 'utf8'));
  const solved = await request.post('/api/v1/solve', { data: demo.case });
  expect(await solved.json()).toMatchObject({ history: { causes: expect.any(Array) }, facts: expect.any(Array) });
});
