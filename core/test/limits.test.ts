import fc from 'fast-check';
import { expect, it } from 'vitest';
import { exceeds, isUpTo, reaches, rounding } from '../src/law';

it('half a thousandth is rounding, on either side of a limit, and no more', () => {
  expect(rounding).toBe(0.0005);
  fc.assert(
    fc.property(fc.double({ min: 1e-6, max: 1e9, noNaN: true }), (limit) => {
      expect([limit, 1.00049 * limit].map((x) => exceeds(x, limit))).toEqual([false, false]);
      expect(exceeds(1.00051 * limit, limit)).toBe(true);
      expect([limit, 0.99951 * limit].map((x) => reaches(x, limit))).toEqual([true, true]);
      expect(reaches(0.99949 * limit, limit)).toBe(false);
    }),
  );
});

it('a rating within a hundredth of a size is that size: 60 hp is 44.7 kW, and 45', () => {
  expect(isUpTo(44_742, 45_000)).toBe(true);
  expect(isUpTo(45_000, 44_742)).toBe(true);
  expect(isUpTo(45_200, 44_742)).toBe(false);
});
