import {
  fromShelf,
  isUnderWay,
  neededOf,
  NOT_HELD,
  shortOf,
  type Counted,
  type Holding,
} from '@/core/kit';
import type { JobSnapshot } from '@/core/job';
import { addDays } from '@/core/units';
import { addBows, reservedBows } from '@/data/bow-pieces';
import type { Db } from '@/data/db';
import type { StoredPart } from '@/data/jobs';
import {
  addShelfOrder,
  addToShelf,
  reservedByOthers,
  shelfCount,
  shelfOrders,
  takeShelfOrder,
  type StockKind,
} from '@/data/reservations';
import { bowById, partById } from '@/data/stock';
import { nowIso, shopDay } from '../clock';

/** Where parts, or bows, lie: how many are free for this job, and laying there and taking off. */
interface Shelf {
  readonly db: Db;
  readonly kind: StockKind;
  readonly ticket: number;
  readonly today: string;
  /** How many are free for this job. */
  readonly free: (itemId: string) => number;
  readonly add: (entry: Counted) => void;
  readonly deliveryDays: (itemId: string) => number;
}

type Ground = Pick<JobSnapshot, 'job' | 'shop'>;

const shelfOf = (
  db: Db,
  { job, shop }: Ground,
  rest: Pick<Shelf, 'kind' | 'free' | 'add' | 'deliveryDays'>,
): Shelf => ({ db, ticket: job.number, today: shopDay(shop.timeZone), ...rest });

export const partShelf = (db: Db, ground: Ground): Shelf => {
  const reserved = reservedByOthers(db, ground.job.id);
  return shelfOf(db, ground, {
    kind: 'part',
    free: (itemId) => (shelfCount(db, itemId) ?? 0) - (reserved.get(itemId) ?? 0),
    add: (entry) => addToShelf(db, entry),
    deliveryDays: (itemId) => partById(db, itemId)?.deliveryDays ?? 0,
  });
};

export const bowShelf = (db: Db, ground: Ground): Shelf => {
  const reserved = reservedBows(db, ground.job.id);
  return shelfOf(db, ground, {
    kind: 'bow',
    free: (bowId) => (bowById(db, bowId)?.stock ?? 0) - (reserved.get(bowId) ?? 0),
    add: ({ itemId, count }) => addBows(db, itemId, count),
    deliveryDays: (bowId) => bowById(db, bowId)?.deliveryDays ?? 0,
  });
};

/** What is held of a shelf, and how. */
export interface Held extends Holding {
  readonly needed: readonly Counted[];
  readonly short: readonly Counted[];
}

type Stand = Omit<Held, 'needed'>;

/**
 * How something newly taken stands: put aside from the shelf, or, where there are too few, to be
 * ordered. What is on its way for the shelf already is taken over as it is.
 */
export function takeFrom(shelf: Shelf, needed: readonly Counted[]): Stand {
  const short = shortOf(needed, shelf.free);
  if (short.length === 0) return { ...NOT_HELD, short };
  return (
    takeOrdersOver(shelf, short) ?? {
      ...NOT_HELD,
      short,
      arrivesDay: addDays(
        shelf.today,
        Math.max(...short.map(({ itemId }) => shelf.deliveryDays(itemId))),
      ),
    }
  );
}

/** Null where not all of it is on its way. */
function takeOrdersOver(shelf: Shelf, short: readonly Counted[]): Stand | null {
  const coming = short.map(({ itemId, count }) => ({
    count,
    order: shelfOrders(shelf.db, shelf.kind, itemId).find((order) => order.count >= count),
  }));
  if (coming.some(({ order }) => order === undefined)) return null;
  for (const { order, count } of coming) takeShelfOrder(shelf.db, order!, count);
  const last = (of: (order: NonNullable<(typeof coming)[number]['order']>) => string) =>
    coming.map(({ order }) => of(order!)).reduce((a, b) => (a > b ? a : b));
  return {
    ...NOT_HELD,
    short,
    orderedAt: last(({ orderedAt }) => orderedAt),
    arrivesDay: last(({ arrivesDay }) => arrivesDay),
  };
}

/** What a job held and holds no more goes where it belongs: on the shelf, or on its way there. */
export function giveUp(shelf: Shelf, held: Held, calledOff: boolean): void {
  if (held.handedOver) held.needed.forEach(shelf.add);
  else if (held.arrivedAt !== null) held.short.forEach(shelf.add);
  else if (isUnderWay(held) && !calledOff)
    for (const { itemId, count } of held.short)
      addShelfOrder(shelf.db, {
        kind: shelf.kind,
        itemId,
        count,
        arrivesDay: held.arrivesDay ?? shelf.today,
        orderedAt: held.orderedAt ?? nowIso(),
        ticket: shelf.ticket,
      });
}

const negative = (entries: readonly Counted[]) =>
  entries.map(({ itemId, count }) => ({ itemId, count: -count }));

/**
 * Taking something again as it stood: what meanwhile went to somebody else is put aside or ordered anew.
 */
export function takeAgain(shelf: Shelf, held: Held): Stand {
  const { needed, short, arrivesDay, orderedAt, arrivedAt, handedOver } = held;
  const lies = (entries: readonly Counted[]) => shortOf(entries, shelf.free).length === 0;
  const stands: Stand = { short, arrivesDay, orderedAt, arrivedAt, handedOver };
  // What left the shop, or came for this job, went on the shelf when it was given up.
  const fromThere = handedOver ? needed : arrivedAt !== null ? short : [];
  if (fromThere.length > 0 && lies(needed)) {
    negative(fromThere).forEach(shelf.add);
    return stands;
  }
  const onItsWay = isUnderWay(held) && lies(fromShelf(needed, short));
  return (onItsWay ? takeOrdersOver(shelf, short) : null) ?? takeFrom(shelf, needed);
}

/** Off the shelf for good, at the handover; what was ordered for the job never lay there. */
export const takeOff = (shelf: Shelf, { needed, short }: Pick<Held, 'needed' | 'short'>): void =>
  negative(fromShelf(needed, short)).forEach(shelf.add);

/** Back on the shelf, put aside again, when a handover is taken back. */
export const layBack = (shelf: Shelf, { needed, short }: Pick<Held, 'needed' | 'short'>): void =>
  fromShelf(needed, short).forEach(shelf.add);

/** A place of the kit as it holds its parts. */
export const heldPart = (row: StoredPart): Held => ({ ...row, needed: neededOf(row) });
