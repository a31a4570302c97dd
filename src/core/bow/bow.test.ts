import { examples, expectAgrees } from '../testing/examples';
import { gram, mm, mps, newton } from '../units';
import { forceAt, forceCurvePoints, launchSpeed, storedEnergyJ, type LaunchSpeedInput } from '.';

const curve = {
  drawLengthMm: mm(711.2),
  peakN: newton(250),
  braceHeightMm: mm(165),
  letOff: 0.8,
  character: 'balanced' as const,
};

describe('draw force', () => {
  test('starts at nothing, reaches the peak, ends at the holding weight', () => {
    expect(forceAt(0, curve)).toBe(0);
    expect(forceAt(0.5, curve)).toBe(250);
    expect(forceAt(1, curve)).toBeCloseTo(50, 9);
  });
  test('energy agrees with a sum over a fine grid', () => {
    const points = forceCurvePoints(curve, 20_000);
    const sum = points
      .slice(1)
      .reduce(
        (s, p, i) => s + ((p.forceN + points[i]!.forceN) / 2) * (p.drawnMm - points[i]!.drawnMm),
        0,
      );
    expect(storedEnergyJ(curve)).toBeCloseTo(sum / 1000, 5);
  });
});

describe('launch speed', () => {
  test.each(examples('launch-speed'))('$title', ({ request, response, tolerance }) => {
    expectAgrees(launchSpeed(request as unknown as LaunchSpeedInput), response, tolerance);
  });

  const input: LaunchSpeedInput = {
    bow: {
      ratedSpeedMps: mps(100),
      ratedDrawLengthMm: mm(762),
      ratedPeakN: newton(311),
      ratedArrowG: gram(22.68),
      braceHeightMm: mm(165),
      letOff: 0.8,
      character: 'balanced',
    },
    setting: { drawLengthMm: mm(711.2), peakN: newton(220) },
    arrowG: gram(25),
  };

  test('at the rated setting with the rated arrow it gives the rated speed', () => {
    const rated = launchSpeed({
      ...input,
      setting: { drawLengthMm: mm(762), peakN: newton(311) },
      arrowG: gram(22.68),
    });
    expect(rated).toMatchObject({ ok: true, speedMps: expect.closeTo(100, 9) });
  });

  test.each([
    ['arrow-too-light', { ...input, arrowG: gram(10) }],
    ['no-stroke', { ...input, setting: { drawLengthMm: mm(200), peakN: newton(220) } }],
    ['rating-contradicts-cam', { ...input, bow: { ...input.bow, ratedSpeedMps: mps(130) } }],
  ])('refuses with %s', (reason, bad) => {
    expect(launchSpeed(bad)).toMatchObject({ ok: false, reason });
  });
});
