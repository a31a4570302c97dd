import { isUnderWay, type Slot } from '@/core/kit';
import { spokenDay } from '@/core/units';
import { partsOf, putPart, type StoredPart } from '@/data/jobs';
import type { Db } from '@/data/db';
import { giveUp, heldPart, partShelf, takeAgain } from './shelf';
import { cannot, type Work } from './types';

/** What becomes of an order under way when what it was for is given up. */
export type OrderFate = 'keep' | 'calledOff';

/** A slot as it is stored now, for the way back. */
export function storedPart(db: Db, jobId: string, slot: Slot): StoredPart | null {
  const part = partsOf(db, jobId).find((entry) => entry.slot === slot);
  if (!part) return null;
  const { item, ...rest } = part;
  return { ...rest, jobId, itemId: rest.build ? null : (item?.id ?? null) };
}

const sameThing = (a: StoredPart, b: StoredPart) =>
  a.itemId === b.itemId &&
  a.owned === b.owned &&
  JSON.stringify(a.build) === JSON.stringify(b.build);

/**
 * Fills or empties a place of the kit. What it held goes back on the shelf, or stays on its way for the
 * shelf; where an order is under way that is asked first.
 *
 * @returns what the place held.
 */
export function putHeld(
  work: Work,
  slot: Slot,
  row: StoredPart | null,
  fate: OrderFate | undefined,
): StoredPart | null {
  const { db, snapshot } = work;
  const before = storedPart(db, snapshot.job.id, slot);
  if (before && !(row && sameThing(before, row))) {
    askOfOrder(before, fate);
    giveUp(partShelf(db, snapshot), heldPart(before), fate === 'calledOff');
  }
  putPart(db, snapshot.job.id, slot, row);
  return before;
}

/** Refuses, and asks, where an order is under way and nobody said what becomes of it. */
export function askOfOrder(
  held: Parameters<typeof isUnderWay>[0] & { readonly label: string },
  fate: OrderFate | undefined,
): void {
  if (!isUnderWay(held) || fate !== undefined) return;
  throw cannot(
    'is-ordered',
    `${held.label} is ordered and comes ${held.arrivesDay ? `on ${spokenDay(held.arrivesDay)}` : 'one day'}. Does it come all the same, for the shelf, or was it called off?`,
    '/command/ordered',
  );
}

/** Fills or empties a place as it once was; what it held meanwhile is given up, orders kept. */
export function putAgain(work: Work, slot: string, row: StoredPart | null): void {
  const { db, snapshot } = work;
  const jobId = snapshot.job.id;
  const before = storedPart(db, jobId, slot as Slot);
  const same = before !== null && row !== null && sameThing(before, row);
  if (before && !same) giveUp(partShelf(db, snapshot), heldPart(before), false);
  // Rows written before parts of a set were counted say nothing of what is short.
  const whole = row && { ...row, short: row.short ?? [], handedOver: row.handedOver ?? false };
  const shelf = partShelf(db, snapshot);
  const free = whole === null || whole.owned || same;
  putPart(db, jobId, slot, free ? whole : { ...whole, ...takeAgain(shelf, heldPart(whole)) });
}
