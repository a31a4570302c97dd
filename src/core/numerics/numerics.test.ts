import {
  bayesianLeastSquares,
  bracketedRoot,
  chiSquareTail,
  fTail,
  inverse,
  logGamma,
  sampleSd,
  simpson,
} from '.';

describe('roots', () => {
  test('finds the root of a cubic to the tolerance', () => {
    const found = bracketedRoot((x) => x ** 3 - 2, 0, 2, 1e-12);
    expect(found.converged).toBe(true);
    expect(found.x).toBeCloseTo(Math.cbrt(2), 11);
  });
  test('says so when the ends do not bracket a root', () => {
    expect(bracketedRoot((x) => x * x + 1, -1, 1, 1e-9).converged).toBe(false);
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
  test('log gamma of half-integers', () => {
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 13);
    expect(logGamma(6)).toBeCloseTo(Math.log(120), 12);
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
