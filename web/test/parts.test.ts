import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { find, type Findable } from '$lib/desk/find.svelte';
import { readAt } from '$lib/ui/readAt';

describe('a value read off a line', () => {
  const line = [
    [0, 10],
    [2, 20],
    [4, 0],
  ] as const;
  it('is the point’s at a point, straight between two, and none beyond the ends', () => {
    expect([0, 1, 2, 3, 4].map((x) => readAt(line, x))).toEqual([10, 15, 20, 10, 0]);
    expect(readAt(line, -0.1)).toBeUndefined();
    expect(readAt(line, 4.1)).toBeUndefined();
    expect(readAt([], 1)).toBeUndefined();
  });
  it('law: between two points it is between their values', () => {
    const value = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(value, value, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (a, b, t) => {
        const y =
          readAt(
            [
              [0, a],
              [1, b],
            ],
            t,
          ) ?? NaN;
        expect(y).toBeGreaterThanOrEqual(Math.min(a, b) - 1e-6);
        expect(y).toBeLessThanOrEqual(Math.max(a, b) + 1e-6);
      }),
    );
  });
});

describe('what / finds', () => {
  const of = (kind: Findable['kind'], name: string, more = ''): Findable => ({
    id: `${kind} ${name}`,
    kind,
    name,
    more,
    act: () => {},
  });
  const all = [
    of('figure', 'Altitude derating'),
    of('field', 'Altitude', 'Place'),
    of('station', 'Place'),
    of('position', 'KN-410 Kiln fan', 'Kiln'),
    of('action', 'Undo'),
  ];
  const names = (query: string) => find(all, query).map((f) => f.name);
  it('is stations and things to do before anything is typed; fields and figures by their words', () => {
    expect(names('')).toEqual(['Place', 'Undo', 'KN-410 Kiln fan']);
    expect(names('altitude')[0]).toBe('Altitude');
    expect(names('altit')).toContain('Altitude derating');
    expect(names('kn-410')).toEqual(['KN-410 Kiln fan']);
    expect(names('kiln fan')).toEqual(['KN-410 Kiln fan']);
  });
  it('forgives a slip in a long word, and finds nothing where nothing is', () => {
    expect(names('altitde')).toContain('Altitude');
    expect(names('zzzz')).toEqual([]);
  });
  it('gives no more than asked', () => {
    expect(
      find(
        Array.from({ length: 40 }, (_, i) => of('position', `P-${i} pump`)),
        'pump',
        7,
      ),
    ).toHaveLength(7);
  });
});
