import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCase, readingSchema } from '@pilgrim/core';
import { readCurveFile, readRoundsFile, readTariffFile, type TableReading } from '../src/lib/files/table';
import { readCell, unitHere } from '../src/lib/log/cells';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const rows = (reading: TableReading) => (reading.ok ? reading.rows : expect.fail(JSON.stringify(reading.faults)));
const faults = (reading: TableReading) => (reading.ok ? expect.fail('was taken') : reading.faults);

describe('a tariff as CSV', () => {
  it('by semicolons or commas, days in words or from one to another', () => {
    expect(
      rows(readTariffFile(bytes('from;to;days;price\n6:00;22:00;Mon-Fri;0,20\n22:00;06:00;weekdays;0.1\n'))),
    ).toEqual([
      { from: '06:00', to: '22:00', days: ['mon', 'tue', 'wed', 'thu', 'fri'], price: 0.2 },
      { from: '22:00', to: '06:00', days: 'weekdays', price: 0.1 },
    ]);
    expect(rows(readTariffFile(bytes('Price,From,Until,Days\n0.3,00:00,24:00,sat-mon\n')))).toEqual([
      { from: '00:00', to: '24:00', days: ['sat', 'sun', 'mon'], price: 0.3 },
    ]);
  });
  it('without days it holds every day; what is taken is a case', () => {
    const [tariff] = [rows(readTariffFile(bytes('from;to;price\n00:00;12:00;0.1\n12:00;24:00;0.2\n')))];
    expect(readCase({ format: 'pilgrim.case/1', practice: 'iec', money: { tariff } }).ok).toBe(true);
  });
  it('says line and column of every cell it cannot read', () => {
    const text = 'from;to;days;price\n06:00;22:00;Monday;0.2\n\n25:00;24:00;someday;-1\n07:00;08:00;sat;\n';
    expect(faults(readTariffFile(bytes(text)))).toEqual([
      { line: 4, column: 1, message: 'from “25:00” is no time of day such as 06:30' },
      { line: 4, column: 3, message: 'days “someday” names no days such as weekdays, weekend, Mon-Fri' },
      { line: 4, column: 4, message: 'price is below 0' },
      { line: 5, column: 4, message: 'price is empty' },
    ]);
  });
  it.each([
    ['', 'headings'],
    ['from;to;price\n', 'lines below'],
    ['start;end;cents\n1;2;3\n', 'no column for from, to, price'],
  ])('%j is no tariff', (text, message) => {
    expect(faults(readTariffFile(bytes(text)))[0]?.message).toContain(message);
  });
  it('whatever is in the file, it answers', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (file) => {
        expect(readTariffFile(file)).toHaveProperty('ok');
      }),
    );
  });
});

describe('a curve as CSV', () => {
  it('units by heading or by cell, efficiency in per cent or as a share', () => {
    expect(rows(readCurveFile(bytes('Flow (m³/h);Head [m];Efficiency %\n0;42;0\n100;38,5;71\n')))).toEqual([
      { flow: '0 m³/h', head: '42 m', efficiency: 0 },
      { flow: '100 m³/h', head: '38,5 m', efficiency: 0.71 },
    ]);
    expect(rows(readCurveFile(bytes('flow,pressure,eta\n2 m³/s,900 Pa,0.7\n')))).toEqual([
      { flow: '2 m³/s', pressure: '900 Pa', efficiency: 0.7 },
    ]);
  });
  it('a number without a unit is asked for one, at its place', () => {
    expect(faults(readCurveFile(bytes('flow;head;efficiency\n10;20;0.7\n')))[0]).toMatchObject({ line: 2, column: 1 });
    expect(faults(readCurveFile(bytes('flow (m³/h);head (m);efficiency\n10;20;140\n')))[0]?.message).toContain('100 %');
  });
});

describe('rounds as CSV', () => {
  it('by the keys of the open format, units of the headings read, empty cells left out', () => {
    const text =
      'at;by;current1;power (hp);temperature (°F);vibration (in/s);insulation\n' +
      '2026-03-01T06:00:00Z;shift;16,5;10;140;0.1;\n01.04.2026 06:30;;17;;;;2 GΩ\n';
    const taken = rows(readRoundsFile(bytes(text)));
    expect(taken[0]).toEqual({
      at: '2026-03-01T06:00:00.000Z',
      by: 'shift',
      current1: 16.5,
      power: expect.closeTo(7.457, 3),
      temperature: expect.closeTo(60, 6),
      vibration: expect.closeTo(2.54, 6),
    });
    expect(taken[1]).toMatchObject({ current1: 17, insulation: 2000 });
    expect(taken[1]).toMatchObject({ at: new Date(2026, 3, 1, 6, 30).toISOString() });
    for (const row of taken) expect(readingSchema.safeParse(row).success).toBe(true);
  });
  it('says line and column of what cannot be read, and of a line without a reading', () => {
    expect(faults(readRoundsFile(bytes('at;current1\nyesterday;5\n2026-01-02 06:00;many\n')))).toEqual([
      { line: 2, column: 1, message: 'at “yesterday” is no date and time such as 2026-11-02 06:40' },
      expect.objectContaining({ line: 3, column: 2 }),
    ]);
    expect(faults(readRoundsFile(bytes('at;amperes\n2026-01-02 06:00;5\n')))[0]).toMatchObject({ line: 2 });
    expect(faults(readRoundsFile(bytes('current1\n5\n')))[0]?.message).toContain('no column for at');
  });
});

describe('what is typed for a round', () => {
  it.each([
    ['current1', '16.8', 16.8],
    ['current1', '16,8', 16.8],
    ['current1', '0.02 kA', 20],
    ['power', '7.5', 7.5],
    ['power', '10 hp', 7.45699872],
    ['temperature', '60', 60],
    ['temperature', '140 F', 60],
    ['vibration', '0.1 in/s', 2.54],
    ['insulation', '1.5 GΩ', 1500],
    ['insulation', '500 kΩ', 0.5],
    ['speed', '1462', 1462],
    ['polarisationIndex', '2.4', 2.4],
    ['hours', '100 h', 100],
    ['bearingNoise', '24 dB', 24],
  ] as const)('%s “%s” is %d', (key, text, value) => {
    expect(readCell(key, text, unitHere(key, 'si'))).toEqual({ ok: true, value: expect.closeTo(value, 6) });
  });
  it.each([
    ['vibration', '2 furlongs'],
    ['current1', 'many'],
    ['insulation', '5 V'],
    ['starts', ''],
  ] as const)('%s “%s” is none', (key, text) => {
    expect(readCell(key, text, unitHere(key, 'us')).ok).toBe(false);
  });
});
