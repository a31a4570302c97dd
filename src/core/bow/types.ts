import type { Gram, Mm, Mps, Newton } from '../units';

/** Standard draw length = nock groove to grip pivot + 1.75 in (AMO / ATA standard). */
export const PIVOT_TO_STANDARD_MM = 44.45;

/** How the weight runs over the draw. */
export type CamCharacter = 'smooth' | 'balanced' | 'fast';

/** Where the rise ends and the let-off begins, as parts of the stroke (docs/models.md section 4). */
export const CAM_SHAPE: Record<CamCharacter, { readonly rise: number; readonly letOff: number }> = {
  smooth: { rise: 0.42, letOff: 0.7 },
  balanced: { rise: 0.36, letOff: 0.76 },
  fast: { rise: 0.28, letOff: 0.83 },
};

/** A bow's rating and shape, as the speed model needs them. */
export interface RatedBow {
  readonly ratedSpeedMps: Mps;
  readonly ratedDrawLengthMm: Mm;
  readonly ratedPeakN: Newton;
  readonly ratedArrowG: Gram;
  readonly braceHeightMm: Mm;
  /** Part of the peak weight that is let off, 0 to below 1. */
  readonly letOff: number;
  readonly character: CamCharacter;
  /** Mass that moves with the string, g; 1.94 g (30 gr) until measured. */
  readonly virtualMassG?: Gram;
  /** Half the string's length, mm; 700 when not known. */
  readonly halfStringMm?: Mm;
  /** What of a bow that was brought along nobody could tell. */
  readonly untold?: readonly string[];
}

export interface BowSetting {
  readonly drawLengthMm: Mm;
  readonly peakN: Newton;
}

/** Something tied on the string: a peep, a nocking point. */
export interface StringItem {
  readonly massG: Gram;
  /** Distance from the nock along the string; sign does not matter. */
  readonly fromNockMm: Mm;
}
