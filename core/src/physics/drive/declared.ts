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

/** Rated apparent power of a drive ÷ its motor's rating, as the standard pairs them (from memory). */
export const apparentPerRated = 1.27;

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
