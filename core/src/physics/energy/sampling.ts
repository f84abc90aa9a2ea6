import { model } from '../../contract';
import { any, law, type Law } from '../../law';

/** Numbers from 0 to below 1 out of a seed; the same seed gives the same ones (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** What is not known for certain: its usual value, and the least and most it may be, spread as a triangle. */
export interface Uncertain {
  readonly least: number;
  readonly usual: number;
  readonly most: number;
}

/** Value at a share p of the way through a triangular spread from `least` by `usual` to `most`. */
export function triangular({ least, usual, most }: Uncertain): (p: number) => number {
  const width = most - least;
  if (!(width > 0)) return () => usual;
  const turn = (usual - least) / width;
  const [rising, falling] = [width * (usual - least), width * (most - usual)];
  return (p) => (p < turn ? least + Math.sqrt(p * rising) : most - Math.sqrt((1 - p) * falling));
}

/** Root of x^(d + 1) = x + 1 above 1: steps of a d-dimensional sequence that fills evenly go by its powers. */
function evenStep(dimensions: number): number {
  let x = 2;
  for (let i = 0; i < 40; i++) x = (1 + x) ** (1 / (dimensions + 1));
  return x;
}

/** Draws that keep the 5th and 95th percentile within 1 %. */
const usualCount = 6000;

/**
 * Values of a function of uncertain inputs, in rising order: draws fill their space evenly (an additive recurrence, of
 * which the seed is the beginning). Float64Array of `count`.
 */
export function sampled(
  inputs: readonly Uncertain[],
  of: (values: ArrayLike<number>) => number,
  count = usualCount,
  seed = 1,
): Float64Array {
  const next = seeded(seed);
  const root = evenStep(inputs.length);
  const spreads = inputs.map(triangular);
  const size = inputs.length;
  const at = Float64Array.from(inputs, next);
  const step = Float64Array.from(inputs, (_, k) => root ** -(k + 1));
  const row = new Float64Array(size);
  const results = new Float64Array(count);
  // Plain loops: this runs thousands of times in every solve.
  for (let i = 0; i < count; i++) {
    for (let k = 0; k < size; k++) {
      const on = (at[k] ?? 0) + (step[k] ?? 0);
      const p = on < 1 ? on : on - 1;
      at[k] = p;
      row[k] = spreads[k]?.(p) ?? 0;
    }
    results[i] = of(row);
  }
  return results.sort();
}

/** Value below which a share p of values in rising order lies. */
export const percentile = (rising: Float64Array, p: number): number =>
  rising[Math.min(rising.length - 1, Math.max(0, Math.round(p * (rising.length - 1))))] ?? 0;

/** The 5th or 95th percentile of sampled net present values in rising order. */
export const percentileOf = (
  rising: Float64Array,
  p: 0.05 | 0.95,
): Law<{ readonly NPV: 'money'; readonly u: '1' }, 'money'> =>
  law({
    name: p < 0.5 ? 'Net present value, 5th percentile' : 'Net present value, 95th percentile',
    symbol: p < 0.5 ? 'NPV_5' : 'NPV_95',
    unit: 'money',
    takes: { NPV: 'money', u: '1' },
    formula: `what ${p * 100} of a hundred stay below, load, hours, prices, losses and cost drawn from their spreads`,
    source: model('Seeded sampling', 'triangular spreads, 6000 draws that fill them evenly, the same at every run'),
    method: true,
    range: { NPV: any, u: any },
    example: {
      of: { NPV: 0, u: 0.1 },
      gives: p < 0.5 ? -45 : 45,
      from: 'by hand: the whole numbers from −50 to 50',
      made: {
        for: 'a hundred and one draws from −50 to 50',
        law: () =>
          percentileOf(
            Float64Array.from({ length: 101 }, (_, i) => i - 50),
            p,
          ),
      },
    },
    of: () => percentile(rising, p),
  });
