import { interpolate } from '../../quantity';

/**
 * The eight points at which a drive's losses are declared, as shares of rated frequency and of rated torque-producing
 * current. Source: IEC 61800-9-2, 2017, clause 5 (from memory).
 */
export const lossPoints = {
  s0t25: [0, 0.25],
  s0t50: [0, 0.5],
  s0t100: [0, 1],
  s50t25: [0.5, 0.25],
  s50t50: [0.5, 0.5],
  s50t100: [0.5, 1],
  s90t50: [0.9, 0.5],
  s90t100: [0.9, 1],
} as const satisfies Readonly<Record<string, readonly [speed: number, torque: number]>>;
export type LossPoint = keyof typeof lossPoints;

/** Losses ÷ rated apparent power at the eight points. */
export type DeclaredLosses = Readonly<Record<LossPoint, number>>;

/** Motor ratings in kW and the apparent power in kVA of the drive paired with them: its table (from memory). */
// prettier-ignore
const pairs = [
  [0.12, 0.278], [0.37, 0.697], [0.75, 1.29], [2.2, 3.3], [4, 5.44], [7.5, 9.95], [11, 14.4], [15, 19.5], [22, 28.3],
  [30, 38.2], [45, 56.9], [75, 92.8], [110, 135], [160, 196], [250, 302], [1000, 1188],
] as const;
const ratios = pairs.map(([kW, kVA]): [number, number] => [Math.log(kW), kVA / kW]);

/** Apparent power in VA of the drive paired with a motor of so many W. */
export const apparentOf = (rated: number): number => rated * interpolate(ratios, Math.log(rated / 1000), 1.27);

const mix = (a: number, b: number, t: number): number => a + t * (b - a);

/**
 * Loss ÷ rated apparent power at a share `n` of rated frequency (0 to 1) and a share `t` of rated torque-producing
 * current (0 to 1.5): joined linearly between the declared points both ways, and carried on beyond them; never below
 * nothing.
 */
export function declaredLoss(at: DeclaredLosses, n: number, t: number): number {
  // No point is declared at 90 % speed and a quarter of torque: what speed adds at half torque is added there.
  const last = at.s90t50 + at.s50t25 - at.s50t50;
  const [low, high] = n < 0.5 ? [0, 0.5] : [0.5, 0.9];
  const along = (n - low) / (high - low);
  const quarter = n < 0.5 ? mix(at.s0t25, at.s50t25, along) : mix(at.s50t25, last, along);
  const half = n < 0.5 ? mix(at.s0t50, at.s50t50, along) : mix(at.s50t50, at.s90t50, along);
  const whole = n < 0.5 ? mix(at.s0t100, at.s50t100, along) : mix(at.s50t100, at.s90t100, along);
  return Math.max(0, t < 0.5 ? mix(quarter, half, (t - 0.25) / 0.25) : mix(half, whole, (t - 0.5) / 0.5));
}
