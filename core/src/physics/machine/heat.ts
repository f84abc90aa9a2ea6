import { commonPractice, model } from '../../contract';
import { law } from '../../law';

/**
 * Hottest spot of a winding expected at a share x of rating: ambient, the rise at full load as the losses go (a share
 * c of them constant, k times as much where a drive feeds it), 10 K for the hot spot.
 */
export const windingTemperature = law({
  name: 'Hottest spot of the winding',
  symbol: 'theta_w',
  unit: 'degC',
  takes: { theta: 'degC', dT: 'K', x: '1', c: '1', k: '1' },
  formula: 'theta + dT * k * (c + (1 - c) * x^2) + 10',
  source: model('Rise with the losses', 'part of them constant, the rest with load squared; 10 K hot-spot allowance'),
  estimate: { basis: 'usual rise of the class the motor is used to', band: [0.9, 1.1] },
  range: { theta: [-40, 80], dT: [0, 150], x: [0, 1.5], c: [0, 1], k: [0.2, 2] },
  example: { of: { theta: 40, dT: 80, x: 1, c: 0.4, k: 1 }, gives: 130, from: 'by hand; class B full: 130 °C' },
  of: ({ theta, dT, x, c, k }) => theta + dT * k * (c + (1 - c) * x * x) + 10,
});

/**
 * Hours until the insulation is spent: 20,000 at the class limit, halved for each 10 K more. Beyond 100 years it says
 * nothing.
 */
export const insulationLife = law({
  name: 'Insulation life by the ten-degree rule',
  symbol: 't_ins',
  unit: 'h',
  takes: { theta_lim: 'degC', theta_w: 'degC' },
  formula: '20000 * 2^(max(-20, min(5.4, (theta_lim - theta_w) / 10)))',
  source: commonPractice('Each 10 °C over the class halves the life of 20,000 hours, each 10 °C under doubles it'),
  estimate: { basis: 'ten-degree rule', band: [0.5, 2] },
  range: { theta_lim: [90, 250], theta_w: [-40, 350] },
  example: {
    of: { theta_lim: 155, theta_w: 145 },
    gives: 40000,
    from: 'by hand: ten degrees cooler, twice the 20 000 h',
  },
  of: ({ theta_lim, theta_w }) => 20000 * 2 ** Math.max(-20, Math.min(5.4, (theta_lim - theta_w) / 10)),
});
