import type { BowRecord, LoggedCurve } from '@/core/bow';
import { isArrowComponent, type AnyPart, type CatalogueItem } from '@/core/kit';
import { db, type Db } from '@/data/db';
import { newestCurves } from '@/data/curves';
import { reservedByOthers } from '@/data/reservations';
import * as stock from '@/data/stock';

export const allBows = (): BowRecord[] => stock.allBows(db());
export const loggedCurves = (): LoggedCurve[] => newestCurves(db());
export const arrowComponents = (from: Db = db()): AnyPart[] =>
  stock.allParts(from).filter(isArrowComponent);

/** The shop's parts as this job sees them: what others have put aside does not lie there for it. */
export const itemsFor = (jobId: string, from: Db = db()): CatalogueItem[] => {
  const reserved = reservedByOthers(from, jobId);
  return stock
    .assortment(from)
    .map((item) => ({ ...item, stock: Math.max(0, item.stock - (reserved.get(item.id) ?? 0)) }));
};
