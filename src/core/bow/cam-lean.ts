import { answered, refused, type Outcome } from '../outcome';
import { HALF_TWIST, twistResponse, type TwistMove, type TwistResponse } from './twist-response';
import type { Yokes } from './record';

/** Closer to the string than this an arrow laid on the cam counts as straight. Shop rule. */
export const LEAN_IN_MM = 3;
/** σ of one look along an arrow laid on the cam. */
const LEAN_NOISE_MM = 1;
/** mm the arrow's end moves for a full twist in the yoke's right leg. Shop rule. */
const YOKE_PRIOR = { mean: -4, sd: 2 };
/** mm the arrow's end moves for one shim step of the cam to the right. Shop rule. */
const SHIM_PRIOR = { mean: -3, sd: 1.5 };
/** Never more at once before looking again. */
const MOST_AT_ONCE = 2;

export interface CamLeanInput {
  readonly cam: 'upper' | 'lower';
  readonly yokes: Yokes | null;
  /** Arrow laid flat on the cam at full draw: its end beside the string, mm, + archer's right. */
  readonly leanMm: number;
  /** What was done at this cam before and what it did. */
  readonly moves: readonly TwistMove[];
}

interface CamLeanAdvice {
  readonly by: 'yoke' | 'shims';
  /** Full twists in the right leg, or shim steps to the right; − is left; 0 when it stands straight. */
  readonly amount: number;
  readonly expectedMm: number;
  readonly sigmaMm: number;
  readonly say: string;
  readonly response: TwistResponse;
}

/**
 * A leaning cam seen on the draw board → yoke leg or shim, and how much. The axle's end is drawn in
 * on the side where the yoke's leg is shortened, or where the cam stands nearer to its limb half, so
 * the remedy goes towards the side the arrow's end stands on. Shop rule as prior, this bow's own
 * response learned; at most two steps before the next look.
 *
 * @returns a refusal where what was done before showed no effect.
 */
export function camLean({ cam, yokes, leanMm, moves }: CamLeanInput): Outcome<CamLeanAdvice> {
  const by = yokes === 'both' || (yokes === 'top' && cam === 'upper') ? 'yoke' : 'shims';
  const response = twistResponse(by === 'yoke' ? YOKE_PRIOR : SHIM_PRIOR, moves, LEAN_NOISE_MM);
  const straight = Math.abs(leanMm) <= LEAN_IN_MM;
  // Not told from nothing: going on would be guessing.
  const blind = Math.abs(response.perTwistMm) < response.sigmaMm;
  const wanted = straight ? 0 : blind ? null : -leanMm / response.perTwistMm;
  if (wanted === null)
    return refused(
      'no-response',
      'What was done at this cam has not moved its lean. Look for another cause before going on: a bent axle, a limb twisted in its pocket, a guard that pulls too far.',
      'moves',
    );
  const step = by === 'yoke' ? HALF_TWIST : 1;
  const least = straight ? 0 : Math.max(step, Math.round(Math.abs(wanted) / step) * step);
  const amount = Math.sign(-leanMm / response.perTwistMm) * Math.min(MOST_AT_ONCE, least) + 0;
  return answered({
    by,
    amount,
    expectedMm: leanMm + amount * response.perTwistMm,
    sigmaMm: Math.abs(amount) * response.sigmaMm,
    say: sentence(by, amount, leanMm),
    response,
  });
}

function sentence(by: 'yoke' | 'shims', amount: number, leanMm: number): string {
  if (amount === 0) return 'The cam stands straight: nothing to do';
  const seen = `The arrow’s end stands ${Math.abs(leanMm).toFixed(0)} mm to the ${leanMm > 0 ? 'right' : 'left'}`;
  const side = amount > 0 ? 'right' : 'left';
  const much = Math.abs(amount) === 0.5 ? 'half a twist' : `${Math.abs(amount)}`;
  return by === 'yoke'
    ? `${seen}: ${much}${Math.abs(amount) === 0.5 ? '' : ` twist${Math.abs(amount) === 1 ? '' : 's'}`} into the yoke’s ${side} leg`
    : `${seen}: move the cam ${much} shim step${Math.abs(amount) === 1 ? '' : 's'} to the ${side}`;
}
