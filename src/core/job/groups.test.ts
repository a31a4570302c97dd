import { aFinishedJob, aSnapshot } from '../testing/fixtures';
import { historyOf, type Reading } from '../setup';
import { derive } from './derive';
import { nextLengthMethod } from './fit-readings';
import { newestGroup, nextGroupDistance, predictedDropMm } from './groups';
import { jobThirdAxis } from './third-axis';

describe('where the next group is shot', () => {
  test.each<[number | null, number | null, 'm' | 'yd', string]>([
    [null, 60, 'm', '18 m'],
    [null, null, 'yd', '20 yd'],
    // As far as they shoot, where that is further off.
    [18, 60, 'm', '60 m'],
    [18, null, 'm', '50 m'],
    // At least fifteen further than the first, in whole fives.
    [18, 20, 'm', '35 m'],
    // A group at 200 m tells the archer, not the sight.
    [18, 200, 'm', '90 m'],
    [18.288, 54.864, 'yd', '60 yd'],
    [18.288, 18.288, 'yd', '35 yd'],
  ])('first at %p, shooting to %p, in %s: %s', (first, furthest, unit, text) =>
    expect(nextGroupDistance(first, furthest, unit)).toBe(text),
  );
});

describe('the newest group', () => {
  const hit = { rightMm: 1, upMm: 2 };
  const row = (seq: number, key: 'firstMark' | 'markShot', data: Reading['data']): Reading => ({
    seq,
    key,
    si: 18,
    si2: 0,
    choice: null,
    entered: '',
    method: 'group',
    who: '',
    at: '',
    data,
  });
  const group = (rightMm: number): Reading['data'] => ({
    kind: 'group',
    hits: [{ ...hit, rightMm }],
    dropMm: 0,
  });
  const mark = (hits: readonly { rightMm: number; upMm: number }[]): Reading['data'] => ({
    kind: 'mark',
    hits,
    scaleM: null,
    offMm: null,
  });
  test('none before one was shot', () =>
    expect(newestGroup({ history: historyOf<never>([]) })).toEqual([]));
  test('the later one counts; a mark read from the scale has no hits', () => {
    const rows = [
      row(1, 'firstMark', group(5)),
      row(2, 'markShot', mark([{ rightMm: 9, upMm: 0 }])),
      row(3, 'markShot', mark([])),
    ];
    expect(newestGroup({ history: historyOf(rows) })).toEqual([{ rightMm: 9, upMm: 0 }]);
    expect(newestGroup({ history: historyOf(rows.slice(0, 1)) })).toEqual([
      { rightMm: 5, upMm: 2 },
    ]);
  });
});

describe('what the marks say before a distance is shot', () => {
  const derived = derive(aFinishedJob());
  test('nothing without a bow', () => expect(predictedDropMm(derive(aSnapshot()), 30)).toBeNull());
  test('further the pin stands lower, nearer higher, at the first not at all', () => {
    const [near, first, far, further] = [10, 18, 30, 50].map((m) => predictedDropMm(derived, m)!);
    expect(first).toBeCloseTo(0, 6);
    expect(near).toBeLessThan(0);
    expect(far).toBeGreaterThan(0);
    expect(further! - far!).toBeGreaterThan(far!);
  });
});

describe('the third axis of a job', () => {
  const derived = derive(aFinishedJob());
  const off = (up: number, down: number, slope = 30) =>
    jobThirdAxis(derived, 30, [
      { rightMm: up, slopeDeg: slope },
      { rightMm: down, slopeDeg: -slope },
    ]);
  test('not told while the flight is not known', () =>
    expect(
      jobThirdAxis(derive(aSnapshot()), 30, [
        { rightMm: 10, slopeDeg: 30 },
        { rightMm: -10, slopeDeg: -30 },
      ]),
    ).toBe('unknown'));
  test('slopes too alike tell nothing', () => expect(off(50, -50, 5)).toBe('flat'));
  test('groups on the line: it stands true', () => expect(off(0, 0)).toEqual({ offDeg: 0 }));
  test('both off to the same side is windage, not the axis', () =>
    expect(Math.abs((off(40, 40) as { offDeg: number }).offDeg)).toBeLessThan(
      Math.abs((off(40, -40) as { offDeg: number }).offDeg) / 5,
    ));
  test('the other way round it is off the other way, about as far', () => {
    const [one, other] = [off(60, -60), off(-60, 60)] as { offDeg: number }[];
    expect(Math.sign(one!.offDeg)).toBe(-Math.sign(other!.offDeg));
    expect(Math.abs(one!.offDeg + other!.offDeg)).toBeLessThan(0.01);
  });
});

test.each([
  [[], null, 'armSpan'],
  [['armSpan'], null, 'wallToMouth'],
  [['armSpan', 'wallToMouth', 'markedArrow', 'fittingBow'], null, 'armSpan'],
  [['armSpan'], 'armSpan', 'armSpan'],
  [['armSpan', 'markedArrow'], 'markedArrow', 'markedArrow'],
] as const)('after %p, with %p furthest out, next is %s', (taken, outlier, next) =>
  expect(
    nextLengthMethod(
      taken.map((key) => ({ key })),
      outlier,
    ),
  ).toBe(next),
);
