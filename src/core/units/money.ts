import type { ReadResult } from './read';

/** A price or budget as read: whole cents, or a refusal that says what is possible. */
type MoneyResult =
  | { readonly ok: true; readonly cents: number }
  | (Extract<ReadResult, { ok: false }> & {
      /** Where it can mean two amounts: both, in cents. */
      readonly readings?: readonly [number, number];
    });

interface MoneyOptions {
  /** What is asked for, as it stands in a sentence. */
  readonly what?: string;
  /** The most that is taken, cents. */
  readonly maxCents?: number;
}

const MOST_CENTS = 10_000_000;

const CURRENCY = /^(?:€|eur(?:o|os)?)\s*|\s*(?:€|eur(?:o|os)?)$/gi;
/** Cents said to be none: "899,-", "899.—". */
const NO_CENTS = /[.,]\s*[-–—]{1,2}$/;
/** Blanks of every width, and the raised comma some write between thousands. */
const SPACED = /^\d{1,3}(?:[\s’'˙]\d{3})+$/;
const PLAIN = /^\d+$/;

const euroOf = (text: string) => Number(text.replace(/\D/g, ''));
const centsOf = (text: string) => Number(text.padEnd(2, '0'));

/** Cents of an amount without sign and currency; two where it can be read in two ways; null for none. */
function readings(bare: string): readonly [number] | readonly [number, number] | null {
  const noCents = bare.replace(NO_CENTS, '');
  const isRound = noCents !== bare;
  const whole = noCents.trim();
  if (PLAIN.test(whole) || SPACED.test(whole)) return [euroOf(whole) * 100];
  const signs = [...new Set(whole.replace(/[^.,]/g, ''))];
  if (signs.length === 2) {
    // Two signs: the one that stands last parts the cents, the other groups thousands.
    const [group, part] = signs as [string, string];
    const [front, back, ...more] = whole.split(part);
    const grouped = new RegExp(`^\\d{1,3}(?:\\${group}\\d{3})+$`);
    if (isRound || more.length > 0 || !grouped.test(front!) || !/^\d{1,2}$/.test(back!))
      return null;
    return [euroOf(front!) * 100 + centsOf(back!)];
  }
  const sign = signs[0];
  if (sign === undefined) return null;
  const [front, ...groups] = whole.split(sign);
  const threes = groups.every((group) => /^\d{3}$/.test(group));
  if (groups.length > 1 || isRound)
    return threes && /^[1-9]\d{0,2}$/.test(front!) ? [euroOf(whole) * 100] : null;
  const back = groups[0]!;
  if (!PLAIN.test(front!) && !SPACED.test(front!)) return null;
  if (/^\d{1,2}$/.test(back)) return [euroOf(front!) * 100 + centsOf(back)];
  // "1.250" is written for 1 250 and for 1.25; "0,500" for neither, and cents have no thirds.
  if (!threes || !/^[1-9]\d{0,2}$/.test(front!)) return null;
  const exact = euroOf(whole) / 10;
  return Number.isInteger(exact) ? [euroOf(whole) * 100, exact] : [euroOf(whole) * 100];
}

/**
 * Reads an amount of euro as it is written here and there: `900`, `€ 900`, `899,50`, `12.50`, `899,-`,
 * `1 250`, `1,200.00`, `1.200,00 €`. What can mean two amounts is refused with both: `1.250`.
 *
 * @returns whole cents from 0 to `maxCents` (10 000 000 unless said), or a refusal.
 */
export function readMoney(
  text: string,
  { what = 'amount', maxCents = MOST_CENTS }: MoneyOptions = {},
): MoneyResult {
  const say = `Enter the ${what} in euro, for example 900 or 899,50.`;
  const bare = text.trim().replace(CURRENCY, '').trim();
  if (bare === '') return { ok: false, code: 'empty', message: say };
  if (/^[-−]/.test(bare) && /\d/.test(bare))
    return {
      ok: false,
      code: 'tooSmall',
      message: `The ${what} cannot be below nothing. ${say}`,
    };
  const found = readings(bare);
  if (!found)
    return { ok: false, code: 'notANumber', message: `“${text.trim()}” is not an amount. ${say}` };
  if (found.length === 2) {
    const [large, small] = found;
    return {
      ok: false,
      code: 'ambiguous',
      readings: [large, small],
      message: `“${text.trim()}” can be ${writeMoney(large)} or ${writeMoney(small)}. Write ${large / 100} or ${(small / 100).toFixed(2)}.`,
    };
  }
  const cents = found[0];
  return cents > maxCents
    ? {
        ok: false,
        code: 'tooLarge',
        message: `Too large for the ${what}: at most ${writeMoney(maxCents)}.`,
      }
    : { ok: true, cents };
}

/**
 * Money as a file holds it, read back by `readMoney` to the same cents: "1250" or "899.50", no sign of
 * thousands and no currency.
 */
export const plainMoney = (cents: number): string =>
  cents % 100 === 0 ? String(cents / 100) : (cents / 100).toFixed(2);

/** "€ 899.50", "€ 1 250": cents only where there are any. Negative amounts carry a true minus. */
export function writeMoney(cents: number): string {
  const [euro, rest] = [Math.floor(Math.abs(cents) / 100), Math.abs(cents) % 100];
  const grouped = String(euro).replace(/\B(?=(\d{3})+$)/g, '\u00a0');
  const tail = rest === 0 ? '' : `.${String(rest).padStart(2, '0')}`;
  return `${cents < 0 ? '−' : ''}€\u00a0${grouped}${tail}`;
}
