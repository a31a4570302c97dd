import {
  bayesianLeastSquares,
  bracketedRoot,
  near,
  chiSquareTail,
  fTail,
  inverse,
  logEvidence,
  logGamma,
  median,
  sampleSd,
  simpson,
  studentTwoSided,
} from '.';

describe('roots', () => {
  test('finds the root of a cubic to the tolerance', () => {
    const found = bracketedRoot((x) => x ** 3 - 2, 0, 2, 1e-12);
    expect(found.converged).toBe(true);
    expect(found.x).toBeCloseTo(Math.cbrt(2), 11);
  });
  test('says so when the ends do not bracket a root', () => {
    expect(bracketedRoot((x) => x * x + 1, -1, 1, 1e-9).converged).toBe(false);
    // Where none lies between, the end nearer to nought is told.
    expect(bracketedRoot((x) => x * x + 1, 1, 3, 1e-9)).toMatchObject({ x: 1, residual: 2 });
    expect(bracketedRoot((x) => x * x + 1, -3, -2, 1e-9)).toMatchObject({ x: -2, residual: 5 });
  });
  test.each<[string, (x: number) => number, number]>([
    // Flat on one side, so that a chord hardly moves: small steps are not yet a root.
    ['a high power', (x) => x ** 25 - 1e-6, 1e-6 ** (1 / 25)],
    ['a steep exponential', (x) => Math.exp(40 * x) - 1.5, Math.log(1.5) / 40],
    ['a step', (x) => (x < 0.3 ? -1 : 1e6), 0.3],
  ])('%s: converged means within the tolerance', (_, f, root) => {
    const found = bracketedRoot(f, -0.9, 1.7, 1e-10);
    expect(found.converged).toBe(true);
    expect(Math.abs(found.x - root)).toBeLessThan(2e-10);
  });
  // Halving alone would take forty steps to the same tolerance.
  test.each<[string, (x: number) => number, number, number]>([
    ['a cubic', (x) => x ** 3 - 2, 0, 2],
    ['a cosine', Math.cos, 1, 2],
    ['an exponential', (x) => Math.exp(x) - 5, 0, 3],
  ])('%s: chords and parabolas get there quickly', (_, f, a, b) => {
    const found = bracketedRoot(f, a, b, 1e-12);
    expect(found.converged).toBe(true);
    expect(found.iterations).toBeLessThanOrEqual(10);
  });
  test('too few iterations, or a value that is none on the way: not converged', () => {
    expect(bracketedRoot((x) => x ** 25 - 1e-6, -0.9, 1.7, 1e-10, 3).converged).toBe(false);
    const hole = (x: number) => (Math.abs(x) < 0.5 ? Number.NaN : x);
    expect(bracketedRoot(hole, -1, 1.2, 1e-9).converged).toBe(false);
  });
});

describe('distributions, against tabulated quantiles', () => {
  test.each([
    [3.841458820694124, 1, 0.05],
    [5.991464547107979, 2, 0.05],
    [16.918977604620448, 9, 0.05],
    [0, 3, 1],
  ])('P(chi2 > %d | %d) = %d', (x, df, p) => expect(chiSquareTail(x, df)).toBeCloseTo(p, 12));
  test.each([
    [161.4476387975881, 1, 1, 0.05],
    [9.552094495921155, 2, 3, 0.05],
    [3.3258345304130112, 5, 10, 0.05],
  ])('P(F > %d | %d, %d) = %d', (f, d1, d2, p) => expect(fTail(f, d1, d2)).toBeCloseTo(p, 9));
  // Student's t, tables of Fisher and Yates.
  test.each([
    [12.7062, 1, 0.05],
    [3.1824, 3, 0.05],
    [2.2281, 10, 0.05],
    [-4.6041, 4, 0.01],
  ])('P(|T| > %d | %d) = %d', (t, df, p) => expect(studentTwoSided(t, df)).toBeCloseTo(p, 5));
  test.each([
    [[3], 3],
    [[5, 1], 3],
    [[9, 1, 2, 80, 3], 3],
  ])('the middle of %j is %d', (values, middle) => expect(median(values)).toBe(middle));
  test('log gamma of half-integers', () => {
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 13);
    expect(logGamma(6)).toBeCloseTo(Math.log(120), 12);
    // Γ(¼) = 3.625609908221908 (Abramowitz and Stegun, table 6.1).
    expect(logGamma(0.25)).toBeCloseTo(1.2880225246980774, 13);
  });
  test('evidence of two rows is their joint normal density', () => {
    // y₁, y₂ with mean 1 each, variance 4 + 1, covariance 4: density by hand at (2, 0).
    const rows = [2, 0].map((y) => ({ x: [1], y, noiseSd: 1 }));
    const determinant = 5 * 5 - 4 * 4;
    const square = (5 * 1 + 5 * 1 - 2 * 4 * -1) / determinant;
    expect(logEvidence([{ mean: 1, sd: 2 }], rows)).toBeCloseTo(
      -Math.log(2 * Math.PI) - Math.log(determinant) / 2 - square / 2,
      12,
    );
  });
  test('a single value has no sample deviation', () => {
    expect(sampleSd([4])).toBeNull();
    expect(sampleSd([1, 3])).toBeCloseTo(Math.SQRT2);
  });
});

describe('linear algebra', () => {
  test('inverse times matrix is the identity; singular is null', () => {
    const m = [
      [4, 1, 0],
      [1, 3, 1],
      [0, 1, 2],
    ];
    const inv = inverse(m)!;
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        expect(m[i]!.reduce((s, v, k) => s + v * inv[k]![j]!, 0)).toBeCloseTo(i === j ? 1 : 0, 12);
    expect(
      inverse([
        [1, 2],
        [2, 4],
      ]),
    ).toBeNull();
  });
  test('no data returns the prior; much data returns the data; sd 0 pins', () => {
    const prior = [
      { mean: 10, sd: 2 },
      { mean: 1, sd: 0 },
    ];
    expect(bayesianLeastSquares(prior, [], 1)).toEqual({
      mean: [10, 1],
      covariance: [
        [4, 0],
        [0, 0],
      ],
    });
    const rows = Array.from({ length: 1000 }, (_, i) => ({ x: [1, i], y: 5 + i }));
    const fit = bayesianLeastSquares(prior, rows, 0.1);
    expect(fit.mean[0]).toBeCloseTo(5, 3);
    expect(fit.mean[1]).toBe(1);
  });
  test('Simpson is exact for cubics', () => {
    expect(simpson((x) => x ** 3 + 1, 0, 2, 2)).toBeCloseTo(6, 12);
  });
});

test.each<[number, number, number, boolean]>([
  [3, 5, 2, true],
  [5, 3, 2, true],
  [3, 5.01, 2, false],
  [-1, 1, 1.9, false],
  [-1, 1, 2, true],
])('%d and %d lie within %d: %s', (a, b, within, answer) =>
  expect(near(a, b, within)).toBe(answer),
);
