import { examples, expectAgrees } from '../testing/examples';
import { normal, seeded } from '../numerics';
import { degree, gram, metre, mm, mps } from '../units';
import { sightFit, sightMarks, type ConfirmedShot, type SightFitInput } from '.';

const geometry = {
  arrowG: gram(24.6),
  shaftOuterMm: mm(6.9),
  peepHeightMm: mm(120),
  peepToPinMm: mm(760),
};

/** Marks of a known arrow, with errors in mm at the pin. */
function shotsOf(
  distances: readonly number[],
  speed: number,
  drag: number,
  errors: readonly number[] = [],
): ConfirmedShot[] {
  const answer = sightMarks({
    ...geometry,
    speedMps: mps(speed),
    dragCoefficient: drag,
    distancesM: distances.map(metre),
  });
  if (!answer.ok) throw new Error(answer.message);
  return answer.marks.map((mark, i) => ({
    distanceM: mark.distanceM,
    dropMm: mm(answer.marks[0]!.pinAboveArrowMm - mark.pinAboveArrowMm + (errors[i] ?? 0)),
  }));
}
const fit = (shots: readonly ConfirmedShot[], more: Partial<SightFitInput> = {}) =>
  sightFit({ ...geometry, shots, ...more });
const fitted = (...args: Parameters<typeof fit>) => {
  const answer = fit(...args);
  if (!answer.ok) throw new Error(answer.message);
  return answer;
};

describe('fit of the marks', () => {
  test.each(examples('sight-fit'))('$title', ({ request, response, tolerance }) =>
    expectAgrees(sightFit(request as unknown as SightFitInput), response, tolerance),
  );

  test.each([
    [55, 1.6],
    [67, 2],
    [85, 2.4],
    [100, 2],
  ])('%d m/s with drag %d comes back from two distances', (speed, drag) => {
    const answer = fitted(shotsOf([18, 50], speed, drag), { dragCoefficient: drag });
    expect(answer.speedMps).toBeCloseTo(speed, 4);
    expect(answer.sigmaSpeedMps).toBeNull();
    expect(answer.sigmaMarkMm).toBeNull();
    answer.residualsMm.forEach((r) => expect(Math.abs(r)).toBeLessThan(1e-6));
  });

  test('drag comes back too, from four distances', () => {
    const answer = fitted(shotsOf([18, 30, 45, 60], 74, 2.35), { fitDrag: true });
    expect(answer.speedMps).toBeCloseTo(74, 2);
    expect(answer.dragCoefficient).toBeCloseTo(2.35, 2);
  });

  test('the order the shots are given in does not matter', () => {
    const shots = shotsOf([18, 30, 45], 70, 2, [0, 0.2, -0.1]);
    const turned = [shots[2]!, shots[0]!, shots[1]!];
    expect(fitted(turned).speedMps).toBeCloseTo(fitted(shots).speedMps, 6);
  });

  test('σ is honest: in 200 noisy scales the truth lies within two of it about as often as it should', () => {
    const random = seeded(11);
    let inside = 0;
    const tries = 200;
    for (let i = 0; i < tries; i++) {
      const errors = [0, 1, 2, 3, 4].map(() => 0.25 * normal(random));
      const answer = fitted(shotsOf([18, 27, 36, 45, 54], 72, 2, errors));
      // Three degrees of freedom: t at 95 % is 3.18.
      if (Math.abs(answer.speedMps - 72) < 3.18 * answer.sigmaSpeedMps!) inside++;
    }
    expect(inside / tries).toBeGreaterThan(0.9);
    expect(inside / tries).toBeLessThan(0.99);
  });

  test('on a slope the fit uses the slope', () => {
    const slopeDeg = degree(20);
    const answer = sightMarks({
      ...geometry,
      speedMps: mps(70),
      slopeDeg,
      distancesM: [metre(20), metre(45)],
    });
    if (!answer.ok) throw new Error();
    const shots = answer.marks.map((mark) => ({
      distanceM: mark.distanceM,
      dropMm: mm(answer.marks[0]!.pinAboveArrowMm - mark.pinAboveArrowMm),
    }));
    expect(fitted(shots, { slopeDeg }).speedMps).toBeCloseTo(70, 3);
  });
});

describe('a mark that does not fit', () => {
  test.each([1, 2, 3, 4])('number %d is named', (odd) => {
    const errors = [0.03, -0.04, 0.05, -0.02, 0.04];
    errors[odd] = 2.6;
    expect(fitted(shotsOf([18, 27, 36, 45, 54], 70, 2, errors)).odd).toBe(odd);
  });
  test('under one degree of freedom nothing is named, however far off', () =>
    expect(
      fitted(shotsOf([18, 30, 42, 54], 70, 2, [0, 0.4, 0, 0]), { fitDrag: true }).odd,
    ).toBeNull());
  /** Scales of ten distances whose marks scatter by `sigma`, one pushed off where asked for. */
  const named = (sigma: number, off: number, seed: number, runs: number) => {
    const random = seeded(seed);
    const distances = [15, 20, 26, 32, 38, 44, 50, 56, 63, 70];
    const clean = shotsOf(distances, 72, 2);
    let [count, right] = [0, 0];
    for (let run = 0; run < runs; run++) {
      const errors = distances.map(() => sigma * normal(random));
      const which = Math.floor(random() * distances.length);
      errors[which]! += off * sigma * (random() < 0.5 ? -1 : 1);
      const shots = clean.map((shot, i) => ({
        ...shot,
        dropMm: mm(shot.dropMm + errors[i]! - errors[0]!),
      }));
      const answer = fit(shots);
      if (!answer.ok || answer.odd === null) continue;
      count++;
      if (answer.odd === which) right++;
    }
    return { named: count / runs, right: right / runs };
  };
  test.each([
    [0.3, 400],
    [0.4, 200],
  ])('of clean scales with σ %d mm at most one in twenty names a mark', (sigma, runs) =>
    expect(named(sigma, 0, 41, runs).named).toBeLessThanOrEqual(0.05),
  );
  test('of scales with a mark 6σ off four in five name it', () =>
    expect(named(0.3, 6, 43, 400).right).toBeGreaterThanOrEqual(0.8));
  test('none is named among good ones, nor where nothing checks it', () => {
    expect(fitted(shotsOf([18, 27, 36, 45, 54], 70, 2, [0.1, -0.1, 0.1, 0, -0.1])).odd).toBeNull();
    expect(fitted(shotsOf([18, 30, 45], 70, 2, [0, 3, 0])).odd).toBeNull();
  });
});

describe('bad marks', () => {
  const bad = (...rows: [number, number][]) =>
    fit(rows.map(([d, drop]) => ({ distanceM: metre(d), dropMm: mm(drop) })));
  test('two shots at one distance', () =>
    expect(bad([18, 0], [40, 12], [40.2, 13])).toMatchObject({
      ok: false,
      reason: 'same-distance',
      field: 'shots/2/distanceM',
      message: expect.stringContaining('Shots 2 and 3 are at one distance') as unknown,
    }));
  test('marks in the wrong order', () =>
    expect(bad([18, 0], [30, 9], [50, 7])).toMatchObject({
      ok: false,
      reason: 'wrong-order',
      field: 'shots/2/dropMm',
      message: expect.stringContaining('50 m stands no lower than the one for 30 m') as unknown,
    }));
  test('nearer than 15 m the pin may stand lower again', () =>
    expect(fit(shotsOf([8, 12, 18, 40], 70, 2)).ok).toBe(true));
  test('one alone, and drag from two', () => {
    expect(bad([18, 0])).toMatchObject({ ok: false, reason: 'too-few' });
    expect(fit(shotsOf([18, 40], 70, 2), { fitDrag: true })).toMatchObject({
      ok: false,
      reason: 'too-few-for-drag',
    });
  });
  test('marks no arrow makes', () => {
    expect(bad([18, 0], [50, 0.2])).toMatchObject({ ok: false, reason: 'no-such-arrow' });
    expect(bad([18, 0], [30, 190])).toMatchObject({ ok: false, reason: 'no-such-arrow' });
  });
});
