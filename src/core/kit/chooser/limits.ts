export const ROUNDS = 80;

export interface Choice {
  /** Null for a place left empty. */
  readonly id: string | null;
  readonly at: number;
  readonly value: number;
  /** Money, mass and missing worth: whatever has a limit. */
  readonly uses: readonly number[];
  readonly price: number;
  readonly mass: number;
  readonly worth: number;
  /** Value less what its uses cost at the prices the relaxation found. */
  reduced: number;
}

export interface Limit {
  readonly most: number;
  readonly of: (item: { priceCents: number; massG: number; worth: number }) => number;
}
