import { aBow } from '../testing/fixtures';
import { examples, expectAgrees } from '../testing/examples';
import { mm, newton } from '../units';
import {
  camTiming,
  curveFacts,
  drawOffOrder,
  forceCurvePoints,
  launchSpeed,
  rankDrawOff,
  speedSensitivity,
  storedEnergyJ,
  TIMING_PRIOR,
  twistResponse,
  twistsFor,
  wallOfStops,
  wantedWall,
  moduleLabel,
  type DrawOff,
  type DrawOffMark,
} from '.';

describe('draw-off', () => {
  const off = (marks: readonly DrawOffMark[] = [], changes: Partial<DrawOff> = {}): DrawOff => ({
    bowIds: ['a', 'b', 'c'],
    speedCounts: false,
    marks,
    ...changes,
  });
  const mark = (
    aspect: DrawOffMark['aspect'],
    first: string,
    second: string,
    better: string | null,
  ) => ({ aspect, first, second, better });
  const ranked = (drawOff: DrawOff, speed = {}) => {
    const answer = rankDrawOff(drawOff, speed);
    if (!answer.ok) throw new Error(answer.message);
    return answer;
  };

  test('the order hangs on the archer and the bows, not on how they were named', () => {
    const order = drawOffOrder('archer-1', ['a', 'b', 'c', 'd']);
    expect(drawOffOrder('archer-1', ['d', 'c', 'b', 'a'])).toEqual(order);
    const last = new Set(
      Array.from({ length: 40 }, (_, i) => drawOffOrder(`archer-${i}`, ['a', 'b', 'c']).at(-1)),
    );
    expect(last.size).toBe(3);
  });
  test('without a mark nothing is said', () => {
    const { sure, openPairs } = ranked(off());
    expect(sure).toBe('open');
    expect(openPairs).toHaveLength(3);
  });
  test('liked in everything is first; how sure grows with the marks', () => {
    const grip = ranked(off([mark('grip', 'a', 'b', 'b')]));
    expect(grip.places[0]!.bowId).toBe('b');
    const all = (['grip', 'draw', 'wall', 'quiet', 'hold'] as const).flatMap((aspect) => [
      mark(aspect, 'a', 'b', 'b'),
      mark(aspect, 'b', 'c', 'b'),
      mark(aspect, 'a', 'c', null),
    ]);
    const sure = ranked(off(all));
    expect(sure.places[0]).toMatchObject({ bowId: 'b', liked: 10, of: 10 });
    expect(sure.places[0]!.chanceBest).toBeGreaterThan(grip.places[0]!.chanceBest);
    expect(sure.sure).toBe('clear');
    expect(sure.openPairs).toEqual([]);
  });
  test('the newest mark of a pair counts, whichever way round it was named', () => {
    const changed = off([mark('grip', 'a', 'b', 'b'), mark('grip', 'b', 'a', 'a')]);
    expect(ranked(changed).places[0]!.bowId).toBe('a');
    expect(ranked(changed).places.find(({ bowId }) => bowId === 'a')).toMatchObject({ of: 1 });
  });
  test('speed decides nothing unless the archer wants it', () => {
    const speed = { a: 80, b: 86, c: 80 };
    expect(ranked(off(), speed).places.map(({ strength }) => strength)).toEqual([0, 0, 0]);
    expect(ranked(off([], { speedCounts: true }), speed).places[0]!.bowId).toBe('b');
  });
  test.each([
    [off([], { bowIds: ['a'] }), 'draw-off-size'],
    [off([], { bowIds: ['a', 'b', 'c', 'd', 'e', 'f'] }), 'draw-off-size'],
    [off([mark('grip', 'a', 'z', 'z')]), 'unknown-bow'],
  ])('refused %#', (drawOff, reason) => expect(rankDrawOff(drawOff)).toMatchObject({ reason }));
});

describe('cam timing', () => {
  const advice = (gapMm: number, changes = {}) => {
    const answer = camTiming({ camSystem: 'twoCam', gapMm, moves: [], ...changes });
    if (!answer.ok) throw new Error(answer.message);
    return answer;
  };
  test.each([
    ['twoCam', 2, 'top', 1.5],
    ['twoCam', -2, 'bottom', -1.5],
    ['hybrid', 3, 'top', 2],
    ['camAndAHalf', 9, 'top', 2],
    ['twoCam', 0.8, 'neither', 0],
    ['twoCam', -1.1, 'bottom', -0.5],
  ] as const)('%s, %d mm: %s leads, %d twists', (camSystem, gap, leads, twists) =>
    expect(advice(gap, { camSystem })).toMatchObject({ leads, twists, cable: 'top' }),
  );
  test('hybrids twist the control cable, two cams the one the top takes up', () => {
    expect(advice(3, { camSystem: 'hybrid' }).cableName).toBe('control cable');
    expect(advice(3).cableName).toContain('top cam takes up');
  });
  test('this bow teaches its own response', () => {
    const before = advice(4);
    expect(before.response.moves).toBe(0);
    expect(before.response.perTwistMm).toBeCloseTo(TIMING_PRIOR.mean, 9);
    const after = advice(4, {
      moves: [
        { twists: 1, movedMm: -3.1 },
        { twists: 1, movedMm: -2.9 },
      ],
    });
    expect(after.response.moves).toBe(2);
    expect(after.response.perTwistMm).toBeLessThan(-2.3);
    expect(after.response.sigmaMm).toBeLessThan(before.response.sigmaMm);
    expect(after.twists).toBe(1.5);
  });
  test('one cam has nothing to lead; twists without effect stop the twisting', () => {
    expect(camTiming({ camSystem: 'single', gapMm: 3, moves: [] })).toMatchObject({
      reason: 'one-cam',
    });
    const moves = [1, 1, 1].map((twists) => ({ twists, movedMm: 0.1 }));
    expect(camTiming({ camSystem: 'twoCam', gapMm: 3, moves })).toMatchObject({
      reason: 'no-response',
    });
  });
  test('simulated bows come together within four looks', () => {
    for (let i = 0; i < 40; i++) {
      const truth = -0.6 - i * 0.06;
      let gap = i % 2 === 0 ? 5 : -4;
      const moves: { twists: number; movedMm: number }[] = [];
      for (let look = 0; look < 6 && Math.abs(gap) > 1; look++) {
        const { twists } = advice(gap, { moves });
        moves.push({ twists, movedMm: twists * truth });
        gap += twists * truth;
      }
      expect(Math.abs(gap)).toBeLessThan(1.6);
    }
  });
});

describe('twists', () => {
  test('prior alone, then the bow’s own; moves without twists teach nothing', () => {
    const prior = { mean: -1.2, sd: 0.5 };
    expect(twistResponse(prior, [{ twists: 0, movedMm: 9 }], 0.8)).toEqual({
      perTwistMm: -1.2,
      sigmaMm: 0.5,
      moves: 0,
    });
    expect(twistResponse(prior, [{ twists: 4, movedMm: -8 }], 0.8).perTwistMm).toBeCloseTo(
      -1.82,
      1,
    );
  });
  test.each([
    [1.8, 1.2, -1.5],
    [-2.4, 1.2, 2],
    [0.2, 1.2, 0],
  ])('%d mm at %d mm a twist out: %d', (wanted, per, twists) =>
    expect(twistsFor(wanted, { perTwistMm: -per, sigmaMm: 0.3, moves: 1 })).toBe(twists),
  );
  test('a response lost in its own doubt gives no number', () =>
    expect(twistsFor(2, { perTwistMm: -0.2, sigmaMm: 0.5, moves: 3 })).toBeNull());
});

const curve = {
  drawLengthMm: mm(711.2),
  peakN: newton(222),
  braceHeightMm: mm(165),
  letOff: 0.8,
  character: 'balanced' as const,
};

describe('a logged curve', () => {
  const points = forceCurvePoints(curve, 120);
  const facts = (of = points) => {
    const answer = curveFacts(of);
    if (!answer.ok) throw new Error(answer.message);
    return answer;
  };
  test('the model’s own curve reads back as it was made', () => {
    const read = facts();
    expect(read.peakN).toBeCloseTo(222, 6);
    expect(read.holdingN).toBeCloseTo(222 * 0.2, 6);
    expect(read.letOff).toBeCloseTo(0.8, 6);
    expect(read.storedEnergyJ / storedEnergyJ(curve)).toBeCloseTo(1, 3);
    expect(read.strokeMm).toBeCloseTo(711.2 - 44.45 - 165, 6);
  });
  test('the valley: cos⁻¹ of the shape, a tenth of the way up', () => {
    // The let-off runs as 1 − L(1 − cos π t)/2 over the last 24 %: t at a tenth up is 0.7952.
    const t = Math.acos(0.1 * 2 - 1) / Math.PI;
    const wide = (1 - t) * 0.24 * (711.2 - 44.45 - 165);
    expect(facts().valleyMm).toBeCloseTo(wide, 0);
  });
  test('a wall that rises at the end is not the holding weight', () => {
    const wall = [...points, { drawnMm: mm(503), forceN: newton(120) }];
    expect(facts(wall).holdingN).toBeCloseTo(44.4, 1);
  });
  test.each([
    ['too-few-points', points.slice(0, 5)],
    ['draw-goes-back', [...points.slice(0, 20), points[10]!, ...points.slice(21)]],
    ['drawn-out-of-range', points.map((p, i) => (i === 4 ? { ...p, drawnMm: mm(Number.NaN) } : p))],
    ['force-out-of-range', points.map((p, i) => (i === 4 ? { ...p, forceN: newton(-3) } : p))],
    [
      'force-out-of-range',
      points.map((p, i) => (i === 4 ? { ...p, forceN: newton(Infinity) } : p)),
    ],
    [
      'too-many-points',
      Array.from({ length: 5001 }, (_, i) => ({ drawnMm: mm(i / 10), forceN: newton(50) })),
    ],
    ['no-draw', points.map((p) => ({ ...p, drawnMm: mm(p.drawnMm / 10) }))],
    ['no-weight', points.map((p) => ({ ...p, forceN: newton(p.forceN / 30) }))],
  ])('%s', (reason, bad) => {
    const answer = curveFacts(bad);
    expect(answer).toMatchObject({ ok: false, reason });
    expect(JSON.stringify(answer)).not.toContain('NaN');
  });
  test('its energy replaces the model’s in the speed, and in what a change makes', () => {
    const input = { bow: aBow(), setting: curve, arrowG: 24 as never };
    const model = launchSpeed(input);
    const energy = storedEnergyJ({ ...aBow(), ...curve }) * 1.1;
    const logged = launchSpeed({ ...input, storedEnergyJ: energy });
    if (!model.ok || !logged.ok) throw new Error('refused');
    expect(logged.speedMps / model.speedMps).toBeCloseTo(Math.sqrt(1.1), 9);
    const [a, b] = [speedSensitivity(input), speedSensitivity({ ...input, storedEnergyJ: energy })];
    if (!a.ok || !b.ok) throw new Error('refused');
    expect(b.perPoundMps / a.perPoundMps).toBeCloseTo(Math.sqrt(1.1), 6);
  });
});

describe('walls and labels', () => {
  test.each([
    ['unknown', 'thumb', 'firm'],
    ['unknown', 'backTension', 'soft'],
    ['unknown', 'index', null],
    ['unknown', 'unknown', null],
    ['soft', 'thumb', 'soft'],
    ['either', 'thumb', null],
  ] as const)('said %s, release %s: %s', (wall, release, wanted) =>
    expect(wantedWall(wall, release)).toBe(wanted),
  );
  test('stops make the wall', () => {
    expect(wallOfStops('limb')).toBe('firm');
    expect(wallOfStops('cable')).toBe('soft');
    expect(wallOfStops(null)).toBeNull();
  });
  test('a top module may be marked otherwise than the bottom one', () => {
    const bow = aBow({ modules: [{ label: 'E', topLabel: '5', drawLengthMm: mm(700) }] });
    expect(moduleLabel(bow, 700)).toBe('E');
    expect(moduleLabel(bow, 700, 'top')).toBe('5');
    expect(moduleLabel(bow, 650, 'top')).toBeNull();
  });
});

describe('worked cases', () => {
  test.each(examples('draw-force'))('$title', ({ request, response, tolerance }) =>
    expectAgrees(curveFacts(request.points as never), response, tolerance),
  );
  test.each(examples('draw-off'))('$title', ({ request, response, tolerance }) =>
    expectAgrees(rankDrawOff(request as never), response, tolerance),
  );
  test.each(examples('cam-timing'))('$title', ({ request, response, tolerance }) =>
    expectAgrees(camTiming(request as never), response, tolerance),
  );
});
