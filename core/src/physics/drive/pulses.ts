import { definition } from '../../contract';
import { law } from '../../law';

const lines = definition('Transmission-line theory', 'a steep pulse doubles at an open end');

/** Crest at the motor when a drive's pulse is fully reflected. */
export const doubledPulse = law({
  name: 'Fully reflected pulse at the motor',
  symbol: 'U_pk',
  unit: 'V',
  takes: { U: 'V' },
  formula: '2 * sqrt(2) * U',
  source: lines,
  of: ({ U }) => 2 * Math.SQRT2 * U,
});
