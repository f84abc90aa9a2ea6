import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { counted, within } from './count';
import { awake } from './helpers';

test('a list of 200 becomes positions: three bad rows told by line, one answer for all rows, then all of them at once', async ({
  page,
  request,
}) => {
  const row = (i: number): string => `L-${i},Conveyor ${i},${5.5},400,11.4,1450,50,conveyor`;
  const rows = Array.from({ length: 200 }, (_, i) => {
    if (i === 10) return row(11).replace('5.5', 'plenty');
    if (i === 99) return row(99);
    return i === 150 ? row(151).replace(',conveyor', ',perpetuum mobile') : row(i + 1);
  });
  const file = ['Tag,Description,kW,Volts,Amps,RPM,Hz,Machine', ...rows].join('\n');

  const effort = await counted(page);
  await page.goto('/');
  await awake(page);
  await page.getByRole('link', { name: 'Bring in a list' }).click();
  await page.getByTestId('list').setInputFiles({ name: 'plant.csv', mimeType: 'text/csv', buffer: Buffer.from(file) });
  const told = page.getByTestId('list-told');
  await expect(told).toContainText('No column is Area');
  await told.getByLabel('Area (needed)').selectOption('the same for all');
  await told.getByLabel('Area, the same for all').fill('List hall');
  await page.keyboard.press('Tab');
  await expect(told).toContainText('197 can be taken, 3 cannot');
  const errors = page.getByTestId('list-errors');
  await expect(errors).toContainText('line 12, kW');
  await expect(errors).toContainText('line 101, Tag: “L-99” stands twice in the list');
  await expect(errors).toContainText('line 152, Machine');
  await told.getByRole('button', { name: 'Make 197 positions' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await expect(page.getByRole('status')).toContainText('197 positions were made of plant.csv', { timeout: 90_000 });
  within(await effort(), 60);
  const listed: { tag: string; area: string; choice: string | null }[] = await (
    await request.get('/api/v1/positions')
  ).json();
  const made = listed.filter((p) => p.area === 'List hall');
  expect(made).toHaveLength(197);
  expect(made.every((p) => p.choice !== null)).toBe(true);

  // A second time, every row that was taken is a position already.
  const again = await request.post(`/api/v1/plants/${await plantId(request)}/positions/import?constants={"area":"x"}`, {
    headers: { 'content-type': 'text/csv' },
    data: file,
  });
  expect(await again.json()).toMatchObject({ good: 0, bad: 200 });

  await page.goto('/');
  await awake(page);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'CSV', exact: true }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\n')[0]).toContain('Tag,Name,Area,Machine,Practice,Supply voltage');
  expect(text).toContain('L-200,Conveyor 200,List hall,conveyor,iec');
  // A large plant comes a page at a time, found and sorted where it lies.
  await page.goto('/?find=list%20hall&by=tag');
  const positions = page.getByTestId('position');
  await expect(positions).toHaveCount(120);
  await expect(page.getByText('120 of 197 are shown.')).toBeVisible();
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(positions).toHaveCount(197);
  await expect(page.getByRole('button', { name: 'Show more' })).toHaveCount(0);
  await expect(positions.last()).toContainText('L-200');
  await page.getByRole('button', { name: 'Tag' }).click();
  await expect(positions.first()).toContainText('L-200');
  const book = await request.get('/api/v1/positions?as=xlsx');
  expect((await book.body()).subarray(0, 2).toString()).toBe('PK');
  for (const p of listed.filter((x) => x.area === 'List hall')) await remove(request, p);
});

async function plantId(request: import('@playwright/test').APIRequestContext): Promise<string> {
  const [plant]: { id: string }[] = await (await request.get('/api/v1/plants')).json();
  return plant?.id ?? '';
}
async function remove(request: import('@playwright/test').APIRequestContext, p: object): Promise<void> {
  const { id, version } = { id: '', version: 1, ...p };
  await request.delete(`/api/v1/positions/${id}`, { headers: { 'if-match': `"${version}"` } });
}
