/** So many wrong tries in a row are a slip of the finger. Shop rule of the house. */
const FREE_TRIES = 4;
const FIRST_WAIT_S = 60;
const LONGEST_WAIT_S = 3600;

/**
 * How long the next try has to wait, s: nothing for the first four, a minute after the fifth, twice as long
 * after each that follows, an hour at most.
 *
 * @param wrong wrong tries in a row so far, 0 and up.
 */
export function waitAfter(wrong: number): number {
  if (wrong <= FREE_TRIES) return 0;
  return Math.min(LONGEST_WAIT_S, FIRST_WAIT_S * 2 ** Math.min(20, wrong - FREE_TRIES - 1));
}

const SHORTEST_PIN = 4;
const SHORTEST_PASSWORD = 8;
const LONGEST = 100;

/**
 * Why this cannot be somebody's PIN or password; null where it can. A PIN is digits alone, typed with one
 * finger; what is no PIN is a password and longer.
 */
export function secretFault(secret: string): string | null {
  if (secret.length > LONGEST) return `At most ${LONGEST} signs.`;
  if (/^\d+$/.test(secret)) {
    if (secret.length < SHORTEST_PIN) return `A PIN has at least ${SHORTEST_PIN} digits.`;
    if (/^(\d)\1*$/.test(secret)) return 'The same digit all along is guessed first: take others.';
    if ('01234567890'.includes(secret) || '09876543210'.includes(secret))
      return 'Digits in a row are guessed first: take others.';
    return null;
  }
  return [...secret].length < SHORTEST_PASSWORD
    ? `A PIN of at least ${SHORTEST_PIN} digits, or a password of at least ${SHORTEST_PASSWORD} signs.`
    : null;
}
