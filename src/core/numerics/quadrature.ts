/** Composite Simpson over [a, b] with `intervals` (rounded up to even) equal intervals. */
export function simpson(f: (x: number) => number, a: number, b: number, intervals = 200): number {
  if (a === b) return 0;
  const n = Math.max(2, Math.ceil(intervals / 2) * 2);
  const h = (b - a) / n;
  let sum = f(a) + f(b);
  for (let i = 1; i < n; i++) sum += f(a + i * h) * (i % 2 === 1 ? 4 : 2);
  return (sum * h) / 3;
}

/**
 * Area under points at uneven distances: parabola pieces over three points (Simpson's rule for
 * irregular spacing), the trapezoid for an odd interval left over.
 *
 * @param points at least 2, `x` strictly growing.
 */
export function areaUnder(points: readonly { readonly x: number; readonly y: number }[]): number {
  let area = 0;
  let i = 0;
  for (; i + 2 < points.length; i += 2) {
    const [a, b, c] = [points[i]!, points[i + 1]!, points[i + 2]!];
    const [h, k] = [b.x - a.x, c.x - b.x];
    area +=
      ((h + k) / 6) * ((2 - k / h) * a.y + ((h + k) ** 2 / (h * k)) * b.y + (2 - h / k) * c.y);
  }
  if (i + 1 < points.length) {
    const [a, b] = [points[i]!, points[i + 1]!];
    area += ((b.x - a.x) * (a.y + b.y)) / 2;
  }
  return area;
}
