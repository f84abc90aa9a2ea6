/** Lowest and highest value, both within, of an input for which a law holds. */
export type Range = readonly [number, number];

export const any: Range = [-Infinity, Infinity];
export const notNegative: Range = [0, Infinity];
export const positive: Range = [Number.MIN_VALUE, Infinity];
export const share: Range = [0, 1];

/** A range in words: "any number", "above 0", "0 or more", "0.2 to 1". */
export function rangeText([low, high]: Range, write: (value: number) => string = String): string {
  if (low === -Infinity && high === Infinity) return 'any number';
  if (high === Infinity) return low === Number.MIN_VALUE ? 'above 0' : `${write(low)} or more`;
  return `${write(low)} to ${write(high)}`;
}
