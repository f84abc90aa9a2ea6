import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  dimensions,
  fieldUnit,
  nameplate,
  readGroups,
  readQuantity,
  readTyped,
  repairDigits,
  type Dimension,
} from '@pilgrim/core';

const value = (dimension: Dimension, text: string): number => {
  const read = readQuantity(dimension, text);
  return read.ok ? read.value.value : expect.fail(read.message);
};

describe('units as people write them', () => {
  it.each([
    ['voltage', '460 VAC', 460],
    ['voltage', '460Vac', 460],
    ['voltage', '400 V AC', 400],
    ['voltage', '3x400 V', 400],
    ['voltage', '3 x 400V', 400],
    ['voltage', '3×400 V', 400],
    ['voltage', '3~ 400 V', 400],
    ['voltage', '3 ph 480 V', 480],
    ['voltage', '3 V', 3],
    ['speed', '1475 1/min', 1475],
    ['speed', '1475 /min', 1475],
    ['speed', '1475 U/min', 1475],
    ['power', '10 h.p.', 7457],
    ['power', '10 H.P.', 7457],
    ['power', '10 PS', 7355],
    ['power', '10 cv', 7355],
    ['power', '7,5 kW', 7500],
    ['frequency', '60 cy', 60],
    ['frequency', '50 cps', 50],
    ['torque', '50 ft-lbs', 67.79],
    ['torque', '50 ftlb', 67.79],
    ['torque', '50 lb-ft', 67.79],
    ['torque', '600 in-lbs', 67.79],
  ] as const)('%s "%s"', (dimension, text, expected) => {
    expect(value(dimension, text) / expected).toBeCloseTo(1, 4);
  });
  it.each([
    ['230/460 VAC', [[230], [460]]],
    ['3x400/690 V', [[400], [690]]],
    ['230/400 V Δ/Y', [[230], [400]]],
    ['230/400 V D/Y', [[230], [400]]],
  ] as const)('voltages of a plate: "%s"', (text, expected) => {
    const read = readGroups('voltage', text);
    expect(read.ok && read.value.groups).toEqual(expected);
  });
  it('no unit has two meanings within its dimension', () => {
    for (const [name, spec] of Object.entries(dimensions)) {
      const all = spec.units.flatMap((u) => u.names);
      expect(new Set(all).size, name).toBe(all.length);
    }
  });
});

describe('what is typed in a field that shows its unit', () => {
  it('a bare number takes the unit; a unit of its own is kept', () => {
    expect(readTyped('voltage', '460', 'V')).toEqual({ text: '460 V', by: 'unit' });
    expect(readTyped('power', '7,5', 'kW')).toEqual({ text: '7,5 kW', by: 'unit' });
    expect(readTyped('power', '3/4', 'hp')).toEqual({ text: '3/4 hp', by: 'unit' });
    expect(readTyped('power', '10 hp', 'kW')).toEqual({ text: '10 hp' });
    expect(readTyped('voltage', '', 'V')).toEqual({ text: '' });
  });
  it('groups of a plate too', () => {
    expect(readTyped('voltage', '230/460', 'V', true)).toEqual({ text: '230/460 V', by: 'unit' });
    expect(readTyped('voltage', '208-230/460', 'V', true)).toEqual({ text: '208-230/460 V', by: 'unit' });
    expect(readTyped('voltage', '230/460', 'V').text).toBe('230/460');
  });
  it('letters among figures are repaired and said', () => {
    expect(readTyped('speed', 'I770 rpm', 'r/min')).toEqual({ text: '1770 rpm', by: 'letters' });
    expect(readTyped('frequency', '6O', 'Hz')).toEqual({ text: '60 Hz', by: 'letters' });
    expect(readTyped('power', 'l5 hp', 'hp')).toEqual({ text: '15 hp', by: 'letters' });
  });
  it('what cannot be read comes back as typed', () => {
    for (const text of ['abc', '10 V', '1,234', 'O', 'Il', '10 furlongs', '--'])
      expect(readTyped('power', text, 'kW')).toEqual({ text });
  });
  it('repair touches nothing but letters in a number', () => {
    expect([repairDigits('6O Hz'), repairDigits('Oil'), repairDigits('10 lbf'), repairDigits('20 l/s')]).toEqual([
      '60 Hz',
      'Oil',
      '10 lbf',
      '20 l/s',
    ]);
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 1e6, noNaN: true }),
        fc.constantFrom('hp', 'kW', 'lbf', 'Ω'),
        (n, unit) => {
          expect(repairDigits(`${n} ${unit}`)).toBe(`${n} ${unit}`);
        },
      ),
    );
  });
  it('whatever is read keeps its number, in the unit shown', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(dimensions) as Dimension[])),
        fc.constantFrom('us' as const, 'si' as const),
        fc.integer({ min: 1, max: 99_999 }),
        (dimension, system, n) => {
          const unit = fieldUnit(dimension, system);
          const read = readTyped(dimension, String(n), unit);
          expect(read).toEqual({ text: `${n} ${unit}`, by: 'unit' });
          expect(readQuantity(dimension, read.text).ok).toBe(true);
        },
      ),
    );
  });
  it('shafts in inches or millimetres, motors at degrees Celsius', () => {
    expect([fieldUnit('length', 'us', true), fieldUnit('length', 'si', true)]).toEqual(['in', 'mm']);
    expect([fieldUnit('length', 'us'), fieldUnit('length', 'si')]).toEqual(['ft', 'm']);
    expect([fieldUnit('temperature', 'us'), fieldUnit('power', 'us'), fieldUnit('power', 'si')]).toEqual([
      '°C',
      'hp',
      'kW',
    ]);
  });
});

describe('a pasted plate with letters for figures', () => {
  it('is repaired, and each repair is marked', () => {
    const { plate, pieces } = nameplate.readPlateText('2O HP  230/46O V  I760 RPM  6O HZ  FR 256T');
    expect(plate).toMatchObject({
      power: '20 hp',
      voltage: '230/460 V',
      speed: '1760 rpm',
      frequency: '60 Hz',
      frame: '256T',
    });
    expect(pieces.filter((p) => p.note?.includes('figure')).map((p) => p.text.trim())).toEqual([
      '2O HP',
      '230/46O V',
      'I760 RPM',
      '6O HZ',
    ]);
    expect(pieces.map((p) => p.text).join('')).toBe('2O HP  230/46O V  I760 RPM  6O HZ  FR 256T');
  });
  it('a letter that belongs there stays', () => {
    const { plate, pieces } = nameplate.readPlateText('TYPE OIL 10 HP FRAME L56C');
    expect(plate.power).toBe('10 hp');
    expect(pieces.some((p) => p.note?.includes('figure'))).toBe(false);
  });
});
