import { commonPractice, remembered } from '../../contract';
import { law, share } from '../../law';
import { interpolate } from '../../quantity';

const motorHeat = commonPractice(
  '1 % of rating for each °C above 40 °C and for each 100 m above 1000 m; a cold high place may need none',
);
const unbalanceFigure = remembered('standard', 'NEMA MG 1', '2016', '14.36, Figure 14-1');

/** Share of rating left under voltage unbalance, read off the figure at 0 to 5 %. */
export const unbalancePoints: readonly (readonly [number, number])[] = [
  [0, 1],
  [0.01, 0.99],
  [0.02, 0.95],
  [0.03, 0.88],
  [0.04, 0.82],
  [0.05, 0.75],
];

/** Derating by voltage unbalance u (largest deviation ÷ mean), 0 to 0.05. Beyond, the standard advises not to run. */
export const unbalanceDerating = law({
  name: 'Derating for voltage unbalance',
  symbol: 'd_u',
  unit: '1',
  takes: { u: '1' },
  formula: 'read off the curve at 0, 1, 2, 3, 4 and 5 % and joined by straight lines',
  source: unbalanceFigure,
  method: true,
  range: { u: [0, 0.05] },
  example: { of: { u: 0.03 }, gives: 0.88, from: 'NEMA MG 1 figure 14-1 as printed: about 0.88 (from memory)' },
  of: ({ u }) => interpolate(unbalancePoints, u, 1),
});

/** Share of rated power a motor may give at ambient θ and altitude h. */
export const motorDerating = law({
  name: 'Derating of the motor for heat, height and unbalance',
  symbol: 'd',
  unit: '1',
  takes: { theta: 'degC', h: 'm', d_u: '1' },
  formula: 'max(0, 1 - 0.01 * max(0, theta - 40 + max(0, (h - 1000) / 100))) * d_u',
  source: motorHeat,
  range: { theta: [-30, 60], h: [-500, 4000], d_u: share },
  example: { of: { theta: 45, h: 1500, d_u: 1 }, gives: 0.9, from: 'by hand' },
  of: ({ theta, h, d_u }) => Math.max(0, 1 - 0.01 * Math.max(0, theta - 40 + Math.max(0, (h - 1000) / 100))) * d_u,
});

/** Rule `current`: 1 % of current per °C above 40 and per 100 m above 1000 m, no credit for cold. */
export const driveDeratingByCurrent = law({
  name: 'Derating of the drive for heat and height (current rule)',
  symbol: 'd_d',
  unit: '1',
  takes: { theta: 'degC', h: 'm' },
  formula: 'max(0, 1 - 0.01 * max(0, theta - 40)) * max(0, 1 - 0.01 * max(0, (h - 1000) / 100))',
  source: commonPractice('Drives: 1 % of current per °C above 40 °C and per 100 m above 1000 m'),
  range: { theta: [-30, 60], h: [-500, 4000] },
  example: { of: { theta: 45, h: 1500 }, gives: 0.9025, from: 'by hand' },
  of: ({ theta, h }) =>
    Math.max(0, 1 - 0.01 * Math.max(0, theta - 40)) * Math.max(0, 1 - 0.01 * Math.max(0, (h - 1000) / 100)),
});

/** Rule `temperature`: the permitted ambient falls 0.5 °C per 100 m, then 1 % of current per °C above it. */
export const driveDeratingByTemperature = law({
  name: 'Derating of the drive for heat and height (temperature rule)',
  symbol: 'd_d',
  unit: '1',
  takes: { theta: 'degC', h: 'm' },
  formula: 'max(0, 1 - 0.01 * max(0, theta - (40 - 0.5 * max(0, (h - 1000) / 100))))',
  source: commonPractice('Drives: permitted ambient 40 °C less 0.5 °C per 100 m above 1000 m'),
  range: { theta: [-30, 60], h: [-500, 4000] },
  example: { of: { theta: 45, h: 1500 }, gives: 0.925, from: 'by hand' },
  of: ({ theta, h }) => Math.max(0, 1 - 0.01 * Math.max(0, theta - (40 - 0.5 * Math.max(0, (h - 1000) / 100)))),
});

/** Hottest ambient in °C at which a share d of rating is still left; 40 °C gives full rating up to 1000 m. */
export function ambientFor(share: number, altitude: number, unbalance: number): number {
  return 40 + (1 - share / unbalance) * 100 - Math.max(0, (altitude - 1000) / 100);
}
