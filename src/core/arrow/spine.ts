import type { CamCharacter } from '../bow';
import { G_PER_GRAIN, MM_PER_INCH, N_PER_POUND, type Gram, type Mm, type Newton } from '../units';

/** Cam factors of the shop rule: a fast cam loads the shaft harder. */
const CAM_FACTOR: Record<CamCharacter, number> = { smooth: 0.97, balanced: 1, fast: 1.05 };
const REFERENCE_POINT_GR = 125;
const POUNDS_PER_GRAIN = 0.1;

interface SpineLoad {
  readonly peakN: Newton;
  readonly character: CamCharacter;
  readonly shaftLengthMm: Mm;
  readonly pointAndInsertG: Gram;
}

/**
 * Needed static spine in inches (deflection as in ASTM F2031), from EI ∝ F·L². A shop rule, not
 * physics: it is tuned to common charts and may be off by half a spine class (docs/models.md section 5).
 */
export function neededSpineIn(load: SpineLoad): number {
  const pounds =
    (load.peakN / N_PER_POUND) * CAM_FACTOR[load.character] +
    POUNDS_PER_GRAIN * (load.pointAndInsertG / G_PER_GRAIN - REFERENCE_POINT_GR);
  const inches = load.shaftLengthMm / MM_PER_INCH;
  return (1.94 * 28 ** 3 * 21) / (48 * pounds * inches ** 2);
}

export type SpineVerdict = 'weak' | 'good' | 'stiff';

/** Weak beyond +6 % of the needed deflection, stiff beyond −12 %; as parts of it. */
export const SPINE_BAND = { weak: 1.06, stiff: 0.88 } as const;

export function spineVerdict(staticIn: number, neededIn: number): SpineVerdict {
  if (staticIn > neededIn * SPINE_BAND.weak) return 'weak';
  return staticIn < neededIn * SPINE_BAND.stiff ? 'stiff' : 'good';
}

/** Under 5 gr per lb is refused like a dry fire, under 6 is warned of. */
export const grainsPerPound = (arrowG: Gram, peakN: Newton) =>
  arrowG / G_PER_GRAIN / (peakN / N_PER_POUND);
