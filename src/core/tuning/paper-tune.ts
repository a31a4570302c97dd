import type { Hand } from '../bow';
import {
  ADJUSTMENTS,
  adjustmentRule,
  tried,
  type Adjustment,
  type PaperSchool,
  type TearAxis,
} from './adjustments';
import { CAUSES, type Cause } from './causes';
import { nothingAnswers, type NothingAnswers } from './nothing-answers';
import {
  FIRST_SCATTER_MM,
  paperResponse,
  type AxisResponse,
  type PaperEvent,
  type PaperResponse,
  type Tear,
} from './response';

/** A move is to bring the expected tear under 3 mm, with a little in hand for what is not known. */
const AIM_MM = 2.5;
/** A true tear under this is good enough to go on, mm. */
const GOOD_MM = 4;
/** Sure enough that it is. Shop rules. */
const SURE = 0.98;
const LIKELY = 0.6;
/** A bow is called unanswering by two papers of the last setting at least. */
const TWO_LOOKS = 2;
/** More shots at one setting tell little more. */
const MOST_SHOTS = 8;
/** A move that takes off less than this of the tear is not worth making, mm. */
const LEAST_MM = 0.5;
/** The school's first is passed over where another takes off this many times more … */
const MUCH_BETTER = 2;
/** … sooner once it was tried on this bow and its answer is known. */
const BETTER = 1.3;
/** An archer whose tears scatter this many times more than usual: no move is read from them. */
const WILD = 3;

export interface PaperAdvice {
  readonly adjustment: Adjustment;
  /** mm, or steps; + is right or up, eased for the cable guard. */
  readonly amount: number;
  readonly expected: Tear;
  /** 1σ of the expected tear along the axis that is moved. */
  readonly sigmaMm: number;
}

export interface PaperTuneResult {
  readonly state: 'tuned' | 'adjust' | 'shootMore' | 'checkCauses';
  readonly advice?: PaperAdvice;
  /** The next in the school's order that would serve, and where it would bring the tear. */
  readonly runnerUp?: PaperAdvice;
  readonly causes?: readonly Cause[];
  readonly why:
    'noShot' | 'unsure' | 'goodEnough' | 'tear' | 'unanswered' | 'wild' | 'spent' | 'tooLarge';
  readonly response: PaperResponse;
  /** Chance that the true tear is under 4 mm. */
  readonly chanceGood: number;
  readonly answers: NothingAnswers;
}

export interface PaperTuneInput {
  readonly hand: Hand;
  readonly school: PaperSchool;
  readonly history: readonly PaperEvent[];
}

/**
 * One adjustment at a time from paper to paper (docs/models.md section 7): the response of this bow is
 * learned from every shot, and the school's preferred adjustment that brings the expected tear under
 * 3 mm is advised, at most 2 mm or two steps a move. Deterministic in its history.
 *
 * @returns `tuned` when the true tear is likely under 4 mm, `shootMore` while that or the move
 *   cannot be told, `checkCauses` when nothing answers the moves, when no setting alone makes such a
 *   tear, when no adjustment is left that helps, or when the tears scatter too much to be read.
 */
export function paperTune({ hand, school, history }: PaperTuneInput): PaperTuneResult {
  const response = paperResponse(history, hand);
  const answers = nothingAnswers(history, hand);
  const chanceGood = chanceUnder(GOOD_MM, response);
  const base = { response, chanceGood, answers };
  const { shotsHere } = response;
  if (shotsHere === 0) return { ...base, state: 'shootMore', why: 'noShot' };
  const stop = (why: 'unanswered' | 'wild' | 'spent' | 'tooLarge') =>
    ({ ...base, state: 'checkCauses', why, causes: CAUSES }) as const;
  const mean = Math.hypot(response.right.mean, response.up.mean);
  if (chanceGood >= SURE) return { ...base, state: 'tuned', why: 'goodEnough' };
  if (noSettingMakes(response, hand)) return stop('tooLarge');
  if (answers.stop)
    return shotsHere < TWO_LOOKS
      ? { ...base, state: 'shootMore', why: 'unsure' }
      : stop('unanswered');
  if (response.scatterFrom >= 4 && response.scatterMm > WILD * FIRST_SCATTER_MM)
    return stop('wild');
  const sigma = Math.sqrt(Math.max(response.right.variance, response.up.variance));
  const few = shotsHere < MOST_SHOTS;
  // Not told from good by the shots there are: another shot is cheaper than a wrong move.
  if (few && mean < AIM_MM + sigma) return { ...base, state: 'shootMore', why: 'unsure' };
  const [advice, runnerUp] = moves(response, hand, school);
  if (mean <= AIM_MM && (!advice || chanceGood >= LIKELY))
    return { ...base, state: 'tuned', why: 'goodEnough' };
  if (!advice) return stop('spent');
  return { ...base, state: 'adjust', why: 'tear', advice, ...(runnerUp ? { runnerUp } : {}) };
}

/** A tear no adjustment makes up for within its reach, were its answer ever so strong (2σ). */
function noSettingMakes(response: PaperResponse, hand: Hand): boolean {
  return (['right', 'up'] as const).some((axis) => {
    const most = ADJUSTMENTS.map((id) => adjustmentRule(id, hand))
      .filter((rule) => rule.axis === axis)
      .map(({ mean, sd, reach }) => reach * (Math.abs(mean) + 2 * sd));
    return Math.abs(response[axis].mean) > Math.max(...most);
  });
}

/** The move for the axis that is worse off, and the next choice; the other axis where it has none. */
function moves(response: PaperResponse, hand: Hand, school: PaperSchool): PaperAdvice[] {
  const axes: TearAxis[] =
    Math.abs(response.right.mean) >= Math.abs(response.up.mean) ? ['right', 'up'] : ['up', 'right'];
  for (const axis of axes) {
    const ranked = rankedMoves(axis, response, hand, school);
    if (ranked.length > 0) return ranked;
  }
  return [];
}

function rankedMoves(
  axis: TearAxis,
  response: PaperResponse,
  hand: Hand,
  school: PaperSchool,
): PaperAdvice[] {
  const now = Math.abs(response[axis].mean);
  const offers = tried(axis, school).flatMap((id) => {
    const rule = adjustmentRule(id, hand);
    const amount = bestAmount(response[axis], id, rule.step, range(rule, response.moved[id]));
    const offer = { ...expectedAfter(response, axis, id, amount), adjustment: id, amount };
    const left = Math.abs(axis === 'right' ? offer.expected.rightMm : offer.expected.upMm);
    const passed = response.moved[id] === 0 ? MUCH_BETTER : BETTER;
    return now - left >= LEAST_MM ? [{ ...offer, left, passed }] : [];
  });
  // The school's first, unless another takes off far more: a press is not opened for a small gain.
  const most = Math.max(...offers.map(({ left }) => now - left));
  const fair = offers.filter(({ left, passed }) => left < AIM_MM || passed * (now - left) >= most);
  const order = [...fair, ...offers.filter((offer) => !fair.includes(offer))];
  return order.map(({ left: _left, passed: _passed, ...advice }) => advice);
}

const range = ({ most, reach }: { most: number; reach: number }, moved: number) => ({
  low: Math.max(-most, -reach - moved),
  high: Math.min(most, reach - moved),
});

/** Least expected square of the tear: a response that is not sure is moved by less. */
function bestAmount(
  { mean, per, perVariance, perCovariance }: AxisResponse,
  id: Adjustment,
  step: number,
  { low, high }: { low: number; high: number },
): number {
  const square = per[id]! ** 2 + perVariance[id]!;
  const wanted = -(mean * per[id]! + perCovariance[id]!) / square;
  const set = Math.round(Math.min(high, Math.max(low, wanted)) / step) * step;
  return set + 0;
}

function expectedAfter(response: PaperResponse, axis: TearAxis, id: Adjustment, amount: number) {
  const { mean, per, perVariance, perCovariance, variance } = response[axis];
  const after = mean + per[id]! * amount;
  return {
    expected: {
      rightMm: axis === 'right' ? after : response.right.mean,
      upMm: axis === 'up' ? after : response.up.mean,
    },
    sigmaMm: Math.sqrt(
      Math.max(0, variance + amount ** 2 * perVariance[id]! + 2 * amount * perCovariance[id]!),
    ),
  };
}

/** P(|tear| < limit) for two independent normal axes, by the midpoint rule over one of them. */
export function chanceUnder(limit: number, { right, up }: PaperResponse): number {
  const steps = 200;
  const h = (2 * limit) / steps;
  const [sx, sy] = [Math.sqrt(right.variance), Math.sqrt(up.variance)];
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const x = -limit + (i + 0.5) * h;
    const z = (x - right.mean) / sx;
    const y = Math.sqrt(limit * limit - x * x);
    const inside = normalCdf((y - up.mean) / sy) - normalCdf((-y - up.mean) / sy);
    sum += ((h * Math.exp((-z * z) / 2)) / (sx * Math.sqrt(2 * Math.PI))) * inside;
  }
  return Math.min(1, sum);
}

/** Φ by Abramowitz and Stegun 7.1.26; error under 1.5e-7. */
function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}
