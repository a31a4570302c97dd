import type { Metre } from '../units';
import { FIRST_SCATTER_MM, type Tear } from './response';

export interface BareShaftPair {
  readonly distanceM: Metre;
  /** Where the bare shafts hit from where the fletched ones did, mm, + right and up. */
  readonly rightMm: number;
  readonly upMm: number;
}

export interface BareShaftReading extends Tear {
  /** 1σ of each axis, as a tear, mm. */
  readonly sigmaMm: number;
  /** Told from nothing: more than one and a half σ. */
  readonly tells: boolean;
}

/** mm of tear for each mm a bare shaft goes astray at 18 m, further out in proportion. Shop rule. */
const TEAR_PER_MM = 0.1;
const RULE_AT_M = 18;
/** One archer's placing of a bare shaft at 18 m, mm. Shop rule. */
const PLACING_MM = 30;

/**
 * A bare-shaft pair as the paper tear it stands for. Without vanes an arrow goes on the way it
 * leaves: a nock that tears left points the arrow right, and the bare shaft lands right. Shop rule:
 * one centimetre at 18 m for each millimetre of tear, growing with distance. Valid 8 to 40 m.
 */
export function bareShaftTear({ distanceM, rightMm, upMm }: BareShaftPair): BareShaftReading {
  const scale = (TEAR_PER_MM * RULE_AT_M) / distanceM;
  const tear = { rightMm: -rightMm * scale + 0, upMm: -upMm * scale + 0 };
  // The placing grows with the distance as the rule does: as a tear it is the same everywhere.
  const sigmaMm = Math.max(FIRST_SCATTER_MM, PLACING_MM * TEAR_PER_MM);
  return { ...tear, sigmaMm, tells: Math.hypot(tear.rightMm, tear.upMm) > 1.5 * sigmaMm };
}
