import { describe, expect, it } from 'vitest';
import {
  figureIds,
  figureName,
  interpolate,
  isFigureId,
  isSaidInPercent,
  methodOfFigure,
  monotone,
  readConductorSize,
  rotates,
  unitOfFigure,
  worstFirst,
  writeQuantity,
  q,
} from '@pilgrim/core';
import { exceeds, reaches } from '../src/law';
import { vibrationZones } from '../src/practice';
import { conveyor, solved } from './cases';

describe('ids of figures', () => {
  it('are those of the tables, and those of a method by head, method and kind, nothing longer', () => {
    expect(isFigureId('load.power')).toBe(true);
    expect(isFigureId('start.direct.time')).toBe(true);
    for (const none of ['start.direct', 'start.direct.time.more', 'start.nobody.time', 'stop.direct.time', 'load.none'])
      expect(isFigureId(none), none).toBe(false);
  });
  it('have a unit, a method where they belong to one, and a name in words', () => {
    expect([unitOfFigure('load.power'), unitOfFigure('start.direct.time'), unitOfFigure('no.such')]).toEqual([
      'W',
      's',
      undefined,
    ]);
    expect([methodOfFigure('start.star-delta.time'), methodOfFigure('load.power')]).toEqual(['star-delta', undefined]);
    expect(figureName('start.direct.voltageDip')).toMatch(/^Dip at the bus, /);
    expect(figureName('load.power')).toBe('Power at the machine');
    expect(figureName('later.versionsFigure')).toBe('Versions figure');
  });
  it('slips, drops, dips and shares of heat are said in per cent, other ratios are not', () => {
    for (const said of ['plate.slip', 'guard.voltageDrop', 'start.direct.thermalUse', 'drive.stopHeat'] as const)
      expect(isSaidInPercent(said), said).toBe(true);
    for (const plain of ['load.margin', 'start.direct.time', 'plate.powerFactor'] as const)
      expect(isSaidInPercent(plain), plain).toBe(false);
  });
  it('what is said in per cent is a hundred times its value, to two decimals below ten and one below a hundred', () => {
    const { figures } = solved({ ...conveyor, method: 'direct' });
    const said = figureIds.filter((id) => isSaidInPercent(id) && figures[id]);
    expect(said.length).toBeGreaterThan(5);
    for (const id of said) {
      const { value, text } = figures[id] ?? { value: NaN, text: '' };
      const [, number = '', decimals = ''] = /^(-?\d+(?:\.(\d+))?) %/.exec(text) ?? [];
      const percent = 100 * value;
      const most = Math.abs(percent) < 10 ? 2 : Math.abs(percent) < 100 ? 1 : 0;
      expect(decimals.length, `${id}: ${text}`).toBeLessThanOrEqual(most);
      expect(Math.abs(Number(number) - percent), `${id}: ${text}`).toBeLessThanOrEqual(0.5 * 10 ** -most + 1e-9);
    }
  });
});

describe('words of the contract', () => {
  it('findings stand worst first, then as the stations do', () => {
    const at = (level: 'stop' | 'caution' | 'note', station: 'plate' | 'guard' | 'cost') => ({ level, station });
    expect(
      worstFirst([at('note', 'plate'), at('caution', 'cost'), at('stop', 'cost'), at('caution', 'guard')]).map(
        (f) => `${f.level} ${f.station}`,
      ),
    ).toEqual(['stop cost', 'caution guard', 'caution cost', 'note plate']);
  });
  it('a pump and a fan do harm turned the wrong way; a hoist turns both ways, and of what nobody named nothing is said', () => {
    expect([rotates('centrifugal-pump'), rotates('centrifugal-fan')]).toEqual([true, true]);
    expect([rotates('hoist'), rotates('machine-tool'), rotates('other'), rotates(undefined)]).toEqual([
      false,
      false,
      false,
      false,
    ]);
  });
});

describe('sizes as they are written', () => {
  // ASTM B258: 10 AWG 5.26 mm², 4/0 107.2 mm²; 250 kcmil 126.7 mm².
  it.each([
    ['10 AWG', 5.261],
    ['#10 awg', 5.261],
    ['1/0 AWG', 53.48],
    ['4/0 AWG', 107.2],
    ['250 kcmil', 126.7],
    ['250 MCM', 126.7],
    [' 16 mm2 ', 16],
    ['2.5 sqmm', 2.5],
  ])('%s is %d mm²', (text, area) => {
    const read = readConductorSize(text);
    expect(read).toBeDefined();
    expect((read ?? 0) / area).toBeCloseTo(1, 3);
  });
  it.each(['5/0 AWG', '41 AWG', '2.5 AWG', '2/0 mm2', '0 mm2', '16', 'mm2', '16 mm2 or so', ''])(
    '%j is none',
    (text) => {
      expect(readConductorSize(text)).toBeUndefined();
    },
  );
});

describe('between points', () => {
  const points = [
    [0, 0],
    [10, 100],
    [20, 100],
  ] as const;
  it('straight lines, held beyond both ends; what is not there is said by the caller', () => {
    expect([-1, 0, 5, 10, 15, 20, 99].map((x) => interpolate(points, x, -7))).toEqual([0, 0, 50, 100, 100, 100, 100]);
    expect(interpolate([], 5, -7)).toBe(-7);
    // A step upward is taken at its own place.
    expect(interpolate([[0, 1], [5, 1], [5, 2], [9, 2]], 5, 0)).toBe(1); // prettier-ignore
    expect(interpolate([[5, 2]], 4, 0)).toBe(2); // prettier-ignore
  });
  it('a smooth curve meets its points, keeps to their order and never overshoots', () => {
    const rising = monotone([[0, 0], [1, 1], [2, 8], [3, 9], [4, 9]]); // prettier-ignore
    expect([-5, 0, 1, 2, 3, 4, 50].map(rising)).toEqual([0, 0, 1, 8, 9, 9, 9]);
    let last = -Infinity;
    for (let x = 0; x <= 4; x += 1 / 64) {
      const y = rising(x);
      expect(y).toBeGreaterThanOrEqual(last);
      expect(y).toBeLessThanOrEqual(9);
      last = y;
    }
    const hill = monotone([[0, 0], [1, 4], [2, 0]]); // prettier-ignore
    for (let x = 0; x <= 2; x += 1 / 32) expect(hill(x)).toBeLessThanOrEqual(4);
    // By hand: slopes 1 and 7 at its middle of equal widths, 3 · 2 ÷ (3 ÷ 1 + 3 ÷ 7) = 1.75; at half of [1, 2] the
    // cubic from 1 to 8 with slopes 1.75 and 3 · 2 ÷ (3 ÷ 7 + 3 ÷ 1) = 1.75 is half way.
    expect(rising(1.5)).toBeCloseTo(4.5, 9);
    expect(monotone([])(3)).toBe(0);
  });
});

it('a limit met to the rounding of its own digits is met', () => {
  for (const limit of [0.1, 5, 125]) {
    expect([exceeds(limit, limit), reaches(limit, limit)]).toEqual([false, true]);
    expect([exceeds(1.001 * limit, limit), reaches(0.999 * limit, limit)]).toEqual([true, false]);
    expect([exceeds(limit * (1 + 1e-12), limit), reaches(limit * (1 - 1e-12), limit)]).toEqual([false, true]);
  }
});

it('a ratio near one says how far off it is; what is a count stays whole', () => {
  expect([1, 12, 1.0123, 0.98765, 0.5, 1500.4].map((x) => writeQuantity(q(x, '1'), '1'))).toEqual([
    '1',
    '12',
    '1.0123',
    '0.9877',
    '0.5',
    '1500',
  ]);
});

it('zones of vibration by rating and support, on both sides of 15 and 300 kW', () => {
  // ISO 10816-1, class I; ISO 20816-3, groups 2 and 1.
  expect(vibrationZones(15_000, 'rigid').zones).toEqual([0.71, 1.8, 4.5]);
  expect(vibrationZones(15_001, 'rigid').zones).toEqual([1.4, 2.8, 4.5]);
  expect(vibrationZones(300_000, 'flexible').zones).toEqual([2.3, 4.5, 7.1]);
  expect(vibrationZones(300_001, 'rigid').zones).toEqual([2.3, 4.5, 7.1]);
  expect(vibrationZones(300_001, 'flexible').zones).toEqual([3.5, 7.1, 11]);
  expect(vibrationZones(undefined, 'rigid').zones).toEqual([1.4, 2.8, 4.5]);
});
