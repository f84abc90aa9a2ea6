import { definition, law } from '../law';

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

/** Longest cable on which the pulse stays within the winding's rating; valid while U_w lies between one and two times the bus peak. */
export const cableLimit = law({
  name: 'Cable length at which the pulse reaches the winding’s rating',
  symbol: 'l_max',
  unit: 'm',
  takes: { U_w: 'V', U: 'V', t_r: 's', v: 'm/s' },
  formula: 'v * t_r / 2 * (U_w / (sqrt(2) * U) - 1)',
  source: lines,
  of: ({ U_w, U, t_r, v }) => ((v * t_r) / 2) * (U_w / (Math.SQRT2 * U) - 1),
});
