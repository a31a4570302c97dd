/** What a root search ends with; `converged` false means `x` is the best point seen. */
interface RootResult {
  readonly x: number;
  readonly residual: number;
  readonly iterations: number;
  readonly converged: boolean;
}

/**
 * Root of `f` between `low` and `high` by Brent's method (R. P. Brent, *Algorithms for Minimization
 * without Derivatives*, 1973, chapter 4): inverse quadratic and secant steps, each guarded by
 * bisection, so that the bracket itself shrinks under the tolerance. Never leaves the bracket.
 *
 * @param tolerance half-width of the final bracket in x, above 0.
 * @returns `converged: false` when the ends have the same sign, a value on the way is not finite, or
 *   the iterations run out before the bracket is that narrow.
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
  if (!(fa * fb < 0)) {
    const nearer = Math.abs(fa) < Math.abs(fb);
    return { x: nearer ? a : b, residual: nearer ? fa : fb, iterations: 0, converged: false };
  }
  // b is the best point, c the other end of the bracket, d this step and e the one before.
  let [c, fc, d, e] = [a, fa, b - a, b - a];
  for (let i = 1; i <= maxIterations; i++) {
    if (fb * fc > 0) {
      [c, fc] = [a, fa];
      d = e = b - a;
    }
    if (Math.abs(fc) < Math.abs(fb)) {
      [a, b, c] = [b, c, b];
      [fa, fb, fc] = [fb, fc, fb];
    }
    const least = 2 * Number.EPSILON * Math.abs(b) + tolerance / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= least || fb === 0)
      return { x: b, residual: fb, iterations: i, converged: true };
    const step = Math.abs(e) >= least && Math.abs(fa) > Math.abs(fb);
    const bent = step ? interpolated(a, b, c, fa, fb, fc) : null;
    const fits =
      bent !== null &&
      2 * Math.abs(bent) < Math.min(3 * Math.abs(half) - least, Math.abs(e)) &&
      bent * half > 0;
    [e, d] = fits ? [d, bent] : [half, half];
    [a, fa] = [b, fb];
    b += Math.abs(d) > least ? d : Math.sign(half) * least;
    fb = f(b);
    if (!Number.isFinite(fb)) return { x: a, residual: fa, iterations: i, converged: false };
  }
  return { x: b, residual: fb, iterations: maxIterations, converged: false };
}

/** Step from b to where the secant, or the parabola through all three, meets zero. */
function interpolated(
  a: number,
  b: number,
  c: number,
  fa: number,
  fb: number,
  fc: number,
): number | null {
  const s = fb / fa;
  const [q, r] = [fa / fc, fb / fc];
  const [p, by] =
    a === c
      ? [(c - b) * s, 1 - s]
      : [s * ((c - b) * q * (q - r) - (b - a) * (r - 1)), (q - 1) * (r - 1) * (s - 1)];
  return by === 0 ? null : -p / by;
}
