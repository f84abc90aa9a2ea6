import fc from 'fast-check';
import writeSheet from 'write-excel-file/node';
import { nameplate } from '@pilgrim/core';
import { describe, expect, it } from 'vitest';
import { delimiterOf, readUtf8 } from '$lib/files/text';
import { readList } from '$lib/server/lists/list';
import { Refusal } from '$lib/server/refusal';

const readMotors = (bytes: Uint8Array, mapping?: nameplate.ListMapping) =>
  readList(bytes, nameplate.shelfList, mapping);
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const heading = 'Name,Power (kW),Volts,Amps,RPM,Hz,Frame,Qty,Location';
const row = (name: string, power: string | number = 7.5): string =>
  `${name},${power},400/690,14.9/8.6,1468,50,132M,2,Store 1`;
const list = (...rows: string[]): Uint8Array => bytes([heading, ...rows].join('\n'));
const refusal = (run: Promise<unknown>): Promise<Refusal['problem']> =>
  run.then(
    () => expect.fail('was taken'),
    (e: unknown) => (e instanceof Refusal ? e.problem : expect.fail(String(e))),
  );

describe('a list of motors', () => {
  it('is understood by its headings, units and all', async () => {
    const read = await readMotors(list(row('Pump spare')), undefined);
    expect(read.missing).toEqual([]);
    expect(read.good).toEqual([
      {
        name: 'Pump spare',
        plate: {
          power: '7.5 kW',
          voltage: '400/690 V',
          current: '14.9/8.6 A',
          speed: '1468 r/min',
          frequency: '50 Hz',
          frame: '132M',
        },
        quantity: 2,
        place: 'Store 1',
        days: null,
        keptFor: '',
        price: null,
      },
    ]);
  });
  it('with semicolons and decimal commas, with tabs, with a byte-order mark and Windows line ends', async () => {
    const semicolons = bytes(
      '\uFEFFBezeichnung;Leistung [kW];Spannung;Strom;Drehzahl;Frequenz\r\nErsatz;7,5;400/690;14,9/8,6;1468;50\r\n',
    );
    expect((await readMotors(semicolons, undefined)).good[0]?.plate).toMatchObject({
      power: '7,5 kW',
      current: '14,9/8,6 A',
    });
    const tabs = bytes('HP\tVolts\tAmps\tRPM\tHz\n25\t230/460\t62/31\t1770\t60');
    expect((await readMotors(tabs, undefined)).good[0]?.plate).toMatchObject({
      power: '25 hp',
      voltage: '230/460 V',
    });
  });
  it('a workbook is read like its sheet saved as text, numbers and all; a broken one is refused', async () => {
    const sheet = [
      heading.split(','),
      ['Pump spare', 7.5, '400/690', '14.9/8.6', 1468, 50, '132M', 2, 'Store 1'],
      [],
      ['Bad', 'many'],
    ];
    const file = await writeSheet(sheet).toBuffer();
    const read = await readMotors(new Uint8Array(file));
    expect(read.good).toEqual((await readMotors(list(row('Pump spare')))).good);
    expect(read.errors[0]).toMatchObject({ line: 4 });
    expect(read.sample[0]).toContain('7.5');
    expect((await refusal(readMotors(new Uint8Array([0x50, 0x4b, 3, 4, 0, 0])))).detail).toContain('no workbook');
  });
  it('what is the same for all rows needs no column', async () => {
    const without = bytes('Power (kW),Volts,Amps,RPM\n7.5,400,14.9,1468');
    expect((await readMotors(without)).missing).toEqual(['Frequency']);
    const same = await readList(without, nameplate.shelfList, undefined, { frequency: '50 Hz', place: 'Store 2' });
    expect(same.missing).toEqual([]);
    expect(same.good[0]).toMatchObject({ plate: { frequency: '50 Hz' }, place: 'Store 2' });
    expect(same.headings).toHaveLength(4);
  });
  it('embedded line breaks and commas stay in their cell, and lines are still counted right', async () => {
    const read = await readMotors(
      list('"Spare,\nold\nmill",7.5,400/690,14.9/8.6,1468,50,132M,1,"Store 1, rack ""B"""', row('Bad', 'many')),
      undefined,
    );
    expect(read.good[0]).toMatchObject({ name: 'Spare,\nold\nmill', place: 'Store 1, rack "B"' });
    expect(read.errors).toEqual([{ line: 5, column: 'Power (kW)', message: expect.stringContaining('many') }]);
  });
  it('formulas are refused by line and column, signs of numbers are not', async () => {
    const read = await readMotors(
      list(
        '"=HYPERLINK(""http://x"",""y"")",7.5,400/690,14.9/8.6,1468,50,132M,1,S',
        '@SUM(A1),7.5,400/690,14.9/8.6,1468,50,132M,1,S',
        'Fine,7.5,400/690,14.9/8.6,1468,50,132M,1,-2+3+cmd|x',
      ),
      undefined,
    );
    expect(read.errors.map((e) => [e.line, e.column])).toEqual([
      [2, 'Name'],
      [3, 'Name'],
    ]);
    expect(read.errors[0]?.message).toContain('formula');
    expect(read.good).toHaveLength(1);
  });
  it('wrong, empty and surplus cells are told where they stand', async () => {
    const read = await readMotors(
      bytes(
        [
          `${heading},SF`,
          `${row('No current').replace('14.9/8.6', '')},1.15`,
          `${row('Too many')},1.15,more`,
          `${row('Odd factor')},7`,
          'Groups,7.5,400/690,14.9,1468,50,132M,1,S,1',
        ].join('\n'),
      ),
      undefined,
    );
    expect(read.good).toEqual([]);
    expect(read.errors.map((e) => `${e.line} ${e.column}`)).toEqual(['2 Amps', '3 column 11', '4 SF', '5 Amps']);
    expect(read.errors[3]?.message).toContain('groups do not match');
  });
  it('a number without a unit anywhere asks for one', async () => {
    const read = await readMotors(bytes('Rating,V,A,RPM,Hz\n7.5,400,14.9,1468,50'), undefined);
    expect(read.errors[0]).toMatchObject({ column: 'Rating', message: expect.stringContaining('has no unit') });
  });
  it('without its needed columns nothing is read, and they are named; a mapping puts it right', async () => {
    const odd = bytes('a1,b2,c3,d4,e5\n7.5 kW,400/690,14.9/8.6,1468,50');
    expect((await readMotors(odd, undefined)).missing).toEqual(['Power', 'Voltage', 'Current', 'Speed', 'Frequency']);
    const mapped = await readMotors(odd, { power: 0, voltage: 1, current: 2, speed: 3, frequency: 4 });
    expect(mapped.good).toHaveLength(1);
  });
  it('what is no UTF-8, no text, no CSV or empty is refused in words, whole', async () => {
    const latin = new Uint8Array([...bytes(`${heading}\n${row('fine')}\n`), 0x4d, 0xfc, 0x6c, 0x6c]);
    expect((await refusal(readMotors(latin, undefined))).detail).toMatch(/line 3.*Nothing was taken/);
    expect((await refusal(readMotors(new Uint8Array([0xff, 0xfe, 0x41, 0]), undefined))).detail).toContain('UTF-16');
    expect((await refusal(readMotors(new Uint8Array([0x7f, 0x45, 3, 4, 0, 0]), undefined))).detail).toContain(
      'no text file',
    );
    expect((await refusal(readMotors(bytes(`${heading}\n"open,7.5`), undefined))).detail).toContain('not CSV');
    expect((await refusal(readMotors(bytes(''), undefined))).detail).toContain('empty');
  });
  it('twenty thousand rows are read to the end, and good and bad ones counted', { timeout: 120_000 }, async () => {
    const many = Array.from({ length: 20_000 }, (_, i) => row(`Motor ${i}`, i % 1000 === 999 ? 'x' : 7.5));
    const read = await readMotors(list(...many), undefined);
    expect([read.rows, read.good.length, read.bad, read.errors.length]).toEqual([20_000, 19_980, 20, 20]);
    expect(read.errors.at(-1)?.line).toBe(20_001);
  });
  it('never crashes, whatever the bytes', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(fc.uint8Array({ maxLength: 400 }), fc.string({ unit: 'binary', maxLength: 400 }).map(bytes)),
        async (some) => {
          try {
            const read = await readMotors(some, undefined);
            expect(read.good.length + read.bad).toBeLessThanOrEqual(read.rows);
          } catch (error) {
            expect(error).toBeInstanceOf(Refusal);
          }
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('text of a file', () => {
  it('the sign between columns is what the heading has most of, outside quotes', () => {
    expect(delimiterOf('a,b,c\n1;2')).toBe(',');
    expect(delimiterOf('a;"b,c,d";e')).toBe(';');
    expect(delimiterOf('a\tb')).toBe('\t');
    expect(delimiterOf('one')).toBe(',');
  });
  it('says in which line a letter cannot be read', () => {
    expect(readUtf8(new Uint8Array([65, 10, 66, 10, 0xe9, 67]))).toMatchObject({
      ok: false,
      message: expect.stringContaining('line 3'),
    });
    expect(readUtf8(bytes('grün'))).toEqual({ ok: true, text: 'grün' });
  });
});

describe('columns', () => {
  it('headings are guessed once each, in any case and with units', () => {
    const mapping = nameplate.guessMapping([
      'Item',
      'QTY',
      'Rated Power (hp)',
      'V',
      'FLA',
      'Full-load speed [rpm]',
      'HZ',
      'Nom. Eff. %',
      'cos φ',
      'IP',
    ]);
    expect(mapping).toEqual({
      name: 0,
      quantity: 1,
      power: 2,
      voltage: 3,
      current: 4,
      speed: 5,
      frequency: 6,
      efficiency: 7,
      powerFactor: 8,
      protection: 9,
    });
  });
  it('an efficiency in percent becomes a share', () => {
    const read = nameplate.readListRow(
      ['25 hp', '460', '31', '1770', '60', '93.6 %'],
      ['hp', 'v', 'a', 'rpm', 'hz', 'eff'],
      { power: 0, voltage: 1, current: 2, speed: 3, frequency: 4, efficiency: 5 },
    );
    expect(read).toMatchObject({ ok: true, entry: { plate: { efficiency: 0.936 } } });
  });
});
