import type { SetupKey, ValueKey } from '../setup';

/** Why a bow that left is back on the bench. */
export type VisitKind = 'settled' | 'check' | 'string' | 'module' | 'limb';

export const VISIT_KINDS: readonly { readonly id: VisitKind; readonly name: string }[] = [
  { id: 'settled', name: 'Second visit' },
  { id: 'check', name: 'A look' },
  { id: 'string', name: 'Other string' },
  { id: 'module', name: 'Other module' },
  { id: 'limb', name: 'Other limb' },
];

/** What a repair put on the bow: a cause like any other. */
export const REPLACED: Readonly<Partial<Record<VisitKind, ValueKey>>> = {
  string: 'newString',
  module: 'newModule',
  limb: 'newLimb',
};

/** A bow back in the shop: until it is handed over again, or goes as it came. */
export interface Visit {
  readonly kind: VisitKind;
  /** What the archer told; may be empty. */
  readonly words: string;
  /** UTC instant. */
  readonly at: string;
  readonly who: string;
  /** Newest reading there was when it came: what is read later belongs to the visit. */
  readonly seq: number;
  /** What is looked at, in the order it is done. */
  readonly keys: readonly SetupKey[];
}
