import { remembered } from '../../contract';
import { law } from '../../law';
import { answerLength, at, breakdown, solveAt, type Circuit } from './circuit';

const theory = remembered(
  'textbook',
  'Per-phase equivalent circuit of the polyphase induction machine',
  'any edition',
  'stator, magnetising branch with core loss, rotor cages in parallel; solved exactly',
);

const out = new Float64Array(answerLength);
const steady = (c: Circuit, U: number, f: number, n: number, index: number): number => {
  solveAt(c, U, f, 1 - (n * c.poles) / (120 * f), out);
  return out[index] ?? NaN;
};

const takes = { U: 'V', f: 'Hz', n: 'rpm' } as const;
const solved = (what: string): string =>
  `${what} of the per-phase circuit at voltage U, frequency f and speed n, by complex arithmetic`;

/** Laws of one circuit at a speed: each solves it exactly. U line to line, f in Hz, n in r/min. */
export const circuitLaws = (c: Circuit) => ({
  current: law({ name: 'Line current of the circuit', symbol: 'I', unit: 'A', takes, formula: solved('line current'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.current) }),
  powerFactor: law({ name: 'Power factor of the circuit', symbol: 'pf', unit: '1', takes, formula: solved('cosine of the angle of the impedance'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.powerFactor) }),
  inputPower: law({ name: 'Input power of the circuit', symbol: 'P_in', unit: 'W', takes, formula: solved('3 * I^2 * resistance seen from the line'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.input) }),
  airGapPower: law({ name: 'Air-gap power', symbol: 'P_ag', unit: 'W', takes, formula: solved('power in the rotor branches'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.airGap) }),
  torque: law({ name: 'Electromagnetic torque', symbol: 'T', unit: 'N.m', takes, formula: solved('air-gap power over synchronous angular speed'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.torque) }),
  outputPower: law({ name: 'Shaft power of the circuit', symbol: 'P_out', unit: 'W', takes, formula: solved('air-gap power * (1 - slip) - friction'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.output) }),
  shaftTorque: law({ name: 'Shaft torque of the circuit', symbol: 'T_sh', unit: 'N.m', takes, formula: solved('shaft power over angular speed'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.shaftTorque) }),
  efficiency: law({ name: 'Efficiency of the circuit', symbol: 'eta', unit: '1', takes, formula: solved('shaft power over input power'), source: theory, method: true, of: ({ U, f, n }) => steady(c, U, f, n, at.output) / steady(c, U, f, n, at.input) }),
  breakdownTorque: law({ name: 'Breakdown torque of the circuit', symbol: 'T_b', unit: 'N.m', takes: { U: 'V', f: 'Hz' }, formula: 'largest electromagnetic torque between synchronism and standstill, searched over slip', source: theory, method: true, of: ({ U, f }) => breakdown(c, U, f).torque }),
  breakdownSlip: law({ name: 'Slip at breakdown', symbol: 's_b', unit: '1', takes: { U: 'V', f: 'Hz' }, formula: 'slip of the largest electromagnetic torque, searched between synchronism and standstill', source: theory, method: true, of: ({ U, f }) => breakdown(c, U, f).slip }),
}); // prettier-ignore
