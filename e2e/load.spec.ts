import { expect, test, type Page } from '@playwright/test';
import { openStation, ownPosition } from './helpers';

/** Presses keys as an engineer would, and counts them and the fields filled. */
class Hands {
  keys = 0;
  fields = 0;
  constructor(private readonly page: Page) {}
  async press(key: string): Promise<void> {
    this.keys++;
    await this.page.keyboard.press(key);
  }
  /** Tab until the focus stands on what a selector names. */
  async to(selector: string, most = 40): Promise<void> {
    for (let i = 0; i < most; i++) {
      if (await this.page.evaluate((s) => document.activeElement?.matches(s) ?? false, selector)) return;
      await this.press('Tab');
    }
    throw new Error(`not reached by ${most} Tabs: ${selector}`);
  }
  async field(path: string, text: string): Promise<void> {
    await this.to(`[data-path="${path}"]`);
    await this.page.keyboard.type(text);
    this.keys += text.length;
    this.fields++;
  }
  /**
   * Seconds by the keystroke-level model: 0.28 s a key for an average typist, 1.35 s of thought a field (Card, Moran
   * and Newell 1980).
   */
  get seconds(): number {
    return this.keys * 0.28 + this.fields * 1.35;
  }
}

test('from a spring scale to a compared, explained choice by keys alone, in under two minutes', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'L-1', '10-ut-590.json');
  await openStation(page, id, 'plate');
  const hands = new Hands(page);
  await page.locator('body').focus();
  await hands.press('Alt+1');
  await hands.to('[data-path="supply.voltage"]', 60);
  await hands.field('supply.voltage', '480 V');
  await hands.field('supply.frequency', '60 Hz');
  await hands.field('practice', 'N');
  await hands.press('Alt+2');
  await page.waitForURL(/load$/);
  await hands.to('[data-path="load.machine"]', 60);
  await hands.field('load.machine', 'screw');
  await hands.field('load.demand.kind', 'pull');
  await hands.field('load.demand.force', '160 lbf');
  await hands.field('load.demand.radius', '1.25 ft');
  await hands.field('load.demand.speed', '70 rpm');
  await hands.field('load.train.kind', 'gear');
  await hands.field('load.train.ratio', '25');
  await expect(page.locator('main [data-figure="load.motorPower"]')).toBeVisible();
  await hands.press('Alt+3');
  await page.waitForURL(/place$/);
  await hands.to('[data-path="place.ambient"]', 60);
  await hands.field('place.ambient', '95 degF');
  await hands.field('place.dirt', 'dusty');
  await hands.field('place.water', 'dry');
  await hands.press('Alt+5');
  await page.waitForURL(/choice$/);
  await expect(page.getByTestId('choice')).toContainText('5 hp 4-pole');
  const why = page.getByTestId('why');
  await expect(why).toContainText('First of');
  await expect(why).toContainText('Not the next size down');
  await hands.to('[data-path="rules.ranking"]', 80);
  await hands.to('[data-testid=candidate] [aria-label^="Compare "]', 60);
  await hands.press('Enter');
  await hands.press('Tab');
  await hands.to('[data-testid=candidate] [aria-label^="Compare "][aria-pressed=false]', 12);
  await hands.press('Enter');
  const table = page.getByTestId('compared');
  await expect(table.locator('thead th')).toHaveCount(3);
  await expect(table).toContainText('Life-cycle cost');
  console.log(`${hands.keys} keys, ${hands.fields} fields, ${hands.seconds.toFixed(0)} s by the keystroke-level model`);
  expect(hands.fields).toBeLessThanOrEqual(13);
  expect(hands.seconds).toBeLessThan(120);
});

test('the running motor tells its load by power, current and speed, and where they disagree', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'L-2', '05-ge-310.json');
  await openStation(page, id, 'load');
  await page.getByLabel('How the load is known').selectOption('read at the running motor');
  await expect(page.locator('[data-drawing=measured]')).toBeVisible();
  await page.getByLabel('Input power').fill('20.9 kW');
  await page.getByLabel('Current', { exact: true }).fill('37 A');
  await page.getByLabel('Voltage at the terminals').fill('402 V');
  await expect(page.locator('main [data-figure="load.shareByPower"]')).toBeVisible();
  await expect(page.getByTestId('findings')).toContainText('agree within their uncertainty');
  await page.getByLabel('Current', { exact: true }).fill('52 A');
  await expect(page.getByTestId('findings')).toContainText('The ways of reading the load disagree');
});

test('every way of knowing a load has its drawing and fields, and wrong units are told at the field', async ({
  page,
  request,
}) => {
  const { id } = await ownPosition(request, 'L-3', '01-in-110.json');
  await openStation(page, id, 'load');
  const known = page.getByLabel('How the load is known');
  for (const [words, drawing, field] of [
    ['power is known', 'power', 'Power at the driven shaft'],
    ['torque is known', 'torque', 'Measured'],
    ['pump: flow and head', 'pump', 'Static part of it'],
    ['fan: flow and pressure', 'fan', 'Gas temperature'],
    ['conveyor: material moved', 'screw', 'Progress resistance'],
    ['hoist: mass and speed', 'hoist', 'Rope speed'],
  ] as const) {
    await known.selectOption(words);
    await expect(page.locator(`[data-drawing=${drawing}]`)).toBeVisible();
    await expect(page.getByLabel(field)).toBeVisible();
  }
  await page.getByLabel('Mass').fill('3 m');
  await expect(page.locator('#f-load-demand-mass-note')).toContainText('is a unit of length');
});

test('a torque curve is drawn by keys, a train built of stages, a duty cycle typed', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'L-4', '01-in-110.json');
  await openStation(page, id, 'load');
  await page.getByRole('button', { name: 'Draw my own curve' }).click();
  const first = page.getByRole('slider', { name: 'Point 1 of the torque curve' });
  await expect(first).toHaveAttribute('aria-valuenow', '100');
  await first.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(first).toHaveAttribute('aria-valuenow', '60');
  await page.getByRole('button', { name: 'Back to the usual' }).click();
  await expect(first).toBeHidden();
  // What was given for the whole train becomes its first stage.
  await page.getByRole('button', { name: 'Two or three stages' }).click();
  await expect(page.locator('[data-path="load.train.stages[0].ratio"]')).toHaveValue('25');
  await page.getByRole('button', { name: 'Add a stage' }).click();
  await page.locator('[data-path="load.train.stages[1].ratio"]').fill('2');
  await expect(page.locator('main [data-figure="load.ratio"]')).toContainText('50');
  await page.getByRole('button', { name: 'Add a stage' }).click();
  await expect(page.getByRole('button', { name: 'Add a stage' })).toBeHidden();
  await page.getByRole('tab', { name: 'Duty cycle' }).click();
  await page.getByRole('button', { name: 'Add a stretch' }).click();
  await page.locator('[data-path="load.cycle[0].duration"]').fill('20 s');
  await page.getByRole('button', { name: 'Add a stretch' }).click();
  await page.getByLabel('The motor', { exact: true }).nth(1).selectOption('stands still');
  await expect(page.locator('[data-fact="load.duty"]')).toContainText('S3 25 %');
});

test('the place says which enclosure will do, and why not the others', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'L-5', '01-in-110.json');
  await openStation(page, id, 'place');
  const table = page.getByTestId('enclosures');
  await expect(table.getByRole('row', { name: /ODP/ })).toContainText('drawn through the winding');
  await page.getByLabel('Touches food').selectOption('yes');
  await expect(table.getByRole('row', { name: /washdown/ }).first()).toContainText('the cheapest that will do');
  await page.getByLabel('Noise allowed at the motor').fill('loud');
  await expect(page.getByText('80 dB').first()).toBeVisible();
});

test('the year is drawn by keys, and a logger’s file becomes its hours', async ({ page, request }) => {
  const { id } = await ownPosition(request, 'L-6', '07-kn-410.json');
  await openStation(page, id, 'speed');
  const bar = page.getByRole('slider', { name: 'At 60 % flow' });
  await bar.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect(bar).toHaveAttribute('aria-valuenow', '500');
  await expect(page.locator('main [data-figure="speed.hours"]')).toContainText('7500');
  await page.getByTestId('log').setInputFiles('demo/logs/kiln-fan-flow.csv');
  const told = page.getByTestId('log-told');
  await expect(told).toContainText('1 gap of 1.0 days');
  await page.getByLabel('Value at the demand’s flow').fill('42000');
  await expect(told).toContainText('full value 42000');
  await told.getByRole('button', { name: 'Take these hours' }).click();
  await expect(page.getByText('Taken from kiln-fan-flow.csv: 3 rows.')).toBeVisible();
  await expect(page.locator('[data-path="speed.profile[0].flow"]')).toHaveValue('0.5');
  await page.getByTestId('log').setInputFiles({ name: 'no.csv', mimeType: 'text/csv', buffer: Buffer.from('only\n1') });
  await expect(told).toContainText('two columns');
});
