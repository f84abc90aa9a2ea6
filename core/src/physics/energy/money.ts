import { definition, model } from '../../contract';
import { law } from '../../law';

const accounts = definition('Energy account', 'energy = power × hours; money = energy × price');

/** One row of the year: hours at a share of shaft power, and the efficiency there. */
export interface ProfileRow {
  readonly hours: number;
  readonly ratio: number;
  readonly efficiency: number;
}

/** Hours-weighted mean of input ÷ full shaft power over the rows of a profile. */
export const meanInputRatio = (rows: readonly ProfileRow[]) =>
  law({
    name: 'Mean input over the year',
    symbol: 'r',
    unit: '1',
    takes: { H: 'h/a' },
    formula: 'sum over the profile of hours * power share / efficiency, divided by H',
    source: accounts,
    method: true,
    of: ({ H }) => sum(rows, (r) => (r.hours * r.ratio) / r.efficiency) / H,
  });

export const annualEnergy = law({
  name: 'Energy in a year',
  symbol: 'E',
  unit: 'kWh/a',
  takes: { P: 'W', H: 'h/a', r: '1' },
  formula: 'P / 1000 * H * r',
  source: accounts,
  of: ({ P, H, r }) => (P / 1000) * H * r,
});

export const peakInput = law({
  name: 'Highest input over the profile',
  symbol: 'P_pk',
  unit: 'kW',
  takes: { P: 'W', r_max: '1' },
  formula: 'P / 1000 * r_max',
  source: accounts,
  of: ({ P, r_max }) => (P / 1000) * r_max,
});

export const savedEnergy = law({
  name: 'Energy saved in a year',
  symbol: 'dE',
  unit: 'kWh/a',
  takes: { E_old: 'kWh/a', E_new: 'kWh/a' },
  formula: 'E_old - E_new',
  source: accounts,
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
  of: ({ dE, c, P_old, P_new, d }) => dE * c + 12 * d * (P_old - P_new),
});

export const savedCarbon = law({
  name: 'Carbon saved in a year',
  symbol: 'dC',
  unit: 'kg/a',
  takes: { dE: 'kWh/a', g: 'kg/kWh' },
  formula: 'dE * g',
  source: accounts,
  of: ({ dE, g }) => dE * g,
});

export const payback = law({
  name: 'Simple payback',
  symbol: 't_pb',
  unit: 'a',
  takes: { M: 'money', dM: '1/a' },
  formula: 'M / dM',
  source: accounts,
  of: ({ M, dM }) => M / dM,
});

export const installedCost = law({
  name: 'Cost from the price index',
  symbol: 'M',
  unit: 'money',
  takes: { m: '1', s: '1' },
  formula: 'm + s',
  source: model('Invented price index', 'motor and starter; no maker’s price, for comparing only'),
  estimate: { basis: 'invented price index', band: [0.5, 2] },
  of: ({ m, s }) => m + s,
});

/** What a series of equal yearly sums is worth today, per unit a year. Rate 0 gives the number of years. */
export const annuity = law({
  name: 'Present value of one a year',
  symbol: 'a_n',
  unit: '1',
  takes: { i: '1', n: 'a' },
  formula: 'i == 0 ? n : (1 - (1 + i)^(-n)) / i',
  source: definition('Annuity'),
  of: ({ i, n }) => presentValue(i, n),
});

export const presentValue = (rate: number, years: number): number =>
  rate === 0 ? years : (1 - (1 + rate) ** -years) / rate;

/** Hours of the year that a profile covers. */
export const hoursOf = (rows: readonly { readonly hours: number }[]) =>
  law({
    name: 'Hours in the profile',
    symbol: 'H',
    unit: 'h/a',
    takes: {},
    formula: 'sum of the hours of the profile',
    source: accounts,
    method: true,
    of: () => sum(rows, (r) => r.hours),
  });

/** Flow averaged over the hours of a profile. */
export const meanFlow = (rows: readonly { readonly hours: number; readonly flow: number }[]) =>
  law({
    name: 'Mean flow over the year',
    symbol: 'q_m',
    unit: '1',
    takes: { H: 'h/a' },
    formula: 'sum of hours * flow over the profile, divided by H',
    source: accounts,
    method: true,
    of: ({ H }) => sum(rows, (r) => r.hours * r.flow) / H,
  });

const sum = <T>(rows: readonly T[], of: (row: T) => number): number => rows.reduce((total, row) => total + of(row), 0);
