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

/** What is not known for certain: its usual value, and what it is in one of a hundred either way, spread as a triangle. */
export interface Uncertain {
  readonly least: number;
  readonly usual: number;
  readonly most: number;
}

/** Value at a share p of the way through a triangular spread from `least` by `usual` to `most`. */
export function triangular({ least, usual, most }: Uncertain, p: number): number {
  const width = most - least;
  if (!(width > 0)) return usual;
  const turn = (usual - least) / width;
  return p < turn
    ? least + Math.sqrt(p * width * (usual - least))
    : most - Math.sqrt((1 - p) * width * (most - usual));
}

/**
 * Values of a function of uncertain inputs, in rising order: every input is cut into as many slices as there are
 * samples, each is used once, in an order of its own (Latin hypercube). Float64Array of `count`.
 */
export function sampled(
  inputs: readonly Uncertain[],
  of: (values: readonly number[]) => number,
  count = 10_000,
  seed = 1,
): Float64Array {
  const next = seeded(seed);
  const columns = inputs.map((input) => {
    const values = new Float64Array(count);
    for (let i = 0; i < count; i++) values[i] = triangular(input, (i + next()) / count);
    for (let i = count - 1; i > 0; i--) {
      const j = Math.floor(next() * (i + 1));
      const held = values[i] ?? 0;
      values[i] = values[j] ?? 0;
      values[j] = held;
    }
    return values;
  });
  const row = inputs.map(() => 0);
  const results = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    for (const [k, column] of columns.entries()) row[k] = column[i] ?? 0;
    results[i] = of(row);
  }
  return results.sort();
}

/** Value below which a share p of values in rising order lies. */
export const percentile = (rising: Float64Array, p: number): number =>
  rising[Math.min(rising.length - 1, Math.max(0, Math.round(p * (rising.length - 1))))] ?? 0;
