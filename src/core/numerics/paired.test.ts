import { areaUnder, chanceOfBest, normal, pairedRanking, seeded, seedOf, shuffled } from '.';

describe('seeded numbers', () => {
  test('the same seed gives the same stream, another seed another', () => {
    const three = (seed: number) => {
      const random = seeded(seed);
      return [random(), random(), random()];
    };
    expect(three(7)).toEqual(three(7));
    expect(three(7)).not.toEqual(three(8));
    expect(seedOf('a1')).not.toBe(seedOf('a2'));
  });
  test('uniform and normal have the moments they should', () => {
    const random = seeded(1);
    const n = 20000;
    const u = Array.from({ length: n }, () => random());
    expect(u.every((x) => x >= 0 && x < 1)).toBe(true);
    expect(u.reduce((a, b) => a + b) / n).toBeCloseTo(0.5, 2);
    const z = Array.from({ length: n }, () => normal(random));
    expect(z.reduce((a, b) => a + b) / n).toBeCloseTo(0, 1);
    expect(z.reduce((a, b) => a + b * b, 0) / n).toBeCloseTo(1, 1);
  });
  test('shuffling keeps every item, and every item comes last about as often', () => {
    const last = new Map<number, number>();
    for (let seed = 0; seed < 3000; seed++) {
      const order = shuffled([1, 2, 3], seeded(seed));
      expect([...order].sort()).toEqual([1, 2, 3]);
      last.set(order[2]!, (last.get(order[2]!) ?? 0) + 1);
    }
    for (const n of last.values()) expect(Math.abs(n - 1000)).toBeLessThan(120);
  });
});

describe('pairs', () => {
  const vote = (first: number, second: number, share = 1, weight = 1) => ({
    first,
    second,
    share,
    weight,
  });
  test('without votes all are alike and equally likely the best', () => {
    const ranking = pairedRanking(3, []);
    expect(ranking.strength).toEqual([0, 0, 0]);
    const chances = chanceOfBest(ranking, seeded(3));
    for (const chance of chances) expect(chance).toBeCloseTo(1 / 3, 1);
  });
  test('much evidence meets the plain Bradley–Terry share', () => {
    // 75 of 100 for the first: log odds ln 3 apart, the prior all but gone.
    const ranking = pairedRanking(2, [vote(0, 1, 1, 750), vote(0, 1, 0, 250)]);
    expect(ranking.converged).toBe(true);
    expect(ranking.strength[0]! - ranking.strength[1]!).toBeCloseTo(Math.log(3), 2);
  });
  test('unbeaten stays finite; votes in a chain order all three', () => {
    const ranking = pairedRanking(3, [vote(0, 1), vote(1, 2)]);
    expect(ranking.converged).toBe(true);
    expect(ranking.strength[0]!).toBeGreaterThan(ranking.strength[1]!);
    expect(ranking.strength[1]!).toBeGreaterThan(ranking.strength[2]!);
    expect(Math.max(...ranking.strength)).toBeLessThan(2);
    const chances = chanceOfBest(ranking, seeded(3));
    expect(chances.reduce((a, b) => a + b)).toBeCloseTo(1, 12);
    expect(chances[0]!).toBeGreaterThan(chances[2]!);
  });
});

describe('area under uneven points', () => {
  const points = (xs: number[], f: (x: number) => number) => xs.map((x) => ({ x, y: f(x) }));
  test('exact for a parabola, whatever the distances', () =>
    expect(areaUnder(points([0, 0.3, 1, 1.1, 2], (x) => x * x))).toBeCloseTo(8 / 3, 12));
  test('an odd interval is closed by a trapezoid', () => {
    expect(areaUnder(points([0, 1, 2, 3], (x) => 2 * x))).toBeCloseTo(9, 12);
    expect(areaUnder(points([0, 2], () => 5))).toBe(10);
  });
});
