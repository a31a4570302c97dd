/** What a root search ends with; `converged` false means `x` is the best point seen. */
export interface RootResult {
  readonly x: number;
  readonly residual: number;
  readonly iterations: number;
  readonly converged: boolean;
}

/**
 * Root of `f` between `low` and `high` by bisection guarded secant steps (Illinois variant of
 * regula falsi; Dowell and Jarratt, BIT 11, 1971). Never leaves the bracket.
 *
 * @param tolerance half-width of the final bracket in x.
 * @returns `converged: false` when the ends have the same sign or the iterations run out.
 */
export function bracketedRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
  maxIterations = 200,
): RootResult {
  let [a, b, fa, fb] = [low, high, f(low), f(high)];
  if (fa === 0) return { x: a, residual: 0, iterations: 0, converged: true };
  if (fb === 0) return { x: b, residual: 0, iterations: 0, converged: true };
  if (fa * fb > 0 || Number.isNaN(fa * fb)) {
    const nearer = Math.abs(fa) < Math.abs(fb);
    return { x: nearer ? a : b, residual: nearer ? fa : fb, iterations: 0, converged: false };
  }
  for (let i = 1; i <= maxIterations; i++) {
    const x = (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx === 0 || Math.abs(b - a) < tolerance || Math.abs(x - b) < tolerance / 2) {
      return { x, residual: fx, iterations: i, converged: true };
    }
    if (fx * fb < 0) {
      [a, fa] = [b, fb];
    } else {
      fa /= 2;
    }
    [b, fb] = [x, fx];
  }
  return { x: b, residual: fb, iterations: maxIterations, converged: false };
}
