/** Largest picture that is taken, bytes; said apart from what reads pictures, which pages must not load. */
export const PHOTO_BYTES = 25_000_000;
