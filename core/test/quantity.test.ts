import { describe, expect, it } from 'vitest';
import {
  clip,
  dimensionOfUnit,
  dimensions,
  findUnit,
  interpolate,
  isMinute,
  q,
  readGroups,
  readNumber,
  readQuantity,
  unitLabel,
  unitTextOf,
  writeExact,
  writeGroups,
  writeNumber,
  writeQuantity,
  type Dimension,
  type UnitId,
} from '@pilgrim/core';

const value = (dimension: Dimension, text: string): number => {
  const read = readQuantity(dimension, text);
  if (!read.ok) expect.fail(read.message);
  return read.value.value;
};
const refused = (dimension: Dimension, text: string): string => {
  const read = readQuantity(dimension, text);
  return read.ok ? `read as ${read.value.value}` : read.message;
};
const groups = (dimension: Dimension, text: string) => {
  const read = readGroups(dimension, text);
  return read.ok ? read.value.groups : read.message;
};

describe('numbers as the trade writes them', () => {
  it.each([
    ['3/4', 0.75],
    ['-3/4', -0.75],
    ['1 1/2', 1.5],
    ['1-1/2', 1.5],
    ['-1 1/2', -1.5],
    ['+2', 2],
    ['1½', 1.5],
    ['½', 0.5],
    ['7 ⅞', 7.875],
    ['27,9', 27.9],
    ['2.79 × 10⁹', 2.79e9],
    ['2.79 x 10^9', 2.79e9],
    ['-4*10^12', -4e12],
    ['1234,5', 1234.5],
    ['.5', 0.5],
    ['1.5e3', 1500],
    ['1e-3', 0.001],
    ['−40', -40],
    ['3⁄4', 0.75],
    [' 12 ', 12],
    ['1\u00a01/2', 1.5],
    ['10 3/16', 10.1875],
    ['1 10/16', 1.625],
    ['12 13/16', 12.8125],
  ])('%s is %d', (text, wanted) => expect(readNumber(text)).toEqual({ ok: true, value: wanted }));
  it.each(['', ' ', 'abc', '1/0', '1 1', '1.2.3', '--1', '0x', '1/2/3', 'x1 1/2', 'x1/2'])('"%s" is none', (text) => {
    const read = readNumber(text);
    expect(read.ok ? read.value : read.message).toBe(`"${text.trim()}" is not a number`);
  });
  it('a comma before three digits could be two numbers, and both are named', () => {
    const read = readNumber('1,250');
    expect(read.ok ? '' : read.message).toBe('"1,250" could be 1250 or 1.250: write it without the comma');
    expect(readNumber('12,500').ok).toBe(false);
    expect(readNumber('123,500').ok).toBe(false);
    expect(readNumber('-1,250').ok).toBe(false);
    expect(readNumber('1,25')).toEqual({ ok: true, value: 1.25 });
    expect(readNumber('1,2500')).toEqual({ ok: true, value: 1.25 });
    expect(readNumber('1234,567')).toEqual({ ok: true, value: 1234.567 });
  });
});

describe('quantities', () => {
  it.each([
    ['power', '3/4 hp', 559.2749],
    ['power', '11kW', 11000],
    ['torque', '50 lbf ft', 67.7909],
    ['torque', '600 in-lb', 67.7909],
    ['torque', '50 lb ft', 67.7909],
    ['torque', '50 ft lb', 67.7909],
    ['torque', '50 ft  lbf', 67.7909],
    ['torque', '600 lb in', 67.7909],
    ['torque', '2 kgf m', 19.6133],
    ['torque', '2 kg m', 19.6133],
    ['inertia', '285 lb ft2', 12.01],
    ['inertia', '285 lb·ft^2', 12.01],
    ['torque', '2 kgf·m', 19.6133],
    ['length', '3 "', 0.0762],
    ['speed', '24.5 rev/s', 1470],
    ['speed', '10 rad/s', 95.49297],
    ['temperature', '104 °F', 40],
    ['temperature', '313.15 K', 40],
    ['temperature', '-40 degF', -40],
    ['temperatureRise', '144 degF', 80],
    ['inertia', '48 kg·m² GD2', 12],
    ['inertia', '1 slug·ft²', 1.355818],
    ['flow', '1050 gpm', 0.0662449],
    ['pressure', '7.2 inH2O', 1793.44],
    ['time', '2 min', 120],
    ['current', '830 mA', 0.83],
    ['resistance', '120 mΩ', 0.12],
    ['resistance', '0.641 Ω', 0.641],
  ] as const)('%s: %s', (dimension, text, wanted) => {
    expect(Math.abs(value(dimension, text) / wanted - 1)).toBeLessThan(1e-5);
  });
  it('keeps what was typed', () => {
    const read = readQuantity('power', '  30 HP ');
    expect(read.ok && read.value.text).toBe('30 HP');
    expect(unitTextOf('30 HP')).toBe('HP');
    expect(unitTextOf('1 1/2 hp')).toBe('hp');
    expect(unitTextOf('hp')).toBe('');
    expect(unitTextOf('30')).toBe('');
  });
  it('takes another case of a unit only where one unit fits', () => {
    expect(value('power', '11 KW')).toBe(11000);
    // M is mega and m is milli: no guess where both would fit.
    expect(value('power', '1 MW')).toBe(1e6);
    expect(refused('current', '5 aMpS')).toBe('read as 5');
  });
  it.each([
    ['power', '', 'is empty: write a power such as "30 hp", "11 kW", "3/4 hp"'],
    ['power', 'thirty', '"thirty" is not a power such as "30 hp", "11 kW", "3/4 hp"'],
    ['power', '30', '"30" has no unit: write a power such as "30 hp", "11 kW", "3/4 hp"'],
    ['power', '30 A', '"A" is a unit of current: write a power such as "30 hp", "11 kW", "3/4 hp"'],
    ['power', '30 xyz', '"xyz" is not a unit known here: write a power such as "30 hp", "11 kW", "3/4 hp"'],
    ['power', '1,250 W', '"1,250" could be 1250 or 1.250: write it without the comma'],
  ] as const)('%s "%s" is refused in words', (dimension, text, message) => {
    expect(refused(dimension, text)).toBe(message);
  });
  it('refuses what is beyond the trade, and takes what lies on the limit', () => {
    expect(refused('power', '1e15 W')).toBe('read as 1000000000000000');
    expect(refused('power', '1.1e15 W')).toContain('is too large');
    expect(refused('power', '-1.1e15 W')).toContain('is too large');
    expect(refused('power', '1e-9 W')).toBe('read as 1e-9');
    expect(refused('power', '0.9e-9 W')).toContain('is too small');
    expect(refused('power', '0 W')).toBe('read as 0');
    expect(refused('power', '1e400 W')).toContain('not a number');
    // Where a scale has its own nought, next to nothing is a reading like any other.
    expect(value('temperature', '1e-10 degF')).toBeCloseTo(-17.7778, 4);
    expect([0, 1e-9, -1e-9, 0.99e-9, -0.99e-9].map(isMinute)).toEqual([false, false, false, true, true]);
  });
  it('long typed text is cut in messages at forty characters', () => {
    expect(clip('a'.repeat(40))).toBe('a'.repeat(40));
    expect(clip(`  ${'a'.repeat(41)} `)).toBe(`${'a'.repeat(40)}…`);
  });
});

describe('grouped ratings', () => {
  it.each([
    ['voltage', '208-230/460 V', [[208, 230], [460]]],
    ['voltage', '230/460 V', [[230], [460]]],
    [
      'voltage',
      '220–240/380–415 V',
      [
        [220, 240],
        [380, 415],
      ],
    ],
    ['current', '79-72/36 A', [[79, 72], [36]]],
    ['current', '3/4 A', [[0.75]]],
    ['current', '1 1/2 A', [[1.5]]],
    ['current', '1-1/2 A', [[1.5]]],
    ['current', '½ A', [[0.5]]],
    ['current', '30/25 A', [[30], [25]]],
    ['current', '5/7 A', [[5], [7]]],
    ['current', '0.83 kA', [[830]]],
    ['current', '11/2 A', [[11], [2]]],
    ['current', '12 1/2 A', [[12.5]]],
    ['current', '12-1/2 A', [[12.5]]],
    ['current', '1½ A', [[1.5]]],
    ['current', '10-½ A', [[10.5]]],
    ['current', ' 5/7 A ', [[5], [7]]],
  ] as const)('%s %s', (dimension, text, wanted) => expect(groups(dimension, text)).toEqual(wanted));
  it.each([
    ['voltage', '', '"" is not a voltage, grouped as on the plate, such as "208-230/460 V"'],
    ['voltage', '230/460', '"230/460" has no unit: write a voltage, grouped as on the plate, such as "208-230/460 V"'],
    ['current', '12 V', '"V" is not a unit of current: write a current such as "36 A" or grouped as on the plate'],
    ['current', '0/5 A', '"0" in "0/5 A" must be above zero'],
    ['power', '-5 kW', '"-5 kW" is below zero: a power on a plate must be above zero'],
    ['power', '− 5 kW', '"− 5 kW" is below zero: a power on a plate must be above zero'],
    [
      'current',
      '12//5 A',
      'in "12//5 A", "" is not a number: write a current such as "36 A" or grouped as on the plate',
    ],
    ['current', '5/0.0000000001 A', '"0.0000000001" in "5/0.0000000001 A" is too small for a current'],
    ['current', '5/9999999999999999 A', '"9999999999999999" in "5/9999999999999999 A" is too large for a current'],
  ] as const)('%s "%s" is refused in words', (dimension, text, message) => {
    expect(groups(dimension, text)).toBe(message);
  });
  it('keep what was typed', () => {
    const read = readGroups('current', ' 79-72/36 A ');
    expect(read.ok && read.value.text).toBe('79-72/36 A');
  });
  it('are written so that they read back alike', () => {
    expect(writeGroups([[208, 230], [460]], 'V')).toBe('208-230/460 V');
    expect(groups('voltage', writeGroups([[208, 230], [460]], 'V'))).toEqual([[208, 230], [460]]);
  });
});

describe('writing: three significant figures and a unit one can read', () => {
  it.each([
    [0, '0'],
    [2, '2.00'],
    [0.5, '0.500'],
    [12.34, '12.3'],
    [99.96, '100'],
    [123.4, '123'],
    [1234, '1230'],
    [129798, '130000'],
    [-0.05678, '-0.0568'],
    [0.0001234, '0.000123'],
    [0.00001234, '1.23e-5'],
    [9.994e9, '9990000000'],
    [9.996e9, '1.00e+10'],
    [NaN, '—'],
    [Infinity, '—'],
  ])('%d is "%s"', (number, text) => expect(writeNumber(number)).toBe(text));
  it('more figures where asked', () =>
    expect([writeNumber(1234.5, 4), writeNumber(1234.5, 6)]).toEqual(['1235', '1234.50']));
  it.each([
    [999, 'W', '999 W (1.34 hp)'],
    [1000, 'W', '1.00 kW (1.34 hp)'],
    [9.99e6, 'W', '9990 kW (13400 hp)'],
    [1e7, 'W', '10.0 MW (13400 hp)'],
    [0, 'W', '0 kW (0 hp)'],
    [999, 'VA', '999 VA'],
    [750e3, 'VA', '750 kVA'],
    [1e7, 'VA', '10.0 MVA'],
    [2.71, 'N.m', '2.71 N·m (2.00 lbf·ft)'],
    [99_900, 'N.m', '99900 N·m (73700 lbf·ft)'],
    [123_456, 'N.m', '123 kN·m (91100 lbf·ft)'],
    [9990, 'N', '9990 N (2250 lbf)'],
    [10_000, 'N', '10.0 kN (2250 lbf)'],
    [0.0999, 'm', '99.9 mm (3.93 in)'],
    [0.1, 'm', '0.100 m (0.328 ft)'],
    [9999, 'A', '10000 A'],
    [10_000, 'A', '10.0 kA'],
    [12.5, 'A', '12.5 A'],
    [5, 'A', '5 A'],
    [0.099, 'ohm', '99.0 mΩ'],
    [0.1, 'ohm', '0.100 Ω'],
    [1800, 'Pa', '1800 Pa (7.23 inH2O)'],
    [10_000, 'Pa', '10.0 kPa (40.1 inH2O)'],
    [999, 'J', '999 J'],
    [129_798, 'J', '130 kJ'],
    [2.5e6, 'J', '2.50 MJ'],
    [3e9, 'J', '3.00 GJ'],
    [40, 'degC', '40 °C (104 °F)'],
    [-17.75, 'degC', '-17.8 °C (0.1 °F)'],
    [80, 'K', '80.0 K (144 °F)'],
    [460, 'V', '460 V'],
    [62.55, 'V', '62.5 V'],
    [460.4, 'V', '460 V'],
    [1764.6, 'rpm', '1765 r/min'],
    [99.94, 'rpm', '99.9 r/min'],
    [100, 'rpm', '100 r/min'],
    [59.94, 'Hz', '59.94 Hz'],
    [60, 'Hz', '60 Hz'],
    [28.575, 'mm', '28.6 mm'],
    [123_456, 'kWh/a', '123000 kWh a year'],
    [8760, 'h', '8760 h'],
    [3.14, 'a', '3.1 years'],
    [0.924, '1', '0.924'],
    [0.87654, '1', '0.877'],
    [1.0512, '1', '1.05'],
    [59.5, 'Hz', '59.5 Hz'],
    [1.0123, '1', '1.0123'],
    [0.9512, '1', '0.9512'],
    [1.06, '1', '1.06'],
    [3, '1', '3'],
    [1776.4, '1', '1776'],
    [2.58, 'kW', '2.58 kW'],
    [1500, 'kW', '1500 kW'],
    [1234.56, 'money', '1235'],
    [999_400, 'A2.s', '999000 A²·s'],
    [1_322_500, 'A2.s', '1.32 × 10⁶ A²·s'],
    [2.79e10, 'A2.s', '2.79 × 10¹⁰ A²·s'],
    [85.04, 'dB', '85 dB'],
    [12.5, '1/h', '12.5 an hour'],
  ] as const)('%d %s is "%s"', (number, unit, text) => expect(writeQuantity(number, unit)).toBe(text));
  it('one reading where asked', () => {
    expect(writeQuantity(1000, 'W', 'si')).toBe('1.00 kW');
    expect(writeQuantity(1000, 'W', 'us')).toBe('1.34 hp');
    expect(writeQuantity(460, 'V', 'us')).toBe('460 V');
  });
  it('exactly, in the base unit, where it is read again', () => {
    expect(writeExact(67.79089755, 'N.m')).toBe('67.79089755 N·m');
    expect(writeExact(0.1, '1')).toBe('0.1');
  });
  it('units have labels, and dimensions their base units', () => {
    expect((['1', 'kg.m2', 'degC', 'ohm', 'kWh/a', 'rpm'] as UnitId[]).map(unitLabel)).toEqual([
      '',
      'kg·m²',
      '°C',
      'Ω',
      'kWh a year',
      'r/min',
    ]);
    expect(dimensionOfUnit('N.m')?.label).toBe('torque');
    expect(dimensionOfUnit('J')).toBeUndefined();
    expect(findUnit(dimensions.torque, 'lbf·ft')?.names[0]).toBe('lbf·ft');
    expect(findUnit(dimensions.torque, 'V')).toBeUndefined();
  });
});

describe('points joined by straight lines', () => {
  const points = [
    [1, 10],
    [2, 20],
    [2, 25],
    [4, 5],
  ] as const;
  it.each([
    [0, 10],
    [1, 10],
    [1.5, 15],
    [2, 20],
    [3, 15],
    [4, 5],
    [9, 5],
  ])('at %d: %d', (x, wanted) => expect(interpolate(points, x, 7)).toBe(wanted));
  it('none', () => expect(interpolate([], 1, 7)).toBe(7));
  it('one', () => expect([0, 1, 2].map((x) => interpolate([[1, 3]], x, 7))).toEqual([3, 3, 3]));
});

it('q only brands', () => expect(q(5, 'W')).toBe(5));
