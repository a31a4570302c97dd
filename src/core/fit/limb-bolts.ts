import { bayesianLeastSquares, bracketedRoot, type BayesianFit } from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { newton, turns as asTurns, type Newton, type Turns } from '../units';

/** σ of one reading of the bow scale. */
export const SCALE_SIGMA_N = 2.2;
/** Never more than this at one limb before going to the other. */
export const MAX_TURNS_AT_ONCE = 2;

export interface LimbBoltReading {
  /** Turns out from fully in, the same on both limbs. */
  readonly turns: Turns;
  readonly peakN: Newton;
}

export interface LimbBoltInput {
  readonly maxPeakN: Newton;
  readonly minPeakN: Newton;
  /** Hard limit of the bow, turns out from fully in. */
  readonly maxTurns: Turns;
  readonly readings: readonly LimbBoltReading[];
  readonly targetN: Newton;
}

export interface TurnMove {
  readonly limb: 'upper' | 'lower';
  /** Positive is out (lighter). */
  readonly turns: Turns;
}

export interface LimbBoltResult {
  /** Turns out from fully in at which the target is met, or nearest it. */
  readonly turns: Turns;
  readonly predictedN: Newton;
  /** σ of the predicted weight, without the scale's own scatter. */
  readonly sigmaN: Newton;
  readonly peakAtZeroN: Newton;
  readonly perTurnN: Newton;
  readonly curveN: Newton;
  /** False when the limit or the factory setting is met before the target. */
  readonly reachesTarget: boolean;
  readonly plan: readonly TurnMove[];
}

/**
 * Peak weight against limb-bolt turns, W(t) = w0 − b·t + c·t², learned from bow-scale readings
 * by linear Bayesian least squares (models.md section 3). Priors are a shop rule: catalogue
 * maximum ± 5 %, even loss over the turns ± 35 %, little curvature.
 *
 * @returns the turns in [0, maxTurns] whose predicted weight is nearest the target, or a refusal
 *   for a bow without a usable range or a reading past its limit.
 */
export function limbBolts(input: LimbBoltInput): Outcome<LimbBoltResult> {
  const { maxPeakN, minPeakN, maxTurns, readings, targetN } = input;
  if (minPeakN >= maxPeakN) {
    return refused('empty-range', 'The bow’s lowest weight must be below its highest.', 'minPeakN');
  }
  const past = readings.findIndex((reading) => reading.turns > maxTurns);
  if (past >= 0) {
    return refused(
      'past-turn-limit',
      `A reading at ${readings[past]!.turns} turns is past this bow's limit of ${maxTurns}: ` +
        'the limb can leave its pocket under load. Turn the bolts back in before anything else.',
      `readings/${past}/turns`,
    );
  }
  const fit = learn(input);
  const weight = (t: number) => fit.mean[0]! - fit.mean[1]! * t + fit.mean[2]! * t * t;
  const t = nearestTurns(weight, targetN, maxTurns);
  const at = [1, -t, t * t];
  const variance = at.reduce(
    (sum, x, i) => sum + x * at.reduce((row, y, j) => row + y * fit.covariance[i]![j]!, 0),
    0,
  );
  const from = readings.at(-1)?.turns ?? asTurns(0);
  return answered({
    turns: asTurns(t),
    predictedN: newton(weight(t)),
    sigmaN: newton(Math.sqrt(variance)),
    peakAtZeroN: newton(fit.mean[0]!),
    perTurnN: newton(fit.mean[1]!),
    curveN: newton(fit.mean[2]!),
    reachesTarget: Math.abs(weight(t) - targetN) < SCALE_SIGMA_N,
    plan: turningPlan(from, asTurns(t)),
  });
}

function learn({ maxPeakN, minPeakN, maxTurns, readings }: LimbBoltInput): BayesianFit {
  const perTurn = (maxPeakN - minPeakN) / maxTurns;
  return bayesianLeastSquares(
    [
      { mean: maxPeakN, sd: 0.05 * maxPeakN },
      { mean: perTurn, sd: 0.35 * perTurn },
      { mean: 0, sd: 0.01 * perTurn },
    ],
    readings.map((r) => ({ x: [1, -r.turns, r.turns * r.turns], y: r.peakN })),
    SCALE_SIGMA_N,
  );
}

/** The turns in [0, max] with the weight nearest the target; the curve falls over the range. */
function nearestTurns(weight: (t: number) => number, target: number, max: number): number {
  const miss = (t: number) => weight(t) - target;
  const root = bracketedRoot(miss, 0, max, 1e-9);
  return root.converged ? root.x : Math.abs(miss(0)) <= Math.abs(miss(max)) ? 0 : max;
}

/** Quarter turns: what a key at 12, 3, 6 and 9 o'clock can count. */
export const toQuarterTurns = (t: number) => asTurns(Math.round(t * 4) / 4);

/**
 * Alternately upper and lower, at most two turns at a time, both equal at every pause.
 * Ends on the exact difference; positive is out.
 */
export function turningPlan(from: Turns, to: Turns): TurnMove[] {
  const moves: TurnMove[] = [];
  let left = to - from;
  while (Math.abs(left) > 1e-9) {
    const step = asTurns(Math.sign(left) * Math.min(MAX_TURNS_AT_ONCE, Math.abs(left)));
    moves.push({ limb: 'upper', turns: step }, { limb: 'lower', turns: step });
    left -= step;
  }
  return moves;
}
