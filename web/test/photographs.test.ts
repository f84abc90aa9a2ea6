import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Sql } from '$lib/server/db/database';
import { cleanImage, type CleanImage } from '$lib/server/photographs/image';
import {
  dropPhotograph,
  keepPhotograph,
  photographContent,
  photographsOf,
  photographsPerPosition,
} from '$lib/server/photographs/photographs';
import { exportPosition, importPosition, positionFile } from '$lib/server/exchange/exchange';
import { findPosition, setDeleted } from '$lib/server/positions/positions';
import { folder, scratchDatabase, studiesIn } from './scratch';

let sql: Sql;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ sql, drop } = await scratchDatabase());
});
afterAll(() => drop());
const { newStudy, saved } = studiesIn(() => sql);

describe('photographs', () => {
  const image = (fill: number): CleanImage => ({
    type: 'image/jpeg',
    width: 9,
    height: 6,
    content: Buffer.alloc(40, fill),
  });
  it('are kept with their position, listed without content, read back byte by byte, and removed', async () => {
    const { position } = await newStudy();
    const kept = await keepPhotograph(sql, position, 'plate.jpg', image(7));
    expect(await photographsOf(sql, position)).toMatchObject([
      { id: kept?.id, name: 'plate.jpg', width: 9, height: 6 },
    ]);
    expect((await photographContent(sql, kept?.id ?? ''))?.content.equals(Buffer.alloc(40, 7))).toBe(true);
    expect(await dropPhotograph(sql, kept?.id ?? '')).toBe(true);
    expect(await photographsOf(sql, position)).toEqual([]);
  });
  it('no more than a dozen a position, also when many come at once', async () => {
    const { position } = await newStudy();
    const made = await Promise.all(
      Array.from({ length: 15 }, (_, i) => keepPhotograph(sql, position, `${i}.jpg`, image(i))),
    );
    expect(made.filter((p) => p !== undefined)).toHaveLength(photographsPerPosition);
  });
  it('go out with the position as one file and come back with it', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const bytes = readFileSync(folder('docs/screenshots/plate.png'));
    const clean = cleanImage(bytes);
    if (!clean) throw new Error('no picture');
    await keepPhotograph(sql, position, 'plate.png', clean);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    expect(file.photographs).toHaveLength(1);
    const [kept] = await photographsOf(sql, position);
    await dropPhotograph(sql, kept?.id ?? '');
    const row = await findPosition(sql, position);
    await setDeleted(sql, position, row?.version ?? 0, true);
    expect(await importPosition(sql, file)).toMatchObject({ ok: true });
    expect(await photographsOf(sql, position)).toMatchObject([{ id: kept?.id, name: 'plate.png' }]);
    expect((await photographContent(sql, kept?.id ?? ''))?.content.equals(clean.content)).toBe(true);
  });
  it('a file with something else in a picture’s place is refused whole', async () => {
    const { position, study } = await newStudy();
    await saved(study, null);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    const row = await findPosition(sql, position);
    await setDeleted(sql, position, row?.version ?? 0, true);
    const spoilt = {
      ...file,
      photographs: [{ id: crypto.randomUUID(), name: 'x.jpg', createdAt: new Date().toISOString(), data: 'aGVsbG8=' }],
    };
    expect(await importPosition(sql, spoilt)).toMatchObject({ ok: false, message: expect.stringContaining('x.jpg') });
    expect((await findPosition(sql, position))?.deleted).toBe(true);
  });
});
