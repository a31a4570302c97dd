import type { SetupKey } from '../setup';

/** Why a bow that left is back on the bench. */
export type VisitKind = 'settled' | 'check' | 'string';

export const VISIT_KINDS: readonly { readonly id: VisitKind; readonly name: string }[] = [
  { id: 'settled', name: 'Second visit' },
  { id: 'check', name: 'Looked through' },
  { id: 'string', name: 'Other string or cables' },
];

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
