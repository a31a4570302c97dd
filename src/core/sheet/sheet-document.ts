import { type BowCondition } from '../bow';

export const SHEET_FORMAT = 'waffenrad-build-sheet';
export const SHEET_FORMAT_VERSION = 1;

export interface SheetSetting {
  readonly key: string;
  readonly name: string;
  /** As the sheet shows it. */
  readonly text: string;
  /** As it was typed. */
  readonly entered: string;
  readonly si: number | null;
  readonly si2: number | null;
  readonly wanted: string | null;
  readonly reason: string | null;
  readonly standing: 'in' | 'out' | 'noTarget';
  readonly stale: string | null;
  readonly who: string;
  readonly at: string;
}

/** What the archer carries home; made once, never changed. Published as a JSON Schema. */
export interface SheetDocument {
  readonly format: typeof SHEET_FORMAT;
  readonly formatVersion: typeof SHEET_FORMAT_VERSION;
  readonly revision: number;
  readonly madeAt: string;
  /** The day it was made, in the shop's time zone. */
  readonly madeDay: string;
  readonly madeBy: string;
  readonly shop: { readonly name: string; readonly address: string };
  readonly job: {
    readonly number: number;
    readonly purpose: string;
    readonly furthestM: number | null;
  };
  readonly archer: {
    readonly name: string;
    readonly hand: string;
    readonly dominantEye: string;
    readonly guardianName: string | null;
  };
  readonly bow: {
    readonly name: string;
    readonly hand: string;
    readonly camSystem: string;
    readonly axleToAxleMm: number;
    readonly braceHeightMm: number;
    readonly letOff: number;
    readonly maxTurns: number | null;
    /** What of the fit it does not cover and why it was taken all the same; null where it covers it. */
    readonly overruled: string | null;
    /** Used or lent, and its number, where the shop knows; sheets before single bows have neither. */
    readonly condition?: BowCondition;
    readonly serial?: string | null;
  } | null;
  readonly fit: {
    readonly drawLengthMm: number | null;
    readonly drawLengthText: string | null;
    /** The school: whether arm span was taken less the loop. */
    readonly loopCounts: boolean;
    readonly readings: readonly {
      readonly method: string;
      readonly entered: string;
      readonly si: number;
    }[];
    readonly startN: number | null;
    readonly startText: string | null;
    readonly trials: readonly { readonly entered: string; readonly outcome: string }[];
    /** Eye, release, full draw, old bow: one sentence each; sheets before version 1.1 have none. */
    readonly notes?: readonly string[];
  };
  readonly settings: readonly SheetSetting[];
  readonly parts: readonly {
    readonly slot: string;
    readonly name: string;
    readonly label: string;
    readonly owned: boolean;
    readonly priceCents: number;
  }[];
  readonly bowPriceCents: number;
  /** Setting up, where the shop charges for it; earlier sheets have none, and a total without it. */
  readonly work?: { readonly minutes: number; readonly cents: number };
  readonly totalCents: number;
  /** Held in the total. */
  readonly taxCents?: number;
  readonly taxPct?: number;
  readonly marks: {
    readonly rows: readonly {
      readonly distanceM: number;
      readonly distanceText: string;
      readonly pinAboveArrowMm: number;
    }[];
    readonly furthestClearM: number | null;
    readonly basis: readonly string[];
  } | null;
  /** What the bow weighs and where, with the bars that were noted; absent where nobody looked. */
  readonly balance?: {
    readonly massG: number;
    /** From the throat of the grip, bars and all. */
    readonly centre: {
      readonly forwardMm: number;
      readonly upMm: number;
      readonly rightMm: number;
    };
    readonly rollTorqueNmm: number;
    readonly pitchTorqueNmm: number;
    /** The same in sentences. */
    readonly text: readonly string[];
  };
  readonly exceptions: readonly {
    readonly step: string;
    readonly reason: string;
    readonly who: string;
  }[];
  readonly open: readonly string[];
  readonly openReason: string | null;
  readonly cautions: readonly string[];
  readonly comeBackDay: string;
}

export interface SheetStamp {
  readonly revision: number;
  readonly madeAt: string;
  /** The day, in the shop's time zone, YYYY-MM-DD. */
  readonly madeDay: string;
  readonly madeBy: string;
  /** Why it is handed over although something is open; null when nothing is. */
  readonly openReason: string | null;
}

/** The bow in one line: used and lent ones are said to be, with their number where it is known. */
export function bowLine({
  name,
  hand,
  camSystem,
  condition = 'new',
  serial = null,
}: NonNullable<SheetDocument['bow']>): string {
  const kind = { new: null, used: 'used', loan: 'on loan' }[condition];
  return [name, `${hand} hand`, camSystem, kind, serial === null ? null : `no. ${serial}`]
    .filter((part) => part !== null)
    .join(', ');
}
