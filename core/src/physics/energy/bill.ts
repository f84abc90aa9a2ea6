import { definition } from '../../contract';
import { any, law, notNegative, positive, type Law } from '../../law';

const bill = definition('Electricity bill', 'energy at its price by time; demand by its basis, twelve months');

/** Energy of one row of the year in kWh, and what a kWh costs when it is used. */
export interface PaidRow {
  readonly energy: number;
  readonly price: number;
}

const paid = (rows: readonly PaidRow[]): number => {
  const energy = rows.reduce((sum, r) => sum + r.energy, 0);
  if (energy > 0) return rows.reduce((sum, r) => sum + r.energy * r.price, 0) / energy;
  return rows.reduce((sum, r) => sum + r.price, 0) / Math.max(1, rows.length);
};

/** Mean price of a kWh over what is used in a year; over its rows where nothing is used. */
export const meanPaid = (rows: readonly PaidRow[]): Law<Record<never, never>, '1/kWh'> =>
  law({
    name: 'Mean price paid for a kWh',
    symbol: 'c_m',
    unit: '1/kWh',
    takes: {},
    formula: 'sum of energy * price over the profile, divided by the energy',
    source: bill,
    method: true,
    range: {},
    example: {
      of: {},
      gives: 0.16,
      from: 'by hand: (300 · 0.20 + 200 · 0.10) ÷ 500',
      made: {
        for: '300 kWh at 0.20 and 200 kWh at 0.10',
        law: () =>
          meanPaid([
            { energy: 300, price: 0.2 },
            { energy: 200, price: 0.1 },
          ]),
      },
    },
    of: () => paid(rows),
  });

/** Demand that is billed: real power ÷ the power factor it is billed by, 1 where it is billed as it is. */
export const billedDemand = law({
  name: 'Demand billed',
  symbol: 'D',
  unit: 'kW',
  takes: { P: 'kW', lambda: '1' },
  formula: 'P / lambda',
  source: bill,
  range: { P: notNegative, lambda: [0.01, 1] },
  example: { of: { P: 40, lambda: 0.8 }, gives: 50, from: 'by hand: 40 kW at 0.8 are 50 kVA' },
  of: ({ P, lambda }) => P / lambda,
});

/** Money saved where the price goes by time, or demand is not billed by the kilowatt. */
export const savedByBills = law({
  name: 'Money saved in a year, bill by bill',
  symbol: 'dM',
  unit: '1/a',
  takes: { E_old: 'kWh/a', c_old: '1/kWh', E_new: 'kWh/a', c_new: '1/kWh', D_old: 'kW', D_new: 'kW', d: '1/kW' },
  formula: 'E_old * c_old - E_new * c_new + 12 * d * (D_old - D_new)',
  source: bill,
  range: { E_old: any, c_old: notNegative, E_new: any, c_new: notNegative, D_old: any, D_new: any, d: notNegative },
  example: {
    of: { E_old: 300000, c_old: 0.1, E_new: 180000, c_new: 0.09, D_old: 55, D_new: 40, d: 10 },
    gives: 15600,
    from: 'by hand: 30000 − 16200 + 1800',
  },
  of: ({ E_old, c_old, E_new, c_new, D_old, D_new, d }) => E_old * c_old - E_new * c_new + 12 * d * (D_old - D_new),
});

/** What a ratchet keeps of the first year's saving: the old peak, in its share, is billed for eleven months more. */
export const ratchetLoss = law({
  name: 'Saving that the ratchet keeps in the first year',
  symbol: 'L',
  unit: 'money',
  takes: { r: '1', D_old: 'kW', D_new: 'kW', d: '1/kW' },
  formula: '11 * d * max(0, r * D_old - D_new)',
  source: bill,
  range: { r: [0, 1], D_old: notNegative, D_new: notNegative, d: notNegative },
  example: { of: { r: 0.8, D_old: 55, D_new: 40, d: 10 }, gives: 440, from: 'by hand: 110 · 4' },
  of: ({ r, D_old, D_new, d }) => 11 * d * Math.max(0, r * D_old - D_new),
});

/** Spent once besides the cost: what a ratchet keeps, less what is given for the saving; may be below 0. */
export const spentOnce = law({
  name: 'Spent once besides the cost',
  symbol: 'L',
  unit: 'money',
  takes: { R: 'money', S: 'money' },
  formula: 'R - S',
  source: bill,
  range: { R: notNegative, S: notNegative },
  example: { of: { R: 440, S: 1500 }, gives: -1060, from: 'by hand' },
  of: ({ R, S }) => R - S,
});

/** Power factor of a three-phase motor from what it takes. */
export const powerFactorOf = law({
  name: 'Power factor',
  symbol: 'lambda',
  unit: '1',
  takes: { P_in: 'W', U: 'V', I: 'A' },
  formula: 'min(1, P_in / (sqrt(3) * U * I))',
  source: definition('Power factor', 'real power ÷ apparent power'),
  range: { P_in: notNegative, U: positive, I: positive },
  example: { of: { P_in: 10000, U: 400, I: 18 }, gives: 0.80188, from: 'by hand' },
  of: ({ P_in, U, I }) => Math.min(1, P_in / (Math.sqrt(3) * U * I)),
});
