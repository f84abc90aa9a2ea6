import { definition } from '../../contract';
import { law, notNegative } from '../../law';

const lines = definition('Transmission-line theory', 'a steep pulse doubles at an open end');

/** Crest at the motor when a drive's pulse is fully reflected. */
export const doubledPulse = law({
  name: 'Fully reflected pulse at the motor',
  symbol: 'U_pk',
  unit: 'V',
  takes: { U: 'V' },
  formula: '2 * sqrt(2) * U',
  source: lines,
  range: { U: notNegative },
  example: { of: { U: 480 }, gives: 1357.6, from: 'by hand; the 1.36 kV that guides print for a 480 V drive' },
  of: ({ U }) => 2 * Math.SQRT2 * U,
});
