/** Frequencies looked for, Hz: a tremble is slower than 15, and what is slower than 0.5 is wander. */
const SLOWEST_HZ = 0.5;
const STEP_HZ = 0.05;
const COUNT = 291;

/**
 * The frequency of most power in two signals together, over a Hann window, on the grid 0.5, 0.55 … 15 Hz
 * (docs/models.md section 10; the window: Harris, *Proceedings of the IEEE* 66, 1978).
 *
 * The terms of one sample on an even grid are a geometric row, so each costs one multiplication.
 *
 * @param times seconds, two or more; the signals as long as they.
 */
export function dominantHz(
  times: ArrayLike<number>,
  first: ArrayLike<number>,
  second: ArrayLike<number>,
): number {
  const n = times.length;
  // Real and imaginary sums of both, side by side for each frequency.
  const sums = new Float64Array(4 * COUNT);
  const window = (i: number) => 0.5 * (1 - Math.cos((2 * Math.PI * i) / (n - 1)));
  // Two samples at a time: the sums are fetched and put back half as often. The last may stand alone.
  for (let i = 0; i < n; i += 2) {
    const j = Math.min(i + 1, n - 1);
    const [w1, w2] = [window(i), i + 1 < n ? window(j) : 0];
    const [a1, b1, a2, b2] = [w1 * first[i]!, w1 * second[i]!, w2 * first[j]!, w2 * second[j]!];
    const [turn1, turn2] = [-2 * Math.PI * times[i]!, -2 * Math.PI * times[j]!];
    let [c1, s1] = [Math.cos(turn1 * SLOWEST_HZ), Math.sin(turn1 * SLOWEST_HZ)];
    let [c2, s2] = [Math.cos(turn2 * SLOWEST_HZ), Math.sin(turn2 * SLOWEST_HZ)];
    const [stepC1, stepS1] = [Math.cos(turn1 * STEP_HZ), Math.sin(turn1 * STEP_HZ)];
    const [stepC2, stepS2] = [Math.cos(turn2 * STEP_HZ), Math.sin(turn2 * STEP_HZ)];
    for (let k = 0; k < 4 * COUNT; k += 4) {
      sums[k]! += a1 * c1 + a2 * c2;
      sums[k + 1]! += a1 * s1 + a2 * s2;
      sums[k + 2]! += b1 * c1 + b2 * c2;
      sums[k + 3]! += b1 * s1 + b2 * s2;
      const next1 = c1 * stepC1 - s1 * stepS1;
      s1 = c1 * stepS1 + s1 * stepC1;
      c1 = next1;
      const next2 = c2 * stepC2 - s2 * stepS2;
      s2 = c2 * stepS2 + s2 * stepC2;
      c2 = next2;
    }
  }
  let [best, most] = [0, -1];
  for (let k = 0; k < COUNT; k++) {
    const at = 4 * k;
    const power = sums[at]! ** 2 + sums[at + 1]! ** 2 + sums[at + 2]! ** 2 + sums[at + 3]! ** 2;
    if (power > most) [best, most] = [k, power];
  }
  return (10 + best) / 20;
}
