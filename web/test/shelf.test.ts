import { demoCombinations, nameplate, type CaseText } from '@pilgrim/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Sql } from '$lib/server/db/database';
import {
  addToShelf,
  changeOnShelf,
  findPlant,
  plantOfStudy,
  sharedShelf,
  shelfLimit,
  shelfOf,
  takeOffShelf,
} from '$lib/server/shelf/shelf';
import { combinationsOf, dropCombinations, putCombinations } from '$lib/server/shelf/combinations';
import type { KeptShelf } from '$lib/server/solving/worker';
import { example, scratchDatabase, studiesIn } from './scratch';

let sql: Sql;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ sql, drop } = await scratchDatabase());
});
afterAll(() => drop());
const { newStudy, save } = studiesIn(() => sql);

describe('own shelf', () => {
  const spare = (name: string) => ({
    name,
    plate: {
      power: '30 hp',
      voltage: '230/460 V',
      current: '71/35.5 A',
      speed: '1770 rpm',
      frequency: '60 Hz',
      enclosure: 'TEFC',
      serviceFactor: 1.15,
      insulation: 'F' as const,
    },
    quantity: 1,
    place: 'Store 2',
    days: null,
    keptFor: '',
    price: null,
  });
  const plantOf = async (study: string) => {
    const plant = await plantOfStudy(sql, study);
    if (!plant) throw new Error('no plant');
    return plant;
  };

  it('takes a list whole or not at all', async () => {
    const plant = await plantOf((await newStudy()).study);
    const before = await shelfOf(sql, plant.id);
    await expect(addToShelf(sql, plant.id, [spare('good'), spare('x'.repeat(300))])).rejects.toThrow();
    expect(await shelfOf(sql, plant.id)).toEqual(before);
    expect((await findPlant(sql, plant.id))?.shelfVersion).toBe(plant.shelfVersion);
  });
  it('refuses to grow beyond its limit, and says so', async () => {
    const plant = await plantOf((await newStudy()).study);
    const many = Array.from({ length: shelfLimit + 1 }, (_, i) => spare(`many ${i}`));
    await expect(addToShelf(sql, plant.id, many)).rejects.toMatchObject({
      problem: { status: 409, detail: expect.stringContaining('Nothing was taken') },
    });
    expect((await shelfOf(sql, plant.id)).filter((e) => e.name.startsWith('many'))).toEqual([]);
  });
  it('is judged with every revision of its plant, as it is at that time', async () => {
    const { study } = await newStudy();
    const plant = await plantOf(study);
    const [id] = await addToShelf(sql, plant.id, [spare('Spare for the test fan')]);
    const place = { ...example.place, cable: { length: '5 m' } };
    const shelfCase: CaseText = {
      ...example,
      place,
      rules: { ranking: 'shelf' },
      history: undefined,
      plate: undefined,
    };
    const first = await save(study, null, shelfCase);
    if (!first.ok) throw new Error('not saved');
    expect(first.revision.result.choice?.motor).toMatchObject({ id, stock: { place: 'Store 2' } });
    const now = async (): Promise<number> => (await plantOf(study)).shelfVersion;
    expect(await changeOnShelf(sql, id ?? '', (await now()) - 1, { quantity: 0 })).toBe('outdated');
    expect(await changeOnShelf(sql, id ?? '', await now(), { quantity: 0 })).toBe('done');
    // A spare of another position, and a quote: what is left out of a change stays.
    const change = { quantity: 0, keptFor: 'ST-1', days: 12 };
    expect(await changeOnShelf(sql, id ?? '', await now(), change)).toBe('done');
    expect(await changeOnShelf(sql, id ?? '', await now(), { place: 'quoted' })).toBe('done');
    // As the solving threads read it, which keep a shelf as long as its version stands.
    const motors = async (own: readonly string[] = []) => {
      const { json } = await sharedShelf(sql, await plantOf(study));
      const shelf: KeptShelf = JSON.parse(Buffer.from(json).toString('utf8'));
      return nameplate.spareOf(nameplate.shelfMotors(shelf.motors, 'north-america').motors, own);
    };
    const there = async (own: readonly string[]) => (await motors(own)).find((m) => m.id === id)?.stock;
    expect(await there([])).toMatchObject({ ...change, place: 'quoted' });
    expect(await there(['st-1', 'Pump'])).toMatchObject({ keptFor: '' });
    expect(await changeOnShelf(sql, id ?? '', await now(), { days: null, keptFor: '' })).toBe('done');
    expect(await there([])).toMatchObject({ days: null, keptFor: '' });
    const second = await save(study, first.revision.id, shelfCase);
    if (!second.ok) throw new Error('not saved');
    expect(second.revision.result.choice?.motor.id).not.toBe(id);
    expect(await takeOffShelf(sql, id ?? '', await now())).toBe('done');
    expect(await takeOffShelf(sql, id ?? '', await now())).toBe('missing');
    expect((await motors()).map((m) => m.id)).not.toContain(id);
  });
  it('own tables of combinations stand under their files’ names until they are taken away', async () => {
    const { study } = await newStudy();
    const plant = await plantOf(study);
    const [first] = demoCombinations();
    if (!first) throw new Error('no demonstration table');
    const { table: _, ...row } = first;
    await putCombinations(sql, plant.id, 'builder.csv', [row, row]);
    await putCombinations(sql, plant.id, 'builder.csv', [{ ...row, price: 7 }]);
    const { json } = await sharedShelf(sql, await plantOf(study));
    const { combinations }: KeptShelf = JSON.parse(Buffer.from(json).toString('utf8'));
    expect(combinations).toEqual([{ ...row, table: 'builder.csv', price: 7 }]);
    const { shelfVersion } = await plantOf(study);
    expect(await dropCombinations(sql, plant.id, shelfVersion - 1)).toBe('outdated');
    expect(await dropCombinations(sql, plant.id, shelfVersion)).toBe('done');
    expect(await combinationsOf(sql, plant.id)).toEqual([]);
    expect((await plantOf(study)).shelfVersion).toBeGreaterThan(plant.shelfVersion);
  });
});
