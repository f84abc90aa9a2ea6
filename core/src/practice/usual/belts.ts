import { remembered } from '../../contract';

/** Total ÷ main resistance of a belt by its length in m; short belts have many rubbing parts for their length. */
export const secondaryPoints: readonly (readonly [number, number])[] = [
  [80, 1.92],
  [100, 1.78],
  [150, 1.58],
  [200, 1.45],
  [300, 1.31],
  [400, 1.25],
  [500, 1.2],
  [600, 1.17],
  [700, 1.14],
  [800, 1.12],
  [900, 1.1],
  [1000, 1.09],
  [1500, 1.06],
  [2000, 1.05],
];
export const secondarySource = remembered('standard', 'DIN 22101', '2011', 'coefficient C by length; below 80 m held');
