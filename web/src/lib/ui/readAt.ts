/** Value of a line at x, straight between its points; undefined where it does not reach. Points are in order of x. */
export function readAt(points: readonly (readonly [number, number])[], x: number): number | undefined {
  for (const [i, [x1, y1]] of points.entries()) {
    if (x1 === x) return y1;
    const before = points[i - 1];
    if (before && before[0] < x && x < x1) return before[1] + ((y1 - before[1]) * (x - before[0])) / (x1 - before[0]);
  }
  return undefined;
}
