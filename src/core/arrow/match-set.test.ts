import { seeded } from '../numerics';
import { matchSet, SET_TOLERANCE_G } from '.';

describe('arrows that belong together', () => {
  test('the most within two grains, the strays left out by their place', () => {
    const answer = matchSet([24.5, 24.55, 24.9, 24.52, 24.1, 24.6]);
    expect(answer).toMatchObject({ ok: true, keep: [0, 1, 3, 5], leaveOut: [2, 4] });
    if (!answer.ok) return;
    expect(answer.spreadG).toBeCloseTo(0.8, 9);
    expect(answer.keptSpreadG).toBeCloseTo(0.1, 9);
    expect(answer.keptMeanG).toBeCloseTo(24.5425, 9);
  });
  test('a number wanted: those closest together, near the mean where two are equal', () => {
    const masses = [20, 20.1, 24, 24.1, 24.2, 28, 28.1];
    expect(matchSet(masses, { wanted: 2 })).toMatchObject({ keep: [2, 3] });
    expect(matchSet(masses, { wanted: 3 })).toMatchObject({ keep: [2, 3, 4] });
    expect(matchSet(masses, { wanted: 7 })).toMatchObject({ leaveOut: [] });
  });
  test('of arrows as heavy as each other those that were weighed first are kept', () => {
    expect(matchSet([25, 25, 25, 25], { wanted: 2 })).toMatchObject({ keep: [0, 1] });
    expect(matchSet([26, 25, 25, 24, 25], { wanted: 2 })).toMatchObject({ keep: [1, 2] });
  });
  test('exactly at the tolerance is within it', () => {
    expect(matchSet([24, 24 + SET_TOLERANCE_G])).toMatchObject({ leaveOut: [] });
    expect(matchSet([24, 24 + SET_TOLERANCE_G * 1.01])).toMatchObject({ keep: [0] });
  });
  test('every choice of a window is no better than the one found', () => {
    const masses = Array.from({ length: 9 }, (_, i) => 24 + Math.sin(i * 7.3) * 0.3);
    const found = matchSet(masses, { wanted: 5 });
    if (!found.ok) throw new Error(found.message);
    // Every five of nine, one after the other.
    for (let bits = 0; bits < 512; bits++) {
      const taken = masses.filter((_, i) => bits & (1 << i));
      if (taken.length !== 5) continue;
      expect(Math.max(...taken) - Math.min(...taken)).toBeGreaterThanOrEqual(
        found.keptSpreadG - 1e-12,
      );
    }
  });
  test.each([
    [[24], undefined, 'too-few'],
    [[24, 0], undefined, 'no-mass'],
    [[24, Number.NaN], undefined, 'no-mass'],
    [[24, 25], 3, 'too-many'],
    [[24, 25], 0, 'too-many'],
  ])('%j, %p wanted, is refused: %s', (masses, wanted, reason) =>
    expect(matchSet(masses, wanted === undefined ? {} : { wanted })).toMatchObject({ reason }),
  );
});

test('of every set the window that trying all of them finds', () => {
  const random = seeded(11);
  for (let trial = 0; trial < 300; trial++) {
    const n = 2 + Math.floor(random() * 8);
    // In steps of a twentieth: equals happen.
    const masses = Array.from({ length: n }, () => (480 + Math.floor(random() * 12)) / 20);
    const wanted = random() < 0.5 ? undefined : 1 + Math.floor(random() * n);
    const answer = matchSet(masses, wanted === undefined ? {} : { wanted });
    if (!answer.ok) throw new Error(answer.message);
    const mean = masses.reduce((a, b) => a + b) / n;
    const sorted = masses
      .map((mass, i) => ({ mass, i }))
      .sort((a, b) => a.mass - b.mass || a.i - b.i);
    const windows = sorted.flatMap((_, from) =>
      sorted.slice(from).map((__, more) => sorted.slice(from, from + more + 1)),
    );
    const spread = (all: typeof sorted) => all.at(-1)!.mass - all[0]!.mass;
    const off = (all: typeof sorted) => Math.abs((all[0]!.mass + all.at(-1)!.mass) / 2 - mean);
    const allowed = windows.filter((all) =>
      wanted === undefined ? spread(all) <= SET_TOLERANCE_G + 1e-9 : all.length === wanted,
    );
    const size = Math.max(...allowed.map((all) => all.length));
    const largest = allowed.filter((all) => all.length === size);
    const least = Math.min(...largest.map(spread));
    const tightest = largest.filter((all) => spread(all) < least + 1e-9);
    const nearest = Math.min(...tightest.map(off));
    const kept = answer.keep.map((i) => masses[i]!);
    expect(kept).toHaveLength(size);
    expect(Math.max(...kept) - Math.min(...kept)).toBeCloseTo(least, 9);
    expect(Math.abs((Math.max(...kept) + Math.min(...kept)) / 2 - mean)).toBeCloseTo(nearest, 9);
    expect(answer.keptMeanG).toBeCloseTo(kept.reduce((a, b) => a + b) / size, 9);
  }
});
