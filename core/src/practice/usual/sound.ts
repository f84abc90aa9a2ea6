import { commonPractice, definition, remembered } from '../../contract';
import { law, type Range } from '../../law';
import { table } from '../table';

/** Most that a motor's sound rises from no load to full load, dB. Shaft height up to, mm; columns: 2, 4, 6, 8 poles. */
export const soundOfLoadSource = remembered('standard', 'IEC 60034-9', '2003', 'Table 3 (increments from no load)');
export const soundOfLoad = table(
  soundOfLoadSource,
  ['2', '4', '6', '8'],
  [
    [160, 2, 5, 7, 8],
    [200, 2, 4, 6, 7],
    [280, 2, 3, 6, 7],
    [315, 2, 3, 5, 6],
    [1000, 2, 2, 4, 5],
  ],
);

/**
 * From here on a place of work asks for ears to be protected, dB(A) over a working day: lower action value 80, upper
 * 85.
 */
export const loudFrom = 80;
export const loudSource = remembered(
  'code',
  'Directive 2003/10/EC and 29 CFR 1910.95',
  '2003 and 1983',
  'action values 80 and 85 dB(A)',
);

/** Where sound beside a machine is stated. */
export const loudDistance = commonPractice('Sound beside a machine is stated one metre from it');

const decibels: Range = [0, 140];

/**
 * Sound pressure level around a machine on a hard floor: its power spread over half a sphere of radius r, nothing
 * thrown back.
 */
export const soundPressure = law({
  name: 'Sound pressure level at a distance',
  symbol: 'L_p',
  unit: 'dB',
  takes: { L_W: 'dB', dL: 'dB', r: 'm' },
  formula: 'L_W + dL - 10 * log10(2 * pi * r^2)',
  source: definition('Acoustics', 'sound power over half a sphere, reference 20 µPa and 1 pW (ISO 3744)'),
  estimate: { basis: 'standard’s limits; a room throws back 3 to 6 dB more', band: [0.95, 1.06] },
  range: { L_W: decibels, dL: [0, 20], r: [0.5, 100] },
  example: { of: { L_W: 90, dL: 3, r: 1 }, gives: 85.018, from: 'by hand: 93 − 10 lg 6.2832 = 93 − 7.98' },
  of: ({ L_W, dL, r }) => L_W + dL - 10 * Math.log10(2 * Math.PI * r * r),
});
