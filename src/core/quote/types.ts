export type QuoteLineKind = 'bow' | 'part' | 'moved' | 'labour' | 'extra';

export interface QuoteLine {
  readonly kind: QuoteLineKind;
  /** Place of the part, or station of the work. */
  readonly about: string;
  readonly name: string;
  readonly cents: number;
  /** The usual price where it is cleared out; null otherwise. */
  readonly usualCents: number | null;
  /** Day it arrives when it is not in stock, YYYY-MM-DD; null otherwise. */
  readonly arrivesDay: string | null;
  /** Minutes at the bench; null for what is not work. */
  readonly minutes: number | null;
}

/** A quote as it is given; kept as it was and never changed. */
export interface Quote {
  readonly format: 'waffenrad-quote';
  readonly formatVersion: 1;
  readonly revision: number;
  readonly madeAt: string;
  readonly madeDay: string;
  readonly madeBy: string;
  readonly validUntil: string;
  readonly shop: { readonly name: string; readonly address: string };
  readonly job: { readonly number: number; readonly promisedDay: string | null };
  readonly archer: { readonly name: string };
  readonly lines: readonly QuoteLine[];
  readonly totalCents: number;
  /** Of the total, held in the prices. */
  readonly taxCents: number;
  readonly taxPct: number;
  readonly depositCents: number;
  readonly depositPct: number;
  readonly hourCents: number;
}
