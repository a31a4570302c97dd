import type { ReadResult } from './read';

/** A price or budget as read: whole cents, or a refusal that says what is possible. */
export type MoneyResult =
  { readonly ok: true; readonly cents: number } | Extract<ReadResult, { ok: false }>;

const MOST_CENTS = 10_000_000;

/**
 * Reads an amount of euro: `900`, `€ 900`, `899,50`, `1 250`, `1.250,00 €`. Cents are whole.
 * A point or comma followed by exactly three digits groups thousands, as prices are written.
 *
 * @returns cents from 0 to 10 000 000, or a refusal.
 */
export function readMoney(text: string, what = 'amount'): MoneyResult {
  const bare = text.replace(/€|euro?/gi, '').trim();
  const say = `Enter the ${what} in euro, for example 900 or 899,50.`;
  if (bare === '') return { ok: false, code: 'empty', message: say };
  const match = /^(\d{1,3}(?:([ .,’'])\d{3})+|\d+)(?:([.,])(\d{1,2}))?$/.exec(bare);
  // One sign cannot both group thousands and part the cents.
  const mixed = match?.[2] !== undefined && match[2] === match[3];
  if (!match || mixed) {
    const negative = /^[-−]/.test(bare);
    return negative
      ? { ok: false, code: 'tooSmall', message: `The ${what} cannot be below nothing. ${say}` }
      : { ok: false, code: 'notANumber', message: `“${text.trim()}” is not an amount. ${say}` };
  }
  const euro = Number(match[1]!.replace(/\D/g, ''));
  const cents = euro * 100 + Number((match[4] ?? '').padEnd(2, '0'));
  return cents > MOST_CENTS
    ? { ok: false, code: 'tooLarge', message: `Too large for the ${what}: at most € 100 000.` }
    : { ok: true, cents };
}

/** "€ 899.50", "€ 1 250": cents only where there are any. Negative amounts carry a true minus. */
export function writeMoney(cents: number): string {
  const [euro, rest] = [Math.floor(Math.abs(cents) / 100), Math.abs(cents) % 100];
  const grouped = String(euro).replace(/\B(?=(\d{3})+$)/g, '\u00a0');
  const tail = rest === 0 ? '' : `.${String(rest).padStart(2, '0')}`;
  return `${cents < 0 ? '−' : ''}€\u00a0${grouped}${tail}`;
}
