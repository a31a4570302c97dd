import { refused, type Refused } from '../outcome';
import { readMoney, writeMoney } from '../units';

/** A line of the bill besides bow, parts and work: something extra, or a discount below nothing. */
export interface ExtraLine {
  readonly id: string;
  readonly text: string;
  readonly cents: number;
}

/** The quote the archer said yes to. */
export interface Accepted {
  readonly revision: number;
  readonly totalCents: number;
  /** YYYY-MM-DD in the shop's time zone. */
  readonly day: string;
  readonly who: string;
}

export const PAYMENT_WAYS = [
  { id: 'cash', name: 'cash' },
  { id: 'card', name: 'card' },
  { id: 'transfer', name: 'bank transfer' },
] as const;
export type PaymentWay = (typeof PAYMENT_WAYS)[number]['id'];

/** Money that came in, or went back where it is below nothing; noted, nothing is charged here. */
export interface Payment {
  readonly id: number;
  readonly at: string;
  readonly who: string;
  readonly kind: 'deposit' | 'rest' | 'back';
  readonly cents: number;
  readonly way: PaymentWay;
}

/** Lines a job has at most. */
export const MOST_EXTRAS = 20;

const WHAT = 'line, for example 15,90, −20 or a discount of 5 %';

/**
 * What is typed for a line: an amount, an amount below nothing for a discount, or a part of what it all
 * comes to, which is always taken off.
 *
 * @param totalCents what the job comes to without this line.
 * @returns whole cents, or a refusal that says what is possible.
 */
export function readExtra(
  entered: string,
  totalCents: number,
): { readonly ok: true; readonly cents: number } | Refused {
  const text = entered.trim().replace('−', '-');
  const part = /^-?\s*(\d{1,3}(?:[.,]\d{1,2})?)\s*%$/.exec(text)?.[1];
  if (part !== undefined) {
    const pct = Number(part.replace(',', '.'));
    return pct <= 0 || pct > 100
      ? refused('not-a-part', 'A discount is more than 0 and at most 100 %.', 'entered')
      : { ok: true, cents: -Math.round((totalCents * pct) / 100) };
  }
  const isOff = text.startsWith('-');
  const read = readMoney(isOff ? text.slice(1) : text, { what: WHAT });
  if (!read.ok) return refused(read.code, read.message, 'entered');
  if (read.cents === 0) return refused('nothing', 'A line of nothing says nothing.', 'entered');
  const cents = isOff ? -read.cents : read.cents;
  return totalCents + cents < 0
    ? refused(
        'below-nothing',
        `All of it comes to ${writeMoney(totalCents)}: more cannot be taken off.`,
        'entered',
      )
    : { ok: true, cents };
}

/** What was paid so far and what is left; below nothing where too much was. */
export function moneyOf(
  payments: readonly Payment[],
  totalCents: number,
): { readonly paidCents: number; readonly leftCents: number } {
  const paidCents = payments.reduce((sum, { cents }) => sum + cents, 0);
  return { paidCents, leftCents: totalCents - paidCents };
}
