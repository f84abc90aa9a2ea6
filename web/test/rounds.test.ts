import type { MotorReading } from '@pilgrim/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Sql } from '$lib/server/db/database';
import { exportPosition, importPosition, positionFile } from '$lib/server/exchange/exchange';
import { newRounds } from '$lib/server/http/inputs';
import { createPosition, setDeleted } from '$lib/server/positions/positions';
import { dropRound, keepRounds, roundsOf, roundsPerPosition } from '$lib/server/rounds/rounds';
import { scratchDatabase } from './scratch';

let sql: Sql;
let drop: () => Promise<void>;
beforeAll(async () => ({ sql, drop } = await scratchDatabase()));
afterAll(() => drop());

let tag = 0;
const newPosition = () =>
  createPosition(sql, { tag: `R-${++tag}`, name: 'A fan', area: 'Kiln', plant: 'Kestrow Maltings' });
const on = (day: number, current1 = 10): MotorReading => ({
  at: `2026-01-${String(day).padStart(2, '0')}T06:00:00Z`,
  current1,
  note: 'as heard',
});

describe('rounds of a position', () => {
  it('stand in the order of their times, whole, and one of the same time is left as it was', async () => {
    const position = await newPosition();
    expect(await keepRounds(sql, position, [on(9), on(3)])).toHaveLength(2);
    // The same moment in another offset.
    expect(await keepRounds(sql, position, [{ ...on(3, 99), at: '2026-01-03T07:00:00+01:00' }])).toEqual([]);
    expect((await roundsOf(sql, position)).map((r) => r.reading)).toEqual([on(3), on(9)]);
    expect(await roundsOf(sql, await newPosition())).toEqual([]);
  });
  it('one is dropped once', async () => {
    const position = await newPosition();
    const [kept] = await keepRounds(sql, position, [on(1), on(2)]);
    expect([await dropRound(sql, kept?.id ?? ''), await dropRound(sql, kept?.id ?? '')]).toEqual([true, false]);
    expect((await roundsOf(sql, position)).map((r) => r.reading.at)).toEqual([on(2).at]);
  });
  it('as many as a position keeps, and not one more', async () => {
    const position = await newPosition();
    const many = Array.from({ length: roundsPerPosition }, (_, i) => ({
      at: new Date(Date.UTC(2026, 0, 1) + 3_600_000 * i).toISOString(),
      current1: i % 50,
    }));
    expect(await keepRounds(sql, position, many)).toHaveLength(roundsPerPosition);
    await expect(keepRounds(sql, position, [on(1)])).rejects.toThrow();
    expect(await roundsOf(sql, position)).toHaveLength(roundsPerPosition);
  });
  it('go with the position’s file, and come back with their ids', async () => {
    const position = await newPosition();
    await keepRounds(sql, position, [on(1), on(2)]);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, position))));
    expect(file.rounds).toHaveLength(2);
    const [first] = file.rounds;
    await dropRound(sql, first?.id ?? '');
    await setDeleted(sql, position, 1, true);
    expect(await importPosition(sql, file)).toEqual({ ok: true, id: position });
    expect((await exportPosition(sql, position))?.rounds).toEqual(file.rounds);
  });
  it('of another position, or twice in a file, are refused', async () => {
    const [own, other] = [await newPosition(), await newPosition()];
    const [theirs] = await keepRounds(sql, other, [on(1)]);
    const file = positionFile.parse(JSON.parse(JSON.stringify(await exportPosition(sql, own))));
    await setDeleted(sql, own, 1, true);
    const round = { id: theirs?.id ?? '', reading: on(5) };
    expect(await importPosition(sql, { ...file, rounds: [round] })).toMatchObject({
      ok: false,
      message: expect.stringContaining('belongs to another position'),
    });
    expect(await importPosition(sql, { ...file, rounds: [round, round] })).toMatchObject({
      ok: false,
      faults: [{ path: 'rounds.1.id' }],
    });
  });
});

describe('what is sent as rounds', () => {
  it.each([
    [on(1), true],
    [[on(1), on(2)], true],
    [[], false],
    [{ at: on(1).at }, false],
    [[on(1), { ...on(2), vibration: -1 }], false],
  ])('%j: %s', (sent, good) => {
    expect(newRounds.safeParse(sent).success).toBe(good);
  });
});
