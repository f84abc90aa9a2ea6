import type { Segment } from '../mechanics/duty';

/** s of its overload that a drive bears, and s at its rating or below after which it bears them again. */
const borne = 60;
const recovers = 540;

/**
 * Use of a drive's overload after dt s at × its rating, from 0 to a trip at 1: by the excess of I² above its rating,
 * back by what lacks to it, at its rating still within nine minutes. `minute`: × its rating for a minute, above 1.
 */
export function overloadAfter(use: number, x: number, minute: number, dt: number): number {
  const budget = (minute * minute - 1) * borne;
  if (x > 1) return budget > 0 ? use + ((x * x - 1) * dt) / budget : Infinity;
  return Math.max(0, use - dt * Math.max(1 / recovers, budget > 0 ? (1 - x * x) / budget : 0));
}

/** Highest use of a drive's overload in a duty cycle that goes on and on, its stretches × the rating. */
function overloadUse(cycle: readonly Segment[], rating: number, minute: number): number {
  let use = 0;
  let most = 0;
  for (let turn = 0; turn < 4; turn++) {
    const before = use;
    for (const { duration, ratio, rest } of cycle) {
      use = overloadAfter(use, rest ? 0 : ratio / rating, minute, duration);
      most = Math.max(most, use);
    }
    if (most > 1 || Math.abs(use - before) < 1e-9) break;
    // What still grows after the first turns grows for ever.
    if (turn > 1 && use > before) return Infinity;
  }
  return most;
}

/**
 * Least rating of a drive, in the unit of the ratios, that bears a duty cycle for good: its heat by I² with an overload
 * of `minute` × for a minute every ten, and its peak of `seconds` ×.
 */
export function leastDriveRating(cycle: readonly Segment[], minute: number, seconds: number): number {
  const running = cycle.filter((s) => !s.rest);
  const peak = Math.max(0, ...running.map((s) => s.ratio));
  const total = cycle.reduce((sum, s) => sum + s.duration, 0);
  if (!(peak > 0) || !(total > 0)) return peak;
  let low = peak / seconds;
  if (overloadUse(cycle, low, minute) <= 1) return low;
  let high = peak;
  while (high - low > 1e-6 * peak) {
    const mid = (low + high) / 2;
    if (overloadUse(cycle, mid, minute) <= 1) high = mid;
    else low = mid;
  }
  return high;
}
