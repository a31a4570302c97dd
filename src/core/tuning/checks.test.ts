import { metre, mm } from '../units';
import { bareShaftTear, walkBack, type WalkBackHit } from '.';

describe('bare shafts', () => {
  test.each<[number, number, number, number, number]>([
    // distance, hit right and up, tear right and up
    [18, 150, 0, -15, 0],
    [18, -150, 60, 15, -6],
    [36, 300, 0, -15, 0],
    [9, 75, -75, -15, 15],
  ])('at %d m %d right, %d up stand for a tear %d, %d', (distance, right, up, tr, tu) => {
    const tear = bareShaftTear({ distanceM: metre(distance), rightMm: right, upMm: up });
    expect(tear.rightMm).toBeCloseTo(tr, 9);
    expect(tear.upMm).toBeCloseTo(tu, 9);
    expect(tear.sigmaMm).toBe(3);
  });
  test('a little is not told from nothing', () => {
    expect(bareShaftTear({ distanceM: metre(18), rightMm: 30, upMm: 10 }).tells).toBe(false);
    expect(bareShaftTear({ distanceM: metre(18), rightMm: 90, upMm: 0 }).tells).toBe(true);
  });
});

describe('walk-back', () => {
  const hits = (...rows: [number, number][]): WalkBackHit[] =>
    rows.map(([d, r]) => ({ distanceM: metre(d), rightMm: r }));
  const line = (...rows: [number, number][]) => {
    const answer = walkBack(hits(...rows), mm(680));
    if (!answer.ok) throw new Error(answer.message);
    return answer;
  };
  test('a drift to the right moves the rest to the left, by drift times the length', () => {
    const answer = line([10, 22], [20, 41], [30, 62], [40, 79]);
    expect(answer.mmPerM).toBeCloseTo(1.92, 2);
    expect(answer.drifts).toBe(true);
    expect(answer.bends).toBe(false);
    // 1.92 mm a metre × 0.68 m = 1.3 mm, in quarters.
    expect(answer.restMm).toBe(-1.25);
  });
  test('and to the left to the right; a large one in more than one move', () => {
    expect(line([10, -20], [20, -39], [30, -61]).restMm).toBe(1.5);
    expect(line([10, 60], [20, 121], [30, 181]).restMm).toBe(-2);
  });
  test('beside the line by the same everywhere is the sight’s own side, not the rest’s', () => {
    const answer = line([10, 30], [20, 31], [30, 29], [40, 30.5]);
    expect(answer.drifts).toBe(false);
    expect(answer.restMm).toBe(0);
    expect(answer.atArcherMm).toBeCloseTo(30, 0);
  });
  test('scatter alone moves nothing', () => {
    const answer = line([10, 8], [20, -14], [30, 20], [40, -6]);
    expect(answer.pValue!).toBeGreaterThan(0.1);
    expect(answer.restMm).toBe(0);
  });
  test('hits that bow are named and not answered with the rest', () => {
    const answer = line([10, 5], [20, 6], [30, 28], [40, 72], [50, 141]);
    expect(answer.bends).toBe(true);
    expect(answer.restMm).toBe(0);
  });
  test('without any scatter the line is the line', () => {
    const answer = line([10, 10], [20, 20], [30, 30]);
    expect(answer.pValue).toBeNull();
    expect(answer.restMm).toBe(-0.75);
  });
  test.each<[[number, number][]]>([
    [[]],
    [
      [
        [10, 3],
        [20, 4],
      ],
    ],
    [
      [
        [10, 3],
        [10.1, 4],
        [10, 5],
      ],
    ],
  ])('%j is refused', (rows) =>
    expect(walkBack(hits(...rows), mm(680))).toMatchObject({ ok: false, reason: 'too-few' }),
  );
});
