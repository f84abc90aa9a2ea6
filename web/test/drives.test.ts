import { readCase, solveWith, type physics } from '@pilgrim/core';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import type { LinkTold } from '$lib/api/drives';
import {
  closeDrive,
  closeDrives,
  driveOf,
  findDrive,
  openAddress,
  openStandIn,
  order,
} from '$lib/server/drives/drives';
import type { DriveLink } from '$lib/server/drives/link';
import { startStandIn } from '$lib/server/drives/standIn';
import { Refusal } from '$lib/server/refusal';

const reading = readCase({
  format: 'pilgrim.case/1',
  practice: 'iec',
  supply: { voltage: '400 V', frequency: '50 Hz' },
  load: { machine: 'conveyor', demand: { kind: 'power', power: '9 kW', speed: '1450 rpm' } },
  speed: { need: 'variable', min: 0.3 },
  start: { drive: { ramp: '0.5 s' } },
  drive: { command: ['network'], braking: { time: '0.5 s' } },
  method: 'drive',
});
if (!reading.ok) throw new Error('no case');
const { driven, result } = solveWith(reading.value);
if (!driven) throw new Error('nothing to run');
const machine = driven;
const table = (result.drive?.settings ?? []).flatMap(({ id, number }) => (number === null ? [] : [{ id, number }]));
const position = '11111111-1111-4111-8111-111111111111';

afterEach(() => closeDrive(position));
afterAll(() => closeDrives());

/** Waits until what is told holds. */
async function until(link: DriveLink, holds: (told: LinkTold) => boolean, seconds = 15): Promise<LinkTold> {
  const end = Date.now() + 1000 * seconds;
  while (Date.now() < end) {
    if (holds(link.told)) return link.told;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  return expect.fail(`not within ${seconds} s: ${JSON.stringify([link.told.lines.slice(-8), last(link.told)])}`);
}
const last = (told: LinkTold): physics.DriveReading | undefined => told.rows.findLast((r) => r !== null) ?? undefined;
const inState = (state: physics.DriveState) => (told: LinkTold) => last(told)?.state === state && told.link === 'up';
const said = (link: DriveLink): string[] => link.told.lines.map((l) => l.what);

async function commissioned(): Promise<DriveLink> {
  await openStandIn(position, machine);
  const link = driveOf(position);
  await until(link, inState('not-programmed'));
  await order(link, { do: 'program', table });
  await until(link, inState('ready'));
  return link;
}

describe('a stand-in drive over Modbus TCP', () => {
  it('takes the table, and holds what was written', async () => {
    const link = await commissioned();
    const held = await link.settings();
    expect(Object.keys(held).length).toBe(table.length);
    for (const { id, number } of table) expect(held[id]).toBeCloseTo(number, 3);
  });
  it('does not take a table in which something needed is missing', async () => {
    await openStandIn(position, machine);
    const link = driveOf(position);
    await until(link, (told) => told.link === 'up');
    await order(link, { do: 'program', table: table.filter((s) => s.id !== 'current-limit') });
    await order(link, { do: 'run' });
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(last(link.told)?.state).toBe('not-programmed');
  });
  it('runs, trips, is reset and runs again, and says so in its log', async () => {
    const link = await commissioned();
    await order(link, { do: 'reference', share: 1 });
    await order(link, { do: 'run' });
    await until(link, () => said(link).includes('at-speed'));
    const running = last(link.told);
    expect(running?.frequency).toBeCloseTo(50, -1);
    expect(running?.current).toBeGreaterThan(1);
    await order(link, { do: 'spoil', change: { phases: 2 } });
    await until(link, inState('tripped'));
    expect(last(link.told)?.fault).toBe('phase-lost');
    await order(link, { do: 'spoil', change: { phases: 3 } });
    await order(link, { do: 'reset' });
    // Caught turning without a flying start it would trip on its bus.
    await until(link, (t) => inState('ready')(t) && last(t)?.speed === 0);
    await order(link, { do: 'run' });
    await until(link, inState('running'));
    await order(link, { do: 'stop' });
    await until(link, inState('ready'));
    expect(said(link).filter((w) => ['run', 'tripped', 'reset', 'standing'].includes(w))).toEqual([
      ...['run', 'tripped', 'reset', 'run', 'standing'],
    ]);
  });
  it('a link cut in mid-run: the drive stops by itself, and its log is whole again when the link is', async () => {
    const link = await commissioned();
    await order(link, { do: 'reference', share: 1 });
    await order(link, { do: 'run' });
    await until(link, () => said(link).includes('at-speed'));
    const before = link.told.rows.length;
    await order(link, { do: 'cut' });
    await expect(order(link, { do: 'stop' })).rejects.toThrow(Refusal);
    await new Promise((resolve) => setTimeout(resolve, 4500));
    expect(link.told.link).toBe('cut');
    await order(link, { do: 'join' });
    const told = await until(link, inState('tripped'));
    expect(last(told)?.fault).toBe('link-lost');
    // The gap is marked, what was read before is kept, and what happened meanwhile is in the log.
    expect(told.rows[before] === null || told.rows.includes(null)).toBe(true);
    expect(told.rows.length).toBeGreaterThan(before);
    const words = said(link);
    expect(words.slice(words.indexOf('link-cut'))).toEqual(['link-cut', 'link-up', 'stop', 'standing', 'tripped']);
  });
  it('a drive that goes and comes back is found again', async () => {
    const first = await startStandIn(machine);
    await openAddress(position, { host: first.host, port: first.port, unit: 1 });
    const link = driveOf(position);
    await until(link, (told) => told.link === 'up');
    await first.close();
    await until(link, (told) => told.link === 'lost' || told.lines.some((l) => l.what === 'link-lost'));
    const second = await startStandIn(machine, first.port);
    await until(link, inState('not-programmed'));
    await second.close();
  });
});

describe('a drive at an address', () => {
  it('is read, and written to only after its address was said', async () => {
    const real = await startStandIn(machine);
    await openAddress(position, { host: real.host, port: real.port, unit: 1 });
    const link = driveOf(position);
    await until(link, inState('not-programmed'));
    for (const asked of [
      { do: 'run' } as const,
      { do: 'program', table } as const,
      { do: 'reference', share: 1 } as const,
      { do: 'reset' } as const,
    ])
      await expect(order(link, asked)).rejects.toMatchObject({ problem: { status: 403 } });
    expect(real.drive.program).toBeUndefined();
    await expect(order(link, { do: 'allow', address: '127.0.0.1:1' })).rejects.toMatchObject({
      problem: { status: 422, title: expect.stringContaining(`127.0.0.1:${real.port}`) },
    });
    expect(link.told.writes).toBe(false);
    await order(link, { do: 'allow', address: `127.0.0.1:${real.port}` });
    await order(link, { do: 'program', table });
    expect(real.drive.program).toBeDefined();
    await expect(order(link, { do: 'spoil', change: { load: 2 } })).rejects.toMatchObject({ problem: { status: 409 } });
    await real.close();
  });
  it('where nobody answers stays down, and nothing is sent', async () => {
    await openAddress(position, { host: '127.0.0.1', port: 9, unit: 1 });
    const link = driveOf(position);
    await until(link, (told) => told.link === 'lost');
    await expect(order(link, { do: 'run' })).rejects.toMatchObject({ problem: { status: 409 } });
  });
  it('is let go, and then nothing is watched', async () => {
    await openStandIn(position, machine);
    await closeDrive(position);
    expect(findDrive(position)).toBeUndefined();
    expect(() => driveOf(position)).toThrow(Refusal);
  });
});
