import { definition, remembered } from '../../contract';
import { law, notNegative, positive } from '../../law';

/** A harmonic current: its order, and A. */
export type Harmonics = readonly (readonly [order: number, current: number])[];

/** Exponent by which currents of one order of several sources add (IEC 61000-3-6, 2008, Table 3; from memory). */
export const summationExponent = (order: number): number => (order < 5 ? 1 : order <= 10 ? 1.4 : 2);
export const summationSource = remembered(
  'standard',
  'IEC 61000-3-6',
  '2008',
  'Table 3: summation exponents 1, 1.4, 2',
);

/** Currents of several sources together: their phases spread, the more the higher the order. */
export function together(sources: readonly Harmonics[]): Harmonics {
  const sums = new Map<number, number>();
  for (const [order, current] of sources.flat())
    sums.set(order, (sums.get(order) ?? 0) + current ** summationExponent(order));
  return [...sums].map(([order, sum]): [number, number] => [order, sum ** (1 / summationExponent(order))]);
}

/** √Σ of harmonic currents. */
export const rootSum = (of: Harmonics): number => Math.hypot(...of.map(([, current]) => current));

/** Harmonic voltage shares at a bus behind X Ω a phase, U V line to line. */
export const voltageShares = (of: Harmonics, X: number, U: number): Harmonics =>
  of.map(([order, current]): [number, number] => [order, (Math.sqrt(3) * order * X * current) / U]);

const network = definition('Network', 'true power factor = power ÷ (√3 · voltage · current)');

export const driveInputCurrent = law({
  name: 'Current a drive takes from the supply',
  symbol: 'I_in',
  unit: 'A',
  takes: { P: 'W', U: 'V', lambda: '1' },
  formula: 'P / (sqrt(3) * U * lambda)',
  source: network,
  range: { P: notNegative, U: positive, lambda: [0.01, 1] },
  example: { of: { P: 24000, U: 400, lambda: 0.9 }, gives: 38.49, from: 'by hand' },
  of: ({ P, U, lambda }) => P / (Math.sqrt(3) * U * lambda),
});

/** The same on one phase. */
export const singlePhaseInputCurrent = law({
  name: 'Current a drive takes from one phase',
  symbol: 'I_in',
  unit: 'A',
  takes: { P: 'W', U: 'V', lambda: '1' },
  formula: 'P / (U * lambda)',
  source: network,
  range: { P: notNegative, U: positive, lambda: [0.01, 1] },
  example: { of: { P: 1500, U: 230, lambda: 0.7 }, gives: 9.317, from: 'by hand' },
  of: ({ P, U, lambda }) => P / (U * lambda),
});

export const driveInputPower = law({
  name: 'Power a drive takes from the supply',
  symbol: 'P_in',
  unit: 'W',
  takes: { P: 'W', eta_m: '1', eta_d: '1' },
  formula: 'P / (eta_m * eta_d)',
  source: definition('Efficiency', 'shaft power ÷ efficiency of motor and drive'),
  range: { P: notNegative, eta_m: [0.05, 1], eta_d: [0.05, 1] },
  example: { of: { P: 20000, eta_m: 0.93, eta_d: 0.97 }, gives: 22170, from: 'by hand' },
  of: ({ P, eta_m, eta_d }) => P / (eta_m * eta_d),
});

export const demandDistortion = law({
  name: 'Demand distortion at the point of connection',
  symbol: 'TDD',
  unit: '1',
  takes: { I_H: 'A', I_L: 'A' },
  formula: 'I_H / I_L',
  source: definition('IEEE 519', 'harmonic current, root of the sum of squares, ÷ maximum demand current'),
  range: { I_H: notNegative, I_L: positive },
  example: { of: { I_H: 14, I_L: 200 }, gives: 0.07, from: 'by hand' },
  of: ({ I_H, I_L }) => I_H / I_L,
});

/** Air that carries heat off while it warms by so much: 1.2 kg/m³ and 1005 J/(kg·K). */
export const panelAir = law({
  name: 'Air that carries the heat off',
  symbol: 'q_a',
  unit: 'm3/s',
  takes: { P: 'W', dT: 'K' },
  formula: 'P / (1206 * dT)',
  source: definition('Heat', 'density and specific heat of air at 20 °C: 1.2 kg/m³, 1005 J/(kg·K)'),
  range: { P: notNegative, dT: positive },
  example: { of: { P: 600, dT: 10 }, gives: 0.04975, from: 'by hand' },
  of: ({ P, dT }) => P / (1206 * dT),
});
