import { mean, sampleSd, seeded, studentQuantile } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';

export interface HoldCompareInput {
  /** RMS of each shot with the first set-up, mrad. */
  readonly a: readonly number[];
  /** With the second. */
  readonly b: readonly number[];
  /** What one hopes to see, as a part of the first’s mean; 0.1 where it is not said. */
  readonly hopedPart?: number;
}

interface HoldCompare {
  readonly meanA: number;
  readonly meanB: number;
  /** Of b to a: less is stiller. */
  readonly difference: number;
  /** Two-sided: how often chance alone would divide these shots so unevenly. */
  readonly pValue: number;
  readonly interval95: readonly [low: number, high: number];
  /** Shots with each set-up that would show the hoped part in four cases of five. */
  readonly shotsNeeded: number;
  readonly verdict: 'better' | 'worse' | 'notShown';
}

const LEAST_SHOTS = 2;
const SURE = 0.05;
/** More ways to divide the shots than these are drawn from instead of counted. */
const MOST_COUNTED = 20_000;
const DRAWN = 10_000;
const SEED = 20_261;
/** Quantiles of the normal distribution: 5 % two-sided, and 80 % power. */
const Z = 1.95996 + 0.84162;
/** Sums added in another order may differ by so much. */
const ROUNDING = 1e-12;

/**
 * Whether an archer holds stiller with one set-up than with another: a permutation test of the difference of
 * means (Fisher, *The Design of Experiments*, 1935; Pitman 1937), Welch’s interval (*Biometrika* 34, 1947),
 * and how many shots would show a hoped difference (docs/models.md section 10).
 *
 * @returns refused under two shots with either, and where all shots are the same.
 */
export function holdCompare({ a, b, hopedPart = 0.1 }: HoldCompareInput): Outcome<HoldCompare> {
  if (a.length < LEAST_SHOTS || b.length < LEAST_SHOTS)
    return refused(
      'too-few-shots',
      'Two shots with each set-up are the least; eight with each show a clear difference.',
      a.length < LEAST_SHOTS ? 'a' : 'b',
    );
  const [meanA, meanB] = [mean(a), mean(b)];
  const [varA, varB] = [sampleSd(a)! ** 2, sampleSd(b)! ** 2];
  if (varA + varB === 0)
    return refused(
      'all-alike',
      'Every shot of a set-up has the same figure: nobody holds so.',
      'a',
    );
  const difference = meanB - meanA;
  const pValue = permutationP(a, b, difference);
  const [perA, perB] = [varA / a.length, varB / b.length];
  const degrees = (perA + perB) ** 2 / (perA ** 2 / (a.length - 1) + perB ** 2 / (b.length - 1));
  const half = studentQuantile(SURE, degrees) * Math.sqrt(perA + perB);
  const pooled = ((a.length - 1) * varA + (b.length - 1) * varB) / (a.length + b.length - 2);
  const hoped = hopedPart * meanA;
  return answered({
    meanA,
    meanB,
    difference,
    pValue,
    interval95: [difference - half, difference + half] as const,
    shotsNeeded: Math.ceil((2 * Z ** 2 * pooled) / hoped ** 2),
    verdict:
      pValue < SURE ? (difference < 0 ? ('better' as const) : ('worse' as const)) : 'notShown',
  });
}

/** Part of all ways to divide the shots that differ at least as much as they did. */
function permutationP(a: readonly number[], b: readonly number[], difference: number): number {
  const all = [...a, ...b];
  const total = all.reduce((sum, value) => sum + value, 0);
  const enough = Math.abs(difference) - ROUNDING * Math.abs(total);
  const isExtreme = (sumA: number) =>
    Math.abs((total - sumA) / b.length - sumA / a.length) >= enough;
  const ways = countOfWays(all.length, a.length);
  if (ways <= MOST_COUNTED) {
    let extreme = 0;
    const choose = (from: number, left: number, sum: number): void => {
      if (left === 0) {
        if (isExtreme(sum)) extreme++;
        return;
      }
      for (let i = from; i <= all.length - left; i++) choose(i + 1, left - 1, sum + all[i]!);
    };
    choose(0, a.length, 0);
    return extreme / ways;
  }
  const random = seeded(SEED);
  // The shots as they were shot are one of the ways.
  let extreme = 1;
  for (let draw = 0; draw < DRAWN; draw++) {
    let sum = 0;
    for (let i = 0; i < a.length; i++) {
      const j = i + Math.floor(random() * (all.length - i));
      [all[i], all[j]] = [all[j]!, all[i]!];
      sum += all[i]!;
    }
    if (isExtreme(sum)) extreme++;
  }
  return extreme / (DRAWN + 1);
}

/** Ways to choose k of n; above what is counted it need not be exact. */
function countOfWays(n: number, k: number): number {
  let ways = 1;
  for (let i = 1; i <= Math.min(k, n - k); i++) ways = (ways * (n - i + 1)) / i;
  return Math.round(ways);
}
