import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nameplate, readCase } from '@pilgrim/core';
import { pasted } from './plates/pasted';

const { readPlateText } = nameplate;

describe('text from a plate', () => {
  it('is tried on at least thirty blocks', () => expect(pasted.length).toBeGreaterThanOrEqual(30));
  it.each(pasted.map((p) => [p.text.slice(0, 60).replace(/\n/g, ' ⏎ '), p] as const))(
    '%s',
    (_, { text, plate, rest }) => {
      const read = readPlateText(text);
      expect(read.plate).toEqual(plate);
      expect(read.rest.join(' ')).toBe((rest ?? []).join(' '));
      expect(read.pieces.map((p) => p.text).join('')).toBe(text);
      expect(readCase({ format: 'pilgrim.case/1', practice: 'iec', plate: read.plate }).ok).toBe(true);
    },
  );
  it('each field shows the words it came from', () => {
    const { pieces } = readPlateText('HP 30 VOLTS 208-230/460 painted green FR 286T');
    const from = (field: string): string | undefined => pieces.find((p) => p.fields.includes(field))?.text;
    expect(from('power')).toBe('HP 30');
    expect(from('voltage')).toBe('VOLTS 208-230/460');
    expect(from('frame')).toBe('FR 286T');
  });
  it('case of letters does not matter', () => {
    const text = 'HP 30 VOLTS 230/460 AMPS 72/36 RPM 1770 FR 286T ENCL TEFC SF 1.15 CODE G';
    expect(readPlateText(text.toLowerCase()).plate).toEqual(readPlateText(text).plate);
  });
  it('a value that contradicts the first stays in sight with its reason', () => {
    const { plate, pieces, rest } = readPlateText('RPM 1770 RPM 1470');
    expect(plate.speed).toBe('1770 rpm');
    expect(rest).toContain('RPM 1470');
    expect(pieces.some((p) => p.note?.includes('1770'))).toBe(true);
  });
  it('a value no plate may carry is not taken, and says why', () => {
    const { plate, pieces } = readPlateText('SF 9.5 HP 30');
    expect(plate.serviceFactor).toBeUndefined();
    expect(plate.power).toBe('30 hp');
    expect(pieces.find((p) => p.text.includes('9.5'))?.note).toContain('from 1 up to 2');
  });
});

describe('arbitrary text', () => {
  const words = fc.constantFrom(
    'HP',
    '30',
    'VOLTS',
    '230/460',
    'AMPS',
    '72/36',
    '1,770',
    'RPM',
    'kW',
    '27,9',
    'Δ/Y',
    'IP55',
    '50',
    '60',
    'Hz',
    '\n',
    '/',
    '-',
    '|',
    'CL',
    'F',
    'S3',
    '40%',
    'SER NO',
    'Ex',
    'η',
    '93.6',
    '%',
    '(',
    ')',
    'GREASE',
    '286T',
    '…',
    '½',
    'V',
    'A',
    'COS',
    '0,86',
    '208',
    'USABLE AT',
    'IE3',
    '690',
    'Y',
    '3~',
    '',
    'İ',
    '𝟛',
    'CLASS I',
  );
  const salad = fc
    .array(words, { maxLength: 40 })
    .chain((list) => fc.constantFrom(' ', '', ', ', '\n').map((by) => list.join(by)));
  it(
    'never crashes the reader, and every character is in a field or shown as not understood',
    { timeout: 60_000 },
    () => {
      fc.assert(
        fc.property(
          fc.oneof(salad, fc.string({ unit: 'binary', maxLength: 300 }), fc.string({ maxLength: 300 })),
          (text) => {
            const { plate, pieces } = readPlateText(text);
            expect(pieces.map((p) => p.text).join('')).toBe(text);
            for (const p of pieces) expect(p.text.length).toBeGreaterThan(0);
            const told = new Set(pieces.flatMap((p) => p.fields.map((f) => f.split('.')[0])));
            for (const key of Object.keys(plate)) expect(told).toContain(key);
            expect(readCase({ format: 'pilgrim.case/1', practice: 'iec', plate }).ok).toBe(true);
          },
        ),
        { numRuns: 1000 },
      );
    },
  );
  it('a page of it is read at once', () => {
    const page = 'HP 30 VOLTS 230/460 green paint 12-34/56 '.repeat(90);
    expect(
      readPlateText(page)
        .pieces.map((p) => p.text)
        .join(''),
    ).toBe(page);
  });
});
