import type { ValueKey } from '../../setup';

/** First line of a code; a later shape of it has another number. */
export const HEAD = 'WAFFENRAD';

export const VERSION = 1;

/** More is not read: larger squares could not be told apart on a card (docs/formats/sheet-code.md). */
export const CODE_BYTES = 600;

export type Unit = 'mm' | 'N' | 'turns' | 'g' | 'm/s' | 'deg' | '';

/** What a code may hold, the most needed first: where all do not fit the last are left out. */
export const FIELDS: readonly {
  readonly key: ValueKey;
  readonly word: string;
  readonly unit: Unit;
}[] = [
  { key: 'drawLength', word: 'draw length', unit: 'mm' },
  { key: 'peakWeight', word: 'peak', unit: 'N' },
  { key: 'limbTurnsUpper', word: 'upper bolt', unit: 'turns' },
  { key: 'limbTurnsLower', word: 'lower bolt', unit: 'turns' },
  { key: 'moduleTop', word: 'top module', unit: 'mm' },
  { key: 'moduleBottom', word: 'bottom module', unit: 'mm' },
  { key: 'braceHeight', word: 'brace', unit: 'mm' },
  { key: 'axleToAxle', word: 'axles', unit: 'mm' },
  { key: 'nockHeight', word: 'nock', unit: 'mm' },
  { key: 'centreShot', word: 'centre shot', unit: 'mm' },
  { key: 'peepHeight', word: 'peep', unit: 'mm' },
  { key: 'peepTrueHeight', word: 'peep true', unit: 'mm' },
  { key: 'peepToPin', word: 'peep to pin', unit: 'mm' },
  { key: 'restCord', word: 'cord', unit: 'mm' },
  { key: 'loop', word: 'loop', unit: 'mm' },
  { key: 'restHeight', word: 'rest height', unit: 'mm' },
  { key: 'arrowMass', word: 'arrow', unit: 'g' },
  { key: 'arrowSpeed', word: 'speed', unit: 'm/s' },
  { key: 'holdingWeight', word: 'holding', unit: 'N' },
  { key: 'sightBase', word: 'sight base', unit: '' },
  { key: 'timing', word: 'timing', unit: 'mm' },
  { key: 'stringTwists', word: 'string twists', unit: 'turns' },
  { key: 'cableTwists', word: 'cable twists', unit: 'turns' },
  { key: 'cableGuard', word: 'guard', unit: 'mm' },
  { key: 'bowMass', word: 'mass', unit: 'g' },
];

/** What a code says once it was read. */
export interface CodeText {
  readonly ticket: number;
  readonly revision: number;
  /** YYYY-MM-DD */
  readonly day: string;
  readonly bow: string;
  readonly hand: 'right' | 'left';
  readonly serial: string | null;
  readonly shop: string;
  readonly values: readonly { readonly key: ValueKey; readonly si: number }[];
  /** Pins below their place for the first distance. */
  readonly marks: {
    readonly firstM: number;
    readonly rows: readonly { readonly distanceM: number; readonly belowFirstMm: number }[];
  } | null;
}

/** A code that was read, and whose it is here. */
export interface CodeFound {
  readonly code: CodeText;
  /** The job of this shop whose sheet it is; null where no sheet here is of the same day and bow. */
  readonly jobId: string | null;
}
