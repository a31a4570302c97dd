import { PIVOT_TO_STANDARD_MM } from '../bow';
import { mm, type Mm } from '../units';

interface SafeLengthGround {
  /** Standard draw length; null where it is not known yet. */
  readonly drawLengthMm: Mm | null;
  /** Rest ahead of the plunger hole, mm; negative behind it. */
  readonly restAheadMm: Mm;
  /** Shaft past the rest at full draw; a shop rule. */
  readonly overhangMm: Mm;
}

/**
 * Shortest shaft that is safe: from the nock's groove to the rest at full draw, and past it by the
 * shop's overhang. The nock's throat is left as a reserve.
 *
 * @returns null without a draw length.
 */
export const safeLengthMm = ({
  drawLengthMm,
  restAheadMm,
  overhangMm,
}: SafeLengthGround): Mm | null =>
  drawLengthMm === null ? null : mm(drawLengthMm - PIVOT_TO_STANDARD_MM + restAheadMm + overhangMm);
