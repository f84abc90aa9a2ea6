import { readFile } from 'node:fs/promises';
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

test('a failed motor, from plate to a part list', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'G-3', '04-st-230.json');
  await openStation(page, id, 'guard');
  const line = page.getByRole('group', { name: 'The line, from supply to machine' });
  await expect(line).toContainText('contactor');
  await expect(line).toContainText('breaks 9000 A at least');
  await line.getByRole('button', { name: /^conductors/ }).press('Enter');
  await expect(page.getByTestId('working')).toContainText('6 AWG');
  await page.keyboard.press('Escape');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the line as SVG' }).click();
  const drawing = await readFile(await (await file).path(), 'utf8');
  expect(drawing).toContain('conductors');
  expect(drawing).not.toContain('var(--');

  await page.getByLabel('Restart after a trip or a dip').selectOption('by hand');
  await page.getByTestId('key-sheet').click();
  await page.getByRole('tab', { name: 'Circuit' }).click();
  const parts = page.getByTestId('parts');
  await expect(parts).toContainText('6 AWG');
  await expect(parts).toContainText('overload relay');
  await expect(parts).toContainText('dial 46.8 A');
  await expect(page.getByTestId('watches')).toContainText('by hand');
});

test('a combination of type 2 is found, and at a higher fault current none: it says what to ask for', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'G-4', '04-st-230.json');
  await openStation(page, id, 'guard');
  const findings = page.getByRole('list', { name: 'Findings' });
  const found = page.getByTestId('combination');
  await page.getByLabel('What hangs on it').selectOption('a process that must be back at once');
  await expect(found.locator('tbody tr').first()).toContainText('2, taken');
  await expect(page.locator('main')).toContainText('From type 1 to type 2: contactor');

  await page.getByTestId('key-start').click();
  await page.getByLabel('Fed by').selectOption('known fault current');
  await page.locator(`[data-path="supply.source.current"]`).fill('150 kA');
  await page.getByTestId('key-guard').click();
  await expect(findings).toContainText('No combination of type 2 is known here beyond 100 kA');
  await expect(findings).toContainText('Ask a panel builder for one tested together: type 2 by UL 60947-4-1');
});

test('the dial is moved by keys, the chart’s words follow, and beyond the limit it is refused with the reason', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'G-5', '04-st-230.json');
  await openStation(page, id, 'guard');
  const dial = page.getByTestId('dial');
  const set = page.getByLabel('Dial, as set');
  await dial.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(set).not.toHaveValue('');
  const lower = Number.parseFloat(await set.inputValue());
  expect(lower).toBeLessThan(46.8);
  await expect(page.getByTestId('key-guard')).toContainText(`dial ${lower} A`);
  await page.keyboard.press('End');
  await expect(page.getByTestId('dial-refused')).toContainText('At most 52.4 A');
  await expect(set).toHaveValue(/^52\.4/);
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(
    'only where the motor cannot otherwise start',
  );
  await page.keyboard.press('Home');
  await expect(page.getByTestId('dial-refused')).toHaveText('');
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('trips under its own load');
  // What nobody may set is said where it is typed as well, and is not lost.
  await set.fill('80 A');
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('at most 52.4 A may be dialled');
  await expect(set).toHaveValue('80 A');
  const trips = page.locator('[data-crossing="trips-before-stall"]');
  await expect(trips).toContainText('Held at standstill');
});

test('a panel builder’s table is brought in, errors by line and column, and stands instead of the invented one', async ({
  page,
  request,
}) => {
  const { id, plant } = await ownPosition(request, 'G-6', '04-st-230.json', 'Builder works');
  await page.goto(`/shelf?plant=${plant}`);
  await awake(page);
  const csv = [
    'Standard,Voltage,SCCR (kA),Type,Device,Contactor,AC-3,Relay,Dial from,Dial to,Class',
    'UL 60947-4-1,480,65,2,inverse-time breaker 90 A,contactor 80 A,80,relay 40-60 A,40,60,10 20 30',
    'UL 60947-4-1,480,65,5,inverse-time breaker 90 A,contactor 80 A,80,relay 40-60 A,40,60,10',
  ].join('\n');
  await page
    .getByTestId('combination-list')
    .setInputFiles({ name: 'builder.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByTestId('list-errors')).toContainText('line 3, Type: “5” is neither type 1 nor type 2');
  await page.getByRole('button', { name: 'Keep 1 combinations' }).click();
  await expect(page.getByTestId('combination-tables')).toContainText('builder.csv: 1 combinations');
  await openStation(page, id, 'guard');
  await page.getByLabel('Coordination asked').selectOption('type 2: back in service at once');
  await expect(page.getByTestId('combination')).toContainText('inverse-time breaker 90 A');
  await expect(page.locator('main')).toContainText('builder.csv');
  await page.goto(`/shelf?plant=${plant}`);
  await awake(page);
  await page.getByRole('button', { name: 'Take the own ones away' }).click();
  await expect(page.locator('main')).toContainText('the demonstration table stands, which is invented');
});

test('positions that name one board hang on it together', async ({ page, request }) => {
  const ids: string[] = [];
  let works = '';
  for (const tag of ['G-7', 'G-8']) {
    const { id, plant } = await ownPosition(request, tag, '04-st-230.json', 'Board works');
    ids.push(id);
    works = plant;
    await openStation(page, id, 'guard');
    await page.getByRole('button', { name: 'The board it sits in' }).click();
    await page.getByLabel('Board', { exact: true }).fill('Well MCC');
    await page.getByRole('button', { name: 'Save a revision' }).click();
    await expect(page.getByText(/^Saved/).first()).toBeVisible();
  }
  await page.goto(`/boards?plant=${works}`);
  const board = page.locator('[data-board="Well MCC"]');
  // Two of 40 hp: 1.25 × 52 + 52 A; 150 + 52 A, the next below.
  await expect(board).toContainText('117 A');
  await expect(board).toContainText('200 A');
  await expect(board).toContainText('the bus dips by');
  await page.getByRole('link', { name: 'G-8' }).click();
  await expect(page).toHaveURL(new RegExp(`/positions/${ids[1]}/guard`));
});
