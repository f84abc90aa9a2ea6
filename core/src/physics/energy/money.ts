import { definition, model } from '../../contract';
import { any, law, notNegative, positive, type Law } from '../../law';

const accounts = definition('Energy account', 'energy = power × hours; money = energy × price');

/** One row of the year: hours at a share of shaft power, and the efficiency there. */
export interface ProfileRow {
  readonly hours: number;
  readonly ratio: number;
  readonly efficiency: number;
}

/** Hours-weighted mean of input ÷ full shaft power over the rows of a profile. */
export const meanInputRatio = (rows: readonly ProfileRow[]): Law<{ readonly H: 'h/a' }, '1'> =>
  law({
    name: 'Mean input over the year',
    symbol: 'r',
    unit: '1',
    takes: { H: 'h/a' },
    formula: 'sum over the profile of hours * power share / efficiency, divided by H',
    source: accounts,
    method: true,
    range: { H: positive },
    example: {
      of: { H: 6000 },
      gives: 0.79704,
      from: 'by hand: (2000 × 1 / 0.9 + 4000 × 0.512 / 0.8) / 6000 = (2222.2 + 2560) / 6000',
      made: {
        for: '2000 h at full power and 0.90, 4000 h at 0.512 and 0.80',
        law: () =>
          meanInputRatio([
            { hours: 2000, ratio: 1, efficiency: 0.9 },
            { hours: 4000, ratio: 0.512, efficiency: 0.8 },
          ]),
      },
    },
    of: ({ H }) => sum(rows, (r) => (r.hours * r.ratio) / r.efficiency) / H,
  });

export const annualEnergy = law({
  name: 'Energy in a year',
  symbol: 'E',
  unit: 'kWh/a',
  takes: { P: 'W', H: 'h/a', r: '1' },
  formula: 'P / 1000 * H * r',
  source: accounts,
  range: { P: notNegative, H: [0, 8784], r: notNegative },
  example: { of: { P: 50000, H: 6000, r: 0.6 }, gives: 180000, from: 'by hand' },
  of: ({ P, H, r }) => (P / 1000) * H * r,
});

export const peakInput = law({
  name: 'Highest input over the profile',
  symbol: 'P_pk',
  unit: 'kW',
  takes: { P: 'W', r_max: '1' },
  formula: 'P / 1000 * r_max',
  source: accounts,
  range: { P: notNegative, r_max: notNegative },
  example: { of: { P: 50000, r_max: 1.05 }, gives: 52.5, from: 'by hand' },
  of: ({ P, r_max }) => (P / 1000) * r_max,
});

export const savedEnergy = law({
  name: 'Energy saved in a year',
  symbol: 'dE',
  unit: 'kWh/a',
  takes: { E_old: 'kWh/a', E_new: 'kWh/a' },
  formula: 'E_old - E_new',
  source: accounts,
  range: { E_old: any, E_new: any },
  example: { of: { E_old: 300000, E_new: 180000 }, gives: 120000, from: 'by hand' },
  of: ({ E_old, E_new }) => E_old - E_new,
});

/** Money saved: energy at its price, and twelve months of lower peak demand. */
export const savedMoney = law({
  name: 'Money saved in a year',
  symbol: 'dM',
  unit: '1/a',
  takes: { dE: 'kWh/a', c: '1/kWh', P_old: 'kW', P_new: 'kW', d: '1/kW' },
  formula: 'dE * c + 12 * d * (P_old - P_new)',
  source: accounts,
  range: { dE: any, c: notNegative, P_old: any, P_new: any, d: notNegative },
  example: { of: { dE: 120000, c: 0.1, P_old: 55, P_new: 40, d: 10 }, gives: 13800, from: 'by hand' },
  of: ({ dE, c, P_old, P_new, d }) => dE * c + 12 * d * (P_old - P_new),
});

export const savedCarbon = law({
  name: 'Carbon saved in a year',
  symbol: 'dC',
  unit: 'kg/a',
  takes: { dE: 'kWh/a', g: 'kg/kWh' },
  formula: 'dE * g',
  source: accounts,
  range: { dE: any, g: notNegative },
  example: { of: { dE: 120000, g: 0.4 }, gives: 48000, from: 'by hand' },
  of: ({ dE, g }) => dE * g,
});

export const payback = law({
  name: 'Simple payback',
  symbol: 't_pb',
  unit: 'a',
  takes: { M: 'money', dM: '1/a' },
  formula: 'M / dM',
  source: accounts,
  range: { M: any, dM: any },
  example: { of: { M: 9000, dM: 3000 }, gives: 3, from: 'by hand' },
  of: ({ M, dM }) => M / dM,
});

export const installedCost = law({
  name: 'Cost from the price index',
  symbol: 'M',
  unit: 'money',
  takes: { m: '1', s: '1', f: '1', c: '1' },
  formula: 'm + s + f + c',
  source: model(
    'Invented price index',
    'motor, starter, what stands beside them, and cable; no maker’s price, for comparing only',
  ),
  estimate: { basis: 'invented price index', band: [0.5, 2] },
  range: { m: notNegative, s: notNegative, f: notNegative, c: notNegative },
  example: { of: { m: 2500, s: 1500, f: 300, c: 200 }, gives: 4500, from: 'by hand' },
  of: ({ m, s, f, c }) => m + s + f + c,
});

/** What a series of equal yearly sums is worth today, per unit a year. Rate 0 gives the number of years. */
export const annuity = law({
  name: 'Present value of one a year',
  symbol: 'a_n',
  unit: '1',
  takes: { i: '1', n: 'a' },
  formula: 'i == 0 ? n : (1 - (1 + i)^(-n)) / i',
  source: definition('Annuity'),
  range: { i: [-0.5, 1], n: [0, 100] },
  example: { of: { i: 0.08, n: 10 }, gives: 6.7101, from: 'any table of present values: 6.710 for ten years at 8 %' },
  of: ({ i, n }) => presentValue(i, n),
});

export const presentValue = (rate: number, years: number): number =>
  rate === 0 ? years : (1 - (1 + rate) ** -years) / rate;

/** Hours of the year that a profile covers. */
export const hoursOf = (rows: readonly { readonly hours: number }[]): Law<Record<never, never>, 'h/a'> =>
  law({
    name: 'Hours in the profile',
    symbol: 'H',
    unit: 'h/a',
    takes: {},
    formula: 'sum of the hours of the profile',
    source: accounts,
    method: true,
    range: {},
    example: {
      of: {},
      gives: 6000,
      from: 'by hand: 2000 + 4000',
      made: { for: 'rows of 2000 h and 4000 h', law: () => hoursOf([{ hours: 2000 }, { hours: 4000 }]) },
    },
    of: () => sum(rows, (r) => r.hours),
  });

/** Flow averaged over the hours of a profile. */
export const meanFlow = (
  rows: readonly { readonly hours: number; readonly flow: number }[],
): Law<{ readonly H: 'h/a' }, '1'> =>
  law({
    name: 'Mean flow over the year',
    symbol: 'q_m',
    unit: '1',
    takes: { H: 'h/a' },
    formula: 'sum of hours * flow over the profile, divided by H',
    source: accounts,
    method: true,
    range: { H: positive },
    example: {
      of: { H: 6000 },
      gives: 0.73333,
      from: 'by hand: (2000 × 1 + 4000 × 0.6) / 6000',
      made: {
        for: '2000 h at full flow, 4000 h at 0.6',
        law: () =>
          meanFlow([
            { hours: 2000, flow: 1 },
            { hours: 4000, flow: 0.6 },
          ]),
      },
    },
    of: ({ H }) => sum(rows, (r) => r.hours * r.flow) / H,
  });

const sum = <T>(rows: readonly T[], of: (row: T) => number): number => rows.reduce((total, row) => total + of(row), 0);
