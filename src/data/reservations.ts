import { fromShelf, neededOf, sumOf, type Counted } from '@/core/kit';
import type { Db } from './db';
import { partMapping, type StoredPart } from './jobs';

/** What jobs hold that has not left the shop, but for one job; oldest entry first. */
const heldByOthers = (db: Db, jobId: string): StoredPart[] =>
  db
    .prepare(
      `SELECT ${partMapping.columnList} FROM job_part
       WHERE handed_over = 0 AND owned = 0 AND job_id <> ? ORDER BY rowid`,
    )
    .all(jobId)
    .map((row) => partMapping.fromRow(row));

const shelfPart = (part: StoredPart): Counted[] => fromShelf(neededOf(part), part.short);

/**
 * How many of each part other jobs have put aside from the shelf, parts of built arrows one by one:
 * what is ordered for a job, brought along, or handed over already is not among them.
 */
export const reservedByOthers = (db: Db, jobId: string): Map<string, number> =>
  new Map(
    sumOf(heldByOthers(db, jobId).flatMap(shelfPart)).map(({ itemId, count }) => [itemId, count]),
  );

const ticketOf = (db: Db, jobId: string): number =>
  db.prepare('SELECT number FROM job WHERE id = ?').pluck().get(jobId) as number;

/** Who has put this part aside last, for a word to whoever comes second. */
export function lastReservedBy(db: Db, itemId: string, jobId: string): number | null {
  const last = heldByOthers(db, jobId)
    .filter((part) => shelfPart(part).some((entry) => entry.itemId === itemId))
    .at(-1);
  return last ? ticketOf(db, last.jobId) : null;
}

/** How many of a part lie on the shelf; null where the catalogue does not hold it. */
export const shelfCount = (db: Db, itemId: string): number | null =>
  (db.prepare('SELECT stock FROM catalogue_item WHERE id = ?').pluck().get(itemId) as
    number | undefined) ?? null;

/** Lays parts on the shelf or takes them off it; a count never goes below nothing. */
export const addToShelf = (db: Db, { itemId, count }: Counted) =>
  db.prepare('UPDATE catalogue_item SET stock = max(0, stock + ?) WHERE id = ?').run(count, itemId);

export type StockKind = 'part' | 'bow';

/** Ordered for a job that took another one since: it comes for the shelf. */
export interface ShelfOrder {
  readonly id: number;
  readonly kind: StockKind;
  readonly itemId: string;
  readonly count: number;
  readonly arrivesDay: string;
  readonly orderedAt: string;
  /** Ticket it was ordered for. */
  readonly ticket: number;
}

const SHELF_ORDER = `SELECT id, kind, item_id AS itemId, count, arrives_day AS arrivesDay,
  ordered_at AS orderedAt, ticket FROM stock_order`;

export const shelfOrders = (db: Db, kind: StockKind, itemId: string): ShelfOrder[] =>
  db
    .prepare(`${SHELF_ORDER} WHERE kind = ? AND item_id = ? ORDER BY arrives_day, id`)
    .all(kind, itemId) as ShelfOrder[];

export const shelfOrderById = (db: Db, id: number): ShelfOrder | null =>
  (db.prepare(`${SHELF_ORDER} WHERE id = ?`).get(id) as ShelfOrder | undefined) ?? null;

export const addShelfOrder = (db: Db, order: Omit<ShelfOrder, 'id'>) =>
  db
    .prepare(
      `INSERT INTO stock_order (kind, item_id, count, arrives_day, ordered_at, ticket)
       VALUES (@kind, @itemId, @count, @arrivesDay, @orderedAt, @ticket)`,
    )
    .run(order);

/** Takes so many of an order that is on its way; what is left of it stays. */
export function takeShelfOrder(db: Db, { id, count }: ShelfOrder, take: number): void {
  if (take >= count) db.prepare('DELETE FROM stock_order WHERE id = ?').run(id);
  else db.prepare('UPDATE stock_order SET count = count - ? WHERE id = ?').run(take, id);
}
