import { commonPractice, definition, remembered } from '../../contract';
import { law, notNegative, positive } from '../../law';

/** Mean of the phases that were read: their sum over how many they are. */
export const meanCurrent = law({
  name: 'Mean of the phases read',
  symbol: 'I',
  unit: 'A',
  takes: { S: 'A', k: '1' },
  formula: 'S / k',
  source: definition('Arithmetic mean', 'sum of the phases read over their number'),
  range: { S: notNegative, k: [1, 3] },
  example: { of: { S: 50.4, k: 3 }, gives: 16.8, from: 'by hand' },
  of: ({ S, k }) => S / k,
});
export const meanVoltage = law({
  name: 'Mean of the voltages read',
  symbol: 'U',
  unit: 'V',
  takes: { S: 'V', k: '1' },
  formula: 'S / k',
  source: definition('Arithmetic mean', 'sum of the voltages read over their number'),
  range: { S: notNegative, k: [1, 3] },
  example: { of: { S: 1200, k: 3 }, gives: 400, from: 'by hand' },
  of: ({ S, k }) => S / k,
});

const farthest = (a: number, b: number, c: number): number => {
  const mean = (a + b + c) / 3;
  return mean === 0 ? 0 : Math.max(...[a, b, c].map((x) => Math.abs(x - mean))) / mean;
};
const formula = 'max(abs(a - (a + b + c) / 3), abs(b - (a + b + c) / 3), abs(c - (a + b + c) / 3)) / ((a + b + c) / 3)';
const unbalanceSource = remembered('standard', 'NEMA MG 1', '2016', '14.36: largest deviation from the mean ÷ mean');

/** Unbalance of three line voltages; 460, 467 and 450 V are the standard's own example of 2 %. */
export const voltageUnbalance = law({
  name: 'Unbalance of the voltages',
  symbol: 'u_U',
  unit: '1',
  takes: { a: 'V', b: 'V', c: 'V' },
  formula,
  source: unbalanceSource,
  range: { a: notNegative, b: notNegative, c: notNegative },
  example: {
    of: { a: 460, b: 467, c: 450 },
    gives: 9 / 459,
    from: 'NEMA MG 1, 14.36, its own example of 1.96 % (from memory)',
  },
  of: ({ a, b, c }) => farthest(a, b, c),
});
export const currentUnbalance = law({
  name: 'Unbalance of the currents',
  symbol: 'u_I',
  unit: '1',
  takes: { a: 'A', b: 'A', c: 'A' },
  formula,
  source: unbalanceSource,
  range: { a: notNegative, b: notNegative, c: notNegative },
  example: { of: { a: 20, b: 17, c: 17 }, gives: 1 / 9, from: 'by hand' },
  of: ({ a, b, c }) => farthest(a, b, c),
});

/** Reading over what the plate says. */
export const overPlate = law({
  name: 'Current over the plate’s',
  symbol: 'x_I',
  unit: '1',
  takes: { I: 'A', I_n: 'A' },
  formula: 'I / I_n',
  source: definition('Ratio', 'highest phase read over the plate’s current as connected'),
  range: { I: notNegative, I_n: positive },
  example: { of: { I: 20, I_n: 17 }, gives: 1.17647, from: 'by hand' },
  of: ({ I, I_n }) => I / I_n,
});
export const voltageShare = law({
  name: 'Voltage over the plate’s',
  symbol: 'x_U',
  unit: '1',
  takes: { U: 'V', U_n: 'V' },
  formula: 'U / U_n',
  source: definition('Ratio', 'mean voltage read over the plate’s as connected'),
  range: { U: notNegative, U_n: positive },
  example: { of: { U: 380, U_n: 400 }, gives: 0.95, from: 'by hand' },
  of: ({ U, U_n }) => U / U_n,
});

const ieee43 = (part: string) => remembered('standard', 'IEEE 43', '2013', part);

/** Thermoplastic insulation, old asphalt or shellac: halved with every 10 K. T in °C. */
export const insulationThermoplastic = law({
  name: 'Insulation resistance at 40 °C, thermoplastic',
  symbol: 'R_40',
  unit: 'ohm',
  takes: { R: 'ohm', T: 'degC' },
  formula: 'R * 0.5 ^ ((40 - T) / 10)',
  source: ieee43('correction to 40 °C: halves for every 10 °C'),
  range: { R: notNegative, T: [10, 60] },
  example: { of: { R: 50e6, T: 20 }, gives: 12.5e6, from: 'by hand: two halvings' },
  of: ({ R, T }) => R * 0.5 ** ((40 - T) / 10),
});
/** Thermosetting insulation (enamel, polyester, epoxy): a milder correction, steeper above 40 °C. T in °C. */
export const insulationThermosetting = law({
  name: 'Insulation resistance at 40 °C, thermosetting',
  symbol: 'R_40',
  unit: 'ohm',
  takes: { R: 'ohm', T: 'degC' },
  formula: 'R * exp((T > 40 ? -4230 : -1245) * (1 / (T + 273) - 1 / 313))',
  source: ieee43('correction to 40 °C: exp(−1245 …) from 10 to 40 °C, exp(−4230 …) to 85 °C'),
  range: { R: notNegative, T: [10, 85] },
  example: {
    of: { R: 50e6, T: 20 },
    gives: 38.1e6,
    within: 2e-3,
    from: 'by hand: exp(−1245 × (1/293 − 1/313)) = 0.762',
  },
  of: ({ R, T }) => R * Math.exp((T > 40 ? -4230 : -1245) * (1 / (T + 273) - 1 / 313)),
});

/** Grease for one renewal in g. D outside diameter and B width of the bearing, mm. */
export const greaseQuantity = law({
  name: 'Grease for a relubrication',
  symbol: 'G',
  unit: 'g',
  takes: { D: 'mm', B: 'mm' },
  formula: '0.005 * D * B',
  source: commonPractice('Grease at relubrication: 0.005 × outside diameter × width, in g and mm'),
  range: { D: [10, 600], B: [3, 200] },
  example: { of: { D: 100, B: 25 }, gives: 12.5, from: 'by hand, a 6309' },
  of: ({ D, B }) => 0.005 * D * B,
});

/**
 * Hours between two greasings: n r/min, d bore in mm, K by the bearing's kind (10 ball, 5 cylindrical roller), f for
 * heat, an upright shaft and dirt (1 for a clean, lying one at up to 70 °C).
 */
export const greaseInterval = law({
  name: 'Hours between greasings',
  symbol: 't_g',
  unit: 'h',
  takes: { n: 'rpm', d: 'mm', K: '1', f: '1' },
  formula: 'f * K * max(0, 14000000 / (n * sqrt(d)) - 4 * d)',
  source: commonPractice('Relubrication interval K × (14·10⁶ ÷ (n·√d) − 4·d), K 10 for balls and 5 for rollers'),
  estimate: { basis: 'lithium grease, usual loads', band: [0.5, 2] },
  range: { n: [100, 12_000], d: [10, 300], K: [1, 10], f: [0.01, 1] },
  example: {
    of: { n: 1475, d: 45, K: 10, f: 1 },
    gives: 12_349,
    within: 1e-3,
    from: 'by hand: 10 × (14·10⁶ ÷ (1475 × 6.708) − 180)',
  },
  of: ({ n, d, K, f }) => f * K * Math.max(0, 14e6 / (n * Math.sqrt(d)) - 4 * d),
});

/** Starts an hour between two readings of both counters. */
export const startsBetween = law({
  name: 'Starts an hour since the reading before',
  symbol: 'z',
  unit: '1/h',
  takes: { N_2: '1', N_1: '1', t_2: 'h', t_1: 'h' },
  formula: '(N_2 - N_1) / (t_2 - t_1)',
  source: definition('Rate', 'starts counted over hours run'),
  range: { N_2: notNegative, N_1: notNegative, t_2: notNegative, t_1: notNegative },
  example: { of: { N_2: 3400, N_1: 3120, t_2: 12_620, t_1: 12_480 }, gives: 2, from: 'by hand' },
  of: ({ N_2, N_1, t_2, t_1 }) => (N_2 - N_1) / (t_2 - t_1),
});

/** Rise of the bearing housing above the air around it. */
export const riseOverAir = law({
  name: 'Bearing housing above the air around it',
  symbol: 'ΔT',
  unit: 'K',
  takes: { T: 'degC', T_a: 'degC' },
  formula: 'T - T_a',
  source: definition('Difference', 'housing less ambient'),
  range: { T: [-60, 300], T_a: [-60, 120] },
  example: { of: { T: 62, T_a: 24 }, gives: 38, from: 'by hand' },
  of: ({ T, T_a }) => T - T_a,
});
