import { commonPractice, definition } from '../../contract';
import { law, share } from '../../law';
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

/** Share of full shaft power at flow q when speed follows flow; quadratic loads may have a static head. */
export function speedRatio(shape: LoadShape, q: number, staticFraction: number): number {
  if (shape.kind === 'quadratic') return q * (staticFraction + (1 - staticFraction) * q * q);
  return q * torqueRatio(shape, q);
}

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

export const driveShare = (x: number): number => x / (x + 0.01 + 0.02 * x);
