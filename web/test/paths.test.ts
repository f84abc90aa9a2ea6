import { describe, expect, it } from 'vitest';
import { putAt, valueAt } from '$lib/desk/paths';

describe('paths of a draft', () => {
  it('puts and reads through objects and rows', () => {
    const draft = {
      speed: {
        profile: [
          { hours: 1, flow: 1 },
          { hours: 2, flow: 0.5 },
        ],
      },
    };
    putAt(draft, 'speed.profile[1].flow', 0.7);
    putAt(draft, 'load.demand.force', '90 kgf');
    expect(valueAt(draft, 'speed.profile[1].flow')).toBe(0.7);
    expect(valueAt(draft, 'load.demand.force')).toBe('90 kgf');
    expect(valueAt(draft, 'no.such.thing')).toBeUndefined();
  });
  it('clearing the last field of an object clears the object, but a kind of demand stays chosen', () => {
    const draft = { place: { cable: { length: '60 m' } }, load: { demand: { kind: 'pull', force: '1 N' } } };
    putAt(draft, 'place.cable.length', undefined);
    putAt(draft, 'load.demand.force', undefined);
    expect(draft).toEqual({ load: { demand: { kind: 'pull' } } });
  });
});
