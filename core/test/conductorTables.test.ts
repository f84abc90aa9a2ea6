import { describe, expect, it } from 'vitest';
import * as iec from '../src/practice/iec/tables/conductors';
import * as na from '../src/practice/north-america/tables/conductors';

// The second pass: every table entered again by column, without looking at the first.

type Rows = readonly (readonly (number | null)[])[];
const column = (rows: Rows, index: number): (number | null)[] => rows.map((r) => r[index] ?? null);
const known = (rows: Rows, index: number): number[] => column(rows, index).filter((v) => v !== null);
const rising = (values: readonly number[]): boolean => values.every((v, i) => i === 0 || v >= (values[i - 1] ?? 0));
const falling = (values: readonly number[]): boolean => values.every((v, i) => i === 0 || v <= (values[i - 1] ?? 9));

describe('NFPA 70 (2023), from memory, two passes', () => {
  it('Table 310.16, copper, 60, 75 and 90 °C', () => {
    expect(column(na.inRaceway.copper.rows, 1)).toEqual([
      15, 20, 30, 40, 55, 70, 85, 95, 110, 125, 145, 165, 195, 215, 240, 260, 280, 320, 350, 385, 400, 410, 435, 455,
    ]);
    expect(column(na.inRaceway.copper.rows, 2)).toEqual([
      20, 25, 35, 50, 65, 85, 100, 115, 130, 150, 175, 200, 230, 255, 285, 310, 335, 380, 420, 460, 475, 490, 520, 545,
    ]);
    expect(column(na.inRaceway.copper.rows, 3)).toEqual([
      25, 30, 40, 55, 75, 95, 115, 130, 145, 170, 195, 225, 260, 290, 320, 350, 380, 430, 475, 520, 535, 555, 585, 615,
    ]);
  }); // prettier-ignore
  it('Table 310.16, aluminium, from 12 AWG', () => {
    expect(column(na.inRaceway.aluminium.rows, 1)).toEqual([
      15, 25, 35, 40, 55, 65, 75, 85, 100, 115, 130, 150, 170, 195, 210, 225, 260, 285, 315, 320, 330, 355, 375,
    ]);
    expect(column(na.inRaceway.aluminium.rows, 2)).toEqual([
      20, 30, 40, 50, 65, 75, 90, 100, 120, 135, 155, 180, 205, 230, 250, 270, 310, 340, 375, 385, 395, 425, 445,
    ]);
    expect(column(na.inRaceway.aluminium.rows, 3)).toEqual([
      25, 35, 45, 55, 75, 85, 100, 115, 135, 150, 175, 205, 230, 260, 280, 305, 350, 385, 425, 435, 445, 480, 500,
    ]);
  }); // prettier-ignore
  it('Table 310.17, copper and aluminium at 75 °C, and copper at 60 and 90', () => {
    expect(column(na.inFreeAir.copper.rows, 2)).toEqual([
      30, 35, 50, 70, 95, 125, 145, 170, 195, 230, 265, 310, 360, 405, 445, 505, 545, 620, 690, 755, 785, 815, 870, 935,
    ]);
    expect(column(na.inFreeAir.copper.rows, 1)).toEqual([
      25, 30, 40, 60, 80, 105, 120, 140, 165, 195, 225, 260, 300, 340, 375, 420, 455, 515, 575, 630, 655, 680, 730, 780,
    ]);
    expect(column(na.inFreeAir.copper.rows, 3)).toEqual([
      35, 40, 55, 80, 105, 140, 165, 190, 220, 260, 300, 350, 405, 455, 500, 570, 615, 700, 780, 850, 885, 920, 980,
      1055,
    ]);
    expect(column(na.inFreeAir.aluminium.rows, 2)).toEqual([
      30, 40, 55, 75, 100, 115, 135, 155, 180, 210, 240, 280, 315, 350, 395, 425, 485, 545, 595, 620, 645, 700, 750,
    ]);
    expect(column(na.inFreeAir.aluminium.rows, 1)).toEqual([
      25, 35, 45, 60, 80, 95, 110, 130, 150, 175, 200, 235, 265, 290, 330, 355, 405, 455, 500, 515, 535, 580, 625,
    ]);
    expect(column(na.inFreeAir.aluminium.rows, 3)).toEqual([
      35, 45, 60, 85, 115, 130, 150, 175, 205, 235, 270, 315, 355, 395, 445, 480, 545, 615, 670, 700, 725, 790, 845,
    ]);
  }); // prettier-ignore
  it('rise with size, with the insulation’s temperature and in free air; aluminium carries less', () => {
    for (const tables of [na.inRaceway, na.inFreeAir])
      for (const table of [tables.copper, tables.aluminium]) {
        for (const i of [1, 2, 3]) expect(rising(known(table.rows, i))).toBe(true);
        for (const [, at60, at75, at90] of table.rows) expect(rising([at60 ?? 0, at75 ?? 0, at90 ?? 0])).toBe(true);
      }
    for (const row of na.inRaceway.aluminium.rows) {
      const copper = na.inRaceway.copper.rows.find((r) => r[0] === row[0]);
      const free = na.inFreeAir.aluminium.rows.find((r) => r[0] === row[0]);
      expect(row[2] ?? 0).toBeLessThan(copper?.[2] ?? 0);
      expect(free?.[2] ?? 0).toBeGreaterThanOrEqual(row[2] ?? 0);
    }
  });
  it('the correction is what the heat leaves: √((T − ambient) / (T − 30)), to two places (310.15(B)(1))', () => {
    for (const [i, limit] of [[1, 60], [2, 75], [3, 90]] as const)
      for (const row of na.ambientFactors.rows) {
        const factor = row[i];
        if (factor === null || factor === undefined) continue;
        // The table counts a band by its middle.
        expect(Math.abs(factor - Math.sqrt((limit - row[0] + 0) / (limit - 30)))).toBeLessThan(0.021 + 0.02 * factor);
      }
  }); // prettier-ignore
  it('Table 310.15(B)(1)(1) at 75 °C, and Table 310.15(C)(1)', () => {
    expect(known(na.ambientFactors.rows, 2)).toEqual([
      1.2, 1.15, 1.11, 1.05, 1, 0.94, 0.88, 0.82, 0.75, 0.67, 0.58, 0.47, 0.33,
    ]);
    expect(known(na.ambientFactors.rows, 1)).toEqual([1.29, 1.22, 1.15, 1.08, 1, 0.91, 0.82, 0.71, 0.58, 0.41]);
    expect(known(na.ambientFactors.rows, 3)).toEqual([
      1.15, 1.12, 1.08, 1.04, 1, 0.96, 0.91, 0.87, 0.82, 0.76, 0.71, 0.65, 0.58, 0.5, 0.41, 0.29,
    ]);
    expect(na.bundlingFactors.rows.map((r) => r.slice(0, 2))).toEqual([
      [3, 1], [6, 0.8], [9, 0.7], [20, 0.5], [30, 0.45], [40, 0.4], [1000, 0.35],
    ]);
  }); // prettier-ignore
  it('Table 250.122, copper and aluminium', () => {
    const named = (i: number) => known(na.earthSizes.rows, i).map((place) => na.wireSizes[place]?.[0].split(' ')[0]);
    expect(column(na.earthSizes.rows, 0)).toEqual([
      15, 20, 60, 100, 200, 300, 400, 500, 600, 800, 1000, 1200, 1600, 2000, 2500, 3000, 4000, 5000, 6000,
    ]);
    expect(named(1)).toEqual(
      '14 12 10 8 6 4 3 2 1 1/0 2/0 3/0 4/0 250 350 400 500 700 800'.split(' '),
    );
    expect(named(2)).toEqual(
      '12 10 8 6 4 2 1 1/0 2/0 3/0 4/0 250 350 400 600 600 750 1250 1250'.split(' '),
    );
  }); // prettier-ignore
  it('240.6(A), standard ratings', () => {
    expect(na.deviceRatings).toEqual([
      15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500,
      600, 700, 800, 1000, 1200, 1600, 2000, 2500, 3000, 4000, 5000, 6000,
    ]);
    const fuses = new Set(na.fuseRatings);
    expect([1, 3, 6, 10, 601].filter((r) => fuses.has(r) && !na.deviceRatings.includes(r as 15))).toHaveLength(5);
    expect(na.fuseRatings).toHaveLength(na.deviceRatings.length + 5);
    expect(na.fuseRatings).toEqual(na.fuseRatings.toSorted((a, b) => a - b));
  }); // prettier-ignore
  it('Chapter 9, Table 9: resistance in steel, reactance in PVC', () => {
    expect(known(na.wireImpedance.rows, 1)).toEqual([
      3.1, 2, 1.2, 0.78, 0.49, 0.31, 0.25, 0.2, 0.16, 0.12, 0.1, 0.079, 0.063, 0.054, 0.045, 0.039, 0.035, 0.029, 0.025,
      0.021, 0.018,
    ]);
    expect(known(na.wireImpedance.rows, 6)).toEqual([
      0.058, 0.054, 0.05, 0.052, 0.051, 0.048, 0.047, 0.045, 0.046, 0.044, 0.043, 0.042, 0.041, 0.041, 0.041, 0.04,
      0.04, 0.039, 0.039, 0.038, 0.037,
    ]);
    // Resistance goes with the area: within a few per cent until skin effect and steel tell.
    for (const [place, r] of na.wireImpedance.rows.slice(0, 9)) {
      const area = na.wireSizes[place]?.[1] ?? NaN;
      expect(((r ?? 0) * area) / 6.4).toBeGreaterThan(0.96);
      expect(((r ?? 0) * area) / 6.4).toBeLessThan(1.08);
    }
  }); // prettier-ignore
  it('Chapter 9, Tables 4 and 5: THHN and 40 % of EMT', () => {
    expect(known(na.wireAreas.rows, 1)).toEqual([
      0.0097, 0.0133, 0.0211, 0.0366, 0.0507, 0.0824, 0.0973, 0.1158, 0.1562, 0.1855, 0.2223, 0.2679, 0.3237, 0.397,
      0.4608, 0.5242, 0.5863, 0.7073, 0.8676, 0.9887, 1.0496, 1.1085, 1.2311, 1.3478,
    ]);
    expect(known(na.conduitAreas.rows, 1)).toEqual([
      0.122, 0.213, 0.346, 0.598, 0.814, 1.342, 2.343, 3.538, 4.618, 5.901,
    ]);
    for (const i of [1, 2, 3]) expect(rising(known(na.conduitAreas.rows, i))).toBe(true);
  }); // prettier-ignore
  it('Chapter 9, Tables 4, 5 and 9: XHHW, 40 % of RMC and PVC schedule 40, aluminium resistances', () => {
    expect(known(na.wireAreas.rows, 2)).toEqual([
      0.0139, 0.0181, 0.0243, 0.0437, 0.059, 0.0814, 0.0962, 0.1146, 0.1534, 0.1825, 0.219, 0.2642, 0.3197, 0.3904,
      0.4536, 0.5166, 0.5782, 0.6984, 0.8709, 0.9923, 1.0532, 1.1122, 1.2351, 1.3519,
    ]);
    expect(known(na.conduitAreas.rows, 2)).toEqual([0.125, 0.22, 0.355, 0.61, 0.829, 1.363, 1.946, 3, 4.004, 5.153]);
    expect(known(na.conduitAreas.rows, 3)).toEqual([
      0.114, 0.203, 0.333, 0.581, 0.794, 1.316, 1.878, 2.907, 3.895, 5.022,
    ]);
    expect(known(na.wireImpedance.rows, 3)).toEqual([
      3.2, 2, 1.3, 0.81, 0.51, 0.4, 0.32, 0.25, 0.2, 0.16, 0.13, 0.1, 0.086, 0.072, 0.063, 0.055, 0.045, 0.038, 0.031,
      0.025,
    ]);
    expect(known(na.wireImpedance.rows, 4)).toEqual([
      3.2, 2, 1.3, 0.81, 0.51, 0.4, 0.32, 0.25, 0.2, 0.16, 0.13, 0.1, 0.085, 0.071, 0.061, 0.054, 0.043, 0.036, 0.029,
      0.023,
    ]);
  }); // prettier-ignore
  it('UL 508A, Supplement SB: what an unmarked motor controller counts as', () => {
    expect(na.defaultFaultRatings.rows).toEqual([
      [50, 5000],
      [200, 10000],
      [400, 18000],
      [600, 30000],
      [900, 42000],
      [1600, 85000],
    ]);
  });
  it('NEMA ICS 2, largest motor of a starter size', () => {
    expect(known(na.starterSizes.rows, 2)).toEqual([1.5, 3, 7.5, 15, 30, 50, 100, 200, 300]);
    expect(known(na.starterSizes.rows, 3)).toEqual([1.5, 5, 10, 25, 50, 75, 150, 300]);
    expect(known(na.starterSizes.rows, 4)).toEqual([2, 5, 10, 25, 50, 100, 200, 400, 600]);
    expect(known(na.starterSizes.rows, 1)).toEqual([1.5, 3, 7.5, 10, 25, 40, 75, 150]);
  });
});

describe('IEC 60364-5-52 (from memory, two passes)', () => {
  const areas = [1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120, 150, 185, 240, 300, 400, 500, 630];
  const of = (table: { readonly rows: Rows }, method: string): number[] =>
    known(table.rows, 1 + iec.installationMethods.findIndex((m) => m === method));
  const { copper, aluminium } = iec.capacities;
  it('has the sizes that are made', () => {
    expect(column(copper.pvc.rows, 0)).toEqual(areas);
    expect(column(copper.xlpe.rows, 0)).toEqual(areas);
    expect(column(aluminium.pvc.rows, 0)).toEqual(areas.slice(1));
  });
  it.each([
    ['A1', [13.5, 18, 24, 31, 42, 56, 73, 89, 108, 136, 164, 188, 216, 245, 286, 328]],
    ['A2', [13, 17.5, 23, 29, 39, 52, 68, 83, 99, 125, 150, 172, 196, 223, 261, 298]],
    ['B1', [15.5, 21, 28, 36, 50, 68, 89, 110, 134, 171, 207, 239, 262, 296, 346, 394]],
    ['B2', [15, 20, 27, 34, 46, 62, 80, 99, 118, 149, 179, 206, 225, 255, 297, 339]],
    ['C', [17.5, 24, 32, 41, 57, 76, 96, 119, 144, 184, 223, 259, 299, 341, 403, 464]],
    ['D1', [18, 24, 30, 38, 50, 64, 82, 98, 116, 143, 169, 192, 217, 243, 280, 316]],
    ['D2', [19, 24, 33, 41, 54, 70, 92, 110, 130, 162, 193, 220, 246, 278, 320, 359]],
    ['E', [18.5, 25, 34, 43, 60, 80, 101, 126, 153, 196, 238, 276, 319, 364, 430, 497]],
    ['F', [110, 137, 167, 216, 264, 308, 356, 409, 485, 561, 656, 749, 855]],
  ])('copper, PVC, method %s', (method, second) => expect(of(copper.pvc, method)).toEqual(second));
  it.each([
    ['A1', [17, 23, 31, 40, 54, 73, 95, 117, 141, 179, 216, 249, 285, 324, 380, 435]],
    ['B1', [20, 28, 37, 48, 66, 88, 117, 144, 175, 222, 269, 312, 342, 384, 450, 514]],
    ['B2', [19.5, 26, 35, 44, 60, 80, 105, 128, 154, 194, 233, 268, 300, 340, 398, 455]],
    ['C', [22, 30, 40, 52, 71, 96, 119, 147, 179, 229, 278, 322, 371, 424, 500, 576]],
    ['D1', [21, 28, 36, 44, 58, 75, 96, 115, 135, 167, 197, 223, 251, 281, 324, 365]],
    ['A2', [16.5, 22, 30, 38, 51, 68, 89, 109, 130, 164, 197, 227, 259, 295, 346, 396]],
    ['D2', [23, 30, 39, 49, 65, 84, 107, 129, 153, 188, 226, 257, 287, 324, 375, 419]],
    ['E', [23, 32, 42, 54, 75, 100, 127, 158, 192, 246, 298, 346, 399, 456, 538, 621]],
    ['F', [135, 169, 207, 268, 328, 383, 444, 510, 607, 703, 823, 946, 1088]],
  ])('copper, XLPE, method %s', (method, second) => expect(of(copper.xlpe, method)).toEqual(second));
  it.each([
    ['A1', [14, 18.5, 24, 32, 43, 57, 70, 84, 107, 129, 149, 170, 194, 227, 261]],
    ['B1', [16.5, 22, 28, 39, 53, 70, 86, 104, 133, 161, 186, 204, 230, 269, 306]],
    ['A2', [13.5, 17.5, 23, 31, 41, 53, 65, 78, 98, 118, 135, 155, 176, 207, 237]],
    ['B2', [15.5, 21, 27, 36, 48, 62, 77, 92, 116, 139, 160, 176, 199, 232, 265]],
    ['D1', [18.5, 24, 30, 39, 50, 64, 77, 91, 112, 132, 150, 169, 190, 218, 247]],
    ['D2', [53, 69, 83, 99, 122, 148, 169, 189, 214, 250, 282]],
    ['F', [84, 105, 128, 166, 203, 237, 274, 315, 375, 434, 526, 610, 711]],
    ['C', [18.5, 25, 32, 44, 59, 73, 90, 110, 140, 170, 197, 227, 259, 305, 351]],
    ['E', [19.5, 26, 33, 46, 61, 78, 96, 117, 150, 183, 212, 245, 280, 330, 381]],
  ])('aluminium, PVC, method %s', (method, second) => expect(of(aluminium.pvc, method)).toEqual(second));
  it.each([
    ['B1', [22, 29, 38, 52, 71, 93, 116, 140, 179, 217, 251, 267, 300, 351, 402]],
    ['A1', [19, 25, 32, 44, 58, 76, 94, 113, 142, 171, 197, 226, 256, 300, 344]],
    ['A2', [18, 24, 31, 41, 55, 71, 87, 104, 131, 157, 180, 206, 233, 273, 313]],
    ['B2', [21, 28, 35, 48, 64, 84, 103, 124, 156, 188, 216, 240, 272, 318, 364]],
    ['D1', [22, 28, 35, 46, 59, 75, 90, 106, 130, 154, 174, 197, 220, 253, 286]],
    ['D2', [64, 82, 98, 117, 144, 172, 197, 220, 250, 290, 326]],
    ['F', [103, 129, 159, 206, 253, 296, 343, 395, 471, 547, 663, 770, 899]],
    ['C', [24, 32, 41, 57, 76, 90, 112, 136, 174, 211, 245, 283, 323, 382, 440]],
    ['E', [24, 32, 42, 58, 77, 97, 120, 146, 187, 227, 263, 304, 347, 409, 471]],
  ])('aluminium, XLPE, method %s', (method, second) => expect(of(aluminium.xlpe, method)).toEqual(second));
  it('rise with size; XLPE carries more than PVC; open methods more than closed; aluminium .74 to .82 of copper', () => {
    for (const { pvc, xlpe } of [copper, aluminium])
      for (const method of iec.installationMethods) {
        for (const table of [pvc, xlpe]) expect(rising(of(table, method))).toBe(true);
        of(pvc, method).forEach((v, i) => expect(of(xlpe, method)[i] ?? 0).toBeGreaterThan(v));
      }
    for (const table of [copper.pvc, copper.xlpe])
      for (const row of table.rows) expect(rising([row[2] ?? 0, row[4] ?? 0, row[5] ?? 0, row[8] ?? 0])).toBe(true);
    const ratios = of(aluminium.pvc, 'C').map((v, i) => v / (of(copper.pvc, 'C')[i + 1] ?? 0));
    for (const ratio of ratios) expect(ratio).toBeGreaterThan(0.73);
    for (const ratio of ratios) expect(ratio).toBeLessThan(0.82);
  });
  it('IEC 60364-4-41, Table 41.1: 0.8, 0.4, 0.2 and 0.1 s by the voltage to earth', () => {
    expect(iec.disconnectionTimes.rows).toEqual([
      [120, 0.8],
      [230, 0.4],
      [400, 0.2],
      [1000, 0.1],
    ]);
  });
  it('factors: air, ground and groups', () => {
    expect(known(iec.airFactors.rows, 1)).toEqual([1.22, 1.17, 1.12, 1.06, 1, 0.94, 0.87, 0.79, 0.71, 0.61, 0.5]);
    expect(known(iec.airFactors.rows, 2).slice(4, 9)).toEqual([1, 0.96, 0.91, 0.87, 0.82]);
    expect(known(iec.groundFactors.rows, 1).slice(0, 6)).toEqual([1.1, 1.05, 1, 0.95, 0.89, 0.84]);
    // Table B.52.17, by its rows: item 1 bunched, 2 on a wall, 4 on a perforated tray; B.52.20 and B.52.21 spaced.
    const at = (of: { readonly rows: Rows }, n: number, column: number) => of.rows.find((r) => r[0] === n)?.[column];
    expect([2, 3, 4, 5, 6, 9].map((n) => at(iec.bunchedGroups, n, 1))).toEqual([0.8, 0.7, 0.65, 0.6, 0.57, 0.5]);
    expect([2, 3, 4, 9].map((n) => at(iec.layerGroups, n, 1))).toEqual([0.85, 0.79, 0.75, 0.7]);
    expect([2, 3, 4, 9].map((n) => at(iec.layerGroups, n, 2))).toEqual([0.88, 0.82, 0.77, 0.72]);
    expect([2, 3].map((n) => at(iec.spacedGroups, n, 1))).toEqual([0.94, 0.9]);
    expect([2, 3, 4, 6].map((n) => at(iec.spacedGroups, n, 2))).toEqual([1, 0.98, 0.95, 0.91]);
    expect([2, 3, 4].map((n) => at(iec.spacedGroups, n, 3))).toEqual([0.98, 0.96, null]);
    for (const [of, columns] of [
      [iec.bunchedGroups, 1],
      [iec.layerGroups, 3],
      [iec.spacedGroups, 3],
    ] as const)
      for (let i = 1; i <= columns; i++) expect(falling(known(of.rows, i))).toBe(true);
    for (const i of [1, 2]) expect(falling(known(iec.groundGroups.rows, i))).toBe(true);
  });
});
