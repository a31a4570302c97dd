/** Thrown inside this area alone: `taken` makes an outcome of it. */
export class EntryRefused extends Error {
  constructor(
    readonly reason: string,
    message: string,
    /** JSON pointer within the entry; empty where it hangs on none. */
    readonly pointer: string,
  ) {
    super(message);
  }
}

export const cannot = (reason: string, message: string, pointer = '') =>
  new EntryRefused(reason, message, pointer);

/** Reason and words of what every entry at the bow needs. */
export const NO_BOW = ['no-bow', 'Choose a bow first.'] as const;
