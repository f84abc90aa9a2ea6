import { describe, expect, it } from 'vitest';
import { practice, runs } from '@pilgrim/core';

const { demandLimits, demandRow, equipmentLimits, fifthLimits, groupOf, driveClass, usualChoke, dutyOverload } =
  practice;

/** A table by its columns, as it is entered a second time. */
const columnsOf = (table: practice.Table): Record<string, (number | null | undefined)[]> =>
  Object.fromEntries(table.columns.map((c, i) => [c, table.rows.map((r) => r[i + 1])]));

describe('limits of distortion, entered a second time by column', () => {
  it('IEEE 519 (2022), Table 2: odd harmonics by order, and the demand distortion', () => {
    expect(columnsOf(demandLimits)).toEqual({
      '3': [0.04, 0.07, 0.1, 0.12, 0.15],
      '11': [0.02, 0.035, 0.045, 0.055, 0.07],
      '17': [0.015, 0.025, 0.04, 0.05, 0.06],
      '23': [0.006, 0.01, 0.015, 0.02, 0.025],
      '35': [0.003, 0.005, 0.007, 0.01, 0.014],
      tdd: [0.05, 0.08, 0.12, 0.15, 0.2],
    });
    expect(demandLimits.rows.map((r) => r[0])).toEqual([20, 50, 100, 1000, Infinity]);
  });
  it('its rows end below 20, 50, 100 and 1000; its groups begin at 11, 17, 23 and 35', () => {
    const at = (ratio: number): number | null | undefined => demandRow(ratio)?.[6];
    expect([19.9, 20, 49.9, 50, 99, 100, 999, 1000, 1e6].map(at)).toEqual([
      ...[0.05, 0.08, 0.08, 0.12, 0.12, 0.15, 0.15, 0.2, 0.2],
    ]);
    expect([5, 7, 11, 13, 17, 19, 23, 25, 35, 49].map(groupOf)).toEqual([
      ...['3', '3', '11', '11', '17', '17', '23', '23', '35', '35'],
    ]);
  });
  it('IEC 61000-3-12 (2011), Tables 3 and 4', () => {
    expect(columnsOf(equipmentLimits)).toEqual({
      '5': [0.107, 0.14, 0.19, 0.31, 0.4],
      '7': [0.072, 0.09, 0.12, 0.2, 0.25],
      '11': [0.031, 0.05, 0.07, 0.12, 0.15],
      '13': [0.02, 0.03, 0.04, 0.07, 0.1],
      thc: [0.13, 0.16, 0.22, 0.37, 0.48],
      pwhc: [0.22, 0.25, 0.28, 0.38, 0.46],
    });
    expect(equipmentLimits.rows.map((r) => r[0])).toEqual([33, 66, 120, 250, 350]);
    expect(columnsOf(fifthLimits)).toEqual({
      '5': [0.107, 0.4],
      '7': [0.072, 0.25],
      '11': [0.031, 0.15],
      '13': [0.02, 0.1],
      thc: [0.13, 0.48],
      pwhc: [0.22, 0.46],
    });
    expect(fifthLimits.rows.map((r) => r[0])).toEqual([33, 120]);
  });
  it('as equipment it is judged from 16 to 75 A, by the row it keeps', () => {
    type Shares = [number, number][];
    const of = (current: number, shares: Shares, ratio?: number, fifth?: number): string[] => {
      const texts: string[] = [];
      practice.iec.judgeEquipment?.({ current, ratio, shares, fifth, voltage: undefined }, (t) => texts.push(t));
      return texts;
    };
    const said = (current: number, fifth: number, ratio?: number): string[] => of(current, [[5, fifth]], ratio);
    expect(said(15.9, 0.9)).toEqual([]);
    expect(said(75.1, 0.9)).toEqual([]);
    expect(said(40, 0.1, 33)).toEqual([]);
    expect(said(40, 0.1, 32)[0]).toContain('33 times its own or more, here it is 32 times');
    expect(said(40, 0.19)[0]).toContain('120 times its own or more.');
    expect(said(40, 0.3)[0]).toContain('250 times its own or more.');
    expect(said(40, 0.4)[0]).toContain('350 times its own or more.');
    expect(said(40, 0.41, 1000)[0]).toContain('more than any fault level permits');
    // A fifth as a bridge with a choke has it, from 90° to 150°, is judged by Table 4: 120 is enough.
    for (const angle of [90, 120, 150]) expect(of(40, [[5, 0.4]], 120, angle)).toEqual([]);
    for (const angle of [89, 151]) expect(of(40, [[5, 0.4]], 120, angle)[0]).toContain('350 times');
    // What lies from the 14th on counts weighted by its order: √17 × 5.3 % are 21.9 %, 5.4 % are 22.3 %.
    expect(of(40, [[17, 0.053]])[0]).toContain('33 times');
    expect(of(40, [[17, 0.054]])[0]).toContain('66 times');
    expect(
      of(40, [
        [13, 0.02],
        [41, 0.9],
      ])[0],
    ).toContain('33 times');
  });
  it('a bridge behind a choke has its fifth between 90° and 150°; on a bare stiff source it lies later', () => {
    const fifth = (reactance: number, choke: number) => runs.drawnBy('six-pulse', reactance, choke, 5)?.fifth ?? NaN;
    expect(fifth(0.005, 0.03)).toBeGreaterThan(90);
    expect(fifth(0.005, 0.03)).toBeLessThan(150);
    expect(fifth(0.001, 0)).toBeGreaterThan(150);
    // Ideal commutation that takes long turns it further back.
    expect(fifth(0.005, 0.1)).toBeLessThan(90);
    expect(runs.drawnBy('active', 0.01, 0, 10)?.fifth).toBeUndefined();
  });
  it('North America has no such standard', () => {
    expect(practice.northAmerica.judgeEquipment).toBeUndefined();
  });
});

describe('how drives are made', () => {
  it('classes of voltage, each to its end', () => {
    const of = (line: number): number | undefined => driveClass(line)?.chopper;
    expect([208, 240, 250, 380, 480, 505, 525, 600, 620, 690, 760, 761].map(of)).toEqual([
      ...[390, 390, 390, 780, 780, 780, 975, 975, 975, 1120, 1120, undefined],
    ]);
  });
  it('a choke is built in beyond 7.5 kW; duties give 110 and 150 % for a minute', () => {
    expect([usualChoke(7500), usualChoke(7700)]).toEqual([0, 0.045]);
    expect([dutyOverload.normal.minute, dutyOverload.heavy.minute]).toEqual([1.1, 1.5]);
  });
});
