import { seeded } from '../numerics';
import { milliradian, second } from '../units';
import { dominantHz, holdCompare, holdTrace, type AimSample } from '.';

const sample = (t: number, right: number, up: number): AimSample => ({
  tS: second(t),
  rightMrad: milliradian(right),
  upMrad: milliradian(up),
});
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Comes on from a side for a second, holds, leaves: what is seen is what is put in. */
function shot({
  holdS = 4,
  radius = 0.3,
  from = [30, 0],
  leaves = [0, 12],
  rate = 100,
  seed = 1,
} = {}) {
  const random = seeded(seed);
  const samples: AimSample[] = [];
  const release = 1 + holdS;
  for (let i = 0; i <= (release + 0.6) * rate; i++) {
    const t = i / rate;
    const [x, y] = [normal(random) * radius * Math.SQRT1_2, normal(random) * radius * Math.SQRT1_2];
    if (t < 1) samples.push(sample(t, from[0]! * (1 - t) + x, from[1]! * (1 - t) + y));
    else if (t <= release + 1e-9) samples.push(sample(t, x, y));
    else {
      const after = Math.min(1, (t - release) / 0.05);
      samples.push(sample(t, leaves[0]! * after, leaves[1]! * after));
    }
  }
  return { samples, release };
}
const read = (samples: readonly AimSample[], releaseS?: number) => {
  const found = holdTrace({ samples, ...(releaseS ? { releaseS: second(releaseS) } : {}) });
  if (!found.ok) throw new Error(`${found.reason}: ${found.message}`);
  return found;
};

describe('one shot', () => {
  test('its hold, radius, sides are those it was made with', () => {
    const { samples, release } = shot({ leaves: [0, 60] });
    const { hold, approach, followThrough, releaseS } = read(samples);
    expect(Math.abs(releaseS - release)).toBeLessThan(0.03);
    expect(Math.abs(hold.durationS - 4)).toBeLessThan(0.15);
    expect(hold.rmsMrad).toBeGreaterThan(0.27);
    expect(hold.rmsMrad).toBeLessThan(0.33);
    expect(Math.abs(approach.fromDeg)).toBeLessThan(3);
    expect(followThrough!.leavesDeg).toBeCloseTo(90, -1);
    expect(Math.abs(hold.sidewaysShare - 0.5)).toBeLessThan(0.1);
  });
  test('a drift is told from wander, and taken out', () => {
    const { samples, release } = shot({ radius: 0.1 });
    const drifting = samples.map(({ tS, rightMrad, upMrad }) =>
      sample(
        tS,
        rightMrad + (tS > 1 && tS <= release ? 0.2 * (tS - 1) : tS > release ? 0.8 : 0),
        upMrad,
      ),
    );
    const { hold } = read(drifting, release);
    expect(hold.driftMradS.right).toBeCloseTo(0.2, 1);
    expect(hold.rmsWithoutDriftMrad).toBeLessThan(0.12);
    expect(hold.rmsMrad).toBeGreaterThan(0.13);
  });
  test('mirrored, everything is mirrored', () => {
    const { samples, release } = shot({ from: [20, 15], seed: 3 });
    const [a, b] = [
      samples,
      samples.map(({ tS, rightMrad, upMrad }) => sample(tS, -rightMrad, upMrad)),
    ].map((one) => read(one, release)) as [ReturnType<typeof read>, ReturnType<typeof read>];
    expect(b.hold.rmsMrad).toBeCloseTo(a.hold.rmsMrad, 9);
    expect(b.hold.ellipse.tiltDeg).toBeCloseTo(-a.hold.ellipse.tiltDeg, 6);
    expect(b.approach.fromDeg).toBeCloseTo(180 - a.approach.fromDeg, 6);
  });
  test('an ellipse three times as wide as high lies flat; upright it stands', () => {
    const wide = (swap: boolean) => {
      const random = seeded(9);
      const samples = Array.from({ length: 301 }, (_, i) => {
        const [a, b] = [0.9 * normal(random), 0.3 * normal(random)];
        return sample(i / 100, swap ? b : a, swap ? a : b);
      });
      return read(samples, 3).hold.ellipse;
    };
    expect(wide(false).semiMajorMrad / wide(false).semiMinorMrad).toBeCloseTo(3, 0);
    expect(Math.abs(wide(false).tiltDeg)).toBeLessThan(6);
    expect(Math.abs(Math.abs(wide(true).tiltDeg) - 90)).toBeLessThan(6);
  });

  const { samples, release } = shot();
  const many = (count: number, step: number) =>
    Array.from({ length: count }, (_, i) => sample(i * step, Math.sin(i), Math.cos(i)));
  test.each<[string, readonly AimSample[], number | undefined, string]>([
    ['ten samples', many(10, 0.01), 0.09, 'too-few-samples'],
    ['ten samples a second', many(60, 0.1), 5, 'too-few-samples'],
    ['twice the same time', [samples[0]!, samples[0]!, ...samples.slice(1)], release, 'time-order'],
    ['time running back', [...samples].reverse(), release, 'time-order'],
    ['a hole in the hold', samples.filter(({ tS }) => tS < 2 || tS > 2.4), release, 'gap-in-hold'],
    [
      'a sensor that stopped before the release',
      samples.filter(({ tS }) => tS < 4.6),
      5,
      'gap-in-hold',
    ],
    ['no release to be seen', samples.filter(({ tS }) => tS < 4), undefined, 'no-release'],
    [
      'an aim that jumped three tenths of a second before',
      Array.from({ length: 500 }, (_, i) =>
        sample(i / 100, i === 470 ? 20 : Math.sin(i) / 10, Math.cos(i) / 10),
      ),
      4.99,
      'no-hold',
    ],
  ])('%s is refused with the reason', (_, given, at, reason) => {
    const found = holdTrace({
      samples: given,
      ...(at === undefined ? {} : { releaseS: second(at) }),
    });
    expect(found).toMatchObject({ ok: false, reason });
  });
});

describe('the strongest frequency', () => {
  test.each([0.7, 2.5, 9, 14.05])('of a tremble of %f Hz', (hz) => {
    const times = Array.from({ length: 800 }, (_, i) => i / 200);
    const wave = times.map((t) => Math.sin(2 * Math.PI * hz * t));
    const noise = times.map(() => 0);
    expect(Math.abs(dominantHz(times, noise, wave) - hz)).toBeLessThan(0.1);
    expect(Math.abs(dominantHz(times, wave, noise) - hz)).toBeLessThan(0.1);
  });
});

describe('two set-ups', () => {
  test('three shots each, all of one stiller: one way of twenty, both sides two', () => {
    const found = holdCompare({ a: [1, 1.1, 1.2], b: [0.5, 0.6, 0.7] });
    expect(found).toMatchObject({ ok: true, pValue: 0.1, verdict: 'notShown' });
  });
  test('four each: two of seventy', () => {
    const found = holdCompare({ a: [1, 1.1, 1.2, 1.3], b: [0.5, 0.6, 0.7, 0.8] });
    expect(found).toMatchObject({ ok: true, pValue: 2 / 70, verdict: 'better' });
    expect(holdCompare({ b: [1, 1.1, 1.2, 1.3], a: [0.5, 0.6, 0.7, 0.8] })).toMatchObject({
      verdict: 'worse',
    });
  });
  test('Welch’s interval of equal sets is Student’s: 0.5 ± 2.776·s·√(2/3)', () => {
    const found = holdCompare({ a: [1, 1.1, 1.2], b: [0.5, 0.6, 0.7] });
    if (!found.ok) throw new Error(found.message);
    // s = 0.1 in both, four degrees of freedom.
    expect(found.interval95[0]).toBeCloseTo(-0.5 - 2.7764 * 0.1 * Math.sqrt(2 / 3), 3);
    expect(found.interval95[1]).toBeCloseTo(-0.5 + 2.7764 * 0.1 * Math.sqrt(2 / 3), 3);
    // 2·7.849·0.01/0.11² = 12.97.
    expect(found.shotsNeeded).toBe(13);
  });
  test('of two hundred pairs without a difference at most six of a hundred claim one', () => {
    const random = seeded(2026);
    const set = () => Array.from({ length: 8 }, () => Math.exp(0.25 * normal(random)));
    const claims = Array.from({ length: 200 }, () => holdCompare({ a: set(), b: set() })).filter(
      (found) => found.ok && found.verdict !== 'notShown',
    );
    expect(claims.length).toBeLessThanOrEqual(12);
    expect(claims.length).toBeGreaterThan(0);
  });
  test('a true difference of a third is found by twelve shots each, mostly', () => {
    const random = seeded(7);
    const set = (scale: number) =>
      Array.from({ length: 12 }, () => scale * Math.exp(0.2 * normal(random)));
    const found = Array.from({ length: 60 }, () => holdCompare({ a: set(1), b: set(0.67) })).filter(
      (one) => one.ok && one.verdict === 'better',
    );
    expect(found.length).toBeGreaterThan(50);
  });
  test('drawn instead of counted, the answer is the same each time and near the exact one', () => {
    const random = seeded(3);
    const set = (n: number) => Array.from({ length: n }, () => 1 + 0.2 * normal(random));
    // 17 choose 8 is 24,310: drawn.
    const [a, b] = [set(8), set(9)];
    const [one, two] = [holdCompare({ a, b }), holdCompare({ a, b })];
    expect(one).toEqual(two);
    if (!one.ok) throw new Error(one.message);
    const all = [...a, ...b];
    let [extreme, ways] = [0, 0];
    for (let bits = 0; bits < 1 << 17; bits++) {
      let [count, sum] = [0, 0];
      for (let i = 0; i < 17; i++) if (bits & (1 << i)) [count, sum] = [count + 1, sum + all[i]!];
      if (count !== 8) continue;
      ways++;
      const rest = all.reduce((total, value) => total + value, 0) - sum;
      if (Math.abs(rest / 9 - sum / 8) >= Math.abs(one.difference) - 1e-12) extreme++;
    }
    expect(Math.abs(one.pValue - extreme / ways)).toBeLessThan(0.015);
  });
  test.each([
    [{ a: [1], b: [1, 2] }, 'too-few-shots', 'a'],
    [{ a: [1, 2], b: [1] }, 'too-few-shots', 'b'],
    [{ a: [1, 1], b: [1, 1] }, 'all-alike', 'a'],
  ])('%j is refused', (input, reason, field) =>
    expect(holdCompare(input)).toMatchObject({ ok: false, reason, field }),
  );
});
