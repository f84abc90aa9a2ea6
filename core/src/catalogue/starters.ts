import type { Method } from '../contract';

/** Invented price index of a starter or drive for a motor of this power in W; compares, prices nothing. */
export function starterPriceIndex(method: Method, power: number): number {
  const kw = power / 1000;
  const [base, each, exponent] = prices[method];
  return Math.round(base + each * kw ** exponent);
}

const prices: Readonly<Record<Method, readonly [number, number, number]>> = {
  direct: [60, 7, 0.8],
  'star-delta': [150, 14, 0.8],
  autotransformer: [350, 40, 0.8],
  'primary-reactor': [300, 34, 0.8],
  'soft-starter': [210, 30, 0.8],
  drive: [240, 85, 0.82],
};
