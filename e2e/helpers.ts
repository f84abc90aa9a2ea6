import { readFileSync } from 'node:fs';
import type { APIRequestContext, Page } from '@playwright/test';

interface DemoFile {
  readonly case: object | null;
}

export const demoId = (number: string): string => `4180aaaa-0000-4000-8000-0000000000${number}`;

/** A position of its own for one test, with the case of a demo position saved in it. */
export async function ownPosition(
  request: APIRequestContext,
  tag: string,
  demoFile: string,
  plant = 'Kestrow Maltings',
): Promise<{ id: string; study: string; plant: string }> {
  const made = await request.post('/api/v1/positions', {
    data: { tag, name: `Copy for ${tag}`, area: 'Test bench', plant },
  });
  const position: { id: string; studyId: string; plantId: string } = await made.json();
  const demo: DemoFile = JSON.parse(readFileSync(`demo/positions/${demoFile}`, 'utf8'));
  await request.post(`/api/v1/studies/${position.studyId}/revisions`, {
    headers: { 'if-match': '"none"' },
    data: { case: demo.case, author: 'first' },
  });
  return { id: position.id, study: position.studyId, plant: position.plantId };
}

/** Waits until the page answers to keys. */
export const awake = (page: Page): Promise<unknown> => page.waitForSelector('html[data-awake]', { state: 'attached' });

/** Opens a station and waits until the page answers to keys and what was saved has been solved. */
export async function openStation(page: Page, id: string, station: string): Promise<void> {
  await page.goto(`/positions/${id}/${station}`);
  await awake(page);
  await page.waitForSelector('.opening', { state: 'detached' });
}
