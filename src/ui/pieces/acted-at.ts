/** The same again within this is a double tap, ms. */
export const DOUBLE_TAP_MS = 400;

/**
 * When the hand did what is being answered, ms on the clock of `performance.now()`. A busy tablet answers a tap late;
 * what matters is when it was made. Outside of an event it is now.
 */
export const actedAt = (event: { readonly timeStamp: number } | undefined = window.event) =>
  Math.min(event?.timeStamp ?? Infinity, performance.now());
