import { describe, expect, it } from 'vitest';
import { practice } from '@pilgrim/core';
import { iecFrames } from '../src/practice/frames/iec';
import { nemaFaces, nemaFrames, nemaUFrames } from '../src/practice/frames/nema';

const { readFrame } = practice;
const inch = 25.4;
const of = (rows: readonly (readonly (string | number)[])[], index: number): Map<string, string | number | undefined> =>
  new Map(rows.map((r) => [String(r[0]), r[index]]));

/** Second pass, by column: value and the frames that have it. */
const spread = (groups: Readonly<Record<string, string>>): Map<string, number> =>
  new Map(Object.entries(groups).flatMap(([value, names]) => names.split(' ').map((n) => [n, Number(value)] as const)));

function agrees(rows: readonly (readonly (string | number)[])[], index: number, second: Map<string, number>): void {
  const first = of(rows, index);
  expect([...second.keys()].sort()).toEqual([...first.keys()].sort());
  for (const [name, value] of second) expect(first.get(name), name).toBe(value);
}

describe('NEMA MG 1 foot-mounted frames in inches (from memory, two passes)', () => {
  it('2E, feet across', () => {
    agrees(
      nemaFrames,
      2,
      spread({
        3.5: '42',
        4.25: '48',
        4.875: '56',
        5.5: '143T 145T',
        7.5: '182T 184T',
        8.5: '213T 215T',
        10: '254T 256T',
        11: '284T 284TS 286T 286TS',
        12.5: '324T 324TS 326T 326TS',
        14: '364T 364TS 365T 365TS',
        16: '404T 404TS 405T 405TS',
        18: '444T 444TS 445T 445TS 447T 447TS 449T 449TS',
      }),
    );
  });
  it('2F, feet along', () => {
    agrees(
      nemaFrames,
      3,
      spread({
        1.6875: '42',
        2.75: '48',
        3: '56',
        4: '143T',
        5: '145T',
        4.5: '182T',
        5.5: '184T 213T',
        7: '215T',
        8.25: '254T',
        10: '256T',
        9.5: '284T 284TS',
        11: '286T 286TS',
        10.5: '324T 324TS',
        12: '326T 326TS',
        11.25: '364T 364TS',
        12.25: '365T 365TS 404T 404TS',
        13.75: '405T 405TS',
        14.5: '444T 444TS',
        16.5: '445T 445TS',
        20: '447T 447TS',
        25: '449T 449TS',
      }),
    );
  });
  it('U, shaft diameter', () => {
    agrees(
      nemaFrames,
      6,
      spread({
        0.375: '42',
        0.5: '48',
        0.625: '56',
        0.875: '143T 145T',
        1.125: '182T 184T',
        1.375: '213T 215T',
        1.625: '254T 256T 284TS 286TS',
        1.875: '284T 286T 324TS 326TS 364TS 365TS',
        2.125: '324T 326T 404TS 405TS',
        2.375: '364T 365T 444TS 445TS 447TS 449TS',
        2.875: '404T 405T',
        3.375: '444T 445T 447T 449T',
      }),
    );
    agrees(
      nemaUFrames,
      6,
      spread({
        0.875: '182 184',
        1.125: '213 215',
        1.375: '254U 256U',
        1.625: '284U 286U',
        1.875: '324U 326U',
        2.125: '364U 365U',
        2.375: '404U 405U',
        2.875: '444U 445U',
      }),
    );
  });
  it('N-W, shaft length', () => {
    agrees(
      nemaFrames,
      7,
      spread({
        1.125: '42',
        1.5: '48',
        1.875: '56',
        2.25: '143T 145T',
        2.75: '182T 184T',
        3.375: '213T 215T',
        4: '254T 256T',
        4.625: '284T 286T',
        3.25: '284TS 286TS',
        5.25: '324T 326T',
        3.75: '324TS 326TS 364TS 365TS',
        5.875: '364T 365T',
        7.25: '404T 405T',
        4.25: '404TS 405TS',
        8.5: '444T 445T 447T 449T',
        4.75: '444TS 445TS 447TS 449TS',
      }),
    );
    agrees(
      nemaUFrames,
      7,
      spread({
        2.25: '182 184',
        3: '213 215',
        3.75: '254U 256U',
        4.875: '284U 286U',
        5.625: '324U 326U',
        6.375: '364U 365U',
        7.125: '404U 405U',
        8.625: '444U 445U',
      }),
    );
  });
  it('the digits say the shaft height: the first two ÷ 4, two digits ÷ 16; a U frame has the feet of its T frame', () => {
    for (const [name, height] of [...nemaFrames, ...nemaUFrames]) {
      const digits = name.replace(/\D/g, '');
      expect(height).toBe(digits.length === 2 ? Number(digits) / 16 : Number(digits.slice(0, 2)) / 4);
    }
    for (const [name, ...dims] of nemaUFrames) {
      const t = nemaFrames.find(([n]) => n === `${name.replace('U', '')}T`);
      expect(t?.slice(1, 6)).toEqual(dims.slice(0, 5));
    }
  });
  it('C faces: bolt circle and pilot', () => {
    const face = (digits: string): number[] =>
      nemaFaces
        .find(([re]) => re.test(digits))
        ?.slice(1)
        .map(Number) ?? [];
    expect(face('56')).toEqual([5.875, 4.5]);
    expect(face('145')).toEqual([5.875, 4.5]);
    expect(face('184')).toEqual([7.25, 8.5]);
    expect(face('256')).toEqual([7.25, 8.5]);
    expect(face('286')).toEqual([9, 10.5]);
    expect(face('365')).toEqual([11, 12.5]);
    expect(face('449')).toEqual([14, 16]);
  });
});

describe('IEC 60072-1 foot-mounted frames in mm (from memory, two passes)', () => {
  it('A and B, feet', () => {
    agrees(
      iecFrames,
      2,
      spread({
        100: '63M',
        112: '71M',
        125: '80M',
        140: '90S 90L',
        160: '100L',
        190: '112M',
        216: '132S 132M',
        254: '160M 160L',
        279: '180M 180L',
        318: '200L',
        356: '225S 225M',
        406: '250M',
        457: '280S 280M',
        508: '315S 315M 315L',
        610: '355M 355L',
      }),
    );
    agrees(
      iecFrames,
      3,
      spread({
        80: '63M',
        90: '71M',
        100: '80M 90S',
        125: '90L',
        140: '100L 112M 132S',
        178: '132M',
        210: '160M',
        254: '160L',
        241: '180M',
        279: '180L',
        305: '200L',
        286: '225S',
        311: '225M',
        349: '250M',
        368: '280S',
        419: '280M',
        406: '315S',
        457: '315M',
        508: '315L',
        560: '355M',
        630: '355L',
      }),
    );
  });
  it('C and D, shaft at four poles', () => {
    agrees(
      iecFrames,
      4,
      spread({
        40: '63M',
        45: '71M',
        50: '80M',
        56: '90S 90L',
        63: '100L',
        70: '112M',
        89: '132S 132M',
        108: '160M 160L',
        121: '180M 180L',
        133: '200L',
        149: '225S 225M',
        168: '250M',
        190: '280S 280M',
        216: '315S 315M 315L',
        254: '355M 355L',
      }),
    );
    agrees(
      iecFrames,
      6,
      spread({
        11: '63M',
        14: '71M',
        19: '80M',
        24: '90S 90L',
        28: '100L 112M',
        38: '132S 132M',
        42: '160M 160L',
        48: '180M 180L',
        55: '200L',
        60: '225S 225M',
        65: '250M',
        75: '280S 280M',
        80: '315S 315M 315L',
        95: '355M 355L',
      }),
    );
  });
  it('the name begins with the shaft height; two-pole shafts are never thicker', () => {
    for (const [name, height, , , , , d, , dFast] of iecFrames) {
      expect(Number.parseInt(name)).toBe(height);
      expect(dFast).toBeLessThanOrEqual(d);
    }
  });
});

describe('designations', () => {
  it.each([
    ['286T', 'nema', 177.8, 'T'],
    ['284TSC', 'nema', 177.8, 'T S C'],
    ['L56C', 'nema', 88.9, 'C'],
    ['56HJ', 'nema', 88.9, 'H J'],
    ['215JM', 'nema', 133.35, 'JM'],
    ['326 TZ', 'nema', 203.2, 'T Z'],
    ['254U', 'nema', 158.75, 'U'],
    ['182', 'nema', 114.3, ''],
    ['160L', 'iec', 160, ''],
    ['IEC 132 M', 'iec', 132, ''],
    ['112', 'iec', 112, ''],
    ['5007L', 'nema', 317.5, 'a'],
  ] as const)('%s is %s, %d mm high', (text, system, height, letters) => {
    const frame = readFrame(text, 'nema');
    expect(frame?.system).toBe(system);
    expect(frame?.shaftHeight).toBeCloseTo(height, 6);
    if (letters !== 'a') {
      const found = frame?.suffixes
        .map((s) => s.letter)
        .join(' ')
        .replace('TS', 'T S');
      expect(found).toBe(letters);
    }
  });
  it('a short shaft is shorter and thinner than the long one of its frame', () => {
    const [long, short] = [readFrame('365T'), readFrame('365TS')];
    expect((short?.shaftLength ?? 0) / inch).toBe(3.75);
    expect(short?.shaftDiameter).toBeLessThan(long?.shaftDiameter ?? 0);
  });
  it('NEMA and IEC neighbours stand within 2 mm of each other (standards’ own numbers)', () => {
    for (const [nema, metric] of [
      ['145T', '90L'],
      ['215T', '132S'],
      ['256T', '160L'],
      ['286T', '180L'],
      ['405T', '250M'],
      ['445T', '280M'],
    ] as const)
      expect(Math.abs((readFrame(nema)?.shaftHeight ?? 0) - (readFrame(metric)?.shaftHeight ?? 0)), nema).toBeLessThan(
        4.1,
      );
  });
  it('a special shaft promises no dimensions', () => expect(readFrame('286TZ')?.shaftDiameter).toBeUndefined());
});
