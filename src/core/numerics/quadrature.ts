/** Composite Simpson over [a, b] with `intervals` (rounded up to even) equal intervals. */
export function simpson(f: (x: number) => number, a: number, b: number, intervals = 200): number {
  if (a === b) return 0;
  const n = Math.max(2, Math.ceil(intervals / 2) * 2);
  const h = (b - a) / n;
  let sum = f(a) + f(b);
  for (let i = 1; i < n; i++) sum += f(a + i * h) * (i % 2 === 1 ? 4 : 2);
  return (sum * h) / 3;
}
