import { camLean, camTiming, drawLengthSteps, twistResponse, twistsFor } from '../bow';
import { MM_PER_TWIST } from '../fit';
import { TRADE_UNITS, write } from '../units';
import type { TargetContext } from './target-context';
import type { Since, TargetParts } from './value-entry';
import { latest, type HistoryOf } from './reading';
import { cableMoves, fresherThan, leanMoves, stringMoves, twistsAt } from './twist-moves';

/** A quarter inch is felt; half of it to either side is let stand. */
export const FELT_MM = 3.2;

/** Towards the side the arrow’s end stood on; nothing to ask while a fresh look shows it straight. */
export function leanTarget(
  cam: 'upper' | 'lower',
  { bow, history }: TargetContext,
): TargetParts | null {
  const [look, fix] =
    cam === 'upper'
      ? (['camLeanUpper', 'leanFixUpper'] as const)
      : (['camLeanLower', 'leanFixLower'] as const);
  const seen = history.get(look)?.findLast(({ si }) => si !== null) ?? null;
  if (!bow || seen === null) return null;
  const then = twistsAt(history, fix, seen.seq);
  const advice = camLean({
    cam,
    yokes: bow.yokes,
    leanMm: seen.si!,
    moves: leanMoves(history, cam),
  });
  if (!advice.ok) return null;
  const again = fresherThan(history, look, fix)
    ? ''
    : '. Look along the arrow again before going on';
  return {
    si: then + advice.amount,
    reason: `${advice.say}${again}`,
    source: 'calculation' as const,
  };
}

/** What a full twist put in does to the draw length on this bow. */
export const stringResponse = (history: HistoryOf<string>) =>
  twistResponse({ mean: -MM_PER_TWIST, sd: 0.5 }, stringMoves(history), 0.8);

/** More than this is not made up by twists: another module step, or a reading that is not right. */
const MOST_TWISTS = 6;

/** What of the draw length is left to the string, and from where it is counted. */
interface TwistPlan {
  readonly from: 'module' | 'draw board';
  /** Twists that stood when the board was read; 0 from the module. */
  readonly then: number;
  readonly leftMm: number;
  /** Twists from then on, + put in; 0 where nothing is left or it is too far. */
  readonly more: number;
  /** More than anybody twists: another module step, or a reading that is not right. */
  readonly tooFar: boolean;
}

/**
 * From the module to the archer at first; from the draw board's own reading once there is one, counted
 * from the twists that stood when it was read.
 *
 * @returns null where length or module is not known, or a twist's worth cannot be told from nothing.
 */
export function twistPlan(
  { fitDrawLengthMm, moduleStepMm, history }: TargetContext,
  since: Since,
): TwistPlan | null {
  if (fitDrawLengthMm === null || moduleStepMm === null) return null;
  // A length read before the module was moved, or a new string put on, does not speak for this one.
  const read = since('drawLength', [
    'moduleTop',
    'moduleBottom',
    'newString',
    'newModule',
    'newLimb',
  ]);
  const board = read.findLast(({ si }) => si !== null) ?? null;
  const then = board ? twistsAt(history, 'stringTwists', board.seq) : 0;
  const leftMm = fitDrawLengthMm - (board?.si ?? moduleStepMm);
  const isThere = board !== null && Math.abs(leftMm) <= FELT_MM;
  const more = isThere ? 0 : twistsFor(leftMm, stringResponse(history));
  if (more === null) return null;
  const tooFar = Math.abs(more) > MOST_TWISTS;
  return { from: board ? 'draw board' : 'module', then, leftMm, more: tooFar ? 0 : more, tooFar };
}

/** Twists the string is to have: putting in what was asked for asks for no more. */
export function stringTwistTarget(context: TargetContext, since: Since): TargetParts | null {
  const { history, shop, like } = context;
  const plan = twistPlan(context, since);
  if (!plan) return null;
  const { from, then, leftMm, more } = plan;
  const at = (
    si: number,
    reason: string,
    source: TargetParts['source'] = 'shop rule',
  ): TargetParts => ({ si, low: si - 0.5, high: si + 0.5, reason, source });
  const begun = like?.sameBow === true ? like.starts.stringTwists : undefined;
  if (from === 'module' && begun !== undefined)
    return at(begun, `As many as on the model: ${like!.title}. The draw board decides`, 'model');
  if (plan.tooFar) return at(then, tooFar(leftMm, from, context));
  if (from === 'draw board' && more === 0)
    return at(then, 'The draw board reads the archer’s length: nothing more to twist');
  const response = stringResponse(history);
  const say = write(leftMm, 'length', shop, { signed: true, denominator: 32 });
  const worth = `a full twist ${response.moves > 0 ? `moved it ${write(Math.abs(response.perTwistMm), 'length', MM)} on this bow` : 'is worth about 1.2 mm until this bow has shown its own'}`;
  return at(then + more, `${say} is left between ${from} and archer; ${worth}`);
}

/** What is said instead of a twist count nobody puts in: the next step, or a doubt about the reading. */
function tooFar(
  left: number,
  where: TwistPlan['from'],
  { bow, history, moduleStepMm, shop }: TargetContext,
): string {
  const say = write(left, 'length', shop, { signed: true, denominator: 32 });
  const stands = latest(history, 'moduleBottom')?.si ?? moduleStepMm!;
  const steps = bow ? drawLengthSteps(bow) : [];
  const next = steps
    .filter((step) => Math.abs(step - stands) > 1 && Math.sign(step - stands) === Math.sign(left))
    .sort((a, b) => Math.abs(a - stands - left) - Math.abs(b - stands - left))[0];
  const doubt = `${say} is left between ${where} and archer: more than ${MOST_TWISTS} twists make up`;
  return next !== undefined && Math.abs(next - stands - left) < Math.abs(left) / 2
    ? `${doubt}. The module step ${write(next, 'length', shop)} comes nearer: move the module, then read again`
    : `${doubt}, and no module step does. Read the draw board and the fit again before anything is twisted`;
}

const MM = { ...TRADE_UNITS, length: 'mm' as const };

/**
 * Where the timing on the draw board asks for the cable, counted from the twists that stood when it
 * was read: what is entered afterwards is held against it and does not move it.
 */
export function cableTwistTarget({ bow, history }: TargetContext): TargetParts | null {
  const look = history.get('timing')?.findLast(({ si }) => si !== null) ?? null;
  if (!bow || look === null) return null;
  const gap = look.si!;
  const then = twistsAt(history, 'cableTwists', look.seq);
  const advice = camTiming({ camSystem: bow.camSystem, gapMm: gap, moves: cableMoves(history) });
  if (!advice.ok) return null;
  const again = fresherThan(history, 'timing', 'cableTwists')
    ? ''
    : '. Look at the timing again before twisting on';
  return {
    si: then + advice.twists,
    reason:
      advice.leads === 'neither'
        ? `The cams reach their stops together${again}`
        : `The ${advice.leads} cam leads by ${Math.abs(gap).toFixed(1)} mm: ${advice.cableName}. ${advice.why}${again}`,
    source: 'calculation' as const,
  };
}
