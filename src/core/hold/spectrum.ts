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
  const [re1, im1, re2, im2] = [0, 0, 0, 0].map(() => new Float64Array(COUNT)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < n; i++) {
    const window = 0.5 * (1 - Math.cos((2 * Math.PI * i) / (n - 1)));
    const [a, b] = [window * first[i]!, window * second[i]!];
    const turn = -2 * Math.PI * times[i]!;
    let [cos, sin] = [Math.cos(turn * SLOWEST_HZ), Math.sin(turn * SLOWEST_HZ)];
    const [stepCos, stepSin] = [Math.cos(turn * STEP_HZ), Math.sin(turn * STEP_HZ)];
    for (let k = 0; k < COUNT; k++) {
      re1[k]! += a * cos;
      im1[k]! += a * sin;
      re2[k]! += b * cos;
      im2[k]! += b * sin;
      const next = cos * stepCos - sin * stepSin;
      sin = cos * stepSin + sin * stepCos;
      cos = next;
    }
  }
  let [best, most] = [0, -1];
  for (let k = 0; k < COUNT; k++) {
    const power = re1[k]! ** 2 + im1[k]! ** 2 + re2[k]! ** 2 + im2[k]! ** 2;
    if (power > most) [best, most] = [k, power];
  }
  return (10 + best) / 20;
}
