import type { BowCondition, CamSystem } from '../bow';
import type { ModelFlight, VisitKind } from '../job';
import type { SheetGroup } from '../setup';
import type { ShopUnits } from '../units';

export const SHEET_FORMAT = 'waffenrad-build-sheet';
export const SHEET_FORMAT_VERSION = 2;

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
  /** Heading it stands under on page one; null where it is no setting to get back to. */
  readonly group: SheetGroup | null;
  /** From where to where, and with what; null where it is no setting. */
  readonly datum: string | null;
  readonly tool: string | null;
  /** "± 2 mm"; null for a choice. */
  readonly tolerance: string | null;
}

/** One thing that is not as on the revision before. */
export interface SheetChange {
  /** Key of a set-up value, "part:" and a place of the kit, "bow" or "marks". */
  readonly key: string;
  readonly name: string;
  /** Null: it was not there. */
  readonly from: string | null;
  /** Null: it is not there any more. */
  readonly to: string | null;
  /** Measured again and within its tolerance. */
  readonly within: boolean;
}

/** The finished arrow, from its nock to its point; null where the part is not known. */
export interface SheetArrow {
  readonly count: number | null;
  readonly shaft: string;
  readonly staticSpineIn: number;
  readonly shaftLengthMm: number;
  readonly shaftOuterMm: number;
  readonly nock: string | null;
  readonly vanes: string | null;
  readonly insert: string | null;
  readonly point: string | null;
  readonly pointAndInsertG: number;
  readonly massG: number;
  readonly massFrom: 'measured' | 'catalogue';
  readonly balanceFromNockMm: number | null;
  readonly frontOfCentrePct: number | null;
}

/** What the marks were made from: enough to make them again. */
export type SheetFlight = ModelFlight;

/** A reading of the record, whether it still counts or not. */
export interface SheetReading {
  readonly key: string;
  readonly name: string;
  readonly text: string;
  readonly how: string;
  readonly who: string;
  readonly at: string;
}

/** A photograph of the record. */
export interface SheetPhoto {
  readonly id: number;
  /** What it shows, and in the technician's words. */
  readonly text: string;
  readonly width: number;
  readonly height: number;
}

/** A paper, and what was moved before it. */
export interface SheetPaper {
  readonly rightMm: number;
  readonly upMm: number;
  readonly text: string;
  readonly moved: string | null;
}

/** A signature as it was drawn. */
export interface SheetSignature {
  readonly by: 'archer' | 'guardian';
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** SVG path data. */
  readonly path: string;
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
  readonly shop: { readonly name: string; readonly address: string; readonly phone: string };
  /** Units its texts are written in. */
  readonly units: ShopUnits;
  /** What is not as on the revision before; null on the first. */
  readonly since: { readonly revision: number; readonly changes: readonly SheetChange[] } | null;
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
    readonly camCode: CamSystem;
    /** Lightest and heaviest the limbs can be set to; null where a sheet of before does not say. */
    readonly minPeakN: number | null;
    readonly maxPeakN: number | null;
    readonly stringLengthMm: number | null;
    readonly cableLengthsMm: readonly number[];
    readonly axleToAxleMm: number;
    readonly braceHeightMm: number;
    readonly letOff: number;
    readonly maxTurns: number | null;
    /** What of the fit it does not cover and why it was taken all the same; null where it covers it. */
    readonly overruled: string | null;
    readonly condition: BowCondition;
    /** The archer brought it along: it was not bought here. */
    readonly brought?: true;
    readonly serial: string | null;
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
    /** Eye, release, full draw, old bow: one sentence each. */
    readonly notes: readonly string[];
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
  /** Extra lines and discounts. */
  readonly extras: readonly { readonly text: string; readonly cents: number }[];
  readonly totalCents: number;
  /** Held in the total. */
  readonly taxCents?: number;
  readonly taxPct?: number;
  /** Screws of what is mounted: the key, how tight, thread locker. */
  readonly fastening: readonly { readonly what: string; readonly text: string }[];
  readonly arrow: SheetArrow | null;
  readonly marks: {
    /** The distance the pins are counted from, and whether it was confirmed by a group. */
    readonly firstM: number;
    readonly firstText: string;
    /** Null: a sheet of version 1 does not say. */
    readonly firstConfirmed: boolean | null;
    readonly rows: readonly {
      readonly distanceM: number;
      readonly distanceText: string;
      readonly pinAboveArrowMm: number;
      /** Pin below its place for the first distance; negative above it. */
      readonly belowFirstMm: number;
      /** 1σ of it; null where it cannot be told. */
      readonly sigmaMm: number | null;
      readonly confirmed: boolean;
    }[];
    /** Of a sight with several fixed pins: each pin and the gap to the one above; null for others. */
    readonly pins:
      | readonly {
          readonly distanceM: number;
          readonly distanceText: string;
          readonly belowFirstMm: number;
          readonly gapMm: number | null;
        }[]
      | null;
    readonly flight: SheetFlight | null;
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
  /** Signed on the screen; null where it is signed on paper. */
  readonly signature: SheetSignature | null;
  readonly cautions: readonly string[];
  /** Why the bow was back; null on the first handover. */
  readonly visit: { readonly kind: VisitKind; readonly words: string } | null;
  readonly comeBackDay: string;
  /** Every reading in its order, ticks too; empty on sheets of before. */
  readonly record: readonly SheetReading[];
  readonly papers: readonly SheetPaper[];
  readonly aim: readonly string[];
  /** Photographs chosen for the record; the pictures are asked for by their number. */
  readonly photos: readonly SheetPhoto[];
  /** What to look after, by the day it falls due. */
  readonly care: readonly { readonly day: string; readonly text: string }[];
  readonly practice: readonly string[];
  /** Weights the archer may grow into, and what is to be shown before each step. */
  readonly growth: {
    readonly steps: readonly { readonly day: string; readonly peakN: number }[];
    readonly test: string;
  } | null;
}

export interface SheetStamp {
  readonly revision: number;
  readonly madeAt: string;
  /** The day, in the shop's time zone, YYYY-MM-DD. */
  readonly madeDay: string;
  readonly madeBy: string;
  /** Why it is handed over although something is open; null when nothing is. */
  readonly openReason: string | null;
  /** As drawn on the screen; absent or null where it is signed on paper. */
  readonly signature?: SheetSignature | null;
}

/** The bow in one line: used and lent ones are said to be, with their number where it is known. */
export function bowLine({
  name,
  hand,
  camSystem,
  condition,
  brought,
  serial,
}: NonNullable<SheetDocument['bow']>): string {
  const kind = { new: null, used: 'used', loan: 'on loan' }[condition];
  return [
    name,
    `${hand} hand`,
    camSystem,
    kind,
    brought ? 'brought along' : null,
    serial === null ? null : `no. ${serial}`,
  ]
    .filter((part) => part !== null)
    .join(', ');
}
