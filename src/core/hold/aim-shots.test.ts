import { degree, milliradian, second } from '../units';
import {
  AIM_TOPICS,
  aimFindings,
  aimTopic,
  countedShots,
  nextWay,
  pathOf,
  type AimShot,
  type HoldTrace,
} from '.';

const trace = (
  changes: {
    from?: number;
    share?: number;
    up?: number;
    s?: number;
    rms?: number;
    hz?: number;
  } = {},
): HoldTrace => {
  const { from = 0, share = 0.5, up = 0, s = 4, rms = 0.5, hz = 1 } = changes;
  return {
    hold: {
      fromS: second(1),
      durationS: second(s),
      rmsMrad: milliradian(rms),
      rmsWithoutDriftMrad: milliradian(rms),
      driftMradS: { right: 0, up },
      ellipse: { semiMajorMrad: milliradian(1), semiMinorMrad: milliradian(1), tiltDeg: degree(0) },
      centre: { rightMrad: milliradian(0), upMrad: milliradian(0) },
      dominantHz: hz,
      sidewaysShare: share,
    },
    approach: { fromDeg: degree(from) },
    releaseS: second(1 + s),
  };
};
const ids = (shots: readonly HoldTrace[]) => aimFindings(shots).map(({ id }) => id);
const many = (n: number, make: (i: number) => Parameters<typeof trace>[0]) =>
  Array.from({ length: n }, (_, i) => trace(make(i)));

describe('what repeats', () => {
  test('nothing under five shots', () => expect(ids(many(4, () => ({})))).toEqual([]));
  test('nine of ten from the left are alike, across the cut at ±180° too', () => {
    const [found] = aimFindings(many(10, (i) => ({ from: i === 0 ? 0 : i % 2 ? 172 : -175 })));
    expect(found).toMatchObject({ id: 'comesOn', count: 9, of: 10 });
    expect(Math.abs(found!.value!)).toBeGreaterThan(170);
    // Binomial, a quarter each: 10·0.25⁹·0.75 + 0.25¹⁰.
    expect(found!.pValue).toBeCloseTo(10 * 0.25 ** 9 * 0.75 + 0.25 ** 10, 12);
  });
  test('now here, now there is told as such, with no p', () => {
    const [found] = aimFindings(many(8, (i) => ({ from: 45 * i })));
    expect(found).toMatchObject({ id: 'comesOnMixed', pValue: null });
  });
  test.each<[string, (i: number) => Parameters<typeof trace>[0], boolean]>([
    ['sideways', () => ({ share: 0.8 }), true],
    ['sideways', (i) => ({ share: i % 2 ? 0.8 : 0.3 }), false],
    ['upright', () => ({ share: 0.2 }), true],
    ['sinks', (i) => ({ up: -0.4 + 0.05 * (i % 3) }), true],
    ['climbs', (i) => ({ up: 0.4 + 0.05 * (i % 3) }), true],
    ['sinks', (i) => ({ up: (i % 2 ? 1 : -1) * (0.4 + 0.01 * i) }), false],
    ['longer', (i) => ({ s: 2 + i, rms: 0.3 + 0.1 * i + 0.01 * (i % 2) }), true],
    ['longer', (i) => ({ s: 2 + i, rms: 0.5 + 0.1 * (i % 2) }), false],
    ['trembles', () => ({ hz: 7 }), true],
    ['trembles', () => ({ hz: 1 }), false],
  ])('%s', (id, make, told) => expect(ids(many(8, make)).includes(id as never)).toBe(told));
});

test('how often chance would show as much is Student’s p, with one degree of freedom less for each figure fitted', () => {
  const found = (id: string, make: (i: number) => Parameters<typeof trace>[0]) =>
    aimFindings(many(8, make)).find((finding) => finding.id === id)!;
  // −0.1 … −0.8: t = 5.19615 at 7 degrees of freedom, its tails integrated by Simpson’s rule.
  const sinks = found('sinks', (i) => ({ up: -0.1 * (i + 1) }));
  expect(sinks.pValue).toBeCloseTo(0.00125832, 8);
  expect([sinks.count, sinks.value]).toEqual([8, expect.closeTo(0.45, 9)]);
  // A line through eight points: slope 0.0471429, t = 3.96317 at 6 degrees of freedom.
  const rms = [0.5, 0.69, 0.64, 0.83, 0.78, 0.73, 0.92, 0.87];
  expect(found('longer', (i) => ({ s: 2 + i, rms: rms[i]! })).pValue).toBeCloseTo(0.00742474, 7);
});

describe('shots in turn', () => {
  test('A B B A: who tires, tires with both', () => {
    const topic = aimTopic('setUps')!;
    expect(Array.from({ length: 8 }, (_, i) => nextWay(topic, i)).join('')).toBe('abbaabba');
    expect(nextWay(aimTopic('shots')!, 3)).toBe('shot');
    expect(aimTopic('weather')).toBeNull();
    for (const { id, ways } of AIM_TOPICS)
      expect([id, ways.length]).toEqual([id, id === 'shots' ? 1 : 2]);
  });
  test('what is left out, or shows no hold, does not count', () => {
    const shot = (changes: Partial<AimShot>): AimShot => ({
      id: 1,
      at: '',
      who: '',
      topic: 'shots',
      way: 'shot',
      device: null,
      leftOut: '',
      result: trace(),
      refused: null,
      path: [],
      ...changes,
    });
    const shots = [
      shot({}),
      shot({ leftOut: 'a gust' }),
      shot({ result: null }),
      shot({ topic: 'open' }),
    ];
    expect(countedShots(shots, 'shots')).toHaveLength(1);
  });
  test('a path is small, its ends kept, whole numbers', () => {
    const samples = Array.from({ length: 12_000 }, (_, i) => ({
      tS: i / 200,
      rightMrad: Math.sin(i),
      upMrad: -i / 1000,
    }));
    const path = pathOf(samples);
    expect(path.length).toBeLessThanOrEqual(141);
    expect(path[0]).toEqual([0, 0, 0]);
    // The last moment is the release: 59.995 s, 11.999 mrad under where it began.
    expect(path.at(-1)).toEqual([59_995, Math.round(1000 * Math.sin(11_999)), -11_999]);
    const apart = path.slice(1).map(([t], i) => t - path[i]![0]);
    expect(Math.max(...apart) - Math.min(...apart)).toBeLessThanOrEqual(5);
    expect(pathOf(samples.slice(0, 1))).toEqual([[0, 0, 0]]);
    expect(pathOf([])).toEqual([]);
    expect(path.flat().every(Number.isInteger)).toBe(true);
    expect(pathOf(samples.slice(0, 3))).toHaveLength(3);
  });
});
