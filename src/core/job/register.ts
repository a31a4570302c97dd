import { addDays, daysBetween } from '../units';

/** Shots after which strings, bolts and servings are looked at again. Shop rule ("a few hundred"). */
export const CHECK_SHOTS = 300;

/** More in one go is a slip of the finger. */
export const MOST_SHOTS = 100_000;

/** When a bow that left is to be looked at next, and by what. */
interface NextCheck {
  /** YYYY-MM-DD in the shop's time zone. */
  readonly day: string;
  readonly by: 'asked' | 'shots';
}

/**
 * The day the archer was asked for, or sooner where the shots they told reach `CHECK_SHOTS` before it at
 * the pace so far (shop rule).
 *
 * @param leftDay the day it left last; days are YYYY-MM-DD.
 * @param toldDay the day the shots were told.
 * @param shots since it left; 0 where nobody told.
 */
export function nextCheck(
  {
    leftDay,
    askedDay,
    shots,
  }: { readonly leftDay: string; readonly askedDay: string; readonly shots: number },
  toldDay: string,
): NextCheck {
  if (shots <= 0) return { day: askedDay, by: 'asked' };
  const days = Math.max(1, daysBetween(leftDay, toldDay));
  const more = Math.max(0, Math.ceil(((CHECK_SHOTS - shots) * days) / shots));
  const day = more > 36_500 ? askedDay : addDays(toldDay, more);
  return day < askedDay ? { day, by: 'shots' } : { day: askedDay, by: 'asked' };
}

/** Whole shots as they are told: "250", "about 1 200"; null where it is no count. */
export function readShots(entered: string): number | null {
  const text = entered
    .trim()
    .replace(/^(about|ca\.?|~)\s*/i, '')
    .replace(/[\s.,’'](?=\d{3}\b)/g, '');
  if (!/^\d{1,6}$/.test(text)) return null;
  const count = Number(text);
  return count <= MOST_SHOTS ? count : null;
}

/** A bow of the register, days in the shop's time zone. */
export interface RegisterRow {
  readonly jobId: string;
  readonly number: number;
  readonly name: string;
  readonly guardian: string;
  readonly bow: string;
  readonly serial: string | null;
  readonly leftDay: string;
  readonly inShop: boolean;
  readonly sheets: number;
  readonly visits: number;
  /** Since when its string is on; null where nobody can tell. */
  readonly stringDay: string | null;
  readonly shots: number;
  readonly checkDay: string | null;
  readonly due: boolean;
}

/** What the register is asked for, and what stands in it. */
export interface RegisterView {
  readonly rows: readonly RegisterRow[];
  /** From 1. */
  readonly page: number;
  readonly pages: number;
  readonly count: number;
  readonly day: string;
  readonly asked: {
    readonly show: 'all' | 'due' | 'part' | 'bow' | 'found';
    readonly text: string;
    /** Of a recall: what it is of. */
    readonly what: string;
    /** As it stands in the address, without the page. */
    readonly query: string;
  };
  /** Parts that answer to the words, with the bows they are on. */
  readonly parts: readonly { readonly id: string; readonly name: string; readonly count: number }[];
}
