import type { MoneyCurves } from '../../case';
import { percent, type Walk } from '../../needs';
import {
  growingPresentValue,
  percentile,
  percentileOf,
  presentWorth,
  sampled,
  type Uncertain,
  type Worth,
} from '../../physics';
import { indexSpread, lossSpread, usualSpread } from '../../practice';
import { mustBeBought } from './worth';
import type { YearSum } from './year';
import { writeAmount } from '../../quantity';

/** A year, load scaled by k and the motor's losses by l. */
type Year = (k: number, l: number) => YearSum;

/** What the band is made from. */
export interface Banded {
  readonly old: Year;
  readonly new: Year;
  /** How far the load may be off, as a share. */
  readonly load: number;
  /** A kW a month. */
  readonly demandPrice: number;
  /** Carbon of a kWh at its price. */
  readonly carbon: number;
  readonly maintenance: number;
  readonly rate: number;
  readonly worth: Worth;
  /** Whether an invented index stands for the cost. */
  readonly index: boolean;
  /** Draws; as many as keep the percentiles within 1 % where it is left out. */
  readonly count?: number;
}

const names = ['load', 'hours', 'price', 'old-losses', 'new-losses', 'cost'] as const;

/** Steps between the ends of the load's spread that the year is followed at; losses at their usual and this. */
const [steps, moreLoss] = [6, 1.2];

/** Bars of the histogram. */
const bars = 24;

/** 5th and 95th percentile of the net present value, its spread as bars, and what moves it most. */
export function tellBand({ input, w }: Walk, banded: Banded): MoneyCurves {
  const { load, rate, worth } = banded;
  const spread = input.money?.spread;
  const off = { hours: spread?.hours ?? usualSpread.hours, price: spread?.price ?? usualSpread.price };
  const quote = spread?.cost ?? usualSpread.cost;
  const around = (share: number): Uncertain => ({ least: 1 - share, usual: 1, most: 1 + share });
  const inputs: Readonly<Record<(typeof names)[number], Uncertain>> = {
    load: around(load),
    hours: around(off.hours),
    price: around(off.price),
    'old-losses': { least: lossSpread.least, usual: 1, most: lossSpread.worn },
    'new-losses': { least: lossSpread.least, usual: 1, most: lossSpread.most },
    cost: banded.index && spread?.cost === undefined ? { ...indexSpread, usual: 1 } : around(quote),
  };
  const [before, after] = [follow(banded.old, load), follow(banded.new, load)];
  const factor = growingPresentValue(rate, worth.years, worth.inflation);
  const still = presentWorth({ ...worth, benefit: 0, cost: 0, once: 0 }, rate);
  const spentOnce = -presentWorth({ ...worth, benefit: 0, cost: 1, once: 0 }, rate);
  const [a, b] = [new Float64Array(3), new Float64Array(3)];
  const at = (row: ArrayLike<number>): number => {
    const [load = 1, hours = 1, price = 1] = [row[0], row[1], row[2]];
    before(load, row[3] ?? 1, a);
    after(load, row[4] ?? 1, b);
    const less = (key: number): number => (a[key] ?? 0) - (b[key] ?? 0);
    const year = hours * price * less(0) + 12 * banded.demandPrice * price * less(2) + hours * banded.carbon * less(1);
    const spent = worth.cost * (row[5] ?? 1) * spentOnce + worth.once;
    return still + (year - banded.maintenance) * factor - spent;
  };
  const list = names.map((n) => inputs[n]);
  const rising = sampled(list, at, banded.count);
  const [low, high] = [percentile(rising, 0.05), percentile(rising, 0.95)];
  const from = { NPV: 'cost.netPresentValue', u: 'load.uncertainty' } as const;
  const say = (v: number): string => writeAmount(Number(v.toPrecision(3)), input.money?.currency ?? '');
  const assumed = [
    ...(['hours', 'price', 'cost'] as const).flatMap((key) =>
      spread?.[key] === undefined
        ? [{ field: `money.spread.${key}`, value: off[key === 'cost' ? 'hours' : key], why: 'not given: usual' }]
        : [],
    ),
  ];
  w.figure('cost.netPresentLow', percentileOf(rising, 0.05), from, { say, assumed });
  w.figure('cost.netPresentHigh', percentileOf(rising, 0.95), from, { say, assumed });
  const alone = names.map((input, i) => {
    const { least, most } = inputs[input];
    const with_ = (value: number): number => at(names.map((_, j) => (i === j ? value : 1)));
    return { input, least, most, low: with_(least), high: with_(most) };
  });
  const tornado = alone.toSorted((a, b) => Math.abs(b.high - b.low) - Math.abs(a.high - a.low));
  const most = tornado[0];
  if (most && low < 0 && high > 0 && !mustBeBought({ input }))
    w.finding(
      'cost.uncertain',
      'note',
      `Between ${say(low)} and ${say(high)} in nine of ten cases: it may lose. What moves it most is ` +
        `${words[most.input]} (${percent(most.least)} to ${percent(most.most)}): make that surer first.`,
      { fields: [fields[most.input]], figures: ['cost.netPresentLow', 'cost.netPresentHigh'] },
    );
  const width = (high - low || 1) * 1.3;
  const start = (low + high) / 2 - width / 2;
  const counts = Array.from({ length: bars }, () => 0);
  for (const value of rising) {
    const bar = Math.floor(((value - start) / width) * bars);
    if (bar >= 0 && bar < bars) counts[bar] = (counts[bar] ?? 0) + 1;
  }
  return {
    usual: at([]),
    bars: counts.map((n, i) => [start + ((i + 0.5) * width) / bars, n / rising.length]),
    tornado: tornado.map((t) => ({ ...t, name: words[t.input] })),
    years: yearsOf(worth, rate),
  };
}

/** Sum as of today at the end of every year. */
const yearsOf = (worth: Worth, rate: number): [number, number][] =>
  Array.from({ length: Math.floor(worth.years) + 1 }, (_, n) => [
    n,
    n === 0 ? -worth.cost : presentWorth({ ...worth, years: n }, rate),
  ]);

/** A year at scaled load and losses, joined between loads it was followed at: money, energy, demand, into `into`. */
function follow(year: Year, load: number): (k: number, l: number, into: Float64Array) => void {
  // At every load: the three as they are, and what a unit more of loss adds to each.
  const grid = new Float64Array(6 * (steps + 1));
  for (let i = 0; i <= steps; i++) {
    const k = 1 - load + (2 * load * i) / steps;
    const [usual, more] = [year(k, 1), year(k, moreLoss)];
    const keys = ['money', 'energy', 'demand'] as const;
    for (const [j, key] of keys.entries()) {
      grid[6 * i + j] = usual[key];
      grid[6 * i + 3 + j] = (more[key] - usual[key]) / (moreLoss - 1);
    }
  }
  return (k, l, into) => {
    const x = load > 0 ? Math.min(steps, Math.max(0, ((k - 1 + load) / (2 * load)) * steps)) : 0;
    const i = Math.min(steps - 1, Math.floor(x));
    for (let j = 0; j < 3; j++) {
      const low = (grid[6 * i + j] ?? 0) + (l - 1) * (grid[6 * i + 3 + j] ?? 0);
      const high = (grid[6 * i + 6 + j] ?? 0) + (l - 1) * (grid[6 * i + 9 + j] ?? 0);
      into[j] = low + (x - i) * (high - low);
    }
  };
}

const words: Readonly<Record<(typeof names)[number], string>> = {
  load: 'the load',
  hours: 'hours a year',
  price: 'the price of energy',
  'old-losses': 'losses of the motor that is there',
  'new-losses': 'losses of the new motor',
  cost: 'the installed cost',
};
const fields: Readonly<Record<(typeof names)[number], string>> = {
  load: 'load.demand.uncertainty',
  hours: 'speed.profile',
  price: 'money.energyPrice',
  'old-losses': 'plate.efficiency',
  'new-losses': 'rules.efficiencyBasis',
  cost: 'money.installedCost',
};
