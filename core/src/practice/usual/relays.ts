import { commonPractice, definition, remembered, toldAt } from '../../contract';
import { law, notNegative, positive } from '../../law';
import { table } from '../table';

export const tripClasses = ['5', '10A', '10', '20', '30'] as const;
export type TripClass = (typeof tripClasses)[number];

/** Trip time from cold at 7.2 × the setting: above, and at most, s. Rows by the class's place in `tripClasses`. */
export const tripTimes = table(
  remembered('standard', 'IEC 60947-4-1', '2018', 'Table 2 (trip classes of overload relays)'),
  ['above', 'most'],
  [
    [0, 0.5, 5],
    [1, 2, 10],
    [2, 4, 10],
    [3, 6, 20],
    [4, 9, 30],
  ],
);

export { toldAt };

/**
 * What is left of a trip time after hours at the setting: a relay that ends up tripping at 1.2 × its setting is then
 * at 1/1.2² of the way.
 */
export const hotShare = {
  value: 1 - 1 / 1.2 ** 2,
  source: commonPractice('A thermal image that trips at 1.2 × its setting, warm from running at the setting'),
};

export const tripUse = law({
  name: 'Share of the way to a trip that the start uses, from cold',
  symbol: 'h_t',
  unit: '1',
  takes: { h: '1', I_LR: 'A', t_E: 's', I: 'A', t_c: 's' },
  formula: 'h * I_LR^2 * t_E / ((7.2 * I)^2 * t_c)',
  source: definition('I²t of the start', 'that of the simulated run, against the quickest relay of the class at 7.2 ×'),
  range: { h: notNegative, I_LR: notNegative, t_E: notNegative, I: positive, t_c: positive },
  example: {
    of: { h: 0.25, I_LR: 240, t_E: 12, I: 40, t_c: 4 },
    gives: 0.520833,
    from: 'by hand: 3 s of 240 A are 172,800 A²s, of 288² × 4 = 331,776',
  },
  of: ({ h, I_LR, t_E, I, t_c }) => (h * I_LR * I_LR * t_E) / ((toldAt * I) ** 2 * t_c),
});

export const tripAtStall = law({
  name: 'Latest trip of a warm relay at standstill',
  symbol: 't_s',
  unit: 's',
  takes: { f: '1', t_c: 's', I: 'A', I_LR: 'A' },
  formula: 'f * t_c * (7.2 * I / I_LR)^2',
  source: definition('I²t of a relay', 'its latest trip at 7.2 ×, carried to the locked-rotor current'),
  range: { f: [0, 1], t_c: positive, I: positive, I_LR: positive },
  example: {
    of: { f: 0.3, t_c: 10, I: 40, I_LR: 240 },
    gives: 4.32,
    from: 'by hand: 3 s × 1.2²',
  },
  of: ({ f, t_c, I, I_LR }) => f * t_c * ((toldAt * I) / I_LR) ** 2,
});
