import type { CamSystem, Hand } from '../bow';
import type { SetupKey } from '../setup';

/** Where the model of a bow made like another comes from. */
export type ModelSource = 'sheet' | 'file' | 'code' | 'oldBow';

/** A setting of the model; texts are those of what is no number. */
export interface ModelValue {
  readonly key: SetupKey;
  /** SI; null for a choice or words. */
  readonly si: number | null;
  readonly text: string;
}

/** What the model's marks were made from, SI as in its names. */
export interface ModelFlight {
  readonly speedMps: number;
  readonly dragCoefficient: number;
  readonly arrowG: number;
  readonly shaftOuterMm: number;
  readonly airDensityKgM3: number;
  readonly peepHeightMm: number;
  readonly peepToPinMm: number;
}

/** The bow another one is made like: what of it is known, and nothing that is not. */
export interface ModelBow {
  readonly source: ModelSource;
  /** "Sheet 1 of ticket 1001, Aino Ruusu". */
  readonly title: string;
  /** Of this shop; null for what came from elsewhere. */
  readonly sheet: { readonly jobId: string; readonly revision: number } | null;
  /** The day it was written down, YYYY-MM-DD; null where that is not told. */
  readonly day: string | null;
  readonly bow: {
    readonly name: string | null;
    readonly hand: Hand;
    readonly serial: string | null;
    readonly camSystem: CamSystem | null;
    /** 0 to 1; null where it is not told, as are the next two. */
    readonly letOff: number | null;
    readonly braceHeightMm: number | null;
    readonly axleToAxleMm: number | null;
  };
  readonly values: readonly ModelValue[];
  /** Pins below their place for the first distance; null where none are told. */
  readonly marks: {
    readonly firstM: number;
    readonly rows: readonly { readonly distanceM: number; readonly belowFirstMm: number }[];
    /** Null where they cannot be made again. */
    readonly flight: ModelFlight | null;
  } | null;
  readonly parts: readonly {
    readonly slot: string;
    readonly name: string;
    readonly label: string;
  }[];
  /** The arrow in one line; null where it is not told. */
  readonly arrow: string | null;
}
