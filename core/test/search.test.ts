import { describe, expect, it } from 'vitest';
import { genericMotors, readCase, solveWith, type Motor } from '@pilgrim/core';
import { placesOf, placeOf, type Judged } from '../src/judge/asked';
import { code } from '../src/judge/code';
import { closedOf, findFirst, inStockOf } from '../src/judge/search';
import type { Needs } from '../src/needs';
import { conveyor } from './cases';

/**
 * The search for the first choice, on judgements made up for it: every entry's start counts as simulated, so that only
 * what it compares decides.
 */

interface Made {
  readonly methods?: Judged['methods'];
  /** By motor × methods + method. */
  readonly rank: readonly number[];
  readonly worst?: readonly number[];
  readonly open?: readonly number[];
  readonly conditions?: readonly number[];
  readonly lifeCycle?: readonly number[];
  readonly motors?: readonly Partial<Motor>[];
  readonly frame?: readonly number[];
  readonly inStock?: readonly number[];
  readonly old?: Partial<Needs['old']>;
  readonly ranking?: Needs['rules']['ranking'];
  readonly variable?: boolean;
  readonly simulates?: boolean;
  readonly waived?: boolean;
}

const reading = readCase(conveyor);
const needs = reading.ok ? solveWith(reading.value).screening?.needs : undefined;
if (!needs) throw new Error('the conveyor is not screened');
const plain = genericMotors().find((m) => m.id === 'na-tefc-25hp-4p');
if (!plain) throw new Error('no motor');
const base = { needs, plain };

function made(spec: Made): Judged {
  const methods = spec.methods ?? ['direct'];
  const entries = spec.rank.length;
  const M = methods.length;
  const motors = Array.from({ length: entries / M }, (_, i) => ({ ...base.plain, ...spec.motors?.[i] }));
  const own: Needs = {
    ...base.needs,
    speed: { ...base.needs.speed, variable: spec.variable ?? false },
    waived: new Map(spec.waived ? [['speed-control', 'by hand']] : []),
    rules: { ...base.needs.rules, ranking: spec.ranking ?? 'life-cycle', costTie: 0.02 },
    old: spec.old ?? {},
  };
  const places = placesOf(own, methods);
  const judged = {
    bench: {
      needs: own,
      motors,
      simulates: spec.simulates ?? true,
      frame: spec.frame && Uint8Array.from(spec.frame),
      build: { inStock: Uint8Array.from(spec.inStock ?? []) },
    },
    columns: { power: Float64Array.from(motors, (m) => m.power) },
    methods,
    places,
    outcomes: new Int8Array(motors.length * places.stride).fill(code.caution),
    worst: Int8Array.from(spec.worst ?? spec.rank.map(() => code.pass)),
    open: Int8Array.from(spec.open ?? spec.rank.map(() => 0)),
    conditions: Int8Array.from(spec.conditions ?? spec.rank.map(() => 0)),
    rank: Float64Array.from(spec.rank),
    lifeCycle: Float64Array.from(spec.lifeCycle ?? spec.rank),
    simulated: new Uint8Array(entries).fill(1),
    order: new Int32Array(motors.length),
    tie: undefined,
    // Only what the search reads.
  } as unknown as Judged;
  const better = (a: number, b: number) =>
    Number(judged.worst[a] === code.fail) - Number(judged.worst[b] === code.fail) ||
    (judged.rank[a] ?? 0) - (judged.rank[b] ?? 0);
  judged.order = Int32Array.from(motors, (_, i) =>
    Array.from({ length: M }, (_, m) => i * M + m).reduce((a, b) => (better(b, a) < 0 ? b : a)),
  ).sort(better);
  findFirst(judged);
  return judged;
}
const first = (spec: Made) => made(spec).order[0];

describe('of those that cost the same within the house rule', () => {
  it('2 % dearer still counts as equal, 2.1 % does not', () => {
    const old = { enclosure: 'enclosed' } as const;
    const motors = [{ enclosure: 'open' }, { enclosure: 'enclosed' }] as const;
    expect(first({ rank: [1000, 1020], old, motors })).toBe(1);
    expect(first({ rank: [1000, 1021], old, motors })).toBe(0);
    expect(made({ rank: [1000, 1021], old, motors }).tie).toBeUndefined();
  });
  it('only money is known so roughly: by margin or efficiency the better one stands', () => {
    const old = { enclosure: 'enclosed' } as const;
    const motors = [{ enclosure: 'open' }, { enclosure: 'enclosed' }] as const;
    expect(first({ rank: [1000, 1001], old, motors, ranking: 'price' })).toBe(0);
  });
  it('what fails is not among them', () =>
    expect(first({ rank: [1000, 1], worst: [code.pass, code.fail], open: [3, 0] })).toBe(0));
  it.each<[string, Omit<Made, 'rank'>]>([
    ['fewer open cautions', { open: [1, 0] }],
    ['the old enclosure', { motors: [{ enclosure: 'open' }, {}], old: { enclosure: 'enclosed' } }],
    ['the old number of poles', { motors: [{ poles: 6 }, {}], old: { poles: 4 } }],
    ['the old voltage', { motors: [{ connections: [{ voltage: 200, current: 70 }] }, {}], old: { voltage: 460 } }],
    ['the smaller rating', { motors: [{ power: 22_000 }, {}] }],
    ['the old frame', { frame: [0, 1] }],
    [
      'the old service factor',
      { motors: [{ serviceFactor: 1 }, { serviceFactor: 1.15 }], old: { serviceFactor: 1.15 } },
    ],
  ])('%s decides', (by, spec) => {
    const judged = made({ rank: [1000, 1010], ...spec });
    expect(judged.order[0]).toBe(1);
    expect(judged.tie).toEqual({ cheapest: 0, count: 2, by });
  });
  it('without the old motor’s data none of these counts, and the cheaper stands', () => {
    const unlike = {
      enclosure: 'open',
      poles: 6,
      connections: [{ voltage: 200, current: 70 }],
      serviceFactor: 1,
    } as const;
    const judged = made({ rank: [1000, 1010], motors: [unlike, {}] });
    expect(judged.order[0]).toBe(0);
    expect(judged.tie).toEqual({ cheapest: 0, count: 2, by: 'life-cycle cost' });
  });
  it('a voltage within 1 % is the old one', () => {
    const of = (voltage: number) =>
      first({
        rank: [1000, 1010],
        motors: [{ connections: [{ voltage: 230, current: 70 }] }, { connections: [{ voltage, current: 30 }] }],
        old: { voltage: 460 },
      });
    expect([of(464), of(456), of(465), of(455)]).toEqual([1, 1, 0, 0]);
  });
  it('a service factor to half a hundredth is the old one', () => {
    const of = (serviceFactor: number) =>
      first({
        rank: [1000, 1010],
        motors: [{ serviceFactor: 1 }, { serviceFactor }],
        old: { serviceFactor: 1.15 },
      });
    expect([of(1.25), of(1.146), of(1.14)]).toEqual([1, 1, 0]);
  });
  it('alike in everything, the order of the list decides and is said', () =>
    expect(made({ rank: [1000, 1000] }).tie).toEqual({ cheapest: 0, count: 2, by: 'the order of the list' }));
  it('the winner comes to the front, the others keep their order, each motor once', () => {
    const judged = made({ rank: [1000, 1005, 1010, 1500], open: [1, 1, 0, 0] });
    expect([...judged.order]).toEqual([2, 0, 1, 3]);
  });
});

describe('a drive on a machine of fixed speed', () => {
  const methods = ['direct', 'drive'] as const;
  const fail = { worst: [code.fail, code.caution], open: [0, 1] };
  const excused = (spec: Omit<Made, 'rank' | 'methods'> & { readonly rank?: readonly number[] }) => {
    const judged = made({ methods, rank: [900, 1000], ...spec });
    return judged.outcomes[placeOf(judged, 1, 'speed-control')] === code.pass;
  };
  it('is excused where no other method starts that motor; its last caution gone, it passes', () => {
    expect(excused(fail)).toBe(true);
    expect(made({ methods, rank: [900, 1000], ...fail }).worst[1]).toBe(code.pass);
    expect(made({ methods, rank: [900, 1000], ...fail }).open[1]).toBe(0);
  });
  it('keeps its other cautions', () => {
    const judged = made({ methods, rank: [900, 1000], worst: [code.fail, code.caution], open: [0, 2] });
    expect([judged.worst[1], judged.open[1]]).toEqual([code.caution, 1]);
  });
  it('is not where another method would do, though with more cautions', () =>
    expect(excused({ worst: [code.caution, code.caution], open: [2, 1] })).toBe(false));
  it('nor where speed is varied, nothing is simulated, the rule is waived or it was pinned alone', () => {
    expect(excused({ ...fail, variable: true })).toBe(false);
    expect(excused({ ...fail, simulates: false })).toBe(false);
    expect(excused({ ...fail, waived: true })).toBe(false);
    const alone = made({ methods: ['drive'], rank: [1000], worst: [code.caution], open: [1] });
    expect(alone.outcomes[placeOf(alone, 0, 'speed-control')]).toBe(code.caution);
  });
  it('another motor’s failures are no excuse', () =>
    expect(
      excused({
        rank: [900, 1000, 2000, 2100],
        worst: [code.caution, code.caution, code.fail, code.fail],
        open: [2, 1, 0, 0],
      }),
    ).toBe(false));
});

describe('what stands beside the choice', () => {
  it('the best with neither open caution nor condition', () => {
    const of = (spec: Omit<Made, 'rank'>) => closedOf(made({ rank: [1, 2, 3], ...spec }));
    expect(of({})).toBe(0);
    expect(of({ open: [1, 0, 0], worst: [code.caution, code.pass, code.pass] })).toBe(1);
    expect(of({ open: [1, 0, 0], conditions: [0, 1, 0] })).toBe(2);
    expect(of({ worst: [code.fail, code.caution, code.fail] })).toBeUndefined();
  });
  it('the best of the own shelf that does not fail', () => {
    const of = (inStock: number[], worst?: number[]) =>
      inStockOf(made({ rank: [1, 2, 3], inStock, ...(worst && { worst }) }));
    expect(of([0, 1, 1])).toBe(1);
    expect(of([0, 1, 1], [code.pass, code.fail, code.caution])).toBe(2);
    expect(of([0, 0, 0])).toBeUndefined();
  });
});
