import { examples, expectAgrees } from '../testing/examples';
import { mm, newton, turns } from '../units';
import {
  chooseModule,
  drawLength,
  drawWeight,
  limbBolts,
  priorMedianN,
  retake,
  turningPlan,
  type DrawLengthReading,
  type LimbBoltInput,
  type WeightTrial,
} from '.';

describe('a method read once more', () => {
  const wall = (valueMm: number): DrawLengthReading => ({
    method: 'wallToMouth',
    valueMm: mm(valueMm),
  });
  // Wall to mouth is good to 13 mm; one and a half of it are 19.5 mm.
  test.each([
    [19.4, true],
    [-19.4, true],
    [19.5, true],
    [19.6, false],
    [-19.6, false],
    [0, true],
  ])('%d mm from the mean of its own: beside them %s', (off, beside) => {
    const answer = retake([wall(700), wall(704)], wall(702 + off))!;
    expect(answer.allowedMm).toBeCloseTo(19.5, 9);
    expect(answer.offMm).toBeCloseTo(off, 9);
    expect(answer.beside).toBe(beside);
  });
  test('other methods are not asked, and a first reading has nothing to be held against', () => {
    expect(retake([{ method: 'markedArrow', valueMm: mm(600) }], wall(702))).toBeNull();
    expect(retake([], wall(702))).toBeNull();
  });
  // Arm span counts by two and a half: 50 mm of it are 20 mm, with 15 mm good for 22.5.
  test('is held against them as a draw length, not as it was read', () => {
    const span = (valueMm: number): DrawLengthReading => ({
      method: 'armSpan',
      valueMm: mm(valueMm),
    });
    expect(retake([span(1700)], span(1750))).toMatchObject({ beside: true });
    expect(retake([span(1700)], span(1750))!.offMm).toBeCloseTo(20, 9);
    expect(retake([span(1700)], span(1760))).toMatchObject({ beside: false });
  });
});

describe('draw length', () => {
  test.each(examples('draw-length'))('$title', ({ request, response, tolerance }) => {
    const { readings, ...options } = request as unknown as { readings: DrawLengthReading[] };
    expectAgrees(drawLength(readings, options), response, tolerance);
  });

  test('no readings give no answer; one gives no p-value and no outlier', () => {
    expect(drawLength([])).toBeNull();
    const one = drawLength([{ method: 'wallToMouth', valueMm: mm(700) }])!;
    expect(one.pValue).toBeNull();
    expect(one.outlier).toBeNull();
    expect(one.sigmaMm).toBe(13);
  });

  test('repeating a method narrows its spread, but only down to the floor', () => {
    const sigma = (n: number) =>
      drawLength(
        Array.from({ length: n }, () => ({ method: 'armSpan' as const, valueMm: mm(1780) })),
      )!.sigmaMm;
    expect(sigma(1)).toBeCloseTo(15);
    expect(sigma(2)).toBeCloseTo(15 / Math.SQRT2);
    expect(sigma(50)).toBeCloseTo(10.5);
  });

  test('an overshooting module loses against one that is a little further short', () => {
    const steps = [mm(698.5), mm(711.2)];
    expect(chooseModule(mm(705.5), steps)).toMatchObject({ stepMm: 698.5, twists: -6 });
    expect(chooseModule(mm(708), steps)!.stepMm).toBe(711.2);
    expect(chooseModule(mm(708), [])).toBeNull();
  });
});

describe('draw weight', () => {
  const person = { ageBand: '16to59', build: 'medium', experience: 'none', injury: 'no' } as const;
  const prior = priorMedianN(person);

  test('without trials the start lies well under the median', () => {
    const advice = drawWeight({ priorMedianN: prior, trials: [] });
    expect(advice.startN).toBeLessThan(prior * 0.75);
    expect(advice.w50.medianN).toBeCloseTo(prior, -1);
    expect(advice.grid.reduce((s, p) => s + p.probability, 0)).toBeCloseTo(1, 12);
  });

  test('smooth trials raise the start, failed ones lower it, strained a little', () => {
    const start = (outcome: 'smooth' | 'strained' | 'failed') =>
      drawWeight({ priorMedianN: prior, trials: [{ peakN: newton(180), outcome }] }).startN;
    const none = drawWeight({ priorMedianN: prior, trials: [] }).startN;
    expect(start('smooth')).toBeGreaterThan(none);
    expect(start('failed')).toBeLessThan(start('strained'));
    expect(start('strained')).toBeLessThan(none);
  });

  test('the next trial is never 5 lb above the heaviest smooth one, nor above a failed one', () => {
    const light = drawWeight({
      priorMedianN: prior,
      trials: [{ peakN: newton(100), outcome: 'smooth' }],
    });
    expect(light).toMatchObject({ nextTrialN: 122, nextTrialLimit: 'stepAboveSmooth' });
    const failed = drawWeight({
      priorMedianN: newton(300),
      trials: [{ peakN: newton(160), outcome: 'failed' }],
    });
    expect(failed.nextTrialN).toBeLessThan(160);
    expect(failed.nextTrialLimit).toBe('belowFailed');
  });

  test('the next trial stays under one that strained, and after pain it is for another day', () => {
    const after = (...trials: WeightTrial[]) => drawWeight({ priorMedianN: newton(300), trials });
    const strained = after({ peakN: newton(200), outcome: 'strained' });
    expect(strained.nextTrialN).toBeCloseTo(190, 6);
    expect(strained.nextTrialLimit).toBe('belowStrained');
    // Also where something lighter was smooth: five pounds on would meet it.
    const both = after(
      { peakN: newton(190), outcome: 'smooth' },
      { peakN: newton(200), outcome: 'strained' },
    );
    expect(both).toMatchObject({ nextTrialLimit: 'belowStrained' });
    expect(both.nextTrialN).toBeLessThan(200);
    const hurt = after(
      { peakN: newton(150), outcome: 'smooth' },
      { peakN: newton(170), outcome: 'pain' },
    );
    expect(hurt.nextTrialN).toBeCloseTo(136, 6);
    expect(hurt.nextTrialLimit).toBe('pain');
    const failed = after({ peakN: newton(170), outcome: 'failed' });
    expect(after({ peakN: newton(170), outcome: 'pain' }).startN).toBeCloseTo(failed.startN, 9);
  });

  test('an injury starts lower', () => {
    expect(priorMedianN({ ...person, injury: 'yes' })).toBeLessThan(prior);
  });
});

describe('limb bolts', () => {
  test.each(examples('limb-bolts'))('$title', ({ request, response, tolerance }) => {
    expectAgrees(limbBolts(request as unknown as LimbBoltInput), response, tolerance);
  });

  const bow = { maxPeakN: newton(300), minPeakN: newton(200), maxTurns: turns(8) };

  test('a target out of reach ends at the limit and says so', () => {
    const low = limbBolts({ ...bow, readings: [], targetN: newton(120) });
    expect(low).toMatchObject({ ok: true, turns: 8, reachesTarget: false });
    const high = limbBolts({ ...bow, readings: [], targetN: newton(400) });
    expect(high).toMatchObject({ ok: true, turns: 0, reachesTarget: false });
  });

  test('a reading past the limit is refused with the caution', () => {
    const answer = limbBolts({
      ...bow,
      readings: [{ turns: turns(9), peakN: newton(190) }],
      targetN: newton(220),
    });
    expect(answer).toMatchObject({
      ok: false,
      reason: 'past-turn-limit',
      field: 'readings/0/turns',
    });
    expect(limbBolts({ ...bow, minPeakN: newton(300), readings: [], targetN: newton(1) }).ok).toBe(
      false,
    );
  });

  test.each([
    [0, 5],
    [4, 1.5],
    [2, 2],
    [0, 0.3],
  ])(
    'the plan from %d to %d is equal at every pause and never more than two at once',
    (from, to) => {
      const plan = turningPlan(turns(from), turns(to));
      let [upper, lower] = [from, from];
      plan.forEach((move, i) => {
        expect(Math.abs(move.turns)).toBeLessThanOrEqual(2);
        expect(move.limb).toBe(i % 2 === 0 ? 'upper' : 'lower');
        if (move.limb === 'upper') upper += move.turns;
        else lower += move.turns;
        if (i % 2 === 1) expect(upper).toBeCloseTo(lower, 12);
      });
      expect([upper, lower]).toEqual([expect.closeTo(to, 9), expect.closeTo(to, 9)]);
    },
  );
});
