type Matrix = readonly (readonly number[])[];

/**
 * Inverse of a small symmetric positive definite matrix by Gauss–Jordan with partial pivoting.
 *
 * @returns null when the matrix is singular to working precision.
 */
export function inverse(matrix: Matrix): number[][] | null {
  const n = matrix.length;
  const work = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++) {
      if (Math.abs(work[row]![column]!) > Math.abs(work[pivot]![column]!)) pivot = row;
    }
    const lead = work[pivot]![column]!;
    if (!(Math.abs(lead) > 1e-300)) return null;
    [work[column], work[pivot]] = [work[pivot]!, work[column]!];
    work[column] = work[column]!.map((value) => value / lead);
    for (let row = 0; row < n; row++) {
      if (row === column) continue;
      const factor = work[row]![column]!;
      if (factor === 0) continue;
      work[row] = work[row]!.map((value, k) => value - factor * work[column]![k]!);
    }
  }
  return work.map((row) => row.slice(n));
}

export const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * b[i]!, 0);

export const times = (matrix: Matrix, vector: readonly number[]) =>
  matrix.map((row) => dot(row, vector));

export interface BayesianFit {
  readonly mean: number[];
  readonly covariance: number[][];
}

/**
 * Linear Bayesian least squares with independent normal priors and one noise σ:
 * posterior precision = diag(1/σ₀²) + XᵀX/σ², mean = precision⁻¹(μ₀/σ₀² + Xᵀy/σ²).
 * A prior sd of 0 pins that coefficient to its prior mean.
 */
export function bayesianLeastSquares(
  prior: readonly { readonly mean: number; readonly sd: number }[],
  rows: readonly { readonly x: readonly number[]; readonly y: number }[],
  noiseSd: number,
): BayesianFit {
  const free = prior.flatMap((entry, i) => (entry.sd > 0 ? [i] : []));
  const pinned = (x: readonly number[]) =>
    prior.reduce((sum, entry, i) => sum + (entry.sd > 0 ? 0 : entry.mean * x[i]!), 0);
  const weight = 1 / (noiseSd * noiseSd);
  const precision = free.map((i) =>
    free.map(
      (j) =>
        (i === j ? 1 / prior[i]!.sd ** 2 : 0) +
        weight * rows.reduce((sum, row) => sum + row.x[i]! * row.x[j]!, 0),
    ),
  );
  const right = free.map(
    (i) =>
      prior[i]!.mean / prior[i]!.sd ** 2 +
      weight * rows.reduce((sum, row) => sum + row.x[i]! * (row.y - pinned(row.x)), 0),
  );
  // Positive definite by construction (every free prior sd is finite), so this cannot be null.
  const small = inverse(precision)!;
  const solution = times(small, right);
  const place = (i: number) => free.indexOf(i);
  return {
    mean: prior.map((entry, i) => (entry.sd > 0 ? solution[place(i)]! : entry.mean)),
    covariance: prior.map((_, i) =>
      prior.map((__, j) => (place(i) < 0 || place(j) < 0 ? 0 : small[place(i)]![place(j)]!)),
    ),
  };
}

/**
 * Logarithm of how likely the rows are under such a prior (the marginal likelihood), one row after
 * the other: each is predicted from those before, then learned from.
 *
 * @param rows each with its own noise, above 0.
 */
export function logEvidence(
  prior: readonly { readonly mean: number; readonly sd: number }[],
  rows: readonly { readonly x: readonly number[]; readonly y: number; readonly noiseSd: number }[],
): number {
  const means = prior.map(({ mean }) => mean);
  const covariance = prior.map(({ sd }, i) => prior.map((_, k) => (i === k ? sd * sd : 0)));
  let log = 0;
  for (const { x, y, noiseSd } of rows) {
    const along = times(covariance, x);
    const variance = dot(x, along) + noiseSd * noiseSd;
    const off = y - dot(x, means);
    log -= (Math.log(2 * Math.PI * variance) + (off * off) / variance) / 2;
    along.forEach((a, i) => {
      means[i]! += (a * off) / variance;
      along.forEach((b, k) => (covariance[i]![k]! -= (a * b) / variance));
    });
  }
  return log;
}
