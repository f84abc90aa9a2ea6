import { readCase, solveWith, type physics } from '@pilgrim/core';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { Sql } from '$lib/server/db/database';
import { closeDrives, openStandIn, standInOf } from '$lib/server/drives/drives';
import { addressOf } from '$lib/server/drives/polled';
import { meterOrder, recordAsked } from '$lib/server/http/inputs';
import { exportPosition, importPosition, positionFile } from '$lib/server/exchange/exchange';
import { dropLink, keepLink, linksOf } from '$lib/server/meters/links';
import { findMeter, recordMeter, resumeMeters, stopMeter, stopMeters } from '$lib/server/meters/meters';
import { keepReading, kept, loggedOf, recordOf, rollUp } from '$lib/server/meters/records';
import { createPosition, setDeleted } from '$lib/server/positions/positions';
import { scratchDatabase } from './scratch';

const held = vi.hoisted(() => ({ sql: undefined as unknown }));
vi.mock('$lib/server/db/database', async (original) => ({
  ...(await original<object>()),
  database: () => Promise.resolve(held.sql),
}));

let sql: Sql;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ sql, drop } = await scratchDatabase());
  held.sql = sql;
});
afterAll(async () => {
  stopMeters();
  await closeDrives();
  await drop();
});

let tag = 0;
const newPosition = () =>
  createPosition(sql, { tag: `M-${++tag}`, name: 'A blower', area: 'Germination', plant: 'Kestrow Maltings' });
const shows = (power: number): physics.MeterReading => ({
  voltage12: 400,
  voltage23: 401,
  voltage31: 399,
  current1: power / 600,
  current2: power / 610,
  current3: power / 620,
  power,
  apparent: power / 0.9,
  powerFactor: 0.9,
  frequency: 50,
  distortion: 0.4,
  energy: 12,
});
const start = Date.UTC(2026, 5, 1, 8);
const at = (seconds: number): Date => new Date(start + 1000 * seconds);
/** Puts a reading a second from one second to another, of a power by the second. */
async function put(position: string, from: number, to: number, power: (s: number) => number): Promise<void> {
  const rows = Array.from({ length: to - from }, (_, i) => ({
    position_id: position,
    at: at(from + i),
    power: power(from + i),
    current: power(from + i) / 600,
    voltage: 400,
    power_factor: 0.9,
    distortion: 0.4,
    energy: 1,
  }));
  for (let i = 0; i < rows.length; i += 5000) await sql`insert into meter_seconds ${sql(rows.slice(i, i + 5000))}`;
}

describe('a meter’s record', () => {
  it('goes by its hours with the position’s file, onto a machine where nothing of it is', async () => {
    const position = await newPosition();
    await put(position, 0, 5400, (s) => 6000.5 + s / 7);
    await rollUp(sql, at(7200));
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    expect(file.meterHours.map(([hour, seconds]) => [hour, seconds])).toEqual([
      [at(0).toISOString(), 3600],
      [at(3600).toISOString(), 1800],
    ]);
    const there = () => sql`select * from meter_hours where position_id = ${position} order by at`;
    const before = await there();
    await sql`delete from meter_hours where position_id = ${position}`;
    await setDeleted(sql, position, 1, true);
    expect(await importPosition(sql, file)).toEqual({ ok: true, id: position });
    expect(await there()).toEqual(before);
    // Files written before there were meters hold none; a broken hour is refused at its place.
    const { meterHours, ...old } = file;
    expect(positionFile.parse(old).meterHours).toEqual([]);
    const wrong = positionFile.safeParse({ ...old, meterHours: [meterHours[0]?.with(1, 0)] });
    expect(wrong.error?.issues[0]?.path).toEqual(['meterHours', 0, 1]);
  });
  it('keeps a second once, and tells a span with its peaks, gaps and energy', async () => {
    const position = await newPosition();
    const keptAt = (s: number) => keepReading(sql, position, at(s), shows(6000));
    expect([await keptAt(0), await keptAt(0.4), await keptAt(1)]).toEqual([true, false, true]);
    await put(position, 2, 600, (s) => (s === 300 ? 20_000 : 6000));
    await put(position, 700, 1300, () => 3000);
    const record = await recordOf(sql, position, at(0), at(3600), at(3600));
    expect([record.of, record.step]).toEqual(['seconds', 4]);
    expect(record.gaps).toEqual([{ from: at(600).getTime(), to: at(700).getTime() }]);
    expect(Math.max(...record.rows.map((r) => r[3]))).toBe(20_000);
    expect(Math.min(...record.rows.map((r) => r[1]))).toBe(3000);
    // By hand: 599 s at 6 kW, one at 20 kW, 600 s at 3 kW.
    expect(record.energy).toBeCloseTo((599 * 6 + 20 + 600 * 3) / 3600, 6);
  });
  it('rolls up minutes and hours, the same however often it is run, and drops nothing before', async () => {
    const position = await newPosition();
    await put(position, 0, 2 * 3600 + 90, (s) => (s < 3600 ? 4000 : 8000));
    const now = at(2 * 3600 + 90);
    await rollUp(sql, now);
    const tables = async () => [
      await sql`select * from meter_minutes where position_id = ${position} order by at`,
      await sql`select * from meter_hours where position_id = ${position} order by at`,
    ];
    const [minutes, hours] = await tables();
    expect([minutes?.length, hours?.length]).toEqual([121, 2]);
    expect(hours?.map((h) => [h.seconds, h.power_mean, h.energy])).toEqual([
      [3600, 4000, expect.closeTo(4, 9)],
      [3600, 8000, expect.closeTo(8, 9)],
    ]);
    await rollUp(sql, now);
    expect(await tables()).toEqual([minutes, hours]);
    // A minute that was rolled up while the server stopped within it is made whole by the next run.
    await put(position, 2 * 3600 + 90, 2 * 3600 + 240, () => 8000);
    await rollUp(sql, at(2 * 3600 + 240));
    const [after] = await tables();
    expect(after?.at(-1)).toMatchObject({ seconds: 60 });
  });
  it('seconds go after their days and minutes after theirs; hours stay, and the energy with them', async () => {
    const position = await newPosition();
    await put(position, 0, 7200, () => 5000);
    const count = async (table: string) =>
      (await sql`select count(*)::int as n from ${sql(table)} where position_id = ${position}`)[0]?.n as number;
    const counts = async () => [await count('meter_seconds'), await count('meter_minutes'), await count('meter_hours')];
    const days = (n: number, more = 0) => at(86_400 * n + more);
    await rollUp(sql, days(kept.seconds));
    expect(await counts()).toEqual([7200, 120, 2]);
    await rollUp(sql, days(kept.seconds, 3 * 3600));
    expect(await counts()).toEqual([0, 120, 2]);
    await rollUp(sql, days(kept.minutes, 3 * 3600));
    expect(await counts()).toEqual([0, 0, 2]);
    const now = days(kept.minutes + 1);
    const record = await recordOf(sql, position, at(-60), now, now);
    expect([record.of, record.energy]).toEqual(['hours', expect.closeTo(10, 9)]);
  });
  it('a day from minutes: as many stretches as are drawn, the gap where nothing was read', async () => {
    const position = await newPosition();
    await put(position, 0, 3600, () => 1000);
    await put(position, 7200, 20 * 3600, () => 2000);
    await rollUp(sql, at(24 * 3600));
    const record = await recordOf(sql, position, at(0), at(24 * 3600), at(24 * 3600));
    expect(record.of).toBe('minutes');
    expect(record.rows.length).toBeLessThanOrEqual(901);
    expect(record.gaps).toEqual([{ from: at(3600).getTime(), to: at(7200).getTime() }]);
  });
  it('as a logger’s file: minutes where seconds are gone, then seconds', async () => {
    const position = await newPosition();
    await put(position, 0, 120, () => 1500);
    await rollUp(sql, at(300));
    await sql`delete from meter_seconds where position_id = ${position} and at < ${at(60)}`;
    let text = '';
    for await (const part of loggedOf(sql, position, new Date(0))) text += part;
    const lines = text.trim().split('\n');
    expect(lines[0]).toBe('time;power (W);current (A)');
    expect(lines).toHaveLength(1 + 1 + 60);
    expect(lines[1]).toBe('2026-06-01T08:00:00Z;1500;2.5');
    expect(lines.at(-1)).toBe('2026-06-01T08:01:59Z;1500;2.5');
  });
});

describe('a recording over Modbus TCP', () => {
  const reading = readCase({
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: { voltage: '400 V', frequency: '50 Hz' },
    load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '9 kW', speed: '1450 rpm' } },
    speed: { need: 'variable', min: 0.3 },
    method: 'drive',
  });
  const machine = reading.ok ? solveWith(reading.value).driven : null;
  const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
    const end = Date.now() + 15_000;
    while (!(await holds())) {
      if (Date.now() > end) expect.fail('not within 15 s');
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  };

  it('the stand-in’s meter is read once a second and kept, until it ends', async () => {
    if (!machine) expect.fail('nothing to run');
    const position = await newPosition();
    await openStandIn(position, machine);
    const { host, meter } = standInOf(position);
    recordMeter(position, { host, port: meter, unit: 1 }, true);
    await until(() => (findMeter(position)?.kept ?? 0) >= 3);
    const told = findMeter(position);
    expect(told).toMatchObject({ link: 'up', standIn: true });
    expect(told?.last?.voltage12).toBeGreaterThan(380);
    expect(told?.last?.frequency).toBe(50);
    const rows = await sql`select at from meter_seconds where position_id = ${position}`;
    expect(rows.length).toBeGreaterThanOrEqual(3);
    stopMeter(position);
    expect(findMeter(position)).toBeNull();
  });
  it('a meter that is not there is looked for again, and its record is a gap', async () => {
    const position = await newPosition();
    recordMeter(position, addressOf({ address: '127.0.0.1:1', unit: 1 }), false);
    await until(() => findMeter(position)?.link === 'lost');
    expect(findMeter(position)).toMatchObject({ kept: 0, last: null });
    stopMeter(position);
  });
});

describe('a server that starts again', () => {
  const nowhere = addressOf({ address: '127.0.0.1:1', unit: 3 });
  it('goes on with the meters it recorded, but for those that were ended and of positions in the trash', async () => {
    const [kept, ended, deleted] = [await newPosition(), await newPosition(), await newPosition()];
    for (const position of [kept, ended, deleted]) await keepLink(sql, position, nowhere);
    // Another meter of the same position takes the place of the first.
    await keepLink(sql, kept, { ...nowhere, unit: 7 });
    await dropLink(sql, ended);
    await setDeleted(sql, deleted, 1, true);
    expect(await linksOf(sql)).toEqual([{ position: kept, ...nowhere, unit: 7 }]);
    await resumeMeters();
    expect(findMeter(kept)).toMatchObject({ address: '127.0.0.1:1', standIn: false });
    expect([findMeter(ended), findMeter(deleted)]).toEqual([null, null]);
    // What is read already is left as it is.
    const since = findMeter(kept)?.since;
    await resumeMeters();
    expect(findMeter(kept)?.since).toBe(since);
    stopMeters();
    await dropLink(sql, kept);
  });
});

describe('what is asked of a meter', () => {
  it.each([
    [{ do: 'record' }, true],
    [{ do: 'record', address: '10.0.0.6:502' }, true],
    [{ do: 'record', address: 'file:///etc' }, false],
    [{ do: 'stop' }, true],
    [{ do: 'forget' }, false],
  ])('%j: %s', (order, good) => {
    expect(meterOrder.safeParse(order).success).toBe(good);
  });
  it.each([
    [{}, true],
    [{ from: '2026-06-01T00:00:00Z', to: '2026-06-02T00:00:00Z' }, true],
    [{ from: '2026-06-02T00:00:00Z', to: '2026-06-01T00:00:00Z' }, false],
    [{ from: 'yesterday' }, false],
  ])('a span %j: %s', (span, good) => {
    expect(recordAsked.safeParse(span).success).toBe(good);
  });
});
