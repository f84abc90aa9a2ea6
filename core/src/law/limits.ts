/**
 * What plates, tables and codes round by: half a thousandth. No more is forgiven of a limit that a code or a rating
 * sets; margins of a house have a tolerance of their own, which is told as tight.
 */
export const rounding = 0.0005;

/** Whether a value is over a limit, by more than what both are rounded by. */
export const exceeds = (value: number, limit: number): boolean => value > limit * (1 + rounding);

/** Whether a value comes up to what is asked at least, but for what both are rounded by. */
export const reaches = (value: number, least: number): boolean => value >= least * (1 - rounding);

/** Ladders of ratings differ by a tenth and more: what lies within a hundredth is one size, in hp and in kW. */
const oneSize = 0.01;

/** Whether a rating is no larger than a size of the ladder. */
export const isUpTo = (rating: number, size: number): boolean => rating <= size * (1 + oneSize);
