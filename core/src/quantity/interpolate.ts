/**
 * Value at x of points (x ascending) joined by straight lines and held beyond both ends; `otherwise` where there are
 * none.
 */
export function interpolate(points: readonly (readonly [number, number])[], x: number, otherwise: number): number {
  let before = points[0];
  if (!before) return otherwise;
  for (const point of points) {
    if (point[0] >= x) {
      const span = point[0] - before[0];
      return span > 0 ? before[1] + ((point[1] - before[1]) * (x - before[0])) / span : point[1];
    }
    before = point;
  }
  return before[1];
}

/**
 * A smooth curve through points (x ascending, two or more) that never overshoots them: cubic pieces whose slopes are
 * the weighted harmonic means of their neighbours' (Fritsch and Butland). Held beyond both ends.
 */
export function monotone(points: readonly (readonly [number, number])[]): (x: number) => number {
  const n = points.length;
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  const at = (list: readonly number[], i: number): number => list[i] ?? 0;
  const widths = xs.slice(1).map((x, i) => x - at(xs, i));
  const rises = widths.map((w, i) => (at(ys, i + 1) - at(ys, i)) / w);
  const slopes = xs.map((_, i) => {
    if (i === 0) return at(rises, 0);
    if (i === n - 1) return at(rises, n - 2);
    const [before, after, a, b] = [at(rises, i - 1), at(rises, i), at(widths, i - 1), at(widths, i)];
    if (before * after <= 0) return 0;
    return (3 * (a + b)) / ((2 * b + a) / before + (b + 2 * a) / after);
  });
  return (x) => {
    if (n === 0) return 0;
    if (x <= at(xs, 0)) return at(ys, 0);
    if (x >= at(xs, n - 1)) return at(ys, n - 1);
    let i = 0;
    while (at(xs, i + 1) < x) i++;
    const w = at(widths, i);
    const t = (x - at(xs, i)) / w;
    const [a, b] = [w * at(slopes, i), w * at(slopes, i + 1)];
    const [y0, y1] = [at(ys, i), at(ys, i + 1)];
    const rise = y1 - y0;
    return y0 + t * (a + t * (3 * rise - 2 * a - b + t * (a + b - 2 * rise)));
  };
}
