import { metre, mm } from '../units';
import {
  bareShaftAdvice,
  bareShaftTear,
  restContradiction,
  walkBack,
  type BareShaftEvent,
  type WalkBackHit,
} from '.';

describe('bare shafts', () => {
  test.each<[number, number, number, number, number]>([
    // distance, hit right and up, as a tear right and up
    [18, 150, 0, 15, 0],
    [18, -150, 60, -15, 6],
    [36, 300, 0, 15, 0],
    [9, 75, -75, 15, -15],
  ])('at %d m %d right, %d up stand for %d, %d', (distance, right, up, tr, tu) => {
    const tear = bareShaftTear({ distanceM: metre(distance), rightMm: right, upMm: up });
    expect(tear.rightMm).toBeCloseTo(tr, 9);
    expect(tear.upMm).toBeCloseTo(tu, 9);
    expect(tear.sigmaMm).toBe(3);
  });
  test('a little is not told from nothing', () => {
    expect(bareShaftTear({ distanceM: metre(18), rightMm: 30, upMm: 10 }).tells).toBe(false);
    expect(bareShaftTear({ distanceM: metre(18), rightMm: 90, upMm: 0 }).tells).toBe(true);
  });

  const pair = (rightMm: number): BareShaftEvent => ({
    kind: 'pair',
    pair: { distanceM: metre(18), rightMm, upMm: 0 },
  });
  const move = (restMm: number): BareShaftEvent => ({ kind: 'move', restMm });
  test('before a move nobody knows which way: the first is a small experiment', () => {
    expect(bareShaftAdvice([])).toMatchObject({ state: 'none', restMm: 0 });
    for (const hit of [120, -120])
      expect(bareShaftAdvice([pair(hit)])).toMatchObject({
        state: 'experiment',
        restMm: 1,
        perMm: 0,
        sigmaPerMm: 2,
      });
    expect(bareShaftAdvice([pair(120), move(1)]).state).toBe('shoot');
  });
  test.each<[string, number, number, number]>([
    ['came nearer: on the same way', 120, 60, 1],
    ['went further: the other way', 120, 180, -1],
    ['came nearer from the left: on', -120, -60, 1],
  ])('%s', (_, first, then, sign) => {
    const advice = bareShaftAdvice([pair(first), move(1.5), pair(then), pair(then)]);
    expect(advice.state).toBe('adjust');
    expect(Math.sign(advice.restMm)).toBe(sign);
    expect(Math.abs(advice.restMm)).toBeLessThanOrEqual(2);
  });
  test('together, and a bow that answers nothing that can be told', () => {
    expect(bareShaftAdvice([pair(20)]).state).toBe('together');
    const deaf = [pair(120), move(1), pair(121), move(1), pair(119), move(1), pair(120)];
    expect(bareShaftAdvice(deaf).state).toBe('silent');
  });
  test('what it answered by hand: prior 0 ± 2, one difference of −6 for 1.5 mm', () => {
    // Two tears 12 and 6, σ 3 each: difference −6 ± 4.24 for 1.5 mm.
    const { perMm } = bareShaftAdvice([pair(120), move(1.5), pair(60)]);
    const weight = 1.5 ** 2 / 18;
    expect(perMm).toBeCloseTo((weight * (-6 / 1.5)) / (weight + 1 / 4), 1);
  });
});

describe('opposite moves', () => {
  const rest = (amount: number) => ({ advice: { adjustment: 'restSideways', amount } }) as never;
  const bare = (restMm: number) =>
    ({ state: restMm === 0 ? 'together' : 'adjust', restMm }) as const;
  test('paper, then bare shafts near, then the line', () => {
    expect(restContradiction(rest(1), bare(-1), { restMm: 1 })).toEqual({
      prevails: 'paper',
      against: ['bare'],
    });
    expect(restContradiction({}, bare(1), { restMm: -1 })).toEqual({
      prevails: 'bare',
      against: ['line'],
    });
    expect(restContradiction(rest(-2), bare(1), { restMm: 1 })).toEqual({
      prevails: 'paper',
      against: ['bare', 'line'],
    });
  });
  test('one way, or an experiment: nothing contradicts', () => {
    expect(restContradiction(rest(1), bare(1), { restMm: 2 })).toBeNull();
    expect(restContradiction(rest(-1), { state: 'experiment', restMm: 1 }, null)).toBeNull();
    expect(restContradiction({}, bare(0), null)).toBeNull();
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
    expect(answer.told).toBe('off');
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
    expect(answer.told).toBe('straight');
    expect(answer.restMm).toBe(0);
    expect(answer.atArcherMm).toBeCloseTo(30, 0);
  });
  test('not significant is not straight: 3 mm a metre undecided, and how many more would tell', () => {
    const answer = line([10, 0], [20, 80], [30, 60], [40, 110]);
    expect(answer.mmPerM).toBeCloseTo(3.1, 9);
    // σ² 1670/2 over a spread of 500: 1.29 mm a metre; t of two degrees of freedom 2.92.
    expect(answer.sigmaMmPerM).toBeCloseTo(Math.sqrt(1670 / 2 / 500), 3);
    expect(answer.interval[0]).toBeCloseTo(3.1 - 2.92 * 1.2923, 2);
    expect(answer).toMatchObject({ told: 'notTold', restMm: 0 });
    expect(answer.hitsNeeded).toBe(1);
  });
  test('scatter alone: not told, nothing moved, many more needed', () => {
    const answer = line([10, 8], [20, -14], [30, 20], [40, -6]);
    expect(answer.pValue!).toBeGreaterThan(0.1);
    expect(answer).toMatchObject({ told: 'notTold', restMm: 0 });
    expect(answer.hitsNeeded!).toBeGreaterThan(3);
  });
  test('a drift that is there and does not matter is straight', () =>
    expect(line([10, 3], [20, 7.1], [30, 10.9], [40, 15]).told).toBe('straight'));
  test('hits that bow are named and not answered with the rest', () => {
    const answer = line([10, 5], [20, 6], [30, 28], [40, 72], [50, 141]);
    expect(answer.bends).toBe(true);
    expect(answer.restMm).toBe(0);
  });
  test('without any scatter the line is the line', () => {
    const answer = line([10, 20], [20, 40], [30, 60]);
    expect(answer.pValue).toBeNull();
    expect(answer.told).toBe('off');
    expect(answer.restMm).toBe(-1.25);
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
