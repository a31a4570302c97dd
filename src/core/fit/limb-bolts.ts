import {
  bayesianLeastSquares,
  bracketedRoot,
  chiSquareTail,
  inverse,
  times,
  dot,
  type BayesianFit,
} from '../numerics';
import { answered, refused, type Outcome } from '../outcome';
import { newton, turns as asTurns, type Newton, type Turns } from '../units';

/** σ of one reading of the bow scale. */
export const SCALE_SIGMA_N = 2.2;
/** Never more than this at one limb before going to the other. */
const MAX_TURNS_AT_ONCE = 2;

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

/** What is asked about before weighings are gone on from. */
export interface LimbBoltDoubt {
  /** `gain`: heavier by turning out. `apart`: they contradict each other. `bow`: no such bow. */
  readonly kind: 'gain' | 'apart' | 'bow';
  /** Indices of the weighings it rests on. */
  readonly readings: readonly number[];
  /** Chance of readings so far from what such a bow does (χ²). */
  readonly pValue: number;
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
  /** Weighings that contradict each other or the bow; null where they go together. */
  readonly doubt: LimbBoltDoubt | null;
  readonly plan: readonly TurnMove[];
}

/**
 * Peak weight against limb-bolt turns, W(t) = w0 − b·t + c·t², learned from bow-scale readings
 * by linear Bayesian least squares (docs/models.md section 3). Priors are a shop rule: catalogue
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
    doubt: doubtOf(input),
  });
}

/** Under this chance weighings are asked about. Shop rule. */
const DOUBT_P = 0.01;

/**
 * Whether the weighings go with each other and with the bow: χ² of their distance from what the
 * prior lets expect, with its covariance XΣXᵀ + σ². A gain by turning out is named first, then two
 * that contradict each other, then what no such bow weighs.
 */
function doubtOf(input: LimbBoltInput): LimbBoltDoubt | null {
  const { readings } = input;
  const gain = heavierFurtherOut(readings);
  const pValue = misfit(
    input,
    readings.map((_, i) => i),
  );
  if (gain) return { kind: 'gain', readings: gain, pValue };
  if (pValue >= DOUBT_P) return null;
  const alone = readings.findIndex((_, i) => misfit(input, [i]) < DOUBT_P);
  return alone >= 0
    ? { kind: 'bow', readings: [alone], pValue }
    : { kind: 'apart', readings: readings.map((_, i) => i), pValue };
}

/** Two weighings of which the one further out is the heavier by more than the scale scatters. */
function heavierFurtherOut(readings: readonly LimbBoltReading[]): readonly number[] | null {
  for (const [i, inner] of readings.entries())
    for (const [k, outer] of readings.entries())
      if (
        outer.turns > inner.turns + 0.2 &&
        outer.peakN - inner.peakN > 2 * Math.SQRT2 * SCALE_SIGMA_N
      )
        return i < k ? [i, k] : [k, i];
  return null;
}

function misfit(input: LimbBoltInput, which: readonly number[]): number {
  if (which.length === 0) return 1;
  const prior = priorOf(input);
  const rows = which.map((i) => input.readings[i]!);
  const x = rows.map(({ turns }) => [1, -turns, turns * turns]);
  const off = rows.map(
    ({ peakN }, i) =>
      peakN -
      dot(
        x[i]!,
        prior.map(({ mean }) => mean),
      ),
  );
  const covariance = x.map((a, i) =>
    x.map(
      (b, k) =>
        a.reduce((sum, value, j) => sum + value * b[j]! * prior[j]!.sd ** 2, 0) +
        (i === k ? SCALE_SIGMA_N ** 2 : 0),
    ),
  );
  // Positive definite by the scale's own variance on the diagonal.
  return chiSquareTail(dot(off, times(inverse(covariance)!, off)), which.length);
}

function priorOf({ maxPeakN, minPeakN, maxTurns }: LimbBoltInput) {
  const perTurn = (maxPeakN - minPeakN) / maxTurns;
  return [
    { mean: maxPeakN, sd: 0.05 * maxPeakN },
    { mean: perTurn, sd: 0.35 * perTurn },
    { mean: 0, sd: 0.01 * perTurn },
  ];
}

function learn(input: LimbBoltInput): BayesianFit {
  return bayesianLeastSquares(
    priorOf(input),
    input.readings.map((r) => ({ x: [1, -r.turns, r.turns * r.turns], y: r.peakN })),
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
