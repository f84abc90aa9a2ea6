import { commonPractice, definition } from '../../contract';
import { law, notNegative, positive, share } from '../../law';
import { torqueRatio, type LoadShape } from '../mechanics/shape';

/** Share of full shaft power under speed control: flow with speed, head static + the rest with the square. */
export const affinity = law({
  name: 'Shaft power under speed control',
  symbol: 'r',
  unit: '1',
  takes: { q: '1', s: '1' },
  formula: 'q * (s + (1 - s) * q^2)',
  source: definition('Affinity laws', 'with a static share s of the head; machine efficiency unchanged'),
  range: { q: [0, 1.5], s: share },
  example: { of: { q: 0.8, s: 0.25 }, gives: 0.584, from: 'by hand' },
  of: ({ q, s }) => q * (s + (1 - s) * q * q),
});

/** Share of the head at full flow that a set point keeps at every flow. */
export const keptShare = law({
  name: 'Share of the head that is kept',
  symbol: 's_k',
  unit: '1',
  takes: { p_k: 'Pa', p: 'Pa' },
  formula: 'p_k / p',
  source: definition('System curve', 'what is kept + the rest with the square of flow'),
  range: { p_k: notNegative, p: positive },
  example: { of: { p_k: 150000, p: 300000 }, gives: 0.5, from: 'by hand' },
  of: ({ p_k, p }) => p_k / p,
});

/** Speed ÷ full below which a centrifugal machine lifts nothing. */
export const leastLiftSpeed = law({
  name: 'Least speed that still lifts',
  symbol: 'n_l',
  unit: '1',
  takes: { s: '1', h_0: '1' },
  formula: 'sqrt(s / h_0)',
  source: definition('Affinity laws', 'head goes with the square of speed; h_0 is the head at no flow ÷ head asked'),
  range: { s: share, h_0: positive },
  example: { of: { s: 0.7, h_0: 1.25 }, gives: 0.74833, from: 'by hand: √0.56' },
  of: ({ s, h_0 }) => Math.sqrt(s / h_0),
});

/** Share of full shaft power at flow q when speed follows flow. */
export const speedRatio = (shape: LoadShape, q: number): number => q * torqueRatio(shape, q);

/**
 * Losses of a drive: about 3 % of rating at full load, of which a third is always there; x is its output ÷ rated motor
 * input.
 */
export const driveEfficiency = law({
  name: 'Drive efficiency at part load',
  symbol: 'eta_d',
  unit: '1',
  takes: { x: '1' },
  formula: 'x / (x + 0.01 + 0.02 * x)',
  source: commonPractice('A drive loses some 3 % at full load and a larger share at part load'),
  estimate: { basis: 'common practice', band: [0.98, 1.01] },
  range: { x: [0.05, 1.2] },
  example: { of: { x: 0.5 }, gives: 0.96154, from: 'by hand' },
  of: ({ x }) => driveShare(x),
});

/** W a drive loses ÷ rated input of its motor, where x of that passes: a third of 3 % is always there. */
export const driveLossAt = (x: number): number => 0.01 + 0.02 * x;

export const driveShare = (x: number): number => x / (x + driveLossAt(x));
