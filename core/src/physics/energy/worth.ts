import { definition } from '../../contract';
import { any, law, notNegative, type Law } from '../../law';

/** Sums that come in time: one at the beginning, one of today's prices at the end of every year, renewals between. */
export interface Worth {
  /** Today. */
  readonly cost: number;
  /** A year, at the prices of its first; may be below 0. */
  readonly benefit: number;
  /** Years, above 0; a broken last one counts in part. */
  readonly years: number;
  /** By which prices rise a year. */
  readonly inflation: number;
  /** Years after which it is bought again; the share not used up at the end is worth its straight line. */
  readonly life: number;
  /** Spent once more in the first year, and never again; below 0 where more is given. */
  readonly once: number;
}

/** What one a year is worth today, rising by `inflation` from its second year on, at a rate above −1. */
export function growingPresentValue(rate: number, years: number, inflation: number): number {
  const growth = (1 + inflation) / (1 + rate);
  const spread = rate - inflation;
  return Math.abs(spread) < 1e-9 ? years / (1 + rate) : (1 - growth ** years) / spread;
}

/** Times the cost is spent, as of today: now, at every renewal within the years, less what is left at their end. */
export function spendings(rate: number, years: number, inflation: number, life: number): number {
  if (!(life < years)) return 1;
  const growth = (1 + inflation) / (1 + rate);
  let sum = 0;
  for (let at = 0; at < years - 1e-9; at += life) sum += growth ** at;
  const used = years % life;
  return used > 1e-9 ? sum - (1 - used / life) * growth ** years : sum;
}

/** Net present value at a rate. */
export const presentWorth = ({ cost, benefit, years, inflation, life, once }: Worth, rate: number): number =>
  benefit * growingPresentValue(rate, years, inflation) - cost * spendings(rate, years, inflation, life) - once;

/**
 * How many times a part of the yearly benefit would have to be what it is for nothing to be gained or lost, the rest
 * as it is; null where no number of times above zero does that.
 */
export function timesUntilEven(worth: Worth, rate: number, part: number): number | null {
  const lacking = -presentWorth(worth, rate) / growingPresentValue(rate, worth.years, worth.inflation);
  const times = 1 + lacking / part;
  return Number.isFinite(times) && times > 0 ? times : null;
}

/** Highest rate of return that is looked for. */
const highest = 100;

/** Rate at which the net present value is nothing; undefined where nothing is spent, or not even rate −0.9 gives it. */
export function internalRate(worth: Worth): number | undefined {
  if (!(worth.cost > 0) || !(worth.benefit > 0)) return undefined;
  let [low, high] = [-0.9, highest];
  if (presentWorth(worth, low) < 0) return undefined;
  if (presentWorth(worth, high) > 0) return undefined;
  for (let i = 0; i < 100; i++) {
    const mid = (low + high) / 2;
    if (presentWorth(worth, mid) > 0) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Years until the benefits, discounted, have paid the cost; undefined where they never do within a hundred. */
export function discountedYears({ benefit, inflation, ...worth }: Worth, rate: number): number | undefined {
  const cost = worth.cost + worth.once;
  if (cost <= 0) return 0;
  if (!(benefit > 0)) return undefined;
  const most = 100;
  if (benefit * growingPresentValue(rate, most, inflation) < cost) return undefined;
  let [low, high] = [0, most];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (benefit * growingPresentValue(rate, mid, inflation) < cost) low = mid;
    else high = mid;
  }
  return high;
}

const accounts = definition('Present value', 'sums of later years, discounted to today');

export const growingAnnuity = law({
  name: 'Present value of one a year, its price rising',
  symbol: 'a_n',
  unit: '1',
  takes: { i: '1', n: 'a', f: '1' },
  formula: 'abs(i - f) < 1e-9 ? n / (1 + i) : (1 - ((1 + f) / (1 + i))^n) / (i - f)',
  source: accounts,
  range: { i: [-0.5, 1], n: [0, 100], f: [-0.2, 0.5] },
  example: {
    of: { i: 0.07, n: 10, f: 0 },
    gives: 7.0236,
    from: 'any table of present values: 7.024 for ten years at 7 %',
  },
  of: ({ i, n, f }) => growingPresentValue(i, n, f),
});

/** What a year brings, beyond the energy account: carbon at its price, less maintenance. */
export const yearlyBenefit = law({
  name: 'What a year brings',
  symbol: 'B',
  unit: '1/a',
  takes: { dM: '1/a', dC: 'kg/a', p_c: '1/kg', m: '1/a' },
  formula: 'dM + dC * p_c - m',
  source: accounts,
  range: { dM: any, dC: any, p_c: notNegative, m: any },
  example: { of: { dM: 3000, dC: 10000, p_c: 0.08, m: 200 }, gives: 3600, from: 'by hand' },
  of: ({ dM, dC, p_c, m }) => dM + dC * p_c - m,
});

export const netPresentValue = law({
  name: 'Net present value',
  symbol: 'NPV',
  unit: 'money',
  takes: { B: '1/a', a_n: '1', M: 'money', r_n: '1', L: 'money' },
  formula: 'B * a_n - M * r_n - L',
  source: accounts,
  range: { B: any, a_n: notNegative, M: any, r_n: notNegative, L: any },
  example: { of: { B: 3000, a_n: 7.0236, M: 12000, r_n: 1, L: 440 }, gives: 8630.8, from: 'by hand' },
  of: ({ B, a_n, M, r_n, L }) => B * a_n - M * r_n - L,
});

/** Cost of the new machine over the years: buying, energy, peaks, carbon and maintenance, as of today. */
export const lifeCycleCost = law({
  name: 'Life-cycle cost',
  symbol: 'LCC',
  unit: 'money',
  takes: { M: 'money', r_n: '1', E: 'kWh/a', c: '1/kWh', P: 'kW', d: '1/kW', C: '1/a', a_n: '1' },
  formula: 'M * r_n + (E * c + 12 * d * P + C) * a_n',
  source: accounts,
  range: { M: any, r_n: notNegative, E: any, c: notNegative, P: any, d: notNegative, C: any, a_n: notNegative },
  example: {
    of: { M: 6200, r_n: 1, E: 100000, c: 0.1, P: 20, d: 5, C: 300, a_n: 7 },
    gives: 86700,
    from: 'by hand: 6200 + (10000 + 1200 + 300) · 7',
  },
  of: ({ M, r_n, E, c, P, d, C, a_n }) => M * r_n + (E * c + 12 * d * P + C) * a_n,
});

type Lasting = Omit<Worth, 'cost' | 'benefit'>;
const tenYears: Lasting = { years: 10, inflation: 0, life: Infinity, once: 0 };

/** Rate at which nothing is left of the net present value; NaN where there is none. */
export const internalRateOf = (of: Lasting): Law<{ readonly B: '1/a'; readonly M: 'money' }, '1'> =>
  law({
    name: 'Internal rate of return',
    symbol: 'IRR',
    unit: '1',
    takes: { B: '1/a', M: 'money' },
    formula: 'the rate at which the net present value is nothing',
    source: accounts,
    method: true,
    range: { B: any, M: any },
    example: {
      of: { B: 162.7454, M: 1000 },
      gives: 0.1,
      from: 'any table of present values: 6.1446 for ten years at 10 %',
      made: { for: 'ten years, prices staying', law: () => internalRateOf(tenYears) },
    },
    of: ({ B, M }) => internalRate({ ...of, benefit: B, cost: M }) ?? NaN,
  });

/** Years until it is paid, at a rate; NaN where it never is. */
export const discountedPaybackAt = (rate: number, of: Lasting): Law<{ readonly B: '1/a'; readonly M: 'money' }, 'a'> =>
  law({
    name: 'Discounted payback',
    symbol: 't_d',
    unit: 'a',
    takes: { B: '1/a', M: 'money' },
    formula: 'years whose benefits, discounted, are the cost',
    source: accounts,
    method: true,
    range: { B: any, M: any },
    example: {
      of: { B: 1000, M: 7023.582 },
      gives: 10,
      from: 'any table of present values: 7.0236 for ten years at 7 %',
      made: { for: '7 %, prices staying', law: () => discountedPaybackAt(0.07, tenYears) },
    },
    of: ({ B, M }) => discountedYears({ ...of, benefit: B, cost: M }, rate) ?? NaN,
  });
