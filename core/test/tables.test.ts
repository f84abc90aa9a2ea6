import { describe, expect, it } from 'vitest';
import * as naGuard from '../src/practice/north-america/tables/guard';
import * as na from '../src/practice/north-america/tables/motors';
import * as iec from '../src/practice/iec/tables/motors';

// The second pass: every table entered again, by column instead of by row, without looking at the first.

const column = (rows: readonly (readonly (number | null)[])[], index: number): (number | null)[] =>
  rows.map((r) => r[index] ?? null);
const rising = (values: readonly (number | null)[]): boolean => {
  const known = values.filter((v) => v !== null);
  return known.every((v, i) => i === 0 || v >= (known[i - 1] ?? 0));
};

describe('NFPA 70 Table 430.250 (from memory, two passes)', () => {
  it.each([
    [1, [2.5, 3.7, 4.8, 6.9, 7.8, 11, 17.5, 25.3, 32.2, 48.3, 62.1, 78.2, 92, 120, 150, 177, 221, 285, 359, 414, 552]],
    [
      2,
      [2.4, 3.5, 4.6, 6.6, 7.5, 10.6, 16.7, 24.2, 30.8, 46.2, 59.4, 74.8, 88, 114, 143, 169, 211, 273, 343, 396, 528],
    ],
    [3, [2.2, 3.2, 4.2, 6, 6.8, 9.6, 15.2, 22, 28, 42, 54, 68, 80, 104, 130, 154, 192, 248, 312, 360, 480]],
    [
      4,
      [
        1.1, 1.6, 2.1, 3, 3.4, 4.8, 7.6, 11, 14, 21, 27, 34, 40, 52, 65, 77, 96, 124, 156, 180, 240, 302, 361, 414, 477,
        515, 590,
      ],
    ],
    [
      5,
      [
        0.9, 1.3, 1.7, 2.4, 2.7, 3.9, 6.1, 9, 11, 17, 22, 27, 32, 41, 52, 62, 77, 99, 125, 144, 192, 242, 289, 336, 382,
        412, 472,
      ],
    ],
  ])('column %i', (index, second) => {
    expect(column(naGuard.tableCurrents.rows, index).filter((v) => v !== null)).toEqual(second);
  });
  it('rises with power, and 208 V is 1.1 × 230 V, 200 V 1.15 × (the table’s own pattern)', () => {
    for (let i = 1; i <= 5; i++) expect(rising(column(naGuard.tableCurrents.rows, i))).toBe(true);
    for (const [, at200, at208, at230] of naGuard.tableCurrents.rows) {
      if (!at200 || !at208 || !at230) continue;
      expect(at208 / at230).toBeCloseTo(1.1, 1);
      expect(at200 / at230).toBeCloseTo(1.15, 1);
    }
  });
});

describe('NFPA 70 Table 430.7(B) (from memory, two passes)', () => {
  it('bands', () => {
    expect(naGuard.codeLetters.map(([letter]) => letter).join('')).toBe('ABCDEFGHJKLMNPRSTUV');
    expect(naGuard.codeLetters.map(([, , high]) => high)).toEqual([
      3.14,
      3.54,
      3.99,
      4.49,
      4.99,
      5.59,
      6.29,
      7.09,
      7.99,
      8.99,
      9.99,
      11.19,
      12.49,
      13.99,
      15.99,
      17.99,
      19.99,
      22.39,
      undefined,
    ]);
  });
  it('meet without a gap', () => {
    for (const [i, [, low]] of naGuard.codeLetters.entries()) {
      const before = naGuard.codeLetters[i - 1]?.[2];
      if (before !== undefined) expect(low - before).toBeCloseTo(0.01, 6);
    }
  });
});

describe('NEMA MG 1 Table 12-12 (from memory, two passes)', () => {
  it.each([
    [
      1,
      'open 2',
      [
        77, 84, 85.5, 85.5, 86.5, 88.5, 89.5, 90.2, 91, 91.7, 91.7, 92.4, 93, 93.6, 93.6, 93.6, 94.1, 94.1, 95, 95,
        95.4, 95.4, 95.8, 96.2, 96.2,
      ],
    ],
    [
      2,
      'open 4',
      [
        85.5, 86.5, 86.5, 89.5, 89.5, 91, 91.7, 93, 93, 93.6, 94.1, 94.1, 94.5, 95, 95, 95.4, 95.4, 95.8, 95.8, 95.8,
        95.8, 95.8, 95.8, 96.2, 96.2,
      ],
    ],
    [
      3,
      'open 6',
      [
        82.5, 86.5, 87.5, 88.5, 89.5, 90.2, 91.7, 91.7, 92.4, 93, 93.6, 94.1, 94.1, 94.5, 94.5, 95, 95, 95.4, 95.4,
        95.8, 95.8, 95.8, 95.8, 96.2, 96.2,
      ],
    ],
    [
      4,
      'enclosed 2',
      [
        77, 84, 85.5, 86.5, 88.5, 89.5, 90.2, 91, 91, 91.7, 91.7, 92.4, 93, 93.6, 93.6, 94.1, 95, 95, 95.4, 95.8, 95.8,
        95.8, 95.8, 95.8, 95.8,
      ],
    ],
    [
      5,
      'enclosed 4',
      [
        85.5, 86.5, 86.5, 89.5, 89.5, 91.7, 91.7, 92.4, 93, 93.6, 93.6, 94.1, 94.5, 95, 95.4, 95.4, 95.4, 95.8, 96.2,
        96.2, 96.2, 96.2, 96.2, 96.2, 96.2,
      ],
    ],
    [
      6,
      'enclosed 6',
      [
        82.5, 87.5, 88.5, 89.5, 89.5, 91, 91, 91.7, 91.7, 93, 93, 94.1, 94.1, 94.5, 94.5, 95, 95, 95.8, 95.8, 95.8,
        95.8, 95.8, 95.8, 95.8, 95.8,
      ],
    ],
  ])('column %i, %s poles', (index, _, second) => {
    expect(column(na.premiumEfficiency.rows, index).filter((v) => v !== null)).toEqual(second);
  });
  it('every efficiency is a nominal value of Table 12-10', () => {
    const nominal = new Set(na.efficiencyBands.rows.map(([n]) => n));
    for (const [, ...values] of na.premiumEfficiency.rows)
      for (const v of values) if (v !== null) expect(nominal).toContain(v);
  });
  it('Table 12-10: the minimum allows about a fifth more loss', () => {
    for (const [n, least] of na.efficiencyBands.rows)
      expect((100 / (least ?? NaN) - 1) / (100 / n - 1)).toBeCloseTo(1.2, 0);
  });
});

describe('IEC 60034-30-1 at 50 Hz (from memory, two passes)', () => {
  it.each([
    [
      2,
      'IE2 4',
      [
        79.6, 81.4, 82.8, 84.3, 85.5, 86.6, 87.7, 88.7, 89.8, 90.6, 91.2, 91.6, 92.3, 92.7, 93.1, 93.5, 94, 94.2, 94.5,
        94.7, 94.9, 95.1,
      ],
    ],
    [
      4,
      'IE3 2',
      [
        80.7, 82.7, 84.2, 85.9, 87.1, 88.1, 89.2, 90.1, 91.2, 91.9, 92.4, 92.7, 93.3, 93.7, 94, 94.3, 94.7, 95, 95.2,
        95.4, 95.6, 95.8,
      ],
    ],
    [
      5,
      'IE3 4',
      [
        82.5, 84.1, 85.3, 86.7, 87.7, 88.6, 89.6, 90.4, 91.4, 92.1, 92.6, 93, 93.6, 93.9, 94.2, 94.6, 95, 95.2, 95.4,
        95.6, 95.8, 96,
      ],
    ],
    [
      6,
      'IE3 6',
      [
        78.9, 81, 82.5, 84.3, 85.6, 86.8, 88, 89.1, 90.3, 91.2, 91.7, 92.2, 92.9, 93.3, 93.7, 94.1, 94.6, 94.9, 95.1,
        95.4, 95.6, 95.8,
      ],
    ],
    [
      8,
      'IE4 4',
      [
        85.7, 87.2, 88.2, 89.5, 90.4, 91.1, 91.9, 92.6, 93.3, 93.9, 94.2, 94.5, 94.9, 95.2, 95.4, 95.7, 96, 96.1, 96.3,
        96.4, 96.6, 96.7,
      ],
    ],
  ])('column %i, %s poles, 0.75 to 200 kW', (index, _, second) => {
    expect(column(iec.efficiencies.rows, index).slice(0, 22)).toEqual(second);
  });
  it('rises with power, and each class is above the one before', () => {
    for (let i = 1; i <= 9; i++) expect(rising(column(iec.efficiencies.rows, i))).toBe(true);
    for (const row of iec.efficiencies.rows) {
      for (let i = 1; i <= 6; i++) expect(row[i + 3] ?? 0).toBeGreaterThan(row[i] ?? 100);
    }
  });
});

describe('locked rotor (from memory, two passes)', () => {
  it('NEMA MG 1 12.35.1, A at 230 V', () => {
    expect(column(na.lockedRotorCurrents.rows, 1)).toEqual([
      20, 25, 30, 40, 50, 64, 92, 127, 162, 232, 290, 365, 435, 580, 725, 870, 1085, 1450, 1815, 2170, 2900, 3650, 4400,
      5100, 5800, 6500, 7250,
    ]);
  });
  it('NEMA MG 1 Table 12-2, four poles, % of rated torque', () => {
    expect(column(na.lockedRotorTorques.rows, 2).slice(1, 20)).toEqual([
      275, 250, 235, 215, 185, 175, 165, 160, 150, 150, 150, 140, 140, 140, 140, 125, 110, 110, 100,
    ]);
  });
});

describe('NEMA MG 1 Table 12-11 (from memory, two passes)', () => {
  it.each([
    [1, 'open 2', [82.5, 84, 84, 85.5, 87.5, 88.5, 89.5, 90.2, 91, 91, 91.7, 92.4, 93, 93, 93, 93.6, 93.6, 94.5]],
    [2, 'open 4', [82.5, 84, 84, 86.5, 87.5, 88.5, 89.5, 91, 91, 91.7, 92.4, 93, 93, 93.6, 94.1, 94.1, 94.5, 95, 95]],
    [
      3,
      'open 6',
      [80, 84, 85.5, 86.5, 87.5, 88.5, 90.2, 90.2, 91, 91.7, 92.4, 93, 93, 93.6, 93.6, 94.1, 94.1, 94.5, 94.5],
    ],
    [
      4,
      'enclosed 2',
      [75.5, 82.5, 84, 85.5, 87.5, 88.5, 89.5, 90.2, 90.2, 91, 91, 91.7, 92.4, 93, 93, 93.6, 94.5, 94.5, 95],
    ],
    [
      5,
      'enclosed 4',
      [82.5, 84, 84, 87.5, 87.5, 89.5, 89.5, 91, 91, 92.4, 92.4, 93, 93, 93.6, 94.1, 94.5, 94.5, 95, 95],
    ],
    [
      6,
      'enclosed 6',
      [80, 85.5, 86.5, 87.5, 87.5, 89.5, 89.5, 90.2, 90.2, 91.7, 91.7, 93, 93, 93.6, 93.6, 94.1, 94.1, 95, 95],
    ],
  ])('column %i, %s poles, 1 to 200 hp', (index, _, second) => {
    const to200 = na.energyEfficient.rows.filter(([rating]) => rating <= 200);
    expect(column(to200, index).filter((v) => v !== null)).toEqual(second);
  });
  it('every value is a nominal one, and none is above the premium value of its rating', () => {
    const nominal = new Set(na.efficiencyBands.rows.map(([n]) => n));
    for (const [hp, ...values] of na.energyEfficient.rows)
      for (const [i, v] of values.entries()) {
        if (v === null) continue;
        expect(nominal).toContain(v);
        const premium = na.premiumEfficiency.rows.find((r) => r[0] === hp)?.[i + 1] ?? 0;
        expect(premium, `${hp} hp, column ${i + 1}`).toBeGreaterThanOrEqual(v);
      }
  });
});

describe('IEC 60034-30-1, IE1 (from memory, two passes)', () => {
  const [two, four] = [
    [45, 52.8, 54.6, 58.2, 63.9, 64.9, 69],
    [50, 57, 58.5, 61.5, 66, 66.8, 70],
  ];
  const both = [
    72.1, 75, 77.2, 79.7, 81.5, 83.1, 84.7, 86, 87.6, 88.7, 89.3, 89.9, 90.7, 91.2, 91.7, 92.1, 92.7, 93, 93.3, 93.5,
    93.8, 94, 94,
  ];
  it.each([
    [1, '2', [...two, ...both]],
    [2, '4', [...four, ...both]],
    [
      3,
      '6',
      [
        38.3, 45.5, 47.6, 52.1, 59.7, 61.1, 65.8, 70, 72.9, 75.2, 77.7, 79.7, 81.4, 83.1, 84.7, 86.4, 87.7, 88.6, 89.2,
        90.2, 90.8, 91.4, 91.9, 92.6, 92.9, 93.3, 93.5, 93.8, 94, 94,
      ],
    ],
  ])('column %i, %s poles', (index, _, second) => expect(column(iec.ie1.rows, index)).toEqual(second));
  it('lies below IE2 everywhere', () => {
    for (const [kw, ...values] of iec.ie1.rows)
      for (const [i, v] of values.entries())
        expect(
          [...iec.smallEfficiencies.rows, ...iec.efficiencies.rows].find((r) => r[0] === kw)?.[i + 1],
        ).toBeGreaterThan(v ?? 0);
  });
});

describe('torques by design (from memory, two passes)', () => {
  it('NEMA MG 1 12.39.1, breakdown, by number of poles, in rows of the table', () => {
    expect(column(na.breakdownTorques.rows, 1)).toEqual([null, null, null, 250, 240, 230, 215, 200, 200, 200, 175]);
    expect(column(na.breakdownTorques.rows, 2)).toEqual([null, null, 300, 280, 270, 250, 225, 215, 200, 200, 175]);
    expect(column(na.breakdownTorques.rows, 3)).toEqual([null, 275, 265, 250, 240, 230, 215, 205, 200, 200, 175]);
    expect(column(na.breakdownTorques.rows, 4)).toEqual([225, 220, 215, 210, 210, 205, 205, 200, 200, 200, 175]);
  });
  it('NEMA MG 1 12.38.2 and 12.39.2, design C; 12.38.3, design D', () => {
    expect(column(na.designCLockedTorques.rows, 1)).toEqual([285, 285, 285, 270, 255, 250, 250, 225, 200]);
    expect(column(na.designCLockedTorques.rows, 2)).toEqual([255, 250, 250, 250, 250, 225, 225, 210, 200]);
    expect(column(na.designCLockedTorques.rows, 3)).toEqual([225, 225, 225, 225, 225, 200, 200, 200, 200]);
    expect(na.designCBreakdownTorques.rows.map((r) => r.slice(1))).toEqual([
      [200, 225, 200],
      [200, 200, 200],
      [200, 190, 190],
      [190, 190, 190],
    ]);
    expect(na.designDLockedTorque).toBe(275);
  });
  it('IEC 60034-12 Table 1, design N: locked rotor and breakdown by bands', () => {
    expect(column(iec.lockedRotorTorques.rows, 1)).toEqual([
      1.9, 1.8, 1.8, 1.7, 1.6, 1.5, 1.5, 1.4, 1.3, 1.2, 1.1, 1, 0.9, 0.8, 0.75, 0.65,
    ]);
    expect(column(iec.lockedRotorTorques.rows, 2)).toEqual([
      2, 1.9, 1.9, 1.8, 1.7, 1.6, 1.6, 1.5, 1.4, 1.3, 1.2, 1.1, 1, 0.9, 0.75, 0.65,
    ]);
    expect(column(iec.breakdownTorques.rows, 1)).toEqual([
      2, 2, 2, 2, 2, 2, 2, 2, 1.9, 1.9, 1.8, 1.8, 1.7, 1.7, 1.6, 1.6,
    ]);
    expect(column(iec.breakdownTorques.rows, 2)).toEqual([
      2, 2, 2, 2, 2, 2, 2, 2, 1.9, 1.9, 1.8, 1.8, 1.7, 1.7, 1.6, 1.6,
    ]);
    expect(column(iec.breakdownTorques.rows, 3)).toEqual([
      1.7, 1.8, 1.9, 1.9, 1.9, 1.9, 1.8, 1.8, 1.8, 1.8, 1.7, 1.7, 1.7, 1.6, 1.6, 1.6,
    ]);
    expect(iec.lockedRotorPower.rows).toEqual([
      [6.3, 13],
      [25, 12],
      [100, 11],
      [630, 10],
    ]);
  });
});
