import { bayesianLeastSquares } from '../numerics';

/** What twists did between two looks at the same thing. */
export interface TwistMove {
  /** Full twists put in (+) or taken out (−) between the two readings. */
  readonly twists: number;
  /** The second reading less the first, mm. */
  readonly movedMm: number;
}

export interface TwistResponse {
  /** mm for each full twist put in. */
  readonly perTwistMm: number;
  readonly sigmaMm: number;
  /** Moves of this bow it rests on; 0 is the shop's rule alone. */
  readonly moves: number;
}

/**
 * What a full twist does on *this* bow: the shop's rule as prior, every move seen since as
 * evidence (linear Bayesian least squares through the origin).
 *
 * @param noiseMm σ of one reading; a move is the difference of two.
 */
export function twistResponse(
  prior: { readonly mean: number; readonly sd: number },
  moves: readonly TwistMove[],
  noiseMm: number,
): TwistResponse {
  const told = moves.filter(({ twists }) => Math.abs(twists) > 1e-9);
  const fit = bayesianLeastSquares(
    [prior],
    told.map(({ twists, movedMm }) => ({ x: [twists], y: movedMm })),
    noiseMm * Math.SQRT2,
  );
  return {
    perTwistMm: fit.mean[0]!,
    sigmaMm: Math.sqrt(fit.covariance[0]![0]!),
    moves: told.length,
  };
}

/** Half a twist is the least a loop's end can be turned and still lie flat. */
export const HALF_TWIST = 0.5;

/** Twists in half steps that bring `wantedMm`; null when the response is not told from nothing. */
export function twistsFor(wantedMm: number, { perTwistMm, sigmaMm }: TwistResponse): number | null {
  if (Math.abs(perTwistMm) < sigmaMm) return null;
  // + 0 keeps −0 out of every sentence.
  return Math.round(wantedMm / perTwistMm / HALF_TWIST) * HALF_TWIST + 0;
}
