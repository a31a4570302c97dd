import { bowName } from '../bow';
import type { JobDerived, JobSnapshot } from '../job';
import { SLOTS } from '../kit';
import { STATIONS } from '../bench';
import { addDays } from '../units';
import type { Quote, QuoteLine } from './types';

interface QuoteStamp {
  readonly revision: number;
  readonly madeAt: string;
  /** The day, in the shop's time zone, YYYY-MM-DD. */
  readonly madeDay: string;
  readonly madeBy: string;
}

/**
 * What bow, parts and work come to: what moves over at nothing, what is cleared out at its price, the
 * bench by its steps where the shop charges for it. Cents are whole; the tax is held in the prices.
 */
export function makeQuote(snapshot: JobSnapshot, derived: JobDerived, stamp: QuoteStamp): Quote {
  const { shop, job, archer } = snapshot;
  const { taxPct, depositPct, validDays, hourCents } = shop.quote;
  const lines = quoteLines(snapshot, derived);
  const totalCents = Math.max(
    0,
    lines.reduce((sum, { cents }) => sum + cents, 0),
  );
  return {
    format: 'waffenrad-quote',
    formatVersion: 1,
    ...stamp,
    validUntil: addDays(stamp.madeDay, validDays),
    shop: { name: shop.name, address: shop.address },
    job: { number: job.number, promisedDay: job.promisedDay },
    archer: { name: archer.name },
    lines,
    totalCents,
    taxCents: heldTax(totalCents, taxPct),
    taxPct,
    depositCents: Math.round((totalCents * depositPct) / 100),
    depositPct,
    hourCents,
  };
}

/** Bow, parts and, where the shop charges for it, the work, as they stand. */
export function quoteLines(snapshot: JobSnapshot, derived: JobDerived): QuoteLine[] {
  const { hourCents } = snapshot.shop.quote;
  return [
    ...bowLine(snapshot),
    ...partLines(snapshot),
    ...(hourCents > 0 ? labourLines(derived, hourCents) : []),
    ...extraLines(snapshot),
  ];
}

/** The part of a price that is tax, where the price holds it. */
export const heldTax = (cents: number, pct: number): number =>
  Math.round(cents - cents / (1 + pct / 100));

const plain = { usualCents: null, arrivesDay: null, minutes: null };

const bowLine = ({ bow }: JobSnapshot): QuoteLine[] =>
  bow ? [{ ...plain, kind: 'bow', about: 'Bow', name: bowName(bow), cents: bow.priceCents }] : [];

const extraLines = ({ job }: JobSnapshot): QuoteLine[] =>
  job.extras.map(({ text, cents }) => ({
    ...plain,
    kind: 'extra',
    about: cents < 0 ? 'Discount' : 'Extra',
    name: text,
    cents,
  }));

const partLines = ({ parts }: JobSnapshot): QuoteLine[] =>
  SLOTS.flatMap(({ id, name: about }): QuoteLine[] => {
    const part = parts.find(({ slot }) => slot === id);
    if (!part) return [];
    if (part.owned) return [{ ...plain, kind: 'moved', about, name: part.label, cents: 0 }];
    const { item } = part;
    const usual = item && item.closeOutCents !== null ? item.priceCents : null;
    return [
      {
        ...plain,
        kind: 'part',
        about,
        name: part.label,
        cents: part.priceCents,
        usualCents: usual !== null && usual > part.priceCents ? usual : null,
        arrivesDay: part.arrivesDay,
      },
    ];
  });

/**
 * Every step that belongs to this job, done or not: the work is the same. Rounded once, on the sum: each
 * step gets what it adds to the rounded sum so far.
 */
function labourLines({ plan }: JobDerived, hourCents: number): QuoteLine[] {
  const upTo = (minutes: number) => Math.round((minutes * hourCents) / 60);
  let before = 0;
  return plan.steps.map(({ template: { title, station, minutes } }) => {
    const cents = upTo(before + minutes) - upTo(before);
    before += minutes;
    return {
      ...plain,
      kind: 'labour',
      about: STATIONS.find(({ id }) => id === station)!.name,
      name: title,
      cents,
      minutes,
    };
  });
}

/** What a quote would say now that a given one does not; empty when it still holds. */
export function quoteChanges(given: Quote, now: Quote): string[] {
  const key = ({ kind, about, name }: QuoteLine) => `${kind} ${about} ${name}`;
  const before = new Map(given.lines.map((line) => [key(line), line]));
  const after = new Map(now.lines.map((line) => [key(line), line]));
  return [
    ...given.lines.filter((line) => !after.has(key(line))).map(({ name }) => `${name} is gone`),
    ...now.lines.flatMap((line) => {
      const old = before.get(key(line));
      if (!old) return [`${line.name} is new`];
      return old.cents === line.cents ? [] : [`${line.name} has another price`];
    }),
  ];
}
