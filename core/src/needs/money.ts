import { daysOf, type Case } from '../case';
import { meanPrice, type TariffRow, type WeekWindow } from '../physics';

/** Price of a kWh for ranking only, where nobody gave one. */
export const rankingPrice = 0.15;

type Money = Case['money'];
type Row = NonNullable<NonNullable<Case['speed']>['profile']>[number];

/** The tariff's rows; empty where a price holds all week. */
export const tariffOf = (money: Money): readonly TariffRow[] =>
  (money?.tariff ?? []).map(({ from, to, days, price }) => ({
    ...{ from: from.minutes % 1440, to: to.minutes, price },
    days: daysOf(days),
  }));

/** Price of a kWh over the whole week; undefined where nobody gave one. */
export const weekPrice = (money: Money): number | undefined =>
  money?.tariff ? meanPrice(tariffOf(money)) : money?.energyPrice;

/** Price of what a row of the year uses ÷ the week's; a row without times runs at any. */
export function priceShare(money: Money, row: Row): number {
  const whole = money?.tariff ? weekPrice(money) : undefined;
  if (whole === undefined || whole <= 0) return 1;
  return meanPrice(tariffOf(money), windowOf(row)) / whole;
}

function windowOf({ from, to, days }: Row): WeekWindow | undefined {
  if (from === undefined && to === undefined && days === undefined) return undefined;
  return { from: (from?.minutes ?? 0) % 1440, to: to?.minutes ?? 1440, days: daysOf(days) };
}
