import { apart } from './apart';

const edges = (middles: readonly number[], sizes: readonly number[]) =>
  middles.map((middle, i) => [middle - sizes[i]! / 2, middle + sizes[i]! / 2] as const);

describe('things moved apart', () => {
  test('what has room stays where it is wanted', () =>
    expect(apart([10, 30, 60], [10, 10, 10], 0, 100)).toEqual([10, 30, 60]));
  test('two on one place stand to both sides of it', () =>
    expect(apart([50, 50], [10, 20], 0, 100)).toEqual([42.5, 57.5]));
  test('none leaves the room, none lies on another', () => {
    const sizes = [12, 8, 20, 8, 12];
    const middles = apart([1, 2, 3, 99, 99.5], sizes, 0, 100);
    const all = edges(middles, sizes);
    expect(all[0]![0]).toBeGreaterThanOrEqual(-1e-9);
    expect(all.at(-1)![1]).toBeLessThanOrEqual(100 + 1e-9);
    all.slice(1).forEach(([from], i) => expect(from).toBeGreaterThanOrEqual(all[i]![1] - 1e-9));
  });
  test('too many are set closer, all alike', () => {
    const middles = apart([50, 50, 50, 50], [50, 50, 50, 50], 0, 100);
    expect(middles).toEqual([12.5, 37.5, 62.5, 87.5]);
  });
  test('nothing stays nothing', () => expect(apart([], [], 0, 10)).toEqual([]));
  test('no other order-keeping places are nearer: held against many random ones', () => {
    const sizes = [10, 10, 10];
    const wanted = [20, 22, 23];
    const found = apart(wanted, sizes, 0, 100);
    const cost = (places: readonly number[]) =>
      places.reduce((sum, place, i) => sum + (place - wanted[i]!) ** 2, 0);
    let least = Infinity;
    for (let a = 0; a <= 40; a += 0.5)
      for (let b = a + 10; b <= 60; b += 0.5)
        for (let c = b + 10; c <= 80; c += 0.5) least = Math.min(least, cost([a, b, c]));
    expect(cost(found)).toBeLessThanOrEqual(least + 1e-9);
  });
});
