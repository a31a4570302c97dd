/** Bytes of an archer's file as it comes; by itself, so that whoever takes it in needs nothing of what reads it. */
export const BUNDLE_BYTES = 60_000_000;
