import { reaches } from '../../law';
import { commonPractice, remembered, type Prescribed, type ProtectiveDevice, type Source } from '../../contract';
import { cell, table } from '../table';
import { toldAt, tripClasses, tripTimes, type TripClass } from './relays';

/** Seconds a device takes at a steady current in A; Infinity where it never does. */
export type TimeCurrent = (current: number) => number;

/** The quickest and the slowest of what a standard or a maker permits. */
export interface TimeBand {
  readonly quick: TimeCurrent;
  readonly slow: TimeCurrent;
  readonly source: Source;
  /** A from which it limits the current, so that only its maker knows what it lets through. */
  readonly limitsFrom?: number;
}

/** Multiples of its setting below which a relay never trips, and above which it does in the end. */
export const ultimate = { not: 1.05, does: 1.2 } as const;

/** How steeply a curve bends to its ultimate current: 2 × the setting is on its I²t within 1 %. */
const bend = 8;

/** Trip times of the class at 7.2 × the setting, s. */
export const timesOf = (of: TripClass): { readonly above: number; readonly most: number } => {
  const row = tripTimes.rows.find((r) => r[0] === tripClasses.indexOf(of));
  return { above: cell(tripTimes, row, 'above') ?? NaN, most: cell(tripTimes, row, 'most') ?? NaN };
};

/** I²t through a point, bending upward to a current that is borne for ever. */
export const inverse = (time: number, at: number, forEver: number): TimeCurrent => {
  return (current) => {
    const over = forEver / current;
    return over >= 1 ? Infinity : (time * (at / current) ** 2) / (1 - over ** bend);
  };
};

/**
 * A relay's band from its class: I²t through the class's times at 7.2 × the setting, bending to 1.05 and 1.2 × it.
 * `left`: what is left of the way to a trip, 1 from cold.
 */
export function relayBand(of: TripClass, dial: number, left = 1): TimeBand {
  const { above, most } = timesOf(of);
  return {
    quick: inverse(left * above, toldAt * dial, ultimate.not * dial),
    slow: inverse(left * most, toldAt * dial, ultimate.does * dial),
    source: tripTimes.source,
  };
}

/** Currents in A at which a fuse gG of a rating melts: not within 10 s, within 5 s, not within 0.1 s, within it. */
export const fuseGates = table(
  remembered('standard', 'IEC 60269-1', '2014', 'Table 3 (gates of gG and gM fuse-links, 16 A and above)'),
  ['not10', 'within5', 'not01', 'within01'],
  // prettier-ignore
  [
    [16, 33, 65, 85, 150], [20, 42, 85, 110, 200], [25, 52, 110, 150, 260], [32, 75, 150, 200, 350],
    [40, 95, 190, 260, 450], [50, 125, 250, 350, 610], [63, 160, 320, 450, 820], [80, 215, 425, 610, 1100],
    [100, 290, 580, 820, 1450], [125, 355, 715, 1100, 1910], [160, 460, 950, 1450, 2590],
    [200, 610, 1250, 1910, 3420], [250, 750, 1650, 2590, 4500], [315, 1050, 2200, 3420, 6000],
    [400, 1420, 2840, 4500, 8060], [500, 1780, 3800, 6000, 10600], [630, 2200, 5100, 8060, 14140],
    [800, 3060, 7000, 10600, 19000], [1000, 4000, 9500, 14140, 24000], [1250, 5000, 13000, 19000, 35000],
  ],
);

/** A fuse aM by multiples of its rating: IEC 60269-1, Table 4. */
const motorGates = {
  quick: [
    [4, 60],
    [8, 0.5],
    [10, 0.2],
  ],
  slow: [
    [6.3, 60],
    [12.5, 0.5],
    [19, 0.1],
  ],
  source: remembered('standard', 'IEC 60269-1', '2014', 'Table 4 (gates of aM fuse-links)'),
} as const;

/** Fuses of North America by multiples of their rating: time-delay 10 s at 5 ×; without delay about 10 s at 2.5 ×. */
const delayGates = {
  quick: [
    [5, 10],
    [10, 0.1],
  ],
  slow: [
    [6.5, 10],
    [13, 0.1],
  ],
  source: commonPractice('Time-delay fuse: 10 s at 5 × its rating (UL 248); the rest as such fuses are made'),
} as const;
const plainGates = {
  quick: [
    [2.5, 10],
    [4, 0.1],
  ],
  slow: [
    [3.5, 10],
    [6, 0.1],
  ],
  source: commonPractice('Fuse without delay, as such fuses are made'),
} as const;

type Points = readonly (readonly [number, number])[];

/** Straight between points on paper with both axes logarithmic; I²t beyond the last, for ever before the first. */
export function throughPoints(points: Points, rating = 1): TimeCurrent {
  const last = points.at(-1) ?? [1, 0];
  return (current) => {
    const m = current / rating;
    const [first] = points;
    if (!first || m < first[0]) return Infinity;
    const i = points.findLastIndex(([at]) => at <= m);
    const [a, b] = [points[i] ?? last, points[i + 1]];
    if (!b) return last[1] * (last[0] / m) ** 2;
    const share = Math.log(m / a[0]) / Math.log(b[0] / a[0]);
    return a[1] * (b[1] / a[1]) ** share;
  };
}

/** Quickest opening of a magnetic release, and until the arc is out, s: common practice. */
export const opening = {
  quick: 0.008,
  slow: 0.02,
  /** The same well above its setting, where a breaker limits: half a cycle. */
  high: 0.01,
  highFrom: 5,
  /** A contactor that its relay opens, at least. */
  contactor: 0.05,
  /** Tolerance of its setting. */
  tolerance: 0.2,
  source: commonPractice(
    'Magnetic release: ±20 % of its setting, the arc out within one cycle, well above it within half a one',
  ),
} as const;

const magnetic = (setting: number): TimeBand => ({
  quick: (I) => (I >= (1 - opening.tolerance) * setting ? opening.quick : Infinity),
  slow: (I) =>
    I < (1 + opening.tolerance) * setting ? Infinity : I < opening.highFrom * setting ? opening.slow : opening.high,
  source: opening.source,
  limitsFrom: (1 + opening.tolerance) * setting,
});

/**
 * A thermal-magnetic breaker as such are made: s at 6 × its rating, and multiples of it. It trips at 1.3 × in the end
 * by IEC 60947-2, at 1.35 × by UL 489 (both from memory).
 */
const breakerUsual = { at: 6, quick: 4, slow: 20, magnetic: 10, not: 1.05, does: 1.3, doesByUl: 1.35 } as const;

const either = (a: TimeBand, b: TimeBand, source: Source): TimeBand => ({
  quick: (I) => Math.min(a.quick(I), b.quick(I)),
  slow: (I) => Math.min(a.slow(I), b.slow(I)),
  source,
  ...(b.limitsFrom !== undefined && { limitsFrom: b.limitsFrom }),
});

/**
 * The greatest currents of small fuses gG at 5 s and 0.1 s, A. The least ones are not told here and stand in proportion
 * to those of 16 A; a 2 A one in proportion to 4 A.
 */
export const smallFuseGates = table(
  remembered('standard', 'IEC 60269-2', '2013', 'gates of gG fuse-links below 16 A'),
  ['within5', 'within01'],
  // prettier-ignore
  [[4, 18.5, 47], [6, 28, 72], [8, 35.2, 92], [10, 46.5, 110], [12, 55.2, 140]],
);

const gatesOf = (rating: number): TimeBand => {
  const { rows } = fuseGates;
  const row = rows.find((r) => reaches(r[0], rating)) ?? rows.at(-1);
  const small = rating < 16 ? smallFuseGates.rows.find((r) => reaches(r[0], rating)) : undefined;
  // Below the table's 16 A in proportion; beyond its last likewise.
  const share = row && (rating < 16 || rating > row[0]) ? rating / row[0] : 1;
  const at = (name: (typeof fuseGates.columns)[number]): number => share * (cell(fuseGates, row, name) ?? NaN);
  const slow = (name: 'within5' | 'within01'): number => {
    const own = cell(smallFuseGates, small, name);
    return own === undefined || !small ? at(name) : own * Math.min(1, rating / small[0]);
  };
  return {
    quick: throughPoints([
      [at('not10'), 10],
      [at('not01'), 0.1],
    ]),
    slow: throughPoints([
      [slow('within5'), 5],
      [slow('within01'), 0.1],
    ]),
    source: small ? smallFuseGates.source : fuseGates.source,
  };
};

const byGates = (
  { quick, slow, source }: { readonly quick: Points; readonly slow: Points; readonly source: Source },
  rating: number,
): TimeBand => ({
  quick: throughPoints(quick, rating),
  slow: throughPoints(slow, rating),
  source,
});

/**
 * Time-current band of a short-circuit device. `rating`: of fuse or breaker, A; of one that is only magnetic, its
 * setting.
 */
export function deviceBand(kind: ProtectiveDevice, rating: number): TimeBand {
  switch (kind) {
    case 'fuse-gg':
      return gatesOf(rating);
    case 'fuse-am':
      return byGates(motorGates, rating);
    case 'dual-element-fuse':
      return byGates(delayGates, rating);
    case 'single-element-fuse':
      return byGates(plainGates, rating);
    case 'instantaneous-breaker':
    case 'motor-breaker':
      return magnetic(rating);
    case 'inverse-time-breaker':
    case 'breaker': {
      const { at, quick, slow, not } = breakerUsual;
      const does = kind === 'inverse-time-breaker' ? breakerUsual.doesByUl : breakerUsual.does;
      const thermal = {
        quick: inverse(quick, at * rating, not * rating),
        slow: inverse(slow, at * rating, does * rating),
        source: opening.source,
      };
      return either(
        thermal,
        magnetic(breakerUsual.magnetic * rating),
        commonPractice('Thermal-magnetic breaker: 4 to 20 s at 6 × its rating, magnetic at 10 × ±20 %'),
      );
    }
  }
}

export const isFuse = (kind: ProtectiveDevice): boolean => kind.includes('fuse');

/** What a contactor of category AC-3 breaks, as a multiple of its rating. */
export const breaksAtMost: Prescribed<number> = {
  value: 8,
  source: remembered('standard', 'IEC 60947-4-1', '2018', 'Table 7: AC-3 breaks 8 × its rated current'),
};
