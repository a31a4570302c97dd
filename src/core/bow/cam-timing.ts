import { answered, refused, type Outcome } from '../outcome';
import type { CamSystem } from './record';
import { twistResponse, twistsFor, type TwistMove, type TwistResponse } from './twist-response';

/** A cable by the cam that takes it up as the bow is drawn. */
type Cable = 'top' | 'bottom';

interface TimingRule {
  /** The cable that is twisted, and what it is called on such a bow. */
  readonly cable: Cable;
  readonly name: string;
  readonly why: string;
}

const TIES_THE_CAMS =
  'It ties the top cam to the bottom one: shorter, the top comes later. The power cable is left alone, since it moves weight and draw length.';

/**
 * Which cable holds the top cam back when twists are put in. The cable a cam takes up gets
 * shorter by a twist, so that this cam has further to turn and comes later.
 */
const RULES: Partial<Record<CamSystem, TimingRule>> = {
  twoCam: {
    cable: 'top',
    name: 'cable the top cam takes up',
    why: 'Shorter, it holds the top cam back; the bottom cam is left where it is.',
  },
  hybrid: {
    cable: 'top',
    name: 'control cable',
    why: TIES_THE_CAMS,
  },
  camAndAHalf: {
    cable: 'top',
    name: 'control cable',
    why: TIES_THE_CAMS,
  },
};

/** Said wherever modules are moved. */
export const ONE_CAM =
  'A module moved on one cam only throws the timing out and can derail the string.';

/** mm the gap closes for each full twist put in, until this bow has shown its own. Shop rule. */
export const TIMING_PRIOR = { mean: -1.5, sd: 0.7 };
/** σ of one look at the stops' gap. */
const TIMING_NOISE_MM = 0.5;
/** Closer together than this they reach their stops together. */
export const TIMING_IN_MM = 1;
/** Never more at once before looking again. */
const MOST_AT_ONCE = 2;

export interface CamTimingInput {
  readonly camSystem: CamSystem;
  /** Gap at the second stop when the first touches, mm; + the top leads, − the bottom leads. */
  readonly gapMm: number;
  /** What twists of that cable did to the gap on this bow. */
  readonly moves: readonly TwistMove[];
}

interface CamTimingAdvice {
  readonly leads: 'top' | 'bottom' | 'neither';
  readonly cable: Cable;
  readonly cableName: string;
  readonly why: string;
  /** Full twists, + in, − out; 0 when they run together. */
  readonly twists: number;
  /** Gap expected after it, and its σ. */
  readonly expectedMm: number;
  readonly sigmaMm: number;
  readonly response: TwistResponse;
}

/**
 * Cam timing seen on the draw board → which cable, how many twists, at most two at a time and
 * in half twists; by cam system, with this bow's own response (shop rule as prior).
 *
 * @returns a refusal for a single cam, which has nothing to run together with, or where twists
 *   showed no effect.
 */
export function camTiming({ camSystem, gapMm, moves }: CamTimingInput): Outcome<CamTimingAdvice> {
  const rule = RULES[camSystem];
  if (!rule)
    return refused(
      'one-cam',
      'One cam and an idler: nothing runs ahead of anything. The cam’s own mark against its cable, as the maker’s manual shows it, says whether it stands right.',
      'camSystem',
    );
  const response = twistResponse(TIMING_PRIOR, moves, TIMING_NOISE_MM);
  const leads = Math.abs(gapMm) <= TIMING_IN_MM ? 'neither' : gapMm > 0 ? 'top' : 'bottom';
  const wanted = leads === 'neither' ? 0 : twistsFor(-gapMm, response);
  if (wanted === null)
    return refused(
      'no-response',
      'Twists of this cable have not moved the gap as they should. Look for another cause before twisting on: a cable out of its track, modules that stand apart, a bent axle.',
      'moves',
    );
  // A gap outside the tolerance is worth at least half a twist.
  const least = leads === 'neither' ? 0 : Math.max(0.5, Math.abs(wanted));
  const sign = Math.sign(-gapMm / response.perTwistMm);
  const twists = sign * Math.min(MOST_AT_ONCE, least) + 0;
  return answered({
    leads,
    cable: rule.cable,
    cableName: rule.name,
    why: rule.why,
    twists,
    expectedMm: gapMm + twists * response.perTwistMm,
    sigmaMm: Math.abs(twists) * response.sigmaMm,
    response,
  });
}
