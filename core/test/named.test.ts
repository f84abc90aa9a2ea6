import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { figureTable, findingIds, startFigureTable } from '../src/contract';

/** Every other test of core, as text. */
const here = new URL('.', import.meta.url);
const texts = readdirSync(here)
  .filter((name) => name.endsWith('.test.ts') && name !== 'named.test.ts')
  .map((name) => readFileSync(new URL(name, here), 'utf8'))
  .join('\n');
/** Named whole, or by what stands behind its station where a test's helper puts that before it. */
const isNamed = (id: string): boolean => texts.includes(id) || texts.includes(`'${id.slice(id.indexOf('.') + 1)}'`);

describe('nothing is told that no test asks for', () => {
  it.each(findingIds)('finding %s', (id) => expect(isNamed(id)).toBe(true));
  it.each(Object.keys(figureTable))('figure %s', (id) => expect(isNamed(id)).toBe(true));
  it.each(Object.keys(startFigureTable))('figure start.METHOD.%s', (kind) => expect(texts).toContain(kind));
});
