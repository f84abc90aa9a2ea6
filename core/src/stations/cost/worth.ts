import { model } from '../../contract';
import { assumed, field, type Given } from '../../law';
import { percent, weekPrice, type Needs, type Walk } from '../../needs';
import {
  discountedYears,
  discountedPaybackAt,
  growingAnnuity,
  internalRate,
  internalRateOf,
  lifeCycleCost,
  netPresentValue,
  spendings,
  spentOnce,
  timesUntilEven,
  yearlyBenefit,
  type Worth,
} from '../../physics';
import { demandPriceGiven, newDemand, newPrice } from './bill';
import { usualRate, usualYears } from '../../practice';
import { q, writeAmount, writeMoney } from '../../quantity';

const flows = model('Sums in time', 'the cost now and at every renewal, what a year brings at the end of each');

/** Money a year that goes with the price of the kilowatt hour, and with the hours. */
export interface YearParts {
  readonly energy: number;
  readonly hourly: number;
}

/** Where nothing is gained or lost: the price of the kilowatt hour, and hours so many times; null where nowhere. */
export interface Even {
  readonly price: number | null;
  readonly hours: number | null;
}
export const noEven: Even = { price: null, hours: null };

export interface WorthTold {
  readonly worth: Worth | undefined;
  readonly even: Even;
}

/** What the change is worth over the years, and from what price or hours on it would be where it is not. */
export function tellWorth(walk: Walk, needs: Needs, compared: boolean, parts: () => YearParts): WorthTold {
  const { input, w } = walk;
  const m = input.money;
  const cost = w.value('cost.investment');
  const saved = w.value('cost.savedMoney');
  const nothing: WorthTold = { worth: undefined, even: noEven };
  if (cost === undefined || saved === undefined) return nothing;
  const rate = m?.discountRate ?? usualRate;
  const years = m?.years ?? usualYears;
  const inflation = m?.inflation ?? 0;
  const life = m?.life ?? Infinity;
  const n: Given<'a'> =
    m?.years === undefined
      ? assumed('money.years', q(years, 'a'), 'not given: the usual horizon')
      : field('money.years', q(years, 'a'));
  const i: Given<'1'> =
    m?.discountRate === undefined
      ? assumed('money.discountRate', q(rate, '1'), 'not given: a usual rate')
      : field('money.discountRate', q(rate, '1'));
  const rising: Given<'1'> =
    m?.inflation === undefined
      ? assumed('money.inflation', q(0, '1'), 'not given: prices stay')
      : field('money.inflation', q(inflation, '1'));
  w.figure('cost.presentFactor', growingAnnuity, { i, n, f: rising });
  const times = spendings(rate, years, inflation, life);
  w.stated('cost.spendings', '1', q(times, '1'), flows, {
    symbol: 'r_n',
    field: 'money.life',
    ...(m?.life === undefined && { assumed: 'not given: it lasts the years counted', holds: String(years) }),
  });
  const kept: Given<'1/a'> =
    m?.maintenance === undefined
      ? assumed('money.maintenance', q(0, '1/a'), 'not given: as now')
      : field('money.maintenance', q(m.maintenance, '1/a'));
  const carbonPrice: Given<'1/kg'> =
    m?.carbonPrice === undefined
      ? assumed('money.carbonPrice', q(0, '1/kg'), 'not given: carbon costs nothing')
      : field('money.carbonPrice', q(m.carbonPrice / 1000, '1/kg'));
  const priced = m?.carbonPrice !== undefined && w.figures.has('cost.savedCarbon');
  const benefit = w.figure('cost.benefit', yearlyBenefit, {
    dM: 'cost.savedMoney',
    dC: priced ? 'cost.savedCarbon' : { value: q(0, 'kg/a'), text: 'no price on carbon' },
    p_c: priced ? carbonPrice : assumed('money.carbonPrice', q(0, '1/kg'), 'not given: carbon costs nothing'),
    m: kept,
  });
  if (benefit === undefined) return nothing;
  const ratchet: Given<'money'> | 'cost.ratchetLoss' = w.figures.has('cost.ratchetLoss')
    ? 'cost.ratchetLoss'
    : { value: q(0, 'money'), text: 'no ratchet' };
  if (m?.incentive !== undefined)
    w.figure('cost.once', spentOnce, { R: ratchet, S: field('money.incentive', q(m.incentive, 'money')) });
  const once = w.figures.has('cost.once') ? 'cost.once' : ratchet;
  const net = w.figure(
    'cost.netPresentValue',
    netPresentValue,
    { B: 'cost.benefit', a_n: 'cost.presentFactor', M: 'cost.investment', r_n: 'cost.spendings', L: once },
    { say: (v) => inThree(v, input) },
  );
  tellLifeCycle(walk, priced ? carbonPrice.value : undefined);
  const worth: Worth = {
    cost,
    benefit,
    years,
    inflation,
    life,
    once: w.value('cost.once') ?? w.value('cost.ratchetLoss') ?? 0,
  };
  const put = { B: 'cost.benefit', M: 'cost.investment' } as const;
  const taken = (id: 'cost.presentFactor' | 'cost.spendings') => w.figures.get(id)?.assumed ?? [];
  const rises = taken('cost.presentFactor').filter((a) => a.field === 'money.inflation');
  if (internalRate(worth) !== undefined)
    w.figure('cost.internalRate', internalRateOf(worth), put, {
      say: (v) => percent(v, 1),
      assumed: [...rises, ...taken('cost.spendings')],
    });
  if (cost > 0 && discountedYears(worth, rate) !== undefined)
    w.figure('cost.discountedPayback', discountedPaybackAt(rate, worth), put, { assumed: rises });
  const { energy, hourly } = parts();
  const price = timesUntilEven(worth, rate, energy);
  const even: Even = {
    price: price === null ? null : price * needs.energyPrice,
    hours: timesUntilEven(worth, rate, hourly),
  };
  if (net === undefined || net >= 0 || saved <= 0 || mustBeBought(walk) || !compared) return { worth, even };
  w.finding('cost.not-worth-it', 'note', notWorthIt({ input, w }, worth, even, needs.energyPrice, rate, net), {
    fields: ['money.energyPrice', 'money.installedCost', 'speed.profile'],
    figures: ['cost.netPresentValue', 'cost.benefit'],
  });
  return { worth, even };
}

/** Whether a motor is bought anyway: it is not asked whether it pays. */
export const mustBeBought = ({ input }: Pick<Walk, 'input'>): boolean =>
  input.errand === 'failed' || input.errand === 'new';

/** Sums over years are not known better than to three figures. */
const inThree = (value: number, input: Walk['input']): string =>
  writeAmount(Number(value.toPrecision(3)), input.money?.currency ?? '');

/** The sum that is missing, and what would have to be otherwise. */
function notWorthIt(
  { input, w }: Pick<Walk, 'input' | 'w'>,
  worth: Worth,
  even: Even,
  price: number,
  rate: number,
  net: number,
): string {
  const money = (value: number): string => inThree(value, input);
  const factor = w.value('cost.presentFactor') ?? 1;
  const times = w.value('cost.spendings') ?? 1;
  const index = w.figures.get('cost.investment')?.assumed.some((a) => a.field === 'money.installedCost') === true;
  const wouldBe = [
    worth.benefit * factor > worth.once && `it cost ${money((worth.benefit * factor - worth.once) / times)} or less`,
    even.price !== null &&
      `energy cost ${writeMoney(even.price, '1/kWh', input.money?.currency ?? '')} or ` +
        (even.price > price ? 'more' : 'less'),
    even.hours !== null && `it ran ${even.hours > 1 ? '' : 'only '}${even.hours.toFixed(1)} times as long a year`,
  ].filter(Boolean);
  return (
    `Not worth it: at ${percent(rate, 1)} over ${worth.years} years it costs ${money(-net)} more than it brings` +
    `${index ? ', by an invented price index: bring a quote' : ''}. ` +
    `${wouldBe.length > 0 ? `It would be, if ${wouldBe.join(', or ')}.` : 'It brings nothing a year.'}`
  );
}

function tellLifeCycle(walk: Walk, carbonPrice: number | undefined): void {
  const { input, w } = walk;
  const m = input.money;
  if (weekPrice(m) === undefined) return;
  const carbon = (w.value('cost.newEnergy') ?? 0) * (m?.carbon ?? 0) * (carbonPrice ?? 0);
  w.figure(
    'cost.lifeCycle',
    lifeCycleCost,
    {
      M: 'cost.investment',
      r_n: 'cost.spendings',
      E: 'cost.newEnergy',
      ...{ c: newPrice(walk), P: newDemand(walk), d: demandPriceGiven(walk) },
      C: { value: q((m?.maintenance ?? 0) + carbon, '1/a'), text: 'maintenance, and carbon at its price' },
      a_n: 'cost.presentFactor',
    },
    { say: (v) => inThree(v, input) },
  );
}
