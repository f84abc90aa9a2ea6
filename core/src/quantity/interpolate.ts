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
