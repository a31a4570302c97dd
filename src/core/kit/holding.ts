import type { ArrowChoice } from './built-arrows';

/** So many of one thing, by its id. */
export interface Counted {
  readonly itemId: string;
  readonly count: number;
}

/** How something stands that a job has taken: from the shelf, on its way, come, handed over. */
export interface Holding {
  /** Day it arrives when it did not lie in the shop, YYYY-MM-DD. */
  readonly arrivesDay: string | null;
  /** Instants it was ordered from its supplier, and came; null before. */
  readonly orderedAt: string | null;
  readonly arrivedAt: string | null;
  /** It left the shop with the archer. */
  readonly handedOver: boolean;
}

interface Taken {
  readonly itemId: string | null;
  readonly owned: boolean;
  readonly build: ArrowChoice | null;
}

/** What a place of the kit takes of the shop's parts, piece by piece; nothing for the archer's own. */
export function neededOf({ itemId, owned, build }: Taken): Counted[] {
  if (owned) return [];
  if (build) return neededForBuild(build);
  return itemId === null ? [] : [{ itemId, count: 1 }];
}

/** Every component of a set built here. */
export function neededForBuild(build: ArrowChoice): Counted[] {
  const { shaftId, nockId, vaneId, vaneCount, insertId, pointId, count } = build;
  return sumOf([
    ...[shaftId, nockId, insertId, pointId].map((itemId) => ({ itemId, count })),
    { itemId: vaneId, count: count * vaneCount },
  ]);
}

/** One entry an id, in the order they first stand there; what comes to nothing is left out. */
export function sumOf(counts: readonly Counted[]): Counted[] {
  const sums = new Map<string, number>();
  for (const { itemId, count } of counts) sums.set(itemId, (sums.get(itemId) ?? 0) + count);
  return [...sums].flatMap(([itemId, count]) => (count > 0 ? [{ itemId, count }] : []));
}

/** What of it lies on the shelf: what is needed but for what is ordered. */
export const fromShelf = (needed: readonly Counted[], short: readonly Counted[]): Counted[] =>
  sumOf([...needed, ...short.map(({ itemId, count }) => ({ itemId, count: -count }))]);

/** What does not lie there, of what is needed. */
export const shortOf = (needed: readonly Counted[], free: (itemId: string) => number): Counted[] =>
  needed.flatMap(({ itemId, count }) => {
    const missing = count - Math.max(0, free(itemId));
    return missing > 0 ? [{ itemId, count: missing }] : [];
  });

/** It was ordered and has not come: giving it up leaves an order on its way. */
export const isUnderWay = ({ orderedAt, arrivedAt, handedOver }: Holding): boolean =>
  orderedAt !== null && arrivedAt === null && !handedOver;

export const NOT_HELD: Holding = {
  arrivesDay: null,
  orderedAt: null,
  arrivedAt: null,
  handedOver: false,
};
