import type { BarSet, MassPart } from '../balance';
import type { Hand } from '../bow';

/** A hit on the target, from the aim, seen by the archer, mm. */
export interface HitPoint {
  readonly rightMm: number;
  readonly upMm: number;
}

export interface SpeedShot {
  readonly mps: number;
  /** Name of the device it came from; null where it was typed. */
  readonly device: string | null;
  /** Why it does not count; null where it does. */
  readonly discarded: string | null;
}

/** What a reading was made from, beyond its one or two numbers. */
export type ReadingData =
  /** A weight trial: the hand it was drawn with. */
  | { readonly kind: 'trial'; readonly hand: Hand }
  /** A tear: how far the paper hung from the archer. */
  | { readonly kind: 'tear'; readonly distanceM: number }
  /** A group at one distance, with where the pin stood below the first one. */
  | { readonly kind: 'group'; readonly hits: readonly HitPoint[]; readonly dropMm: number }
  /** A confirmed distance; `scaleM` where the tape read another one; how far off the marks were. */
  | {
      readonly kind: 'mark';
      readonly hits: readonly HitPoint[];
      readonly scaleM: number | null;
      readonly offMm: number | null;
    }
  | {
      readonly kind: 'speeds';
      readonly shots: readonly SpeedShot[];
      readonly arrowG: number | null;
    }
  /** Bare shafts from fletched ones. */
  | { readonly kind: 'bareShaft'; readonly distanceM: number }
  /** A hang: the point it hung from, and what was on the bow beside the bare bow. */
  | {
      readonly kind: 'hang';
      readonly at: { readonly forwardMm: number; readonly upMm: number };
      readonly on: readonly MassPart[];
    }
  /** A shot from a loose grip: what was on the bow beside the bare bow. */
  | { readonly kind: 'reaction'; readonly on: readonly MassPart[] }
  /** A bar as it was mounted; null where the side is empty. */
  | { readonly kind: 'bar'; readonly set: BarSet | null }
  | {
      readonly kind: 'walkBack';
      readonly hits: readonly { readonly distanceM: number; readonly rightMm: number }[];
    };
