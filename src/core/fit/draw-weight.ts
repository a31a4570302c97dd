import { newton, type Newton } from '../units';
import { PRIOR_LOG_SD } from './weight-prior';

/** How a trial on a shop bow went. */
export type TrialOutcome = 'smooth' | 'strained' | 'failed' | 'pain';

export interface WeightTrial {
  readonly peakN: Newton;
  readonly outcome: TrialOutcome;
}

export interface DrawWeightInput {
  /** Median of the prior over W50; see weight-prior.ts. */
  readonly priorMedianN: Newton;
  readonly trials: readonly WeightTrial[];
}

export interface DrawWeightResult {
  /** The weight drawn comfortably nine times in ten, by what is known now. */
  readonly startN: Newton;
  /** Posterior median of W50 and its central 80 % interval. */
  readonly w50: { readonly medianN: Newton; readonly lowN: Newton; readonly highN: Newton };
  readonly nextTrialN: Newton;
  /** Why the next trial stands where it does. */
  readonly nextTrialLimit: 'none' | 'stepAboveSmooth' | 'belowStrained' | 'belowFailed' | 'pain';
  /** Posterior density over W50, for drawing; sums to 1. */
  readonly grid: readonly { readonly weightN: Newton; readonly probability: number }[];
}

/** Logistic width of "comfortable" as a part of W50. */
const SLOPE = 0.08;
const WANTED_COMFORT = 0.9;
/** Next trial at most this far above the heaviest smooth one (5 lb). */
export const TRIAL_STEP_N = newton(22);
/** Of the weight that strained or failed, what is tried next at most. Shop rule. */
const UNDER_STRAIN = 0.95;
/** Of the weight that hurt, what may be tried on another day. Shop rule. */
const UNDER_PAIN = 0.8;
const GRID_POINTS = 240;

const comfortable = (weight: number, w50: number) =>
  1 / (1 + Math.exp((weight - w50) / (SLOPE * w50)));

/**
 * Start weight and next trial from a Bayesian grid over W50, the weight the archer draws
 * comfortably half the time (docs/models.md section 2; the prior is a shop rule).
 * Strained counts as "not comfortable" at half weight, pain like a failed one. The next trial never
 * exceeds one that strained, failed or hurt; after pain it is for another day.
 *
 * @param input prior median above 0; trials in the order made.
 */
export function drawWeight({ priorMedianN, trials }: DrawWeightInput): DrawWeightResult {
  const grid = posterior(priorMedianN, trials);
  const quantile = (q: number) => {
    let sum = 0;
    for (const point of grid) if ((sum += point.probability) >= q) return point.weightN;
    return grid.at(-1)!.weightN;
  };
  const medianN = quantile(0.5);
  return {
    startN: startWeight(grid),
    w50: { medianN, lowN: quantile(0.1), highN: quantile(0.9) },
    ...nextTrial(medianN, trials),
    grid,
  };
}

function posterior(medianN: Newton, trials: readonly WeightTrial[]) {
  // ±4 prior σ on a log scale: wide enough that trials cannot push the mass off the grid.
  const low = Math.log(medianN) - 4 * PRIOR_LOG_SD;
  const step = (8 * PRIOR_LOG_SD) / (GRID_POINTS - 1);
  const raw = Array.from({ length: GRID_POINTS }, (_, i) => {
    const logWeight = low + i * step;
    const z = (logWeight - Math.log(medianN)) / PRIOR_LOG_SD;
    const w50 = Math.exp(logWeight);
    const logLikelihood = trials.reduce((sum, trial) => sum + logEvidence(trial, w50), 0);
    return { weightN: newton(w50), log: -0.5 * z * z + logLikelihood };
  });
  const top = Math.max(...raw.map((point) => point.log));
  const total = raw.reduce((sum, point) => sum + Math.exp(point.log - top), 0);
  return raw.map(({ weightN, log }) => ({ weightN, probability: Math.exp(log - top) / total }));
}

function logEvidence({ peakN, outcome }: WeightTrial, w50: number): number {
  const p = comfortable(peakN, w50);
  switch (outcome) {
    case 'smooth':
      return Math.log(p);
    case 'strained':
      return 0.5 * Math.log(1 - p);
    case 'failed':
    case 'pain':
      return Math.log(1 - p);
  }
}

/** The weight whose posterior mean comfort is 0.90, by bisection: comfort falls with weight. */
function startWeight(grid: DrawWeightResult['grid']): Newton {
  const comfort = (weight: number) =>
    grid.reduce(
      (sum, { weightN, probability }) => sum + probability * comfortable(weight, weightN),
      0,
    );
  let [low, high] = [0, grid.at(-1)!.weightN as number];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (comfort(middle) > WANTED_COMFORT) low = middle;
    else high = middle;
  }
  return newton((low + high) / 2);
}

function nextTrial(medianN: Newton, trials: readonly WeightTrial[]) {
  const of = (outcome: TrialOutcome) =>
    trials.filter((trial) => trial.outcome === outcome).map((trial) => trial.peakN);
  const smooth = of('smooth');
  // "Never above": a little under the lightest of them, so that a rounded bow does not meet it.
  const bounds = (
    [
      ['belowStrained', of('strained'), UNDER_STRAIN],
      ['belowFailed', of('failed'), UNDER_STRAIN],
      ['pain', of('pain'), UNDER_PAIN],
    ] as const
  ).flatMap(([limit, weights, part]) =>
    weights.length > 0
      ? [{ limit, at: Math.min(...weights), most: Math.min(...weights) * part }]
      : [],
  );
  let nextTrialN: number = medianN;
  let nextTrialLimit: DrawWeightResult['nextTrialLimit'] = 'none';
  if (smooth.length > 0 && nextTrialN > Math.max(...smooth) + TRIAL_STEP_N) {
    nextTrialN = Math.max(...smooth) + TRIAL_STEP_N;
    nextTrialLimit = 'stepAboveSmooth';
  }
  for (const { limit, at, most } of bounds) {
    if (nextTrialN < (limit === 'pain' ? most : at)) continue;
    nextTrialN = most;
    nextTrialLimit = limit;
  }
  // Pain stops the trials whatever the number is.
  if (of('pain').length > 0) nextTrialLimit = 'pain';
  return { nextTrialN: newton(nextTrialN), nextTrialLimit };
}
