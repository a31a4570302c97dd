import type { BowRecord, CurveFacts } from '../bow';
import type { OldBowFigures } from '../fit';
import type { Kit } from '../kit';
import type { Mm, Newton, ShopUnits } from '../units';
import type { HistoryOf } from './reading';
import type { Schools } from './schools';

/** What the targets of a job are read from. */
export interface TargetContext {
  readonly bow: BowRecord | null;
  readonly kit: Kit;
  readonly history: HistoryOf<string>;
  /** Consensus of the fit. */
  readonly fitDrawLengthMm: Mm | null;
  /** The step the module is to stand at: the technician's, else the fit's. */
  readonly moduleStepMm: Mm | null;
  /** Peak weight to set: the technician's, else the fit's start weight. */
  readonly peakTargetN: Newton | null;
  readonly peakReason: string;
  /** Measured on the bow they like; targets of the new one. */
  readonly oldBow: OldBowFigures;
  /** The bow's own draw-force curve, where one was logged. */
  readonly curve: CurveFacts | null;
  readonly predictedSpeed: { readonly speedMps: number; readonly sigmaMps: number } | null;
  readonly schools: Schools;
  readonly shop: ShopUnits;
}
