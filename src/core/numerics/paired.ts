import { inverse } from './linear';
import { normal, type Random } from './random';

/** `first` was preferred to `second` with this much of the vote: 1, 0.5 for "alike", 0. */
export interface PairedVote {
  readonly first: number;
  readonly second: number;
  readonly share: number;
  /** How much it counts; above 0. */
  readonly weight: number;
}

interface PairedRanking {
  /** Log strengths, summing to about 0; index as the items'. */
  readonly strength: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** False when Newton's steps had not settled; the strengths are then not to be used. */
  readonly converged: boolean;
}

const STRENGTH_SD = 1.2;
const MOST_STEPS = 60;

/**
 * Bradley–Terry strengths from votes by pairs (Bradley and Terry, Biometrika 39, 1952), with a
 * normal prior of sd 1.2 on each log strength: unbeaten items stay finite, untried ones uncertain.
 * Mode by Newton's method, covariance by Laplace's approximation.
 *
 * @param count number of items, at least 1; votes name them 0 … count − 1.
 */
export function pairedRanking(count: number, votes: readonly PairedVote[]): PairedRanking {
  const strength = new Array<number>(count).fill(0);
  const prior = 1 / STRENGTH_SD ** 2;
  let covariance: number[][] = [];
  let converged = false;
  for (let step = 0; step < MOST_STEPS && !converged; step++) {
    const gradient = strength.map((s) => -prior * s);
    const precision = strength.map((_, i) => strength.map((__, j) => (i === j ? prior : 0)));
    for (const { first, second, share, weight } of votes) {
      const p = 1 / (1 + Math.exp(strength[second]! - strength[first]!));
      const pull = weight * (share - p);
      gradient[first]! += pull;
      gradient[second]! -= pull;
      const bend = weight * p * (1 - p);
      precision[first]![first]! += bend;
      precision[second]![second]! += bend;
      precision[first]![second]! -= bend;
      precision[second]![first]! -= bend;
    }
    // Positive definite: the prior stands on the diagonal, so the inverse exists.
    covariance = inverse(precision)!;
    const move = covariance.map((row) => row.reduce((sum, c, j) => sum + c * gradient[j]!, 0));
    move.forEach((by, i) => (strength[i]! += by));
    converged = Math.max(...move.map(Math.abs)) < 1e-10;
  }
  return { strength, covariance, converged };
}

/**
 * How likely each item is the strongest: share of `draws` samples of the strengths.
 *
 * @returns one probability per item, summing to 1.
 */
export function chanceOfBest(
  { strength, covariance }: PairedRanking,
  random: Random,
  draws = 4000,
): number[] {
  const root = cholesky(covariance);
  const wins = new Array<number>(strength.length).fill(0);
  for (let draw = 0; draw < draws; draw++) {
    const z = strength.map(() => normal(random));
    const sample = strength.map(
      (s, i) => s + root[i]!.reduce((sum, value, j) => sum + value * z[j]!, 0),
    );
    wins[sample.indexOf(Math.max(...sample))]!++;
  }
  return wins.map((n) => n / draws);
}

/** Lower triangular root of a positive definite matrix. */
function cholesky(matrix: readonly (readonly number[])[]): number[][] {
  const root = matrix.map((row) => row.map(() => 0));
  for (let i = 0; i < matrix.length; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!;
      for (let k = 0; k < j; k++) sum -= root[i]![k]! * root[j]![k]!;
      root[i]![j] = i === j ? Math.sqrt(Math.max(0, sum)) : sum / root[j]![j]!;
    }
  }
  return root;
}
