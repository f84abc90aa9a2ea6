import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nameplate } from '@pilgrim/core';

const { positionList, positionColumns, positionCells, guessMapping, unmapped, withConstants, shelfList } = nameplate;
const headings = ['Tag', 'Description', 'Area', 'kW', 'Volts', 'Amps', 'RPM', 'Hz', 'Driven machine', 'Supply voltage'];
const good = ['KN-1', 'Kiln fan', 'Kiln', '15', '400', '28.5', '1465', '50', 'centrifugal fan', '400'];
const mapping = guessMapping(headings, positionColumns);
const read = (cells: readonly string[], of: readonly string[] = headings) =>
  positionList.read(cells, of, of === headings ? mapping : guessMapping(of, positionColumns));
const but = (at: number, cell: string) => read(good.with(at, cell));
const entry = (reading: ReturnType<typeof read>) => {
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  return reading.entry;
};
const errors = (reading: ReturnType<typeof read>) => (reading.ok ? expect.fail('was taken') : reading.errors);

describe('a list of positions', () => {
  it('is understood by its headings: the supply’s voltage is not the plate’s', () => {
    expect(entry(read(good))).toEqual({
      tag: 'KN-1',
      name: 'Kiln fan',
      area: 'Kiln',
      case: {
        format: 'pilgrim.case/1',
        practice: 'iec',
        name: 'Kiln fan',
        plate: { power: '15 kW', voltage: '400 V', current: '28.5 A', speed: '1465 r/min', frequency: '50 Hz' },
        supply: { voltage: '400 V' },
        load: { machine: 'centrifugal-fan' },
      },
    });
  });

  it('needs a tag and an area, and no more; a bare row has no plate, no supply, no load', () => {
    expect(unmapped(guessMapping(['Tag', 'Area'], positionColumns), positionColumns)).toEqual([]);
    expect(unmapped(guessMapping(['Name', 'kW'], positionColumns), positionColumns)).toEqual(['Tag', 'Area']);
    expect(entry(read(['X-1', 'Mill'], ['Tag', 'Area']))).toMatchObject({
      name: 'X-1',
      case: { format: 'pilgrim.case/1', practice: 'north-america', name: 'X-1' },
    });
    expect(errors(but(0, ''))).toEqual([{ column: 'Tag', message: 'is empty' }]);
  });

  it('takes the practice from the row, else from how the plate is written, else from its frequency', () => {
    const of = (cells: string[], heads: string[]) =>
      entry(read(['A', 'B', ...cells], ['Tag', 'Area', ...heads])).case.practice;
    expect(of(['20', '60'], ['HP', 'Hz'])).toBe('north-america');
    expect(of(['15', '50'], ['kW', 'Hz'])).toBe('iec');
    expect(of(['20', 'IEC'], ['HP', 'Standard'])).toBe('iec');
    expect(of(['15', 'NEMA'], ['kW', 'Standard'])).toBe('north-america');
    expect(of(['50'], ['Hz'])).toBe('iec');
    expect(errors(read(['A', 'B', 'JIS'], ['Tag', 'Area', 'Standard']))[0]?.message).toContain('neither');
  });

  it('finds the machine that is meant, and asks where several could be', () => {
    const machine = (text: string) => entry(but(8, text)).case.load?.machine;
    expect(machine('Centrifugal Pump')).toBe('centrifugal-pump');
    expect(machine('compresor')).toBe('compressor');
    expect(machine('fan')).toBe('centrifugal-fan');
    expect(machine('')).toBeUndefined();
    const [error] = errors(but(8, 'pump'));
    expect(error).toMatchObject({ column: 'Driven machine', message: expect.stringContaining('deep well pump') });
  });

  it('tells what is wrong by its column, all of it at once', () => {
    const row = good.with(3, 'many').with(9, '400 kW').with(4, '=A1');
    expect(
      errors(read(row))
        .map((e) => e.column)
        .toSorted(),
    ).toEqual(['Supply voltage', 'Volts', 'kW']);
  });

  it('has no column for a place that is not hazardous', () => {
    expect(positionColumns.some((c) => /hazard|ex|atex/i.test(c.key))).toBe(false);
    const hopeful = guessMapping([...headings, 'Hazardous'], positionColumns);
    expect(Object.values(hopeful)).not.toContain(headings.length);
  });

  it('what is the same for all stands as a column of its own; empty it does not', () => {
    const list = withConstants(['Tag'], { tag: 0 }, { area: 'Kiln', frequency: '50', practice: ' ' }, positionColumns);
    expect(list.cells).toEqual(['Kiln', '50']);
    const row = positionList.read(['K-9', ...list.cells], list.headings, list.mapping);
    expect(entry(row)).toMatchObject({ area: 'Kiln', case: { practice: 'iec', plate: { frequency: '50 Hz' } } });
    const shelf = withConstants(['kW', 'V', 'A', 'rpm'], guessMapping(['kW', 'V', 'A', 'rpm']), { frequency: '50 Hz' });
    expect(shelfList.read(['15', '400', '28.5', '1465', ...shelf.cells], shelf.headings, shelf.mapping).ok).toBe(true);
  });

  it('law: what is written out is read back as it was', () => {
    const labels = positionColumns.map((c) => c.label);
    const word = fc.stringMatching(/^[A-Z][a-z]{1,8}$/);
    fc.assert(
      fc.property(
        word,
        word,
        word,
        fc.constantFrom('iec', 'north-america'),
        fc.integer({ min: 1, max: 200 }),
        (tag, name, area, practice, kw) => {
          const row = {
            tag,
            name,
            area,
            case: {
              format: 'pilgrim.case/1',
              practice,
              name,
              plate: { power: `${kw} kW`, frequency: '50 Hz', efficiency: 0.9, leads: 6 as const, frame: '160M' },
              supply: { voltage: '400 V' },
              load: { machine: 'mixer' as const },
            },
          } satisfies nameplate.PositionRow;
          const cells = positionCells(row).map(String);
          expect(entry(positionList.read(cells, labels, guessMapping(labels, positionColumns)))).toEqual(row);
        },
      ),
    );
  });
});
