import { evaluate, unit } from 'mathjs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mathml } from '../../tools/typeset';
import { dimensions, lawsIn, physics, practice, q, readQuantity } from '@pilgrim/core';

const laws = [...lawsIn(physics), ...lawsIn(practice)];
const algebraic = laws.filter((l) => !l.method);

describe('every algebraic law’s formula says what its code does (mathjs 15 evaluates the text)', () => {
  it('covers the laws', () => expect(algebraic.length).toBeGreaterThan(40));
  it.each(algebraic.map((l) => [l.name, l] as const))('%s', (_, law) => {
    const inputs = fc.record(
      Object.fromEntries(Object.keys(law.takes).map((k) => [k, fc.double({ min: 0.05, max: 0.95, noNaN: true })])),
    );
    fc.assert(
      fc.property(inputs, fc.constantFrom(1, 20, 1300), (scope, scale) => {
        const scaled = Object.fromEntries(Object.entries(scope).map(([k, v]) => [k, v * scale]));
        const held = Object.entries(scaled).every(([k, v]) => {
          const [low, high] = law.range[k] ?? [NaN, NaN];
          return v >= low && v <= high;
        });
        const byText: unknown = evaluate(law.formula, scaled);
        const byCode = law.of(Object.fromEntries(Object.entries(scaled).map(([k, v]) => [k, q(v)])));
        // Inputs that do not go together may leave the real numbers; outside its range the last bits decide whether.
        if (typeof byText !== 'number' || !Number.isFinite(byText)) return;
        if (!held && !Number.isFinite(byCode)) return;
        expect(Math.abs(byCode - byText)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(byText)));
      }),
      { numRuns: 50 },
    );
  });
});

describe('every algebraic law’s formula is typeset', () => {
  it.each(algebraic.map((l) => [l.name, l] as const))('%s', (_, law) => {
    const math = mathml(law);
    expect(math).toMatch(/^<math/);
    // The typesetter prints a command it does not know in red, as it stands.
    expect(math).not.toMatch(/#b22222|\\\\|merror/);
    // Every symbol of the formula is there as a symbol.
    for (const name of [law.symbol, ...Object.keys(law.takes)].filter((n) => /^[A-Za-z]$/.test(n)))
      expect(math, name).toContain(`<mi>${name}</mi>`);
  });
});

describe('units against a general library (mathjs 15)', () => {
  it.each([
    ['power', '1 hp', '1 hp', 'W'],
    ['force', '1 lbf', '1 lbf', 'N'],
    ['force', '1 kgf', '1 kgf', 'N'],
    ['length', '1 ft', '1 ft', 'm'],
    ['length', '1 in', '1 inch', 'm'],
    ['torque', '1 lbf·ft', '1 lbf ft', 'N m'],
    ['pressure', '1 psi', '1 psi', 'Pa'],
    ['pressure', '1 bar', '1 bar', 'Pa'],
    ['flow', '1 cfm', '1 ft^3/minute', 'm^3/s'],
    ['flow', '1 gpm', '1 gallon/minute', 'm^3/s'],
    ['mass', '1 lb', '1 lbm', 'kg'],
    ['inertia', '1 lb·ft²', '1 lbm ft^2', 'kg m^2'],
    ['density', '1 lb/ft³', '1 lbm/ft^3', 'kg/m^3'],
    ['temperature', '104 degF', '104 degF', 'degC'],
  ] as const)('%s: %s', (dimension, ours, theirs, base) => {
    const read = readQuantity(dimension, ours);
    if (!read.ok) expect.fail(read.message);
    expect(Math.abs(read.value.value / unit(theirs).toNumber(base) - 1)).toBeLessThan(1e-4);
  });
  it('every unit’s every spelling is read back as itself', () => {
    for (const [name, spec] of Object.entries(dimensions)) {
      for (const u of spec.units) {
        for (const spelling of u.names) {
          const dimension = Object.keys(dimensions).find((d) => d === name);
          if (!dimension) continue;
          const read = readQuantity(dimension as keyof typeof dimensions, `2 ${spelling}`);
          if (!read.ok) expect.fail(`${name}: ${spelling}: ${read.message}`);
          expect(read.value.value).toBeCloseTo(2 * u.factor + ('offset' in u ? Number(u.offset) : 0), 6);
        }
      }
    }
  });
});
