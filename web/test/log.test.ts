import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { readLog } from '$lib/files/log';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const flow = { kind: 'flow', control: 'none', poles: 4 } as const;

describe('a logger’s file', () => {
  it('the demo plant’s two weeks: three flows, one gap of a day, a fifth of the time at rest', () => {
    const file = readFileSync(fileURLToPath(new URL('../../demo/logs/kiln-fan-flow.csv', import.meta.url)));
    const log = readLog(file, { ...flow, full: 42000 });
    expect(log).toMatchObject({ ok: true, bad: 0, time: 0, value: 1 });
    expect(log.profile?.gaps).toHaveLength(1);
    expect(log.profile?.rows.map((r) => r.flow)).toEqual([0.5, 0.7, 1]);
    const rest = (log.profile?.standing ?? 0) / (log.profile?.covered ?? 1);
    expect(rest).toBeGreaterThan(0.15);
    expect(rest).toBeLessThan(0.3);
  });
  it.each([
    ['seconds', '0,10\n600,10\n1200,5'],
    ['ISO', 'time,flow\n2026-09-01T10:00:00Z,10\n2026-09-01T10:10:00Z,10\n2026-09-01T10:20:00Z,5'],
    ['day first', 'Zeit;Durchfluss\n01.09.2026 10:00;10,0\n01.09.2026 10:10;10,0\n01.09.2026 10:20;5,0'],
    ['month first', 'Date/Time,Flow\n09/01/2026 10:00,10\n09/01/2026 10:10,10\n09/01/2026 10:20,5'],
  ])('times written as %s', (_, text) => {
    const log = readLog(bytes(text), flow);
    expect(log.message).toBe('');
    expect(log.rows).toBe(3);
    expect(log.profile?.span).toBe(1200);
    expect(log.profile?.rows.map((r) => r.hours)).toEqual([2920, 5840]);
  });
  it('the value’s column is found by its heading, or said', () => {
    const text = 'time,temperature,flow m3/h\n0,20,10\n600,20,10\n1200,20,5';
    expect(readLog(bytes(text), flow).value).toBe(2);
    expect(readLog(bytes(text), { ...flow, value: 1 }).profile?.rows).toHaveLength(1);
  });
  it('lines that cannot be read are left out and told by number', () => {
    const log = readLog(bytes('time,flow\n0,10\n600,n/a\nlater,10\n1200,10\n1800,10'), flow);
    expect(log).toMatchObject({ ok: true, bad: 2, errors: [{ line: 3 }, { line: 4 }] });
  });
  it.each([
    ['an offset', '2026-09-01T10:00:00+02:00', 1],
    ['parts of a second', '2026-09-01 10:00:00.250', 1],
    ['the day first, as the file shows further down', '13/09/2026 10:00', 1],
  ])('times with %s', (_, last) => {
    const before = last.replace('10:00', '09:50');
    const first = last.replace('10:00', '09:40');
    const log = readLog(bytes(`time;flow\n${first};10\n${before};10\n${last};5`), flow);
    expect(log).toMatchObject({ ok: true, bad: 0 });
    expect(log.profile?.span).toBe(1200);
  });
  it('a clock put back in autumn is set straight and told; one with an offset is not touched', () => {
    const hour = (from: string, offset = ''): string[] =>
      Array.from({ length: 6 }, (_, i) => `2026-10-25 ${from}:${i}0:00${offset},10`);
    const twice = ['time,flow', ...hour('01'), ...hour('02'), ...hour('02'), ...hour('03')].join('\n');
    expect(readLog(bytes(twice), flow)).toMatchObject({ ok: true, clock: { back: 1 }, profile: { gaps: [] } });
    const said = ['time,flow', ...hour('02', '+02:00'), ...hour('02', '+01:00')].join('\n');
    expect(readLog(bytes(said), flow)).toMatchObject({ clock: null, profile: { span: 110 * 60, gaps: [] } });
  });
  it('a quoted file and an unquoted one are the same', () => {
    const plain = 'time,flow\n0,10\n600,10\n\n1200,5\n';
    const quoted = plain.replaceAll(/(\d+),(\d+)/g, '"$1","$2"');
    expect(readLog(bytes(quoted), flow).profile).toEqual(readLog(bytes(plain), flow).profile);
  });
  it('what is no log says why', () => {
    expect(readLog(new Uint8Array([0xff, 0xfe, 0, 1]), flow).message).toContain('UTF-16');
    expect(readLog(bytes('only one column\n1\n2'), flow).message).toContain('two columns');
    expect(readLog(bytes('a,b\n1,2'), flow).message).toContain('three readings');
  });
});
