import type { BowRecord, CurveFacts } from '../bow';
import type { OldBowFigures } from '../fit';
import type { Kit } from '../kit';
import type { Mm, Newton, ShopUnits } from '../units';
import type { HistoryOf } from './reading';
import type { Schools } from './schools';

/** What a bow made like another takes over of it, SI by the keys of the registry. */
export interface Likeness {
  /** "Sheet 1 of ticket 1001". */
  readonly title: string;
  /** It is the same kind of bow: settings of the bow itself are taken over too. */
  readonly sameBow: boolean;
  /** What is to stand as there. */
  readonly holds: Readonly<Partial<Record<string, number>>>;
  /** Where one begins. */
  readonly starts: Readonly<Partial<Record<string, number>>>;
}

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
  /** The bow this one is made like; null where it is made like none. */
  readonly like: Likeness | null;
  /** The bow's own draw-force curve, where one was logged. */
  readonly curve: CurveFacts | null;
  readonly predictedSpeed: { readonly speedMps: number; readonly sigmaMps: number } | null;
  readonly schools: Schools;
  readonly shop: ShopUnits;
}
