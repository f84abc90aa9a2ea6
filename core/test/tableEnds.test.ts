import { describe, expect, it } from 'vitest';
import { practice, practiceById } from '@pilgrim/core';
import * as iecCables from '../src/practice/iec/tables/conductors';
import * as iec from '../src/practice/iec/tables/motors';
import * as naCables from '../src/practice/north-america/tables/conductors';
import * as naGuard from '../src/practice/north-america/tables/guard';
import * as na from '../src/practice/north-america/tables/motors';

const hp = (n: number): number => n * practice.horsepower;
const kW = (n: number): number => n * 1000;
const { atBand, atNearestRating, atRating, exactly, reachesRating } = practice;
type AnyTable = practice.Table<string, unknown>;
const isTable = (of: unknown): of is AnyTable =>
  typeof of === 'object' && of !== null && 'rows' in of && 'columns' in of && 'source' in of;
const modules = { iecCables, iec, naCables, naGuard, na, practice } as const;
const tables = Object.entries(modules).flatMap(([place, module]) =>
  Object.entries(module as Record<string, unknown>).flatMap(([name, of]): [string, AnyTable][] =>
    isTable(of)
      ? [[`${place}.${name}`, of]]
      : Object.values((of ?? {}) as object).flatMap((inner, i): [string, AnyTable][] =>
          isTable(inner) ? [[`${place}.${name}.${i}`, inner]] : [],
        ),
  ),
);

describe('every table speaks from its first row to its last', () => {
  it('all of them are asked', () => {
    expect(tables.length).toBeGreaterThan(50);
  });
  it.each(tables)('%s', (name, of) => {
    const ratings = of.rows.map((r) => r[0]);
    // Nominal efficiencies are read from the highest down, by name.
    if (name === 'na.efficiencyBands') return;
    expect(ratings).toEqual(ratings.toSorted((a, b) => a - b));
    expect(new Set(ratings).size).toBe(ratings.length);
    for (const row of of.rows) expect(row.length).toBe(of.columns.length + 1);
    const [first, last] = [ratings[0] ?? 0, ratings.at(-1) ?? 0];
    for (const column of of.columns) {
      expect(atRating(of, first - Math.abs(first) * 0.05 - 0.001, column)).toBeUndefined();
      if (!Number.isFinite(last)) continue;
      for (const at of [atRating, atBand, exactly]) expect(at(of, last * 1.05 + 1, column)).toBeUndefined();
      expect(reachesRating(of, last * 1.05 + 1)).toBe(false);
    }
  });
  it('outside of it an estimate says where it ends; in a column that begins later, where that begins', () => {
    const at = (rating: number, column: '2' | '6') => atNearestRating(na.lockedRotorTorques, rating, column, 'hp');
    expect(at(500, '2')).toMatchObject({ value: 70, source: na.lockedRotorTorques.source });
    expect(at(600, '2')).toMatchObject({ value: 70, row: 500, source: { kind: 'model' } });
    expect(at(600, '2')?.source.part).toContain('500 hp, where it ends: NEMA MG 1');
    expect(at(0.75, '6')).toMatchObject({ value: 175, source: na.lockedRotorTorques.source });
    expect(at(0.75, '2')).toMatchObject({ value: 175, row: 1, source: { kind: 'model' } });
  });
});

describe('what a practice says beyond its tables is an estimate, or nothing', () => {
  const [american, european] = [practiceById('north-america'), practiceById('iec')];
  const kind = (of: { readonly source: { readonly kind: string } } | undefined) => of?.source.kind;
  it('least torques: to 500 hp and 630 kW, to eight poles', () => {
    for (const ask of ['lockedRotorTorque', 'breakdownTorque', 'pullUpTorque'] as const) {
      expect([500, 510].map((p) => kind(american[ask](hp(p), 4)))).toEqual(['standard', 'model']);
      expect([630, 640].map((p) => kind(european[ask](kW(p), 4)))).toEqual(['standard', 'model']);
      for (const of of [american, european])
        expect([8, 10].map((poles) => kind(of[ask](kW(11), poles)))).toEqual(['standard', 'model']);
    }
  });
  it('highest safe speeds: to 500 hp and 355 mm, to six poles', () => {
    expect([500, 510].map((p) => kind(american.safeSpeed(hp(p), 4)))).toEqual(['standard', 'model']);
    expect([200, 250].map((p) => kind(european.safeSpeed(kW(p), 4)))).toEqual(['standard', 'model']);
    expect(american.safeSpeed(hp(30), 8).value).toBe(1350);
    expect(kind(american.safeSpeed(hp(30), 8))).toBe('model');
    expect(american.safeSpeed(hp(0.5), 4)).toMatchObject({ value: 3600, source: { kind: 'standard' } });
  });
  it('usual efficiencies tell where their table ends', () => {
    const why = (of: practice.Practice, power: number) => of.usualEfficiency(power, 4).source.part;
    expect(why(american, hp(500))).not.toContain('where it ends');
    expect(why(american, hp(600))).toContain('500 hp, where it ends');
    expect(why(european, kW(375))).not.toContain('where it ends');
    expect(why(european, kW(1100))).toContain('where it ends');
  });
  it('table currents begin at half a horsepower', () => {
    expect(american.tableCurrent(hp(0.5), 460, 1)?.value).toBe(1.1);
    expect(american.tableCurrent(hp(0.33), 460, 0.9)).toBeUndefined();
    expect(american.tableCurrent(hp(500), 460, 600)?.value).toBe(590);
    expect(american.tableCurrent(hp(510), 460, 600)).toBeUndefined();
  });
  it('unmarked controllers to 1600 hp; starters to 600 V; earth conductors to a device of 6000 A', () => {
    const unmarked = (p: number) => american.defaultFaultRating?.(hp(p))?.value;
    expect([50, 200, 400, 600, 900, 1600, 1700].map(unmarked)).toEqual([
      ...[5000, 10_000, 18_000, 30_000, 42_000, 85_000, undefined],
    ]);
    expect([575, 600, 690].map((v) => american.starterSize(hp(10), v, 11)?.value)).toEqual([1, 1, undefined]);
    const phase = { name: 'huge', area: 5000, base: 1, resistance: 1, reactance: 1, parallel: true };
    const earth = (device: number) => american.earthConductor(device, phase, 'copper', 1)?.value.name;
    expect([6000, 6001].map(earth)).toEqual(['800 kcmil', undefined]);
  });
  it('a phase larger than its current asks makes the earth larger in proportion (250.122(B)), to its own size', () => {
    const phase = { name: '1/0 AWG', area: 53.5, base: 150, resistance: 1, reactance: 1, parallel: true };
    // Behind 100 A 8 AWG of 8.37 mm²; twice that is 16.7, 4 AWG of 21.2 by the next size up being 6 AWG of 13.3.
    const earth = (larger: number) => american.earthConductor(100, phase, 'copper', larger)?.value.name;
    expect([1, 1.5, 2, 4, 20].map(earth)).toEqual(['8 AWG', '6 AWG', '4 AWG', '2 AWG', '1/0 AWG']);
    expect(practiceById('iec').earthConductor(100, { ...phase, area: 50 }, 'copper', 4)?.value.area).toBe(25);
  });
  it('no conduit of the tables takes four conductors of a thousand kcmil', () => {
    const of = (area: number) => american.conduit?.([{ area, count: 4 }], 'emt')?.value.size;
    expect([1.4752, 1.4753].map(of)).toEqual(['4', undefined]);
  });
});

describe('entered again by column (from memory, two passes)', () => {
  const columns = (of: practice.Table): Record<string, (number | null | undefined)[]> =>
    Object.fromEntries(of.columns.map((name, i) => [name, of.rows.map((r) => r[i + 1])]));
  it('NEMA MG 1 12.35.2, A at 380 V and 50 Hz: a tenth above those of 60 Hz in proportion', () => {
    const ratings = [1, 1.5, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 75, 100, 125, 150, 200];
    const amperes = [20, 27, 34, 43, 61, 84, 107, 154, 194, 243, 289, 387, 482, 578, 722, 965, 1207, 1441, 1927];
    expect(na.lockedRotorCurrents50.rows).toEqual(ratings.map((r, i) => [r, amperes[i]]));
    for (const [rating, amps] of na.lockedRotorCurrents50.rows) {
      const at60 = (exactly(na.lockedRotorCurrents, rating, 'A') ?? 0) * (230 / 380);
      expect((amps ?? 0) / at60).toBeGreaterThan(1.08);
      expect((amps ?? 0) / at60).toBeLessThan(1.13);
    }
  });
  it('NEMA MG 1 Table 12-2, two, six and eight poles', () => {
    expect(columns(na.lockedRotorTorques)).toMatchObject({
      '2': [
        ...[null, 175, 175, 170, 160, 150, 140, 135, 130, 130, 130, 130, 125, 120, 120, 105, 105, 100, 100, 100],
        ...[70, 70, 70, 70, 70, 70],
      ],
      '6': [
        ...[175, 170, 165, 160, 155, 150, 150, 150, 140, 135, 135, 135, 135, 135, 135, 135, 125, 125, 120, 120],
        ...[100, 100, 100, 100, 100, 100],
      ],
    });
    expect(na.eightPoleLockedTorques.rows.map((r) => r[1])).toEqual([
      ...[140, 135, 135, 130, 130, 130, 130, 125, 125, 120, 120, 100],
    ]);
  });
  it('NEMA MG 1 Table 12-11 above 200 hp (10 CFR 431.25)', () => {
    const above = { ...na.energyEfficient, rows: na.energyEfficient.rows.filter(([rating]) => rating > 200) };
    expect(columns(above)).toEqual({
      'open 2': [94.5, 95, 95, 95.4, 95.8, 95.8],
      'open 4': [95.4, 95.4, 95.4, 95.4, 95.8, 95.8],
      'open 6': [95.4, 95.4, 95.4, null, null, null],
      'enclosed 2': [95.4, 95.4, 95.4, 95.4, 95.4, 95.4],
      'enclosed 4': [95, 95.4, 95.4, 95.4, 95.4, 95.8],
      'enclosed 6': [95, 95, 95, null, null, null],
    });
  });
  it('the United States asked that of 201 to 500 hp from 2010, premium from 2016', () => {
    const floor = (power: number, year: number) =>
      practiceById('north-america').efficiencyFloor(hp(power), 4, year)?.name;
    expect([2010, 2011, 2016, 2017].map((year) => floor(250, year))).toEqual([
      ...[undefined, 'energy efficient', 'energy efficient', 'premium'],
    ]);
    expect([2010, 2011].map((year) => floor(200, year))).toEqual(['energy efficient', 'premium']);
  });
  it('safe speeds: NEMA MG 1 Table 30-1 and IEC 60034-1 Table 17', () => {
    expect(columns(na.safeSpeeds)).toEqual({
      '2': [5200, 4500, 4500, 3600],
      '4': [3600, 2700, 2700, 2300],
      '6': [2400, 2400, 1800, 1800],
    });
    expect(columns(iec.safeSpeeds)).toEqual({
      '2': [5200, 4500, 4500, 3600],
      '4': [3600, 2700, 2300, 2300],
      '6': [2400, 2400, 1800, 1800],
    });
  });
  it('nominal systems of motors’ voltages (ANSI C84.1)', () => {
    expect(na.systemVoltages.rows).toEqual([
      [115, 120],
      [200, 208],
      [230, 240],
      [460, 480],
      [575, 600],
    ]);
  });
  it('IEC 60034-9, what sound rises from no load to full', () => {
    expect(columns(practice.soundOfLoad)).toEqual({
      '2': [2, 2, 2, 2, 2],
      '4': [5, 4, 3, 3, 2],
      '6': [7, 6, 6, 5, 4],
      '8': [8, 7, 7, 6, 5],
    });
  });
  it('IEC 60947-4-1 trip classes 5, 10A, 10, 20, 30 at 7.2 × cold', () => {
    expect(columns(practice.tripTimes)).toEqual({ above: [0.5, 2, 4, 6, 9], most: [5, 10, 10, 20, 30] });
  });
  it('small gG fuses: 4, 6, 8, 10, 12 A', () => {
    expect(columns(practice.smallFuseGates)).toEqual({
      within5: [18.5, 28, 35.2, 46.5, 55.2],
      within01: [47, 72, 92, 110, 140],
    });
  });
  it('NEMA MG 1 Table 14-1, 444T and 445T; none for a frame that the table has not', () => {
    const least = (frame: string) => (practiceById('north-america').leastSheave(frame)?.value ?? NaN) / 0.0254;
    expect(least('444T')).toBeCloseTo(11, 9);
    expect(least('445T')).toBeCloseTo(12.5, 9);
    expect(least('405T')).toBeCloseTo(11.5, 9);
    expect(least('447T')).toBeNaN();
  });
  it('IEC 60364-5-52, F in trefoil from 400 to 630 mm², and nothing there by any other method', () => {
    const f = (material: 'copper' | 'aluminium', insulation: 'pvc' | 'xlpe'): (number | null | undefined)[] =>
      iecCables.capacities[material][insulation].rows.filter(([area]) => area > 300).map((r) => r.at(-1));
    expect(f('copper', 'pvc')).toEqual([656, 749, 855]);
    expect(f('copper', 'xlpe')).toEqual([823, 946, 1088]);
    expect(f('aluminium', 'pvc')).toEqual([526, 610, 711]);
    expect(f('aluminium', 'xlpe')).toEqual([663, 770, 899]);
    for (const method of ['A1', 'B2', 'C', 'D1', 'E'] as const)
      expect(exactly(iecCables.capacities.copper.pvc, 400, method)).toBeUndefined();
    // Above 300 mm² PVC may only come to 140 °C: k 103 and 68 (IEC 60364-4-43, Table 43A).
    expect(iecCables.shortCircuitLarge).toEqual({
      copper: { pvc: 103, xlpe: 143 },
      aluminium: { pvc: 68, xlpe: 94 },
    });
  });
});
