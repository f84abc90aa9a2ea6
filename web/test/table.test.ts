import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCase } from '@pilgrim/core';
import { readCurveFile, readTariffFile, type TableReading } from '../src/lib/files/table';

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
