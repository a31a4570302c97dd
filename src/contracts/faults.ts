export interface InputError {
  /** JSON pointer to what is wrong; empty for the whole. */
  readonly pointer: string;
  readonly detail: string;
}

/** Faults told at most: nobody mends three hundred at once, and telling them must not cost more than finding them. */
export const MOST_FAULTS = 20;

/** The first faults, and how many more there are. */
export function toldFaults(errors: readonly InputError[]): readonly InputError[] {
  const more = errors.length - MOST_FAULTS;
  return more <= 0
    ? errors
    : [...errors.slice(0, MOST_FAULTS), { pointer: '', detail: `and ${more} more` }];
}
